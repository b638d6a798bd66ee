import { surfaceWords } from '../build/brief.ts';
import { SURFACE_GRIP, WET_GRIP } from '../constants.ts';
import { driveEfficiency, peakTorque, shaftRatio } from '../drive/motor.ts';
import { amount, phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { steepestSurface } from '../vehicle/reckon.ts';
import { startCapOf } from '../vehicle/startCapOf.ts';
import type { Figure } from './figure.ts';
import { waiting } from './waiting.ts';

/** The steepest start: the least of motor, tyre and balance, with each of them. */
export function startFigure(context: PlanContext): Figure {
  const { build, gearing, reckoning: r, start, startCap: cap, axleLoads: loads } = context;
  const label = 'Steepest start';
  if (!r || !start) return waiting('startGrade', label, context);
  const surface = steepestSurface(build);
  const wet = startCapOf(context, 'wet');
  const wetGrade = Math.min(r.startGrade, wet.grade);
  const { motor, controller, vehicle } = r.system;
  const lowest = Math.max(...(vehicle.fixedCog === null ? vehicle.cogs : [vehicle.fixedCog]));
  const ratio = shaftRatio(motor, vehicle.ring, lowest);
  return {
    id: 'startGrade',
    label,
    value: amount(start.grade, 'grade'),
    note: [
      ...(start.limit === 'the motor' ? phrase`motor alone` : phrase`past it ${start.limit}`),
      ...(wetGrade < start.grade - 5e-4 ? phrase`; ${amount(wetGrade, 'grade')} in the wet` : []),
      ...(r.steepest > 0 ? phrase`; the road has ${amount(r.steepest, 'grade')}` : phrase`, from rest`),
    ],
    limit: start.limit === 'the motor' ? 'phase current' : start.limit,
    formula:
      'The least of three grades, in still air and without the rider: where full motor force at standstill no longer exceeds m·g·(Crr·cos θ + sin θ); where that pull exceeds μ times the load on the driven wheel; and, driven behind, where nothing is left on the front wheel, tan θ > x ÷ h.',
    sum: [
      { label: 'The motor’s own limit', value: amount(r.startGrade, 'grade'), from: 'full force at standstill' },
      {
        label: `Where ${cap.limit}`,
        value: amount(cap.grade, 'grade'),
        from:
          cap.limit === 'the tyre slips'
            ? `μ ${SURFACE_GRIP[surface]} dry, ${surfaceWords[surface].toLowerCase()}`
            : 'by the centre of mass below',
      },
      {
        label: `In the wet, where ${wet.limit}`,
        value: amount(wet.grade, 'grade'),
        from: wet.limit === 'the tyre slips' ? `μ ${Math.min(WET_GRIP, SURFACE_GRIP[surface])} wet` : 'as when dry',
      },
      {
        label: 'Centre of mass, ahead of the rear wheel',
        value: amount(loads.xM, 'size', 0),
        from: 'masses at their places',
      },
      { label: 'and above the ground', value: amount(loads.hM, 'size', 0), from: 'the same' },
      { label: 'Motor current', value: amount(controller.phaseLimitA, 'current'), from: 'phase limit' },
      { label: 'Torque constant', value: `${motor.ktNmPerA} N·m/A`, from: 'kit data' },
      {
        label: motor.place === 'mid' ? 'Peak torque at the ring' : 'Peak torque at the wheel',
        value: amount(peakTorque(motor, controller), 'torque'),
        from: '(kt·I − loss)·G·η',
      },
      {
        label: 'Shaft turns per wheel turn',
        value: amount(ratio, 'ratio'),
        from:
          motor.place === 'mid'
            ? `G·cog/ring = ${motor.reduction} × ${Number(lowest.toFixed(1))}/${vehicle.ring}, ${gearing.gearsFrom}`
            : 'reduction in the hub',
      },
      {
        label: 'Share that reaches the tyre',
        value: amount(driveEfficiency(motor, vehicle.drivetrainEfficiency), 'share'),
        from: 'gears and chain',
      },
      { label: 'Wheel radius', value: amount(vehicle.wheelRadiusM, 'size', 0), from: 'tyre size' },
      { label: 'All that moves', value: amount(vehicle.massKg, 'mass'), from: 'sum of masses' },
      {
        label: 'Rolling resistance',
        value: r.hill.vehicle.crr.toFixed(4),
        from: 'tyre width and surface',
      },
    ],
  };
}
