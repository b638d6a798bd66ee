import { BATTERY_CLEARANCE_WANTED, COMMON_PACK_MASS } from '../constants.ts';
import type { Build } from '../build/build.ts';
import { isProven } from '../donor/entry.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack, PackPlace } from '../parts/pack.ts';
import { tubePlaces } from '../parts/pack.ts';
import type { PackMass } from '../safety/axleLoads.ts';
import { verdictRank, type Verdict } from '../verdict.ts';
import { frameRoom, whatIsMissing, type ClearanceError, type FrameRoom, type Missing } from './frameRoom.ts';
import { packShape, type LoadShape } from './packShape.ts';
import { outlineOf, placementAt, placementsOn, type Fixing, type Placement } from './place.ts';
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
  | { kind: 'sits' };
export type BearingItem = 'rackLimit' | 'basketLimit';

/** Where a pack would sit, how it does there, and its outline on the drawing. */
export interface PackPlacement {
  place: PackPlace;
  verdict: Verdict;
  reason: PlacementReason;
  /** Smallest gap, m; null where there is no such place. */
  clearanceM: number | null;
  /** Two standard errors of it, m, and the figure most of it comes from. */
  bandM: number;
  worst: SurveyItemId | null;
  outline: Point[];
  slidOff: Point[] | null;
  /** How it lies; null where there is no such place. */
  lies: Placement | null;
  /** Other good ways in the same place. */
  others: Placement[];
  missing: Missing | null;
}

const kept = new WeakMap<FrameRoom, Map<Pack, Map<string, PackPlacement[]>>>();

/** The pack in each place it is made for, best first. */
export function packPlacements(placing: Placing, pack: Pack, kit: Kit | null = placing.kit): PackPlacement[] {
  const room = frameRoom(placing.build, placing.geometry, kit);
  const { brief, schools, choice } = placing.build;
  // All that the answer hangs on besides room and pack; both of those are never changed in place.
  const key = JSON.stringify([
    brief.cargoKg,
    brief.panniers,
    brief.trailer,
    schools.battery,
    choice.packPlace,
    choice.packSpot,
    choice.packId === pack.id,
    placing.detail,
  ]);
  let packs = kept.get(room);
  if (!packs) kept.set(room, (packs = new Map()));
  let byKey = packs.get(pack);
  if (!byKey) packs.set(pack, (byKey = new Map()));
  let made = byKey.get(key);
  if (!made) byKey.set(key, (made = placeEverywhere(placing, room, pack)));
  return made;
}

/** Low and central first; what turns with the bar or hangs behind, last. */
const placeOrder: readonly PackPlace[] = [
  'downTube',
  'seatTube',
  'topTube',
  'box',
  'seatBack',
  'behindSeatTube',
  'rack',
  'underSeat',
  'underDownTube',
  'basket',
  'trailer',
];

function placeEverywhere(placing: Placing, room: FrameRoom, pack: Pack): PackPlacement[] {
  const rackFirst = placing.build.schools.battery === 'rack';
  const { packId, packPlace } = placing.build.choice;
  const order = (p: PackPlacement): number => (rackFirst && p.place === 'rack' ? -1 : placeOrder.indexOf(p.place));
  return pack.places
    .map((place) => placeIn(placing, room, pack, place))
    .sort(
      (a, b) =>
        verdictRank[b.verdict] - verdictRank[a.verdict] ||
        Number(a.lies === null) - Number(b.lies === null) ||
        order(a) - order(b),
    )
    .map((p, i) =>
      placing.detail && (i === 0 || (packId === pack.id && packPlace === p.place)) ? withMissing(room, pack, p) : p,
    );
}

/** A placement that does not go, with what is missing to the millimetre. */
function withMissing(room: FrameRoom, pack: Pack, p: PackPlacement): PackPlacement {
  const { lies } = p;
  const mount = room.room.mounts.find((m) => m.place === p.place);
  if (!lies || !mount || lies.clearanceM >= BATTERY_CLEARANCE_WANTED || p.verdict === 'measure') return p;
  return { ...p, missing: whatIsMissing(room.room, mount, packShape(pack), lies.fixing) };
}

/** The placement the build asks for, or the best one. */
export function chosenPlacement(placing: Placing, pack: Pack, kit: Kit | null = placing.kit): PackPlacement {
  const placements = packPlacements(placing, pack, kit);
  const { packId, packPlace } = placing.build.choice;
  const wanted = packId === pack.id ? placements.find((p) => p.place === packPlace) : undefined;
  const best = wanted ?? placements[0];
  if (!best) throw new RangeError(`pack ${pack.id} names no place`);
  return best;
}

const FRAME_SIDES = ['seatSide', 'topSide', 'downSide', 'headSide'] as const satisfies readonly SurveyItemId[];
/** Places with a floor of their own, where what bears it decides. */
const ON_DECKS: readonly PackPlace[] = ['rack', 'basket', 'box', 'trailer'];
const IN_FRAME: readonly PackPlace[] = ['downTube', 'seatTube', 'topTube'];
/** No tape well read is off by so much, m. Source: project. */
const SURE_OF = 0.014;
/** Heaviest pack on a carrier that turns with the bar, and on a saddle's rails, kg. Source: workshop practice. */
const BASKET_MOST = 3.5;
const RAILS_MOST = 2;
/** Hollow under a straight rail that is made up by its rubber, m. Source: workshop practice. */
const HOLLOW_MADE_UP = 0.004;
/** A pack this much narrower than the usual room beside it needs no measure of that room, m. Source: project. */
const PLAINLY_NARROW = 0.03;

