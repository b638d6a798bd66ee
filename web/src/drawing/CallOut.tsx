import type { Point, Verdict } from '@sprocket/core';

interface CallOutProps {
  from: Point;
  to: Point;
  side: 'left' | 'right';
  lines: readonly string[];
  tone?: Verdict;
  px: number;
}

/** A leader line from a part to its words at the edge of the sheet. */
export function CallOut({ from, to, side, lines, tone, px }: CallOutProps) {
  const widest = Math.max(...lines.map((l) => l.length)) * 6.3 * px;
  const inner = side === 'left' ? to.x + widest : to.x - widest;
  return (
    <g className={`callout${tone ? ` callout-${tone}` : ''}`}>
      <path d={`M${to.x} ${-to.y}H${inner}L${from.x} ${-from.y}`} strokeWidth={1 * px} fill="none" />
      <circle cx={from.x} cy={-from.y} r={2.6 * px} />
      {lines
        .filter((l) => l !== '')
        .map((l, i) => (
          <text
            key={l}
            x={to.x}
            y={-to.y + (i === 0 ? -5 : 14.5) * px}
            fontSize={12 * px}
            textAnchor={side === 'left' ? 'start' : 'end'}
            className={i === 0 ? 'callout-name' : ''}
          >
            {l}
          </text>
        ))}
    </g>
  );
}
