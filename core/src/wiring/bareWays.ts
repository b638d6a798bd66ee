import type { Build } from '../build/build.ts';
import { chainLength } from '../donor/frames/chains.ts';
import { lengthOf, sub, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import type { Hazard } from './hazards.ts';
import type { BoxId } from '../parts/leads.ts';
import { runsOf, type Run } from './runs.ts';
import { Ways, type Anchor } from './ways.ts';

/** Radius of a mid-drive's case about the cranks, m. Source: project, common cases. */
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

/** The ways of a vehicle before any box hangs on it, and where the bar's middle is. */
export interface Bare {
  ways: Ways;
  runs: readonly Run[];
  middle: Point;
  barMiddle: Anchor;
  hand: Point[];
  handLong: number;
  /** Boxes hung before, by what they are: many kits have one in the same place. */
  hung: Map<BoxId, HungBox[]>;
}

/** A box with its place in the side view, m. */
export interface PlacedBox {
  id: BoxId;
  at: Point;
  /** Out of the middle, to the right, m: what sits on a hand or in one of two wheels. */
  zM: number;
  /** Put there by hand. */
  byHand: boolean;
  /** It may be moved: what is bolted to a wheel or the bracket may not. */
  moves: boolean;
}

/** A box where it hangs on the ways. */
export interface HungBox {
  box: PlacedBox;
  anchor: Anchor;
}

/** What they are made from. */
interface BareFrom {
  build: Build;
  geometry: DonorGeometry;
}

interface Kept {
  byKey: Map<string, Bare>;
  last: { donor: Build['donor']; trailer: Build['brief']['trailer']; bare: Bare };
}

const kept = new WeakMap<DonorGeometry, Kept>();

/** The ways over a vehicle: made once a drawing and a string. Candidates ask one after another for the same. */
export function bareWays(from: BareFrom): Bare {
  const { donor, brief } = from.build;
  const known = kept.get(from.geometry);
  if (known?.last.donor === donor && known.last.trailer === brief.trailer) return known.last.bare;
  const byKey = known?.byKey ?? new Map<string, Bare>();
  const bare = bareFor(from, byKey);
  kept.set(from.geometry, { byKey, last: { donor, trailer: brief.trailer, bare } });
  return bare;
}

function bareFor({ build, geometry: g }: BareFrom, byKey: Map<string, Bare>): Bare {
  const { donor, brief } = build;
  const { survey, kind } = donor;
  const string = survey.headToBracket?.value ?? null;
  const racked = survey.rackLimit !== undefined || survey.rackHeldBy !== undefined;
  const key = JSON.stringify([
    kind,
    string,
    racked,
    survey.crankWidth?.value,
    survey.crankLength?.value,
    brief.trailer,
  ]);
  let made = byKey.get(key);
  if (made) return made;
  const runs = runsOf(kind, g, survey, brief.trailer);
  const ways = new Ways(runs, g.bracket, hazardsOf(build, g));
  const middle = barMiddle(runs, g);
  const at = ways.hang(middle, (r) => r.role === 'bar');
  if (string !== null)
    ways.calibrate(
      at,
      ways.hang(g.bracket, (r) => r.role === 'frame' || r.role === 'seat'),
      string,
    );
  const hand = toHand(runs, middle, g);
  made = { ways, runs, middle, barMiddle: at, hand, handLong: chainLength(hand), hung: new Map() };
  byKey.set(key, made);
  return made;
}

/** What a lead keeps away from: tyres, cranks, and a motor that gets hot beside the tubes. */
function hazardsOf({ donor }: Build, g: DonorGeometry): Hazard[] {
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
    { what: 'hot motor', at: g.bracket, radiusM: COMMON_CASE, centred: true, besideM: 0 },
  ];
}
