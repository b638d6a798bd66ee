import { expect } from 'chai';
import { itemExists, surveyItem } from '../../donor/survey.ts';
import { phraseText } from '../../quantity/format.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { counted } from '../../../test/counted.ts';
import { inOtherWords, randomDonor, seeded } from '../../../test/randomDonor.ts';
import { runs } from '../../../test/runs.ts';
import { PlanContext } from '../../vehicle/context.ts';
import { rimStays } from '../../vehicle/rims.ts';
import { judgeBy, judgeAbout, ruleById } from '../judge.ts';
import type { Finding } from '../finding.ts';
import { contradictionRows } from './contradictions.ts';
import { actorsIn, crossingsOf } from './matrix.ts';

const horizontal = ({ build }: PlanContext): boolean => build.donor.survey.rearAxleHolding?.value === 'horizontalSlot';

const bringsRim = ({ kit, asItWillBe }: PlanContext, end: 'rear' | 'front'): boolean =>
  kit?.hub?.rimInnerM !== undefined && !rimStays(kit, end, asItWillBe.tyres[end]);

/** What of a kit and its vehicle settles a thing that was not looked at, so that it may fit all the same. */
const settledBy: Record<string, (context: PlanContext) => boolean> = {
  // No arm, or one on an eyelet, clamps no stay.
  'rearHub × stays': ({ build }) =>
    build.choice.torqueArms === 0 || (build.donor.survey.rearEyelets?.value ?? 'none') !== 'none',
  // Clamps and straps want no boss, and a rail on bosses no clamp.
  'downTubeBattery × bosses': () => true,
  'seatTubeBattery × bosses': () => true,
  'seatTubeBattery × seatTube': () => true,
  // Slots in which the wheel is drawn back tighten the chain themselves.
  'midDrive × tensioner': horizontal,
  'rearHub × tensioner': horizontal,
  // The kit's own wheel has a limit, and so little stands on it that no scale is wanted.
  'rearHub × wheelStrength': ({ kit }) => kit?.hub?.wheelLimitKg !== undefined,
  // The kit comes in a rim of its own, and the donor's stays behind.
  'rearHub × rearRim': (context) => bringsRim(context, 'rear'),
  'frontHub × frontRim': (context) => bringsRim(context, 'front'),
};

const kits = starterShelf.kit;

function* candidates(count: number): Generator<PlanContext> {
  for (let seed = 1; seed <= count; seed++) {
    const ground = PlanContext.of(randomDonor(seed), starterShelf, false);
    for (const kit of kits) yield ground.with(kit, null);
  }
}

describe('vehicles nobody thought of', () => {
  /** Pairs none of whose items was looked at, and those of them where all that is said fits. */
  function silences(contexts: Iterable<PlanContext>): { pairs: number; silent: string[] } {
    const silent = new Set<string>();
    let pairs = 0;
    for (const context of contexts) {
      const found = new Map<string, Finding | null>();
      const say = (id: string): Finding | null => {
        let finding = found.get(id);
        if (finding === undefined) {
          const rule = ruleById(id);
          found.set(id, (finding = rule ? judgeBy(rule, context) : null));
        }
        return finding;
      };
      for (const actor of actorsIn(context))
        for (const { thing, by } of crossingsOf(actor)) {
          const items = thing.items.filter((id) => itemExists(surveyItem(id), context.build.donor));
          if (by.length === 0 || items.length === 0) continue;
          if (items.some((id) => context.build.donor.survey[id] !== undefined)) continue;
          const said = by.flatMap((id) => say(id) ?? []);
          if (said.length === 0) continue;
          pairs++;
          const name = `${actor.id} × ${thing.id}`;
          if (said.every((f) => f.verdict === 'fits') && settledBy[name]?.(context) !== true)
            silent.add(
              `${name}: ${context.kit?.id ?? ''} ${context.pack?.id ?? ''} on ${context.build.id}, ${said.map((f) => f.title).join('; ')}`,
            );
        }
    }
    return { pairs, silent: [...silent].slice(0, 20) };
  }

  it('no kit fits where what it rests on was not looked at', () => {
    const { pairs, silent } = silences(candidates(runs(40, 1500)));
    expect(silent).to.deep.equal([]);
    expect(pairs).to.be.greaterThan(2000);
  });

  it('no battery either, wherever it goes', () => {
    function* laid(): Generator<PlanContext> {
      const packs = starterShelf.pack.filter((p, i, all) => all.findIndex((o) => o.places[0] === p.places[0]) === i);
      for (let seed = 1; seed <= runs(12, 400); seed++) {
        const ground = PlanContext.of(randomDonor(seed), starterShelf, false);
        const kit = kits[seed % kits.length] ?? null;
        for (const pack of packs) yield ground.with(kit, pack);
      }
    }
    const { pairs, silent } = silences(laid());
    expect(silent).to.deep.equal([]);
    expect(pairs).to.be.greaterThan(100);
  });

  it('every stop names what would lift it, every rework and measure what to do; no figure is none', () => {
    const met = counted();
    for (const context of candidates(runs(8, 300)))
      for (const finding of judgeAbout('kit', context).findings) {
        const where = `${finding.rule}: ${context.kit?.id ?? ''} on ${context.build.id}`;
        if (finding.verdict !== 'fits' && met()) expect(finding.remedies.length, where).to.be.greaterThan(0);
        const text = [finding.title, phraseText(finding.why, 'metric'), phraseText(finding.why, 'imperial')].join(' ');
        expect(text, where).not.to.match(/NaN|Infinity|undefined|null/);
      }
    met.enough();
  });

  it('the same vehicle in other words has the same verdicts', () => {
    for (let seed = 1; seed <= runs(8, 300); seed++) {
      const build = randomDonor(seed);
      const [as, told] = [build, inOtherWords(build, seed + 7)].map((b) => PlanContext.of(b, starterShelf, false));
      for (const kit of kits) {
        const verdicts = (ground: PlanContext | undefined): string[] =>
          ground === undefined
            ? []
            : judgeAbout('kit', ground.with(kit, null)).findings.map((f) => `${f.rule} ${f.verdict}`);
        expect(verdicts(told), `${kit.id} on ${build.id}`).to.deep.equal(verdicts(as));
      }
    }
  });

  it('a contradiction that is planted is found', () => {
    const next = seeded(11);
    for (const row of contradictionRows) {
      let found = 0;
      for (let seed = 1; seed <= runs(30, 300); seed++) {
        const build = randomDonor(seed * 31);
        const survey = build.donor.survey as Record<string, unknown>;
        for (const term of row.these) {
          const value =
            'is' in term
              ? term.is[Math.floor(next() * term.is.length)]
              : 'outsideM' in term
                ? term.outsideM[1] + 0.002
                : 'from' in term
                  ? term.to
                  : term.toKg;
          survey[term.item] = { value, typed: '', unit: '', provenance: 'measured', note: '' };
        }
        if (!row.these.every((term) => itemExists(surveyItem(term.item), build.donor))) continue;
        const rule = ruleById(row.id);
        const finding = rule ? judgeBy(rule, PlanContext.of(build, starterShelf, false)) : null;
        expect(finding?.verdict, `${row.id} on ${build.id}`).to.equal('measure');
        found++;
      }
      expect(found, row.id).to.be.greaterThan(0);
    }
  });
});
