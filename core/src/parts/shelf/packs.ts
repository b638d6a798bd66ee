import type { Pack } from '../pack.ts';

/** The starter shelf's packs: invented makers, plausible cells, cases and prices. */

const mm = (n: number): number => n / 1000;

/** A cell: amp-hours, ohms, continuous amps, as data sheets give them. */
type Cell = [ah: number, ohm: number, amps: number];
const thrifty: Cell = [2.9, 0.035, 5];
const common: Cell = [3.2, 0.032, 6];
const fuller: Cell = [3.4, 0.032, 6.5];
const strong: Cell = [3.5, 0.03, 7];
const large: Cell = [4.8, 0.02, 10];

type Box = [length: number, height: number, width: number];

type Facts = Pick<Pack, 'id' | 'name' | 'maker' | 'massKg' | 'price' | 'note' | 'boardA' | 'places'> & { box: Box };

const cellsOf = ([cellAh, cellOhm, cellContinuousA]: Cell, series: number, parallel: number) => ({
  chemistry: 'nmc' as const,
  cutoffVPerCell: 3,
  usable: 0.95,
  leadOhm: 0.02,
  series,
  parallel,
  cellAh,
  cellOhm,
  cellContinuousA,
});

const outlineOf = ([length, height, width]: Box): Pack['outline'] => ({
  lengthM: mm(length),
  heightM: mm(height),
  widthM: mm(width),
});

/** Holes as most rails have them: four, a boss spacing apart, slotted. */
const rail = { railHolesM: { spacing: mm(64), slot: mm(18) }, clampTubesM: { least: mm(28), most: mm(46) } };

/** A case on a rail: slides along it, latched at its low end. */
function framed(
  { box, ...facts }: Facts,
  cells: ReturnType<typeof cellsOf>,
  slide: number,
  form: 'wedge' | 'slab' | 'tubeCase',
  rest: Partial<Pack> = {},
): Pack {
  return {
    kind: 'pack',
    ...facts,
    ...cells,
    outline: outlineOf(box),
    slideOffM: mm(slide),
    form,
    leaves: 'along',
    latchEnd: 'low',
    plugAt: 'side',
    ...rail,
    ...rest,
  };
}

/** A case for a deck: slides backward off its own rail, or is strapped where it does not slide. */
function standing(
  { box, ...facts }: Facts,
  cells: Omit<ReturnType<typeof cellsOf>, 'chemistry'> & Pick<Pack, 'chemistry'>,
  slide: number,
  rest: Partial<Pack> = {},
): Pack {
  return {
    kind: 'pack',
    ...facts,
    ...cells,
    outline: outlineOf(box),
    slideOffM: mm(slide),
    form: 'brick',
    leaves: slide > 0 ? 'along' : 'off',
    latchEnd: 'high',
    plugAt: slide > 0 ? 'high' : 'low',
    ...rest,
  };
}

const lfp = (series: number, parallel: number, cellAh: number, cellOhm: number, amps: number) => ({
  chemistry: 'lfp' as const,
  cutoffVPerCell: 2.6,
  usable: 0.95,
  leadOhm: 0.02,
  series,
  parallel,
  cellAh,
  cellOhm,
  cellContinuousA: amps,
});
const lead = (blocks: number, ah: number) => ({
  chemistry: 'lead' as const,
  cutoffVPerCell: 1.75,
  usable: 0.8,
  leadOhm: 0.03,
  series: blocks * 6,
  parallel: 1,
  cellAh: ah,
  cellOhm: 0.003,
  cellContinuousA: 30,
});

const KETTLE: Pack['places'] = ['downTube', 'seatTube', 'behindSeatTube', 'underDownTube'];
const DECK: Pack['places'] = ['rack', 'box', 'seatBack', 'trailer'];
const kettle = (id: string, name: string, facts: Omit<Facts, 'id' | 'name' | 'maker' | 'places'>): Facts => ({
  id,
  name,
  maker: 'Copperhouse',
  places: KETTLE,
  ...facts,
});

