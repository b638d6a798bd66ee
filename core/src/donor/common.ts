import rows from '@sprocket/catalogue/survey/common-frames.json' with { type: 'json' };
import { inSi } from '../catalogue/rows.ts';
import { positive, notNegative } from '../parts/partBase.ts';
import { z } from '../reading/zod.ts';
import type { TyreSize } from '../quantity/tyre.ts';
import type { VehicleKind } from './kinds.ts';

const length = notNegative.max(4);
const tyre = z.object({ beadM: positive.max(1), widthM: positive.max(0.2) });

/** A kind's common frame as the catalogue has it; 0 for what that kind does not have. */
export const commonFrameSchema = z.object({
  lengthsM: z.object({
    seatSide: length,
    topSide: length,
    downSide: length,
    headSide: length,
    seatTubeLength: length,
    chainstayLength: length,
    bracketHeight: length,
    wheelbase: length,
    track: length,
  }),
  seatTubeAngleDeg: positive.max(90),
  massKg: positive.max(150),
  tyre,
  frontTyre: tyre,
});
type Row = z.infer<typeof commonFrameSchema>;

export type CommonFrame = Row['lengthsM'] & {
  seatTubeAngleDeg: number;
  vehicleMass: number;
  tyre: TyreSize;
  frontTyre: TyreSize;
};

/** Common values that stand in for what nobody has measured, per kind: for the drawing, never for a verdict. */
export const commonFrame = Object.fromEntries(
  Object.entries(inSi(rows) as Record<VehicleKind, Row>).map(([kind, { lengthsM, massKg, ...rest }]) => [
    kind,
    { ...lengthsM, ...rest, vehicleMass: massKg },
  ]),
) as Record<VehicleKind, CommonFrame>;
