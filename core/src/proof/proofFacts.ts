import { kindTraits, isTrike } from '../donor/kinds.ts';
import type { BrakeKind } from '../donor/options.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { assistLimit } from '../vehicle/system.ts';
import { chosenControls } from '../wiring/asWired.ts';
import { faultFacts, type FaultFacts } from './faults/faultFacts.ts';

/** What of the vehicle as it will be decides which tests apply. */
export interface ProofFacts extends FaultFacts {
  front: BrakeKind | undefined;
  rear: BrakeKind | undefined;
  parking: boolean;
  hinge: boolean;
  trailer: boolean;
  arms: boolean;
  horn: boolean;
  /** The motor can brake. */
  regen: boolean;
  /** Speed at which help ends, m/s; null: nothing limits it. */
  limitMs: number | null;
  trikeWheels: boolean;
  pack: boolean;
  /** It carries people besides its rider. */
  passengers: boolean;
  box: boolean;
  /** Wheel the motor is in or drives. */
  driven: 'front' | 'rear';
}

/** Facts for the protocol; null without a kit, for then there is nothing to prove. */
export function proofFacts(context: PlanContext): ProofFacts | null {
  const { kit, build, pack, shelf } = context;
  if (!kit) return null;
  const { front, rear } = context.asItWillBe.brakes;
  const traits = kindTraits[build.donor.kind];
  return {
    ...faultFacts(context),
    front,
    rear,
    parking: build.donor.survey.parkingLock?.value === 'yes',
    hinge: traits.hinge,
    trailer: build.brief.trailer !== null,
    arms: kit.hub !== undefined && build.choice.torqueArms > 0,
    horn: chosenControls(build, shelf).has('horn'),
    regen: kit.wiring?.brakes === true && kit.motor.regenA !== undefined,
    limitMs: assistLimit(build, { kit }) ?? null,
    trikeWheels: isTrike(build.donor.kind),
    pack: pack !== null,
    passengers: build.brief.aboard.length > 0,
    box: traits.box,
    driven: kit.hub?.place ?? 'rear',
  };
}
