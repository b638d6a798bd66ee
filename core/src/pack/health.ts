import type { Pack } from '../parts/pack.ts';

/** Health that is reckoned with while nobody has tried a used or home-made pack. Source: project, cautious. */
export const UNTRIED_HEALTH = 0.7;

/** Share of a pack's first capacity that the plan reckons with. */
export function packHealth({ health, origin }: Pick<Pack, 'health' | 'origin'>): number {
  return health ?? (origin === undefined || origin === 'new' ? 1 : UNTRIED_HEALTH);
}
