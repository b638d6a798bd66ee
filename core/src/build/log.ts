import { z } from '../reading/zod.ts';
import { momentSchema } from './asBuilt.ts';

/** Where a ride’s figures come from. */
export const rideSources = ['meter', 'standIn', 'file'] as const;

/** A ride that was ridden, summed up, SI. */
export const loggedRideSchema = z.object({
  id: z.string().min(1).max(80),
  at: momentSchema,
  name: z.string().trim().max(120).default(''),
  from: z.enum(rideSources),
  distanceM: z.number().min(0).max(2e6),
  timeS: z.number().min(0).max(1e6),
  energyWh: z.number().min(-1e5).max(1e5),
  startCharge: z.number().min(0).max(1).nullable().default(null),
  endCharge: z.number().min(0).max(1).nullable().default(null),
  temperatureC: z.number().min(-40).max(60).nullable().default(null),
  headwindMs: z.number().min(-20).max(20).nullable().default(null),
  massKg: z.number().min(10).max(1000).nullable().default(null),
  /** It went over the build’s own road. */
  ownRoad: z.boolean().default(false),
  note: z.string().trim().max(1000).default(''),
});
export type LoggedRide = z.infer<typeof loggedRideSchema>;

export const MOST_RIDES = 5000;

export const logSchema = z.object({ rides: z.array(loggedRideSchema).max(MOST_RIDES).default([]) });
export type Log = z.infer<typeof logSchema>;

export const usualLog = (): Log => logSchema.parse({});
