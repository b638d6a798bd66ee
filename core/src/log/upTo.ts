import type { Build } from '../build/build.ts';
import { dateAfter, daysBetween } from '../quantity/dates.ts';

/** A build with its log’s days moved so that the last line falls on a day: a demo’s life goes on until yesterday. */
export function logUpTo(build: Build, day: string): Build {
  const last = build.log.entries
    .map((e) => e.at)
    .sort()
    .at(-1);
  if (last === undefined) return build;
  const by = daysBetween(last, day);
  const moved = (at: string): string => dateAfter(at.slice(0, 10), by) + at.slice(10);
  const { review, handover } = build.log;
  const { rides } = build.tuned;
  return {
    ...build,
    log: {
      ...build.log,
      entries: build.log.entries.map((e) => ({ ...e, at: moved(e.at) })),
      review: review && { ...review, at: moved(review.at) },
      handover: { ...handover, on: handover.on === null ? null : moved(handover.on) },
    },
    tuned: { ...build.tuned, rides: rides && { ...rides, last: moved(rides.last) } },
  };
}
