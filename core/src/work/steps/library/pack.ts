import type { StepFacts } from '../facts.ts';
import type { StepSpec } from '../step.ts';
import type { TightnessId } from '../tightness.ts';
import { after, arrived, tidy } from './before.ts';

const heldBy = ({ packPlace, packFixing }: StepFacts): readonly TightnessId[] =>
  packFixing === 'straps'
    ? []
    : packPlace === 'box' || packPlace === 'basket'
      ? ['box-bolt']
      : packPlace === 'rack'
        ? ['holder-bolt']
        : ['boss-bolt'];

/** Battery, its holder, controller and what goes between. Minutes: the trade’s own reckoning. */
export const packSteps: readonly StepSpec[] = [
  {
    id: 'pack-holder',
    group: 'pack',
    place: 'pack',
    title: 'Battery’s holder to its place; no bolt may reach a cable or the shell of a cell',
    when: (f) => f.pack,
    minutes: [14, 4],
    tools: (f) => (f.packFixing === 'stands' ? ['drill', 'rivet-nut-setter', 'hex-keys'] : ['hex-keys']),
    supplies: { threadlock: 1 },
    of: 'pack',
    after: [
      after('volts-pack', 'a wrong battery goes back without a mark'),
      after('on-stand', tidy),
      after('paint-saved', 'the holder rubs through the paint'),
      after('bosses-tried', 'a boss that turns is found with nothing in the way'),
      after('rack-tight', 'what sways does not hold a battery'),
      after('floor-drilled', 'its bolts go through'),
    ],
    figure: 'holder-bolt',
    tightness: heldBy,
    leaves: () => [['pack', 'loose']],
    shoot: 'the bolts’ ends from behind, where they can be seen',
    right: 'Pulled with both hands it does not move; bolts end in air.',
    undo: 'Battery’s holder off its place',
  },
  {
    id: 'pack-slide',
    group: 'pack',
    place: 'pack',
    title: 'Battery in and out by hand, its lock turned: room for the fingers',
    when: (f) => f.pack,
    minutes: [4, 1],
    of: 'pack',
    after: [after('pack-holder', 'it goes into its holder')],
    right: 'In until it clicks, out without touching crank, cable or bottle; then out again until the end.',
    caution: {
      text: 'Its pole plates are live whenever it is charged: no ring, no watch, no tool near them.',
      ask: 'the seller, where a plate lies bare in the holder',
    },
  },
  {
    id: 'pack-strapped',
    group: 'pack',
    place: 'pack',
    title: 'A strap round the battery besides its holder',
    when: (f) => f.packFixing === 'straps' || f.packPlace === 'rack' || f.packPlace === 'frameBag',
    minutes: [4, 1],
    after: [after('pack-slide', 'where it lies is settled')],
    right: 'Turned upside down in the mind: nothing falls out.',
  },
  {
    id: 'packs-joined',
    group: 'pack',
    place: 'pack',
    title: 'Batteries level with one another, then joined as planned',
    when: (f) => f.packsJoined,
    minutes: [25, 8],
    tools: ['multimeter'],
    after: [after('volts-pack', 'each is measured alone'), after('pack-holder', 'they lie where they stay')],
    hold: { what: 'Volts of each written down; nothing is joined that differs.', by: 'another' },
    caution: {
      text: 'Joined at different volts they drive hundreds of amps into one another.',
      ask: 'somebody who has joined batteries before',
    },
  },
  {
    id: 'fuse-in',
    group: 'pack',
    place: 'pack',
    title: 'Fuse in the plus lead, a hand’s width from the battery',
    when: (f) => f.pack,
    minutes: [6, 2],
    tools: ['crimp-tool'],
    after: [after('pack-holder', 'the lead’s length is known'), after('volts-pack', 'which lead is plus is known')],
    figure: 'fuse-near',
    right: 'The figure on it is the plan’s; pulled, the crimps hold.',
    stubborn: 'A battery with a fuse of its own that can be got at: leave this out and say so.',
  },
  {
    id: 'precharge-in',
    group: 'pack',
    place: 'pack',
    title: 'Pre-charge lead between battery and controller',
    when: (f) => f.precharge,
    minutes: [8, 3],
    tools: ['crimp-tool'],
    after: [after('fuse-in', 'it comes after the fuse')],
    right: 'The pop is gone when the plug is joined.',
  },
  {
    id: 'controller-on',
    group: 'pack',
    place: 'frame',
    title: 'Controller to its place, plugs downward, air round it',
    when: (f) => f.controllerBox,
    minutes: [8, 2],
    tools: ['hex-keys'],
    of: 'kit',
    after: [arrived, after('on-stand', tidy), after('paint-saved', 'its box rubs through the paint')],
    leaves: () => [['controller', 'tight']],
    right: 'Water runs off it and away from its plugs; it is not wrapped in foam, where it cooks.',
    undo: 'Controller off its place; plugs apart first',
  },
  {
    id: 'trailer-socket',
    group: 'pack',
    place: 'leads',
    title: 'Lead over the hitch: a plug that pulls apart before the cable does',
    when: (f) => f.packPlace === 'trailer',
    minutes: [14, 4],
    tools: ['crimp-tool'],
    after: [after('pack-holder', 'it begins there')],
    caution: {
      text: 'Live halves must be the covered ones: the pins are on the side without volts.',
      ask: 'somebody who has wired a trailer before',
    },
  },
];
