import type { Point } from '../../donor/geometry.ts';
import { htmlText } from '../../formats/docHtml.ts';
import type { PlanDrawing } from '../planBuild.ts';

const INK = '#17323a';
const PALE = '#c9bfa5';
const TEAL = '#2a7f7b';
const MARMALADE = '#d9822b';

/** The vehicle as built, from its right side, as an SVG for paper: millimetres of the vehicle, labels beside. */
export function vehicleSvg({ geometry: g, motor, pack }: PlanDrawing, motorWords: string | null): string {
  const mm = (v: number): number => Math.round(v * 1000);
  const tops = [g.saddle.y, g.grip.y, g.headTop.y, ...(g.box ?? []).map((p) => p.y), ...(g.seat ?? []).map((p) => p.y)];
  const left = Math.min(g.rearAxle.x - g.rearRadiusM, ...(g.box ?? []).map((p) => p.x)) - 0.08;
  const right = Math.max(g.frontAxle.x + g.frontRadiusM, ...(g.box ?? []).map((p) => p.x)) + 0.08;
  const top = Math.max(...tops) + 0.2;
  const at = (p: Point): string => `${mm(p.x - left)} ${mm(top - p.y)}`;
  const path = (points: readonly Point[], closed = false): string =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${at(p)}`).join('') + (closed ? 'Z' : '');
  const circle = (p: Point, r: number, more: string): string => {
    const [x, y] = at(p).split(' ');
    return `<circle cx="${x}" cy="${y}" r="${mm(r)}" ${more}/>`;
  };
  const label = (p: Point, words: string, up: number): string => {
    const [x, y] = at(p).split(' ').map(Number) as [number, number];
    const to = y - up;
    const anchor = x > mm(right - left) * 0.7 ? 'end' : x < mm(right - left) * 0.3 ? 'start' : 'middle';
    return `<path d="M${x} ${y}V${to + 12}" stroke="${INK}" stroke-width="4" fill="none"/><text x="${x}" y="${to}" font-size="46" fill="${INK}" text-anchor="${anchor}">${htmlText(words)}</text>`;
  };
  const middle = pack
    ? {
        x: pack.outline.reduce((s, p) => s + p.x, 0) / pack.outline.length,
        y: Math.max(...pack.outline.map((p) => p.y)),
      }
    : null;
  const parts: string[] = [
    `<path d="M0 ${mm(top)}H${mm(right - left)}" stroke="${PALE}" stroke-width="6" fill="none"/>`,
    ...[
      [g.rearAxle, g.rearRadiusM, g.rearTyre.beadM],
      [g.frontAxle, g.frontRadiusM, g.frontTyre.beadM],
    ].map(([p, r, bead]) => {
      const axle = p as Point;
      return (
        circle(axle, r as number, `stroke="${INK}" stroke-width="12" fill="none"`) +
        circle(axle, (bead as number) / 2, `stroke="${INK}" stroke-width="4" fill="none"`) +
        circle(axle, 0.018, `stroke="${INK}" stroke-width="6" fill="#fff"`)
      );
    }),
    ...g.tubes.map(
      (t) =>
        `<path d="${path(t.points)}" stroke="${INK}" stroke-width="${Math.max(8, mm(t.diameterM))}" stroke-linejoin="round" stroke-linecap="round" fill="none" opacity="0.85"/>`,
    ),
    ...(g.box ? [`<path d="${path(g.box, true)}" stroke="${INK}" stroke-width="8" fill="#f7f2e6"/>`] : []),
    ...(g.seat
      ? [`<path d="${path(g.seat)}" stroke="${INK}" stroke-width="26" stroke-linecap="round" fill="none"/>`]
      : []),
    ...(g.seat
      ? []
      : [
          `<path d="${path([
            { x: g.saddle.x - 0.13, y: g.saddle.y + 0.012 },
            { x: g.saddle.x + 0.13, y: g.saddle.y },
          ])}" stroke="${INK}" stroke-width="42" stroke-linecap="round" fill="none"/>`,
        ]),
    circle(g.bracket, 0.085, `stroke="${INK}" stroke-width="5" fill="none"`),
    ...(motor ? [circle(motor.centre, motor.radiusM, `stroke="${INK}" stroke-width="6" fill="${MARMALADE}"`)] : []),
    ...(pack ? [`<path d="${path(pack.outline, true)}" stroke="${INK}" stroke-width="6" fill="${TEAL}"/>`] : []),
  ];
  if (motor && motorWords)
    parts.push(
      label(
        { x: motor.centre.x, y: motor.centre.y + motor.radiusM },
        motorWords,
        mm(top - motor.centre.y - motor.radiusM) - 30,
      ),
    );
  if (pack && middle) parts.push(label(middle, pack.name, Math.max(90, mm(top - middle.y) - 90)));
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-20 -30 ${mm(right - left) + 40} ${mm(top) + 60}" font-family="'Atkinson Hyperlegible', sans-serif">${parts.join('')}</svg>`;
}
