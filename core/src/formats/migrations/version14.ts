import type { Loose } from './loose.ts';

/**
 * Version 14 → 15: how a build began is kept with it. Of an older one every answer counts as given: nobody is to be asked
 * again what they have filled in.
 */
export function fromVersion14(build: Loose): Loose {
  const ids = ['kind', 'wheels', 'rider', 'load', 'way', 'hill', 'range', 'budget', 'rules'];
  return { ...build, version: 15, start: { words: '', said: Object.fromEntries(ids.map((id) => [id, 'pointed'])) } };
}
