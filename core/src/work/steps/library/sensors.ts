import type { StepSpec } from '../step.ts';
import { after, arrived, tidy } from './before.ts';

/** Sensors at the bracket, the stay and the gear cable. Minutes: the trade’s own reckoning. */
export const sensorsSteps: readonly StepSpec[] = [
  {
    id: 'cadence-ring',
    group: 'sensors',
    place: 'bracket',
    title: 'Cadence ring and its sensor, the right side outward',
    when: (f) => f.cadence,
    minutes: [15, 5],
    tools: (f) => (f.survey.crankFit?.value === 'cottered' ? ['pin-press'] : ['crank-puller']),
    after: [arrived, after('on-stand', tidy)],
  },
  {
    id: 'speed-magnet',
    group: 'sensors',
    place: 'rear wheel',
    title: 'Speed sensor at the stay, its magnet on a spoke',
    when: (f) => f.speed,
    minutes: [12, 3],
    tools: ['screwdrivers'],
    after: [arrived, after('wheel-in', 'the magnet sits on that wheel'), after('on-stand', tidy)],
  },
  {
    id: 'shift-sensor',
    group: 'sensors',
    place: 'chain',
    title: 'Shift sensor into the gear cable',
    when: (f) => f.shift,
    minutes: [20, 5],
    tools: ['cable-cutters', 'hex-keys'],
    supplies: { 'end-caps': 1 },
    after: [arrived, after('on-stand', tidy)],
  },
];
