import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { unknowns } from '../build/tuned.ts';
import { SPREAD } from '../constants.ts';
import { normalFrom } from '../quantity/random.ts';
import { cutRoute } from '../ride/simulate.ts';
import type { RouteSegment } from '../ride/system.ts';
import { finish } from '../steps.ts';
import { beliefBefore, energyOf, tuneInSteps, type Prior, type TuneJob, type TuneRide } from './tune.ts';

/** How far a plan’s own figures are known before any ride: the spread every plan supposes. */
export const usualPrior: Prior = {
  cdaM2: SPREAD.dragArea,
  crr: SPREAD.rolling,
  riderPowerW: SPREAD.riderPower,
  health: SPREAD.health,
};

/** What made-up logs showed of the tuning: shares, and mean errors in the logarithm. */
export interface TuneLab {
  logs: number;
  /** Of forecasts after eight rides and before the first, how many held the truth between their 10 and 90 %. */
  inBand: number;
  inBandBefore: number;
  errorBefore: number;
  errorAfter: number;
  planted: number;
  /** Of odd rides planted, and of honest ones, how many were called odd. */
  oddFound: number;
  falseAlarms: number;
}

const RIDES = 8;
const FORECASTS = 3;
/** An odd ride takes so many times what it would have, or so much less. */
const ODD_TIMES = 1.5;

/**
 * Made-up logs of a system: the unknowns drawn by the usual prior, eight rides over drawn roads with a meter’s or a wall
 * meter’s error, in every other log one odd ride; then three rides foretold. The same for the same seed.
 */
export function tuneLab(system: TuneJob['system'], logs: number, seed: number): TuneLab {
  const random = xoroshiro128plus(Math.imul(seed + 1, 0x9e3779b1) | 0);
  const uniform = (): number => uniformFloat64(random);
  const normal = (): number => normalFrom(uniform);
  const drawn = (): TuneRide => {
    const segments: RouteSegment[] = [];
    const wanted = 4000 + uniform() * 12_000;
    const hilly = uniform();
    for (let lengthM = 0; lengthM < wanted;) {
      const piece = 200 + uniform() * 800;
      segments.push({
        lengthM: piece,
        grade: (uniform() - 0.5) * 0.12 * hilly,
        targetMs: 4 + uniform() * 4,
        stop: uniform() < 0.4,
        surfaceCrr: uniform() < 0.3 ? 0.004 : 0,
      });
      lengthM += piece;
    }
    const headwindMs = (uniform() - 0.5) * 8;
    return {
      road: cutRoute(segments, headwindMs),
      air: { altitudeM: 100, temperatureC: 5 + uniform() * 20, headwindMs },
      loadKg: uniform() * 15,
      startCharge: 0.8 + 0.2 * uniform(),
    };
  };
  const sum = { inBand: 0, inBandBefore: 0, before: 0, after: 0, planted: 0, found: 0, honest: 0, alarms: 0 };
  for (let log = 0; log < logs; log++) {
    const truth = unknowns.map((u) => usualPrior[u] * normal());
    const odd = log % 2 === 1 ? Math.floor(uniform() * RIDES) : -1;
    const before = beliefBefore(usualPrior);
    const forecast = Array.from({ length: FORECASTS }, drawn);
    const bare: TuneJob = { system, before, rides: [], forecast, fine: false };
    const rides = Array.from({ length: RIDES }, (_, i) => {
      const ride = drawn();
      const energySd = uniform() < 0.7 ? 0.03 : 0.07;
      const times = i !== odd ? 1 : uniform() < 0.5 ? ODD_TIMES : 1 / ODD_TIMES;
      return { ...ride, energySd, energyWh: energyOf(bare, ride, truth) * Math.exp(energySd * normal()) * times };
    });
    const after = finish(tuneInSteps({ ...bare, rides }));
    const first = finish(tuneInSteps(bare));
    forecast.forEach((ride, i) => {
      const is = energyOf(bare, ride, truth);
      const [then, now] = [first, after].map((t) => (t.forecast[i] as (typeof t.forecast)[number]).energyWh) as [
        { p10: number; p50: number; p90: number },
        { p10: number; p50: number; p90: number },
      ];
      sum.inBandBefore += Number(is >= then.p10 && is <= then.p90);
      sum.inBand += Number(is >= now.p10 && is <= now.p90);
      sum.before += Math.abs(Math.log(then.p50 / is));
      sum.after += Math.abs(Math.log(now.p50 / is));
    });
    after.rides.forEach((ride, i) => {
      if (i === odd) {
        sum.planted++;
        sum.found += Number(ride.odd);
      } else {
        sum.honest++;
        sum.alarms += Number(ride.odd);
      }
    });
  }
  const all = Math.max(1, logs * FORECASTS);
  return {
    logs,
    inBand: sum.inBand / all,
    inBandBefore: sum.inBandBefore / all,
    errorBefore: sum.before / all,
    errorAfter: sum.after / all,
    planted: sum.planted,
    oddFound: sum.found / Math.max(1, sum.planted),
    falseAlarms: sum.alarms / Math.max(1, sum.honest),
  };
}
