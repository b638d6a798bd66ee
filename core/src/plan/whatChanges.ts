import { postureOn, ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import type { Pack } from '../parts/pack.ts';
import { amount, type Amount } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { reckon } from '../vehicle/reckon.ts';
import type { FigureId } from './figure.ts';

/** One thing that could be otherwise, and what the figure would then be. */
export interface WhatChange {
  text: string;
  value: Amount;
  delta: Amount;
}

interface Trial {
  text: string;
  build?: Build;
  pack?: Pack;
  ring?: number;
}

/**
 * What would change a figure and by how much: the models run again with one thing otherwise.
 * Empty where kit or pack are not chosen. Largest effect first.
 */
export function whatWouldChange(context: PlanContext, figure: FigureId): WhatChange[] {
  const { build, kit, pack, gearing } = context;
  if (!kit || !pack || figure === 'price') return [];
  const read = (b: Build, p: Pack, ring: number): Amount => {
    const trial = (b === build ? context : context.on(b)).with(kit, p);
    if (figure === 'mass') return amount(trial.systemMassKg, 'mass');
    const r = reckon(b, { ...trial.asItWillBe, gearing: { ...gearing, ring } }, trial.road);
    if (figure === 'range') return amount(r.toEmpty.distanceM, 'way');
    if (figure === 'topSpeed') return amount(r.top.speedMs, 'speed');
    if (figure === 'startGrade') return amount(Math.min(r.startGrade, trial.startCap.grade), 'grade');
    return amount(r.climb.speedMs, 'speed');
  };
  const { brief } = build;
  const steers = brief.aboard[0]?.rider ?? 0;
  const riders = brief.riders.map((rider, i) => (i === steers ? { ...rider, massKg: rider.massKg - 10 } : rider));
  const harder = brief.riders.map((rider, i) =>
    i === steers
      ? {
          ...rider,
          factor: rider.factor * 1.3,
        }
      : rider,
  );
  const trials: Trial[] = [
    { text: '10 kg less', build: { ...build, brief: { ...brief, riders } } },
    // Who has no legs to give is never told to give more.
    ...(ridingNow(brief).effort === 'none'
      ? []
      : [{ text: 'the rider gives a third more', build: { ...build, brief: { ...brief, riders: harder } } }]),
    { text: 'cruising 3 km/h slower', build: { ...build, brief: { ...brief, cruiseMs: brief.cruiseMs - 3 / 3.6 } } },
    { text: 'at freezing point', build: { ...build, brief: { ...brief, temperatureC: 0 } } },
    {
      text: '3 m/s of wind against',
      build: { ...build, brief: { ...brief, headwindMs: brief.headwindMs + 3, thereAndBack: false } },
    },
    {
      text: 'one more row of cells in parallel',
      pack: { ...pack, parallel: pack.parallel + 1, massKg: pack.massKg * (1 + 0.8 / pack.parallel) },
    },
    ...(kit.mid ? [{ text: `a ring of ${gearing.ring - 6} teeth`, ring: gearing.ring - 6 }] : []),
    ...(postureOn(brief, build.donor.kind) === 'upright'
      ? [{ text: 'leaning on a flat bar', build: { ...build, brief: { ...brief, posture: 'flatBar' as const } } }]
      : []),
  ];
  const now = read(build, pack, gearing.ring);
  return trials
    .map((trial): WhatChange => {
      const value = read(trial.build ?? build, trial.pack ?? pack, trial.ring ?? gearing.ring);
      return { text: trial.text, value, delta: { ...value, si: value.si - now.si } };
    })
    .filter((change) => Math.abs(change.delta.si) > Math.abs(now.si) * 0.003)
    .sort((a, b) => Math.abs(b.delta.si) - Math.abs(a.delta.si));
}
