import type { ClusterKind } from '../donor/donor.ts';
import { tyreName, type TyreSize } from '../quantity/tyre.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { partData } from './rule.ts';
import type { Say } from './say.ts';

/** How rules read ring, cogs and hub gear: as they will be, with what was chosen before what the donor has. */

const list = (teeth: readonly number[]): string => teeth.join('-');

/** What carries the cogs on the wheel that will be there: chosen, or the donor’s as it was looked at. */
export function kindToBe({ gearing }: PlanContext, say: Say): ClusterKind | undefined {
  if (gearing.cluster) {
    say.because(partData('Cogs chosen', `${gearing.cluster.name}`));
    return gearing.cluster.mount;
  }
  if (gearing.hubGear?.part) {
    say.because(partData('Hub gear chosen', gearing.hubGear.part.name));
    return 'hubGear';
  }
  say.needOwn('clusterKind');
  return gearing.kind ?? undefined;
}

/** Teeth of the cogs that will be there; undefined where they are the donor’s and nobody counted them. */
export function cogsToBe({ gearing }: PlanContext, say: Say): readonly number[] | undefined {
  if (gearing.cluster) say.because(partData('Cogs chosen', list(gearing.cluster.cogs)));
  else if (gearing.hubGear?.part) say.because(partData('Cog of the hub gear chosen', String(gearing.hubGear.cog)));
  else say.needOwn('cogTeeth');
  return gearing.cogs ?? undefined;
}

/** Teeth of the ring that will be there, with where they come from. */
export function ringToBe({ gearing }: PlanContext, say: Say): number {
  if (gearing.ringIsDonors) say.needOwn('ringTeeth');
  else say.because(partData(gearing.ringFrom === 'chosen ring' ? 'Ring chosen' : 'Ring', `${gearing.ring} teeth`));
  return gearing.ring;
}

/** A tyre that will be on one end: of the wheels thought of, else the donor’s as it was read. */
export function tyreToBe({ build, asItWillBe }: PlanContext, say: Say, end: 'front' | 'rear'): TyreSize | undefined {
  if (build.choice.newWheels[end]) {
    say.because(partData(`Tyre thought of, ${end}`, tyreName(asItWillBe.tyres[end])));
    return asItWillBe.tyres[end];
  }
  return say.needOwn(end === 'rear' ? 'rearTyre' : 'frontTyre');
}

/** What a hub gear’s maker allows: ring ÷ cog at least and at most, torque at the cog, cogs. */
export interface HubGearLimits {
  leastRatio: number | undefined;
  mostRatio: number | undefined;
  mostTorqueNm: number | undefined;
  mostCog: number | undefined;
}

/** The chosen hub gear’s limits by its data, or the donor’s as they were read; null where there is no hub gear. */
export function hubGearLimits({ gearing, build }: PlanContext): HubGearLimits | null {
  const { hubGear } = gearing;
  if (!hubGear) return null;
  const { part } = hubGear;
  const { survey } = build.donor;
  return part
    ? {
        leastRatio: part.leastRatio,
        mostRatio: part.mostRatio,
        mostTorqueNm: part.mostTorqueNm,
        mostCog: part.cogs?.most,
      }
    : {
        leastRatio: survey.hubGearRatioFloor?.value,
        mostRatio: survey.hubGearRatioCeiling?.value,
        mostTorqueNm: survey.hubGearTorque?.value,
        mostCog: survey.hubGearLargestCog?.value,
      };
}
