import { fullVolts, nominalWh } from '../pack/battery.ts';
import type { Kit, Pack } from '../parts/part.ts';

/** True when a pack's volts lie between a kit's cut-off class and its ceiling. */
export function voltsSuit(kit: Kit, pack: Pack): boolean {
  return (
    fullVolts(pack) <= kit.controller.maxVolts &&
    nominalWh(pack) / (pack.parallel * pack.cellAh) >= kit.nominalVolts * 0.88
  );
}
