import { SURFACE_GRIP, SURFACE_ROLLING, WET_GRIP } from '../constants.ts';
import type { Build } from '../build/build.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import type { Kit } from '../parts/kit.ts';
import { towed, type Added, type AxleLoads } from '../safety/axleLoads.ts';
import { startCap, type StartCap } from '../safety/starting.ts';
import { steepestSurface } from './reckon.ts';
import { tyreRolling } from './system.ts';
import type { Vehicle } from './vehicle.ts';

/** What of a plan's context a start hangs on. */
interface StartsFrom {
  build: Build;
  kit: Kit | null;
  asItWillBe: Pick<Vehicle, 'tyres'>;
  geometry: DonorGeometry;
  axleLoads: AxleLoads;
  added: Added;
}

/** How steep a start tyre and balance allow on the road's steepest stretch, dry or wet, whatever the motor could. */
export function startCapOf(
  { build, kit, asItWillBe, geometry, axleLoads, added }: StartsFrom,
  road: 'dry' | 'wet' = 'dry',
): StartCap {
  const surface = steepestSurface(build);
  const grip = road === 'wet' ? Math.min(WET_GRIP, SURFACE_GRIP[surface]) : SURFACE_GRIP[surface];
  const driven = kit?.hub?.place ?? 'rear';
  const rolling = tyreRolling(asItWillBe.tyres[driven]) + SURFACE_ROLLING[surface];
  const base = geometry.frontAxle.x - geometry.rearAxle.x;
  const behind = towed(build, added);
  const { trailer } = build.brief;
  const towing =
    behind && trailer
      ? {
          share: behind.axleKg / axleLoads.totalKg,
          rolling: tyreRolling(trailer.tyre) + SURFACE_ROLLING[surface],
          upM: trailer.hitchUpM,
        }
      : null;
  return startCap(axleLoads, base, driven, rolling, grip, towing);
}
