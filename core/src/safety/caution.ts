import type { Phrase } from '../quantity/format.ts';

/** One caution of riding: what, its numbers, why, and whom to ask. */
export interface Caution {
  id: 'stopping' | 'descent' | 'tip' | 'trailer' | 'cable';
  title: string;
  state: 'fine' | 'care' | 'stop' | 'unknown';
  lines: { label: string; value: Phrase }[];
  why: Phrase;
  ask: string;
}
