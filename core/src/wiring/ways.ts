import { chainLength, pointAlong } from '../donor/frames/chains.ts';
import { lengthOf, sub, type Point } from '../donor/frames/point.ts';
import { KEEP_AWAY, NOTHING, roomTo, type Hazard, type Past } from './hazards.ts';
import { treeFrom, type Neighbour, type Tree } from './tree.ts';
import { between, footOn, nearestFoot, pairOf, reachedFrom, type Foot, type Run, type RunRole } from './runs.ts';

/** Ends this near another run are joined to it, m. Source: project; tubes are drawn by their middle lines. */
const JOINED_WITHIN = 0.12;
/** What a piece costs over its length. Source: models, §10: a chainstay is where pedal and kerb catch a lead. */
const COST: Partial<Record<RunRole, number>> = { chainstay: 3, span: 2 };
const UNDER_BRACKET = { withinM: 0.05, cost: 2 };
/** Where nothing may run: so dear that any other way is taken, and told where there is none. */
const REFUSED = 60;
/** Every piece costs a little, so that of two ways as long the simpler is taken. */
const LEAST_COST = 1e-6;
/** Pieces a run is cut into at most, m: what is near a crank or a tyre is told of that piece alone. */
const PIECE = 0.2;
/** A part of a piece that a way takes, from one share of it to another: all but its line. */
export interface WayStep {
  at: number;
  from: number;
  to: number;
  lengthM: number;
  role: RunRole;
  steers: boolean;
  near: Hazard['what'] | null;
}

/** One piece of a way as it is drawn: of a run, a joint, or a hop to a box. */
export interface WayEdge {
  /** Its piece of tube, the same for every lead along it. */
  piece: string;
  lengthM: number;
  run: string;
  role: RunRole | 'hop';
  points: Point[];
  steers: boolean;
  near: Hazard['what'] | null;
}

interface Node {
  run: number;
  alongM: number;
  at: Point;
}

interface Piece {
  a: number;
  b: number;
  /** Length as drawn, and what a string made of it. */
  drawnM: number;
  scale: number;
  run: string;
  role: RunRole;
  steers: boolean;
  near: Hazard['what'] | null;
  /** Under the bracket. */
  low: boolean;
  points: Point[];
}

/** A spot on the ways: a piece, and the share of it from its first end. */
export interface Spot {
  piece: number;
  share: number;
}

/** Where a box hangs on the ways: on a spot, by hops of its own. Those on one bar hang on the same spot. */
export interface Anchor {
  spot: Spot;
  hops: { lengthM: number; points: Point[]; run: string; steers: boolean }[];
}

const isBolted = ({ role }: Run): boolean => role === 'rack' || role === 'box' || role === 'seat' || role === 'trailer';

/** The net of ways over a vehicle. Once made it does not change but for a string's calibration; boxes are hung on it from outside. */
export class Ways {
  private readonly runs: readonly Run[];
  private readonly bracket: Point;
  private readonly nodes: Node[] = [];
  private readonly pieces: Piece[] = [];
  private neighbours: Neighbour[][] | null = null;
  private readonly byNodes = new Map<string, number>();
  private readonly found = new Map<Past, { costs: Float64Array; trees: Map<number, Tree> }>();
  private readonly piecesOf: number[][];

  constructor(runs: readonly Run[], bracket: Point, hazards: readonly Hazard[]) {
    this.runs = runs;
    this.bracket = bracket;
    const cuts: number[][] = runs.map((run, i) => {
      const long = chainLength(run.points);
      const steps = Math.max(1, Math.ceil(long / PIECE));
      return Array.from({ length: steps + 1 }, (_, n) =>
        this.node(i, (long * n) / steps, pointAlong(run.points, (long * n) / steps)),
      );
    });
    const links = this.joined(cuts);
    this.piecesOf = runs.map(() => []);
    runs.forEach((run, i) => {
      const sorted = [...(cuts[i] as number[])].sort((a, b) => this.at(a).alongM - this.at(b).alongM);
      for (let c = 1; c < sorted.length; c++) {
        const [a, b] = [sorted[c - 1] as number, sorted[c] as number];
        const points = between(run.points, this.at(a).alongM, this.at(b).alongM);
        const middle = pointAlong(points, chainLength(points) / 2);
        (this.piecesOf[i] as number[]).push(this.pieces.length);
        this.add({
          a,
          b,
          drawnM: this.at(b).alongM - this.at(a).alongM,
          run: run.name,
          role: run.role,
          steers: run.steers,
          near: hazards.find((h) => roomTo(run, middle, h) < KEEP_AWAY)?.what ?? null,
          points,
        });
      }
    });
    for (const { a, b, role, steers } of links) {
      const points = [this.at(a).at, this.at(b).at];
      const run = role === 'span' ? 'a span' : 'a joint';
      this.add({ a, b, drawnM: chainLength(points), run, role, steers, near: null, points });
    }
  }

