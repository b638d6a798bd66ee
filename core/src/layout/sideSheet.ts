import { beside, lineOf } from '../donor/frames/chains.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import { line, measured, words, type SheetDrawing, type SheetMark, type XY } from './sheet.ts';

/** Scales a drawing is printed at: one on paper to so many on the vehicle. */
export const printScales = [1, 2, 5, 10] as const;
export type PrintScale = (typeof printScales)[number];

function circle(centre: XY, radius: number): SheetMark {
  return { kind: 'circle', layer: 'cut', centre, radius };
}

/**
 * The side view as a sheet to print: at full size the frame's inside alone with the pack in it, smaller the whole vehicle.
 * Dimensions carry the vehicle's own millimetres, whatever the scale.
 */
export function sideSheet(
  g: DonorGeometry,
  name: string,
  pack: { name: string; outline: readonly Point[]; slidOff: readonly Point[] | null } | null,
  scale: PrintScale,
): SheetDrawing {
  const shown = scale <= 2 && g.triangle ? g.triangle.outline : null;
  const inside = shown !== null;
  const all: Point[] = shown
    ? [...shown, ...(pack?.outline ?? []), g.bracket]
    : [
        { x: g.rearAxle.x - g.rearRadiusM, y: 0 },
        { x: g.frontAxle.x + g.frontRadiusM, y: 0 },
        { x: g.bracket.x, y: Math.max(g.saddle.y, g.grip.y, g.headTop.y, ...(g.seat ?? []).map((p) => p.y)) + 0.06 },
        ...(g.box ?? []),
      ];
  const pad = inside ? 0.05 : 0.04;
  const left = Math.min(...all.map((p) => p.x)) - pad;
  const low = Math.min(...all.map((p) => p.y)) - (inside ? pad : 0.1);
  const right = Math.max(...all.map((p) => p.x)) + pad;
  const high = Math.max(...all.map((p) => p.y)) + pad;
  const k = 1000 / scale;
  const at = (p: Point): XY => ({ x: (p.x - left) * k, y: (p.y - low) * k });
  const marks: SheetMark[] = [];
  for (const t of g.tubes) {
    if (inside && t.layer !== 'frame') continue;
    const middle = lineOf(t);
    marks.push(
      line('cut', beside(middle, t.diameterM / 2).map(at)),
      line('cut', beside(middle, -t.diameterM / 2).map(at)),
    );
    if (inside) marks.push(line('centre', middle.map(at)));
  }
  if (!inside) {
    for (const [axle, radius, tyre] of [
      [g.rearAxle, g.rearRadiusM, g.rearTyre],
      [g.frontAxle, g.frontRadiusM, g.frontTyre],
    ] as const)
      marks.push(circle(at(axle), radius * k), circle(at(axle), (tyre.beadM / 2) * k), circle(at(axle), 0.02 * k));
    marks.push(line('centre', [at({ x: left, y: 0 }), at({ x: right, y: 0 })]));
    if (g.box) marks.push(line('cut', g.box.map(at)));
    if (g.seat) marks.push(line('cut', g.seat.map(at)));
    else
      marks.push(
        line('cut', [at({ x: g.saddle.x - 0.13, y: g.saddle.y }), at({ x: g.saddle.x + 0.13, y: g.saddle.y })]),
      );
  }
  marks.push(circle(at(g.bracket), 0.0205 * k));
  if (pack) {
    if (pack.slidOff) marks.push(line('room', pack.slidOff.map(at), true));
    marks.push(line('cut', pack.outline.map(at), true));
    const middle = pack.outline.reduce(
      (m, p) => ({ x: m.x + p.x / pack.outline.length, y: m.y + p.y / pack.outline.length }),
      { x: 0, y: 0 },
    );
    marks.push(words(at(middle), pack.name, inside ? 5 : 2.6, 'middle'));
  }
  const real = (from: Point, to: Point, offset: number): void => {
    const mark = measured(at(from), at(to), offset);
    if (mark.kind === 'dimension')
      marks.push({ ...mark, text: String(Math.round(Math.hypot(from.x - to.x, from.y - to.y) * 1000)) });
  };
  const t = g.triangle;
  if (inside && t) {
    real(t.bracket, t.seat, 6);
    real(t.seat, t.headUp, 6);
    real(t.head, t.bracket, 6);
  } else {
    real({ x: g.rearAxle.x, y: 0 }, { x: g.frontAxle.x, y: 0 }, -8);
    real({ x: g.bracket.x, y: 0 }, g.bracket, -6);
  }
  return {
    title: `${name}, 1 : ${scale}`,
    notes: [`Side view, 1 : ${scale}, sizes in mm on the vehicle.`],
    marks,
    widthMm: (right - left) * k,
    heightMm: (high - low) * k,
  };
}
