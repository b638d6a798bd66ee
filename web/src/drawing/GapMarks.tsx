import {
  amount,
  amountText,
  bodyOf,
  gapLine,
  obstaclesFor,
  type LoadShape,
  type Mount,
  type Obstacle,
  type Placement,
  type Point,
  type Room,
  type UnitSystem,
} from '@sprocket/core';
import { useMemo } from 'react';

/** Gaps worth drawing, m. */
const DRAWN_BELOW = 0.075;

interface Gap {
  id: string;
  from: Point;
  to: Point;
  gapM: number;
}

function gapsOf(around: readonly Obstacle[], shape: LoadShape, placement: Pick<Placement, 'pose' | 'turned'>): Gap[] {
  const body = bodyOf(shape, placement);
  const out: Gap[] = [];
  for (const o of around) {
    let best: Gap | null = null;
    for (const own of body)
      for (const other of o.pieces) {
        if (
          Math.hypot(own.centre.x - other.centre.x, own.centre.y - other.centre.y) - own.reach - other.reach >
          DRAWN_BELOW
        )
          continue;
        const { from, to } = gapLine(own, other);
        const gapM = Math.hypot(to.x - from.x, to.y - from.y);
        if (gapM < DRAWN_BELOW && (!best || gapM < best.gapM)) best = { id: o.id, from, to, gapM };
      }
    if (best) out.push(best);
  }
  return out.sort((a, b) => a.gapM - b.gapM).slice(0, 3);
}

/** The tightest gaps of a pack, each as a line with its length, the tightest heavy. */
export function GapMarks({
  room,
  mount,
  shape,
  placement,
  px,
  units,
}: {
  room: Room;
  mount: Mount;
  shape: LoadShape;
  placement: Pick<Placement, 'pose' | 'turned'>;
  px: number;
  units: UnitSystem;
}) {
  const around = useMemo(() => obstaclesFor(room, mount, shape).filter((o) => o.id !== 'ground'), [room, mount, shape]);
  return (
    <g className="gaps" aria-hidden="true">
      {gapsOf(around, shape, placement).map((g, i) => {
        const d = Math.hypot(g.to.x - g.from.x, g.to.y - g.from.y) || 1e-6;
        const n = { x: -(g.to.y - g.from.y) / d, y: (g.to.x - g.from.x) / d };
        const tick = (p: Point): string =>
          `M${p.x - n.x * 4 * px} ${-(p.y - n.y * 4 * px)}L${p.x + n.x * 4 * px} ${-(p.y + n.y * 4 * px)}`;
        const side = n.y >= 0 ? 1 : -1;
        const middle = {
          x: (g.from.x + g.to.x) / 2 + n.x * side * 11 * px,
          y: (g.from.y + g.to.y) / 2 + n.y * side * 11 * px,
        };
        return (
          <g key={g.id} className={i === 0 ? 'gap gap-tightest' : 'gap'}>
            <path
              d={`M${g.from.x} ${-g.from.y}L${g.to.x} ${-g.to.y}${tick(g.from)}${tick(g.to)}`}
              strokeWidth={(i === 0 ? 1.8 : 1) * px}
            />
            <text
              x={middle.x}
              y={-middle.y + 4 * px}
              fontSize={(i === 0 ? 13 : 11.5) * px}
              strokeWidth={4 * px}
              textAnchor="middle"
            >
              {amountText(amount(g.gapM, 'size', units === 'metric' ? 0 : 2), units)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
