import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Numbers from 0 to 1, the same for the same seed. */
export function seeded(seed: number): () => number {
  const random = xoroshiro128plus(Math.imul(seed + 1, 0x9e3779b1) | 0);
  // Neighbouring seeds start alike: the first numbers are thrown away.
  for (let i = 0; i < 64; i++) uniformFloat64(random);
  return () => uniformFloat64(random);
}

/** A standard normal number of two even ones. Source: Box and Muller. */
export function normalFrom(uniform: () => number): number {
  const radius = Math.sqrt(-2 * Math.log(Math.max(uniform(), 1e-12)));
  return radius * Math.cos(2 * Math.PI * uniform());
}

/** Which of several falls, by weight. */
export function drawn(weights: readonly number[], at: number): number {
  let left = at * weights.reduce((sum, w) => sum + w, 0);
  for (let i = 0; i < weights.length; i++) {
    left -= weights[i] as number;
    if (left < 0) return i;
  }
  return weights.length - 1;
}
