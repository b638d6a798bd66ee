import type { Build } from '../build/build.ts';
import { GRAVITY, WET_STOPPING_WANTED } from '../constants.ts';
import type { BrakeKind } from '../donor/donor.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { amount, phrase } from '../quantity/format.ts';
import type { RouteSegment as RideSegmentLike } from '../ride/system.ts';
import { axleLoads, tipDistance, type Added, type AxleLoads } from './axleLoads.ts';
import type { Caution } from './caution.ts';
import { deceleration, GRIP, stoppingDistance, type Brakes, type Stopping } from './stopping.ts';
import { OVERRUN_SHARE, type TrailerLoads } from './trailer.ts';
import { trailerCaution } from './trailerCaution.ts';

import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';

/** What a brake sheds at 25 km/h, W. Source: docs/models.md, going safely. */
export function shedsW(brake: BrakeKind, rotorM: number | undefined): number {
  if (brake === 'none') return 0;
  if (brake === 'rim') return 400;
  if (brake === 'drum' || brake === 'roller' || brake === 'coaster') return 120;
  const rotor = rotorM ?? 0.16;
  return rotor >= 0.2 ? 420 : rotor >= 0.175 ? 330 : 250;
}

/** Stopping from a speed at the mass that moves: the least of grip, brakes and tipping over the front. */
export function stoppingCaution(stopping: Stopping | null, massKg: number, speedMs: number): Caution {
  if (!stopping)
    return {
      id: 'stopping',
      title: 'Stopping',
      state: 'unknown',
      lines: [],
      why: phrase`The brakes have not been looked at.`,
      ask: 'a bicycle mechanic',
    };
  const { dry, wet } = deceleration(stopping);
  const way = (a: number): number => stoppingDistance(speedMs, a);
  return {
    id: 'stopping',
    title: 'Stopping',
    state: wet < WET_STOPPING_WANTED ? 'care' : 'fine',
    lines: [
      { label: `from ${Math.round(speedMs * 3.6)} km/h, dry`, value: phrase`${amount(way(dry), 'height')}` },
      { label: 'the same, wet', value: phrase`${amount(way(wet), 'height')}` },
      { label: 'deceleration, dry and wet', value: phrase`${dry.toFixed(1)} and ${wet.toFixed(1)} m/s²` },
      { label: 'tips over the front from', value: phrase`${stopping.tipsAt.toFixed(1)} m/s²` },
    ],
    why: phrase`All that moves is ${amount(massKg, 'mass')}; brakes made for 100 kg bite by 100 ÷ mass, and the road is ${GRIP.wet} in the wet.`,
    ask: 'a bicycle mechanic, for pads, rotors and cables; prove it at the new weight on an empty road',
  };
}

/** Heat in the brakes on the road's longest steep descent, held at the speed the plan rides there, against what they shed. */
export function descentCaution(
  brakes: Brakes,
  massKg: number,
  cdaM2: number,
  crr: number,
  segments: readonly RideSegmentLike[],
  rho: number,
): Caution {
  let worst = { watts: 0, lengthM: 0, grade: 0, heldMs: 0 };
  let run = { joules: 0, seconds: 0, lengthM: 0, drop: 0 };
  for (const seg of segments) {
    const held = seg.targetMs;
    const theta = Math.atan(seg.grade);
    const push =
      -massKg * GRAVITY * Math.sin(theta) - massKg * GRAVITY * crr * Math.cos(theta) - 0.5 * rho * cdaM2 * held * held;
    if (seg.grade < -0.015 && push > 0) {
      run = {
        joules: run.joules + push * seg.lengthM,
        seconds: run.seconds + seg.lengthM / held,
        lengthM: run.lengthM + seg.lengthM,
        drop: run.drop - seg.grade * seg.lengthM,
      };
      const watts = run.joules / run.seconds;
      // A short ramp warms nothing: descents count from 150 m.
      if (run.lengthM >= 150 && watts > worst.watts)
        worst = { watts, lengthM: run.lengthM, grade: run.drop / run.lengthM, heldMs: run.lengthM / run.seconds };
    } else run = { joules: 0, seconds: 0, lengthM: 0, drop: 0 };
  }
  const { front, rear } = brakes;
  if (front === undefined || rear === undefined)
    return {
      id: 'descent',
      title: 'Brakes on the descents',
      state: 'unknown',
      lines: [],
      why: phrase`The brakes have not been looked at.`,
      ask: 'a bicycle mechanic',
    };
  const sheds = shedsW(front, brakes.frontRotorM) + shedsW(rear, brakes.rearRotorM);
  return {
    id: 'descent',
    title: 'Brakes on the descents',
    state: worst.watts > sheds * 1.3 ? 'stop' : worst.watts > sheds * 0.8 ? 'care' : 'fine',
    lines: [
      {
        label: 'worst descent',
        value:
          worst.watts === 0
            ? phrase`none that warms them`
            : phrase`${amount(worst.lengthM, 'way')} at ${amount(worst.grade, 'grade')}`,
      },
      ...(worst.watts === 0
        ? []
        : [
            {
              label: 'heat, at the speed ridden there',
              value: phrase`${amount(worst.watts, 'power')} at ${amount(worst.heldMs, 'speed', 0)}`,
            },
          ]),
      { label: 'both brakes shed', value: phrase`${amount(sheds, 'power')}` },
    ],
    why: phrase`(m·g·sin θ − air − rolling) · v is what the brakes must turn to heat; what they cannot shed fades them or bursts a tyre on a hot rim.`,
    ask: 'a bicycle mechanic; brake in bursts, stop to cool, and use both',
  };
}

