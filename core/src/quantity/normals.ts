import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix';

/** A square matrix as rows. */
export type Square = readonly (readonly number[])[];

/** One standard deviation of a linear sum of normals. */
export function spreadOf(slopes: readonly number[], cov: Square): number {
  let sum = 0;
  slopes.forEach((a, i) => slopes.forEach((b, j) => (sum += a * b * ((cov[i] as readonly number[])[j] as number))));
  return Math.sqrt(Math.max(0, sum));
}

/** Unknowns that are not held fast. */
const freeOf = (cov: Square): number[] =>
  cov.map((_, i) => i).filter((i) => ((cov[i] as readonly number[])[i] as number) > 0);

/** A normal’s middle and covariance; an unknown of no spread is held fast. */
export interface Normal {
  at: readonly number[];
  cov: Square;
}

/**
 * One step of Gauss and Newton from a point towards the least sum of squares of rows (rest − slopes·step)²·weight and
 * of what was believed before them, with the covariance there.
 */
export function weighed(
  rows: readonly { slopes: readonly number[]; rest: number; weight: number }[],
  at: readonly number[],
  before: Normal,
): { step: number[]; cov: number[][] } {
  const free = freeOf(before.cov);
  const n = free.length;
  const step = at.map(() => 0);
  const cov = at.map(() => at.map(() => 0));
  if (n === 0) return { step, cov };
  const hessian = inverse(
    new Matrix(free.map((i) => free.map((j) => (before.cov[i] as readonly number[])[j] as number))),
  );
  const off = Matrix.columnVector(free.map((u) => (before.at[u] as number) - (at[u] as number)));
  const towards = hessian.mmul(off);
  for (const { slopes, rest, weight } of rows)
    free.forEach((u, i) => {
      const a = (slopes[u] as number) * weight;
      towards.set(i, 0, towards.get(i, 0) + a * rest);
      free.forEach((v, j) => hessian.set(i, j, hessian.get(i, j) + a * (slopes[v] as number)));
    });
  const turned = inverse(hessian);
  const by = turned.mmul(towards);
  free.forEach((u, i) => {
    step[u] = by.get(i, 0);
    free.forEach((v, j) => {
      (cov[u] as number[])[v] = (turned.get(i, j) + turned.get(j, i)) / 2;
    });
  });
  return { step, cov };
}

/** Turns a share between 0 and 1 into a standard normal number; Acklam's rational fit, good to 1e-9. */
export function normalAt(p: number): number {
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
  ];
  const b = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ];
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
  const poly = (k: readonly number[], x: number): number => k.reduce((sum, value) => sum * x + value, 0);
  if (p < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(p));
    return poly(c, q) / (poly(d, q) * q + 1);
  }
  if (p > 1 - 0.02425) return -normalAt(1 - p);
  const q = p - 0.5;
  const r = q * q;
  return (poly(a, r) * q) / (poly(b, r) * r + 1);
}

/** Steps of the additive lattice: powers of the root of x⁵ = x + 1, which spread evenly in four dimensions. */
const ROOT = 1.1673039782614187;

/** Lower triangle whose product with its own transpose is a covariance; rows of unknowns held fast are nothing. */
export function lowerOf(cov: Square): number[][] {
  const scale = cov.map((row, i) => Math.sqrt(row[i] as number));
  const free = freeOf(cov);
  const out = cov.map((row) => row.map(() => 0));
  if (free.length === 0) return out;
  // In units of each one's own spread, so that a narrow one does not drown.
  const lower = new CholeskyDecomposition(
    new Matrix(
      free.map((i) =>
        free.map(
          (j) =>
            ((cov[i] as readonly number[])[j] as number) / ((scale[i] as number) * (scale[j] as number)) +
            (i === j ? 1e-12 : 0),
        ),
      ),
    ),
  ).lowerTriangularMatrix;
  free.forEach((u, i) =>
    free.forEach((v, j) => {
      if (j <= i) (out[u] as number[])[v] = (scale[u] as number) * lower.get(i, j);
    }),
  );
  return out;
}

/** So many points evenly spread over a normal of that middle and covariance. The same each time. */
export function normalDraws({ at, cov }: Normal, count: number): number[][] {
  const lower = lowerOf(cov);
  return Array.from({ length: count }, (_, k) => {
    const z = at.map((_, i) => normalAt((((k + 1) / ROOT ** (i + 1)) % 1) * (1 - 2e-9) + 1e-9));
    return at.map((x, i) => (lower[i] as number[]).reduce((sum, l, j) => sum + l * (z[j] as number), x));
  });
}
