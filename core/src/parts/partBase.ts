import { z } from '../reading/zod.ts';

/** What the schemas of all parts have in common. SI throughout; prices in the shelf’s own money. */

export const positive = z.number().positive();
export const notNegative = z.number().nonnegative();
export const share = z.number().gt(0).max(1);
const id = z.string().regex(/^[a-z0-9][a-z0-9-]{1,60}$/, 'small letters, figures and hyphens');
const name = z.string().trim().min(1).max(80);

export const partBase = {
  id,
  name,
  maker: z.string().max(80),
  massKg: notNegative.max(80),
  price: notNegative.max(100_000),
  note: z.string().max(1000).default(''),
};
