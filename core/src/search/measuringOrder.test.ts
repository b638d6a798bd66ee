import { expect } from 'chai';
import type { Build } from '../build/build.ts';
import { usualChoice } from '../build/choice.ts';
import { emptyDonor, type SurveyItemId } from '../donor/donor.ts';
import { isProven } from '../donor/entry.ts';
import { itemsFor } from '../donor/survey.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { seeded } from '../quantity/random.ts';
import { finish } from '../steps.ts';
import { demoBuild } from '../../test/demoBuild.ts';
import { byVerdictsCounted } from '../../test/verdictCounting.ts';
import { contendersOf, weighedUp } from './contenders.ts';
import { drawsInSteps, type Drawn } from './draws.ts';
import { measureFirst, worthTable } from './measureFirst.ts';
import { picksOf, weightsFor } from './picks.ts';
import { ShelfSearch, usualSearch, type Candidate, type SearchResult } from './search.ts';
import { chosenCandidate } from './stillBest.ts';

/** Vehicles a choice is made on after each measurement. */
const DRAWS = 32;
/** As good as the best: nobody chooses by less, and so few vehicles tell no less. */
const AS_GOOD = 0.02;
const MOST = 8;

const search = (build: Build): SearchResult => {
  const whole = new ShelfSearch(build, starterShelf, usualSearch);
  finish(whole.steps());
  return whole.result;
};

/** A build as a demo's is before anything is measured or chosen. */
const emptied = (build: Build): Build => ({
  ...build,
  choice: usualChoice(),
  fixes: [],
  overrides: [],
  donor: { ...emptyDonor(), kind: build.donor.kind },
});

/** Conversions one might choose: the best before anything is known, and the picks once all is. */
function conversions(bare: Build, whole: Build): Candidate[] {
  const weights = weightsFor(bare);
  const found = [search({ ...whole, choice: usualChoice(), fixes: [] }), search(bare)] as const;
  const choices = [
    ...[...new Set(Object.values(picksOf(found[0].front, weights)))]
      .slice(0, MOST / 2)
      .map((i) => found[0].front[i] as Candidate),
    ...contendersOf(found[1], weights, starterShelf).map((i) => found[1].front[i] as Candidate),
  ].map((c) => c.choice);
  // Those that are best once all is known, and those that are before anything is.
  const once = [...new Map(choices.map((c) => [JSON.stringify(c), c])).values()].slice(0, MOST);
  return once.flatMap((choice) => {
    const context = planContext({ ...bare, choice }, starterShelf);
    return chosenCandidate(context, planChosen(context)) ?? [];
  });
}

type Order = (build: Build, drawn: readonly Drawn[], left: readonly SurveyItemId[]) => readonly SurveyItemId[];

/** How many measurements it takes in an order until what one would choose is as good as what one chooses with all known. */
function untilItStands(bare: Build, whole: Build, front: readonly Candidate[], order: Order): number {
  const weights = weightsFor(bare);
  const weighed = weighedUp(
    front,
    front.map((_, i) => i),
    weights,
    starterShelf,
  );
  const draw = (build: Build): Drawn[] =>
    finish(
      drawsInSteps(
        build,
        starterShelf,
        front.map((c) => c.choice),
        Array.from({ length: DRAWS }, (_, i) => i),
      ),
    );
  const worths = (drawn: readonly Drawn[]): number[] => {
    const table = worthTable(drawn, weighed);
    return (table[0] ?? []).map((_, c) => table.reduce((sum, row) => sum + (row[c] as number), 0) / table.length);
  };
  const known = worths(draw({ ...bare, donor: { ...bare.donor, survey: whole.donor.survey } }));
  const final = known.indexOf(Math.max(...known));
  let build = bare;
  let stood = 0;
  let measured = 0;
  for (;;) {
    const drawn = draw(build);
    const now = worths(drawn);
    const chosen = now.indexOf(Math.max(...now));
    // Either the same, or one that turns out as good.
    if (chosen !== final && (known[chosen] as number) < (known[final] as number) - AS_GOOD) stood = -1;
    else if (stood < 0) stood = measured;
    const left = itemsFor(build.donor)
      .map((item) => item.id)
      .filter((id) => !isProven(build.donor.survey[id]) && isProven(whole.donor.survey[id]));
    if (left.length === 0) return stood < 0 ? measured : stood;
    const [first = left[0] as SurveyItemId, ...rest] = order(build, drawn, left);
    const now1 = [first, ...rest];
    measured += now1.length;
    const survey = { ...build.donor.survey };
    for (const id of now1) Object.assign(survey, { [id]: whole.donor.survey[id] });
    build = { ...build, donor: { ...build.donor, survey } };
  }
}

const byGain =
  (front: readonly Candidate[]): Order =>
  (build, drawn, left) => {
    const weighed = weighedUp(
      front,
      front.map((_, i) => i),
      weightsFor(build),
      starterShelf,
    );
    for (const { items } of measureFirst(build.donor, drawn, weighed)) {
      const there = items.filter((id) => left.includes(id));
      if (there.length > 0) return there;
    }
    return left.slice(0, 1);
  };
const byCount: Order = (build, _, left) => {
  const first = byVerdictsCounted(planContext(build, starterShelf)).find((id) => left.includes(id));
  return first ? [first] : left.slice(0, 1);
};
const atRandom = (seed: number): Order => {
  const next = seeded(seed);
  return (_, __, left) => [left[Math.floor(next() * left.length)] as SurveyItemId];
};

/** How many of its items somebody measured. */
const surveyed = ({ donor }: Build): number => itemsFor(donor).filter((item) => isProven(donor.survey[item.id])).length;

const median = (of: readonly number[]): number => [...of].sort((a, b) => a - b)[Math.floor(of.length / 2)] as number;

describe('measuring first, on demo donors of which nothing is known', () => {
  const rows: { name: string; gain: number; count: number; random: number }[] = [];
  const all = ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const;
  const asked = process.env.SPROCKET_DONORS?.split(',') ?? all;
  const names = process.env.SPROCKET_LONG === undefined ? [] : all.filter((n) => asked.includes(n));
  for (const name of names)
    it(`${name}: how many measurements until the choice stands`, () => {
      const whole = demoBuild(name);
      const bare = emptied(whole);
      const front = conversions(bare, whole);
      const row = {
        name,
        gain: untilItStands(bare, whole, front, byGain(front)),
        count: untilItStands(bare, whole, front, byCount),
        random: untilItStands(bare, whole, front, atRandom(1)),
      };
      rows.push(row);
      process.stdout.write(`      ${JSON.stringify(row)}\n`);
      expect(row.gain).to.be.at.most(surveyed(whole));
    }).timeout(3_000_000);

  if (names.length === all.length)
    it('in the middle of them it takes at most half as many as by verdicts counted', () => {
      expect(median(rows.map((r) => r.gain))).to.be.at.most(median(rows.map((r) => r.count)) / 2);
    });
});
