import { BATTERY_CLEARANCE_WANTED, COMMON_PACK_MASS } from '../constants.ts';
import { isProven } from '../donor/entry.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import type { Point } from '../donor/geometry.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack, PackPlace } from '../parts/pack.ts';
import type { PackMass } from '../safety/axleLoads.ts';
import { verdictRank, type Verdict } from '../verdict.ts';
import { byGap, byLoad, FRAME_SIDES, IN_FRAME, SURE_OF, type PlacementReason, type Placing } from './packStanding.ts';
import { frameRoom, whatIsMissing, type FrameRoom, type Missing } from './frameRoom.ts';
import { packShape, type LoadShape } from './packShape.ts';
import { outlineOf, placementAt, placementsOn, type Fixing, type Placement } from './place.ts';
import type { Mount } from './room.ts';

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
    brief.aboard,
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
  'frameBag',
  'basket',
  'bar',
  'trailer',
  'backpack',
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

function placeIn(placing: Placing, room: FrameRoom, pack: Pack, place: PackPlace): PackPlacement {
  const shape = packShape(pack);
  const mount = room.room.mounts.find((m) => m.place === place);
  if (!mount) {
    const { bracket, frontAxle, frontRadiusM } = placing.geometry;
    const { frontCarrier } = placing.build.donor.survey;
    // A carrier in front that nobody has looked for may be there: then it is over the wheel.
    const unseen = place === 'basket' && !isProven(frontCarrier);
    const aside = unseen
      ? { x: frontAxle.x, y: frontAxle.y + frontRadiusM + 0.06 }
      : { x: bracket.x, y: bracket.y + 0.05 };
    return {
      place,
      verdict: unseen ? 'measure' : 'stop',
      reason: place === 'backpack' ? { kind: 'onTheBack' } : { kind: 'noPlace', enclosed: room.enclosed },
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

/** A pack's mass with the middle of where it lies; a common one's where none is in question. */
export function packMass(pack: Pack | null, placement: PackPlacement | null): PackMass {
  if (!pack || !placement) return { kg: COMMON_PACK_MASS, at: null };
  const { outline, place, lies } = placement;
  return { kg: pack.massKg, at: middleOf(outline), towed: place === 'trailer' && lies !== null };
}

/** Middle of an outline's corners, m. */
export function middleOf(outline: readonly Point[]): Point {
  return {
    x: outline.reduce((sum, p) => sum + p.x, 0) / outline.length,
    y: outline.reduce((sum, p) => sum + p.y, 0) / outline.length,
  };
}
