import { rimStays } from '../vehicle/rims.ts';
import { BRISK_CADENCE_RPM, RIDER_PEAK_TORQUE } from '../constants.ts';
import { commonFrame } from '../donor/common.ts';
import { kitPeakTorque } from '../drive/kitTorque.ts';
import { chainAngle, chainLinks, chainLinksWorkshop, cogLines, MOST_LEAN } from '../gearing/chain.ts';
import { lacingOf, type Lacing } from '../gearing/lacing.ts';
import type { Kit } from '../parts/kit.ts';
import { tyreRadius, type TyreSize } from '../quantity/tyre.ts';
import { cadenceAt, speedAtCadence, startGrade, steadySpeed } from '../ride/steady.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { hubGearLimits } from '../fit/gearsThatWillBe.ts';
import { onSteepest } from '../vehicle/reckon.ts';
import { systemOf } from '../vehicle/system.ts';
import { voltsSuit } from '../pack/volts.ts';

/** One cog's chain: where it runs, how far it leans. */
export interface ChainRow {
  cog: number;
  lineM: number;
  angleRad: number;
  leans: boolean;
}

/** One cell of the table of rings and cogs. */
export interface PairCell {
  ring: number;
  cog: number;
  ratio: number;
  /** Motor alone from rest, lowest gear; null where it is no mid-drive's business. */
  startGrade: number | null;
  /** Speed at a brisk cadence in the highest gear. */
  topMs: number;
  verdict: 'goes' | 'does not start' | 'below the hub gear’s floor' | 'over the hub gear’s torque';
}

export interface GearSheet {
  /** Ring's line from the frame's centre, and whether it is known or a common figure. */
  ringLineM: number;
  ringLineKnown: boolean;
  rows: ChainRow[];
  /** Move of the ring that would put it before the middle of the cogs; plus is outward. */
  straightenM: number;
  links: number;
  workshopLinks: number;
  growthM: number;
  /** Rings across, cogs down. */
  rings: number[];
  cogs: number[];
  cells: PairCell[];
  cogMeans: string;
  /** Cadence in the highest gear at the speed the motor holds by itself on the flat. */
  cadenceAtMotor: { speedMs: number; rpm: number; canAdd: boolean } | null;
  /** Spokes of a hub that is laced to order: a hub gear that was chosen, or a motor into the rim there is. */
  lacing: (Lacing & { hub: string; rim: string; erdM: number; byMaker: boolean }) | null;
}

/** A ring's line where nobody measured it, m. Source: the trade, single and double rings. */
const COMMON_RING_LINE = 0.045;
/** Bead seat less effective diameter of a common rim, m. Source: project. */
const COMMON_RIM_DEPTH = 0.018;
/** Growth of a swinging arm's chainstay for each metre of travel. Source: project, four-bar frames. */
const GROWTH_SHARE = 0.12;
/** Cadence past which a rider adds little. Source: project. */
const CAN_ADD_RPM = 100;

/** What is laced to order, and into which rim: the shelf's rim of that size and hole count stands for the donor's. */
function lacingHere({ gearing, kit, shelf, asItWillBe }: PlanContext): GearSheet['lacing'] {
  const hub = gearing.hubGear?.part ?? bareHub(kit, asItWillBe.tyres);
  if (!hub?.flangeRadiusM || !hub.flangeOutM || !hub.spokes) return null;
  const { flangeRadiusM, flangeOutM, spokes } = hub;
  const name = gearing.hubGear?.part?.name ?? kit?.name ?? '';
  const tyre = asItWillBe.tyres[gearing.hubGear?.part ? 'rear' : (kit?.hub?.place ?? 'rear')];
  const sameSize = shelf.rim.filter((r) => Math.round(r.beadM * 1000) === Math.round(tyre.beadM * 1000));
  const rim = sameSize.find((r) => r.holes === spokes) ?? sameSize[0];
  const erdM = rim?.erdM ?? tyre.beadM - COMMON_RIM_DEPTH;
  return {
    ...lacingOf({ flangeRadiusM, flangeOutM, spokes }, erdM),
    hub: name,
    rim: rim?.name ?? 'a common rim',
    erdM,
    // A hub gear's maker says how it is laced; a stepless hub's flange is too large to go by the spokes' lean alone.
    byMaker: (gearing.hubGear?.part ?? null) !== null,
  };
}

/** A motor's hub where none of its built wheels is of the vehicle's size. */
function bareHub(kit: Kit | null, tyres: { front: TyreSize; rear: TyreSize }): Kit['hub'] | null {
  const { hub } = kit ?? {};
  return hub && rimStays(kit, hub.place, tyres[hub.place]) ? hub : null;
}

