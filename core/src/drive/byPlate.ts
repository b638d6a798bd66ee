import type { DriveFamily, Kit } from '../parts/kit.ts';
import { kitPeakWatts } from './kitTorque.ts';

/** What a motor's plate or its seller says, or a wheel off the ground shows. SI; the speed at the wheel, or at the ring. */
export interface MotorPlate {
  family: DriveFamily;
  /** Most it takes of its battery, W: what is rated says little of a motor's size. */
  mostW: number;
  /** The volts it was read or is sold at. */
  volts: number;
  /** Turns a minute of the wheel, or of the ring of a motor at the bracket, with nothing to drive. */
  freeRpm: number;
  /** Shaft turns a turn of the wheel or ring; 1 where it has no gear. */
  reduction: number;
  gearEfficiency: number;
}

/** What follows from it, each with one standard deviation as a share. */
export interface WorkedOut {
  ktNmPerA: number;
  ktSpread: number;
  resistanceOhm: number;
  resistanceSpread: number;
}

/** Share of the volts that a motor turning free loses in its winding. Source: the shelf's motors, 0.1 to 0.7 %. */
const FREE_LOSS = 0.004;
/** Reading of free speed and of volts together, one standard deviation as a share. Source: project. */
const READ = 0.04;
/** Fewest motors of a kind that a rule is drawn from. */
const FEWEST = 3;

/** Motors of one build: geared in the hub, turning with the wheel, at the bracket, beside the frame. */
const buildOf = ({ family, reduction }: Pick<MotorPlate, 'family' | 'reduction'>): string =>
  family === 'midDrive' || family === 'sideChain' ? family : reduction > 1 ? 'geared' : 'direct';

/** What a motor gives of torque for the root of its heat, at its output, N·m/√W: the one figure its size decides. */
const goodness = ({ ktNmPerA, reduction, gearEfficiency, resistanceOhm }: Kit['motor']): number =>
  (ktNmPerA * reduction * gearEfficiency) / Math.sqrt(resistanceOhm);

/**
 * Torque constant and winding from a plate: kt = V·(1 − loss) ÷ free speed of the shaft, for a motor turning free stands
 * at its volts; the winding by kt² ÷ Km², Km as motors of its build on the shelf have it for the most watts they take (a line through
 * logarithms), with their scatter about it as its spread. Null without enough of them.
 * @param kits the shelf's
 */
export function motorByPlate(plate: MotorPlate, kits: readonly Kit[]): WorkedOut | null {
  const build = buildOf(plate);
  const like = kits.filter((k) => buildOf({ family: k.family, reduction: k.motor.reduction }) === build);
  if (like.length < FEWEST) return null;
  const shaft = ((plate.freeRpm * 2 * Math.PI) / 60) * plate.reduction;
  const kt = (plate.volts * (1 - FREE_LOSS)) / shaft;
  const points = like.map((k) => ({ x: Math.log(kitPeakWatts(k)), y: Math.log(goodness(k.motor)) }));
  const mean = (of: 'x' | 'y'): number => points.reduce((sum, p) => sum + p[of], 0) / points.length;
  const [mx, my] = [mean('x'), mean('y')];
  const xx = points.reduce((sum, p) => sum + (p.x - mx) ** 2, 0);
  const slope = xx > 1e-9 ? points.reduce((sum, p) => sum + (p.x - mx) * (p.y - my), 0) / xx : 0;
  const km = Math.exp(my + slope * (Math.log(plate.mostW) - mx));
  const off = points.reduce((sum, p) => sum + (p.y - my - slope * (p.x - mx)) ** 2, 0);
  const scatter = Math.sqrt(off / Math.max(1, points.length - 2));
  return {
    ktNmPerA: kt,
    ktSpread: READ,
    resistanceOhm: ((kt * plate.reduction * plate.gearEfficiency) / km) ** 2,
    // The winding goes as the square of both.
    resistanceSpread: 2 * Math.hypot(READ, Math.max(scatter, READ)),
  };
}

/** Rated watts and the most it takes of its battery, as a kit is told by both. */
export const kitWatts = (kit: Kit): { ratedW: number; mostW: number } => ({
  ratedW: kit.ratedW,
  mostW: Math.round(kitPeakWatts(kit) / 10) * 10,
});
