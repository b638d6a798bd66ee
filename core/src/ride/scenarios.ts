import { heaviestRider, ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { EFFORT_WATTS } from '../constants.ts';
import { simulate } from './simulate.ts';
import { cutRoute } from './simulate.ts';
import { routeSegments } from './route.ts';
import type { RideSystem } from './system.ts';
import type { Route } from '../build/brief.ts';

/** A way the same ride could go otherwise. */
export interface Scenario {
  id: 'asPlanned' | 'cold' | 'agedPack' | 'headwindHome' | 'throttleOnly' | 'frugal' | 'heaviest' | 'allAtOnce';
  words: string;
  rangeM: number;
  whPerKm: number;
  timeS: number;
  walked: boolean;
  /** Reaches the wanted range with its reserve. */
  enough: boolean;
}

/** What a scenario changes. Source: project; a pack at the end of its life, a raw day, a strong wind. */
const COLD_C = -5;
const AGED_HEALTH = 0.8;
const WIND_HOME = 5;

/**
 * The ride as planned, six ways it goes worse, and a frugal rider's, each a single run of the same models.
 * @param wantedM range with reserve, m
 */
export function scenarios(build: Build, system: RideSystem, route: Route, wantedM: number): Scenario[] {
  const { brief } = build;
  const rider = ridingNow(brief);
  const heaviest = heaviestRider(brief);
  const cold = (s: RideSystem): RideSystem => ({
    ...s,
    air: { ...s.air, temperatureC: Math.min(s.air.temperatureC, COLD_C) },
  });
  const aged = (s: RideSystem): RideSystem => ({
    ...s,
    pack: { ...s.pack, health: Math.min(s.pack.health, AGED_HEALTH) },
  });
  const throttle = (s: RideSystem): RideSystem => ({
    ...s,
    rider: { ...s.rider, powerW: EFFORT_WATTS.none, assist: { law: 'fill' } },
  });
  const frugal = (s: RideSystem): RideSystem => ({ ...s, rider: { ...s.rider, assist: { law: 'fill' } } });
  const heavy = (s: RideSystem): RideSystem => ({
    ...s,
    vehicle: { ...s.vehicle, massKg: s.vehicle.massKg + heaviest - rider.massKg },
  });
  const plain = routeSegments(route, brief);
  // On the way home, or for the second half of a road one way, the wind stands against.
  const half = plain.reduce((sum, seg) => sum + seg.lengthM, 0) / 2;
  let at = 0;
  const windy = plain.map((seg) => {
    at += seg.lengthM;
    return at > half ? { ...seg, headwindMs: Math.max(seg.headwindMs ?? 0, WIND_HOME) } : seg;
  });
  const run = (id: Scenario['id'], words: string, s: RideSystem, segments = plain): Scenario => {
    const ride = simulate(s, cutRoute(segments, 0), { repeat: true, fine: true });
    return {
      id,
      words,
      rangeM: ride.distanceM,
      whPerKm: ride.whPerKm,
      timeS: ride.pass.timeS,
      walked: ride.pass.walkSteps > 0,
      enough: ride.distanceM >= wantedM,
    };
  };
  return [
    run('asPlanned', 'as planned', system),
    run('cold', 'a raw day, −5 °C', cold(system)),
    run('agedPack', 'the pack worn to 80 %', aged(system)),
    run('headwindHome', '18 km/h of wind against on the way home', system, windy),
    run('throttleOnly', 'throttle only, no legs', throttle(system)),
    run('frugal', 'a frugal rider: legs first, the motor for the rest', frugal(system)),
    ...(heaviest > rider.massKg ? [run('heaviest', 'the heaviest rider', heavy(system))] : []),
    run('allAtOnce', 'all of it at once', throttle(heavy(aged(cold(system)))), windy),
  ];
}
