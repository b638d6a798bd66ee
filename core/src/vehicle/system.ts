import { peopleAboard, postureOn, ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { legsOf } from '../build/legs.ts';
import {
  DRAG_AREA,
  DRAG_AREA_PANNIERS,
  ROTATING_MASS_FURTHER_WHEEL,
  ROTATING_MASS_TWO_WHEELS,
  SMALL_WHEEL_ROLLING,
  TOP_CADENCE_RPM,
  TYRE_ROLLING,
} from '../constants.ts';
import { isTrike } from '../donor/kinds.ts';
import { motorPlace, type Kit } from '../parts/kit.ts';
import { tyreRadius, type TyreSize } from '../quantity/tyre.ts';
import type { RideSystem } from '../ride/system.ts';
import { packHealth } from '../pack/health.ts';
import { trailerLoads } from '../safety/trailer.ts';
import { toldBy } from './told.ts';
import { misread } from './asSet.ts';
import { helpOf } from './assist.ts';
import type { Vehicle } from './vehicle.ts';

/** Rolling resistance of a tyre on smooth asphalt, from its width and wheel size. */
export function tyreRolling(tyre: TyreSize): number {
  const w = tyre.widthM;
  const base =
    w <= 0.034
      ? TYRE_ROLLING.road
      : w <= 0.05
        ? TYRE_ROLLING.city
        : w <= 0.07
          ? TYRE_ROLLING.knobbly
          : TYRE_ROLLING.fat;
  return tyre.beadM < 0.4 ? base * SMALL_WHEEL_ROLLING : base;
}

/** Drag area of the posture with panniers, people in seats of their own and a trailer, as tests tuned it, m². */
export function dragArea(build: Build): number {
  const { brief } = build;
  const apart = peopleAboard(brief).filter((p) => p.seat !== 'main' && p.seat !== 'second' && p.seat !== 'box').length;
  return (
    (DRAG_AREA[postureOn(brief, build.donor.kind)] +
      ((brief.panniers ? 1 : 0) + apart) * DRAG_AREA_PANNIERS +
      (brief.trailer?.cdaM2 ?? 0)) *
    (build.tuned.dragArea?.times ?? 1) *
    toldBy(build, 'cdaM2')
  );
}

/**
 * Rolling resistance of all that moves: each wheel's tyre by the load on it. Front and rear of the vehicle count as the
 * rear tyre; a trailer's tyres roll under what stands on its own axle, a pack that was put there with it. As tests tuned it.
 */
function rollingOf(build: Build, vehicle: Vehicle): number {
  const { trailer } = build.brief;
  const tuned = (build.tuned.rolling?.times ?? 1) * toldBy(build, 'crr');
  const own = tyreRolling(vehicle.tyres.rear) * tuned;
  if (!trailer) return own;
  const onIt = vehicle.pack && build.choice.packPlace === 'trailer' ? vehicle.pack.massKg : 0;
  const share = trailerLoads(trailer, onIt).axleKg / vehicle.massKg;
  return own * (1 - share) + tyreRolling(trailer.tyre) * tuned * share;
}

/** Watts at the pedals of everybody who drives it, with the throttle or without. */
export function legsW(build: Build, kit: Kit): number {
  if (build.choice.usesThrottle && kit.throttle) return 0;
  return toldBy(build, 'riderPowerW') * legsOf(build.brief);
}

/**
 * Speed at which help ends, m/s: as set, else the kit’s own, as its wheel is counted; undefined where nothing limits
 * it.
 */
export function assistLimit(build: Build, { kit }: Pick<Vehicle, 'kit'>): number | undefined {
  const { choice } = build;
  const limit = choice.assistLimitMs ?? kit?.assistLimitMs;
  // Only the kit that was set reads as it was set.
  return limit === undefined || kit?.id !== choice.kitId || !kit ? limit : limit * misread(build, kit);
}

/** The ride model's inputs for a vehicle with kit and pack. Throws where either is missing. */
export function systemOf(build: Build, vehicle: Vehicle): RideSystem {
  const { brief, donor } = build;
  const { kit, pack, gearing, tyres } = vehicle;
  if (!kit || !pack) throw new RangeError('a ride needs a kit and a pack');
  const rider = ridingNow(brief);
  const limit = assistLimit(build, vehicle);
  const cogs = gearing.gears.map((gear) => gear.cog);
  const middle = cogs[Math.floor(cogs.length / 2)] as number;
  const system: RideSystem = {
    motor: { ...kit.motor, place: motorPlace(kit) },
    controller: {
      batteryLimitA: kit.controller.batteryLimitA,
      phaseLimitA: kit.controller.phaseLimitA,
      efficiency: kit.controller.efficiency,
      standingW: kit.controller.standingW,
      ...(limit === undefined ? {} : { assistLimitMs: limit }),
    },
    pack: {
      chemistry: pack.chemistry,
      series: pack.series,
      parallel: pack.parallel,
      cellAh: pack.cellAh,
      cellOhm: pack.cellOhm,
      leadOhm: pack.leadOhm,
      cutoffVPerCell: Math.max(pack.cutoffVPerCell, kit.controller.cutoffVolts / pack.series),
      usable: pack.usable,
      health: Math.min(1, packHealth(pack) * (build.tuned.rides?.packId === pack.id ? toldBy(build, 'health') : 1)),
      resistanceRise: pack.resistanceRise,
    },
    vehicle: {
      massKg: vehicle.massKg,
      rotatingKg:
        ROTATING_MASS_TWO_WHEELS +
        ((isTrike(donor.kind) ? 1 : 0) + (brief.trailer?.wheels ?? 0)) * ROTATING_MASS_FURTHER_WHEEL,
      cdaM2: dragArea(build),
      crr: rollingOf(build, vehicle),
      wheelRadiusM:
        build.tuned.rolledM === null
          ? tyreRadius(kit.hub?.place === 'front' ? tyres.front : tyres.rear)
          : build.tuned.rolledM.is / (2 * Math.PI),
      ring: gearing.ring,
      cogs,
      fixedCog: rider.neverShifts ? middle : null,
      drivetrainEfficiency: gearing.efficiency,
    },
    rider: {
      powerW: legsW(build, kit),
      maxCadenceRpm: TOP_CADENCE_RPM,
    },
    air: { altitudeM: brief.altitudeM, temperatureC: brief.temperatureC, headwindMs: brief.headwindMs },
  };
  return { ...system, rider: { ...system.rider, assist: helpOf(build, kit, system).law } };
}
