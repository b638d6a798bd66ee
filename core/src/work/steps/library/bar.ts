import type { StepSpec } from '../step.ts';
import { after, arrived, tidy } from './before.ts';

/** What goes on the bar. Minutes: the trade’s own reckoning. */
export const barSteps: readonly StepSpec[] = [
  {
    id: 'display-on',
    group: 'bar',
    place: 'bar',
    title: 'Display and keypad on; its adapter goes on before the bar clamp',
    when: (f) => f.display,
    minutes: [12, 3],
    tools: ['hex-keys'],
    after: [arrived, after('on-stand', tidy)],
  },
  {
    id: 'throttle-on',
    group: 'bar',
    place: 'bar',
    title: 'Throttle on the bar, loose',
    when: (f) => f.throttle,
    minutes: [8, 2],
    tools: ['hex-keys'],
    after: [arrived, after('grips-off', 'it slides on from the end'), after('bar-tape-off', 'it sits on the bare bar')],
  },
  {
    id: 'levers-on',
    group: 'bar',
    place: 'levers',
    title: 'New levers on, cables in; a cable too short is changed now',
    when: (f) => f.newLevers,
    minutes: [18, 5],
    tools: ['hex-keys', 'cable-cutters'],
    after: [
      arrived,
      after('levers-off', 'they sit in the same place'),
      after('throttle-on', 'the throttle lies beside the grip'),
    ],
  },
  {
    id: 'grips-on',
    group: 'bar',
    place: 'bar',
    title: 'Grips on, the throttle’s half cut to length',
    when: (f) => (f.throttle || f.newLevers) && !f.barTape,
    minutes: [12, 3],
    after: [after('throttle-on', 'it cannot be put on past the grip'), after('levers-on', 'nor can the levers')],
  },
  {
    id: 'cutoff-set',
    group: 'bar',
    place: 'levers',
    title: 'Cut-offs at the levers: magnet and sensor to their gap',
    when: (f) => f.magnets,
    minutes: [24, 6],
    tools: ['feeler-gauges'],
    after: [arrived, after('levers-on', 'they sit on the lever')],
  },
];
