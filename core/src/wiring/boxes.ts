import type { Build } from '../build/build.ts';
import { pointAlong } from '../donor/frames/chains.ts';
import { add, lengthOf, scale, sub, toward, unit, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { kindTraits } from '../donor/kinds.ts';
import { placeController } from '../layout/controller.ts';
import { frameRoom } from '../layout/frameRoom.ts';
import type { PackPlacement } from '../layout/packPlacement.ts';
import { packShape, type LoadShape } from '../layout/packShape.ts';
import { placed, type Placement } from '../layout/place.ts';
import { motorPlace, type Kit } from '../parts/kit.ts';
import type { BoxId } from '../parts/leads.ts';
import type { Pack, PackPlace } from '../parts/pack.ts';
import type { Shelf } from '../parts/part.ts';
import { barItems, type BarItem, type BarItemId } from './bar.ts';
import { bareWays, type Bare, type HungBox, type PlacedBox } from './bareWays.ts';
import type { Run } from './runs.ts';
import type { Anchor, Ways } from './ways.ts';

/** What a vehicle's ways are made from. */
export interface WaysFrom {
  build: Build;
  geometry: DonorGeometry;
  kit: Kit;
  pack: Pack | null;
  shelf: Shelf;
  detail: boolean;
  /** Where the pack lies, once it is asked for; null without one. */
  readonly placement: PackPlacement | null;
  /** Parts of remedies taken that go to leads, by id. */
  taken: readonly string[];
}

/** Half of the clamp in a bar's middle, m. Source: project, common stems. */
const HALF_CLAMP = 0.06;
/** Straight of a bar nobody measured, a side, m. Source: project, a common one. */
const COMMON_STRAIGHT = 0.22;
/** How far side sticks stand from the beam, m. Source: project, common trikes. */
const STICK_OUT = 0.25;
/** A display stands so far off the bar's middle; a shift sensor sits so far of the way to the shifter. Source: project. */
const DISPLAY_OFF = 0.05;
const SHIFT_BEFORE = 0.6;

interface Laid {
  shape: LoadShape;
  lies: Placement;
}

/** Packs as they lie: a placement is of one pack, and neither is ever changed. */
const laid = new WeakMap<Placement, Laid>();

function laidPack(pack: Pack, lies: Placement): Laid {
  let made = laid.get(lies);
  if (!made) laid.set(lies, (made = { shape: packShape(pack), lies }));
  return made;
}

/** The ways of a vehicle with the boxes of one conversion, each hung when it is first asked for. */
export class Net {
  readonly ways: Ways;
  /** A string was taken from the bar's middle to the bracket, and ways follow it. */
  readonly calibrated: boolean;
  private readonly from: WaysFrom;
  private readonly bare: Bare;
  private readonly boxes = new Map<BoxId, HungBox>();
  private items: Record<'left' | 'right', BarItem[]> | undefined;
  private lies: { laid: Laid | null; place: PackPlace | null } | undefined;

  constructor(from: WaysFrom) {
    this.from = from;
    this.bare = bareWays(from);
    this.ways = this.bare.ways;
    this.calibrated = from.build.donor.survey.headToBracket !== undefined;
  }

  /** Where a box hangs; null for one that this conversion does not have. */
  anchor(id: BoxId): Anchor | null {
    return this.hung(id)?.anchor ?? null;
  }

  /** A box's place in the side view. */
  box(id: BoxId): PlacedBox | null {
    return this.hung(id)?.box ?? null;
  }

  private hung(id: BoxId): HungBox | undefined {
    if (!this.boxes.has(id)) this.hang(id);
    return this.boxes.get(id);
  }

  private hang(id: BoxId): void {
    const { build, geometry: g, kit } = this.from;
    const { runs, middle } = this.bare;
    const { survey, kind } = build.donor;
    switch (id) {
      case 'junction':
        this.onBar(id, middle, 0);
        break;
      case 'display':
        this.onBar(id, add(middle, { x: 0.02, y: 0.03 }), DISPLAY_OFF);
        break;
      case 'leftLever':
        this.onHand(id, 'left', 'lever');
        break;
      case 'rightLever':
        this.onHand(id, 'right', 'lever');
        break;
      case 'keypad':
        this.onHand(id, 'left', 'keypad');
        break;
      case 'throttle':
        this.onHand(id, build.wiring.sensors.throttleHand ?? 'right', 'throttle');
        break;
      case 'horn':
        this.onHand(id, 'left', 'horn');
        break;
      case 'shift': {
        const shifter = this.along(survey.leftShifter?.value && !survey.rightShifter ? 'left' : 'right', null);
        this.onBar(id, toward(middle, shifter.at, SHIFT_BEFORE), shifter.lengthM * SHIFT_BEFORE);
        break;
      }
      case 'motor':
        this.hangMotor();
        break;
      case 'pack':
      case 'charger': {
        const { place } = this.pack();
        this.put(id, this.plugAt(), false, (r) => !r.steers || place === 'bar' || place === 'basket');
        break;
      }
      case 'controller':
        if (kit.controller.place === 'its own box') this.put(id, this.controllerAt(), true, (r) => !r.steers);
        break;
      case 'cadence':
        this.put(id, g.bracket, false, (r) => r.role === 'frame');
        break;
      case 'speed':
        this.put(id, speedAt(runs, g), true, (r) => r.role === 'stay' || r.role === 'chainstay');
        break;
      case 'frontLamp':
        this.put(id, add(g.headBottom, { x: 0.03, y: 0.02 }), true, (r) => r.steers || r.name === 'head tube');
        break;
      case 'rearLamp':
        this.put(id, rearLampAt(runs, g, kind), true);
        break;
    }
  }

  private put(id: BoxId, at: Point, moves: boolean, may?: (run: Run) => boolean, extraM = 0): void {
    const own = moves ? this.from.build.wiring.boxes[id] : undefined;
    const { ways } = this.bare;
    const box = { id, at: own ? { x: own.xM, y: own.yM } : at, zM: -extraM, byHand: own !== undefined, moves };
    this.hangAs(box, () => (own ? ways.hang(box.at) : ways.hang(at, may, extraM)));
  }

  /** What sits on the bar hangs on its middle by the bar's own way. */
  private onBar(id: BoxId, at: Point, lengthM: number, zM = 0): void {
    const { barMiddle: on, middle } = this.bare;
    this.hangAs({ id, at, zM, byHand: false, moves: false }, () => ({
      spot: on.spot,
      hops: [{ lengthM, points: [at, middle], run: 'bar', steers: true }, ...on.hops],
    }));
  }

  /** A box as it was hung before in the very place, or hung now. Where a hand drags one is not kept. */
  private hangAs(box: PlacedBox, hang: () => Anchor): void {
    const { hung } = this.bare;
    let here = hung.get(box.id);
    if (!here) hung.set(box.id, (here = []));
    // How far along the bar or out of the side view it sits goes with its place: two of those are never one.
    let found = here.find(({ box: b }) => b.at.x === box.at.x && b.at.y === box.at.y && b.zM === box.zM);
    if (!found || box.byHand) {
      found = { box, anchor: hang() };
      if (!box.byHand) here.push(found);
    }
    this.boxes.set(box.id, found);
  }

  private onHand(id: BoxId, side: 'left' | 'right', item: BarItemId): void {
    const { lengthM, at } = this.along(side, item);
    this.onBar(id, at, lengthM, side === 'left' ? -lengthM : lengthM);
  }

  /** How far along the bar from its middle a thing sits, and where that is from the side. */
  private along(side: 'left' | 'right', item: BarItemId | null): { lengthM: number; at: Point } {
    const { build, kit, shelf } = this.from;
    const { survey, kind } = build.donor;
    const { hand, handLong } = this.bare;
    this.items ??= { left: barItems(build, kit, 'left', shelf), right: barItems(build, kit, 'right', shelf) };
    const straight = survey[side === 'left' ? 'barLeft' : 'barRight']?.value ?? COMMON_STRAIGHT;
    const found = item ? this.items[side].find((i) => i.id === item) : undefined;
    const fromEnd = found ? Math.min(straight, found.fromM + found.lengthM / 2) : straight / 2;
    const sticks = survey.barShape?.value === 'sideSticks' || (kindTraits[kind].paired === 'front' && !survey.barShape);
    const lengthM = sticks ? STICK_OUT + handLong * 0.9 : HALF_CLAMP + straight - fromEnd;
    const share = sticks ? 0.9 : Math.max(0.12, Math.min(1, lengthM / (HALF_CLAMP + straight)));
    return { lengthM, at: pointAlong(hand, handLong * share) };
  }

  /** The motor, at its axle or beside the frame. */
  private hangMotor(): void {
    const { geometry: g, kit } = this.from;
    const place = motorPlace(kit);
    const paired = (place === 'front' && g.pairedFront) || (place === 'rear' && g.pairedRear);
    const inWheel = kit.hub !== undefined;
    const at = kit.side
      ? toward(g.bracket, g.seatTop, 0.35)
      : place === 'front'
        ? g.frontAxle
        : place === 'rear'
          ? g.rearAxle
          : g.bracket;
    const legs = (r: Run): boolean => (place === 'front' ? r.role === 'fork' : r.role === 'stay');
    this.put(
      'motor',
      at,
      false,
      inWheel && this.bare.runs.some(legs) ? legs : (r) => r.role === 'frame',
      paired ? g.trackM / 2 : 0,
    );
  }

  private pack(): { laid: Laid | null; place: PackPlace | null } {
    if (!this.lies) {
      const { pack, placement } = this.from;
      this.lies = {
        laid: pack && placement?.lies ? laidPack(pack, placement.lies) : null,
        place: placement?.place ?? null,
      };
    }
    return this.lies;
  }

  /** Whose motor the frame's room is taken with. */
  private get placedFor(): Kit | null {
    return this.from.detail ? this.from.kit : null;
  }

  /** How the pack lies: the same object while nothing about it changed. */
  get packLies(): Placement | null {
    return this.pack().laid?.lies ?? null;
  }

  /** Where the pack goes; null without one. */
  get packPlace(): PackPlace | null {
    return this.pack().place;
  }

  private plugAt(): Point {
    const pack = this.pack().laid;
    return pack
      ? placed(pack.lies.pose, { x: pack.lies.turned ? pack.shape.lengthM : 0, y: pack.shape.heightM / 2 })
      : this.from.geometry.bracket;
  }

  private controllerAt(): Point {
    const { build, geometry: g, kit } = this.from;
    const found = placeController(frameRoom(build, g, this.placedFor).room, kit, this.pack().laid);
    return found
      ? placed(found.lies.pose, { x: found.shape.lengthM / 2, y: found.shape.heightM / 2 })
      : toward(g.bracket, g.seatTop, 0.3);
  }
}

/** On the seat stay where the spokes pass at three fifths of the wheel, out of a pedal's way. */
function speedAt(runs: readonly Run[], g: DonorGeometry): Point {
  const stay =
    runs.find((r) => r.name === 'seat stay') ?? runs.find((r) => r.role === 'stay' || r.role === 'chainstay');
  if (!stay) return g.rearAxle;
  const far = [...stay.points].sort((a, b) => lengthOf(sub(b, g.rearAxle)) - lengthOf(sub(a, g.rearAxle)))[0] as Point;
  return add(g.rearAxle, scale(unit(sub(far, g.rearAxle)), g.rearRadiusM * 0.6));
}

/** At the rack's or deck's tail, the box's, the seat's back, else the seat post. */
function rearLampAt(runs: readonly Run[], g: DonorGeometry, kind: Build['donor']['kind']): Point {
  const rack = runs.find((r) => r.role === 'rack');
  if (rack) return g.rackDeck.from;
  if (g.box && g.pairedRear) return [...g.box].sort((a, b) => a.x - b.x)[0] as Point;
  if (kindTraits[kind].boom && g.seat) return g.seat.at(-1) as Point;
  return g.seatTop;
}
