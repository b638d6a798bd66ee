import { CHARGE_EFFICIENCY } from '../constants.ts';
import type { Pack } from '../parts/pack.ts';
import type { Charger } from '../parts/smallParts.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import { CYCLE_LIFE, nominalWh } from './battery.ts';

/** Life and care of the pack on this ride. */
export interface PackLife {
  cycles: number;
  pricePerKm: number;
  chargeHours: number;
  chargerA: number;
  /** The charger that is bought for it; null where it brings its own, whose amps are taken as common for its size. */
  charger: string | null;
  advice: Phrase[];
}

/**
 * Life, price per km, time on the charger, and how to keep it.
 * @param charger the one on the bill; null where the pack brings its own
 */
export function packLife(
  pack: Pack,
  whPerKm: number,
  coldestC: number,
  charger: Pick<Charger, 'name' | 'amps'> | null,
): PackLife {
  const usableWh = nominalWh(pack) * pack.usable;
  const cycles = CYCLE_LIFE[pack.chemistry];
  const ah = pack.parallel * pack.cellAh;
  const common = pack.chemistry === 'lead' ? Math.max(1, Math.round(ah / 8)) : ah > 15 ? 4 : 2;
  const chargerA = charger?.amps ?? common;
  const advice: Phrase[] =
    pack.chemistry === 'lead'
      ? [
          phrase`Charge after every ride; left flat it is dead in weeks.`,
          phrase`Use half of it for a long life; ventilate while it charges.`,
        ]
      : [
          phrase`Store half full, cool and dry; never charge below ${amount(0, 'temperature')}, after a knock or when it has swollen.`,
          pack.chemistry === 'lfp'
            ? phrase`Charge it full now and then, so that its cells balance.`
            : phrase`Charging to 90 % on ordinary days makes it live longer.`,
        ];
  if (coldestC < 5)
    advice.push(phrase`On the coldest day, ${amount(coldestC, 'temperature')}, keep it indoors until the ride.`);
  return {
    cycles,
    pricePerKm: pack.price / ((cycles * usableWh) / Math.max(0.1, whPerKm)),
    chargeHours: ah / chargerA / CHARGE_EFFICIENCY[pack.chemistry],
    chargerA,
    charger: charger?.name ?? null,
    advice,
  };
}
