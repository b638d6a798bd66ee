import type { DonorGeometry, Point } from '../donor/geometry.ts';
import type { Pack } from '../parts/pack.ts';
import { packShape, turned } from './packShape.ts';
import type { Placement } from './place.ts';
import { hole, line, measured, words, type SheetDrawing, type SheetMark } from './sheet.ts';

/** Where the neutral line lies in a bend, of its thickness, unless a test piece was bent. Source: docs/models.md, geometry. */
export const BEND_K = 0.42;

/** Length of stock a bend takes up along its neutral line: angle·(R + K·t). Any one unit of length. */
export function bendAllowance(angleRad: number, insideRadius: number, thickness: number, k = BEND_K): number {
  return angleRad * (insideRadius + k * thickness);
}

/** How far the outer corner lies beyond where a bend begins: (R + t)·tan(angle/2). */
function outsideSetback(angleRad: number, insideRadius: number, thickness: number): number {
  return (insideRadius + thickness) * Math.tan(angleRad / 2);
}

/** A bracket bent from flat stock. Lengths mm, angles rad. */
export interface BracketSpec {
  name: string;
  stock: { widthMm: number; thicknessMm: number; insideRadiusMm: number; k: number; material: string };
  /** Outside lengths of its legs, corner to corner. */
  legsMm: number[];
  /** What each bend turns by; one fewer than legs. Up where positive, down where negative. */
  bendsRad: number[];
  holes: {
    leg: number;
    /** From the leg's beginning, outside. */ fromMm: number;
    /** From the stock's middle. */ acrossMm: number;
    diameterMm: number;
    slotMm?: number;
  }[];
}

/** The flat a bracket is cut and drilled as. */
export interface BracketFlat {
  lengthMm: number;
  /** Middle of each bend along the flat, with the allowance it takes up. */
  bends: { atMm: number; allowanceMm: number; angleRad: number }[];
  holes: { xMm: number; yMm: number; diameterMm: number; slotMm: number }[];
  /** The straight of each leg between bends: below a few thicknesses it cannot be held in a vice. */
  straightsMm: number[];
  problem: string | null;
}

/** Unfolds a bracket. Exact for a bend of constant radius and the K given; a real bend is good to about half the thickness. */
export function unfold(spec: BracketSpec): BracketFlat {
  const { thicknessMm: t, insideRadiusMm: r, k } = spec.stock;
  const setback = spec.bendsRad.map((a) => outsideSetback(Math.abs(a), r, t));
  const straightsMm = spec.legsMm.map((leg, i) => leg - (setback[i - 1] ?? 0) - (setback[i] ?? 0));
  const starts: number[] = [];
  const bends: BracketFlat['bends'] = [];
  let at = 0;
  spec.legsMm.forEach((_, i) => {
    starts.push(at);
    at += straightsMm[i] as number;
    const angle = spec.bendsRad[i];
    if (angle === undefined) return;
    const allowanceMm = bendAllowance(Math.abs(angle), r, t, k);
    bends.push({ atMm: at + allowanceMm / 2, allowanceMm, angleRad: angle });
    at += allowanceMm;
  });
  const short = straightsMm.findIndex((s) => s < Math.max(2 * t, 4));
  const holes = spec.holes.map((h) => ({
    xMm: (starts[h.leg] as number) + h.fromMm - (setback[h.leg - 1] ?? 0),
    yMm: h.acrossMm,
    diameterMm: h.diameterMm,
    slotMm: h.slotMm ?? 0,
  }));
  const inBend = holes.some((h) =>
    bends.some((b) => Math.abs(h.xMm - b.atMm) < b.allowanceMm / 2 + h.diameterMm / 2 + t),
  );
  return {
    lengthMm: at,
    bends,
    holes,
    straightsMm,
    problem:
      short >= 0
        ? `Leg ${short + 1} is too short between its bends to be held and bent.`
        : inBend
          ? 'A hole lies in or beside a bend and would tear; move it, or drill it after bending.'
          : null,
  };
}