  private at(node: number): Node {
    return this.nodes[node] as Node;
  }

  private node(run: number, alongM: number, at: Point): number {
    this.nodes.push({ run, alongM, at });
    return this.nodes.length - 1;
  }

  private add(p: Omit<Piece, 'scale' | 'low'>): void {
    const middle = pointAlong(p.points, chainLength(p.points) / 2);
    const low = p.role === 'frame' && lengthOf(sub(middle, this.bracket)) < UNDER_BRACKET.withinM;
    const name = pairOf(p.a, p.b);
    const before = this.byNodes.get(name);
    if (before !== undefined && (this.pieces[before] as Piece).drawnM <= p.drawnM) return;
    this.byNodes.set(name, this.pieces.length);
    const { a, b, drawnM, run, role, steers, near, points } = p;
    this.pieces.push({ a, b, drawnM, scale: 1, run, role, steers, near, low, points });
  }

  /** Cuts a run where something meets it. */
  private cut(cuts: number[][], foot: Foot): number {
    const here = cuts[foot.run] as number[];
    const same = here.find((n) => Math.abs(this.at(n).alongM - foot.alongM) < 1e-4);
    if (same !== undefined) return same;
    const made = this.node(foot.run, foot.alongM, foot.at);
    here.push(made);
    return made;
  }

  /** Joints where runs meet; what turns with the bar is joined to the frame at the head alone. */
  private joined(cuts: number[][]): { a: number; b: number; role: RunRole; steers: boolean }[] {
    const links: { a: number; b: number; role: RunRole; steers: boolean }[] = [];
    const head = this.runs.findIndex((r) => r.name === 'head tube');
    this.runs.forEach((run, i) => {
      const here = cuts[i] as number[];
      const ends = [here[0] as number, here.find((n) => this.at(n).alongM >= chainLength(run.points) - 1e-9) as number];
      const joinsTo = (j: number): boolean =>
        j !== i && (run.steers === this.runs[j]?.steers || (head >= 0 && (j === head || i === head)));
      for (const end of ends)
        // To the nearest tube, and to the nearest of what is only bolted on.
        for (const bolted of [false, true]) {
          const best = nearestFoot(this.runs, this.at(end).at, (other, j) => isBolted(other) === bolted && joinsTo(j));
          if (best && best.offM <= JOINED_WITHIN)
            links.push({ a: end, b: this.cut(cuts, best), role: 'frame', steers: run.steers });
        }
      // A seat or a box lies along the tubes it is bolted to: it is reached wherever one comes near.
      if (isBolted(run))
        run.points.slice(1, -1).forEach((p) => {
          const tube = nearestFoot(this.runs, p, (other, j) => !isBolted(other) && joinsTo(j));
          if (tube && tube.offM <= JOINED_WITHIN)
            links.push({ a: this.cut(cuts, footOn(run, i, p)), b: this.cut(cuts, tube), role: 'frame', steers: false });
        });
    });
    // What hangs on nothing yet is joined where it comes nearest, by a span that must be clipped to something.
    for (let turn = 0; turn < this.runs.length; turn++) {
      const reached = reachedFrom(
        0,
        links.map(({ a, b }) => [this.at(a).run, this.at(b).run]),
      );
      if (reached.size === this.runs.length) break;
      let best: { from: Foot; to: Foot } | null = null;
      this.runs.forEach((run, i) => {
        if (reached.has(i)) return;
        for (const p of run.points) {
          const to = nearestFoot(this.runs, p, (_, j) => reached.has(j));
          if (to && (!best || to.offM < best.to.offM - 1e-9)) best = { from: footOn(run, i, p), to };
        }
      });
      if (best === null) break;
      const { from, to } = best as { from: Foot; to: Foot };
      links.push({
        a: this.cut(cuts, from),
        b: this.cut(cuts, to),
        role: to.offM <= JOINED_WITHIN ? 'frame' : 'span',
        steers: (this.runs[from.run] as Run).steers,
      });
    }
    return links;
  }

  /** Hangs a box on the nearest run that may bear it; `extraM` is what lies out of the side view. */
  hang(at: Point, may: (run: Run) => boolean = () => true, extraM = 0): Anchor {
    const foot = nearestFoot(this.runs, at, may) ?? nearestFoot(this.runs, at, () => true);
    if (!foot) return { spot: { piece: 0, share: 0 }, hops: [] };
    const piece =
      (this.piecesOf[foot.run] as number[]).find((n) => {
        const { a, b } = this.pieces[n] as Piece;
        return foot.alongM >= this.at(a).alongM - 1e-9 && foot.alongM <= this.at(b).alongM + 1e-9;
      }) ?? 0;
    const { a, drawnM, steers } = this.pieces[piece] as Piece;
    return {
      spot: { piece, share: drawnM > 0 ? (foot.alongM - this.at(a).alongM) / drawnM : 0 },
      hops: [{ lengthM: foot.offM + extraM, points: [at, foot.at], run: 'a hop', steers }],
    };
  }

