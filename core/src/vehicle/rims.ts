import type { Kit } from '../parts/kit.ts';
import type { TyreSize } from '../quantity/tyre.ts';

/** Whether the donor's own rim stays at an end: the kit drives elsewhere, or its hub is laced into the rim there is. */
export function rimStays(kit: Kit | null, end: 'front' | 'rear', tyre: TyreSize): boolean {
  if (kit?.hub?.place !== end) return true;
  const bead = Math.round(tyre.beadM * 1000);
  return !kit.hub.beadsM.some((b) => Math.round(b * 1000) === bead);
}
