import type { StageId } from '../build/stage.ts';
import type { Finding } from '../fit/finding.ts';
import { holdsBack } from '../fit/override.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { billOf, type BillSheet } from '../work/bill.ts';
import { add, type Point } from '../donor/frames/point.ts';
import type { RemedyPlace } from '../build/remedy.ts';
import type { Money } from './money.ts';

/** Stage that a choice by name is made on, by where the part goes. */
const ofPlace: Partial<Record<string, StageId>> = { pack: 'pack', leads: 'wiring', bar: 'wiring', bracket: 'drive' };

/** The bill of what is chosen: the tally's own lines with what was decided of each, and what holds it. */
export function billSheet(context: PlanContext, money: Money, findings: readonly Finding[]): BillSheet {
  const { build, shelf } = context;
  const stages = new Map(findings.map((f) => [f.rule, f.stage]));
  return billOf(
    money.lines,
    build.bill,
    shelf,
    (part) => holdsBack(findings.filter((f) => f.subject === part)).map(({ rule, title }) => ({ rule, title })),
    (by, place) =>
      stages.get(by) ??
      (by === 'choice' || by === 'charger'
        ? (ofPlace[place] ?? 'drive')
        : by === 'wiring'
          ? 'wiring'
          : by === 'bench'
            ? 'build'
            : undefined),
  );
}

/** Places on the vehicle itself. */
export type SpotPlace = Exclude<RemedyPlace, 'bench'>;

/** Where on the side view each place is, for a mark beside it. */
export function placeSpots({ geometry: g }: PlanContext, packAt: Point | null): Record<SpotPlace, Point> {
  const up = (p: Point, y: number): Point => add(p, { x: 0, y });
  const middle = packAt ?? { x: (g.bracket.x + g.headBottom.x) / 2, y: (g.bracket.y + g.headBottom.y) / 2 };
  return {
    'rear axle': g.rearAxle,
    'front axle': g.frontAxle,
    'rear wheel': up(g.rearAxle, g.rearRadiusM * 0.7),
    'front wheel': up(g.frontAxle, g.frontRadiusM * 0.7),
    'rear brake': add(g.rearAxle, { x: 0.12, y: g.rearRadiusM }),
    'front brake': add(g.frontAxle, { x: -0.12, y: g.frontRadiusM }),
    fork: { x: (g.headBottom.x + g.frontAxle.x) / 2, y: (g.headBottom.y + g.frontAxle.y) / 2 },
    bracket: g.bracket,
    frame: { x: (g.bracket.x + g.seatTop.x) / 2, y: (g.bracket.y + g.seatTop.y) / 2 },
    chain: { x: (g.bracket.x + g.rearAxle.x) / 2, y: (g.bracket.y + g.rearAxle.y) / 2 - 0.04 },
    bar: g.grip,
    'left lever': add(g.grip, { x: -0.02, y: -0.05 }),
    'right lever': add(g.grip, { x: 0.06, y: -0.05 }),
    levers: add(g.grip, { x: 0.08, y: 0 }),
    leads: g.headTop,
    pack: middle,
    rack: g.rackDeck.from,
    'front carrier': up(g.frontAxle, g.frontRadiusM + 0.12),
    seat: g.seatTop,
    stand: add(g.bracket, { x: -0.1, y: -0.12 }),
    donor: up(g.rearAxle, -g.rearRadiusM * 0.6),
  };
}
