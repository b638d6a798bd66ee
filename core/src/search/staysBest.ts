import type { Build } from '../build/build.ts';
import type { Choice } from '../build/choice.ts';
import { type Part, type Shelf, withParts } from '../parts/part.ts';
import { chanceOf } from '../plan/aims.ts';
import { neededRange, type Route } from '../build/brief.ts';
import type { Steps } from '../steps.ts';
import { positionOf } from './draws.ts';
import { Bench } from './tracked.ts';

/** What may come otherwise than it is planned for. */
export const scenarioIds = ['asPlanned', 'heavier', 'headwind', 'frost', 'aged', 'steeper'] as const;
export type ScenarioId = (typeof scenarioIds)[number];
export const scenarioWords: Record<ScenarioId, string> = {
  asPlanned: 'As planned',
  heavier: '20 kg more aboard',
  headwind: 'Headwind of 18 km/h',
  frost: '−5 °C',
  aged: 'Battery worn to 80 %',
  steeper: 'Hills 2 % steeper',
};

/** What counts as a hill, rise over run. */
const HILL = 0.03;

/** A road whose hills are steeper by so much, up and down. */
function steeper(route: Route, by: number): Route {
  let added = 0;
  const points = route.points.map((p, i) => {
    const before = route.points[i - 1];
    if (before) {
      const run = p.distanceM - before.distanceM;
      const grade = run > 0 ? (p.elevationM - before.elevationM) / run : 0;
      if (Math.abs(grade) >= HILL) added += Math.sign(grade) * by * run;
    }
    return { ...p, elevationM: p.elevationM + added };
  });
  return { ...route, id: `${route.id}-steeper`, points };
}

/** A battery at eight tenths of what it holds; any other part as it is. */
const worn = (part: Part): Part => (part.kind === 'pack' ? { ...part, health: (part.health ?? 1) * 0.8 } : part);

/** Build and shelf as they would be then. */
function under(id: ScenarioId, build: Build, shelf: Shelf): { build: Build; shelf: Shelf } {
  const { brief } = build;
  const withBrief = (change: Partial<Build['brief']>): { build: Build; shelf: Shelf } => ({
    build: { ...build, brief: { ...brief, ...change } },
    shelf,
  });
  switch (id) {
    case 'asPlanned':
      return { build, shelf };
    case 'heavier':
      return withBrief({ cargoKg: brief.cargoKg + 20 });
    case 'headwind':
      return withBrief({ headwindMs: Math.max(5, brief.headwindMs), windFrom: null });
    case 'frost':
      return withBrief({ temperatureC: Math.min(brief.temperatureC, -5) });
    case 'aged':
      return { build: { ...build, ownParts: build.ownParts.map(worn) }, shelf: withParts(shelf, shelf.pack.map(worn)) };
    case 'steeper':
      return withBrief({ route: brief.route && steeper(brief.route, 0.02) });
  }
}

/** What a conversion does then: chance of the way with its reserve, and whether it starts on the steepest by itself. */
export interface Stays {
  chance: number | null;
  starts: boolean | null;
}

/** For each scenario each conversion: whether it still does what is asked. A scenario a step. */
export function* staysBestInSteps(
  build: Build,
  starter: Shelf,
  choices: readonly Choice[],
): Steps<Record<ScenarioId, Stays[]>> {
  const out = {} as Record<ScenarioId, Stays[]>;
  for (const id of scenarioIds) {
    const then = under(id, build, starter);
    const bench = new Bench(then.build, then.shelf);
    out[id] = choices.map((choice): Stays => {
      const position = positionOf(choice);
      if (!position) return { chance: null, starts: null };
      const context = bench.set(position);
      const { band, steady } = context;
      return {
        chance: band && chanceOf(band, neededRange(then.build.brief)),
        starts: steady && Math.min(steady.startGrade, context.startCap.grade) >= context.steepest,
      };
    });
    yield;
  }
  return out;
}
