import type { Trailer } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import {
  CABLE_DROP_MOST,
  COPPER_OHM_MM2_PER_M,
  FUSE_AT_LEAST,
  FUSE_AT_MOST,
  GRAVITY,
  WET_STOPPING_WANTED,
} from '../constants.ts';
import type { Shelf } from '../parts/part.ts';
import type { BrakeKind } from '../donor/donor.ts';
import type { DonorGeometry } from '../donor/geometry.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { RouteSegment as RideSegmentLike } from '../ride/system.ts';
import { axleLoads, tipDistance, type Added, type AxleLoads } from './axleLoads.ts';
import { OVERRUN_SHARE, trailerPush, turningRoom, type TrailerLoads } from './trailer.ts';

import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';

/** Time before the brakes bite, s. Source: project. */
const REACTION = 1;
/** Friction of a tyre, dry and wet. Source: project. */
const GRIP = { dry: 0.8, wet: 0.4 } as const;

/** Deceleration of a 100 kg bicycle by its brakes, m/s². Source: docs/models.md, going safely. */
export function brakeLimits(front: BrakeKind, rear: BrakeKind): { dry: number; wet: number } {
  const disc = (b: BrakeKind): boolean => b === 'discCable' || b === 'discHydraulic';
  const hub = (b: BrakeKind): boolean => b === 'drum' || b === 'roller' || b === 'coaster';
  if (front === 'none') return { dry: 2.5, wet: 2 };
  if (disc(front) && disc(rear)) return { dry: 6, wet: 5 };
  if (disc(front) || disc(rear)) return { dry: 5.5, wet: 4 };
  if (hub(front) || hub(rear)) return { dry: 4, wet: 2.5 };
  return { dry: 5, wet: 2.5 };
}

/** The brakes of a vehicle; undefined where nobody has looked. */
export interface Brakes {
  front: BrakeKind | undefined;
  rear: BrakeKind | undefined;
  frontRotorM: number | undefined;
  rearRotorM: number | undefined;
}

/** What must be stopped, by what, on what. */
export interface Stopping {
  front: BrakeKind;
  rear: BrakeKind;
  /** Mass that its own brakes must stop, kg: all that moves, less what a trailer’s own brake stops. */
  brakedKg: number;
  /** Share of that on the wheels that brake. */
  onWheels: number;
  /** Deceleration at which it tips over the front, m/s². */
  tipsAt: number;
}

/** All that is told of stopping, of a vehicle with what it tows: the one place these are put together. */
export function stoppingOf(
  brakes: { front: BrakeKind; rear: BrakeKind },
  massKg: number,
  loads: { xM: number; hM: number },
  frontAxleX: number,
  trailer: { brake: 'none' | 'overrun'; loads: TrailerLoads } | null,
): Stopping {
  const itself = trailer?.brake === 'overrun' ? OVERRUN_SHARE * trailer.loads.massKg : 0;
  const brakedKg = massKg - itself;
  const onOwn = massKg - (trailer?.loads.axleKg ?? 0);
  return {
    ...brakes,
    brakedKg,
    onWheels: Math.min(1, onOwn / brakedKg),
    tipsAt: (GRAVITY * (frontAxleX - loads.xM)) / loads.hM,
  };
}

/** Deceleration dry and wet, m/s²: the least of the road’s grip, the brakes by the mass they stop, and tipping over. */
export function deceleration({ front, rear, brakedKg, onWheels, tipsAt }: Stopping): { dry: number; wet: number } {
  const own = brakeLimits(front, rear);
  const scale = Math.min(1, 100 / brakedKg);
  const least = (brakes: number, grip: number): number => Math.min(grip * GRAVITY * onWheels, brakes * scale, tipsAt);
  return { dry: least(own.dry, GRIP.dry), wet: least(own.wet, GRIP.wet) };
}

/** Way to stop, m: v·t + v²/2a. */
export function stoppingDistance(speedMs: number, deceleration: number): number {
  return speedMs * REACTION + (speedMs * speedMs) / (2 * deceleration);
}

/** What a brake sheds at 25 km/h, W. Source: docs/models.md, going safely. */
export function shedsW(brake: BrakeKind, rotorM: number | undefined): number {
  if (brake === 'none') return 0;
  if (brake === 'rim') return 400;
  if (brake === 'drum' || brake === 'roller' || brake === 'coaster') return 120;
  const rotor = rotorM ?? 0.16;
  return rotor >= 0.2 ? 420 : rotor >= 0.175 ? 330 : 250;
}

