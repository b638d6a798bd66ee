import { phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { Figure } from './figure.ts';

type Waiting = Pick<PlanContext, 'kit' | 'pack' | 'standsStill'>;

const chooseFirst = (chosen: Waiting): string =>
  chosen.kit === null && chosen.pack === null
    ? 'choose a kit and a pack first'
    : chosen.kit === null
      ? 'choose a kit first'
      : chosen.pack === null
        ? 'choose a pack first'
        : chosen.standsStill
          ? 'nobody pedals and no throttle drives it'
          : 'pack and kit do not go together';

/** A figure that waits for a choice, and says for which. */
export function waiting(id: Figure['id'], label: string, chosen: Waiting): Figure {
  return { id, label, value: null, note: phrase`${chooseFirst(chosen)}`, limit: '', formula: '', sum: [] };
}