type Standing = Pick<PackPlacement, 'verdict' | 'reason'>;

function placeIn(placing: Placing, room: FrameRoom, pack: Pack, place: PackPlace): PackPlacement {
  const shape = packShape(pack);
  const mount = room.room.mounts.find((m) => m.place === place);
  if (!mount) {
    const { bracket } = placing.geometry;
    const aside = { x: bracket.x, y: bracket.y + 0.05 };
    return {
      place,
      verdict: place === 'basket' || place === 'trailer' ? 'measure' : 'stop',
      reason: { kind: 'noPlace', enclosed: room.enclosed },
      clearanceM: null,
      bandM: 0,
      worst: null,
      lies: null,
      others: [],
      missing: null,
      outline: shape.outline.map((q) => ({ x: aside.x + q.y, y: aside.y + q.x })),
      slidOff: null,
    };
  }
  const { chosen, others } = choose(placing, room, mount, shape, pack);
  // A gap that no reading error could close or open needs no error worked out, unless somebody will read it.
  const { survey, inside } = placing.build.donor;
  const proven = inside !== null || FRAME_SIDES.every((id) => isProven(survey[id]));
  const framed = room.enclosed && IN_FRAME.includes(place);
  const plain = chosen.clearanceM - BATTERY_CLEARANCE_WANTED;
  const error =
    !placing.detail && (framed ? proven && Math.abs(plain) > SURE_OF : plain > SURE_OF)
      ? { bandM: SURE_OF / 2, worst: null, open: [] }
      : room.errorsOf(mount, shape, chosen);
  return {
    place,
    ...(byGap(placing, room, mount, pack, chosen, error) ?? byLoad(placing, pack, place)),
    clearanceM: chosen.clearanceM,
    bandM: error.bandM,
    worst: error.worst,
    lies: chosen,
    others,
    missing: null,
    outline: outlineOf(shape, chosen),
    slidOff: shape.leaving && pack.slideOffM > 0 ? outlineOf(shape, chosen, 1) : null,
  };
}

/** The way a pack lies: as put by hand, else on its bosses where that has room enough, else however it has most. */
function choose(
  placing: Placing,
  room: FrameRoom,
  mount: Mount,
  shape: LoadShape,
  pack: Pack,
): { chosen: Placement; others: Placement[] } {
  const all = placementsOn(room.room, mount, shape);
  const { choice } = placing.build;
  const spot = choice.packId === pack.id && choice.packPlace === mount.place ? choice.packSpot : null;
  const roomy = (fixing: Fixing): Placement | undefined =>
    all.find((p) => p.fixing === fixing && p.clearanceM >= BATTERY_CLEARANCE_WANTED);
  const best = roomy('bosses') ?? all[0];
  const chosen = spot ? placementAt(room.room, mount, shape, spot) : best;
  if (!chosen) {
    // Rail holes meet no bosses and nothing else holds it: shown clamped, and said so.
    return { chosen: placementAt(room.room, mount, shape, { alongM: 0, turned: false, fixing: 'clamps' }), others: [] };
  }
  return { chosen, others: all.filter((p) => p !== chosen && p.clearanceM > 0) };
}

/** What the gap says, where it does not simply fit. */
function byGap(
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
  if (mount.place === 'downTube' && !room.enclosed && !lineKnown(placing))
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

function lineKnown(placing: Placing): boolean {
  const { survey, mainTubePath, freeFrame, kind } = placing.build.donor;
  if (mainTubePath) return true;
  if (kind === 'folding' || kind === 'boxBike') return isProven(survey.wheelbase) && isProven(survey.seatTubeLength);
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
function byLoad(placing: Placing, pack: Pack, place: PackPlace): Standing {
  const { brief } = placing.build;
  switch (place) {
    case 'rack':
      return bearing(placing, 'rackLimit', pack.massKg + (brief.panniers ? brief.cargoKg : 0));
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
    case 'trailer':
      return { verdict: 'rework', reason: { kind: 'trailed' } };
    case 'underDownTube':
      return { verdict: 'fits', reason: { kind: 'slung' } };
    default:
      return { verdict: 'fits', reason: { kind: 'sits' } };
  }
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

/** The chosen pack's mass with the middle of where it lies; a common one's where none is chosen. */
export function packMass(placing: Placing, pack: Pack | null): PackMass {
  if (!pack) return { kg: COMMON_PACK_MASS, at: null };
  // Where a motor hangs does not move the pack by more than a hand; the same place serves for all kits.
  const { outline } = chosenPlacement(placing, pack, null);
  return { kg: pack.massKg, at: middleOf(outline) };
}

/** Middle of an outline's corners, m. */
export function middleOf(outline: readonly Point[]): Point {
  return {
    x: outline.reduce((sum, p) => sum + p.x, 0) / outline.length,
    y: outline.reduce((sum, p) => sum + p.y, 0) / outline.length,
  };
}
