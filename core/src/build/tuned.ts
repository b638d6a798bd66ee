import { z } from '../reading/zod.ts';
import { momentSchema } from './asBuilt.ts';

/** What rides can tell of a vehicle and who rides it, each a factor on its nominal, in the order of every matrix. */
export const unknowns = ['cdaM2', 'crr', 'riderPowerW', 'health'] as const;
export type Unknown = (typeof unknowns)[number];
export const unknownSchema = z.enum(unknowns);

const log = z.number().min(-2).max(2);
const four = <T extends z.ZodType>(of: T): z.ZodArray<T> => z.array(of).length(4);
/** Where rides put the unknowns: logarithms of their factors, and how these go together. */
export const riddenSchema = z
  .object({
    at: four(log),
    cov: four(four(z.number().min(-4).max(4))),
    /** Rides it comes from, and the last of them. */
    count: z.int().min(1).max(100_000),
    last: momentSchema,
    /** The battery whose health it is. */
    packId: z.string().max(80).nullable(),
  })
  .check(({ value: { cov }, issues }) => {
    // A row or a figure that is missing was told of already, and there is nothing to compare.
    if (cov.length !== unknowns.length || cov.some((row) => !Array.isArray(row) || row.length !== unknowns.length))
      return;
    cov.forEach((row, i) =>
      row.forEach((x, j) => {
        if (
          Math.abs(x - ((cov[j] as number[])[i] as number)) > 1e-9 ||
          x * x > (row[i] ?? 0) * ((cov[j] as number[])[j] ?? 0) + 1e-9 ||
          (i === j && x < 0)
        )
          issues.push({ code: 'custom', path: ['cov', i, j], message: 'is no covariance', input: x });
      }),
    );
  });
export type Ridden = z.infer<typeof riddenSchema>;

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
  /** What the rides of the log told, on top of the tests. */
  rides: riddenSchema.nullable().default(null),
  /** The rides are to tell: figures go by them as they come in. */
  byRides: z.boolean().default(true),
});
export type Tuned = z.infer<typeof tunedSchema>;

export const usualTuned = (): Tuned => tunedSchema.parse({});
