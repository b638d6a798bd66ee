import { thingsNow, type BuildStep, type StepSheet, type ThingState } from '@sprocket/core';
import { useMemo } from 'react';
import { useBuild } from '../../store/store.ts';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { pathOf } from '../../drawing/frame.ts';
import { sideLabels } from '../../drawing/placeLabels.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import type { BenchNow } from './useBench.ts';

const stateWords: Record<ThingState, string> = {
  off: 'Off the vehicle',
  loose: 'On, still loose',
  tight: 'On and tight',
  sealed: 'Sealed',
};

interface BoardProps {
  bench: BenchNow;
  sheets: Readonly<Record<string, StepSheet>>;
  step: BuildStep;
  onStep: (id: string) => void;
}

/** The vehicle as far as it is built: what is off, loose, tight; how far each place is; where the step in hand is. */
export function BuildBoard({ bench, sheets, step, onStep }: BoardProps) {
  const plan = usePlan();
  const { done } = useBuild().bench;
  const things = useMemo(() => {
    const on = new Set(bench.steps.filter((s) => s.doneOn !== null && !done[s.id]?.leftOut).map((s) => s.id));
    return thingsNow(
      bench.steps.map((s) => s.id),
      sheets,
      (id) => on.has(id),
    );
  }, [bench.steps, sheets, done]);
  // The donor as a whole is no place on it.
  const pins = Object.entries(plan.parts.spots).flatMap(([place, at]) => {
    if (place === 'donor') return [];
    const here = bench.steps.filter((s) => s.place === place);
    const done = here.filter((s) => s.doneOn !== null).length;
    const next = here.find((s) => bench.standing(s) === 'now') ?? here.find((s) => s.doneOn === null) ?? here.at(-1);
    return next ? [{ place, at, done, total: here.length, next }] : [];
  });
  const told = (['off', 'loose', 'tight', 'sealed'] as const).flatMap((state) => {
    const names = Object.entries(things).flatMap(([thing, is]) => (is === state ? [thing] : []));
    return names.length > 0 ? [`${stateWords[state]}: ${names.join(', ')}`] : [];
  });
  return (
    <BikeDrawing
      plan={plan}
      layers={['parts']}
      sheet="sheet 8"
      tall
      things={things}
      tools={
        <ul className="mark-key" aria-label="How far it is built">
          {told.length === 0 ? <li className="quiet">nothing is off or on yet</li> : null}
          {told.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      }
      overlay={(s) => {
        const { px } = s;
        const high = 24 * px;
        const { pack } = plan.drawing;
        const wide = pins.map((pin) => ({ ...pin, w: (56 + pin.place.length * 7.2) * px }));
        // On a narrow sheet the place in hand alone is named, in the corner; the list below names the others.
        const labels =
          s.width / px < 560
            ? wide
                .filter((pin) => pin.place === step.place)
                .map((pin) => ({
                  ...pin,
                  side: 'left' as const,
                  x: s.left + 10 * px,
                  y: s.top - 10 * px - high,
                }))
            : sideLabels(wide, s, high);
        return (
          <>
            {pack ? (
              <path
                d={pathOf(pack.outline, true)}
                className={`build-pack build-pack-${things.pack ?? 'none'}`}
                strokeWidth={1.8 * px}
                {...(things.pack === 'tight' ? {} : { strokeDasharray: `${5 * px} ${4 * px}` })}
              />
            ) : null}
            {labels.map(({ place, at, x, y, w, side, done, total, next }) => (
              <g
                key={place}
                className={`place-pin${place === step.place ? ' place-lit' : ''}`}
                role="button"
                tabIndex={0}
                aria-label={`${place} ${done === total ? '✓ all' : `${done}/${total}`} steps done`}
                onClick={() => onStep(next.id)}
                onKeyDown={(event) => {
                  if (event.key === 'Enter' || event.key === ' ') {
                    event.preventDefault();
                    onStep(next.id);
                  }
                }}
              >
                <line
                  x1={at.x}
                  y1={-at.y}
                  x2={side === 'left' ? x + w : x}
                  y2={-y - high / 2}
                  className="pin-line"
                  strokeWidth={1.1 * px}
                />
                {place === step.place ? (
                  <circle cx={at.x} cy={-at.y} r={15 * px} className="place-ring" strokeWidth={3.2 * px} />
                ) : null}
                <circle cx={at.x} cy={-at.y} r={3.4 * px} className="pin-dot" />
                <rect
                  x={x}
                  y={-y - high}
                  width={w}
                  height={high}
                  rx={3 * px}
                  className="pin-plate"
                  strokeWidth={1.2 * px}
                />
                <rect x={x} y={-y - 3.4 * px} width={(w * done) / total} height={3.4 * px} className="place-share" />
                <text x={x + 7 * px} y={-y - 8 * px} fontSize={13 * px} className="pin-text">
                  {place}
                </text>{' '}
                <text
                  x={x + w - 7 * px}
                  y={-y - 8 * px}
                  fontSize={13 * px}
                  className="pin-text pin-count"
                  textAnchor="end"
                >
                  {done === total ? '✓' : `${done}/${total}`}
                </text>
              </g>
            ))}
          </>
        );
      }}
    />
  );
}
