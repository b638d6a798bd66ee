import type { Amount } from './format.ts';

/** One line of a sum: what, how much, where from. */
export interface SumLine {
  label: string;
  value: Amount | string;
  from: string;
}