/** A bracket as bent, its outer line in the side view, mm. */
export function bentLine(spec: BracketSpec): { x: number; y: number }[] {
  const out = [{ x: 0, y: 0 }];
  let way = 0;
  spec.legsMm.forEach((leg, i) => {
    const from = out.at(-1) as { x: number; y: number };
    out.push({ x: from.x + leg * Math.cos(way), y: from.y + leg * Math.sin(way) });
    way += spec.bendsRad[i] ?? 0;
  });
  return out;
}

/** The sheet a bracket is made from: its flat with cuts, bends and holes, and how it looks when bent. */
export function bracketSheet(spec: BracketSpec, pieces: number): SheetDrawing {
  const flat = unfold(spec);
  const { widthMm, thicknessMm, insideRadiusMm, k, material } = spec.stock;
  const low = 26;
  const marks: SheetMark[] = [
    line(
      'cut',
      [
        { x: 0, y: low },
        { x: flat.lengthMm, y: low },
        { x: flat.lengthMm, y: low + widthMm },
        { x: 0, y: low + widthMm },
      ],
      true,
    ),
    line('centre', [
      { x: -4, y: low + widthMm / 2 },
      { x: flat.lengthMm + 4, y: low + widthMm / 2 },
    ]),
    ...flat.bends.flatMap((b) => [
      line('bend', [
        { x: b.atMm, y: low - 3 },
        { x: b.atMm, y: low + widthMm + 3 },
      ]),
      words(
        { x: b.atMm, y: low + widthMm + 4 },
        `${b.angleRad > 0 ? 'up' : 'down'} ${Math.round((Math.abs(b.angleRad) * 180) / Math.PI)}°`,
        2.8,
        'middle',
      ),
    ]),
    ...flat.holes.flatMap((h) => {
      const y = low + widthMm / 2 + h.yMm;
      if (h.slotMm <= 0) return hole({ x: h.xMm, y }, h.diameterMm);
      const r = h.diameterMm / 2;
      return [
        ...hole({ x: h.xMm - h.slotMm / 2, y }, h.diameterMm),
        ...hole({ x: h.xMm + h.slotMm / 2, y }, h.diameterMm),
        line('hole', [
          { x: h.xMm - h.slotMm / 2, y: y + r },
          { x: h.xMm + h.slotMm / 2, y: y + r },
        ]),
        line('hole', [
          { x: h.xMm - h.slotMm / 2, y: y - r },
          { x: h.xMm + h.slotMm / 2, y: y - r },
        ]),
      ];
    }),
    measured({ x: 0, y: low }, { x: flat.lengthMm, y: low }, -22),
    measured({ x: flat.lengthMm, y: low }, { x: flat.lengthMm, y: low + widthMm }, -8),
  ];
  // Everything from the left end, so that errors do not add up.
  const stations = [...flat.bends.map((b) => b.atMm), ...flat.holes.map((h) => h.xMm)].sort((a, b) => a - b);
  stations.forEach((x, i) => marks.push(measured({ x: 0, y: low }, { x, y: low }, -(6 + (i % 2) * 7))));
  const bent = bentLine(spec);
  const lowest = Math.min(...bent.map((p) => p.y));
  const leftmost = Math.min(...bent.map((p) => p.x));
  const side = bent.map((p) => ({ x: p.x - leftmost, y: p.y - lowest + low + widthMm + 24 }));
  marks.push(line('cut', side), words({ x: 0, y: low + widthMm + 15 }, 'As bent, from the side, outer faces:', 2.8));
  side.slice(1).forEach((p, i) => marks.push(measured(side[i] as Point, p, 5)));
  return {
    title: spec.name,
    notes: [
      `${pieces} off, ${material}, ${widthMm} × ${thicknessMm} mm, cut ${flat.lengthMm.toFixed(1)} mm long; file the edges round.`,
      `Bend over a bar of ${insideRadiusMm} mm radius. Allowance angle·(R + ${k}·t): ${flat.bends.map((b) => b.allowanceMm.toFixed(2)).join(', ')} mm. Bend a scrap first and correct K.`,
      ...(flat.problem ? [flat.problem] : []),
      'A pack that comes loose in traffic hurts people: two bolts at least each side, locking nuts, and a strap as well.',
    ],
    marks,
    widthMm: Math.max(flat.lengthMm, Math.max(...side.map((p) => p.x))) + 16,
    heightMm: Math.max(...side.map((p) => p.y)) + 10,
  };
}

