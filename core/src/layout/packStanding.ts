import { shorter } from '../quantity/compare.ts';
import { rackLoadKg } from '../build/brief.ts';
import { BATTERY_CLEARANCE_WANTED } from '../constants.ts';
import type { Build } from '../build/build.ts';
import type { Survey, SurveyItemId } from '../donor/donor.ts';
import { isProven } from '../donor/entry.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import type { Kit } from '../parts/kit.ts';
import { tubePlaces, type Pack, type PackPlace } from '../parts/pack.ts';
import type { Verdict } from '../verdict.ts';
import type { ClearanceError, FrameRoom } from './frameRoom.ts';
import type { Placement } from './place.ts';
import type { Mount } from './room.ts';

/** What a pack is placed by. */
export interface Placing {
  build: Build;
  geometry: DonorGeometry;
  /** Kit whose motor and controller stand in the way; null for none. */
  kit: Kit | null;
  /** Whether what is missing is worked out to the millimetre; false while thousands of cases are run through. */
  detail: boolean;
}

/** Why a place does or does not do, as data; its words are the rule’s. Lengths in m, masses in kg. */
export type PlacementReason =
  | { kind: 'noPlace'; enclosed: boolean }
  | { kind: 'collides' }
  | { kind: 'insideUnmeasured'; all: boolean; ask: SurveyItemId[] }
  | { kind: 'aroundUnmeasured'; ask: SurveyItemId[] }
  | { kind: 'lineNotTaken'; ask: SurveyItemId[] }
  | { kind: 'tight' }
  | { kind: 'withinError'; ask: SurveyItemId[] }
  | { kind: 'widthUnmeasured'; beside: string; usualM: number; item: SurveyItemId }
  | { kind: 'hollow'; hollowM: number }
  | { kind: 'bearing'; item: BearingItem; loadKg: number; state: 'unread' | 'over' | 'unproven' | 'bears' }
  | { kind: 'onSteering' }
  | { kind: 'onRails' }
  | { kind: 'bracketed' }
  | { kind: 'boxed' }
  | { kind: 'trailed' }
  | { kind: 'slung' }
  | { kind: 'bagged'; item: FrameBagItem | null; short: 'length' | 'height' | 'width' | null }
  | { kind: 'onTheBar' }
  | { kind: 'onTheBack' }
  | { kind: 'sits' };
export type FrameBagItem = 'frameBagLength' | 'frameBagHeight' | 'frameBagWidth';
export type BearingItem = 'rackLimit' | 'basketLimit';

/** How a place stands: its verdict, and why as data. */
export interface Standing {
  verdict: Verdict;
  reason: PlacementReason;
}

export const FRAME_SIDES = ['seatSide', 'topSide', 'downSide', 'headSide'] as const satisfies readonly SurveyItemId[];
/** Places with a floor of their own, where what bears it decides. */
const ON_DECKS: readonly PackPlace[] = ['rack', 'basket', 'box', 'trailer', 'bar'];
export const IN_FRAME: readonly PackPlace[] = ['downTube', 'seatTube', 'topTube', 'frameBag'];
/** No tape well read is off by so much, m. Source: project. */
export const SURE_OF = 0.014;
/** Heaviest pack on a carrier that turns with the bar, and on a saddle's rails, kg. Source: workshop practice. */
const BASKET_MOST = 3.5;
const RAILS_MOST = 2;
/** Heaviest pack in a bag on the bar, kg. Source: workshop practice. */
const BAR_MOST = 2.5;
/** Foam round a pack in a bag, both sides together, m. Source: workshop practice. */
const FOAM = 0.01;
/** Hollow under a straight rail that is made up by its rubber, m. Source: workshop practice. */
const HOLLOW_MADE_UP = 0.004;
/** A pack this much narrower than the usual room beside it needs no measure of that room, m. Source: project. */
const PLAINLY_NARROW = 0.03;

