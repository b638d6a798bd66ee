import { asDriven, heldSpeed, loadedVolts, startsOn } from '../foretold.ts';
import { INSTRUMENT, type Band } from '../band.ts';
import { steadySpeed } from '../../ride/steady.ts';
import type { BandFrom, ProofSpec } from '../test.ts';

const HILL = {
  text: 'A hill you can walk down, no traffic, a wheel’s width from the edge.',
  ask: 'somebody to walk along',
};

/** Speed up the hill of the road, its slope known to one in a hundred. */
function upHill(from: BandFrom): Band {
  const grade = from.context.climbGrade;
  const plain = heldSpeed(from, grade);
  const on = asDriven(from);
  // The slope is read by hand: it moves the speed, not the vehicle.
  const v = (g: number): number => steadySpeed(on.system, g, on.charge).speedMs;
  const half = Math.abs(v(grade + INSTRUMENT.slope) - v(Math.max(0, grade - INSTRUMENT.slope))) / 2;
  const whole = Math.hypot((plain.high - plain.low) / 2, half);
  return {
    ...plain,
    low: Math.max(0, plain.mid - whole),
    high: plain.mid + whole,
    instrument: Math.hypot(plain.instrument, half),
    causes: [...plain.causes, { words: `slope ±${INSTRUMENT.slope * 100} %`, half }].sort((a, b) => b.half - a.half),
  };
}

/** Up and down, standing and running. */
export const hillTests: readonly ProofSpec[] = [
  {
    id: 'hill-hold',
    gate: 'hill',
    place: 'rear brake',
    title: 'Brakes hold it on the hill, loaded',
    how: 'Each brake by itself, then both, pointing up and pointing down.',
    why: 'It is stopped on before it is started on.',
    minutes: 4,
    safety: true,
    sees: [
      { id: 'each', words: 'each holds by itself', is: 'pass' },
      { id: 'both', words: 'only both together', is: 'question' },
      { id: 'not', words: 'they do not hold', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Bedding in, pads, a brake too small.', symptom: 'brakesWeak' }],
    caution: HILL,
  },
  {
    id: 'hill-start',
    gate: 'hill',
    place: 'motor wheel',
    title: 'Start from standing on a slope',
    how: 'The steepest slope it sets off on by the motor alone; the slope by a level and a rule, or a phone laid on the road. Where only pedals bring help, the legs begin.',
    why: 'What it can start on it can be stopped on.',
    minutes: 6,
    asks: ['massKg', 'charge', 'surface', 'cog'],
    reads: (from) => [
      { id: 'grade', what: 'Steepest start', dimension: 'grade', band: startsOn(from), harmless: 'above' },
    ],
    outside: [{ side: 'low', words: 'Start strength, current, a gear too high, more mass, a phase.', symptom: 'weak' }],
    caution: HILL,
  },
  {
    id: 'hill-run',
    gate: 'hill',
    place: 'motor wheel',
    title: 'Speed held up the hill',
    how: 'A hill of the plan’s slope, long enough to settle, full power; the slope measured with it.',
    why: 'Motor, current, gear and mass in one figure.',
    minutes: 8,
    asks: ['restV', 'charge', 'massKg', 'headwindMs', 'surface', 'cog'],
    reads: (from) => [
      {
        id: 'speed',
        what: `Speed held at ${(from.context.climbGrade * 100).toFixed(1)} %`,
        dimension: 'speed',
        band: upHill(from),
        signal: 'hillSpeed',
        harmless: 'above',
      },
    ],
    outside: [{ side: 'low', words: 'Current, sag, gear, mass, or a steeper hill.', symptom: 'weak' }],
    caution: HILL,
  },
  {
    id: 'hill-volts',
    gate: 'hill',
    place: 'pack',
    title: 'Volts on the hill',
    how: 'The lowest shown while it climbs at full power.',
    why: 'A battery that meets its cut-off leaves you on the hill.',
    minutes: 2,
    asks: ['restV', 'charge', 'temperatureC'],
    reads: (from) => [
      {
        id: 'volts',
        what: 'Lowest volts',
        dimension: 'voltage',
        digits: 1,
        band: loadedVolts(from),
        harmless: 'above',
      },
    ],
    outside: [{ side: 'low', words: 'A weak block, cold, age, or a plug that heats.', symptom: 'cutsOut' }],
    caution: HILL,
  },
  {
    id: 'hill-heat',
    gate: 'hill',
    place: 'motor wheel',
    title: 'Heat after the hill',
    how: 'At the top, back of the hand near motor, controller, plugs.',
    why: 'Heat goes with amps squared and stays inside.',
    minutes: 2,
    sees: [
      { id: 'warm', words: 'can be held', is: 'pass' },
      { id: 'motor', words: 'motor too hot to hold', is: 'question' },
      { id: 'controller', words: 'controller too hot to hold', is: 'question' },
      { id: 'plug', words: 'a plug or lead is hot', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Too slow for the motor: gear, current, help with the legs.', symptom: 'hot' }],
  },
  {
    id: 'descent',
    gate: 'hill',
    place: 'rear brake',
    title: 'Down again: brakes stay firm',
    how: 'The same hill down at a speed you would ride, both brakes in turn; lever’s way at the foot as at the top.',
    why: 'Thirty kilos more heat them half as much again.',
    minutes: 5,
    safety: true,
    sees: [
      { id: 'firm', words: 'firm, no smell', is: 'pass' },
      { id: 'fade', words: 'fades or smells', is: 'stop' },
      { id: 'squeals', words: 'squeals', is: 'question' },
    ],
    outside: [{ side: 'seen', words: 'Brakes too small or dragging.', symptom: 'brakesWeak' }],
    caution: HILL,
  },
  {
    id: 'regen-down',
    gate: 'hill',
    place: 'pack',
    title: 'Electric braking downhill',
    how: 'Not with a full battery: does it slow evenly, and do the volts stay under full?',
    why: 'What it gives back must have room.',
    minutes: 3,
    when: (f) => f.regen,
    sees: [
      { id: 'even', words: 'evenly, volts under full', is: 'pass' },
      { id: 'drops', words: 'it drops out', is: 'question' },
      { id: 'over', words: 'volts over full', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Its strength in the settings; a full battery.' }],
    caution: HILL,
  },
  {
    id: 'axle-after-hill',
    gate: 'hill',
    place: 'motor axle',
    title: 'Marks after the hill',
    how: 'Nuts, arms, mid-drive’s ring nut: are the strokes of paint still one?',
    why: 'The hill is the greatest torque there is.',
    minutes: 2,
    safety: true,
    sees: [
      { id: 'stood', words: 'all as marked', is: 'pass' },
      { id: 'moved', words: 'one has moved', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Arms with play, soft ends, tightness.', symptom: 'noise' }],
  },
];
