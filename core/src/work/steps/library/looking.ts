import type { StepSpec } from '../step.ts';
import { after } from './before.ts';

/** What is looked at and measured before anything is taken off. Minutes: the trade’s own reckoning. */
export const lookingSteps: readonly StepSpec[] = [
  {
    id: 'look-over',
    group: 'look',
    place: 'donor',
    title: 'Look the donor over once more: cracks, head bearings, wheels',
    when: () => true,
    minutes: [8, 2],
  },
  {
    id: 'measure-kit',
    group: 'look',
    place: 'motor wheel',
    title: 'Check the kit against its list, and measure what has to fit',
    when: () => true,
    minutes: [18, 5],
    tools: ['vernier-caliper'],
    uses: ['kit'],
  },
  {
    id: 'volts-pack',
    group: 'look',
    place: 'pack',
    title: 'Measure the battery’s volts and which pole is which',
    when: (f) => f.pack,
    minutes: [10, 3],
    tools: ['multimeter'],
    uses: ['pack'],
  },
  {
    id: 'charge-full',
    group: 'look',
    place: 'pack',
    title: 'Charge the battery full once, where you can see it',
    when: (f) => f.pack,
    minutes: [5, 2],
    uses: ['charger'],
    after: [after('volts-pack', 'a battery that came empty or crossed is not charged')],
    wait: { minutes: 360, why: 'it charges, and its blocks come level' },
  },
];
