import { chargerVolts } from '../../pack/battery.ts';
import { widened } from '../band.ts';
import { restVolts } from '../foretold.ts';
import type { ProofSpec } from '../test.ts';

/** Poles, volts, fuse and charge, before a wheel turns. Meter checks of Wiring stand before these, one by one. */
export const electricalTests: readonly ProofSpec[] = [
  {
    id: 'frame-free',
    gate: 'electrical',
    place: 'frame',
    title: 'Neither pole on the frame',
    how: 'Battery’s plug open, meter on ohms: each pole of the controller’s side against bare metal.',
    why: 'The next pinched lead would short the battery through the frame.',
    minutes: 3,
    tools: ['multimeter'],
    safety: true,
    when: (f) => f.pack,
    sees: [
      { id: 'none', words: 'no reading', is: 'pass' },
      { id: 'some', words: 'a reading', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'A pinched lead, a screw through a jacket, water.', symptom: 'blank' }],
  },
  {
    id: 'plugs-home',
    gate: 'electrical',
    place: 'leads',
    title: 'Every plug home to its line',
    how: 'One after the other along the loom sheet, pressed with both thumbs.',
    why: 'Half of all dead motors are plugs.',
    minutes: 5,
    sees: [
      { id: 'home', words: 'all home', is: 'pass' },
      { id: 'bent', words: 'a pin was bent', is: 'question' },
    ],
    outside: [{ side: 'seen', words: 'Straighten it once; twice breaks it.', symptom: 'dead' }],
  },
  {
    id: 'fuse-amps',
    gate: 'electrical',
    place: 'pack',
    title: 'Fuse in, and of the right amps',
    how: 'Read it off the fuse itself, against Wiring, power.',
    why: 'It protects the lead, not the motor.',
    minutes: 1,
    safety: true,
    when: (f) => f.pack,
    sees: [
      { id: 'right', words: 'in, right amps', is: 'pass' },
      { id: 'board', words: 'none but the battery’s own board', is: 'question' },
      { id: 'wrong', words: 'larger, or bridged', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Put in what Wiring says.' }],
    caution: { text: 'A bridged fuse turns a pinched lead into a fire.', ask: 'an electrician' },
  },
  {
    id: 'full-volts',
    gate: 'electrical',
    place: 'pack',
    title: 'Charged full: lamp changes, volts right',
    how: 'In sight, on something that does not burn. Read the volts straight off the charger.',
    why: 'A battery that is never full is taken for a weak one.',
    minutes: 4,
    tools: ['multimeter'],
    when: (f) => f.pack,
    reads: ({ on }) => {
      const full = chargerVolts(on.system.pack);
      return [
        {
          id: 'volts',
          what: 'Volts, straight off the charger',
          dimension: 'voltage',
          digits: 2,
          // Surface charge goes within minutes: read a little late it is a little less.
          band: widened(
            full * 0.99,
            full * 0.01,
            full * 0.005,
            [{ words: 'minutes since', half: full * 0.01 }],
            [
              { label: 'Cells in a row', value: String(on.system.pack.series), from: 'pack data' },
              { label: 'Charger ends at', value: { si: full, dimension: 'voltage', digits: 1 }, from: 'chemistry' },
            ],
          ),
          stop: 'above',
        },
      ];
    },
    sees: [
      { id: 'changed', words: 'the lamp changed', is: 'pass' },
      { id: 'never', words: 'it never changed', is: 'question' },
      { id: 'hot', words: 'battery or charger got hot', is: 'stop' },
    ],
    outside: [
      { side: 'low', words: 'A block out of step, or a charger for another battery.', symptom: 'charge' },
      { side: 'high', words: 'The wrong charger: take it off at once.', symptom: 'charge' },
      { side: 'seen', words: 'A block out of step.', symptom: 'charge' },
    ],
    caution: {
      text: 'Charge in sight, not where people sleep or on the way out.',
      ask: 'the battery’s maker, and the fire service’s advice',
    },
  },
  {
    id: 'rest-volts',
    gate: 'electrical',
    place: 'pack',
    title: 'Volts at rest beside the gauge',
    how: 'An hour after charging or riding, the meter at the battery’s plug, and what the gauge says.',
    why: 'Every later band goes by the charge.',
    minutes: 2,
    tools: ['multimeter'],
    when: (f) => f.pack,
    asks: ['charge'],
    reads: (from) => [
      {
        id: 'volts',
        what: 'Volts at rest',
        dimension: 'voltage',
        digits: 2,
        band: restVolts({ ...from, on: byGauge(from.on, from.conditions.charge) }),
      },
    ],
    outside: [
      { side: 'low', words: 'A weak or flat block, or a gauge that flatters.', symptom: 'range' },
      { side: 'high', words: 'A gauge that has not learned the battery yet.' },
    ],
  },
  {
    id: 'first-power',
    gate: 'electrical',
    place: 'pack',
    title: 'First power: display wakes, nothing gets warm',
    how: 'Battery in last; a minute on, hand near controller, plugs and motor.',
    why: 'Shorts show themselves now, beside the plug, and not under a rider.',
    minutes: 3,
    safety: true,
    when: (f) => f.pack,
    sees: [
      { id: 'wakes', words: 'wakes, all cool', is: 'pass' },
      { id: 'dark', words: 'stays dark', is: 'question' },
      { id: 'warm', words: 'something gets warm or smells', is: 'stop' },
    ],
    outside: [
      { side: 'seen', words: 'Switch, plug, fuse.', symptom: 'blank' },
      { side: 'seen', words: 'Crossed poles or a short: plug out.', symptom: 'hot' },
    ],
    caution: { text: 'A hand stays on the battery’s plug.', ask: 'somebody who has done it, if it is the first' },
  },
];

/** By the gauge alone, though its volts are known: that is what is compared. */
function byGauge<T extends { charge: number }>(on: T, charge: number | null): T {
  return charge === null ? on : { ...on, charge };
}
