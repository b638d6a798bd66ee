import type { LeverSheet } from '@sprocket/core';
import { useWords } from '../../ui/Show.tsx';

/** A hand's lever from above: blade, clamp, sensor on the clamp, magnet on the blade. */
export function LeverDrawing({
  side,
  acts,
  gapMm,
  reachMm,
  still,
}: {
  side: 'left' | 'right';
  acts: LeverSheet['acts'];
  gapMm: number;
  reachMm: number;
  still: boolean;
}) {
  const w = useWords();
  const k = side === 'left' ? 1 : -1;
  const magnetic = acts === 'cutsWhenAway' || acts === 'cutsWhenNear';
  // 1 mm is 4 units across the gap; the rest is not to scale.
  const gap = gapMm * 4;
  return (
    <svg
      viewBox="-170 -62 340 124"
      className="lever-drawing"
      role="img"
      aria-label={`${side} lever, motor ${still ? 'still' : 'running'}`}
    >
      <g transform={`scale(${k} 1)`}>
        <rect x={-165} y={14} width={330} height={20} className="bar-tube" strokeWidth={1.4} />
        <rect x={-165} y={8} width={120} height={32} rx={14} className="lever-grip" strokeWidth={1.6} />
        <rect x={26} y={4} width={38} height={40} rx={4} className="lever-clamp" strokeWidth={1.6} />
        <path d="M44 4 L44 -18 Q20 -34 -20 -26 L-150 -8" className="lever-blade" strokeWidth={9} />
        {magnetic ? (
          <>
            <circle cx={26 - gap} cy={-6} r={reachMm * 4} className="lever-reach" strokeWidth={1} />
            <rect x={26} y={-13} width={22} height={14} rx={2} className="lever-sensor" strokeWidth={1.6} />
            <rect x={26 - gap - 12} y={-12} width={12} height={12} className="lever-magnet" strokeWidth={1.4} />
          </>
        ) : (
          <rect x={30} y={-12} width={26} height={12} rx={3} className="lever-sensor" strokeWidth={1.6} />
        )}
      </g>
      <text x={0} y={-46} textAnchor="middle" fontSize={13} className={still ? 'lever-still' : 'lever-runs'}>
        {magnetic ? w(`${gapMm.toFixed(1)} mm: `) : ''}motor {still ? 'still' : 'runs'}
      </text>
    </svg>
  );
}
