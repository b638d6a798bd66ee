import { NORMAL_90 } from '../constants.ts';
import { driveEfficiency, shaftRatio, windingOhm } from '../drive/motor.ts';
import { ampsForWatts, packOhm, packVolts } from '../pack/battery.ts';
import { amount } from '../quantity/format.ts';
import type { SumLine } from '../quantity/sum.ts';
import { startGrade, steadyLoad, steadySpeed } from '../ride/steady.ts';
import { deceleration, stoppingDistance } from '../safety/stopping.ts';
import { bandOf, INSTRUMENT, widened, type Band } from './band.ts';
import type { DaySystem } from './conditions.ts';
import { noLoad, type NoLoad } from './noLoad.ts';
import type { BandFrom } from './test.ts';

/** How well a rider holds brakes at the same pull, as a share of the way. Source: project. */
const BRAKE_HAND = 0.12;
/** Time from the mark to the pull where the rider knows it is coming, s, and how much it differs. Source: project. */
const PULL = { s: 0.3, sd: 0.1 } as const;

/** Nobody pedals: what the motor does alone. */
export const alone = (on: DaySystem): DaySystem => ({
  ...on,
  system: { ...on.system, rider: { ...on.system.rider, powerW: 0 } },
});

/** A motor that nothing but pedalling brings to help is tried with the legs that the brief has. */
export const asDriven = (from: BandFrom): DaySystem => (from.facts.throttle ? alone(from.on) : from.on);

const at = (on: DaySystem, charge: number | null): DaySystem => (charge === null ? on : { ...on, charge });

/** The wheel in the air at full power, held at the limit where there is one. */
export function heldNoLoad({ system, charge }: DaySystem): NoLoad & { limited: boolean } {
  const free = noLoad(system, charge);
  const limit = system.controller.assistLimitMs;
  if (limit === undefined || free.speedMs <= limit) return { ...free, limited: false };
  const { motor, controller, vehicle } = system;
  const wheelRadS = limit / vehicle.wheelRadiusM;
  const shaftRadS = (free.shaftRadS * wheelRadS) / free.wheelRadS;
  const motorA = (motor.coulombNm + motor.viscousNmS * shaftRadS) / motor.ktNmPerA;
  const watts =
    (motor.ktNmPerA * shaftRadS * motorA + windingOhm(motor.resistanceOhm, 20) * motorA ** 2) / controller.efficiency +
    controller.standingW;
  const packA = ampsForWatts(free.openV, packOhm(system.pack, charge), watts);
  return {
    ...free,
    limited: true,
    speedMs: limit,
    wheelRadS,
    shaftRadS,
    motorA,
    packA,
    volts: free.openV - packA * packOhm(system.pack, charge),
    packW: watts,
  };
}

function noLoadSum(on: DaySystem): SumLine[] {
  const { motor, vehicle, pack } = on.system;
  const found = heldNoLoad(on);
  return [
    {
      label: 'Volts at rest',
      value: amount(found.openV, 'voltage', 2),
      from: `${Math.round(on.charge * 100)} % charge`,
    },
    {
      label: 'Volts with what it draws',
      value: amount(found.volts, 'voltage', 2),
      from: `less ${found.packA.toFixed(2)} A × ${(packOhm(pack, on.charge) * 1000).toFixed(0)} mΩ`,
    },
    {
      label: 'Motor’s constant',
      value: `${motor.ktNmPerA} N·m/A`,
      from: 'kit data',
    },
    {
      label: 'Winding',
      value: amount(motor.resistanceOhm, 'resistance', 3),
      from: 'at 20 °C',
    },
    {
      label: 'Losses at the shaft',
      value: `${motor.coulombNm} N·m + ${motor.viscousNmS} N·m·s`,
      from: 'kit data',
    },
    {
      label: 'Shaft turns',
      value: `${found.shaftRadS.toFixed(1)} rad/s`,
      from: found.limited ? 'held at the limit set' : '(V − R·Tc/kt) ÷ (kt + R·kv/kt)',
    },
    ...(found.limited
      ? [
          {
            label: 'Without the limit',
            value: amount(noLoad(on.system, on.charge).speedMs, 'speed', 1),
            from: 'its volts would allow',
          },
        ]
      : []),
    {
      label: 'Wheel turns',
      value: `${found.wheelRadS.toFixed(2)} rad/s`,
      from: motor.place === 'mid' ? `÷ ${motor.reduction} × cog ÷ ring` : `÷ ${motor.reduction}`,
    },
    { label: 'Wheel’s radius', value: amount(vehicle.wheelRadiusM, 'size', 0), from: 'tyre' },
    { label: 'In the winding', value: amount(found.motorA, 'current', 2), from: '(Tc + kv·ω) ÷ kt' },
    {
      label: 'Out of the battery',
      value: amount(found.packA, 'current', 2),
      from: 'kt·ω·I + R·I², ÷ efficiency, + standing',
    },
  ];
}

