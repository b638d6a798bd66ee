import { amount, amountText, surveyItem, type DimensionLine, type UnitSystem } from '@sprocket/core';

interface DimensionMarkProps {
  line: DimensionLine;
  px: number;
  units: UnitSystem;
  lit: boolean;
  onPick: () => void;
}

/** A dimension line with its figure; solid where measured, dashed where assumed. Leads to its field. */
export function DimensionMark({ line, px, units, lit, onPick }: DimensionMarkProps) {
  const dx = line.to.x - line.from.x;
  const dy = line.to.y - line.from.y;
  const run = Math.hypot(dx, dy) || 1;
  const along = { x: dx / run, y: dy / run };
  const normal = { x: -along.y, y: along.x };
  const a = { x: line.from.x + normal.x * line.offsetM, y: line.from.y + normal.y * line.offsetM };
  const b = { x: line.to.x + normal.x * line.offsetM, y: line.to.y + normal.y * line.offsetM };
  const over = Math.sign(line.offsetM) * 4 * px;
  const gap = Math.sign(line.offsetM) * 5 * px;
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  let angle = (-Math.atan2(dy, dx) * 180) / Math.PI;
  if (angle > 90 || angle <= -90) angle += 180;
  const item = surveyItem(line.item);
  const text = amountText(amount(line.valueM, 'size', units === 'metric' ? 0 : 2), units);
  const letter = 11.5 * px;
  const halfText = (text.length * 0.29 + 0.5) * letter;
  const arrow = (at: { x: number; y: number }, sign: 1 | -1): string => {
    const l = 7 * px * sign;
    const w = 2.2 * px;
    return `M${at.x} ${-at.y}L${at.x + along.x * l + normal.x * w} ${-(at.y + along.y * l + normal.y * w)}L${at.x + along.x * l - normal.x * w} ${-(at.y + along.y * l - normal.y * w)}Z`;
  };
  const short = run < halfText * 2 + 16 * px;
  return (
    <g
      className={`dimension dimension-${line.basis}${lit ? ' lit' : ''}`}
      role="button"
      tabIndex={0}
      aria-label={`${item.label}, ${text}, ${line.basis}. Go to its field.`}
      onClick={onPick}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onPick();
        }
      }}
    >
      <line className="dim-hit" x1={a.x} y1={-a.y} x2={b.x} y2={-b.y} strokeWidth={24 * px} />
      <line
        className="dim-ext"
        strokeWidth={0.6 * px}
        x1={line.from.x + normal.x * gap}
        y1={-(line.from.y + normal.y * gap)}
        x2={a.x + normal.x * over}
        y2={-(a.y + normal.y * over)}
      />
      <line
        className="dim-ext"
        strokeWidth={0.6 * px}
        x1={line.to.x + normal.x * gap}
        y1={-(line.to.y + normal.y * gap)}
        x2={b.x + normal.x * over}
        y2={-(b.y + normal.y * over)}
      />
      <line
        className="dim-line"
        strokeWidth={(lit ? 1.8 : 1) * px}
        strokeDasharray={line.basis === 'assumed' ? `${4 * px} ${3 * px}` : undefined}
        x1={a.x}
        y1={-a.y}
        x2={b.x}
        y2={-b.y}
      />
      <path className="dim-arrow" d={arrow(a, 1) + arrow(b, -1)} />
      <g transform={`translate(${middle.x} ${-middle.y}) rotate(${angle})`}>
        <text
          className="dim-text"
          fontSize={letter}
          textAnchor="middle"
          dy={short ? -4 * px : 0.34 * letter}
          strokeWidth={4.5 * px}
        >
          {text}
        </text>
      </g>
    </g>
  );
}
