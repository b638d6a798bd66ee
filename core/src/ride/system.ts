import type { ControllerModel, MotorModel } from '../drive/motor.ts';
import type { PackModel } from '../pack/battery.ts';

/** What moves, as the ride model needs it. */
export interface VehicleModel {
  /** Everything that moves, kg. */
  massKg: number;
  /** Extra mass that stands for what spins, kg. */
  rotatingKg: number;
  cdaM2: number;
  crr: number;
  wheelRadiusM: number;
  ring: number;
  /** Cogs on offer, teeth; hub gears as cog ÷ internal ratio. Ties go to the earlier. */
  cogs: readonly number[];
  /** The one cog of a rider who never shifts, or null for a keen shifter. */
  fixedCog: number | null;
  drivetrainEfficiency: number;
}

/**
 * Who gives first. `fill`: the legs, and the motor what is missing, as a frugal hand on a throttle does. `level`: a
 * cadence sensor or throttle turns the motor on whatever the legs do, up to so many watts at the tyre. `proportional`:
 * a torque sensor has the motor give so many times what the legs give.
 */
export type AssistLaw = { law: 'fill' } | { law: 'level'; levelW: number } | { law: 'proportional'; gain: number };

export interface RiderModel {
  /** Sustained power at the pedals, W. */
  powerW: number;
  /** Cadence at which the rider gives nothing more, rpm. */
  maxCadenceRpm: number;
  /** Absent: `fill`. */
  assist?: AssistLaw | undefined;
}

export interface AirModel {
  altitudeM: number;
  temperatureC: number;
  /** Against travel, m/s; negative from behind. */
  headwindMs: number;
}

/** Everything the ride model needs but the road itself. */
export interface RideSystem {
  motor: MotorModel;
  controller: ControllerModel;
  pack: PackModel;
  vehicle: VehicleModel;
  rider: RiderModel;
  air: AirModel;
}

/** A stretch of road with one grade, one target speed and perhaps a stop at its start. */
export interface RouteSegment {
  lengthM: number;
  /** Rise over run. */
  grade: number;
  targetMs: number;
  stop: boolean;
  /** Rolling resistance the surface adds; 0 where absent. */
  surfaceCrr?: number | undefined;
  /** Headwind of this stretch, m/s; the air's own where absent. */
  headwindMs?: number | undefined;
}
