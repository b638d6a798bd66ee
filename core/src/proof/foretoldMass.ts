import { ROLLS } from '../quantity/tyre.ts';
import { NORMAL_90 } from '../constants.ts';
import { amount } from '../quantity/format.ts';
import { rolledOut } from '../vehicle/asSet.ts';
import { INSTRUMENT, widened, type Band } from './band.ts';
import type { BandFrom } from './test.ts';

/** What each axle bears, all aboard, kg. */
export function axleBands({ context }: BandFrom): { front: Band; rear: Band; total: Band } {
  const { frontKg, rearKg, totalKg } = context.axleLoads;
  const of = (kg: number, from: string): Band =>
    widened(
      kg,
      kg * 0.03 * NORMAL_90,
      INSTRUMENT.scaleKg,
      [{ words: 'load ±3 %', half: kg * 0.03 * NORMAL_90 }],
      [{ label: 'By the plan', value: amount(kg, 'mass'), from }],
    );
  return {
    front: of(frontKg, 'where each mass sits'),
    rear: of(rearKg, 'where each mass sits'),
    total: of(totalKg, 'rider, load, vehicle, kit, battery, fittings'),
  };
}

/** A turn of the driven wheel, loaded, m. */
export function turnOf({ context: { build, kit } }: BandFrom): Band | null {
  if (!kit) return null;
  const rolled = rolledOut(build, kit);
  const circle = build.tuned.rolledM ? rolled : rolled / ROLLS;
  return widened(
    rolled,
    rolled * 0.012,
    rolled * INSTRUMENT.tape * 0.25,
    [{ words: 'pressure and load', half: rolled * 0.012 }],
    [
      { label: 'Tyre’s circle', value: amount(circle, 'size', 0), from: 'size as surveyed' },
      { label: 'Loaded', value: amount(rolled, 'size', 0), from: 'a loaded tyre rolls 1 to 2 % less' },
    ],
  );
}
