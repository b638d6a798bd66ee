import { isObject, type Loose } from './loose.ts';

/** What a change's words said is new by it, as version 11 read them each time a life was counted. */
const SAID: readonly (readonly [thing: string, words: RegExp])[] = [
  ['chain', /chain\b/],
  ['padFront', /front (brake )?(pad|block)/],
  ['padRear', /rear (brake )?(pad|block)/],
  ['tyreFront', /front tyre/],
  ['tyreRear', /rear tyre/],
];

/** Version 11 → 12: what is new by a change stands in it by its id, not in its words alone. */
export function fromVersion11(build: Loose): Loose {
  const log = isObject(build.log) ? build.log : {};
  const entries: unknown[] = Array.isArray(log.entries) ? log.entries : [];
  return { ...build, version: 12, log: { ...log, entries: entries.map(renewing) } };
}

function renewing(entry: unknown): unknown {
  if (!isObject(entry) || entry.kind !== 'change' || entry.of !== 'part') return entry;
  const words = [entry.what, entry.to]
    .filter((text) => typeof text === 'string')
    .join(' ')
    .toLowerCase();
  return { ...entry, renews: SAID.find(([, said]) => said.test(words))?.[0] ?? null };
}