  /** Makes the pieces between two anchors longer or shorter by a measured way. */
  calibrate(from: Anchor, to: Anchor, measuredM: number): void {
    const edges = this.route(from, to);
    const drawn = edges.reduce((sum, e) => sum + e.lengthM, 0);
    if (drawn <= 0) return;
    const on = new Set(edges.map((e) => e.piece));
    this.pieces.forEach((p, i) => {
      if (on.has(String(i))) p.scale = measuredM / drawn;
    });
    this.found.clear();
  }

  private costOf(p: Piece, past: Past): number {
    const refused = p.near !== null && !past.includes(p.near);
    return (
      p.drawnM * p.scale * (COST[p.role] ?? 1) * (p.low ? UNDER_BRACKET.cost : 1) * (refused ? REFUSED : 1) + LEAST_COST
    );
  }

  /** The tree from one node for a lead that may pass so much, kept. */
  private fromNode(node: number, past: Past): Tree {
    let kept = this.found.get(past);
    if (!kept) {
      const costs = Float64Array.from(this.pieces, (p) => this.costOf(p, past));
      this.found.set(past, (kept = { costs, trees: new Map() }));
    }
    let tree = kept.trees.get(node);
    if (!tree) kept.trees.set(node, (tree = treeFrom(node, this.joints(), kept.costs)));
    return tree;
  }

  private joints(): readonly (readonly Neighbour[])[] {
    if (!this.neighbours) {
      this.neighbours = this.nodes.map(() => []);
      for (const piece of this.byNodes.values()) {
        const { a, b } = this.pieces[piece] as Piece;
        (this.neighbours[a] as Neighbour[]).push({ to: b, piece });
        (this.neighbours[b] as Neighbour[]).push({ to: a, piece });
      }
    }
    return this.neighbours;
  }

  /** The cheapest way between two anchors, as edges from first to last, hops to the boxes included. */
  route(from: Anchor, to: Anchor, past: Past = NOTHING): WayEdge[] {
    const hop = (h: Anchor['hops'][number], turned: boolean): WayEdge => ({
      piece: '',
      lengthM: h.lengthM,
      run: h.run,
      role: 'hop',
      points: turned ? [...h.points].reverse() : h.points,
      steers: h.steers,
      near: null,
    });
    return [
      ...from.hops.map((h) => hop(h, false)),
      ...this.along(from.spot, to.spot, past).map((step) => this.drawn(step)),
      ...[...to.hops].reverse().map((h) => hop(h, true)),
    ];
  }

  /** The way between two spots, hops to boxes left out. */
  along(from: Spot, to: Spot, past: Past): WayStep[] {
    const [p, q] = [this.pieces[from.piece] as Piece, this.pieces[to.piece] as Piece];
    if (from.piece === to.piece) return [this.part(from.piece, from.share, to.share)];
    let best: { cost: number; a: 0 | 1; b: 0 | 1 } | null = null;
    for (const a of [0, 1] as const) {
      const cost = this.fromNode(a === 0 ? p.a : p.b, past).cost;
      for (const b of [0, 1] as const) {
        const way = cost[b === 0 ? q.a : q.b] as number;
        if (way === Infinity) continue;
        const whole =
          way + this.costOf(p, past) * Math.abs(from.share - a) + this.costOf(q, past) * Math.abs(to.share - b);
        if (!best || whole < best.cost - 1e-12) best = { cost: whole, a, b };
      }
    }
    if (!best) return [];
    const first = best.a === 0 ? p.a : p.b;
    const { by } = this.fromNode(first, past);
    const whole: WayStep[] = [];
    for (let node = best.b === 0 ? q.a : q.b; node !== first;) {
      const at = by[node] as number;
      const piece = this.pieces[at] as Piece;
      const forward = piece.b === node;
      whole.unshift(forward ? this.part(at, 0, 1) : this.part(at, 1, 0));
      node = forward ? piece.a : piece.b;
    }
    return [this.part(from.piece, from.share, best.a), ...whole, this.part(to.piece, best.b, to.share)].filter(
      (step) => step.lengthM > 1e-9,
    );
  }

  /** A part of a piece between two shares of it. */
  private part(at: number, from: number, to: number): WayStep {
    const { drawnM, scale, role, steers, near } = this.pieces[at] as Piece;
    return { at, from, to, lengthM: drawnM * scale * Math.abs(to - from), role, steers, near };
  }

  /** A step with its line. */
  drawn({ at, from, to, lengthM, role, steers, near }: WayStep): WayEdge {
    const p = this.pieces[at] as Piece;
    const long = chainLength(p.points);
    const [low, high] = [Math.min(from, to), Math.max(from, to)];
    const points = low <= 0 && high >= 1 ? p.points : between(p.points, long * low, long * high);
    return {
      piece: String(at),
      lengthM,
      run: p.run,
      role,
      points: from <= to ? points : [...points].reverse(),
      steers,
      near,
    };
  }
}