export const noLoadSpeed = ({ on, unsure }: BandFrom): Band =>
  bandOf(
    on,
    unsure,
    (d) => heldNoLoad(d).speedMs,
    (mid) => mid * INSTRUMENT.speed,
    noLoadSum(on),
  );

/** Losses of a motor of its kind differ by so much from its data. Source: project, samples of one kind. */
const LOSS_SPREAD = 0.2;

export function noLoadAmps({ on, unsure }: BandFrom): Band {
  const lossier = {
    words: `motor’s losses ±${LOSS_SPREAD * 100} %`,
    id: 'load' as const,
    moved: (d: DaySystem, z: number): DaySystem => ({
      ...d,
      system: {
        ...d.system,
        motor: {
          ...d.system.motor,
          coulombNm: d.system.motor.coulombNm * (1 + LOSS_SPREAD * z),
          viscousNmS: d.system.motor.viscousNmS * (1 + LOSS_SPREAD * z),
        },
      },
    }),
  };
  return bandOf(
    on,
    [...unsure, lossier],
    (d) => heldNoLoad(d).packA,
    (mid) => Math.max(0.05, mid * INSTRUMENT.amps),
    noLoadSum(on),
  );
}

function speedSum(on: DaySystem, grade: number): SumLine[] {
  const { system, charge } = on;
  const steady = steadySpeed(system, grade, charge);
  const { drive } = steady;
  return [
    { label: 'Charge', value: amount(charge, 'share'), from: 'as recorded, else full' },
    { label: 'All that moves', value: amount(system.vehicle.massKg, 'mass', 0), from: 'as recorded, else planned' },
    { label: 'Drag area', value: `${system.vehicle.cdaM2.toFixed(3)} m²`, from: 'posture' },
    { label: 'Rolling', value: system.vehicle.crr.toFixed(4), from: 'tyre and surface' },
    { label: 'Wind against', value: amount(system.air.headwindMs, 'speed', 1), from: 'as recorded, else planned' },
    ...(grade === 0 ? [] : [{ label: 'Grade', value: amount(grade, 'grade'), from: 'of the hill' }]),
    {
      label: 'Motor pulls',
      value: amount(drive.motorN, 'force', 1),
      from: `${drive.limit}, ${drive.motorAmps.toFixed(1)} A`,
    },
    { label: 'Legs push', value: amount(drive.riderN, 'force', 1), from: `${Math.round(drive.cadenceRpm)} rpm` },
    { label: 'Load', value: amount(steady.loadN, 'force', 1), from: 'air + rolling + hill + drag' },
    { label: 'Holds', value: amount(steady.speedMs, 'speed', 1), from: 'pull meets load' },
  ];
}

/** Speed held on a grade at full power, at a charge or at that recorded. */
export function heldSpeed(from: BandFrom, grade = 0, charge: number | null = null): Band {
  const on = at(asDriven(from), charge);
  return bandOf(
    on,
    from.unsure,
    (d) => steadySpeed(d.system, grade, d.charge).speedMs,
    (mid) => mid * INSTRUMENT.speed,
    speedSum(on, grade),
  );
}

/** Watts out of the battery that the motor takes to hold a speed on the flat by itself; NaN where it cannot. */
export function cruiseWatts({ system, charge }: DaySystem, v: number): number {
  const { motor, controller, vehicle, pack } = system;
  // Levels and limits do not matter: it is the motor that holds this speed, however it is told to.
  const cog = vehicle.fixedCog ?? (vehicle.cogs.at(-1) as number);
  const k = shaftRatio(motor, vehicle.ring, cog);
  const omega = (k * v) / vehicle.wheelRadiusM;
  const force = steadyLoad(system, v, 0, 0);
  const eta = driveEfficiency(motor, vehicle.drivetrainEfficiency);
  const loss = motor.coulombNm + motor.viscousNmS * omega;
  const torque = (Math.max(0, force) * vehicle.wheelRadiusM) / (k * eta) + loss;
  const amps = torque / motor.ktNmPerA;
  const watts =
    (motor.ktNmPerA * omega * amps + windingOhm(motor.resistanceOhm, 20) * amps ** 2) / controller.efficiency +
    controller.standingW;
  // What the battery cannot give is not foretold.
  return watts < packVolts(pack, charge) ** 2 / (4 * packOhm(pack, charge)) ? watts : NaN;
}

