import type { Build } from '../build/build.ts';
import { chainLength, pointAlong } from '../donor/frames/chains.ts';
import { add, lengthOf, scale, sub, toward, unit, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { kindTraits } from '../donor/kinds.ts';
import { placeController } from '../layout/controller.ts';
import { frameRoom } from '../layout/frameRoom.ts';
import { chosenPlacement } from '../layout/packPlacement.ts';
import { packShape } from '../layout/packShape.ts';
import { placed } from '../layout/place.ts';
import { motorPlace, type Kit } from '../parts/kit.ts';
import type { BoxId } from '../parts/leads.ts';
import type { Pack } from '../parts/pack.ts';
import type { Shelf } from '../parts/part.ts';
import { barItems, type BarItem } from './bar.ts';
import { runsOf, type Run } from './runs.ts';
import { Ways, type Hazard } from './ways.ts';

/** A box with its place in the side view, m. */
export interface PlacedBox {
  id: BoxId;
  at: Point;
  /** Put there by hand. */
  byHand: boolean;
  /** It may be moved: what is bolted to a wheel or the bracket may not. */
  moves: boolean;
}

/** What a vehicle's ways are made from. */
export interface WaysFrom {
  build: Build;
  geometry: DonorGeometry;
  kit: Kit;
  pack: Pack | null;
  shelf: Shelf;
  detail: boolean;
  /** Parts of remedies taken that go to leads, by id. */
  taken: readonly string[];
}

/** The net of ways with every box hung on it. */
export interface Net {
  ways: Ways;
  runs: readonly Run[];
  boxes: Map<BoxId, PlacedBox>;
  /** From the bar's middle to the bracket as drawn, and whether a string has made it right. */
  calibrated: boolean;
}

/** Half of the clamp in a bar's middle, m. Source: project, common stems. */
const HALF_CLAMP = 0.06;
/** Straight of a bar nobody measured, a side, m. Source: project, a common one. */
const COMMON_STRAIGHT = 0.22;
/** How far side sticks stand from the beam, m. Source: project, common trikes. */
const STICK_OUT = 0.25;
/** Radius of a mid-drive's case where nobody says, m. Source: project. */
const COMMON_CASE = 0.06;

/** The bar's middle: where the stem holds it. */
function barMiddle(runs: readonly Run[], g: DonorGeometry): Point {
  const stem = runs.find((r) => r.name === 'stem' || r.name === 'mast');
  const bar = runs.find((r) => r.role === 'bar' && r !== stem);
  return stem?.points.at(-1) ?? bar?.points[0] ?? g.headTop;
}

/** From the bar's middle to a hand: the bar as drawn from the side. */
function toHand(runs: readonly Run[], middle: Point, g: DonorGeometry): Point[] {
  const bar = runs.find((r) => r.name === 'bar' || r.name === 'side stick');
  if (!bar) return [middle, g.grip];
  const first = bar.points[0] as Point;
  const last = bar.points.at(-1) as Point;
  return lengthOf(sub(first, middle)) <= lengthOf(sub(last, middle)) ? bar.points : [...bar.points].reverse();
}

const onBar: Partial<Record<BoxId, readonly BarItem['id'][]>> = {
  throttle: ['throttle'],
  keypad: ['keypad'],
  leftLever: ['lever'],
  rightLever: ['lever'],
  horn: ['horn'],
};

/** Hangs every box of a conversion on the ways of its vehicle. */
export function netOf(from: WaysFrom): Net {
  const { build, geometry: g, kit, pack } = from;
  const { donor, brief, wiring } = build;
  const { survey, kind } = donor;
  const runs = runsOf(kind, g, survey, brief.trailer);
  const ways = new Ways(runs, g.bracket, hazardsOf(build, g, kit));
  const boxes = new Map<BoxId, PlacedBox>();
  const taken = pack ? chosenPlacement(from, pack) : null;
  const shape = pack && taken?.lies ? packShape(pack) : null;
  const laid = shape && taken?.lies ? { shape, lies: taken.lies } : null;

  const put = (id: BoxId, at: Point, moves: boolean, may?: (run: Run) => boolean, extraM = 0): void => {
    const own = wiring.boxes[id];
    const spot = own && moves ? { x: own.xM, y: own.yM } : at;
    ways.hang(id, spot, own && moves ? undefined : may, own && moves ? 0 : extraM);
    boxes.set(id, { id, at: spot, byHand: own !== undefined && moves, moves });
  };

  // The bar first: what sits on it hangs on its middle.
  const middle = barMiddle(runs, g);
  ways.hang('barMiddle', middle, (r) => r.role === 'bar');
  ways.hang('bracketNode', g.bracket, (r) => r.role === 'frame' || r.role === 'seat');
  let calibrated = false;
  const string = survey.headToBracket;
  if (string) {
    ways.calibrate('barMiddle', 'bracketNode', string.value);
    calibrated = true;
  }
  const hand = toHand(runs, middle, g);
  const sticks = survey.barShape?.value === 'sideSticks' || (kind === 'tadpoleTrike' && !survey.barShape);
  const along = (side: 'left' | 'right', ids: readonly BarItem['id'][]): { lengthM: number; points: Point[] } => {
    const straight = survey[side === 'left' ? 'barLeft' : 'barRight']?.value ?? COMMON_STRAIGHT;
    const item = barItems(build, kit, side, from.shelf).find((i) => ids.includes(i.id));
    const fromEnd = item ? Math.min(straight, item.fromM + item.lengthM / 2) : straight / 2;
    const lengthM = sticks ? STICK_OUT + chainLength(hand) * 0.9 : HALF_CLAMP + straight - fromEnd;
    const share = sticks ? 0.9 : Math.max(0.12, Math.min(1, lengthM / (HALF_CLAMP + straight)));
    const end = pointAlong(hand, chainLength(hand) * share);
    return { lengthM, points: [end, middle] };
  };
  const onHand = (id: BoxId, side: 'left' | 'right'): void => {
    const { lengthM, points } = along(side, onBar[id] ?? []);
    ways.hangOn(id, 'barMiddle', points, lengthM, true);
    boxes.set(id, { id, at: points[0] as Point, byHand: false, moves: false });
  };
  ways.hangOn('junction', 'barMiddle', [middle, middle], 0, true);
  boxes.set('junction', { id: 'junction', at: middle, byHand: false, moves: false });
  const above = add(middle, { x: 0.02, y: 0.03 });
  ways.hangOn('display', 'barMiddle', [above, middle], 0.05, true);
  boxes.set('display', { id: 'display', at: above, byHand: false, moves: false });
  onHand('leftLever', 'left');
  onHand('rightLever', 'right');
  onHand('keypad', 'left');
  onHand('throttle', wiring.sensors.throttleHand ?? 'right');
  onHand('horn', 'left');
  const nearShifter = along(survey.leftShifter?.value && !survey.rightShifter ? 'left' : 'right', []);
  const shiftAt = toward(middle, nearShifter.points[0] as Point, 0.6);
  ways.hangOn('shift', 'barMiddle', [shiftAt, middle], nearShifter.lengthM * 0.6, true);
  boxes.set('shift', { id: 'shift', at: shiftAt, byHand: false, moves: false });

  // The motor, at its axle or beside the frame.
  const place = motorPlace(kit);
  const pairedHere = (place === 'front' && g.pairedFront) || (place === 'rear' && g.pairedRear);
  const motorAt = kit.side
    ? toward(g.bracket, g.seatTop, 0.35)
    : place === 'front'
      ? g.frontAxle
      : place === 'rear'
        ? g.rearAxle
        : g.bracket;
  const legs = (r: Run): boolean => (place === 'front' ? r.role === 'fork' : r.role === 'stay');
  const bearsMotor = runs.some(legs) && !kit.side && place !== 'mid' ? legs : (r: Run): boolean => r.role === 'frame';
  put('motor', motorAt, false, bearsMotor, pairedHere ? g.trackM / 2 : 0);

  const plug = laid
    ? placed(laid.lies.pose, { x: laid.lies.turned ? laid.shape.lengthM : 0, y: laid.shape.heightM / 2 })
    : g.bracket;
  put('pack', plug, false, (r) => !r.steers || taken?.place === 'bar' || taken?.place === 'basket');
  if (kit.controller.place === 'its own box') {
    const found = placeController(frameRoom(build, g, kit).room, kit, laid);
    const at = found
      ? placed(found.lies.pose, { x: found.shape.lengthM / 2, y: found.shape.heightM / 2 })
      : toward(g.bracket, g.seatTop, 0.3);
    put('controller', at, true, (r) => !r.steers);
  }
  put('cadence', g.bracket, false, (r) => r.role === 'frame');
  put('speed', speedAt(runs, g), true, (r) => r.role === 'stay' || r.role === 'chainstay');
  put('frontLamp', add(g.headBottom, { x: 0.03, y: 0.02 }), true, (r) => r.steers || r.name === 'head tube');
  put('rearLamp', rearLampAt(runs, g, kind), true);
  put('charger', plug, false, (r) => !r.steers);
  return { ways, runs, boxes, calibrated };
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

/** What a lead keeps away from: tyres, cranks, and a motor that gets hot beside the tubes. */
function hazardsOf({ donor }: Build, g: DonorGeometry, kit: Kit): Hazard[] {
  const { survey } = donor;
  const tyre = (at: Point, radiusM: number): Hazard => ({ what: 'tyre', at, radiusM, centred: true, besideM: 0 });
  const besideM = (survey.crankWidth?.value ?? 0.14) / 2;
  const crank = (at: Point): Hazard => ({
    what: 'crank',
    at,
    radiusM: survey.crankLength?.value ?? 0.17,
    centred: false,
    besideM,
  });
  return [
    ...(g.pairedRear ? [] : [tyre(g.rearAxle, g.rearRadiusM)]),
    ...(g.pairedFront ? [] : [tyre(g.frontAxle, g.frontRadiusM)]),
    crank(g.bracket),
    ...(g.secondCrank ? [crank(g.secondCrank)] : []),
    ...(kit.mid
      ? [
          {
            what: 'hot motor' as const,
            at: g.bracket,
            radiusM: Math.min(kit.mid.hangsBelowM, COMMON_CASE),
            centred: true,
            besideM: 0,
          },
        ]
      : []),
  ];
}
