import { amount, phrase, type Phrase } from '../quantity/format.ts';
import { FOLD_BACK_STARTS_C } from '../constants.ts';
import { fullDrive, steadyLoad } from './steady.ts';
import type { RideTrace } from './simulate.ts';
import type { RideSystem } from './system.ts';

/** What goes on at one point of a ridden road, in words and in watts. */
export interface PointTold {
  distanceM: number;
  words: Phrase;
  riderW: number;
  motorW: number;
  airW: number;
  rollingAndHillW: number;
  packW: number;
  volts: number;
  windingC: number;
  charge: number;
  speedMs: number;
  grade: number;
}

const limitWords: Record<string, string> = {
  'phase current': 'the phase current is at its limit, so it pulls no harder however slow',
  'out of volts': 'the motor’s own voltage meets the sagging pack',
  'battery current': 'the controller draws all the battery current it may',
  'assist limit': 'assist has faded at its set speed',
};

/** Explains one step of a trace: what is asked, who gives it and what holds it back. */
export function explainPoint(system: RideSystem, trace: RideTrace, index: number): PointTold {
  const i = Math.max(0, Math.min(index, trace.distanceM.length - 1));
  const at = (column: readonly number[]): number => column[i] as number;
  const speedMs = at(trace.speedMs);
  const grade = at(trace.grade);
  const charge = at(trace.charge);
  const windingC = at(trace.windingC);
  const motorW = at(trace.motorW);
  const riderW = at(trace.riderW);
  const drive = fullDrive(system, speedMs, Math.max(0.001, charge), windingC);
  const load = steadyLoad(system, speedMs, grade, drive.dragN);
  const noAir = steadyLoad({ ...system, vehicle: { ...system.vehicle, cdaM2: 0 } }, speedMs, grade, drive.dragN);
  const level = system.rider.assist?.law === 'level' ? system.rider.assist.levelW : Infinity;
  const most = drive.motorN * speedMs;
  const here = phrase`${amount(at(trace.distanceM), 'way')}, ${amount(grade, 'grade')}: `;
  let words: Phrase;
  if (at(trace.walked) === 1)
    words = [
      ...here,
      ...phrase`walked. Full force, ${amount(drive.motorN + drive.riderN, 'force')}, is less than the ${amount(load, 'force')} the hill asks.`,
    ];
  else if (motorW < 1 && riderW < 1)
    words = [...here, ...phrase`rolling at ${amount(speedMs, 'speed')}, nobody pushes.`];
  else if (motorW < 1)
    words = [...here, ...phrase`legs alone hold ${amount(speedMs, 'speed')} with ${amount(riderW, 'power')}.`];
  else if (windingC > FOLD_BACK_STARTS_C)
    words = [
      ...here,
      ...phrase`the winding is at ${amount(windingC, 'temperature')}, so output is folded back; ${amount(speedMs, 'speed')}.`,
    ];
  else if (motorW > level * 0.98 && level < most)
    words = [
      ...here,
      ...phrase`${amount(speedMs, 'speed')}: the level gives its ${amount(level, 'power')}, legs ${amount(riderW, 'power')}.`,
    ];
  else if (motorW > most * 0.93)
    words = [
      ...here,
      ...phrase`${amount(speedMs, 'speed')} is all it gives: ${limitWords[drive.limit] ?? drive.limit}.`,
    ];
  else
    words = [
      ...here,
      ...phrase`${amount(speedMs, 'speed')}, as wished: motor ${amount(motorW, 'power')}, legs ${amount(riderW, 'power')}.`,
    ];
  return {
    distanceM: at(trace.distanceM),
    words,
    riderW,
    motorW,
    airW: (load - noAir) * speedMs,
    rollingAndHillW: noAir * speedMs,
    packW: at(trace.packW),
    volts: at(trace.volts),
    windingC,
    charge,
    speedMs,
    grade,
  };
}
