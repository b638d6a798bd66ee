import { mates } from '../parts/leads.ts';
import type { Pack } from '../parts/pack.ts';
import type { Shelf } from '../parts/part.ts';
import type { Charger } from '../parts/smallParts.ts';

/**
 * The charger a pack wants that comes without one: of its chemistry and cells in a row, by a plug that goes into its
 * socket, the cheapest of those. Null where it brings one, or the shelf has none; never one that does not match.
 */
export function chargerFor(pack: Pack, shelf: Pick<Shelf, 'charger'>): Charger | null {
  if (pack.withCharger) return null;
  const { charge } = pack;
  const fit = shelf.charger.filter(
    (c) => c.chemistry === pack.chemistry && c.series === pack.series && (!charge || mates(c.plug, charge.plug)),
  );
  return fit.reduce<Charger | null>((best, c) => (best === null || c.price < best.price ? c : best), null);
}
