/** How tight something is drawn, N·m: least, usual and most of what the trade uses, for where the maker of the part says nothing. */
export interface Tightness {
  what: string;
  least: number;
  usual: number;
  most: number;
  source: string;
}

const SIZE = 'usual for a bolt of that size, dry, in steel; the maker’s figure on the part counts first';
const TRADE = 'usual in the trade for that joint; the maker’s figure counts first';

const rows = {
  'axle-10': ['axle nut, 10 mm thread', 25, 30, 40, TRADE],
  'axle-12': ['axle nut, 12 mm thread', 35, 40, 50, TRADE],
  'axle-14': ['axle nut, 14 mm thread', 40, 45, 60, TRADE],
  'arm-bolt': ['torque arm’s bolt, M6', 6, 8, 10, SIZE],
  'arm-clamp': ['torque arm’s clamp', 3, 4, 5, 'usual for a hose clamp; past that its screw strips'],
  'eyelet-bolt': ['bolt in an eyelet, M5', 4, 5, 6, SIZE],
  'rotor-bolt': ['rotor bolt, M5, star head', 4, 5, 6.5, TRADE],
  lockring: ['lockring of cogs or a splined rotor', 35, 40, 50, TRADE],
  'caliper-bolt': ['brake’s mounting bolt, M6', 6, 7, 9, TRADE],
  'pad-bolt': ['rim brake pad’s bolt', 5, 6, 8, TRADE],
  'cable-bolt': ['cable’s pinch bolt, M5', 4, 5, 6, TRADE],
  'crank-bolt': ['crank bolt, square end or splined', 35, 40, 50, TRADE],
  'cotter-nut': ['cotter pin’s nut', 9, 11, 14, TRADE],
  pedal: ['pedal', 30, 35, 40, TRADE],
  'ring-bolt': ['chainring bolt', 7, 9, 11, TRADE],
  'mid-nut': ['mid-drive’s first ring nut', 30, 35, 45, TRADE],
  'mid-lock': ['mid-drive’s second ring, against the first', 30, 35, 45, TRADE],
  'mid-bolt': ['bolt through the mid’s plate, M8', 15, 18, 22, SIZE],
  'side-clamp': ['clamp on a stay, M6', 6, 8, 10, SIZE],
  'lever-clamp': ['lever’s clamp on the bar', 4, 5, 6, TRADE],
  'small-clamp': [
    'clamp of a display, keypad or throttle',
    0.8,
    1.2,
    2,
    'plastic: only until it does not turn by hand',
  ],
  'stem-bolt': ['stem’s bolt, M5', 4, 5, 6, TRADE],
  'boss-bolt': ['bolt in a bottle boss, M5', 3, 4, 5, 'usual for a riveted boss; past that it turns in the tube'],
  'rack-bolt': ['rack’s bolt, M5', 4, 5, 6, SIZE],
  'holder-bolt': ['bolt of a battery’s holder, M5', 3, 4, 5, SIZE],
  'box-bolt': ['bolt through a floor with a broad washer, M6', 5, 6, 8, SIZE],
  'seat-bolt': ['seat’s bolt, M6', 7, 9, 11, SIZE],
  'lamp-bolt': ['lamp’s bolt, M5', 2, 3, 4, SIZE],
} as const satisfies Record<string, readonly [string, number, number, number, string]>;

export type TightnessId = keyof typeof rows;

export const tightness: Readonly<Record<TightnessId, Tightness>> = Object.fromEntries(
  Object.entries(rows).map(([id, [what, least, usual, most, source]]) => [id, { what, least, usual, most, source }]),
) as Record<TightnessId, Tightness>;