/** What the gap says, where it does not simply fit. */
export function byGap(
  placing: Placing,
  room: FrameRoom,
  mount: Mount,
  pack: Pack,
  p: Placement,
  error: ClearanceError,
): Standing | null {
  const { survey, inside } = placing.build.donor;
  const framed = room.enclosed && IN_FRAME.includes(mount.place);
  const anyStated = inside !== null || FRAME_SIDES.some((id) => survey[id] !== undefined);
  const nothingKnown = framed && !anyStated;
  const ask = error.open.length > 0 ? error.open.slice(0, 3) : error.worst ? [error.worst] : [];
  if (p.clearanceM + error.bandM < 0 && !nothingKnown) return { verdict: 'stop', reason: { kind: 'collides' } };
  if (framed && (nothingKnown || error.open.length > 0))
    return {
      verdict: 'measure',
      reason: {
        kind: 'insideUnmeasured',
        all: nothingKnown,
        ask: nothingKnown ? FRAME_SIDES.filter((id) => !isProven(survey[id])) : ask,
      },
    };
  const unsized = (['seatTubeLength', 'wheelbase', 'seatHeight'] as const).every((id) => !isProven(survey[id]));
  if (!framed && !ON_DECKS.includes(mount.place) && (unsized || error.open.length > 0))
    return {
      verdict: 'measure',
      reason: {
        kind: 'aroundUnmeasured',
        ask: error.open.length > 0 ? ask : [placing.geometry.seat ? 'seatHeight' : 'seatTubeLength', 'wheelbase'],
      },
    };
  // What swings passes through room that depends on where the shock is and how far the wheel travels.
  const swings = (['shockPlace', 'rearTravel'] as const).filter((id) => !isProven(survey[id]));
  if (placing.geometry.suspension && swings.length > 0 && nearSwing(mount.place, survey))
    return { verdict: 'measure', reason: { kind: 'aroundUnmeasured', ask: swings } };
  if (mount.place === 'downTube' && !lineKnown(placing, room.enclosed))
    return {
      verdict: 'measure',
      reason: {
        kind: 'lineNotTaken',
        ask: [
          ...(survey.downTubeShape ? [] : (['downTubeShape'] as const)),
          ...(survey.downTubeShape?.value === 'curved' && !survey.tubeSag ? (['tubeSag'] as const) : []),
        ],
      },
    };
  if (p.clearanceM + error.bandM < BATTERY_CLEARANCE_WANTED) return { verdict: 'rework', reason: { kind: 'tight' } };
  if (p.clearanceM - error.bandM < BATTERY_CLEARANCE_WANTED)
    return { verdict: 'measure', reason: { kind: 'withinError', ask } };
  const wide = widthGuess(room, mount, pack);
  if (wide) return wide;
  if (p.pose.hollowM > HOLLOW_MADE_UP)
    return { verdict: 'rework', reason: { kind: 'hollow', hollowM: p.pose.hollowM } };
  return null;
}

/** Whether what swings can reach a place: inside the frame, and a rack that does not swing with the wheel. */
function nearSwing(place: PackPlace, survey: Survey): boolean {
  return (
    tubePlaces.includes(place) || place === 'frameBag' || (place === 'rack' && survey.rackHeldBy?.value !== 'swingArm')
  );
}

function lineKnown(placing: Placing, enclosed: boolean): boolean {
  const { survey, mainTubePath, freeFrame, inside, kind } = placing.build.donor;
  // An inside that was traced has its tubes’ own lines.
  if (mainTubePath || (enclosed && inside)) return true;
  if ((kind === 'folding' || kind === 'boxBike') && !(isProven(survey.wheelbase) && isProven(survey.seatTubeLength)))
    return false;
  if (kind === 'homeBuilt') return (freeFrame?.tubes.length ?? 0) > 0;
  if (survey.downTubeShape?.value === 'straight') return isProven(survey.downTubeShape);
  return isProven(survey.downTubeShape) && isProven(survey.tubeSag);
}