/** Chain line, chain length and the rings and cogs that would do, for what is chosen. */
export function gearSheet(context: PlanContext): GearSheet {
  const { build, kit, pack, shelf, gearing, asItWillBe, steepest } = context;
  const { survey, kind } = build.donor;
  const common = commonFrame[kind];
  const hubGear = gearing.drivetrain === 'hubGear';
  const cogTeeth = gearing.hubGear ? [gearing.hubGear.cog] : gearing.gears.map((g) => g.cog).sort((a, b) => a - b);
  const spacing = survey.rearDropoutSpacing?.value ?? 0.135;
  const chainstay = survey.chainstayLength?.value ?? common.chainstayLength;
  const shell = survey.bracketWidth?.value ?? 0.068;
  const ringOut = kit?.mid?.ringOutM;
  const ringLineM = ringOut === undefined ? COMMON_RING_LINE : shell / 2 + ringOut - gearing.ringOffsetM;
  const lines = cogLines(spacing, cogTeeth.length, kit?.hub?.place === 'rear');
  const rows = cogTeeth.map((cog, i): ChainRow => {
    const lineM = lines[i] as number;
    const angleRad = chainAngle(lineM, ringLineM, chainstay);
    return { cog, lineM, angleRad, leans: Math.abs(angleRad) > MOST_LEAN };
  });
  const middle = (Math.max(...lines) + Math.min(...lines)) / 2;
  const growthM = (survey.rearTravel?.value ?? 0) * GROWTH_SHARE;
  const biggest = Math.max(...cogTeeth);

  const wheel = tyreRadius(asItWillBe.tyres.rear);
  const limits = hubGearLimits(context);
  const floor = limits?.leastRatio;
  const bears = limits?.mostTorqueNm;
  const ratios = gearing.hubGear?.ratios ?? [1];
  const legs = kit && !(build.choice.usesThrottle && kit.throttle) ? RIDER_PEAK_TORQUE : 0;
  const rings = [...new Set(shelf.ring.map((r) => r.teeth).concat(gearing.ring))].sort((a, b) => a - b);
  // A mid-drive lives by its biggest cog; with a hub only the smallest matters, for the legs.
  const byLegs = !hubGear && !kit?.mid;
  const cogs = hubGear
    ? [16, 18, 19, 20, 21, 22, 24]
    : byLegs
      ? [11, 12, 13, 14, 15, 16]
      : [24, 28, 30, 32, 34, 36, 42];
  const smallest = Math.min(...cogTeeth);
  const reckoned = kit?.mid !== undefined && pack !== null && voltsSuit(kit, pack);
  const cells = cogs.flatMap((cog) =>
    rings.map((ring): PairCell => {
      const lowest = hubGear ? cog / Math.min(...ratios) : cog;
      const highest = hubGear ? cog / Math.max(...ratios) : byLegs ? cog : smallest;
      let grade: number | null = null;
      if (reckoned && kit) {
        const system = systemOf(build, {
          ...asItWillBe,
          gearing: { ...gearing, ring, gears: [{ label: '', cog: lowest }] },
        });
        // On the hill's own surface, and no steeper than tyre and balance allow.
        const hill = onSteepest(build, system);
        grade = Math.min(
          startGrade({ ...hill, vehicle: { ...hill.vehicle, fixedCog: lowest } }),
          context.startCap.grade,
        );
      }
      const below = hubGear && kit?.mid !== undefined && floor !== undefined && ring / cog < floor;
      const over =
        hubGear && kit?.mid !== undefined && bears !== undefined && ((kitPeakTorque(kit) + legs) * cog) / ring > bears;
      return {
        ring,
        cog,
        ratio: ring / cog,
        startGrade: grade,
        topMs: speedAtCadence(wheel, ring, highest, BRISK_CADENCE_RPM),
        verdict: below
          ? 'below the hub gear’s floor'
          : over
            ? 'over the hub gear’s torque'
            : grade !== null && grade < steepest
              ? 'does not start'
              : 'goes',
      };
    }),
  );

  let cadenceAtMotor: GearSheet['cadenceAtMotor'] = null;
  if (kit && pack && voltsSuit(kit, pack)) {
    const system = systemOf(build, asItWillBe);
    const alone = steadySpeed({ ...system, rider: { ...system.rider, powerW: 0 } }, 0, 1);
    const rpm = cadenceAt(alone.speedMs, wheel, gearing.ring, Math.min(...gearing.gears.map((g) => g.cog)));
    cadenceAtMotor = { speedMs: alone.speedMs, rpm, canAdd: rpm <= CAN_ADD_RPM };
  }
  return {
    ringLineM,
    ringLineKnown: ringOut !== undefined && survey.bracketWidth !== undefined,
    rows,
    straightenM: middle - ringLineM,
    links: chainLinks(chainstay, gearing.ring, biggest),
    workshopLinks: chainLinksWorkshop(chainstay, gearing.ring, biggest, growthM),
    growthM,
    rings,
    cogs,
    cells,
    cogMeans: hubGear ? 'the hub gear’s cog' : byLegs ? 'the smallest cog' : 'the biggest cog',
    cadenceAtMotor,
    lacing: lacingHere(context),
  };
}
