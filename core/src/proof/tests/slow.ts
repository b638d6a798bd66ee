import { amount } from '../../quantity/format.ts';
import { cadenceSheet } from '../../wiring/sensors.ts';
import { widened } from '../band.ts';
import { stopWay } from '../foretold.ts';
import { turnOf } from '../foretoldMass.ts';
import type { ProofSpec } from '../test.ts';

const QUIET = { text: 'A level place without traffic, helmet on, nobody near.', ask: 'somebody to watch' };
/** Walking help ends at this speed, m/s. Source: EN 15194, 6 km/h. */
const WALKING_HELP = 6 / 3.6;

/** Where a foot can stop it. */
export const slowTests: readonly ProofSpec[] = [
  {
    id: 'roll-out',
    gate: 'slow',
    place: 'motor wheel',
    title: 'A turn of the wheel, rolled out',
    how: 'Valve down at a mark, rider on it, rolled straight for three turns: a third of the way. Through a puddle of chalk where nobody helps.',
    why: 'Speed shown, distance and limit all go by it.',
    minutes: 5,
    reads: (from) => [
      { id: 'turn', what: 'One turn', dimension: 'size', digits: 0, band: turnOf(from), tune: 'circumference' },
    ],
    outside: [
      { side: 'low', words: 'A soft tyre, or another size than surveyed.', symptom: 'wrongSpeed' },
      { side: 'high', words: 'Another size than surveyed.', symptom: 'wrongSpeed' },
    ],
  },
  {
    id: 'walk-pace',
    gate: 'slow',
    place: 'bar',
    title: 'Walking help keeps to a walk',
    how: 'Walk beside it with the walk button held: the speed it comes to.',
    why: 'It must not pull away from who walks it.',
    minutes: 3,
    when: (f) => f.display && f.clutch,
    reads: () => [
      {
        id: 'speed',
        what: 'Speed it comes to',
        dimension: 'speed',
        band: widened(
          WALKING_HELP * 0.75,
          WALKING_HELP * 0.25,
          WALKING_HELP * 0.03,
          [],
          [{ label: 'At most', value: amount(WALKING_HELP, 'speed', 0), from: 'EN 15194' }],
        ),
        stop: 'above',
        harmless: 'below',
      },
    ],
    outside: [{ side: 'high', words: 'Circumference or magnets as set.', symptom: 'wrongSpeed' }],
    caution: QUIET,
  },
  {
    id: 'first-metres',
    gate: 'slow',
    place: 'seat',
    title: 'First metres, lowest level',
    how: 'Straight, ten metres, a finger on each lever. Then ten more.',
    why: 'All that came before was without a rider.',
    minutes: 4,
    safety: true,
    sees: [
      { id: 'calm', words: 'calm, and ends when told', is: 'pass' },
      { id: 'jerks', words: 'jerks or surges', is: 'question' },
      { id: 'runs', words: 'does not end when told', is: 'stop' },
    ],
    outside: [
      { side: 'seen', words: 'Cadence ring, torque sensor’s zero, speed magnet.', symptom: 'surges' },
      { side: 'seen', words: 'Throttle or sensor stays on.', symptom: 'runsOn' },
    ],
    caution: QUIET,
  },
  {
    id: 'start-delay',
    gate: 'slow',
    place: 'bracket',
    title: 'From the first push to help',
    how: 'Starting gear, slow push: the way rolled until help comes, by chalk marks; the mean of three.',
    why: 'On a hill that way is ridden on legs alone.',
    minutes: 4,
    when: (f) => f.cadence,
    reads: ({ context, on }) => {
      const { kit, build, shelf, gearing } = context;
      if (!kit) return [];
      const sheet = cadenceSheet(build, kit, shelf, {
        wheelRadiusM: on.system.vehicle.wheelRadiusM,
        ring: gearing.ring,
        cog: on.system.vehicle.fixedCog ?? Math.max(...on.system.vehicle.cogs),
      });
      const way = sheet.delayM;
      return [
        {
          id: 'way',
          what: 'Way until help comes',
          dimension: 'height',
          digits: 1,
          // One magnet more or less, by where the crank stood.
          band:
            way === null || sheet.sensor === null
              ? null
              : widened(
                  way,
                  way * 0.35,
                  Math.max(0.05, way * 0.02),
                  [{ words: 'where the crank stood, how fast it turns', half: way * 0.35 }],
                  [
                    {
                      label: 'Pulses waited for',
                      value: String(sheet.pulses),
                      from: sheet.pulsesKnown ? 'kit data or as set' : 'taken where nobody says',
                    },
                    { label: 'Magnets', value: String(sheet.sensor.magnets), from: 'sensor' },
                    {
                      label: 'Wait',
                      value: amount(sheet.delayS ?? 0, 'time', 2),
                      from: 'pulses × 60 ÷ (magnets × 40 rpm)',
                    },
                  ],
                ),
          harmless: 'below',
        },
      ];
    },
    outside: [{ side: 'high', words: 'Pulses set high, few magnets, the ring out of reach.', symptom: 'late' }],
    caution: QUIET,
  },
  {
    id: 'slow-loop',
    gate: 'slow',
    place: 'fork',
    title: 'Slow loop, both ways',
    how: 'A figure of eight as tight as it goes, walking pace, legs alone and with help.',
    why: 'Weight has moved: it steers otherwise than it did.',
    minutes: 4,
    sees: [
      { id: 'good', words: 'steers and balances', is: 'pass' },
      { id: 'pushes', words: 'the motor pushes it wide', is: 'question' },
      { id: 'lifts', words: 'a wheel lifts', is: 'stop' },
    ],
    outside: [
      { side: 'seen', words: 'Start strength too high for tight turns.', symptom: 'surges' },
      { side: 'seen', words: 'Mass too high or too far back: Pack, Weight.' },
    ],
    caution: QUIET,
  },
  {
    id: 'stop-walking',
    gate: 'slow',
    place: 'front brake',
    title: 'Stop from a jog, 8 km/h',
    how: 'Both brakes at a mark, help on until the pull: the way to standing, the mean of three.',
    why: 'The first stop that counts.',
    minutes: 4,
    safety: true,
    asks: ['wet'],
    reads: (from) => [
      {
        id: 'way',
        what: 'Way from the mark',
        dimension: 'height',
        digits: 1,
        band: stopWay(from, 8 / 3.6),
        stop: 'above',
        harmless: 'below',
      },
    ],
    outside: [
      { side: 'high', words: 'Brakes not bedded in, oiled, slack; or the motor was not cut.', symptom: 'brakesWeak' },
    ],
    caution: QUIET,
  },
  {
    id: 'tighten-again',
    gate: 'slow',
    place: 'motor axle',
    title: 'Tighten again: axle, arms, cranks, mounts',
    how: 'By the torque wrench, all that was marked: has a mark moved?',
    why: 'Paint and washers settle in the first metres.',
    minutes: 6,
    tools: ['torque-wrench'],
    safety: true,
    sees: [
      { id: 'stood', words: 'nothing had moved', is: 'pass' },
      { id: 'little', words: 'a little, tightened', is: 'question' },
      { id: 'far', words: 'the axle had turned', is: 'stop' },
    ],
    outside: [{ side: 'seen', words: 'Arms with play, paint under washers, soft ends.', symptom: 'wobble' }],
  },
];
