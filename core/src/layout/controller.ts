import { lineOf, pointAlong } from '../donor/frames/chains.ts';
import type { Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { motorPlace, type Kit } from '../parts/kit.ts';
import type { PackPlace } from '../parts/pack.ts';
import { boxShape, type LoadShape } from './packShape.ts';
import { bodyOf, placed, placementsOn, type Placement } from './place.ts';
import type { Room } from './room.ts';
import { piece } from './shapes.ts';

/** Air a controller wants round it, m. Source: workshop practice, for boxes that shed 20 to 40 W. */
export const CONTROLLER_AIR = 0.008;

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
export function controllerShape(kit: Kit): LoadShape | null {
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
  let byKit = found.get(room);
  if (!byKit) found.set(room, (byKit = new WeakMap()));
  let byPack = byKit.get(kit);
  if (!byPack) byKit.set(kit, (byPack = new Map()));
  const key = pack?.lies ?? null;
  let made = byPack.get(key);
  if (made === undefined) byPack.set(key, (made = findController(room, kit, pack)));
  return made;
}

/** Kept with the room they were found in; rooms, kits and placements are never changed. */
const found = new WeakMap<Room, WeakMap<Kit, Map<Placement | null, ControllerPlacement | null>>>();

function findController(
  room: Room,
  kit: Kit,
  pack: { shape: LoadShape; lies: Placement } | null,
): ControllerPlacement | null {
  const shape = controllerShape(kit);
  if (!shape) return null;
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
  let best: Placement | null = null;
  for (const place of PLACES) {
    const mount = taken.mounts.find((m) => m.place === place);
    if (!mount) continue;
    const p = placementsOn(taken, mount, aired)[0];
    if (!p) continue;
    if (p.clearanceM >= 0) return { shape, lies: p, airy: true };
    if (!best || p.clearanceM > best.clearanceM) best = p;
  }
  return best ? { shape, lies: best, airy: false } : null;
}

/** One lead as it would run, with its length, m. */
export interface Lead {
  id: 'battery' | 'motor' | 'bar';
  name: string;
  points: Point[];
  lengthM: number;
}

const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, p, i) => {
    const q = points[i] as Point;
    return sum + Math.hypot(p.x - q.x, p.y - q.y);
  }, 0);

/** Spare for bends and a drip loop, m. Source: workshop practice. */
const SLACK = 0.1;

/**
 * Leads along the tubes, side view: battery to controller, controller to motor (up a stay and down to the axle, never
 * along the chainstay), controller to the bar. Lengths are along the drawn way plus 100 mm for bends; good to 10 %.
 */
export function leadsOf(
  g: DonorGeometry,
  kit: Kit,
  pack: { shape: LoadShape; lies: Placement } | null,
  controller: ControllerPlacement | null,
  loomM: number | null = null,
): Lead[] {
  const middle = (p: { shape: LoadShape; lies: Placement }): Point =>
    placed(p.lies.pose, { x: p.shape.lengthM / 2, y: p.shape.heightM / 2 });
  const plug = pack
    ? placed(pack.lies.pose, { x: pack.lies.turned ? pack.shape.lengthM : 0, y: pack.shape.heightM / 2 })
    : g.bracket;
  const place = motorPlace(kit);
  const motor = place === 'front' ? g.frontAxle : place === 'rear' ? g.rearAxle : g.bracket;
  const brain = controller ? middle(controller) : motor;
  const head = g.headTop;
  const tube = g.tubes.find(
    (t) => t.name === 'down tube' || t.name === 'low tube' || t.name === 'beam' || t.name === 'main beam',
  );
  const line = tube ? lineOf(tube) : [g.bracket, head];
  const up = [0.15, 0.5, 0.85].map((k) => {
    const whole = lengthOf(line);
    return pointAlong(line, whole * k);
  });
  const stay = g.tubes.find((t) => t.name === 'seat stay');
  const toMotor: Point[] =
    place === 'rear' && stay
      ? [brain, ...[...lineOf(stay)].sort((a, b) => b.y - a.y).slice(0, 1), g.rearAxle]
      : place === 'front'
        ? [brain, ...up, g.headBottom, g.frontAxle]
        : [brain, motor];
  const near = (points: Point[]): Point[] => {
    const from = brain;
    const rest = points.filter((p) => p.x > Math.min(from.x, head.x) - 0.02);
    return [from, ...rest, head];
  };
  const lead = (id: Lead['id'], name: string, points: Point[]): Lead => ({
    id,
    name,
    points,
    lengthM: lengthOf(points) + SLACK,
  });
  const bar = lead('bar', 'controller to bar', [...near(up), g.grip]);
  return [
    ...(pack ? [lead('battery', 'battery to controller', [plug, brain])] : []),
    ...(controller ? [lead('motor', 'controller to motor', toMotor)] : []),
    // The bar's loom by its measured way, where that was taken: the same figure as the loom's verdict.
    { ...bar, lengthM: loomM ?? bar.lengthM },
  ];
}
