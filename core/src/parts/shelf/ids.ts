import type { ConsumableId } from './consumables.ts';
import type { ChargerId } from './chargers.ts';
import type { FittingId } from './fittings.ts';
import type { ServiceId } from './services.ts';

/** Parts of the starter shelf that remedies name, so that a slip in a name does not compile. */
export type SmallPartId = FittingId | ConsumableId | ServiceId | ChargerId;
export type { ToolId } from './tools.ts';
