import type { StepFacts } from '../facts.ts';
import type { StepSpec } from '../step.ts';
import type { TightnessId } from '../tightness.ts';
import { after, arrived, tidy } from './before.ts';

const onTube = ({ packPlace }: StepFacts): boolean =>
  packPlace === 'downTube' || packPlace === 'seatTube' || packPlace === 'underDownTube' || packPlace === 'topTube';

/** The seat of the axle, its arms, and what is made ready on the frame. Minutes: the trade’s own reckoning. */
export const frameSteps: readonly StepSpec[] = [
  {
    id: 'tips-look',
    group: 'frame',
    place: 'fork',
    title: 'Look at both fork tips with a glass, inside and out',
    when: (f) => f.hub === 'front',
    minutes: [4, 1],
    after: [after('wheel-out', 'the wheel hides them')],
    hold: { what: 'A cracked, cast-thin or bent tip takes no motor.', by: 'self' },
    caution: {
      text: 'A front wheel that comes out throws the rider over the bar. No arm makes up for a bad tip.',
      ask: 'a shop, where anything about the tips is in doubt',
    },
  },
  {
    id: 'slots-clean',
    group: 'frame',
    place: 'motor axle',
    title: 'Clean the slots and the faces where washers and arms will bear',
    when: (f) => f.hub !== null,
    minutes: [5, 1.5],
    supplies: { rags: 1 },
    after: [after('wheel-out', 'the slots are free')],
    right: 'Flat metal on both sides: no paint lump, no burr a nail catches on.',
  },
  {
    id: 'try-axle',
    group: 'frame',
    place: 'motor axle',
    title: 'Try the axle in its slots, washers as they will sit',
    when: (f) => f.hub !== null,
    minutes: [8, 2],
    after: [
      arrived,
      after('slots-clean', 'dirt in a slot is taken for a tight fit'),
      after('tips-look', 'bad tips end it here'),
    ],
    of: 'kit',
    figure: 'slot-washer',
    right: 'It slides to the slot’s end by hand, with no play across its flats.',
    stubborn:
      'Tight across the flats: paint first, then a fine file, strokes counted, the same on both sides; never the axle.',
    reads: (f) =>
      f.axleM
        ? [
            {
              id: 'flats-play',
              what: 'Play between flats and slot, by feeler gauge',
              dimension: 'size',
              least: 0,
              most: 0.0003,
              source: 'project: past 0.3 mm the axle hammers',
            },
          ]
        : [],
  },
  {
    id: 'stack-out',
    group: 'frame',
    place: 'motor axle',
    title: 'Lay both ends’ washers, arms and nuts out in their order',
    when: (f) => f.hub !== null,
    minutes: [5, 1.5],
    after: [after('try-axle', 'what has to go between is seen with the axle in')],
    of: 'kit',
    figure: 'axle-stack',
    shoot: 'both rows as they lie, motor side and lead side',
    right: 'From the hub outward: spacer, frame, tongued washer, arm, plain washer, nut; the lead side counted too.',
  },
  {
    id: 'recess-filled',
    group: 'frame',
    place: 'front axle',
    title: 'C-spacers or small washers into the recesses of the tips',
    when: (f) => f.recessedTips,
    minutes: [4, 1],
    after: [after('try-axle', 'the recess is seen with the axle in')],
    figure: 'recessed-tip',
    right: 'The big washer bears flat on metal all round, not on the recess’s rim.',
  },
  {
    id: 'arms-ready',
    group: 'frame',
    place: 'motor axle',
    title: 'Set the torque arms’ anchors loose on the frame',
    when: (f) => f.arms > 0,
    minutes: [10, 3],
    tools: ['hex-keys', 'open-spanners'],
    uses: ['torque-arm', 'torque-arm-16'],
    of: 'kit',
    after: [after('try-axle', 'where the axle sits decides where the arm lies')],
    right: 'The arm lies flat on the washer and square to the tube; the clamp sits on rubber, not on paint.',
    undo: 'Torque arms’ anchors off the frame',
  },
  {
    id: 'paint-saved',
    group: 'frame',
    place: 'frame',
    title: 'Tape where clamps, holders and leads will rub',
    when: (f) => f.pack || f.side,
    minutes: [4, 1],
    supplies: { 'insulating-tape': 1 },
    after: [after('on-stand', tidy)],
    right: 'Tape reaches past each clamp by a finger’s width.',
  },
  {
    id: 'bosses-tried',
    group: 'frame',
    place: 'pack',
    title: 'Run a bolt by hand into each bottle boss',
    when: (f) => f.pack && onTube(f) && f.survey.bosses !== undefined && f.survey.bosses.value !== 'none',
    minutes: [3, 1],
    tools: ['hex-keys'],
    after: [after('on-stand', tidy)],
    right: 'By hand to the last thread, and the boss does not turn in its tube.',
    stubborn: 'A boss that turns: not this place; a dirty thread: a tap once through, with oil.',
  },
  {
    id: 'rack-tight',
    group: 'frame',
    place: 'rack',
    title: 'Rack’s bolts tight, and hang on it: it bears a battery now',
    when: (f) => f.packPlace === 'rack',
    minutes: [5, 1.5],
    tools: ['hex-keys', 'torque-wrench'],
    supplies: { threadlock: 1 },
    after: [after('on-stand', tidy)],
    tightness: ['rack-bolt'],
    right: 'Pushed sideways with the hand it takes the whole bike along, and does not sway by itself.',
  },
  {
    id: 'floor-drilled',
    group: 'frame',
    place: 'pack',
    title: 'Holes through the floor for the battery’s holder, their edges sealed',
    when: (f) => f.packPlace === 'box' || f.packPlace === 'basket',
    minutes: [14, 4],
    tools: ['drill'],
    supplies: { 'drill-bits': 1, 'touch-up-paint': 1 },
    after: [after('on-stand', tidy), after('volts-pack', 'a wrong battery goes back without a hole for it')],
    right: 'Nothing below the floor is hit: cable, beam, steering rod.',
    stubborn: 'Wood: drill from above onto a waste board; metal: a small drill first.',
    wait: { minutes: 120, why: 'paint on the cut edges dries' },
  },
  {
    id: 'head-play',
    group: 'frame',
    place: 'fork',
    title: 'Head bearing: no play, no notch',
    when: (f) => f.hub === 'front',
    minutes: [3, 1],
    after: [after('on-stand', tidy)],
    tightness: ['stem-bolt'],
    right: 'Front brake held, rocked to and fro: no knock; lifted, the bar falls to each side by itself.',
  },
];

/** Which row of the tightness an axle's nut is in, by its thread. */
export const axleNut = ({ axleM }: StepFacts): readonly TightnessId[] =>
  axleM === null ? [] : [axleM < 0.011 ? 'axle-10' : axleM < 0.0135 ? 'axle-12' : 'axle-14'];

/** A torque arm's bolt, and what holds its other end: an eyelet where there is one, else a clamp. */
export const armBolts = ({ arms, hub, survey }: StepFacts): readonly TightnessId[] => {
  const eyelets = survey[hub === 'front' ? 'frontEyelets' : 'rearEyelets']?.value;
  return arms === 0 ? [] : ['arm-bolt', eyelets === 'one' || eyelets === 'two' ? 'eyelet-bolt' : 'arm-clamp'];
};