/** Side tip of a vehicle on three wheels: the speed in a corner at which the inner wheel lifts. */
export function tipCaution(
  geometry: DonorGeometry,
  loads: { xM: number; hM: number },
  empty: { xM: number; hM: number } | null = null,
  cornerRadii: readonly number[] = [3, 5, 10],
): Caution | null {
  if (geometry.trackM === 0) return null;
  const sideways = (at: { xM: number; hM: number }): { d: number; a: number } => {
    const d = tipDistance(geometry, at.xM);
    return { d, a: (GRAVITY * d) / at.hM };
  };
  const { d, a } = sideways(loads);
  return {
    id: 'tip',
    title: 'Tipping sideways',
    state: Math.sqrt(a * 5) < 12 / 3.6 ? 'care' : 'fine',
    lines: [
      { label: 'lifts a wheel at', value: phrase`${a.toFixed(1)} m/s² sideways` },
      ...cornerRadii.map((r) => ({ label: `corner of ${r} m`, value: phrase`${amount(Math.sqrt(a * r), 'speed')}` })),
      ...(empty
        ? [
            {
              label: 'corner of 5 m, without the load',
              value: phrase`${amount(Math.sqrt(sideways(empty).a * 5), 'speed')}`,
            },
          ]
        : []),
    ],
    why: phrase`The centre of mass is ${amount(loads.hM, 'size', 0)} up and ${amount(d, 'size', 0)} inside the line from wheel to wheel: g·d/h, then v = √(a·R). A load set high makes it worse.`,
    ask: 'nobody but an empty yard: try it slowly before the street, loaded and empty',
  };
}

/** Every caution of one build's ride. */
export function goingSafely(
  { build, geometry, kit, pack, asItWillBe, axleLoads: loads, added, stopping, trailer }: SafelyFrom,
  ride: {
    massKg: number;
    cdaM2: number;
    crr: number;
    rho: number;
    speedMs: number;
    segments: readonly RideSegmentLike[];
    /** Crr of the trailer’s tyres. */
    trailerCrr: number;
  },
): Caution[] {
  if (!kit || !pack) return [];
  const empty = axleLoads({ ...build, brief: { ...build.brief, cargoKg: 0 } }, geometry, added);
  const wheelbaseM = geometry.frontAxle.x - geometry.rearAxle.x;
  const tip = tipCaution(geometry, loads, empty);
  const itself = build.brief.trailer?.brake === 'overrun' && trailer ? OVERRUN_SHARE * trailer.massKg : 0;
  const down = Math.max(0, ...ride.segments.map((seg) => -seg.grade));
  return [
    stoppingCaution(stopping, ride.massKg, ride.speedMs),
    descentCaution(asItWillBe.brakes, ride.massKg - itself, ride.cdaM2, ride.crr, ride.segments, ride.rho),
    ...(tip ? [tip] : []),
    ...(build.brief.trailer && trailer
      ? [
          trailerCaution(
            build.brief.trailer,
            trailer,
            {
              onWheelsKg: loads.totalKg,
              frontShare: loads.frontKg / loads.totalKg,
              wheelbaseM,
              heightM: loads.hM,
            },
            stopping,
            down,
            ride.trailerCrr,
          ),
        ]
      : []),
  ];
}

/** What the cautions look at of a plan’s context. */
interface SafelyFrom {
  build: Build;
  geometry: DonorGeometry;
  kit: Kit | null;
  pack: Pack | null;
  asItWillBe: { brakes: Brakes };
  axleLoads: AxleLoads;
  added: Added;
  stopping: Stopping | null;
  trailer: TrailerLoads | null;
}
