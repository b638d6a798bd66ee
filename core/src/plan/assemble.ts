import { ridingNow, type Build } from '../build.ts';
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
import { commonFrame } from '../donor/common.ts';
import { motorPlace, type Kit, type Pack } from '../parts/part.ts';
import { tyreRadius, type TyreSize } from '../quantity/tyre.ts';
import type { RideSystem } from '../ride/system.ts';
import type { Gearing } from './choose.ts';

/** One line of the mass: what, and how many kg. */
export interface MassLine {
  label: string;
  kg: number;
  known: boolean;
}

/** Everything that moves, line by line. The wheel a kit replaces is not taken off: the sum errs heavy. */
export function massLines(build: Build, kit: Kit | null, pack: Pack | null): MassLine[] {
  const { brief, donor } = build;
  const rider = ridingNow(brief);
  const own = donor.survey.vehicleMass;
  return [
    { label: rider.name === '' ? 'Rider' : rider.name, kg: rider.massKg, known: true },
    { label: 'Load', kg: brief.cargoKg, known: true },
    { label: 'Vehicle', kg: own?.value ?? commonFrame[donor.kind].vehicleMass, known: own !== undefined },
    ...(kit ? [{ label: kit.name, kg: kit.massKg, known: true }] : []),
    ...(pack ? [{ label: pack.name, kg: pack.massKg, known: true }] : []),
  ];
}

export function totalMass(lines: readonly MassLine[]): number {
  return lines.reduce((sum, line) => sum + line.kg, 0);
}

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

/** Tyre of the wheel that is driven, or of the rear wheel for a mid-drive. */
export function drivenTyre(build: Build, kit: Kit): TyreSize {
  const { survey, kind } = build.donor;
  return kit.hub?.place === 'front'
    ? (survey.frontTyre?.value ?? commonFrame[kind].frontTyre)
    : (survey.rearTyre?.value ?? commonFrame[kind].tyre);
}

/** The ride model's inputs for a build with a kit, a pack and gears. */
export function assembleSystem(build: Build, kit: Kit, pack: Pack, gearing: Gearing): RideSystem {
  const { brief, choice, donor } = build;
  const rider = ridingNow(brief);
  const rearTyre = donor.survey.rearTyre?.value ?? commonFrame[donor.kind].tyre;
  const limit = choice.assistLimitMs ?? kit.assistLimitMs;
  const cogs = gearing.gears.map((gear) => gear.cog);
  const middle = cogs[Math.floor(cogs.length / 2)] as number;
  return {
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
      massKg: totalMass(massLines(build, kit, pack)),
      rotatingKg: ROTATING_MASS_TWO_WHEELS + (isTrike(donor.kind) ? ROTATING_MASS_FURTHER_WHEEL : 0),
      cdaM2: dragArea(build),
      crr: tyreRolling(rearTyre),
      wheelRadiusM: tyreRadius(drivenTyre(build, kit)),
      ring: gearing.ring,
      cogs,
      fixedCog: rider.neverShifts ? middle : null,
      drivetrainEfficiency: DRIVETRAIN_EFFICIENCY[gearing.drivetrain],
    },
    rider: {
      powerW: choice.usesThrottle ? 0 : EFFORT_WATTS[rider.effort] * rider.factor,
      maxCadenceRpm: TOP_CADENCE_RPM,
    },
    air: { altitudeM: brief.altitudeM, temperatureC: brief.temperatureC, headwindMs: brief.headwindMs },
  };
}
