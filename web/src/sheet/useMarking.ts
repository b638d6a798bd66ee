import type { BuildStep, StepMarking } from '@sprocket/core';
import { buildActions } from '../store/buildSlice.ts';
import { useBuild, useSend } from '../store/store.ts';
import { usePlan } from './PlanProvider.tsx';
import { thisMinute } from '../ui/today.ts';

/** Marks steps done, or not after all: what lies here of the bill's lines is fitted with its step. */
export function useMarking(): {
  mark: (step: BuildStep, as?: Partial<StepMarking>) => void;
  unmark: (step: BuildStep) => void;
} {
  const build = useBuild();
  const {
    build: bench,
    parts: { bill },
  } = usePlan();
  const send = useSend();
  const linesOf = (step: BuildStep) => bill.lines.filter((l) => bench.fits[l.key] === step.id);
  return {
    mark: (step, as = {}) => {
      const here = linesOf(step).filter((l) => l.state === 'arrived' || l.state === 'checked');
      send(
        buildActions.stepMarked({
          field: `bench.done.${step.id}`,
          value: {
            step,
            as: { at: step.doneOn ?? thisMinute(), by: build.built.builder, ...as },
            lines: as.leftOut ? [] : here.map(({ key }) => ({ key, state: 'fitted' as const })),
          },
        }),
      );
    },
    unmark: (step) => {
      const fitted = linesOf(step).filter((l) => l.state === 'fitted');
      send(
        buildActions.stepMarked({
          field: `bench.done.${step.id}`,
          value: { step, as: null, lines: fitted.map(({ key }) => ({ key, state: 'checked' as const })) },
        }),
      );
    },
  };
}
