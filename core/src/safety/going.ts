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
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { RouteSegment as RideSegmentLike } from '../ride/system.ts';
import { axleLoads, tipDistance } from './axleLoads.ts';
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
  id: 'stopping' | 'descent' | 'tip' | 'cable';
  title: string;
  state: 'fine' | 'care' | 'stop' | 'unknown';
  lines: { label: string; value: Phrase }[];
  why: Phrase;
  ask: string;
}

/** Stopping from a speed at the mass that moves: the least of grip, brakes and tipping over the front. */
export function stoppingCaution(
  build: Build,
  geometry: DonorGeometry,
  massKg: number,
  speedMs: number,
  loads: { xM: number; hM: number },
): Caution {
  const { survey } = build.donor;
  const front = survey.frontBrake?.value;
  const rear = survey.rearBrake?.value;
  if (front === undefined || rear === undefined)
    return {
      id: 'stopping',
      title: 'Stopping',
      state: 'unknown',
      lines: [],
      why: phrase`The brakes have not been looked at.`,
      ask: 'a bicycle mechanic',
    };
  const base = geometry.frontAxle.x;
  const tip = (GRAVITY * (base - loads.xM)) / loads.hM;
  const scale = Math.min(1, 100 / massKg);
  const own = brakeLimits(front, rear);
  const decel = (wet: boolean): number =>
    Math.min((wet ? GRIP.wet : GRIP.dry) * GRAVITY, (wet ? own.wet : own.dry) * scale, tip);
  const dry = decel(false);
  const wet = decel(true);
  const way = (a: number): number => stoppingDistance(speedMs, a);
  return {
    id: 'stopping',
    title: 'Stopping',
    state: wet < WET_STOPPING_WANTED ? 'care' : 'fine',
    lines: [
      { label: `from ${Math.round(speedMs * 3.6)} km/h, dry`, value: phrase`${amount(way(dry), 'height')}` },
      { label: 'the same, wet', value: phrase`${amount(way(wet), 'height')}` },
      { label: 'deceleration, dry and wet', value: phrase`${dry.toFixed(1)} and ${wet.toFixed(1)} m/s²` },
      { label: 'tips over the front from', value: phrase`${tip.toFixed(1)} m/s²` },
    ],
    why: phrase`All that moves is ${amount(massKg, 'mass')}; brakes made for 100 kg bite by 100 ÷ mass, and the road is ${GRIP.wet} in the wet.`,
    ask: 'a bicycle mechanic, for pads, rotors and cables; prove it at the new weight on an empty road',
  };
}

/** Heat in the brakes on the road's longest steep descent, held at a speed, against what they shed. */
export function descentCaution(
  build: Build,
  massKg: number,
  cdaM2: number,
  crr: number,
  segments: readonly RideSegmentLike[],
  rho: number,
): Caution {
  const { survey } = build.donor;
  const front = survey.frontBrake?.value;
  const rear = survey.rearBrake?.value;
  const held = 25 / 3.6;
  let worst = { watts: 0, lengthM: 0, grade: 0 };
  let run = { joules: 0, lengthM: 0, drop: 0 };
  for (const seg of segments) {
    const theta = Math.atan(seg.grade);
    const push =
      -massKg * GRAVITY * Math.sin(theta) - massKg * GRAVITY * crr * Math.cos(theta) - 0.5 * rho * cdaM2 * held * held;
    if (seg.grade < -0.015 && push > 0) {
      run = {
        joules: run.joules + push * seg.lengthM,
        lengthM: run.lengthM + seg.lengthM,
        drop: run.drop - seg.grade * seg.lengthM,
      };
      const watts = (run.joules / run.lengthM) * held;
      // A short ramp warms nothing: descents count from 150 m.
      if (run.lengthM >= 150 && watts > worst.watts)
        worst = { watts, lengthM: run.lengthM, grade: run.drop / run.lengthM };
    } else run = { joules: 0, lengthM: 0, drop: 0 };
  }
  if (front === undefined || rear === undefined)
    return {
      id: 'descent',
      title: 'Brakes on the descents',
      state: 'unknown',
      lines: [],
      why: phrase`The brakes have not been looked at.`,
      ask: 'a bicycle mechanic',
    };
  const sheds = shedsW(front, survey.frontRotor?.value) + shedsW(rear, survey.rearRotor?.value);
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
      { label: 'heat, held at 25 km/h', value: phrase`${amount(worst.watts, 'power')}` },
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

/** Every caution of one build's ride. */
export function goingSafely(
  build: Build,
  geometry: DonorGeometry,
  kit: Kit,
  pack: Pack,
  ride: {
    massKg: number;
    cdaM2: number;
    crr: number;
    rho: number;
    speedMs: number;
    segments: readonly RideSegmentLike[];
    nominalVolts: number;
    /** Middle of where the pack lies; null where that is not settled. */
    packAt: Point | null;
    /** Arms and fittings besides the kit, kg. */
    fittingsKg: number;
    stock: CableStock;
  },
): Caution[] {
  const added = { kit, fittingsKg: ride.fittingsKg, pack: { kg: pack.massKg, at: ride.packAt } };
  const loads = axleLoads(build, geometry, added);
  const empty = axleLoads({ ...build, brief: { ...build.brief, cargoKg: 0 } }, geometry, added);
  const runM = Math.hypot(geometry.bracket.x - geometry.rearAxle.x, 0.3);
  const tip = tipCaution(geometry, loads, empty);
  return [
    stoppingCaution(build, geometry, ride.massKg, ride.speedMs, loads),
    descentCaution(build, ride.massKg, ride.cdaM2, ride.crr, ride.segments, ride.rho),
    ...(tip ? [tip] : []),
    cableCaution(kit, pack, runM, ride.nominalVolts, ride.stock),
  ];
}
