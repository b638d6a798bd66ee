import equal from 'fast-deep-equal';
import { MOST_OTHERWISE, type Otherwise } from '../../build/asBuilt.ts';
import type { Build } from '../../build/build.ts';
import { valueAt, withValue } from '../../build/differ.ts';
import { withStepMarked, type MarkedStep } from './marking.ts';
import { rangeAt } from './ranges.ts';
import type { StepReading } from './step.ts';

/** A reading as it was taken at a step; null takes it off again. SI. */
export interface ReadingTaken {
  step: MarkedStep;
  reading: Pick<StepReading, 'id' | 'what' | 'path'>;
  value: number | null;
  /** Local time, and who read it. */
  at: string;
  by: string;
}

/** What of a build a number is written as: a size of the donor with how it was come by, any other as it is. */
function written(path: string, value: number, what: string, at: string): Otherwise['changes'][number]['is'] {
  return path.startsWith('donor.survey.')
    ? { value, typed: '', unit: '', provenance: 'measured', note: `${what}, at the bench`, on: at.slice(0, 10) }
    : value;
}

const isAsPlanned = (was: unknown, value: number): boolean =>
  was === value || (typeof was === 'object' && was !== null && 'value' in was && was.value === value);

/**
 * The build with a reading kept at its step. Where the reading is the measure of something planned, and is another than
 * that, the build is as it was read from then on, and what was planned is kept beside it, one record a reading however
 * often it is corrected. Pure.
 */
export function withReading(build: Build, { step, reading, value, at, by }: ReadingTaken): Build {
  // What could not be kept is not taken: the field says so before.
  const [least, most] = rangeAt(reading.path);
  if (value !== null && !(value >= least && value <= most)) return build;
  const record = build.bench.done[step.id];
  const readings = Object.fromEntries(Object.entries(record?.readings ?? {}).filter(([id]) => id !== reading.id));
  if (value !== null) readings[reading.id] = value;
  const done = withStepMarked(build.bench.done, step, { at: record?.at ?? at, readings });
  const marked: Build = { ...build, bench: { ...build.bench, done } };
  const { path } = reading;
  if (path === undefined) return marked;
  const id = `read ${step.id} ${reading.id}`.slice(0, 60);
  const before = build.built.otherwise.find((o) => o.id === id);
  const change = before?.changes[0];
  // What somebody changed in its own stage since is not put back by a reading taken off.
  const ours = change !== undefined && equal(valueAt(build, path), change.is);
  const was = (ours ? change.was : valueAt(build, path)) as Otherwise['changes'][number]['was'];
  const others = build.built.otherwise.filter((o) => o.id !== id);
  if (value === null || isAsPlanned(was, value)) {
    if (!before) return marked;
    const back = ours ? withValue(marked, path, was) : marked;
    return { ...back, built: { ...back.built, otherwise: others } };
  }
  // The reading itself is kept with its step; only a record too many is not.
  if (others.length >= MOST_OTHERWISE) return marked;
  const is = written(path, value, reading.what, at);
  const told: Otherwise = {
    id,
    step: step.id,
    at,
    by,
    reason: 'read off at the bench',
    changes: [{ path, was, is }],
    leftOut: false,
    what: '',
  };
  const read = withValue(marked, path, is);
  return { ...read, built: { ...read.built, otherwise: [...others, told] } };
}
