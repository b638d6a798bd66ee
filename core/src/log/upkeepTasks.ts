import type { RemedyPlace } from '../build/remedy.ts';

/** What of a vehicle decides which upkeep it wants. */
export interface UpkeepFacts {
  hub: boolean;
  mid: boolean;
  driven: 'front' | 'rear';
  derailleur: boolean;
  hubGear: boolean;
  disc: boolean;
  rim: boolean;
  hydraulic: boolean;
  lamps: boolean;
  /** A lever that cuts the motor. */
  cutoffs: boolean;
  pack: boolean;
  lead: boolean;
  trailer: boolean;
  trike: boolean;
  hinge: boolean;
}

/** Something that must be looked after: by way, days, charges or after an event. */
export interface UpkeepTask {
  id: string;
  words: string;
  /** How, in a line; the step of Build says it in full. */
  how: string;
  why: string;
  place: (facts: UpkeepFacts) => RemedyPlace;
  minutes: number;
  /** Step of Build that tells how. */
  step: string;
  when: (facts: UpkeepFacts) => boolean;
  /** First time, and every time after, km. */
  firstKm?: number;
  everyKm?: (facts: UpkeepFacts) => number;
  everyDays?: number;
  everyCharges?: number;
  /** Due once in the first days of this month, after the winter. */
  afterWinter?: boolean;
  /** Due after a line of this kind. */
  after?: 'puncture' | 'fault' | 'change';
  /** It can hurt somebody where it is left. */
  safety?: boolean;
}

const always = (): boolean => true;

