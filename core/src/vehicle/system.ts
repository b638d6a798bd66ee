import { ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import {
  DRAG_AREA,
  DRAG_AREA_PANNIERS,
  DRAG_AREA_TRAILER,
  DRIVETRAIN_EFFICIENCY,
  EFFORT_WATTS,
  ROTATING_MASS_FURTHER_WHEEL,
  ROTATING_MASS_TWO_WHEELS,
  SMALL_WHEEL_ROLLING,
  TOP_CADENCE_RPM,
  TYRE_ROLLING,
} from '../constants.ts';
import { isTrike } from '../donor/kinds.ts';
import { motorPlace } from '../parts/kit.ts';
import { tyreRadius, type TyreSize } from '../quantity/tyre.ts';
import type { RideSystem } from '../ride/system.ts';
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

export function dragArea(build: Build): number {
  const { posture, panniers, trailer } = build.brief;
  return DRAG_AREA[posture] + (panniers ? DRAG_AREA_PANNIERS : 0) + (trailer ? DRAG_AREA_TRAILER : 0);
}

/** Speed at which help ends, m/s: as set, else the kit’s own; undefined where nothing limits it. */
export function assistLimit(build: Build, vehicle: Pick<Vehicle, 'kit'>): number | undefined {
  return build.choice.assistLimitMs ?? vehicle.kit?.assistLimitMs;
}

/** The ride model's inputs for a vehicle with kit and pack. Throws where either is missing. */
export function systemOf(build: Build, vehicle: Vehicle): RideSystem {
  const { brief, choice, donor } = build;
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
      health: 1,
    },
    vehicle: {
      massKg: vehicle.massKg,
      rotatingKg: ROTATING_MASS_TWO_WHEELS + (isTrike(donor.kind) ? ROTATING_MASS_FURTHER_WHEEL : 0),
      cdaM2: dragArea(build),
      crr: tyreRolling(tyres.rear),
      wheelRadiusM: tyreRadius(kit.hub?.place === 'front' ? tyres.front : tyres.rear),
      ring: gearing.ring,
      cogs,
      fixedCog: rider.neverShifts ? middle : null,
      drivetrainEfficiency: DRIVETRAIN_EFFICIENCY[gearing.drivetrain],
    },
    rider: {
      powerW: choice.usesThrottle && kit.throttle ? 0 : EFFORT_WATTS[rider.effort] * rider.factor,
      maxCadenceRpm: TOP_CADENCE_RPM,
    },
    air: { altitudeM: brief.altitudeM, temperatureC: brief.temperatureC, headwindMs: brief.headwindMs },
  };
  return { ...system, rider: { ...system.rider, assist: helpOf(build, kit, system).law } };
}
