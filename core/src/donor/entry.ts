import { z } from '../reading/zod.ts';

/** Where a figure came from. Only the first two prove anything. */
export const provenances = ['measured', 'dataSheet', 'recalled', 'assumed'] as const;
export type Provenance = (typeof provenances)[number];

export const provenanceWords: Record<Provenance, string> = {
  measured: 'measured',
  dataSheet: 'from the data sheet',
  recalled: 'from memory',
  assumed: 'assumed',
};

/** Longest text of a field that is kept as it was typed. */
export const LONGEST_TYPED = 200;

const entry = <T extends z.ZodType>(value: T) =>
  z.object({
    value,
    /** As it was typed, kept so that the field shows what the person wrote. */
    typed: z.string().max(LONGEST_TYPED),
    /** The unit it was typed in. */
    unit: z.string().max(20),
    provenance: z.enum(provenances),
    note: z.string().max(2000).default(''),
    /** Day it was taken, where that is known. */
    on: z.iso.date().optional(),
  });

export const numberEntry = entry(z.number().finite());
export const teethEntry = entry(z.array(z.int().min(6).max(80)).min(1).max(20));
export const tyreEntry = entry(
  z.object({ beadM: z.number().min(0.1).max(0.75), widthM: z.number().min(0.015).max(0.15) }),
);
export const choiceEntry = <const T extends readonly [string, ...string[]]>(options: T) => entry(z.enum(options));

/** A surveyed value with where it came from. */
export interface Entry<T> {
  value: T;
  typed: string;
  unit: string;
  provenance: Provenance;
  note: string;
  on?: string | undefined;
}

/** True when the entry is there and was measured or read off a data sheet: nothing less proves a fit. */
export function isProven<E extends { provenance: Provenance }>(
  e: E | undefined,
): e is E & { provenance: 'measured' | 'dataSheet' } {
  return e !== undefined && (e.provenance === 'measured' || e.provenance === 'dataSheet');
}
