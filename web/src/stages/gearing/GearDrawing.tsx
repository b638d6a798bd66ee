import { useElementSize } from '@mantine/hooks';
import { amount, amountText, showAmount, type BuildPlan } from '@sprocket/core';
import { useUnits } from '../../store/store.ts';

/** Each gear as a bar from 60 to 80 rpm on one scale of speed, with cruise and the end of assist across. */
export function GearDrawing({ plan, cruiseMs }: { plan: BuildPlan; cruiseMs: number }) {
  const units = useUnits();
  const { ref, width } = useElementSize();
  const W = width || 780;
  const row = 24;
  const top = 46;
  const H = top + plan.gearing.rows.length * row + 44;
  const left = 74;
  const right = 24;
  const most = Math.max(...plan.gearing.rows.map((g) => g.briskMs), cruiseMs) * 1.12;
  const x = (v: number): number => left + (v / most) * (W - left - right);
  const factor = units === 'metric' ? 1 / 3.6 : 1609.344 / 3600;
  const ticks = Array.from({ length: Math.floor(most / factor / 5) + 1 }, (_, i) => i * 5 * factor);
  const every = W < 560 ? 2 : 1;
  return (
    <figure className="drawing gear-drawing" aria-label="Speeds of each gear">
      <div className="drawing-sheet" ref={ref}>
        <svg
          viewBox={`0 0 ${W} ${H}`}
          width={W}
          height={H}
          role="img"
          aria-label="Speed at 60 to 80 turns of the cranks a minute in each gear; the table below has the same figures."
        >
          {ticks.map((v, i) => (
            <g key={v}>
              <line x1={x(v)} x2={x(v)} y1={top - 8} y2={H - 34} className="road-level" />
              {i % every === 0 ? (
                <text x={x(v)} y={H - 16} textAnchor="middle" className="road-text">
                  {i === 0 ? '0' : amountText(amount(v, 'speed', 0), units)}
                </text>
              ) : null}
            </g>
          ))}
          {plan.gearing.rows.map((gear, i) => {
            const y = top + i * row + row / 2;
            return (
              <g key={gear.label}>
                <text x={left - 12} y={y + 4} textAnchor="end" className="gear-label">
                  {gear.label}
                </text>
                <line x1={left} x2={x(gear.easyMs)} y1={y} y2={y} className="gear-lead" />
                <line x1={x(gear.easyMs)} x2={x(gear.briskMs)} y1={y} y2={y} className="gear-bar" />
                <text x={x(gear.briskMs) + 8} y={y + 4} className="road-text">
                  {showAmount(amount(gear.briskMs, 'speed', 0), units).number}
                </text>
              </g>
            );
          })}
          <g className="cruise">
            <line x1={x(cruiseMs)} x2={x(cruiseMs)} y1={top - 14} y2={H - 34} />
            <text x={x(cruiseMs)} y={top - 20} textAnchor="middle">
              cruise {amountText(amount(cruiseMs, 'speed', 0), units)}
            </text>
          </g>
        </svg>
      </div>
      <figcaption className="title-block">
        <span>bars: 60 to 80 rpm</span>
        <span>ring {plan.gearing.ring}</span>
        <span>sheet 5</span>
      </figcaption>
    </figure>
  );
}
