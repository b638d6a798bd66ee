import { isObject, type Loose } from './loose.ts';

/** Version 10 → 11: rides stand among the other lines of the log; a kept ride was read off a meter. */
export function fromVersion10(build: Loose): Loose {
  const log = isObject(build.log) ? build.log : {};
  const rides: unknown[] = Array.isArray(log.rides) ? log.rides : [];
  return {
    ...build,
    version: 11,
    log: { entries: rides.map((ride) => (isObject(ride) ? { ...ride, kind: 'ride' } : ride)) },
  };
}