export const packs: Pack[] = [
  framed(
    kettle('kettle-36-13', 'Kettle 36 · 12.8 Ah', {
      massKg: 2.9,
      price: 310,
      note: 'Slim frame case on a rail.',
      boardA: 20,
      box: [340, 92, 92],
    }),
    cellsOf(common, 10, 4),
    26,
    'slab',
  ),
  framed(
    kettle('kettle-36-17', 'Kettle 36 · 17 Ah', {
      massKg: 3.6,
      price: 385,
      note: 'The long frame case.',
      boardA: 25,
      box: [395, 106, 92],
    }),
    cellsOf(fuller, 10, 5),
    28,
    'slab',
  ),
  framed(
    kettle('kettle-48-14', 'Kettle 48 · 14 Ah', {
      massKg: 3.9,
      price: 425,
      note: 'Frame case, 13 cells in series.',
      boardA: 30,
      box: [420, 108, 92],
    }),
    cellsOf(strong, 13, 4),
    28,
    'slab',
  ),
  framed(
    kettle('kettle-36-10', 'Kettle 36 · 9.6 Ah', {
      massKg: 2.3,
      price: 245,
      note: 'The short one, for small frames.',
      boardA: 18,
      box: [286, 84, 86],
    }),
    cellsOf(common, 10, 3),
    22,
    'slab',
  ),
  framed(
    {
      id: 'slab-52-20',
      name: 'Slab 52 · 20 Ah',
      maker: 'Copperhouse',
      massKg: 5.8,
      price: 610,
      note: 'Big slab for tall triangles.',
      boardA: 40,
      box: [430, 150, 100],
      places: ['downTube'],
    },
    cellsOf([3.35, 0.03, 7], 14, 6),
    20,
    'slab',
  ),
  framed(
    {
      id: 'slab-48-24',
      name: 'Slab 48 · 24 Ah',
      maker: 'Copperhouse',
      massKg: 6.2,
      price: 640,
      note: 'The biggest that goes in a frame; wants a large one.',
      boardA: 40,
      box: [440, 158, 100],
      places: ['downTube'],
    },
    cellsOf(large, 13, 5),
    20,
    'slab',
    { latchEnd: 'high' },
  ),
  framed(
    {
      id: 'wherry-36-14',
      name: 'Wherry 36 · 14 Ah',
      maker: 'Tarn & Daughters',
      massKg: 3.1,
      price: 345,
      note: 'Cut back at both ends: goes where a square case meets the tubes.',
      boardA: 22,
      box: [368, 98, 90],
      places: KETTLE,
    },
    cellsOf(strong, 10, 4),
    24,
    'wedge',
  ),
  framed(
    {
      id: 'wherry-48-17',
      name: 'Wherry 48 · 17 Ah',
      maker: 'Tarn & Daughters',
      massKg: 4.7,
      price: 520,
      note: 'Cut back at both ends, fuller in the middle.',
      boardA: 35,
      box: [432, 118, 92],
      places: KETTLE,
    },
    cellsOf(fuller, 13, 5),
    26,
    'wedge',
  ),
  framed(
    {
      id: 'wherry-52-14',
      name: 'Wherry 52 · 14 Ah',
      maker: 'Tarn & Daughters',
      massKg: 4.3,
      price: 495,
      note: 'Fourteen in series, for kits that bear it.',
      boardA: 35,
      box: [425, 110, 92],
      places: KETTLE,
    },
    cellsOf(strong, 14, 4),
    26,
    'wedge',
  ),
  framed(
    {
      id: 'flask-36-9',
      name: 'Flask 36 · 8.7 Ah',
      maker: 'Tarn & Daughters',
      massKg: 2.1,
      price: 275,
      note: 'The size of a tall bottle; lifts straight off its rail.',
      boardA: 15,
      box: [262, 78, 78],
      places: [...KETTLE, 'basket'],
    },
    cellsOf(thrifty, 10, 3),
    14,
    'slab',
    { leaves: 'off' },
  ),
  framed(
    {
      id: 'reed-36-10',
      name: 'Reed 36 · 10 Ah',
      maker: 'Withy Works',
      massKg: 2.6,
      price: 360,
      note: 'Long and thin along the tube; comes out sideways on a hinge.',
      boardA: 18,
      box: [470, 62, 70],
      places: ['downTube', 'seatTube', 'underDownTube', 'topTube'],
    },
    cellsOf(large, 10, 2),
    10,
    'tubeCase',
    { leaves: 'sideways' },
  ),
  framed(
    {
      id: 'reed-48-10',
      name: 'Reed 48 · 10 Ah',
      maker: 'Withy Works',
      massKg: 3.3,
      price: 430,
      note: 'Long and thin along the tube; comes out sideways on a hinge.',
      boardA: 25,
      box: [560, 66, 72],
      places: ['downTube', 'underDownTube', 'topTube'],
    },
    cellsOf(large, 13, 2),
    10,
    'tubeCase',
    { leaves: 'sideways' },
  ),
  framed(
    {
      id: 'heron-36-12',
      name: 'Heron 36 · 11.6 Ah',
      maker: 'Withy Works',
      massKg: 3,
      price: 320,
      note: 'Stands behind the seat tube of folders and low frames; lifts up off its foot.',
      boardA: 20,
      box: [350, 76, 128],
      places: ['behindSeatTube', 'seatTube'],
    },
    cellsOf(thrifty, 10, 4),
    30,
    'slab',
    { clampTubesM: { least: mm(25), most: mm(36) } },
  ),
  framed(
    {
      id: 'heron-24-9',
      name: 'Heron 24 · 8.7 Ah',
      maker: 'Withy Works',
      massKg: 1.6,
      price: 190,
      note: 'Light, for folders that are carried.',
      boardA: 15,
      box: [240, 70, 110],
      places: ['behindSeatTube', 'seatTube', 'underSeat'],
    },
    cellsOf(thrifty, 7, 3),
    24,
    'slab',
    { clampTubesM: { least: mm(25), most: mm(36) } },
  ),
  {
    ...framed(
      {
        id: 'satchel-36-16',
        name: 'Satchel 36 · 16 Ah',
        maker: 'Nettle Bag Co.',
        massKg: 3.2,
        price: 295,
        note: 'Cells shrunk in a padded bag: straps, no rail, no lock. For carbon and odd frames.',
        boardA: 25,
        box: [320, 130, 70],
        places: ['topTube', 'downTube', 'frameBag', 'basket', 'box', 'seatBack', 'bar', 'backpack'],
      },
      cellsOf(common, 10, 5),
      0,
      'slab',
    ),
    form: 'bag',
    leaves: 'sideways',
    plugAt: 'high',
    railHolesM: undefined,
    clampTubesM: undefined,
  },
  {
    ...framed(
      {
        id: 'satchel-48-12',
        name: 'Satchel 48 · 12 Ah',
        maker: 'Nettle Bag Co.',
        massKg: 3.4,
        price: 330,
        note: 'The same in 48 V.',
        boardA: 30,
        box: [330, 120, 75],
        places: ['topTube', 'downTube', 'frameBag', 'basket', 'box', 'seatBack', 'bar', 'backpack'],
      },
      cellsOf([3, 0.034, 6], 13, 4),
      0,
      'slab',
    ),
    form: 'bag',
    leaves: 'sideways',
    plugAt: 'high',
    railHolesM: undefined,
    clampTubesM: undefined,
  },
  standing(
    {
      id: 'loaf-36-17',
      name: 'Loaf 36 · 17.4 Ah',
      maker: 'Low Weir Cells',
      massKg: 4.1,
      price: 395,
      note: 'Rack case with its own rail and lock.',
      boardA: 20,
      box: [370, 78, 150],
      places: ['rack', 'seatBack'],
    },
    cellsOf(thrifty, 10, 6),
    40,
  ),
  standing(
    {
      id: 'loaf-48-15',
      name: 'Loaf 48 · 15 Ah',
      maker: 'Low Weir Cells',
      massKg: 4.6,
      price: 440,
      note: 'Rack case, 48 V.',
      boardA: 30,
      box: [385, 82, 150],
      places: DECK,
    },
    cellsOf([3, 0.034, 6], 13, 5),
    40,
  ),
  standing(
    {
      id: 'loaf-36-10',
      name: 'Loaf 36 · 10 Ah',
      maker: 'Low Weir Cells',
      massKg: 2.7,
      price: 255,
      note: 'The flat half loaf, for light racks.',
      boardA: 18,
      box: [330, 66, 120],
      places: ['rack', 'seatBack', 'underSeat', 'basket'],
    },
    cellsOf(large, 10, 2),
    36,
  ),
  standing(
    {
      id: 'crate-48-26',
      name: 'Crate 48 · 26 Ah',
      maker: 'Low Weir Cells',
      massKg: 7.4,
      price: 690,
      note: 'For boxes and long decks.',
      boardA: 50,
      box: [360, 120, 180],
      places: DECK,
    },
    cellsOf(fuller, 13, 8),
    0,
  ),
  standing(
    {
      id: 'crate-52-34',
      name: 'Crate 52 · 34 Ah',
      maker: 'Low Weir Cells',
      massKg: 10.3,
      price: 905,
      note: 'Two days’ rounds for a loaded trike.',
      boardA: 60,
      box: [400, 130, 200],
      places: ['box', 'rack', 'trailer'],
    },
    cellsOf(fuller, 14, 10),
    0,
  ),
  standing(
    {
      id: 'hearth-48-20-lfp',
      name: 'Hearth 48 · 20 Ah',
      maker: 'Low Weir Cells',
      massKg: 8.9,
      price: 420,
      note: 'Iron phosphate brick: heavy, long-lived, calm.',
      boardA: 35,
      box: [340, 150, 155],
      places: ['box', 'rack', 'trailer'],
    },
    lfp(15, 1, 20, 0.004, 40),
    0,
  ),
  standing(
    {
      id: 'hearth-36-12-lfp',
      name: 'Hearth 36 · 12 Ah',
      maker: 'Low Weir Cells',
      massKg: 5.2,
      price: 265,
      note: 'Iron phosphate for the rack.',
      boardA: 25,
      box: [360, 85, 150],
      places: ['rack', 'box', 'seatBack'],
    },
    lfp(11, 2, 6, 0.008, 12),
    40,
  ),
  standing(
    {
      id: 'hearth-36-20-lfp',
      name: 'Hearth 36 · 20 Ah',
      maker: 'Low Weir Cells',
      massKg: 6.8,
      price: 340,
      note: 'Iron phosphate brick, 36 V.',
      boardA: 30,
      box: [300, 140, 150],
      places: ['box', 'rack', 'trailer'],
    },
    lfp(11, 1, 20, 0.004, 40),
    0,
  ),
  standing(
    {
      id: 'hearth-51-30-lfp',
      name: 'Hearth 51 · 30 Ah',
      maker: 'Low Weir Cells',
      massKg: 13.9,
      price: 610,
      note: 'A box’s worth of iron phosphate.',
      boardA: 50,
      box: [420, 170, 180],
      places: ['box', 'trailer'],
    },
    lfp(16, 1, 30, 0.003, 60),
    0,
  ),
  standing(
    {
      id: 'ballast-36-18-pb',
      name: 'Ballast 36 · 18 Ah',
      maker: 'Harbour Lead',
      massKg: 18.6,
      price: 145,
      note: 'Three gel blocks, for where lithium cannot be delivered.',
      boardA: 40,
      box: [545, 170, 80],
      places: ['box', 'rack', 'trailer'],
    },
    lead(3, 18),
    0,
  ),
  standing(
    {
      id: 'ballast-36-12-pb',
      name: 'Ballast 36 · 12 Ah',
      maker: 'Harbour Lead',
      massKg: 12.6,
      price: 98,
      note: 'Three small gel blocks; half of it is what may be used.',
      boardA: 30,
      box: [455, 100, 100],
      places: ['rack', 'box', 'trailer', 'basket'],
    },
    lead(3, 12),
    0,
  ),
  standing(
    {
      id: 'ballast-48-18-pb',
      name: 'Ballast 48 · 18 Ah',
      maker: 'Harbour Lead',
      massKg: 24.8,
      price: 192,
      note: 'Four blocks: for a box or a trailer.',
      boardA: 40,
      box: [365, 170, 155],
      places: ['box', 'trailer'],
    },
    lead(4, 18),
    0,
  ),
];
