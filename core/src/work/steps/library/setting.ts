import type { StepSpec } from '../step.ts';
import { after } from './before.ts';

/** What is set on the display once it lights. Minutes: the trade’s own reckoning. */
export const settingSteps: readonly StepSpec[] = [
  {
    id: 'set-figures',
    group: 'set',
    place: 'bar',
    title: 'Display into its settings: volts and current as the plan has them',
    when: (f) => f.pack,
    minutes: [5, 1.5],
    of: 'kit',
    after: [after('first-power', 'they are set on the display')],
    right: 'Written down as set under Wiring, Settings.',
  },
  {
    id: 'circumference-set',
    group: 'set',
    place: 'driven wheel',
    title: 'Roll the wheel out, rider on it, and set its circumference',
    when: (f) => f.pack,
    minutes: [5, 1.5],
    tools: ['steel-rule'],
    after: [after('set-figures', 'the display is in its settings'), after('bead-even', 'a soft tyre rolls short')],
    figure: 'roll-out',
    reads: (f) => [
      {
        id: 'circumference',
        what: 'One turn, valve to valve',
        path: 'wiring.settings.circumference',
        dimension: 'size',
        least: f.rolledM * 0.95,
        most: f.rolledM * 1.02,
        source: 'by the tyre’s size; loaded it rolls a little less',
      },
    ],
  },
  {
    id: 'limit-set',
    group: 'set',
    place: 'bar',
    title: 'Help’s limit to what its class allows',
    when: (f) => f.pack,
    minutes: [3, 1],
    after: [
      after('set-figures', 'the display is in its settings'),
      after('circumference-set', 'a wrong wheel shifts it'),
    ],
    reads: (f) =>
      f.limitMs === null
        ? []
        : [
            {
              id: 'limit',
              what: 'Help ends at',
              dimension: 'speed',
              least: null,
              most: f.limitMs * 1.001,
              source: 'the plan’s limit, by the class it is ridden under',
            },
          ],
    caution: {
      text: 'A limit opened up makes it another vehicle in law, and in a crash.',
      ask: 'the local authority; it has the last word',
    },
  },
  {
    id: 'low-volts-set',
    group: 'set',
    place: 'bar',
    title: 'Low volts to what the battery bears',
    when: (f) => f.pack && f.controllerBox,
    minutes: [3, 1],
    after: [after('set-figures', 'the display is in its settings')],
    reads: (f) =>
      f.volts
        ? [
            {
              id: 'low-volts',
              what: 'Motor ends at',
              path: 'wiring.settings.lowVolts',
              dimension: 'voltage',
              least: f.volts.least,
              most: f.volts.nominal,
              source: 'empty to middling by its cells in a row',
            },
          ]
        : [],
  },
  {
    id: 'odometer',
    group: 'set',
    place: 'bar',
    title: 'Kilometres to naught, or the figure written down',
    when: (f) => f.pack && f.display,
    minutes: [1, 0.5],
    after: [after('set-figures', 'the display is in its settings')],
    right: 'The figure stands in the note of this step.',
  },
];
