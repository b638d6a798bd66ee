/**
 * Share of a standard normal distribution below z, to 1e-12. Source: the series of its middle and the continued fraction
 * of its tail (Abramowitz and Stegun 26.2.11, 26.2.14), each where it holds.
 */
export function normalShare(z: number): number {
  const x = Math.abs(z);
  if (x > 38) return z > 0 ? 1 : 0;
  const density = Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
  let upper: number;
  if (x < 3) {
    let term = x;
    let sum = x;
    for (let k = 3; Math.abs(term) > 1e-17 * sum; k += 2) {
      term *= (x * x) / k;
      sum += term;
    }
    upper = 0.5 - density * sum;
  } else {
    let tail = x;
    for (let k = 60; k > 0; k--) tail = x + k / tail;
    upper = density / tail;
  }
  return z > 0 ? 1 - upper : upper;
}
