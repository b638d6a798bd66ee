import dijkstra from 'dijkstrajs';
import { chainLength, pointAlong } from '../donor/frames/chains.ts';
import { lengthOf, sub, type Point } from '../donor/frames/point.ts';
import { footOn, nearestFoot, type Foot, type Run, type RunRole } from './runs.ts';

/** Ends this near another run are joined to it, m. Source: project; tubes are drawn by their middle lines. */
const JOINED_WITHIN = 0.12;
/** What an edge costs over its length. Source: models, §10: a chainstay is where pedal and kerb catch a lead. */
const COST: Partial<Record<RunRole, number>> = { chainstay: 3, span: 2 };
const UNDER_BRACKET = { withinM: 0.05, cost: 2 };
/** Where nothing may run: so dear that any other way is taken, and told where there is none. */
const REFUSED = 60;
/** Every edge costs a little, so that of two ways as long the simpler is taken. */
const LEAST_COST = 1e-6;

/** Pieces a run is cut into at most, m. */
const PIECE = 0.15;
/** A stay's middle from the vehicle's near the bracket, and what a lead takes beside it, m. Source: project, common frames. */
const STAY_OUT = 0.028;
const LEAD_THICK = 0.005;

/** A tube drawn so deep in a wheel's disc is one of a pair beside it, m. Source: project. */
const BESIDE_WHEEL = 0.03;

/** Something a lead must keep away from: a disc in the side view. */
export interface Hazard {
  what: 'tyre' | 'crank' | 'hot motor';
  at: Point;
  radiusM: number;
  /** True where it stands in the middle plane, as a tube does; a crank passes beside the tubes. */
  centred: boolean;
  /** Its inner face from the middle, m, for what passes beside. */
  besideM: number;
}
/** Nothing runs nearer than this. Source: models, §10. */
export const KEEP_AWAY = 0.02;

/** One edge of a way: a piece of a run, or a hop to a box. */
export interface WayEdge {
  from: string;
  to: string;
  lengthM: number;
  run: string;
  role: RunRole;
  points: Point[];
  steers: boolean;
  near: Hazard['what'] | null;
}

interface Cut {
  alongM: number;
  at: Point;
  node: string;
}

const isBolted = ({ role }: Run): boolean => role === 'rack' || role === 'box' || role === 'seat' || role === 'trailer';

/** How near a run passes a hazard, m, tied to the face turned away from it. */
function roomTo(run: Run, p: Point, h: Hazard): number {
  const side = Math.hypot(p.x - h.at.x, p.y - h.at.y) - h.radiusM;
  if (run.role === 'fork' || run.role === 'stay' || run.role === 'chainstay') {
    // Stays and legs stand beside the wheel and shield what is tied to their outer face; a crank passes outside them.
    if (h.centred) return Infinity;
    const gap = h.besideM - (STAY_OUT + run.diameterM / 2 + LEAD_THICK);
    return Math.hypot(Math.max(0, side), Math.max(0, gap));
  }
  if (!h.centred) {
    const gap = h.besideM - run.diameterM / 2;
    return Math.hypot(Math.max(0, side), Math.max(0, gap));
  }
  // What overlaps the wheel in the side view stands beside it, as a stay does.
  return side < -BESIDE_WHEEL ? Infinity : side + run.diameterM / 2;
}

/** The net of ways over a vehicle, with boxes hung on it. Made anew a plan; pure over its inputs. */
export class Ways {
  private readonly runs: readonly Run[];
  private readonly hazards: readonly Hazard[];
  private readonly cuts: Cut[][];
  private readonly hung: WayEdge[] = [];
  private readonly links: WayEdge[] = [];
  private readonly scaled = new Map<string, number>();
  private edges: Map<string, WayEdge> | null = null;
  private graphs = new Map<string, Record<string, Record<string, number>>>();
  private readonly found = new Map<string, Record<string, string>>();
  private readonly bracket: Point;

  constructor(runs: readonly Run[], bracket: Point, hazards: readonly Hazard[]) {
    this.runs = runs;
    this.bracket = bracket;
    this.hazards = hazards;
    this.cuts = runs.map((run, i) => {
      const long = chainLength(run.points);
      // Cut into short pieces, so that what is near a crank or a tyre is told of that piece alone.
      const steps = Math.ceil(long / PIECE);
      return [
        { alongM: 0, at: run.points[0] as Point, node: `${i}a` },
        ...Array.from({ length: Math.max(0, steps - 1) }, (_, n) => {
          const alongM = (long * (n + 1)) / steps;
          return { alongM, at: pointAlong(run.points, alongM), node: `${i}s${n}` };
        }),
        { alongM: long, at: run.points.at(-1) as Point, node: `${i}b` },
      ];
    });
    this.join();
  }

