import type { Build } from '../build/build.ts';
import type { Kit } from '../parts/kit.ts';
import type { Shelf } from '../parts/part.ts';
import { partById } from '../parts/part.ts';
import type { Control } from '../parts/controls.ts';

/** What can sit along a bar. */
const barItemIds = [
  'twistThrottle',
  'grip',
  'throttle',
  'twistShifter',
  'lever',
  'trigger',
  'thumbShifter',
  'keypad',
  'display',
  'horn',
  'bell',
] as const;
export type BarItemId = (typeof barItemIds)[number];

/** One thing on the bar, from the end inward, m. */
export interface BarItem {
  id: BarItemId;
  what: string;
  fromM: number;
  lengthM: number;
  /** It is the grip, or is turned by the hand on it: it stays at the end. */
  fixed: boolean;
}

/** What things take of a bar, m. Source: project, common controls measured. */
const TAKES = { lever: 0.022, leverWithShifter: 0.05, trigger: 0.03, twist: 0.075, thumb: 0.018, bell: 0.02 } as const;
/** Grip nobody measured, and what must be left of one that is cut, m. Source: project. */
const COMMON_GRIP = 0.13;
const LEAST_GRIP = 0.09;

type Thing = Omit<BarItem, 'fromM'>;

/** A control chosen in place of the kit's, looked up on a shelf where one is given. */
function chosenControl(build: Build, shelf: Shelf | null, id: string | null): Control | null {
  if (id === null) return null;
  const own = build.ownParts.find((p) => p.id === id);
  const part = own ?? (shelf ? partById(shelf, id) : undefined);
  return part?.kind === 'control' ? part : null;
}

/**
 * What sits on one side of the bar with a kit fitted, laid out from its end inward: grip and what turns with the hand
 * at the end, then as the builder ordered it, else as is usual. Lengths as measured, as the parts say, or common ones.
 */
export function barItems(build: Build, kit: Kit | null, side: 'left' | 'right', shelf: Shelf | null = null): BarItem[] {
  const { survey } = build.donor;
  const { wiring } = build;
  const grip = survey.gripLength?.value ?? COMMON_GRIP;
  const shifter = survey[side === 'left' ? 'leftShifter' : 'rightShifter']?.value;
  const lever = survey[side === 'left' ? 'leftLever' : 'rightLever']?.value;
  const controls = kit?.controls;
  const ownThrottle = chosenControl(build, shelf, wiring.parts.throttle);
  const kind = ownThrottle?.throttleKind ?? controls?.throttleKind ?? 'none';
  const throttleM = ownThrottle?.barM ?? controls?.throttleM ?? 0;
  const throttleHere = side === (wiring.sensors.throttleHand ?? 'right') && kind !== 'none';
  const ownLever = chosenControl(build, shelf, wiring.levers[side].part);
  const leverM =
    ownLever?.role === 'lever' ? ownLever.barM : lever === 'withShifter' ? TAKES.leverWithShifter : TAKES.lever;
  const keypad = chosenControl(build, shelf, wiring.parts.keypad);
  const display = chosenControl(build, shelf, wiring.parts.display);
  const horn = chosenControl(build, shelf, wiring.parts.horn);
  const keypadM = keypad?.barM ?? controls?.keypadM ?? 0;
  const things: Thing[] = [];
  const add = (id: BarItemId, what: string, lengthM: number, fixed = false): void => {
    things.push({ id, what, lengthM, fixed });
  };
  if (throttleHere && kind === 'twist') {
    add('twistThrottle', 'twist throttle', throttleM, true);
    add('grip', 'grip, cut', Math.max(LEAST_GRIP, grip - throttleM), true);
  } else {
    add('grip', 'grip', grip, true);
    if (throttleHere) add('throttle', 'thumb throttle', throttleM);
  }
  if (shifter === 'twist') add('twistShifter', 'twist shifter', TAKES.twist);
  if (lever !== undefined && lever !== 'none') add('lever', 'brake lever', leverM);
  if (shifter === 'trigger') add('trigger', 'trigger shifter', TAKES.trigger);
  if (shifter === 'thumb') add('thumbShifter', 'thumb shifter', TAKES.thumb);
  if (side === 'left' && controls) {
    if (keypadM > 0) add('keypad', 'keypad', keypadM);
    if (display && display.barM > 0) add('display', 'display', display.barM);
    if (horn && horn.barM > 0) add('horn', 'horn button', horn.barM);
    add('bell', 'bell', TAKES.bell);
  }
  const order = wiring.bar[side];
  if (order) {
    const rank = (t: Thing): number => {
      const at = order.indexOf(t.id);
      return t.fixed ? -1 : at < 0 ? order.length : at;
    };
    things.sort((a, b) => rank(a) - rank(b));
  }
  let fromM = 0;
  return things.map(({ id, what, lengthM, fixed }) => {
    const at = fromM;
    fromM += lengthM;
    return { id, what, fromM: at, lengthM, fixed };
  });
}

/** One side of the bar as it will be: what is on it, what it takes, and what is left. */
export interface BarSide {
  side: 'left' | 'right';
  items: BarItem[];
  takenM: number;
  /** Straight of the bar, null where nobody measured it. */
  straightM: number | null;
  /** How far the thumb reaches to the throttle from the hand's place, m; null without one here. */
  thumbM: number | null;
  /** A thing between grip and lever keeps the fingers from the brake. */
  blocksBrake: string | null;
}

/** Furthest a lever may stand from the grip's end and still be under two fingers, m. Source: project, a hand's breadth less two fingers. */
const LEVER_REACH = 0.045;

/** Both hands of the bar. */
export function barSides(build: Build, kit: Kit | null, shelf: Shelf): BarSide[] {
  const { survey } = build.donor;
  return (['left', 'right'] as const).map((side) => {
    const items = barItems(build, kit, side, shelf);
    const gripEnd = items.filter((i) => i.fixed).reduce((most, i) => Math.max(most, i.fromM + i.lengthM), 0);
    const lever = items.find((i) => i.id === 'lever');
    const throttle = items.find((i) => i.id === 'throttle');
    const before = lever ? items.filter((i) => !i.fixed && i.fromM < lever.fromM) : [];
    return {
      side,
      items,
      takenM: items.reduce((sum, i) => sum + i.lengthM, 0),
      straightM: survey[side === 'left' ? 'barLeft' : 'barRight']?.value ?? null,
      thumbM: throttle ? throttle.fromM + throttle.lengthM / 2 - gripEnd : null,
      blocksBrake: lever && lever.fromM - gripEnd > LEVER_REACH ? before.map((i) => i.what).join(' and ') : null,
    };
  });
}
