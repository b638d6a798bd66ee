import { isObject, type Loose } from './loose.ts';

/** Version 8 → 9: a step done was a moment alone; nothing was yet built otherwise than planned. */
export function fromVersion8(build: Loose): Loose {
  const bench = isObject(build.bench) ? build.bench : {};
  const done = isObject(bench.done) ? bench.done : {};
  return {
    ...build,
    version: 9,
    bench: {
      ...bench,
      done: Object.fromEntries(Object.entries(done).map(([step, at]) => [step, { at }])),
    },
    built: { builder: '', otherwise: [] },
  };
}
