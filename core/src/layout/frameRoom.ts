import { kindTraits } from '../donor/kinds.ts';
import { ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { BATTERY_CLEARANCE_WANTED } from '../constants.ts';
import { commonFrame } from '../donor/common.ts';
import { toleranceOf } from '../donor/derived.ts';
import type { Donor, SurveyItemId } from '../donor/donor.ts';
import { isProven, type Entry } from '../donor/entry.ts';
import { donorGeometry, type DonorGeometry } from '../donor/geometry.ts';
import { itemExists, surveyItem } from '../donor/survey.ts';
import type { Kit } from '../parts/kit.ts';
import { resized, turned, type LoadShape } from './packShape.ts';
import { goesOn, poseAt, Trial, type Placement } from './place.ts';
import { roomOf, type Mount, type Room } from './room.ts';

/** A figure the room hangs on, and the room as it would be were that figure off by its error. */
interface Shifted {
  item: SurveyItemId;
  proven: boolean;
  room: Room;
}

/** A vehicle's room with what its errors do to it. Made once a geometry and kit; the shifted rooms when asked for. */
export class FrameRoom {
  readonly room: Room;
  readonly donor: Donor;
  readonly enclosed: boolean;
  private readonly from: (donor: Donor) => Room;
  private shifted: Shifted[] | null = null;

  constructor(build: Build, geometry: DonorGeometry, kit: Kit | null) {
    const { statureM } = ridingNow(build.brief);
    const { trailer } = build.brief;
    this.donor = build.donor;
    this.enclosed = geometry.triangle !== null;
    this.room = roomOf({ donor: build.donor, geometry, statureM, kit, trailer });
    this.from = (donor) => roomOf({ donor, geometry: donorGeometry(donor, statureM), statureM, kit, trailer });
  }

  /** The room with each figure in turn off by one standard error. */
  private shifts(): Shifted[] {
    this.shifted ??= figuresBehind(this.donor).flatMap((item): Shifted[] => {
      const entry = this.donor.survey[item] as Entry<unknown> | undefined;
      const value = typeof entry?.value === 'number' ? entry.value : commonOf(this.donor, item);
      if (value === null) return [];
      const by = toleranceOf(this.donor, item, value) / 2;
      const moved = {
        value: value + by,
        typed: '',
        unit: '',
        provenance: entry?.provenance ?? ('assumed' as const),
        note: '',
      };
      const donor = { ...this.donor, survey: { ...this.donor.survey, [item]: moved } };
      return [{ item, proven: isProven(entry), room: this.from(donor) }];
    });
    return this.shifted;
  }

  /** How sure a placement's clearance is. */
  errorsOf(mount: Mount, shape: LoadShape, p: Placement): ClearanceError {
    const lying = p.turned ? turned(shape) : shape;
    const parts: { item: SurveyItemId; proven: boolean; byM: number }[] = [];
    for (const { item, proven, room } of this.shifts()) {
      const there = room.mounts.find((m) => m.place === mount.place);
      if (!there) continue;
      const c = new Trial(room, there, lying).at(poseAt(there, lying, p.alongM)).clearanceM;
      parts.push({ item, proven, byM: Math.abs(c - p.clearanceM) });
    }
    const free = this.donor.inside && this.enclosed ? this.donor.inside.errorM * Math.SQRT2 : 0;
    const square = parts.reduce((sum, q) => sum + q.byM ** 2, free ** 2);
    parts.sort((a, b) => b.byM - a.byM);
    return {
      bandM: 2 * Math.sqrt(square),
      worst: parts[0] && parts[0].byM > 0.0002 ? parts[0].item : null,
      open: parts.filter((q) => !q.proven && q.byM > 0.0005).map((q) => q.item),
    };
  }
}

/** A clearance's error: two standard errors, m; the figure most of it comes from; unproven figures it hangs on, worst first. */
export interface ClearanceError {
  bandM: number;
  worst: SurveyItemId | null;
  open: SurveyItemId[];
}

const inside: readonly SurveyItemId[] = [
  'seatSide',
  'topSide',
  'downSide',
  'headSide',
  'headDiagonal',
  'seatDiagonal',
  'seatDownAngle',
  'seatTopAngle',
  'seatOutside',
  'topOutside',
  'downOutside',
];
const round: readonly SurveyItemId[] = [
  'tubeSag',
  'seatTubeLength',
  'seatTubeAngle',
  'chainstayLength',
  'bracketHeight',
  'bracketReach',
  'wheelbase',
  'seatHeight',
];
/** Ways of measuring that count only once they have been used. */
const extra = new Set<SurveyItemId>([
  'headDiagonal',
  'seatDiagonal',
  'seatDownAngle',
  'seatTopAngle',
  'seatOutside',
  'topOutside',
  'downOutside',
  'tubeSag',
]);

function figuresBehind(donor: Donor): SurveyItemId[] {
  return [...(donor.inside ? [] : inside), ...round].filter(
    (id) =>
      (itemExists(surveyItem(id), donor) || donor.survey[id] !== undefined) &&
      (!extra.has(id) || donor.survey[id] !== undefined),
  );
}

function commonOf(donor: Donor, id: SurveyItemId): number | null {
  const common = commonFrame[donor.kind];
  if (id === 'seatTubeAngle') return (common.seatTubeAngleDeg * Math.PI) / 180;
  if (id === 'bracketReach') return common.wheelbase + 0.35;
  if (id === 'seatHeight') return kindTraits[donor.kind].paired === 'front' ? 0.28 : 0.5;
  const value = (common as unknown as Record<string, unknown>)[id];
  return typeof value === 'number' && (value > 0 || id === 'headSide') ? value : null;
}

const rooms = new WeakMap<DonorGeometry, WeakMap<Donor, Map<string, FrameRoom>>>();

/** The room of a donor as drawn, with a kit; kept as long as the drawing is. */
export function frameRoom(build: Build, geometry: DonorGeometry, kit: Kit | null): FrameRoom {
  let byDonor = rooms.get(geometry);
  if (!byDonor) rooms.set(geometry, (byDonor = new WeakMap()));
  let byKit = byDonor.get(build.donor);
  if (!byKit) byDonor.set(build.donor, (byKit = new Map()));
  const { trailer } = build.brief;
  const key = `${kit?.mid?.hangsBelowM ?? ''}|${trailer ? JSON.stringify(trailer) : ''}`;
  let made = byKit.get(key);
  if (!made) byKit.set(key, (made = new FrameRoom(build, geometry, kit)));
  return made;
}

/** What would let a pack in where it does not go. */
export interface Missing {
  /** How much shorter, and how much flatter, a pack of its form would have to be, m; null where neither up to 200 mm would do. */
  shorterM: number | null;
  flatterM: number | null;
  /** Things that can come off, any one of which would do: names. */
  without: string[];
  /** It would go clamped, where the bosses are in the wrong place. */
  clamped: boolean;
}

const MOST_CUT = 0.2;

/** By how much a pack misses on a mount, to the millimetre. */
export function whatIsMissing(room: Room, mount: Mount, shape: LoadShape, bound: Placement['fixing']): Missing {
  const goes = (s: LoadShape, without: string[] = [], fixing = bound): boolean =>
    goesOn(room, mount, s, fixing, BATTERY_CLEARANCE_WANTED, without);
  const least = (cut: (by: number) => LoadShape, most: number): number | null => {
    if (!goes(cut(most))) return null;
    let low = 0;
    let high = most;
    while (high - low > 0.001) {
      const middle = (low + high) / 2;
      if (goes(cut(middle))) high = middle;
      else low = middle;
    }
    return high;
  };
  return {
    shorterM: least((by) => resized(shape, -by, 0), Math.min(MOST_CUT, shape.lengthM * 0.6)),
    flatterM: least((by) => resized(shape, 0, -by), Math.min(MOST_CUT, shape.heightM * 0.7)),
    without: room.obstacles.filter((o) => o.removable && goes(shape, [o.id])).map((o) => o.name),
    clamped: bound === 'bosses' && goes(shape, [], 'clamps'),
  };
}
