import { z } from '../reading/zod.ts';

const length = z.number().positive().max(4).optional();

/**
 * What was measured of a kit once it lay on the bench, in m: each counts above the data sheet, and the plan is judged
 * again with it before the return date.
 */
export const arrivalSchema = z.object({
  /** Axle across its flats, and round. */
  axleFlatsM: length,
  axleDiameterM: length,
  /** Bores of the washers and arms that came. */
  washerBoreM: length,
  armBoreM: length,
  /** Between the axle’s shoulders. */
  dropoutSpacingM: length,
  /** Rim between its hooks; hole edges. */
  rimInnerM: length,
  rimHoles: z.enum(['smooth', 'sharp']).optional(),
  rimHoleLine: z.enum(['centred', 'staggered']).optional(),
  /** Ring’s plane outside the shell’s face. */
  ringOutM: z.number().min(-0.03).max(0.06).optional(),
  /** From the rotor’s plane to the cover. */
  rotorRoomM: length,
  /** Loom from the bar to the plug; the plug’s thickness. */
  loomM: length,
  plugM: length,
  /** Leads as they came, by lead. */
  leads: z.record(z.string().max(40), z.number().positive().max(6)).optional(),
});
export type Arrival = z.infer<typeof arrivalSchema>;
