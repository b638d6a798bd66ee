import { chargerFor } from '../../pack/charger.ts';
import { CHARGE_EFFICIENCY } from '../../constants.ts';
import type { Point } from '../../donor/geometry.ts';
import { middleOf } from '../../layout/packPlacement.ts';
import { packLife } from '../../pack/life.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import type { BillSheet } from '../../work/bill.ts';
import { donorThings, type DonorThing } from '../../work/donorThings.ts';
import { wholeCost, type Riding, type WholeCost } from '../../work/wholeCost.ts';
import { billSheet, placeSpots, type SpotPlace } from '../billSheet.ts';
import type { PackPart } from './pack.ts';
import { rulesOf, type PlanStage } from './stage.ts';

/** What is bought, what the donor gives, and what it all comes to. */
export interface PartsPart {
  /** Each line of the money with its state, and what was ordered that is wanted no more. */
  bill: BillSheet;
  /** What of the donor is kept, goes over, or is left over. */
  donorThings: DonorThing[];
  /** All it comes to, a kilometre of it, and against a ready-made one. */
  cost: WholeCost;
  /** Where on the side view each place of a line is. */
  spots: Record<SpotPlace, Point>;
}

export const partsStage: PlanStage<'parts', PartsPart, { pack: PackPart }> = {
  id: 'parts',
  rules: rulesOf('parts'),
  plan: (context, { pack }, { all, money }) => {
    const bill = billSheet(context, money, all);
    const taken = context.pack ? pack.layout.pack?.taken : null;
    return {
      bill,
      donorThings: donorThings(context, bill.lines),
      cost: wholeCost(bill.lines, context.build.bill, money.donor, ridingOf(context)),
      spots: placeSpots(context, taken ? middleOf(taken.outline) : null),
    };
  },
};

/** What a kilometre takes out of the battery and off its life; null where nothing can be ridden. */
function ridingOf({ reckoning, pack, build, shelf }: PlanContext): Riding | null {
  if (!reckoning || !pack) return null;
  const { whPerKm } = reckoning.toEmpty;
  const { pricePerKm } = packLife(pack, whPerKm, build.brief.temperatureC, chargerFor(pack, shelf));
  return { whPerKm, charged: CHARGE_EFFICIENCY[pack.chemistry], batteryPerKm: pricePerKm };
}
