import { lengthOf, sub } from '../donor/frames/point.ts';
import type { Kit } from '../parts/kit.ts';
import type { PackPlace } from '../parts/pack.ts';
import { boxShape, type LoadShape } from './packShape.ts';
import { bodyOf, fixingsOn, goesOn, placementsOn, type Placement } from './place.ts';
import type { Room } from './room.ts';
import { piece } from './shapes.ts';

/** Air a controller wants round it, m. Source: workshop practice, for boxes that shed 20 to 40 W. */
const CONTROLLER_AIR = 0.008;

/** A controller farther than this from its pack is not beside it, m: a lead of so much drops what it need not. Source: project. */
const BESIDE = 0.7;

/** What a gap of nothing is told from, m. */
const BARELY = 1e-6;

/** Places a controller's box is put, best first: short leads and air before reach. */
const PLACES: readonly PackPlace[] = [
  'seatTube',
  'downTube',
  'topTube',
  'behindSeatTube',
  'box',
  'seatBack',
  'rack',
  'underDownTube',
  'basket',
];

/** A controller's case: its data, or one common for its current. */
function controllerShape(kit: Kit): LoadShape | null {
  if (kit.controller.place === 'in the motor') return null;
  const box =
    kit.controller.boxM ??
    (kit.controller.batteryLimitA <= 18
      ? { length: 0.088, height: 0.036, width: 0.058 }
      : kit.controller.batteryLimitA <= 28
        ? { length: 0.112, height: 0.042, width: 0.07 }
        : { length: 0.152, height: 0.05, width: 0.088 });
  return boxShape(box.length, box.height, box.width);
}

/** Where a controller goes beside a pack. */
export interface ControllerPlacement {
  shape: LoadShape;
  lies: Placement;
  /** Enough room for air and for its leads. */
  airy: boolean;
}

/**
 * The controller's best place beside a pack already laid: the first place in order with its air, else the one with most.
 * Null where the kit has its controller in the motor.
 */
export function placeController(
  room: Room,
  kit: Kit,
  pack: { shape: LoadShape; lies: Placement } | null,
): ControllerPlacement | null {
  if (kit.controller.place === 'in the motor') return null;
  const shape = controllerShape(kit);
  if (!shape) return null;
  let bySize = found.get(room);
  if (!bySize) found.set(room, (bySize = new Map()));
  // Kits with boxes of one size find one place.
  const size = `${shape.lengthM} ${shape.heightM} ${shape.widthM}`;
  let byPack = bySize.get(size);
  if (!byPack) bySize.set(size, (byPack = new Map()));
  const key = pack?.lies ?? null;
  let made = byPack.get(key);
  if (made === undefined) byPack.set(key, (made = findController(room, shape, pack)));
  return made;
}

/** Kept with the room they were found in; rooms and placements are never changed. */
const found = new WeakMap<Room, Map<string, Map<Placement | null, ControllerPlacement | null>>>();

function findController(
  room: Room,
  shape: LoadShape,
  pack: { shape: LoadShape; lies: Placement } | null,
): ControllerPlacement | null {
  const taken: Room = pack
    ? {
        ...room,
        obstacles: [
          ...room.obstacles,
          { id: 'pack', name: 'the battery', pieces: bodyOf(pack.shape, pack.lies, pack.shape.leaving !== null) },
        ],
      }
    : room;
  // The air it wants is taken as part of its case.
  const aired: LoadShape = { ...shape, body: shape.body.map((p) => piece(p.points, CONTROLLER_AIR)) };
  const mounts = PLACES.flatMap((place) => taken.mounts.find((m) => m.place === place) ?? []);
  let far: Placement | null = null;
  for (const mount of mounts) {
    // Whether it goes at all is settled sooner than how well: most places are passed over by that.
    if (!fixingsOn(mount, aired).some((by) => goesOn(taken, mount, aired, by, -BARELY))) continue;
    const p = placementsOn(taken, mount, aired)[0];
    if (!p || p.clearanceM < 0) continue;
    if (!pack || lengthOf(sub(p.pose.at, pack.lies.pose.at)) <= BESIDE) return { shape, lies: p, airy: true };
    far ??= p;
  }
  // A long frame has room far from the pack as well: taken only where there is none beside it.
  if (far) return { shape, lies: far, airy: true };
  let best: Placement | null = null;
  for (const mount of mounts) {
    const p = placementsOn(taken, mount, aired)[0];
    if (p && (!best || p.clearanceM > best.clearanceM)) best = p;
  }
  return best ? { shape, lies: best, airy: false } : null;
}
