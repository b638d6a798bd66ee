import {
  takenBack,
  withReading,
  withStepMarked,
  withValue,
  type Bench,
  type Build,
  type Built,
  type MarkedStep,
  type Otherwise,
  type ReadingTaken,
  type StepMarking,
} from '@sprocket/core';
import { onOpen, patched } from './state.ts';

/** How a line of the bill stands once the step that takes it is done, or is not done after all. */
export interface LineMoved {
  key: string;
  state: 'fitted' | 'checked';
}

/** Edits of the bench: who works and when, and what is done. */
export const benchReducers = onOpen({
  benchEdited: patched<Partial<Omit<Bench, 'done'>>>((build) => build.bench),
  /** A step marked done, or not done after all. */
  stepMarked(build: Build, value: { step: MarkedStep; as: StepMarking | null; lines?: readonly LineMoved[] }) {
    const { step, as, lines } = value;
    // Done after all, a step that was left out takes what that changed back with it.
    const left = as === null ? build.built.otherwise.find((o) => o.leftOut && o.step === step.id) : undefined;
    const from = left ? takenBack(build, left.id) : build;
    const stand = (lines ?? []).flatMap(({ key, state }) => {
      const line = from.bill.lines[key];
      return line ? [[key, { ...line, state }] as const] : [];
    });
    return {
      ...from,
      bench: { ...from.bench, done: withStepMarked(from.bench.done, step, as) },
      bill: { ...from.bill, lines: { ...from.bill.lines, ...Object.fromEntries(stand) } },
    };
  },
  /** A reading taken at a step: kept with it, and the plan is judged with it where it is the measure of something planned. */
  readingTaken(build: Build, value: ReadingTaken) {
    return withReading(build, value);
  },
  /** Something built otherwise than planned: kept with its reason, and the build is as it was built. */
  builtOtherwise(build: Build, value: Otherwise) {
    const as = value.changes.reduce((b, { path, is }) => withValue(b, path, is), build);
    return { ...as, built: { ...as.built, otherwise: [...as.built.otherwise, value] } };
  },
  /** Taken back: what was planned stands again, unless it was changed since. */
  otherwiseTakenBack(build: Build, value: string) {
    return takenBack(build, value);
  },
  builtEdited: patched<Partial<Built>>((build) => build.built),
});
