import { expect } from 'chai';
import { demoBuild } from '../../test/demoBuild.ts';
import { faults, faultTests, repairs } from '../proof/faults/data.ts';
import { upkeepOf } from '../log/upkeep.ts';
import { wearOf } from '../log/wear.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { proofSheet } from '../proof/protocol.ts';
import { phraseText, type Phrase } from '../quantity/format.ts';
import { wordsIn } from '../quantity/words.ts';
import { planContext } from './context.ts';
import { gearSheet } from './gearSheet.ts';
import { handoverDoc } from './papers/handover.ts';
import { reportDoc } from './papers/report.ts';
import { planBuild } from './planBuild.ts';
import { rideSheet } from './rideSheet.ts';
import { sizeBackwards } from './sizing.ts';

const isPhrase = (data: unknown): data is Phrase =>
  Array.isArray(data) &&
  data.some((part) => typeof part === 'object' && part !== null && 'dimension' in part) &&
  data.every((part) => typeof part === 'string' || (typeof part === 'object' && part !== null && 'dimension' in part));

/** Every text that is shown of some data to a reader of inches and miles; ids and names are none. */
function* shown(data: unknown): Generator<string> {
  if (typeof data === 'string') yield wordsIn(data, 'imperial');
  else if (isPhrase(data)) yield phraseText(data, 'imperial');
  else if (typeof data === 'object' && data !== null)
    for (const [key, value] of Object.entries(data)) if (key !== 'name' && key !== 'source') yield* shown(value);
}

function* strings(data: unknown): Generator<string> {
  if (typeof data === 'string') yield data;
  else if (typeof data === 'object' && data !== null) for (const value of Object.values(data)) yield* strings(value);
}

/** A metric unit after a figure, or one that stands for itself; a cross-section in mm² is one in every country. */
const METRIC = /(?:^|[\s\d(])(?:mm|cm|km|kg|km\/h|kilometres?|°C|N·m)(?![\p{L}\p{N}²³/·])/u;

describe('a reader of inches and miles', () => {
  const names = Object.values(starterShelf)
    .flat()
    .map((part: { name?: string }) => part.name ?? '')
    .filter((name) => METRIC.test(name))
    .toSorted((a, b) => b.length - a.length);
  for (const demo of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const)
    it(`sees no millimetres, kilometres or kilograms on the ${demo}, except in names and notes`, () => {
      const build = demoBuild(demo);
      const context = planContext(build, starterShelf);
      const plan = planBuild(build, starterShelf);
      const now = '2026-06-01T12:00';
      const all = {
        plan,
        ride: rideSheet(context),
        gears: gearSheet(context),
        sizing: sizeBackwards(context),
        proof: proofSheet(context, plan.wiring.all?.checks ?? []),
        upkeep: upkeepOf(context, build, now),
        wear: wearOf(context, build, now),
        handover: handoverDoc(context, plan, build),
        report: reportDoc(context, plan, build, now),
      };
      // What a person typed, in this build's own texts; ids are short.
      const typed = [...strings(build)].filter((text) => METRIC.test(text)).toSorted((a, b) => b.length - a.length);
      let texts = 0;
      const metric = new Set<string>();
      for (const text of shown(all)) {
        texts++;
        if (!METRIC.test(text)) continue;
        let rest = text;
        for (const name of [...names, ...typed])
          rest = rest.replaceAll(name, '').replaceAll(wordsIn(name, 'imperial'), '');
        if (METRIC.test(rest)) metric.add(rest);
      }
      expect(texts).to.be.above(1000);
      expect([...metric]).to.deep.equal([]);
    });

  it('reads the fault tables so too', () => {
    const told = [...shown([faults, faultTests, repairs])].filter((text) => text.includes(' ') && METRIC.test(text));
    expect(told).to.deep.equal([]);
  });
});