const degrees = (a: number): number => (a * Math.PI) / 180;
const steel = { widthMm: 25, thicknessMm: 3, insideRadiusMm: 4, k: BEND_K, material: 'mild steel flat' };

/** A bracket that stands a pack off a slung seat's back: a foot on the seat's frame, an arm, a shelf under the pack. */
export function seatBackBracket(g: DonorGeometry, pack: Pack): BracketSpec | null {
  if (!g.seat || g.seat.length < 6) return null;
  const low = g.seat[3] as Point;
  const high = g.seat[5] as Point;
  const lean = Math.atan2(high.y - low.y, low.x - high.x);
  const { lengthM, heightM } = packShape(pack);
  // The shelf is level when the seat leans: the bend makes up the lean.
  return {
    name: `Seat-back bracket for ${pack.name}`,
    stock: steel,
    legsMm: [Math.max(70, Math.min(160, lengthM * 1000 * 0.45)), Math.max(40, heightM * 1000 + 12), 30],
    bendsRad: [Math.max(degrees(60), Math.min(degrees(110), Math.PI - lean)), degrees(90)],
    holes: [
      { leg: 0, fromMm: 14, acrossMm: 0, diameterMm: 6.5 },
      { leg: 0, fromMm: 44, acrossMm: 0, diameterMm: 6.5 },
      { leg: 1, fromMm: 28, acrossMm: 0, diameterMm: 5.5, slotMm: 8 },
    ],
  };
}

/** A saddle of flat stock over two rack rails: ears down each side, bolted through below. */
export function rackBracket(pack: Pack, railsApartMm = 90, railMm = 10): BracketSpec {
  const across = Math.max(railsApartMm + railMm + 6, Math.min(pack.outline.widthM * 1000, railsApartMm + 60));
  return {
    name: `Rack saddle for ${pack.name}`,
    stock: { ...steel, widthMm: 20 },
    legsMm: [railMm + 18, across, railMm + 18],
    bendsRad: [degrees(90), degrees(90)],
    holes: [
      { leg: 0, fromMm: 8, acrossMm: 0, diameterMm: 5.5 },
      { leg: 1, fromMm: across / 2 - 32, acrossMm: 0, diameterMm: 5.5, slotMm: 6 },
      { leg: 1, fromMm: across / 2 + 32, acrossMm: 0, diameterMm: 5.5, slotMm: 6 },
      { leg: 2, fromMm: railMm + 10, acrossMm: 0, diameterMm: 5.5 },
    ],
  };
}

/** The strip between a rail and bosses that do not match: holes for both, from one end. */
export function railStrip(pack: Pack, lies: Placement, bossesM: readonly number[]): SheetDrawing | null {
  const shape = lies.turned ? turned(packShape(pack)) : packShape(pack);
  if (shape.holesM.length === 0 || bossesM.length === 0) return null;
  const boss = bossesM.map((b) => (b - lies.alongM) * 1000);
  const rail = shape.holesM.map((h) => h * 1000);
  const from = Math.min(...boss, ...rail) - 14;
  const to = Math.max(...boss, ...rail) + 14;
  const low = 24;
  const wide = 20;
  const x = (mm: number): number => mm - from;
  const stations = [...boss.map((mm) => ({ mm, word: 'boss' })), ...rail.map((mm) => ({ mm, word: 'rail' }))].sort(
    (a, b) => a.mm - b.mm,
  );
  const marks: SheetMark[] = [
    line(
      'cut',
      [
        { x: 0, y: low },
        { x: to - from, y: low },
        { x: to - from, y: low + wide },
        { x: 0, y: low + wide },
      ],
      true,
    ),
    line('centre', [
      { x: -4, y: low + wide / 2 },
      { x: to - from + 4, y: low + wide / 2 },
    ]),
    ...boss.flatMap((mm) => hole({ x: x(mm), y: low + wide / 2 }, 5.5)),
    ...rail.flatMap((mm) => hole({ x: x(mm), y: low + wide / 2 }, 4.2)),
    measured({ x: 0, y: low }, { x: to - from, y: low }, -20),
    ...stations.map((s, i) => measured({ x: 0, y: low }, { x: x(s.mm), y: low }, -(6 + (i % 2) * 6))),
    ...stations.map((s, i) => words({ x: x(s.mm), y: low + wide + 3 + (i % 2) * 4 }, s.word, 2.6, 'middle')),
  ];
  const clash = boss.flatMap((b) => rail.filter((r) => Math.abs(r - b) > 0.3 && Math.abs(r - b) < 9).map(() => b));
  return {
    title: `Rail strip for ${pack.name}`,
    notes: [
      'Flat aluminium or steel, 20 × 4 mm. Boss holes 5.5 mm, countersunk below; rail holes 4.2 mm, tapped M5.',
      `The pack’s low end lies ${Math.round(lies.alongM * 1000)} mm from the inside corner along ${lies.on}.`,
      ...(clash.length > 0
        ? ['A boss and a rail hole fall together: use the rail’s own slot there and drill one hole only.']
        : []),
    ],
    marks,
    widthMm: to - from + 10,
    heightMm: low + wide + 16,
  };
}

