/**
 * Lengths compared in whole micrometres: a sum of floats that comes to the limit counts as the limit. No tape or
 * caliper sees a thousandth of a millimetre.
 */
const inMicrometres = (m: number): number => Math.round(m * 1e6);

/** Whether a length is less than another, m, to the micrometre. */
export function shorter(a: number, b: number): boolean {
  return inMicrometres(a) < inMicrometres(b);
}

/** Whether a length is more than another, m, to the micrometre. */
export function longer(a: number, b: number): boolean {
  return inMicrometres(a) > inMicrometres(b);
}
