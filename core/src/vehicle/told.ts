import type { Build } from '../build/build.ts';
import { unknowns, type Unknown } from '../build/tuned.ts';
import { lowerOf } from '../quantity/normals.ts';
import type { RidesSpread } from '../ride/spread.ts';

/** What the rides of the log multiply one of the vehicle’s figures by; 1 before any. */
export function toldBy({ tuned }: Pick<Build, 'tuned'>, unknown: Unknown): number {
  return tuned.rides ? Math.exp(tuned.rides.at[unknowns.indexOf(unknown)] as number) : 1;
}

/** What rides leave open of the spread, for whoever draws or moves it; undefined before any. */
export function ridesSpread({ tuned }: Pick<Build, 'tuned'>): RidesSpread | undefined {
  return tuned.rides ? { rides: tuned.rides.count, lower: lowerOf(tuned.rides.cov) } : undefined;
}

/** The same before the rides told anything: what they are held against. */
export const untold = (build: Build): Build =>
  build.tuned.rides ? { ...build, tuned: { ...build.tuned, rides: null } } : build;