export function steadyWatts(from: BandFrom, v: number): Band | null {
  const on = alone(from.on);
  if (!Number.isFinite(cruiseWatts(on, v))) return null;
  const { system } = on;
  return bandOf(
    on,
    from.unsure,
    (d) => cruiseWatts(d, v),
    // Watts are volts times amps.
    (mid) => mid * Math.hypot(INSTRUMENT.volts, INSTRUMENT.amps),
    [
      { label: 'At', value: amount(v, 'speed', 1), from: 'the speed to be held, legs still' },
      { label: 'Road asks', value: amount(steadyLoad(system, v, 0, 0), 'force', 1), from: 'air + rolling' },
      {
        label: 'Out of the battery',
        value: amount(cruiseWatts(on, v), 'power'),
        from: 'tyre, gears, winding, losses, controller',
      },
    ],
  );
}

/** Volts of the battery while it gives the controller's most. */
export function fullLoadVolts({ system, charge }: DaySystem): number {
  const open = packVolts(system.pack, charge);
  return open - system.controller.batteryLimitA * packOhm(system.pack, charge);
}

export function loadedVolts(from: BandFrom): Band {
  const { on, unsure } = from;
  const cells = {
    id: 'health' as const,
    words: 'cells’ ohms ±20 %',
    moved: (d: DaySystem, z: number): DaySystem => ({
      ...d,
      system: { ...d.system, pack: { ...d.system.pack, cellOhm: d.system.pack.cellOhm * (1 + 0.2 * z) } },
    }),
  };
  const open = packVolts(on.system.pack, on.charge);
  return bandOf(on, [...unsure, cells], fullLoadVolts, (mid) => mid * INSTRUMENT.volts, [
    { label: 'Volts at rest', value: amount(open, 'voltage', 2), from: `${Math.round(on.charge * 100)} % charge` },
    { label: 'Battery current', value: amount(on.system.controller.batteryLimitA, 'current', 1), from: 'as set' },
    {
      label: 'Ohms of cells and leads',
      value: amount(packOhm(on.system.pack, on.charge), 'resistance', 3),
      from: 'pack data',
    },
  ]);
}

export const restVolts = ({ on, unsure }: BandFrom): Band =>
  bandOf(
    on,
    unsure.filter((u) => u.id === 'charge'),
    (d) => packVolts(d.system.pack, d.charge),
    (mid) => mid * INSTRUMENT.volts,
    [
      { label: 'Cells in a row', value: String(on.system.pack.series), from: 'pack data' },
      {
        label: 'A cell at that charge',
        value: amount(packVolts(on.system.pack, on.charge) / on.system.pack.series, 'voltage', 2),
        from: `${on.system.pack.chemistry}, at rest`,
      },
    ],
  );

/** Way from the mark, m: the pull, then v²/2a by the brakes, the road and what tips. */
export function stopWay({ context: { stopping, systemMassKg }, on, conditions }: BandFrom, v: number): Band | null {
  if (!stopping) return null;
  // What the brakes stop goes with all that moves.
  const scaled = { ...stopping, brakedKg: (stopping.brakedKg * on.system.vehicle.massKg) / systemMassKg };
  const { dry, wet } = deceleration(scaled);
  const a = conditions.wet ? wet : dry;
  const way = stoppingDistance(v, a, PULL.s);
  const braking = stoppingDistance(v, a, 0);
  const half = NORMAL_90 * Math.hypot(braking * BRAKE_HAND, v * PULL.sd);
  // The mark is met at a speed read to three in a hundred: the way goes as its square.
  const speedError = (v * PULL.s + 2 * braking) * INSTRUMENT.speed;
  return widened(
    way,
    half,
    Math.hypot(way * INSTRUMENT.tape, speedError),
    [
      { words: `hand on the brake ±${BRAKE_HAND * 100} %`, half: NORMAL_90 * braking * BRAKE_HAND },
      { words: `pull ±${PULL.sd} s`, half: NORMAL_90 * v * PULL.sd },
    ],
    [
      { label: 'At', value: amount(v, 'speed', 0), from: 'as the test says' },
      {
        label: 'Slows by',
        value: `${a.toFixed(2)} m/s²`,
        from: conditions.wet ? 'brakes and road, wet' : 'brakes and road, dry',
      },
      { label: 'Until the pull bites', value: amount(v * PULL.s, 'height', 1), from: `${PULL.s} s` },
      { label: 'Braking', value: amount(braking, 'height', 1), from: 'v² ÷ 2a' },
    ],
  );
}

/** Steepest start of the motor by itself on that day. */
export function startsOn(from: BandFrom): Band {
  const cap = from.context.startCap.grade;
  const on = alone(from.on);
  return bandOf(
    on,
    from.unsure,
    (d) => Math.min(cap, startGrade(d.system, d.charge)),
    () => INSTRUMENT.slope,
    [
      {
        label: 'The motor alone',
        value: amount(startGrade(on.system, on.charge), 'grade'),
        from: 'full force at standstill',
      },
      { label: 'Tyre and balance', value: amount(cap, 'grade'), from: from.context.startCap.limit },
    ],
  );
}