/** A pack's outline to cut from card: case, latch and plug room, holes, and where it has to go as it comes off. */
export function packTemplate(pack: Pack, alongM: number | null = null): SheetDrawing {
  const shape = packShape(pack);
  const low = 34;
  const gone = shape.leavingBy;
  const left =
    Math.max(
      0,
      -Math.min(0, gone.x) * 1000,
      ...(shape.latch?.points.map((p) => -p.x * 1000) ?? []),
      ...(shape.plug?.points.map((p) => -p.x * 1000) ?? []),
    ) + 6;
  const mm = (p: Point): Point => ({ x: p.x * 1000 + left, y: p.y * 1000 + low });
  const outline = shape.outline.map(mm);
  const off = shape.outline.map((p) => mm({ x: p.x + gone.x, y: p.y + gone.y }));
  const marks: SheetMark[] = [
    ...(shape.leaving && pack.slideOffM > 0 ? [line('room', off, true)] : []),
    line('cut', outline, true),
    ...[shape.latch, shape.plug].flatMap((p) => (p ? [line('room', p.points.map(mm), true)] : [])),
    ...(shape.latch
      ? [words(mm({ x: shape.latch.centre.x - 0.012, y: shape.latch.centre.y + 0.016 }), 'key', 2.8)]
      : []),
    ...(shape.plug ? [words(mm({ x: shape.plug.centre.x - 0.012, y: shape.plug.centre.y + 0.014 }), 'plug', 2.8)] : []),
    ...shape.holesM.flatMap((h) => hole(mm({ x: h, y: 0 }), 5)),
    measured(mm({ x: 0, y: 0 }), mm({ x: shape.lengthM, y: 0 }), -24),
    ...shape.holesM.slice(0, 1).map((h) => measured(mm({ x: 0, y: 0 }), mm({ x: h, y: 0 }), -10)),
    ...shape.holesM.slice(1, 2).map((h) => measured(mm({ x: shape.holesM[0] ?? 0, y: 0 }), mm({ x: h, y: 0 }), -10)),
    measured(
      mm({ x: shape.lengthM, y: 0 }),
      mm({ x: shape.lengthM, y: shape.heightM }),
      -Math.max(10, gone.x * 1000 + 8),
    ),
    words(mm({ x: shape.lengthM * 0.06, y: shape.heightM * 0.5 }), pack.name, 6),
    words(mm({ x: shape.lengthM * 0.06, y: shape.heightM * 0.5 - 0.009 }), 'rail this side, low end on the left', 3),
  ];
  return {
    title: `Template: ${pack.name}`,
    notes: [
      'Cut along the heavy line; hold it in the frame with the rail side on the tube, then push it along as far as the broken line.',
      `${Math.round(shape.widthM * 1000)} mm wide. ${alongM === null ? '' : `Its low end goes ${Math.round(alongM * 1000)} mm from the inside corner.`}`,
    ],
    marks,
    widthMm: Math.max(...outline.map((p) => p.x), ...off.map((p) => p.x)) + 24,
    heightMm: Math.max(...outline.map((p) => p.y), ...off.map((p) => p.y)) + 10,
  };
}
