import { expect } from 'chai';
import { seats, usualRider, type Seat } from '../build/brief.ts';
import { seatRoom } from '../build/seatRoom.ts';
import { vehicleKinds, type VehicleKind } from '../donor/kinds.ts';
import { judgeAbout } from '../fit/judge.ts';
import type { Finding } from '../fit/finding.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { phraseText } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { counted } from '../../test/counted.ts';
import { runs } from '../../test/runs.ts';
import { contextOf, grade, world } from '../../test/world.ts';
import { referencePack } from './candidates.ts';
import { tallyFigures } from './figures.ts';
import { moneyOf } from './money.ts';
import { rideSheet } from './rideSheet.ts';

/** Riders of all sorts, by legs and mass. */
const riders = [
  { effort: 'none', factor: 1, massKg: 62 },
  { effort: 'easy', factor: 0.6, massKg: 54 },
  { effort: 'steady', factor: 1, massKg: 82 },
  { effort: 'brisk', factor: 1.2, massKg: 118 },
] as const;

/** A vehicle with a kit, its pack, a rider, and perhaps somebody on a seat. */
function riding(
  kind: VehicleKind,
  kitId: string,
  rider: (typeof riders)[number],
  rise: number,
  on?: [Seat, number],
): PlanContext {
  const kit = starterShelf.kit.find((k) => k.id === kitId);
  const made = world({ kind, kit: kitId });
  const pack = kit ? referencePack(contextOf(made), kit) : null;
  const there = world({
    kind,
    kit: kitId,
    pack: pack?.id ?? 'kettle-36-13',
    edit: ({ build }) => {
      build.brief.riders = [{ ...usualRider(), ...rider, ageYears: 40 }];
      build.choice.usesThrottle = rider.effort === 'none';
      if (rider.effort === 'none') build.brief.legalClass = 'powered32';
      if (on) {
        build.brief.riders.push({ ...usualRider(), name: 'Second', massKg: on[1], effort: 'none' });
        build.brief.aboard.push({ rider: 1, seat: on[0], pedals: false });
      }
    },
  });
  grade(there, rise);
  return contextOf(there);
}

function* all(): Generator<{
  context: PlanContext;
  where: string;
  kind: VehicleKind;
  kitId: string;
  rider: (typeof riders)[number];
  rise: number;
}> {
  // A few of them by turns, a quarter at length: an odd step meets every kind, kit and rider.
  const every = runs(17, 5);
  let n = 0;
  for (const kind of vehicleKinds)
    for (const { id: kitId } of starterShelf.kit)
      for (const rider of riders)
        for (const rise of [0.05, 0.14]) {
          if (n++ % every !== 0) continue;
          yield {
            context: riding(kind, kitId, rider, rise),
            where: `${kitId} on ${kind}, ${rider.effort}, ${rise}`,
            kind,
            kitId,
            rider,
            rise,
          };
        }
}

describe('what is told holds where it is told', () => {
  it('no text says that a start, a range or a seat holds where a finding says it does not', () => {
    const met = counted(6);
    for (const { context, where } of all()) {
      const { start, reckoning, band, fromRest } = context;
      if (!start || !reckoning || !band) continue;
      const found = [...judgeAbout('kit', context).findings, ...judgeAbout('plan', context).findings];
      const by = (rule: string): Finding | undefined => found.find((f) => f.rule.startsWith(rule));
      const starts = by('start-need');
      const figures = tallyFigures(context, moneyOf(context, found).money);
      const told = figures.find((f) => f.id === 'startGrade')?.value;
      // The tally tells the least of motor, grip and lift, and "starts" is said only where that is enough.
      expect(told?.si, where).to.equal(start.grade);
      expect(start.grade, where).to.be.at.most(Math.min(reckoning.startGrade, context.startCap.grade) + 1e-9);
      if (starts?.verdict === 'fits' && met(0)) expect(start.grade, where).to.be.at.least(reckoning.steepest);
      if (fromRest === 'not at all' && met(1)) expect(starts?.verdict, where).not.to.equal('fits');
      const hills = rideSheet(context)?.hills ?? [];
      for (const hill of hills)
        if (hill.fromRest === 'motor alone' && met(2)) expect(hill.grade, where).to.be.at.most(start.grade + 0.003);
      const range = by('range-need');
      const need = context.build.brief.rangeWantedM * (1 + context.build.brief.reserve);
      if (range?.verdict === 'fits' && met(3)) expect(band.lowM, where).to.be.at.least(need);
      if (range?.verdict === 'rework' && met(4)) expect(band.midM, where).to.be.at.most(need);
      // Nobody without legs is said to move by them.
      if (reckoning.system.rider.powerW === 0 && met(5))
        for (const f of found)
          expect(`${f.title} ${phraseText(f.why, 'metric')}`, where).not.to.match(
            /rider must push|with the legs’ help/,
          );
    }
    met.enough();
  }).timeout(900_000);

  it('adding a person never lightens, never lets it start steeper or climb faster', () => {
    const met = counted();
    for (const { context, where, kind, kitId, rider, rise } of all()) {
      for (const seat of seats) {
        if (seat === 'main' || seatRoom(seat, context.build.donor).places === 0) continue;
        const two = riding(kind, kitId, rider, rise, [seat, 14]);
        expect(two.systemMassKg, where).to.be.closeTo(context.systemMassKg + 14, 1e-9);
        if (!two.reckoning || !context.reckoning) continue;
        if (met()) expect(two.reckoning.startGrade, where).to.be.at.most(context.reckoning.startGrade + 1e-9);
        expect(two.reckoning.climb.speedMs, where).to.be.at.most(context.reckoning.climb.speedMs + 1e-6);
      }
    }
    met.enough();
  }).timeout(900_000);
});
