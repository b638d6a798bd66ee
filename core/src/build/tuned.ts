import { z } from '../reading/zod.ts';
import { momentSchema } from './asBuilt.ts';

/** Where a tuning came from. */
const from = z.object({ test: z.string().min(1).max(80), at: momentSchema });

/** What tests or rides told of the vehicle itself: every figure reads it. Null: as reckoned. */
export const tunedSchema = z.object({
  /** Weighed less reckoned, of the vehicle with all on it, kg. */
  massKg: z
    .object({ by: z.number().min(-100).max(200), from })
    .nullable()
    .default(null),
  /** A turn of the driven wheel, loaded, m. */
  rolledM: z
    .object({ is: z.number().min(0.2).max(3), from })
    .nullable()
    .default(null),
  /** Drag area and rolling resistance, times what was reckoned. */
  dragArea: z
    .object({ times: z.number().min(0.3).max(3), from })
    .nullable()
    .default(null),
  rolling: z
    .object({ times: z.number().min(0.3).max(3), from })
    .nullable()
    .default(null),
});
export type Tuned = z.infer<typeof tunedSchema>;

export const usualTuned = (): Tuned => tunedSchema.parse({});