  /** A node on a run, made where there is none yet. */
  private cutAt(foot: Foot): string {
    const cuts = this.cuts[foot.run] as Cut[];
    const same = cuts.find((c) => Math.abs(c.alongM - foot.alongM) < 1e-4);
    if (same) return same.node;
    const node = `${foot.run}c${cuts.length}`;
    cuts.push({ alongM: foot.alongM, at: foot.at, node });
    this.changed();
    return node;
  }

  private changed(): void {
    this.edges = null;
    this.found.clear();
  }

  private link(a: string, b: string, from: Point, to: Point, role: RunRole, steers: boolean): void {
    this.links.push({
      from: a,
      to: b,
      lengthM: lengthOf(sub(to, from)),
      run: role === 'span' ? 'a span' : 'a joint',
      role,
      points: [from, to],
      steers,
      near: null,
    });
    this.changed();
  }

  /** Joins runs where they meet; what turns with the bar is joined to the frame at the head alone. */
  private join(): void {
    const head = this.runs.findIndex((r) => r.name === 'head tube');
    this.runs.forEach((run, i) => {
      const ends = [run.points[0] as Point, run.points.at(-1) as Point];
      const joinsTo = (other: Run, j: number): boolean =>
        j !== i && (run.steers === other.steers || (head >= 0 && (j === head || i === head)));
      ends.forEach((end, k) => {
        // To the nearest tube, and to the nearest of what is only bolted on.
        for (const bolted of [false, true]) {
          const best = nearestFoot(
            this.runs,
            end,
            (other) => isBolted(other) === bolted && joinsTo(other, this.runs.indexOf(other)),
          );
          if (best && best.offM <= JOINED_WITHIN)
            this.link(`${i}${k === 0 ? 'a' : 'b'}`, this.cutAt(best), end, best.at, 'frame', run.steers);
        }
      });
    });
    this.bridge();
  }

  /** What hangs on nothing yet is joined where it comes nearest, by a span that must be clipped to something. */
  private bridge(): void {
    for (let turn = 0; turn < this.runs.length; turn++) {
      const reached = this.reachedFrom(0);
      const outside = this.runs.findIndex((_, i) => !reached.has(i));
      if (outside < 0) return;
      let best: { off: number; from: Foot; to: Foot } | null = null;
      this.runs.forEach((run, i) => {
        if (reached.has(i)) return;
        for (const end of run.points)
          this.runs.forEach((other, j) => {
            if (!reached.has(j)) return;
            const to = footOn(other, j, end);
            const from = footOn(run, i, end);
            if (!best || to.offM < best.off - 1e-9) best = { off: to.offM, from, to };
          });
      });
      if (best === null) return;
      const { from, to } = best as { from: Foot; to: Foot };
      const near = lengthOf(sub(from.at, to.at)) <= JOINED_WITHIN;
      const steers = (this.runs[from.run] as Run).steers;
      this.link(this.cutAt(from), this.cutAt(to), from.at, to.at, near ? 'frame' : 'span', steers);
    }
  }

  private reachedFrom(first: number): Set<number> {
    const of = (node: string): number => Number.parseInt(node, 10);
    const reached = new Set([first]);
    for (let grown = true; grown;) {
      grown = false;
      for (const { from, to } of this.links) {
        const [a, b] = [of(from), of(to)];
        if (reached.has(a) !== reached.has(b)) {
          reached.add(a).add(b);
          grown = true;
        }
      }
    }
    return reached;
  }

  /** Hangs a box on the nearest run that may bear it; `extraM` is what lies out of the side view. */
  hang(id: string, at: Point, may: (run: Run) => boolean = () => true, extraM = 0): void {
    const foot = nearestFoot(this.runs, at, may) ?? nearestFoot(this.runs, at, () => true);
    if (!foot) return;
    const { steers } = this.runs[foot.run] as Run;
    this.hop(id, this.cutAt(foot), at, foot.at, foot.offM + extraM, steers);
  }

  /** Hangs a box on another by a way of its own: along a bar, say. */
  hangOn(id: string, other: string, points: readonly Point[], lengthM: number, steers: boolean): void {
    this.hung.push({ from: id, to: other, lengthM, run: 'bar', role: 'bar', points: [...points], steers, near: null });
    this.changed();
  }

  private hop(id: string, node: string, at: Point, to: Point, lengthM: number, steers: boolean): void {
    this.hung.push({ from: id, to: node, lengthM, run: 'a hop', role: 'frame', points: [at, to], steers, near: null });
    this.changed();
  }

