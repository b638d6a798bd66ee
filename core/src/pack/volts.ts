import { VOLTS_CLASS_WIDTH } from '../constants.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import { fullVolts, nominalVolts } from './battery.ts';

/** How a pack's volts stand to a controller: within its class, over its ceiling, or below its class. */
export type VoltsStanding = 'suits' | 'over' | 'under';

/** A pack's volts, straight off the charger and nominal, against a kit's controller. */
export function voltsStanding(
  kit: Pick<Kit, 'controller' | 'nominalVolts'>,
  pack: Pick<Pack, 'chemistry' | 'series'>,
): VoltsStanding {
  if (fullVolts(pack) > kit.controller.maxVolts) return 'over';
  return nominalVolts(pack) < kit.nominalVolts * (1 - VOLTS_CLASS_WIDTH) ? 'under' : 'suits';
}

/** True when a pack's volts lie between a kit's cut-off class and its ceiling. */
export function voltsSuit(kit: Kit, pack: Pack): boolean {
  return voltsStanding(kit, pack) === 'suits';
}
