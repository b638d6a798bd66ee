import { useElementSize } from '@mantine/hooks';
import { amount, amountText, tipDistance, type ChosenPlan, type Wiring } from '@sprocket/core';
import { useUnits } from '../store/store.ts';
import { dashesOf, leadMark } from './LeadLayer.tsx';

/** The vehicle from above: wheels, frame, pack and bar, with the tipping triangle of a trike. */
export function FromAbove({
  plan,
  wires,
  lit = null,
}: {
  plan: ChosenPlan;
  /** Leads to draw on it, with the one in hand. */
  wires?: Wiring | undefined;
  lit?: string | null;
}) {
  const { ref, width, height } = useElementSize();
  const units = useUnits();
  const g = plan.drawing.geometry;
  const { fromAbove, balance } = plan.pack.layout;
  const size = { width: width || 780, height: height || 390 };
  const xs = fromAbove.flatMap((s) => s.points.map((p) => p.x));
  const zs = fromAbove.flatMap((s) => s.points.map((p) => p.z));
  const left = Math.min(...xs) - 0.12;
  const right = Math.max(...xs) + 0.12;
  const half = Math.max(...zs.map(Math.abs)) + 0.12;
  const px = Math.max((right - left) / size.width, (2 * half) / (size.height - 24));
  const w = size.width * px;
  const h = size.height * px;
  const x0 = (left + right) / 2 - w / 2;
  const y0 = -h / 2 - 8 * px;
  const d = (points: readonly { x: number; z: number }[], close: boolean): string =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.z}`).join('') + (close ? 'Z' : '');
  const base = g.frontAxle.x - g.rearAxle.x;
  const com = balance.now.xM;
  const single = g.pairedRear ? base : 0;
  const paired = g.pairedRear ? 0 : base;
  const t = g.trackM / 2;
  return (
    <figure className="drawing drawing-tall" aria-label="Your vehicle from above, to scale">
      <div className="drawing-sheet" ref={ref}>
        <svg
          viewBox={`${x0} ${y0} ${w} ${h}`}
          width={size.width}
          height={size.height}
          role="img"
          aria-label="Plan view"
        >
          <line
            x1={x0}
            x2={x0 + w}
            y1={0}
            y2={0}
            className="middle-line"
            strokeWidth={0.8 * px}
            strokeDasharray={`${14 * px} ${4 * px} ${3 * px} ${4 * px}`}
          />
          {fromAbove.map((s) =>
            s.kind === 'tube' || s.kind === 'bar' || (s.kind === 'crank' && s.thickM) ? (
              <g key={s.id}>
                <path d={d(s.points, false)} className="tube-edge-above" strokeWidth={(s.thickM ?? 0.02) + 2 * px} />
                <path
                  d={d(s.points, false)}
                  className="tube-body-above"
                  strokeWidth={Math.max((s.thickM ?? 0.02) - 0.4 * px, 0.3 * px)}
                />
              </g>
            ) : (
              <path key={s.id} d={d(s.points, true)} className={`above above-${s.kind}`} strokeWidth={1.6 * px} />
            ),
          )}
          {g.trackM > 0 && !wires ? (
            <>
              <path
                d={`M${single} 0L${paired} ${-t}L${paired} ${t}Z`}
                className="tip-triangle"
                strokeWidth={1.4 * px}
                strokeDasharray={`${7 * px} ${4 * px}`}
              />
              <Along
                px={px}
                from={{ x: paired, z: -t }}
                to={{ x: paired, z: t }}
                text={`track ${amountText(amount(g.trackM, 'size', 0), units)}`}
                out={(g.pairedRear ? -1 : 1) * 46}
              />
              <text
                x={com}
                y={-0.03}
                fontSize={12 * px}
                textAnchor="middle"
                className="above-text"
                strokeWidth={4 * px}
              >
                {amountText(amount(tipDistance(g, com), 'size', 0), units)} to the edge it tips over
              </text>
            </>
          ) : null}
          {wires ? <WiresAbove wires={wires} px={px} lit={lit} /> : null}
          {wires ? null : (
            <g className="centre" transform={`translate(${com} 0)`}>
              <circle r={8 * px} strokeWidth={1.6 * px} />
              <path
                d={`M0 0V${-8 * px}A${8 * px} ${8 * px} 0 0 1 ${8 * px} 0ZM0 0V${8 * px}A${8 * px} ${8 * px} 0 0 1 ${-8 * px} 0Z`}
                className="centre-quarter"
              />
            </g>
          )}
        </svg>
      </div>
      <figcaption className="title-block">
        <span>from above, forward is right</span>
        <span>widths not measured are common ones</span>
        <span>{wires ? 'sheet 6a' : 'sheet 4b'}</span>
      </figcaption>
    </figure>
  );
}

/** Leads from above: along the middle, out to the hands and to a motor in one of two wheels. */
function WiresAbove({ wires, px, lit }: { wires: Wiring; px: number; lit: string | null }) {
  const out = (id: string): number => wires.boxes.find((b) => b.id === id)?.zM ?? 0;
  return (
    <g className="wires" aria-hidden="true">
      {wires.leads.map((lead, i) => {
        const { number, hue, dash } = leadMark(i);
        const lane = -0.014 - (i % 4) * 0.009;
        const last = lead.points.length - 1;
        const d = lead.points
          .map((p, n) => {
            const z = n === 0 ? out(lead.from) || lane : n === last ? out(lead.to) || lane : lane;
            return `${n === 0 ? 'M' : 'L'}${p.x.toFixed(4)} ${z.toFixed(4)}`;
          })
          .join('');
        const middle = lead.points[Math.floor(last / 2)] ?? { x: 0, y: 0 };
        return (
          <g
            key={lead.id}
            className={`wire hue-${hue}${lit === lead.id ? ' wire-lit' : ''}${lit && lit !== lead.id ? ' wire-dim' : ''}`}
          >
            <path d={d} className="wire-edge" strokeWidth={4.6 * px} />
            <path d={d} className="wire-core" strokeWidth={2.4 * px} strokeDasharray={dashesOf(dash, 2.4 * px)} />
            <g transform={`translate(${middle.x} ${lane - 0.02})`}>
              <circle r={7.5 * px} className="wire-tag" strokeWidth={1.4 * px} />
              <text fontSize={10.5 * px} y={3.7 * px} textAnchor="middle">
                {number}
              </text>
            </g>
          </g>
        );
      })}
    </g>
  );
}

function Along({
  px,
  from,
  to,
  text,
  out,
}: {
  px: number;
  from: { x: number; z: number };
  to: { x: number; z: number };
  text: string;
  out: number;
}) {
  const x = from.x + out * px;
  return (
    <g className="dimension-above">
      <path d={`M${from.x} ${from.z}H${x}M${to.x} ${to.z}H${x}M${x} ${from.z}V${to.z}`} strokeWidth={px} />
      <text
        transform={`translate(${x - 6 * px} ${(from.z + to.z) / 2}) rotate(-90)`}
        fontSize={13 * px}
        textAnchor="middle"
        strokeWidth={4 * px}
      >
        {text}
      </text>
    </g>
  );
}