/** One caution of riding: what, its numbers, why, and whom to ask. */
export interface Caution {
  id: 'stopping' | 'descent' | 'tip' | 'trailer' | 'cable';
  title: string;
  state: 'fine' | 'care' | 'stop' | 'unknown';
  lines: { label: string; value: Phrase }[];
  why: Phrase;
  ask: string;
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

/** Cables and fuses to choose from, thinnest first. */
export type CableStock = Pick<Shelf, 'cable' | 'fuse'>;

/** Cable from pack to controller: least size under 3 % drop and the size's limit, and the fuse between. */
export function cableCaution(kit: Kit, pack: Pack, runM: number, nominalVolts: number, stock: CableStock): Caution {
  const amps = kit.controller.batteryLimitA;
  const drop = (mm2: number): number => (2 * runM * COPPER_OHM_MM2_PER_M * amps) / mm2;
  const size =
    stock.cable.find((c) => c.amps >= amps * FUSE_AT_LEAST && drop(c.mm2) / nominalVolts <= CABLE_DROP_MOST) ??
    stock.cable.at(-1);
  if (!size) throw new RangeError('no cable on the shelf');
  const { mm2, amps: carries } = size;
  const blows = stock.fuse.map((f) => f.amps);
  const fuse =
    blows.find((f) => f >= amps * FUSE_AT_LEAST && f <= amps * FUSE_AT_MOST) ??
    blows.find((f) => f >= amps * FUSE_AT_LEAST);
  const fits = fuse !== undefined && fuse <= carries;
  return {
    id: 'cable',
    title: 'Battery cable and fuse',
    state: fits ? 'fine' : 'care',
    lines: [
      { label: 'controller draws up to', value: phrase`${amount(amps, 'current')}` },
      { label: 'cable, at least', value: phrase`${mm2} mm² over ${amount(runM, 'size', 0)}` },
      {
        label: 'drop, both ways',
        value: phrase`${drop(mm2).toFixed(2)} V, ${amount(drop(mm2) / nominalVolts, 'grade')}`,
      },
      {
        label: 'fuse by the battery',
        value: fuse === undefined ? phrase`none of the common sizes` : phrase`${fuse} A`,
      },
    ],
    why: phrase`Drop is 2·l·0.0172·I ÷ mm², kept under 3 %; the fuse is 1.25 to 1.5 times the controller’s ${amount(amps, 'current')} and below what ${mm2} mm² carries, ${amount(carries, 'current', 0)}. ${pack.name}’s own leads may be thicker.`,
    ask: 'an electrician or a battery builder, before anything is opened or soldered',
  };
}

/** A trailer behind: what presses on its coupling, its push when braking and downhill, and the room a turn takes. */
export function trailerCaution(
  trailer: Trailer,
  loads: TrailerLoads,
  own: { onWheelsKg: number; frontShare: number; wheelbaseM: number; heightM: number },
  stopping: Stopping | null,
  steepestDescent: number,
  rolling: number,
): Caution {
  // Unknown brakes are taken as two good ones in the wet: the harder they bite, the harder the trailer pushes.
  const a = stopping ? deceleration(stopping).wet : GRIP.wet * GRAVITY;
  const tips = (own.onWheelsKg * a * own.heightM) / own.wheelbaseM;
  const rearN = own.onWheelsKg * GRAVITY * (1 - own.frontShare) - tips;
  const push = trailerPush(trailer, loads, rearN, a, steepestDescent, rolling);
  const room = turningRoom(own.wheelbaseM, trailer);
  const folds = push.sidewaysN > push.holdsN;
  const near = push.sidewaysN > push.holdsN * 0.5;
  return {
    id: 'trailer',
    title: 'The trailer behind',
    state: folds || loads.hitchKg < 0 ? 'stop' : near ? 'care' : 'fine',
    lines: [
      { label: 'presses on its coupling', value: phrase`${amount(loads.hitchKg, 'mass')}` },
      {
        label: 'of the braking',
        value:
          trailer.brake === 'overrun'
            ? phrase`${amount((loads.massKg * (1 - OVERRUN_SHARE)) / (own.onWheelsKg + loads.axleKg), 'share')}; it brakes the rest itself`
            : phrase`${amount(loads.massKg / (own.onWheelsKg + loads.axleKg), 'share')} is the trailer’s, and the bicycle does it`,
      },
      { label: 'pushes when braking in the wet', value: phrase`${amount(push.pushN, 'force', 0)}` },
      {
        label: steepestDescent > 0 ? 'pushes down the steepest descent' : 'pushes downhill',
        value:
          steepestDescent > 0
            ? phrase`${amount(push.steadyN, 'force', 0)} on ${amount(steepestDescent, 'grade')}`
            : phrase`no descent on this road`,
      },
      {
        label: 'sideways in a bend of 30°',
        value: phrase`${amount(push.sidewaysN, 'force', 0)}; the rear tyre holds ${amount(push.holdsN, 'force', 0)}`,
      },
      {
        label: 'turning at full lock',
        value: phrase`${amount(room.wideM, 'height')} wide, cuts in ${amount(room.cutInM, 'size', 0)}`,
      },
    ],
    why: phrase`Braking, m·(a + g·sin θ) comes through the coupling; turned, part of it shoves the rear wheel aside, and past its grip the pair folds like a knife. Put the load ahead of the trailer’s axle, brake before the bend, and front and rear together.`,
    ask: 'the trailer’s maker for its load and speed, and an empty yard: try the stop loaded before the street',
  };
}

/** Every caution of one build's ride. */
export function goingSafely(
  { build, geometry, kit, pack, asItWillBe, axleLoads: loads, added, shelf, stopping, trailer }: SafelyFrom,
  ride: {
    massKg: number;
    cdaM2: number;
    crr: number;
    rho: number;
    speedMs: number;
    segments: readonly RideSegmentLike[];
    nominalVolts: number;
    /** Crr of the trailer’s tyres. */
    trailerCrr: number;
  },
): Caution[] {
  if (!kit || !pack) return [];
  const empty = axleLoads({ ...build, brief: { ...build.brief, cargoKg: 0 } }, geometry, added);
  const runM = Math.hypot(geometry.bracket.x - geometry.rearAxle.x, 0.3);
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
    cableCaution(kit, pack, runM, ride.nominalVolts, shelf),
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
  shelf: CableStock;
  stopping: Stopping | null;
  trailer: TrailerLoads | null;
}
