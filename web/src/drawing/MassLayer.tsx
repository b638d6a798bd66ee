import { amount, amountText, type ChosenPlan, type Point } from '@sprocket/core';
import { useUnits } from '../store/store.ts';
import type { Sheet } from './frame.ts';

/** Each mass at its place as a disc of its size, the centre of all, and what stands on each axle. */
export function MassLayer({ plan, sheet }: { plan: ChosenPlan; sheet: Sheet }) {
  const units = useUnits();
  const { balance } = plan.pack.layout;
  const { geometry: g } = plan.drawing;
  const { px } = sheet;
  const centre = { x: balance.now.xM, y: balance.now.hM };
  const kg = (value: number): string => amountText(amount(value, 'mass', 0), units);
  return (
    <g className="masses" aria-hidden="true">
      {balance.points.map((m) => (
        <g key={m.id} transform={`translate(${m.x} ${-m.h})`}>
          <circle r={Math.sqrt(m.kg) * 3.2 * px} strokeWidth={1.2 * px} />
          <text y={4 * px} fontSize={11.5 * px} textAnchor="middle">
            {kg(m.kg)}
          </text>
          <text
            y={Math.sqrt(m.kg) * 3.2 * px + 12 * px}
            fontSize={10.5 * px}
            textAnchor="middle"
            className="mass-name"
            strokeWidth={3 * px}
          >
            {m.label}
          </text>
        </g>
      ))}
      <Centre at={{ x: balance.before.xM, y: balance.before.hM }} px={px} old />
      <Centre at={centre} px={px} />
      <line
        x1={centre.x}
        x2={centre.x}
        y1={-centre.y}
        y2={0}
        className="plumb"
        strokeWidth={px}
        strokeDasharray={`${5 * px} ${3 * px}`}
      />
      {[
        { x: g.rearAxle.x, kg: balance.now.rearKg },
        { x: g.frontAxle.x, kg: balance.now.frontKg },
      ].map((load) => (
        <g key={load.x} className="axle-load" transform={`translate(${load.x} 0)`}>
          <path
            d={`M0 ${38 * px}V${6 * px}M${-5 * px} ${14 * px}L0 ${5 * px}L${5 * px} ${14 * px}`}
            strokeWidth={2 * px}
          />
          <text x={9 * px} y={34 * px} fontSize={14 * px}>
            {kg(load.kg)}
          </text>
        </g>
      ))}
    </g>
  );
}

function Centre({ at, px, old = false }: { at: Point; px: number; old?: boolean }) {
  const r = 8 * px;
  return (
    <g className={old ? 'centre centre-old' : 'centre'} transform={`translate(${at.x} ${-at.y})`}>
      <circle r={r} strokeWidth={1.6 * px} />
      <path d={`M0 0V${-r}A${r} ${r} 0 0 1 ${r} 0ZM0 0V${r}A${r} ${r} 0 0 1 ${-r} 0Z`} className="centre-quarter" />
    </g>
  );
}
