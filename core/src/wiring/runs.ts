import type { Survey } from '../donor/donor.ts';
import { lineOf, pointAlong } from '../donor/frames/chains.ts';
import { lengthOf, sub, type Point } from '../donor/frames/point.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { kindTraits, type VehicleKind } from '../donor/kinds.ts';
import type { Trailer } from '../build/brief.ts';

/** What a run of tube is to a lead: which are dear, which turn with the bar, which swing. */
export type RunRole =
  'frame' | 'stay' | 'chainstay' | 'fork' | 'bar' | 'post' | 'rack' | 'box' | 'seat' | 'trailer' | 'span';

/** A run a lead may be tied along, side view, m. */
export interface Run {
  name: string;
  role: RunRole;
  points: Point[];
  diameterM: number;
  /** Turns with the bar. */
  steers: boolean;
}

const roleOf = (name: string, layer: string): RunRole => {
  if (name.includes('post')) return 'post';
  if (layer === 'fork') return 'fork';
  if (layer === 'bar') return 'bar';
  if (name === 'chainstay') return 'chainstay';
  return layer === 'behind' && name !== 'lateral' ? 'stay' : 'frame';
};

/** Everything on a vehicle that a lead can be tied along: its tubes, its rack or box, its seat, what it tows. */
export function runsOf(kind: VehicleKind, g: DonorGeometry, survey: Survey, trailer: Trailer | null): Run[] {
  const runs = g.tubes.flatMap((t): Run[] => {
    const points = lineOf(t);
    if (points.length < 2) return [];
    const role = roleOf(t.name, t.layer);
    return [{ name: t.name, role, points, diameterM: t.diameterM, steers: role === 'fork' || role === 'bar' }];
  });
  const extra = (name: string, role: RunRole, points: Point[], diameterM = 0.012): void => {
    runs.push({ name, role, points, diameterM, steers: false });
  };
  const { boom } = kindTraits[kind];
  if (g.box) extra('box', 'box', [...g.box, g.box[0] as Point]);
  if (kind === 'longtail') extra('deck edge', 'rack', [g.rackDeck.from, g.rackDeck.to]);
  else if (!g.box && !boom && (survey.rackLimit !== undefined || survey.rackHeldBy !== undefined)) {
    const { from, to } = g.rackDeck;
    extra('rack', 'rack', [from, to]);
    extra('rack stay', 'rack', [{ x: (from.x + to.x) / 2, y: from.y }, g.rearAxle]);
    const stay = g.tubes.find((t) => t.name === 'seat stay')?.points ?? [g.seatTop];
    const top = [...stay].sort((a, b) => b.y - a.y)[0] as Point;
    extra('rack strut', 'rack', [to, top]);
  }
  if (g.seat) extra('seat', 'seat', g.seat);
  if (trailer) {
    const hitch = { x: g.rearAxle.x - trailer.hitchBackM, y: trailer.hitchUpM };
    extra('drawbar', 'trailer', [
      g.rearAxle,
      hitch,
      { x: hitch.x - trailer.drawbarM, y: Math.max(0.2, trailer.hitchUpM) },
    ]);
  }
  return runs;
}

/** The spot on a run nearest a point: how far along, where, and how far off. */
export interface Foot {
  run: number;
  alongM: number;
  at: Point;
  offM: number;
}

export function footOn(run: Run, index: number, p: Point): Foot {
  let best: Foot = { run: index, alongM: 0, at: run.points[0] as Point, offM: Infinity };
  let way = 0;
  for (let i = 1; i < run.points.length; i++) {
    const a = run.points[i - 1] as Point;
    const b = run.points[i] as Point;
    const d = sub(b, a);
    const long = lengthOf(d);
    if (long === 0) continue;
    const t = Math.max(0, Math.min(1, ((p.x - a.x) * d.x + (p.y - a.y) * d.y) / (long * long)));
    const at = { x: a.x + d.x * t, y: a.y + d.y * t };
    const offM = lengthOf(sub(p, at));
    if (offM < best.offM - 1e-9) best = { run: index, alongM: way + long * t, at, offM };
    way += long;
  }
  return best;
}

/** The nearest spot of all runs that pass a test; null where none does. */
export function nearestFoot(runs: readonly Run[], p: Point, may: (run: Run, index: number) => boolean): Foot | null {
  let best: Foot | null = null;
  runs.forEach((run, i) => {
    if (!may(run, i)) return;
    const foot = footOn(run, i, p);
    if (!best || foot.offM < best.offM - 1e-9) best = foot;
  });
  return best;
}

/** Runs reached from one by joints. */
export function reachedFrom(first: number, joints: readonly (readonly [number, number])[]): Set<number> {
  const reached = new Set([first]);
  for (let grown = true; grown;) {
    grown = false;
    for (const [a, b] of joints)
      if (reached.has(a) !== reached.has(b)) {
        reached.add(a).add(b);
        grown = true;
      }
  }
  return reached;
}

/** A chain's piece between two ways along it, its ends put in. */
export function between(points: readonly Point[], from: number, to: number): Point[] {
  const out: Point[] = [pointAlong(points, from)];
  let way = 0;
  for (let i = 1; i < points.length; i++) {
    const b = points[i] as Point;
    way += lengthOf(sub(b, points[i - 1] as Point));
    if (way > from + 1e-9 && way < to - 1e-9) out.push(b);
  }
  out.push(pointAlong(points, to));
  return out;
}

/** Two nodes' name, whichever comes first. */
export const pairOf = (a: number, b: number): string => (a < b ? `${a}|${b}` : `${b}|${a}`);