/** Upkeep of a converted vehicle. Intervals: the-work.md §10 and workshop practice, the cautious end. */
export const upkeepTasks: readonly UpkeepTask[] = [
  {
    id: 'torque',
    words: 'Axle nuts, arms and motor bolts with the wrench',
    how: 'To the torque of Build, marks looked at first; what moved is looked at again after 10 km.',
    why: 'A nut that settles lets the axle turn in its ends, and an axle that turns tears its cable off.',
    place: (f) => (f.mid ? 'bracket' : `${f.driven} axle`),
    minutes: 8,
    step: 'tighten-again',
    when: always,
    firstKm: 50,
    everyKm: () => 500,
    safety: true,
  },
  {
    id: 'spokes',
    words: 'Spokes of the motor wheel plucked, rim looked at',
    how: 'Each pair squeezed, the wheel spun against a thumb; a dull one is tightened a quarter turn.',
    why: 'A hub motor pulls on its spokes at every start; a loose one breaks its neighbours.',
    place: (f) => `${f.driven} wheel`,
    minutes: 6,
    step: 'rim-true',
    when: (f) => f.hub,
    firstKm: 100,
    everyKm: () => 500,
    safety: true,
  },
  {
    id: 'spokes-plain',
    words: 'Spokes plucked, rims looked at',
    how: 'Each pair squeezed, the wheels spun against a thumb.',
    why: 'Motor and battery weigh on wheels that carried less before.',
    place: () => 'rear wheel',
    minutes: 6,
    step: 'rim-true',
    when: (f) => !f.hub,
    everyKm: () => 1000,
  },
  {
    id: 'chain',
    words: 'Chain cleaned, oiled and its wear measured',
    how: 'A gauge dropped in at three places; at 0.75 % a new one, at 1 % new cogs with it.',
    why: 'A worn chain eats cogs and ring, and they cost ten times as much.',
    place: () => 'chain',
    minutes: 12,
    step: 'chain-slack',
    when: always,
    everyKm: (f) => (f.mid ? 300 : 500),
  },
  {
    id: 'pads',
    words: 'Brake pads looked at, levers pulled hard',
    how: 'Under 1 mm of lining a disc pad is changed, at its groove a block; the lever must stop clear of the grip.',
    why: 'The vehicle is heavier and faster than the one these brakes were made for.',
    place: () => 'front brake',
    minutes: 8,
    step: 'brakes-try',
    when: always,
    everyKm: (f) => (f.disc ? 500 : 400),
    safety: true,
  },
  {
    id: 'bleed',
    words: 'Brake fluid or oil seen to',
    how: 'As its maker says: a lever that softens is bled at once.',
    why: 'Fluid takes up water and boils on a long hill.',
    place: () => 'levers',
    minutes: 40,
    step: 'bleed',
    when: (f) => f.hydraulic,
    everyDays: 365,
    safety: true,
  },
  {
    id: 'bearings',
    words: 'Headset, wheels and cranks rocked and turned',
    how: 'Front brake on, rocked: no knock. Wheels and cranks by the rim: no play, no grit.',
    why: 'More mass at more speed finds every loose bearing.',
    place: () => 'fork',
    minutes: 8,
    step: 'head-play',
    when: always,
    everyKm: () => 1000,
    everyDays: 180,
    safety: true,
  },
  {
    id: 'seals',
    words: 'Seals, drip loops and plugs after the winter',
    how: 'Plugs parted, looked into, dried, a trace of grease, pressed home; lead entries looked at.',
    why: 'Salt water creeps in all winter and stands green in a plug by summer.',
    place: () => 'leads',
    minutes: 20,
    step: 'seal',
    when: always,
    everyDays: 365,
    afterWinter: true,
  },
  {
    id: 'plugs',
    words: 'Plugs pressed home, ties and leads looked along',
    how: 'Each plug pushed, each lead followed by hand: nothing rubs, nothing pulls at full lock.',
    why: 'Most motors that die on the road had a plug work loose.',
    place: () => 'leads',
    minutes: 6,
    step: 'plugs-home',
    when: always,
    everyKm: () => 500,
    after: 'fault',
  },
  {
    id: 'pack-fixings',
    words: 'Battery’s holder, straps and lock',
    how: 'Shaken hard, bolts by hand; case looked at for knocks and swelling. A swollen one is not charged again.',
    why: 'It is the heaviest thing that can fall off, and a knocked cell can burn.',
    place: () => 'pack',
    minutes: 5,
    step: 'pack-strapped',
    when: (f) => f.pack,
    everyKm: () => 500,
    everyDays: 180,
    safety: true,
  },
  {
    id: 'capacity',
    words: 'Battery’s capacity checked',
    how: 'Ridden from full until it cuts out, the energy read; or two charges from a known per cent read at the wall.',
    why: 'A range shrinks a little every month: better known than found out at the far end.',
    place: () => 'pack',
    minutes: 10,
    step: 'volts-pack',
    when: (f) => f.pack,
    everyDays: 180,
    everyCharges: 60,
  },
  {
    id: 'tyres',
    words: 'Tyres: pressure, cuts, tread',
    how: 'By the gauge, not by thumb; cuts picked clean; cords that show mean a new tyre.',
    why: 'A soft tyre costs range and pinches its tube; a worn one lets every thorn in.',
    place: () => 'rear wheel',
    minutes: 6,
    step: 'pressures',
    when: always,
    everyKm: () => 300,
    everyDays: 30,
    after: 'puncture',
  },
  {
    id: 'lamps',
    words: 'Lamps, horn and reflectors',
    how: 'On, from ten paces, front and back; lenses wiped.',
    why: 'A lamp that went out is seen by everybody but its rider.',
    place: () => 'bar',
    minutes: 3,
    step: 'lamps-try',
    when: (f) => f.lamps,
    everyDays: 60,
  },
  {
    id: 'cutoffs',
    words: 'Cut-offs at the levers',
    how: 'Wheel in the air, a little power, each lever pulled: the motor stops at once.',
    why: 'A magnet that crept lets the motor push against the brake.',
    place: () => 'levers',
    minutes: 4,
    step: 'cutoffs-try',
    when: (f) => f.cutoffs,
    everyKm: () => 500,
    after: 'change',
    safety: true,
  },
  {
    id: 'gears',
    words: 'Gears set, shift cable looked at',
    how: 'Through all of them under light load; a frayed cable is changed.',
    why: 'A motor’s pull bends what legs never bent, and a chain that jumps takes skin with it.',
    place: () => 'chain',
    minutes: 10,
    step: 'gears-set',
    when: (f) => f.derailleur,
    everyKm: () => 800,
  },
  {
    id: 'hub-gear',
    words: 'Hub gear’s cable set, oil as its maker says',
    how: 'The mark in gear as its maker shows; oil once a year where it has any.',
    why: 'A hub gear half in gear under a motor strips its teeth.',
    place: () => 'rear wheel',
    minutes: 10,
    step: 'hub-gear-set',
    when: (f) => f.hubGear,
    everyKm: () => 1000,
  },
  {
    id: 'hitch',
    words: 'Trailer’s hitch, pin and strap',
    how: 'Pin out, looked at, greased; the strap looked along.',
    why: 'A hitch wears oval where it cannot be seen.',
    place: () => 'rear axle',
    minutes: 4,
    step: 'trailer-socket',
    when: (f) => f.trailer,
    everyKm: () => 300,
    safety: true,
  },
  {
    id: 'hinge',
    words: 'Folding hinge and its clamp',
    how: 'Clamp by hand, the joint rocked, leads looked along folded and open.',
    why: 'A hinge that opens while riding throws its rider.',
    place: () => 'frame',
    minutes: 4,
    step: 'fold-try',
    when: (f) => f.hinge,
    everyKm: () => 200,
    safety: true,
  },
];

export const upkeepTaskOf = (id: string): UpkeepTask | undefined => upkeepTasks.find((t) => t.id === id);
