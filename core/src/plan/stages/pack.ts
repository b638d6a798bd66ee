import type { Point } from '../../donor/geometry.ts';
import type { Finding } from '../../fit/finding.ts';
import { holdsBack } from '../../fit/override.ts';
import { placementFinding } from '../../fit/rules/packPlace.ts';
import { balanceOf, weightBudget, type Balance, type WeightBudget } from '../../layout/balance.ts';
import { placeController } from '../../layout/controller.ts';
import { frameRoom } from '../../layout/frameRoom.ts';
import { chosenPlacement, middleOf, packPlacements, type PackPlacement } from '../../layout/packPlacement.ts';
import { packShape, type LoadShape } from '../../layout/packShape.ts';
import { clearancesOf, outlineOf, type Clearance, type Placement } from '../../layout/place.ts';
import { planView, type PlanShape } from '../../layout/planView.ts';
import type { Room } from '../../layout/room.ts';
import { wheelChange, type WheelChange } from '../../layout/wheelChange.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import type { RangeBand } from '../../vehicle/reckon.ts';
import type { DrivePart } from './drive.ts';
import { rulesOf, type PlanStage } from './stage.ts';

/** A placement with its finding. */
export interface SaidPlacement extends PackPlacement {
  finding: Finding;
}

/** Where everything goes, to scale. */
export interface PlanLayout {
  room: Room;
  /** The chosen pack in each of its places, best first; the one taken; null without a pack. */
  pack: {
    shape: LoadShape;
    widthM: number;
    taken: SaidPlacement;
    places: SaidPlacement[];
    /** Gaps of the way taken, tightest first. */
    clearances: Clearance[];
  } | null;
  controller: { lies: Placement; outline: Point[]; airy: boolean } | null;
  balance: Balance;
  budget: WeightBudget;
  /** What the wheels thought of would do; null where none are. */
  wheels: WheelChange | null;
  fromAbove: PlanShape[];
}

/** What the pack comes to: where it lies, what it does to the weight, how far it goes. */
export interface PackPart {
  layout: PlanLayout;
  band: RangeBand | null;
  /** Findings that an order of the chosen pack waits for. */
  holdingBack: Finding[];
}

export const packStage: PlanStage<'pack', PackPart, { drive: DrivePart }> = {
  id: 'pack',
  rules: rulesOf('pack'),
  plan: (context, { drive }, { here }) => ({
    layout: layOut(context, drive),
    band: context.band,
    holdingBack: context.pack ? holdsBack(here.filter((f) => f.subject === context.pack?.id)) : [],
  }),
};

function layOut(context: PlanContext, drive: DrivePart): PlanLayout {
  const { build, geometry, kit, pack, asItWillBe } = context;
  const { room } = frameRoom(build, geometry, kit);
  const shape = pack ? packShape(pack) : null;
  const taken = pack ? chosenPlacement(context, pack) : null;
  const laid = shape && taken?.lies ? { shape, lies: taken.lies } : null;
  const mount = taken?.lies ? room.mounts.find((m) => m.place === taken.place) : undefined;
  const controller = kit ? placeController(room, kit, laid) : null;
  const { rear, front } = build.choice.newWheels;
  const said = (p: PackPlacement): SaidPlacement => ({ ...p, finding: placementFinding(context, p) });
  return {
    room,
    pack:
      pack && shape && taken
        ? {
            shape,
            widthM: shape.widthM,
            taken: said(taken),
            places: packPlacements(context, pack).map(said),
            clearances: laid && mount ? clearancesOf(room, mount, shape, laid.lies) : [],
          }
        : null,
    controller: controller
      ? { lies: controller.lies, outline: outlineOf(controller.shape, controller.lies), airy: controller.airy }
      : null,
    balance: balanceOf(
      build,
      geometry,
      {
        ...context.added,
        pack: {
          kg: pack?.massKg ?? 0,
          at: taken?.lies ? middleOf(taken.outline) : null,
          towed: taken?.place === 'trailer',
        },
      },
      taken?.place ?? null,
    ),
    budget: weightBudget(
      build,
      asItWillBe.masses.filter((m) => m.id === 'kit' || m.id === 'pack' || m.id === 'fittings'),
    ),
    wheels:
      rear || front ? wheelChange(build.donor, geometry, rear ?? geometry.rearTyre, front ?? geometry.frontTyre) : null,
    fromAbove: planView(
      geometry,
      build.donor.survey,
      taken?.lies && shape ? { outline: taken.outline, widthM: shape.widthM } : null,
      drive.motor,
    ),
  };
}
