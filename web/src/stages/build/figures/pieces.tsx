import { Words } from '../../../ui/Show.tsx';
import type { ReactNode } from 'react';

/** Strokes of the small drawings, 220 by 130: parts, hidden lines, the tool, what matters. */
export const part = { className: 'fig-part' };
export const faint = { className: 'fig-faint' };
export const tool = { className: 'fig-tool' };
export const read = { className: 'fig-read' };

/** An arrow with its head, for which way something goes. */
export function Arrow({ d, head, turn }: { d: string; head: readonly [number, number]; turn: number }) {
  const [x, y] = head;
  return (
    <g {...read}>
      <path d={d} />
      <path className="fig-head" d="M0 0L-9 -4.5V4.5Z" transform={`translate(${x} ${y}) rotate(${turn})`} />
    </g>
  );
}

/** A word in a drawing. */
export function Word({
  x,
  y,
  children,
  at = 'middle',
}: {
  x: number;
  y: number;
  children: string;
  at?: 'start' | 'middle' | 'end';
}) {
  return (
    <text x={x} y={y} textAnchor={at}>
      <Words>{children}</Words>
    </text>
  );
}

/** Right and wrong side by side; what is wrong is crossed out. */
export function RightWrong({ right, wrong }: { right: ReactNode; wrong: ReactNode }) {
  return (
    <>
      <g>{right}</g>
      <path {...faint} d="M110 10V120" strokeDasharray="3 4" />
      <g transform="translate(110 0)">{wrong}</g>
      <path className="fig-tick" d="M10 112l6 7 11 -14" />
      <path className="fig-cross" d="M198 106l12 12M210 106l-12 12" />
    </>
  );
}

/** A nut or bolt head from its face. */
export const hex = (cx: number, cy: number, r: number): string =>
  Array.from({ length: 6 }, (_, i) => {
    const a = (i / 6) * Math.PI * 2;
    return `${i === 0 ? 'M' : 'L'}${(cx + r * Math.cos(a)).toFixed(1)} ${(cy + r * Math.sin(a)).toFixed(1)}`;
  }).join('') + 'Z';

/** A ring of teeth. */
export const teeth = (cx: number, cy: number, r: number, n: number, deep = 4): string =>
  Array.from({ length: n * 2 }, (_, i) => {
    const a = (i / (n * 2)) * Math.PI * 2;
    const rr = i % 2 === 0 ? r : r - deep;
    return `${i === 0 ? 'M' : 'L'}${(cx + rr * Math.cos(a)).toFixed(1)} ${(cy + rr * Math.sin(a)).toFixed(1)}`;
  }).join('') + 'Z';

/** Two beside one another, both right. */
export function Both({ left, right }: { left: ReactNode; right: ReactNode }) {
  return (
    <>
      <g>{left}</g>
      <path {...faint} d="M110 10V120" strokeDasharray="3 4" />
      <g transform="translate(110 0)">{right}</g>
    </>
  );
}
