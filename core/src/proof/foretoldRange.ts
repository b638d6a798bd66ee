import { CONDITION_ERROR, NORMAL_90, SPREAD } from '../constants.ts';
import { capacityAh } from '../pack/battery.ts';
import { amount } from '../quantity/format.ts';
import type { SumLine } from '../quantity/sum.ts';
import { flatRoute } from '../ride/route.ts';
import { simulate } from '../ride/simulate.ts';
import {
  drawnRide,
  drawOf,
  percentile,
  spreadInputs,
  spreadInputWords,
  type Band3,
  type Draw,
  type SpreadInput,
} from '../ride/spread.ts';
import { ridesSpread } from '../vehicle/told.ts';
import { INSTRUMENT, type Band } from './band.ts';
import type { BandFrom, DrawnRides } from './test.ts';

/** Range until it fades, and energy a kilometre, over the build's own road on that day. */
export function rangeOn(from: BandFrom): RangeTold | null {
  let told = rides.get(from);
  if (told === undefined) rides.set(from, (told = rangeAsked(from)));
  return told;
}

interface RangeTold {
  range: Band;
  whPerM: Band;
}

/** Two tests ask for the same rides. */
const rides = new WeakMap<BandFrom, RangeTold | null>();

/** How far an input of the spread is known on that day, as a share of what every plan supposes. */
function known(input: SpreadInput, { conditions }: Pick<BandFrom, 'conditions'>): number {
  const { headwindMs, temperatureC, massKg } = conditions;
  if (input === 'windSpeed' && headwindMs !== null) return CONDITION_ERROR.windMs / SPREAD.windMs;
  if (input === 'temperature' && temperatureC !== null) return CONDITION_ERROR.temperatureK / SPREAD.temperatureK;
  if (input === 'load' && massKg !== null) return CONDITION_ERROR.mass / SPREAD.load;
  return 1;
}

/** Rides of that day drawn by the plan's spread: percentiles of the way until it fades, m, and of the use, Wh/m. */
export function drawnRides(from: Omit<BandFrom, 'drawn'>, count: number, seed: number): DrawnRides {
  const { context, on } = from;
  const { brief } = context.build;
  const job = {
    system: on.system,
    route: brief.route ?? flatRoute,
    brief: { ...brief, route: null },
    told: ridesSpread(context.build),
  };
  const ways: number[] = [];
  const uses: number[] = [];
  for (let i = 0; i < count; i++) {
    const draw = drawOf(seed, i);
    for (const input of spreadInputs) draw[input] *= known(input, from);
    const { system, road } = drawnRide(job, draw);
    const { distanceM, pass } = simulate(system, road, { repeat: true, fine: true, startCharge: on.charge });
    ways.push(distanceM);
    uses.push(pass.energyWh / Math.max(1, pass.distanceM));
  }
  const band = (values: number[]): Band3 => {
    const ascending = values.sort((a, b) => a - b);
    return { p10: percentile(ascending, 0.1), p50: percentile(ascending, 0.5), p90: percentile(ascending, 0.9) };
  };
  return { way: band(ways), use: band(uses) };
}

/**
 * The road ridden once at the middle and once for each input of the spread moved by one standard deviation either way,
 * as draws do. In the logarithm of way and use: the mean takes what the two ways have in common (a wind on a road there
 * and back, a health that cannot pass 1), the spread what parts them. Where rides were drawn for that day their own
 * percentiles stand: where a battery ends on the same hill every time, no formula follows.
 */
function rangeAsked(from: BandFrom): RangeTold | null {
  const { context, on, conditions } = from;
  const { reckoning, build, road } = context;
  if (!reckoning || context.band?.hardly) return null;
  const whole = simulate(on.system, road, { repeat: true, fine: true, startCharge: on.charge });
  const job = {
    system: on.system,
    route: build.brief.route ?? flatRoute,
    brief: { ...build.brief, route: null },
    told: ridesSpread(build),
  };
  const still = Object.fromEntries(spreadInputs.map((i) => [i, 0])) as Draw;
  const pass = (draw: Draw): { use: number; way: number } => {
    const drawn = drawnRide(job, draw);
    const { energyWh, distanceM } = simulate(drawn.system, drawn.road, { repeat: false, fine: true });
    const use = energyWh / Math.max(1, distanceM);
    return { use: Math.log(use), way: Math.log(capacityAh(drawn.system.pack, drawn.system.air.temperatureC) / use) };
  };
  const base = pass(still);
  const moved = spreadInputs.map((input) => {
    const z = known(input, from);
    return { input, up: pass({ ...still, [input]: z }), down: pass({ ...still, [input]: -z }) };
  });
  const of = (what: 'use' | 'way'): { shift: number; half: number; causes: Band['causes'] } => {
    let shift = 0;
    let variance = 0;
    const causes: Band['causes'] = [];
    for (const { input, up, down } of moved) {
      const bend = up[what] + down[what] - 2 * base[what];
      // A health that cannot pass 1 bends at a corner: that spreads a quarter of what a curve does.
      const own = ((up[what] - down[what]) / 2) ** 2 + bend ** 2 / (input === 'health' ? 8 : 2);
      shift += bend / 2;
      variance += own;
      causes.push({ words: spreadInputWords(input, job.told), half: NORMAL_90 * Math.sqrt(own) });
    }
    return { shift, half: NORMAL_90 * Math.sqrt(variance), causes: causes.sort((a, b) => b.half - a.half) };
  };
  const told = (what: 'use' | 'way', middle: number, instrument: number, sum: SumLine[]): Band => {
    const { shift, half, causes } = of(what);
    const drawn = from.drawn?.[what];
    const mid = drawn?.p50 ?? middle * Math.exp(shift);
    const [down, up] = drawn ? [Math.log(mid / drawn.p10), Math.log(drawn.p90 / mid)] : [half, half];
    const wide = Math.hypot(half, instrument);
    return {
      low: mid * Math.exp(-Math.hypot(down, instrument)),
      mid,
      high: mid * Math.exp(Math.hypot(up, instrument)),
      spread: { p10: mid * Math.exp(-down), p90: mid * Math.exp(up) },
      causes: causes.filter((c) => c.half > 0.03 * wide).map((c) => ({ words: c.words, half: c.half * mid })),
      instrument: instrument * mid,
      sum,
    };
  };
  const use = Math.exp(base.use);
  const gauge = conditions.restV === null ? CONDITION_ERROR.unlooked : 0.01;
  const sum: SumLine[] = [
    { label: 'Road', value: amount(reckoning.routeM, 'way'), from: 'Brief, ridden again and again' },
    { label: 'Charge at the start', value: amount(on.charge, 'share'), from: 'as recorded, else full' },
    { label: 'All that moves', value: amount(on.system.vehicle.massKg, 'mass', 0), from: 'as recorded, else planned' },
    { label: 'Out of the battery', value: amount(whole.energyWh, 'energy'), from: 'ride model, to empty' },
    { label: 'Use', value: amount(use, 'energyPerWay', 1), from: 'one pass over the road' },
    { label: 'Way to empty', value: amount(whole.distanceM, 'way'), from: whole.end },
  ];
  return {
    range: told('way', whole.distanceM, gauge, sum),
    whPerM: told('use', use, Math.hypot(INSTRUMENT.volts, INSTRUMENT.amps), sum),
  };
}