  /** Makes ways along the edges between two boxes longer or shorter by a measured one. */
  calibrate(from: string, to: string, measuredM: number): number {
    const edges = this.route(from, to);
    const drawn = edges.reduce((sum, e) => sum + e.lengthM, 0);
    if (drawn <= 0) return 1;
    const k = measuredM / drawn;
    for (const e of edges) this.scaled.set(key(e.from, e.to), k);
    this.changed();
    return k;
  }

  /** Every edge there is, the shortest where two join the same nodes. */
  private all(): Map<string, WayEdge> {
    if (this.edges) return this.edges;
    const edges = new Map<string, WayEdge>();
    this.graphs.clear();
    const put = (e: WayEdge): void => {
      const name = key(e.from, e.to);
      const lengthM = e.lengthM * (this.scaled.get(name) ?? 1);
      const before = edges.get(name);
      if (!before || before.lengthM > lengthM) edges.set(name, { ...e, lengthM });
    };
    this.runs.forEach((run, i) => {
      const cuts = [...(this.cuts[i] as Cut[])].sort((a, b) => a.alongM - b.alongM);
      for (let c = 1; c < cuts.length; c++) {
        const [a, b] = [cuts[c - 1] as Cut, cuts[c] as Cut];
        const points = between(run.points, a.alongM, b.alongM);
        put({
          from: a.node,
          to: b.node,
          lengthM: b.alongM - a.alongM,
          run: run.name,
          role: run.role,
          points,
          steers: run.steers,
          near: this.hazardOf(run, points),
        });
      }
    });
    for (const e of [...this.links, ...this.hung]) put(e);
    this.edges = edges;
    return edges;
  }

  /** Costs of every edge, for a lead that must end at one of the things it would otherwise keep away from. */
  private graphFor(endsAt: Hazard['what'] | null): Record<string, Record<string, number>> {
    const edges = this.all();
    let graph = this.graphs.get(endsAt ?? '');
    if (graph) return graph;
    graph = {};
    for (const e of edges.values()) {
      const low = e.role === 'frame' && lengthOf(sub(middleOf(e.points), this.bracket)) < UNDER_BRACKET.withinM;
      const refused = e.near !== null && e.near !== endsAt;
      const cost =
        e.lengthM * (COST[e.role] ?? 1) * (low ? UNDER_BRACKET.cost : 1) * (refused ? REFUSED : 1) + LEAST_COST;
      (graph[e.from] ??= {})[e.to] = cost;
      (graph[e.to] ??= {})[e.from] = cost;
    }
    this.graphs.set(endsAt ?? '', graph);
    return graph;
  }

  private hazardOf(run: Run, points: readonly Point[]): Hazard['what'] | null {
    const middle = middleOf(points);
    for (const h of this.hazards) if (roomTo(run, middle, h) < KEEP_AWAY) return h.what;
    return null;
  }

  /** The cheapest way between two boxes, as edges from first to last; empty where there is none. */
  route(from: string, to: string, endsAt: Hazard['what'] | null = null): WayEdge[] {
    const graph = this.graphFor(endsAt);
    const edges = this.all();
    if (from === to || !graph[from] || !graph[to]) return [];
    const name = `${endsAt ?? ''}|${from}`;
    let before = this.found.get(name);
    if (!before) this.found.set(name, (before = dijkstra.single_source_shortest_paths(graph, from)));
    if (before[to] === undefined) return [];
    const nodes = dijkstra.extract_shortest_path_from_predecessor_list(before, to);
    return nodes.slice(1).map((node, i) => {
      const last = nodes[i] as string;
      const e = edges.get(key(last, node)) as WayEdge;
      return e.from === last ? e : { ...e, from: last, to: node, points: [...e.points].reverse() };
    });
  }
}

const key = (a: string, b: string): string => (a < b ? `${a}|${b}` : `${b}|${a}`);

function middleOf(points: readonly Point[]): Point {
  const a = points[0] as Point;
  const b = points.at(-1) as Point;
  return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
}

/** A chain's piece between two ways along it, its ends put in. */
export function between(points: readonly Point[], from: number, to: number): Point[] {
  const out: Point[] = [];
  let way = 0;
  for (let i = 1; i < points.length; i++) {
    const a = points[i - 1] as Point;
    const b = points[i] as Point;
    const long = lengthOf(sub(b, a));
    const at = (w: number): Point => {
      const t = long > 0 ? (w - way) / long : 0;
      return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
    };
    if (from >= way && from <= way + long && out.length === 0) out.push(at(from));
    if (out.length > 0 && way + long < to && way + long > from) out.push(b);
    if (to >= way && to <= way + long + 1e-9) {
      out.push(at(to));
      return out;
    }
    way += long;
  }
  if (out.length < 2) out.push(points.at(-1) as Point);
  return out;
}
