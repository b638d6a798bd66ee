import type { LoggedRide } from '../build/log.ts';
import { CHARGE_EFFICIENCY } from '../constants.ts';
import { nominalWh, type PackModel } from '../pack/battery.ts';

/** One standard deviation of a ride’s energy by what told it, a share. Source: models, §15. */
const ENERGY_SD = { meter: 0.03, wall: 0.07, gauge: 0.15 } as const;
/** A gauge must fall by so much before it tells anything: its first bar stands for kilometres. Source: the trade. */
export const LEAST_GAUGE = 0.2;

/** What a ride took out of the battery, Wh, and how far that is trusted; or why nobody knows. */
export type EnergyRead = { wh: number; sd: number } | { not: string };

/** Energy of a logged ride: off a meter, at the wall less what the charger loses, or by the gauge’s fall. */
export function energyRead(ride: LoggedRide, pack: PackModel | null): EnergyRead {
  const { energyWh, energyFrom, startCharge, endCharge } = ride;
  const sd = ENERGY_SD[energyFrom];
  if (energyFrom === 'gauge') {
    if (startCharge === null || endCharge === null || !pack) return { not: 'no energy was read' };
    const fall = startCharge - endCharge;
    // A tenth of a thousandth is no fall: shares are typed in whole per cents.
    if (fall < LEAST_GAUGE - 1e-9)
      return { not: `the gauge fell by less than ${LEAST_GAUGE * 100} %, which says nothing of it` };
    return { wh: fall * nominalWh(pack) * pack.health, sd };
  }
  if (energyWh === null) return { not: 'no energy was read' };
  const wh = energyFrom === 'wall' ? energyWh * CHARGE_EFFICIENCY[pack?.chemistry ?? 'nmc'] : energyWh;
  return wh > 0 ? { wh, sd } : { not: 'it took no energy' };
}
