import { rangeOn } from '../foretoldRange.ts';
import type { ProofSpec } from '../test.ts';

/** How far, and what is left. */
export const rangeTests: readonly ProofSpec[] = [
  {
    id: 'use',
    gate: 'range',
    place: 'pack',
    title: 'Energy over the road',
    how: 'The build’s own road once, as it will be ridden: energy out of the battery ÷ way, from the display or a meter in its lead.',
    why: 'Range is the battery divided by this.',
    minutes: 40,
    asks: ['massKg', 'headwindMs', 'temperatureC', 'surface', 'charge'],
    reads: (from) => {
      const told = rangeOn(from);
      return told
        ? [
            {
              id: 'use',
              what: 'Energy used',
              dimension: 'energyPerWay',
              digits: 1,
              band: told.whPerM,
              signal: 'whPerKm',
              harmless: 'below',
            },
          ]
        : [];
    },
    outside: [
      { side: 'high', words: 'Soft tyres, a rub, more mass, wind, less legs than said.', symptom: 'range' },
      { side: 'low', words: 'More legs, a tail wind, or a meter that counts little.' },
    ],
  },
  {
    id: 'fade',
    gate: 'range',
    place: 'pack',
    title: 'Distance until it fades',
    how: 'Round and round near home, from full, until the motor fades. Then no further: empty is not deeper.',
    why: 'Afterwards it is known, and not promised.',
    minutes: 120,
    asks: ['massKg', 'headwindMs', 'temperatureC', 'charge'],
    reads: (from) => {
      const told = rangeOn(from);
      return told
        ? [{ id: 'way', what: 'Distance', dimension: 'way', band: told.range, signal: 'rangeM', harmless: 'above' }]
        : [];
    },
    outside: [
      { side: 'low', words: 'A weak block, never full, cold, cut-off set high, or the use above.', symptom: 'range' },
    ],
  },
  {
    id: 'charge-back',
    gate: 'range',
    place: 'pack',
    title: 'Charged again: lamp changes, nothing hot',
    how: 'In sight, from empty: how long, and the energy meter’s reading where there is one.',
    why: 'The first full charge shows a block out of step.',
    minutes: 10,
    when: (f) => f.pack,
    sees: [
      { id: 'full', words: 'full, and cool', is: 'pass' },
      { id: 'never', words: 'the lamp never changes', is: 'question' },
      { id: 'hot', words: 'something gets hot', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'A block out of step, the charger.', symptom: 'charge' }],
    caution: { text: 'In sight, not where people sleep or on the way out.', ask: 'the battery’s maker' },
  },
  {
    id: 'water',
    gate: 'range',
    place: 'leads',
    title: 'Rain: all works wet',
    how: 'A watering can from above and in front for two minutes, then every function; no hose, no jet.',
    why: 'Rain will try it without asking.',
    minutes: 8,
    sees: [
      { id: 'works', words: 'all works', is: 'pass' },
      { id: 'odd', words: 'something drops out or surges', is: 'question' },
      { id: 'runs', words: 'the motor runs by itself', is: 'stop' },
    ],
    outside: [
      { side: 'seen', words: 'A plug that faces up, a throttle that drinks.', symptom: 'surges' },
      { side: 'seen', words: 'Water in the throttle.', symptom: 'runsOn' },
    ],
    caution: {
      text: 'Wheel in the air, a hand on the battery’s plug.',
      ask: 'the battery’s maker, on how much water it bears',
    },
  },
  {
    id: 'noise-after',
    gate: 'range',
    place: 'motor wheel',
    title: 'After the first long ride: no new noise',
    how: 'Listen coasting, pedalling, under power.',
    why: 'A new noise is a part that has begun to move.',
    minutes: 3,
    sees: [
      { id: 'quiet', words: 'as before', is: 'pass' },
      { id: 'new', words: 'a new noise', is: 'question' },
    ],
    outside: [{ side: 'seen', words: 'Axle, spokes, brake, chain, motor.', symptom: 'noise' }],
  },
  {
    id: 'spokes-50',
    gate: 'range',
    place: 'motor wheel',
    title: 'After 50 km: spokes, nuts, brakes, chain',
    how: 'Spokes pressed in pairs, marks looked at, pads and chain slack taken up.',
    why: 'New wheels and cables settle in their first 50 km.',
    minutes: 15,
    safety: true,
    sees: [
      { id: 'good', words: 'all good', is: 'pass' },
      { id: 'taken', words: 'taken up', is: 'pass' },
      { id: 'broken', words: 'a spoke broken or a nut moved', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Spokes too slack from the lacing, arms with play.', symptom: 'wobble' }],
  },
];
