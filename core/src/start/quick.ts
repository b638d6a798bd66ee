import { beadsByInches } from '../quantity/tyre.ts';
import type { Understood } from './freeWords.ts';

const WHEELS = ['28', '27.5', '26', '24', '20', '16'];

/** Answers met most often, to be picked with one press; SI. Source: project. */
export const quickAnswers = {
  /** By the names on tyres. */
  wheels: WHEELS.map((inches) => ({ name: `${inches} in`, beadM: (beadsByInches[inches] ?? 0) / 1000 })),
  riderKg: [60, 75, 90, 110],
  loadKg: [0, 5, 15, 30],
  rangeM: [10_000, 20_000, 40_000, 60_000],
  budget: [600, 900, 1300],
  hills: [
    { name: 'level', says: { count: 0, grade: null, lengthM: null, heightM: null } },
    { name: 'gentle, 4 %', says: { count: 1, grade: 0.04, lengthM: 600, heightM: null } },
    { name: 'hilly, 7 %', says: { count: 2, grade: 0.07, lengthM: 500, heightM: null } },
    { name: 'steep, 12 %', says: { count: 1, grade: 0.12, lengthM: 400, heightM: null } },
  ],
} as const satisfies Record<string, readonly unknown[]> & {
  hills: readonly { name: string; says: NonNullable<Understood['hill']> }[];
};
