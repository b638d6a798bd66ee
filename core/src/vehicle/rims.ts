import type { Survey } from '../donor/donor.ts';
import type { Kit } from '../parts/kit.ts';
import type { TyreSize } from '../quantity/tyre.ts';
import type { Vehicle } from './vehicle.ts';

/** Whether the donor's own rim stays at an end: the kit drives elsewhere, or its hub is laced into the rim there is. */
export function rimStays(kit: Kit | null, end: 'front' | 'rear', tyre: TyreSize): boolean {
  if (kit?.hub?.place !== end) return true;
  const bead = Math.round(tyre.beadM * 1000);
  return !kit.hub.beadsM.some((b) => Math.round(b * 1000) === bead);
}

/** Rim brakes that will grip chromed steel, which fails them in the wet. */
export function chromedRims(
  survey: Survey,
  { brakes, tyres }: Pick<Vehicle, 'brakes' | 'tyres'>,
  kit: Kit | null,
): { front: boolean; rear: boolean } {
  const at = (end: 'front' | 'rear'): boolean =>
    brakes[end] === 'rim' && survey[`${end}RimSurface`]?.value === 'chromed' && rimStays(kit, end, tyres[end]);
  return { front: at('front'), rear: at('rear') };
}
