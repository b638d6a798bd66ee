import { useElementSize } from '@mantine/hooks';
import { amount, amountText, routeLength, steepestGrade, surfaceWords, totalClimb, type Route } from '@sprocket/core';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useBuild, useUnits } from '../../store/store.ts';

/** The road in profile, drawn on the sheet: heights, the steepest stretch, where it is walked. */
export function RoadDrawing() {
  const { brief } = useBuild();
  const plan = usePlan();
  const units = useUnits();
  const { ref, width } = useElementSize();
  const { route } = brief;
  const W = width || 780;
  const H = 216;
  if (!route) {
    return (
      <figure className="drawing road-drawing" aria-label="The road">
        <div className="drawing-sheet road-none" ref={ref}>
          <p>
            <strong>No road yet.</strong> Pick one below, drop a GPX track, or describe it: flat distance, and each
            climb by height and length. Until then everything is reckoned on the flat.
          </p>
        </div>
      </figure>
    );
  }
  const { points } = route;
  const total = routeLength(route);
  const heights = points.map((p) => p.elevationM);
  const low = Math.min(...heights);
  const span = Math.max(Math.max(...heights) - low, 20);
  const left = 46;
  const right = 20;
  const top = 66;
  const bottom = 34;
  const x = (d: number): number => left + ((route.reversed ? total - d : d) / total) * (W - left - right);
  const strips = surfaceStrips(route, total);
  const y = (e: number): number => H - bottom - ((e - low) / span) * (H - top - bottom);
  const line = points
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.distanceM).toFixed(1)} ${y(p.elevationM).toFixed(1)}`)
    .join('');
  const steepest = steepestGrade(route, brief.thereAndBack);
  const steepY = y(points.find((p) => p.distanceM >= steepest.atM)?.elevationM ?? low);
  const factor = units === 'metric' ? 1000 : 1609.344;
  const tick = niceStep(total / factor / 6) * factor;
  const ticks = Array.from({ length: Math.floor(total / tick) + 1 }, (_, i) => i * tick);
  const say = (si: number, d: 'way' | 'height' | 'grade', digits?: number): string =>
    amountText(digits === undefined ? amount(si, d) : amount(si, d, digits), units);
  const anchor = x(steepest.atM) > W * 0.75 ? 'end' : 'start';
  return (
    <figure className="drawing road-drawing" aria-label="The road in profile">
      <div className="drawing-sheet" ref={ref}>
        <svg
          viewBox={`0 0 ${W} ${H}`}
          width={W}
          height={H}
          role="img"
          aria-label={`${route.name}: ${say(total, 'way')} one way, ${say(totalClimb(points), 'height')} of climbing, steepest ${say(plan.brief.steepest, 'grade')}`}
        >
          <path d={`${line}L${x(total)} ${H - bottom}L${x(0)} ${H - bottom}Z`} className="road-fill" />
          {[low, low + span / 2, low + span].map((e) => (
            <g key={e}>
              <line x1={left} x2={W - right} y1={y(e)} y2={y(e)} className="road-level" />
              <text x={left - 6} y={y(e) + 4} textAnchor="end" className="road-text">
                {amountText(amount(e, 'height'), units)}
              </text>
            </g>
          ))}
          {ticks.map((d) => (
            <g key={d}>
              <line x1={x(d)} x2={x(d)} y1={H - bottom} y2={H - bottom + 5} className="road-tick" />
              <text x={x(d)} y={H - bottom + 18} textAnchor="middle" className="road-text">
                {say(d, 'way', tick / factor < 1 ? 1 : 0)}
              </text>
            </g>
          ))}
          <path d={line} className="road-line" />
          {strips.map((s) => (
            <g key={s.fromM}>
              <rect
                x={Math.min(x(s.fromM), x(s.toM))}
                width={Math.abs(x(s.toM) - x(s.fromM))}
                y={H - bottom - 7}
                height="7"
                className={`road-surface road-${s.surface}`}
              />
              {Math.abs(x(s.toM) - x(s.fromM)) > 90 ? (
                <text x={(x(s.fromM) + x(s.toM)) / 2} y={H - bottom - 11} textAnchor="middle" className="road-text">
                  {surfaceWords[s.surface].toLowerCase()}
                  {s.limitMs === undefined ? '' : `, ${amountText(amount(s.limitMs, 'speed', 0), units)}`}
                </text>
              ) : null}
            </g>
          ))}
          {steepest.grade > 0.02 ? (
            <g className="road-steep">
              <line x1={x(steepest.atM)} x2={x(steepest.atM)} y1={steepY - 6} y2={top - 12} />
              <circle cx={x(steepest.atM)} cy={steepY} r="4" />
              <text x={x(steepest.atM) + (anchor === 'start' ? 6 : -6)} y={top - 14} textAnchor={anchor}>
                steepest {say(plan.brief.steepest, 'grade')} at {say(steepest.atM, 'way')}
              </text>
            </g>
          ) : null}
          <text x={left} y="26" className="road-name">
            {route.name}
          </text>
        </svg>
      </div>
      <figcaption className="title-block">
        <span>
          {say(total, 'way')} {brief.thereAndBack ? 'each way' : 'one way'}
        </span>
        <span>{say(totalClimb(points), 'height')} of climbing</span>
        <span>heights drawn {Math.round(total / (W - left - right) / (span / (H - top - bottom)))}×</span>
        <span>sheet 1</span>
      </figcaption>
    </figure>
  );
}

interface Strip {
  fromM: number;
  toM: number;
  surface: Route['surface'];
  limitMs?: number | undefined;
}

/** The road cut where its surface or limit changes; empty where it is the same all along. */
function surfaceStrips(route: Route, total: number): Strip[] {
  if (route.stretches.length === 0) return [];
  const cuts = [...new Set([0, total, ...route.stretches.flatMap((s) => [s.fromM, s.toM])])]
    .filter((c) => c >= 0 && c <= total)
    .sort((a, b) => a - b);
  return cuts.slice(1).map((toM, i) => {
    const fromM = cuts[i] as number;
    const middle = (fromM + toM) / 2;
    const here = route.stretches.find((s) => middle >= s.fromM && middle < s.toM);
    return { fromM, toM, surface: here?.surface ?? route.surface, limitMs: here?.limitMs };
  });
}

function niceStep(raw: number): number {
  const power = 10 ** Math.floor(Math.log10(raw));
  const part = raw / power;
  return (part <= 1 ? 1 : part <= 2 ? 2 : part <= 5 ? 5 : 10) * power;
}