/** A pack that only clears cranks or knees because they were never measured. */
function widthGuess(room: FrameRoom, mount: Mount, pack: Pack): Standing | null {
  if (!tubePlaces.includes(mount.place)) return null;
  const open = room.room.obstacles.find(
    (o) =>
      o.widthItem !== undefined &&
      pack.outline.widthM > (o.beyondWidthM ?? 0) - PLAINLY_NARROW &&
      pack.outline.widthM <= (o.beyondWidthM ?? 0),
  );
  if (!open?.widthItem) return null;
  return {
    verdict: 'measure',
    reason: { kind: 'widthUnmeasured', beside: open.name, usualM: open.beyondWidthM ?? 0, item: open.widthItem },
  };
}

/** What bears the pack, once there is room for it. */
export function byLoad(placing: Placing, pack: Pack, place: PackPlace): Standing {
  const { brief } = placing.build;
  switch (place) {
    case 'rack':
      return bearing(placing, 'rackLimit', pack.massKg + rackLoadKg(brief));
    case 'basket':
      return pack.massKg > BASKET_MOST
        ? { verdict: 'rework', reason: { kind: 'onSteering' } }
        : bearing(placing, 'basketLimit', pack.massKg);
    case 'underSeat':
      if (placing.geometry.seat) return { verdict: 'fits', reason: { kind: 'bracketed' } };
      return pack.massKg > RAILS_MOST
        ? { verdict: 'rework', reason: { kind: 'onRails' } }
        : { verdict: 'fits', reason: { kind: 'sits' } };
    case 'seatBack':
      return { verdict: 'fits', reason: { kind: 'bracketed' } };
    case 'box':
      return { verdict: 'fits', reason: { kind: 'boxed' } };
    case 'frameBag':
      return inBag(placing, pack);
    case 'bar':
      return pack.massKg > BAR_MOST
        ? { verdict: 'stop', reason: { kind: 'onSteering' } }
        : { verdict: 'rework', reason: { kind: 'onTheBar' } };
    case 'backpack':
      return { verdict: 'stop', reason: { kind: 'onTheBack' } };
    case 'trailer':
      return { verdict: 'rework', reason: { kind: 'trailed' } };
    case 'underDownTube':
      return { verdict: 'fits', reason: { kind: 'slung' } };
    default:
      return { verdict: 'fits', reason: { kind: 'sits' } };
  }
}

/** A pack in a frame bag: each way it must be as large inside as the pack with its foam. */
function inBag(placing: Placing, pack: Pack): Standing {
  const { survey } = placing.build.donor;
  const ways = [
    ['length', 'frameBagLength', pack.outline.lengthM],
    ['height', 'frameBagHeight', pack.outline.heightM],
    ['width', 'frameBagWidth', pack.outline.widthM],
  ] as const;
  const unread = ways.find(([, item]) => !isProven(survey[item]));
  if (unread) return { verdict: 'measure', reason: { kind: 'bagged', item: unread[1], short: null } };
  const short = ways.find(([, item, m]) => shorter(survey[item]?.value ?? 0, m + FOAM));
  return short
    ? { verdict: 'stop', reason: { kind: 'bagged', item: short[1], short: short[0] } }
    : { verdict: 'fits', reason: { kind: 'bagged', item: null, short: null } };
}

/** A load on a rack or basket against what it bears. */
function bearing(placing: Placing, item: BearingItem, loadKg: number): Standing {
  const limit = placing.build.donor.survey[item];
  const [verdict, state] = !limit
    ? (['measure', 'unread'] as const)
    : loadKg > limit.value
      ? (['stop', 'over'] as const)
      : isProven(limit)
        ? (['fits', 'bears'] as const)
        : (['measure', 'unproven'] as const);
  return { verdict, reason: { kind: 'bearing', item, loadKg, state } };
}
