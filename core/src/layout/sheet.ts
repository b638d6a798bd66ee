/**
 * A drawing to be cut or made by, in mm: what every true-scale file is written from. x to the right, y up.
 */
export interface SheetDrawing {
  title: string;
  /** Lines of small lettering under the title: what it is, for whom, from which sizes. */
  notes: string[];
  marks: SheetMark[];
  /** Outer size, mm, the marks lie within. */
  widthMm: number;
  heightMm: number;
}

export interface XY {
  x: number;
  y: number;
}

/** What a line is for: each has its own weight on paper and its own layer in a CAD file. */
export type SheetLayer = 'cut' | 'bend' | 'centre' | 'hole' | 'dimension' | 'text' | 'room';

export type SheetMark =
  | { kind: 'line'; layer: SheetLayer; points: XY[]; closed: boolean }
  | { kind: 'circle'; layer: SheetLayer; centre: XY; radius: number }
  | {
      kind: 'text';
      layer: 'text' | 'dimension';
      at: XY;
      text: string;
      height: number;
      turned?: number;
      anchor?: 'start' | 'middle' | 'end';
    }
  | { kind: 'dimension'; from: XY; to: XY; offset: number; text: string };

export const line = (layer: SheetLayer, points: XY[], closed = false): SheetMark => ({
  kind: 'line',
  layer,
  points,
  closed,
});
export const hole = (centre: XY, diameter: number): SheetMark[] => [
  { kind: 'circle', layer: 'hole', centre, radius: diameter / 2 },
  line('centre', [
    { x: centre.x - diameter * 0.8, y: centre.y },
    { x: centre.x + diameter * 0.8, y: centre.y },
  ]),
  line('centre', [
    { x: centre.x, y: centre.y - diameter * 0.8 },
    { x: centre.x, y: centre.y + diameter * 0.8 },
  ]),
];
export const words = (at: XY, text: string, height = 3.2, anchor: 'start' | 'middle' | 'end' = 'start'): SheetMark => ({
  kind: 'text',
  layer: 'text',
  at,
  text,
  height,
  anchor,
});

/** A dimension between two points, `offset` mm to the left of from→to, with its length in mm to a tenth. */
export function measured(from: XY, to: XY, offset: number): SheetMark {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  return { kind: 'dimension', from, to, offset, text: long.toFixed(1).replace(/\.0$/, '') };
}

/** A dimension as plain lines and lettering, for writers that know no dimensions. */
export function drawnDimension(mark: Extract<SheetMark, { kind: 'dimension' }>): SheetMark[] {
  const { from, to, offset, text } = mark;
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const u = { x: (to.x - from.x) / long, y: (to.y - from.y) / long };
  const n = { x: -u.y, y: u.x };
  const at = (p: XY, along: number, out: number): XY => ({
    x: p.x + u.x * along + n.x * out,
    y: p.y + u.y * along + n.y * out,
  });
  const a = at(from, 0, offset);
  const b = at(to, 0, offset);
  const sign = Math.sign(offset) || 1;
  const tick = (p: XY): SheetMark => line('dimension', [at(p, -1.2, -1.2), at(p, 1.2, 1.2)]);
  let turned = (Math.atan2(u.y, u.x) * 180) / Math.PI;
  if (turned > 91 || turned < -89) turned += 180;
  const middle = at(a, long / 2, 1.2);
  return [
    line('dimension', [at(from, 0, sign * 1.5), at(from, 0, offset + sign * 1.5)]),
    line('dimension', [at(to, 0, sign * 1.5), at(to, 0, offset + sign * 1.5)]),
    line('dimension', [a, b]),
    tick(a),
    tick(b),
    { kind: 'text', layer: 'dimension', at: middle, text, height: 2.8, turned, anchor: 'middle' },
  ];
}

/** A rule of 100 mm with ticks each 10 mm, to prove a print by. */
export function checkRule(at: XY): SheetMark[] {
  return [
    line('cut', [at, { x: at.x + 100, y: at.y }]),
    ...Array.from({ length: 11 }, (_, i) =>
      line('cut', [
        { x: at.x + i * 10, y: at.y },
        { x: at.x + i * 10, y: at.y + (i % 5 === 0 ? 5 : 3) },
      ]),
    ),
    words({ x: at.x, y: at.y - 4.5 }, 'This rule is 100 mm. Lay a steel rule on it before cutting.', 2.8),
  ];
}

export const papers = ['a4', 'letter'] as const;
export type Paper = (typeof papers)[number];
export const paperSizes: Record<Paper, { widthMm: number; heightMm: number; words: string }> = {
  a4: { widthMm: 297, heightMm: 210, words: 'A4' },
  letter: { widthMm: 279.4, heightMm: 215.9, words: 'US letter' },
};

/** Paper that printers leave white, and how much neighbouring pages share, mm. */
const MARGIN = 10;
const OVERLAP = 10;
/** Foot of a page, for the check rule and the page's name, mm. */
const FOOT = 18;

/** One page of a drawing that may be larger than paper. */
export interface SheetPage {
  page: number;
  of: number;
  column: number;
  row: number;
  paper: Paper;
  /** Lower left corner of what it shows, in the drawing's mm, and its size. */
  from: XY;
  widthMm: number;
  heightMm: number;
}

/** Pages that cover a drawing at true scale, overlapping by 10 mm so that they can be joined by their marks. */
export function pagesOf(drawing: SheetDrawing, paper: Paper): SheetPage[] {
  const { widthMm, heightMm } = paperSizes[paper];
  const usableW = widthMm - 2 * MARGIN;
  const usableH = heightMm - 2 * MARGIN - FOOT;
  const count = (whole: number, usable: number): number =>
    whole <= usable ? 1 : Math.ceil((whole - OVERLAP) / (usable - OVERLAP));
  const columns = count(drawing.widthMm, usableW);
  const rows = count(drawing.heightMm, usableH);
  const pages: SheetPage[] = [];
  for (let row = rows - 1; row >= 0; row--)
    for (let column = 0; column < columns; column++)
      pages.push({
        page: pages.length + 1,
        of: columns * rows,
        column,
        row,
        paper,
        from: { x: column * (usableW - OVERLAP), y: row * (usableH - OVERLAP) },
        widthMm: usableW,
        heightMm: usableH,
      });
  return pages;
}

export const pageFrame = { margin: MARGIN, foot: FOOT };
