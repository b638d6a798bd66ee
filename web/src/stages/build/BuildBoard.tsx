import { thingsNow, type BuildStep, type StepSheet, type ThingState } from '@sprocket/core';
import { useMemo } from 'react';
import { useBuild } from '../../store/store.ts';
import { BikeDrawing } from '../../drawing/BikeDrawing.tsx';
import { pathOf } from '../../drawing/frame.ts';
import { PlacePins } from '../../drawing/PlacePins.tsx';
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
  const states = (['off', 'loose', 'tight', 'sealed'] as const).flatMap((state) => {
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
          {states.length === 0 ? <li className="quiet">nothing is off or on yet</li> : null}
          {states.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      }
      overlay={(s) => (
        <>
          {plan.drawing.pack ? (
            <path
              d={pathOf(plan.drawing.pack.outline, true)}
              className={`build-pack build-pack-${things.pack ?? 'none'}`}
              strokeWidth={1.8 * s.px}
              {...(things.pack === 'tight' ? {} : { strokeDasharray: `${5 * s.px} ${4 * s.px}` })}
            />
          ) : null}
          <PlacePins
            sheet={s}
            pins={pins}
            lit={step.place}
            ring
            room={() => 56}
            share={({ done, total }) => done / total}
            end={told}
            label={(pin) => `${pin.place} ${pin.done === pin.total ? '✓ all' : told(pin)} steps done`}
            onPin={({ next }) => onStep(next.id)}
          />
        </>
      )}
    />
  );
}

/** How far a place is built. */
const told = ({ done, total }: { done: number; total: number }): string => (done === total ? '✓' : `${done}/${total}`);
