import { z } from '../reading/zod.ts';

export const purposes = ['commute', 'load', 'touring', 'trail', 'easy', 'twoUp', 'folder', 'play', 'cheap'] as const;
export const purposeWords: Record<(typeof purposes)[number], string> = {
  commute: 'Commute',
  load: 'Carrying loads',
  touring: 'Touring',
  trail: 'Trails',
  easy: 'Easy riding, ageing or injured rider',
  twoUp: 'Two riders, or a child',
  folder: 'A folder that gets carried',
  play: 'Play',
  cheap: 'Cheapest that is decent',
};
export const efforts = ['none', 'easy', 'steady', 'brisk', 'hard'] as const;
export type Effort = (typeof efforts)[number];
export const postures = [
  'tucked',
  'handsHigh',
  'flatBar',
  'upright',
  'tandem',
  'recumbentTrike',
  'uprightTrike',
] as const;
export const surfaces = [
  'asphalt',
  'chipSeal',
  'setts',
  'packedGravel',
  'looseGravel',
  'wetGrass',
  'softSand',
] as const;
export const surfaceWords: Record<(typeof surfaces)[number], string> = {
  asphalt: 'Smooth asphalt',
  chipSeal: 'Coarse chip seal',
  setts: 'Setts',
  packedGravel: 'Packed gravel',
  looseGravel: 'Loose gravel',
  wetGrass: 'Wet grass',
  softSand: 'Soft sand',
};

/** What a rider needs in order to get on: nothing, a low step, or to be seated. */
export const mountings = ['any', 'lowStep', 'seated'] as const;

export const riderSchema = z.object({
  name: z.string().max(60),
  massKg: z.number().min(10).max(250),
  statureM: z.number().min(0.8).max(2.4),
  effort: z.enum(efforts),
  /** The rider's own factor on the effort's usual watts. */
  factor: z.number().min(0.2).max(3),
  neverShifts: z.boolean(),
  /** Floor to crotch, bare feet, m; null takes 0.47 of the stature. */
  inseamM: z.number().min(0.3).max(1.2).nullable().default(null),
  /** What getting on and sitting asks for. */
  mounting: z.enum(mountings).default('any'),
});
export type Rider = z.infer<typeof riderSchema>;

/** Most climbs of a road told in plain words. */
export const MOST_CLIMBS = 20;
const climbSchema = z.object({ heightM: z.number().min(0).max(3000), lengthM: z.number().min(10).max(60_000) });

export const stretchSchema = z.object({
  fromM: z.number().min(0).max(1_500_000),
  toM: z.number().min(0).max(1_500_000),
  surface: z.enum(surfaces).optional(),
  /** Highest speed ridden there, m/s. */
  limitMs: z.number().min(1).max(30).optional(),
  stopsPerKm: z.number().min(0).max(20).optional(),
});
export type Stretch = z.infer<typeof stretchSchema>;

/** A road as points along it. Elevations are smoothed already where they came from a track. */
export const routeSchema = z.object({
  id: z.string().max(80),
  name: z.string().max(120),
  source: z.enum(['shelf', 'gpx', 'described']),
  points: z
    .array(
      z.object({
        distanceM: z.number().min(0),
        elevationM: z.number().min(-500).max(9000),
        /** Compass bearing ridden from here, degrees from north; absent where the road was only described. */
        bearing: z.number().min(0).max(360).optional(),
        /** Where it lies, degrees; absent where the road was only described. */
        lat: z.number().min(-90).max(90).optional(),
        lon: z.number().min(-180).max(180).optional(),
      }),
    )
    .min(2)
    .max(40_000),
  surface: z.enum(surfaces),
  stopsPerKm: z.number().min(0).max(20),
  /** Sum of rises before and after smoothing, m. */
  rawClimbM: z.number().min(0),
  description: z
    .object({ flatM: z.number().min(0).max(500_000), climbs: z.array(climbSchema).max(MOST_CLIMBS) })
    .optional(),
  notes: z.array(z.string().max(300)).max(20).default([]),
  /** Where along it another surface, speed limit or count of stops holds; the road's own elsewhere. */
  stretches: z.array(stretchSchema).max(60).default([]),
  /** Ridden from its end to its start. */
  reversed: z.boolean().default(false),
});
export type Route = z.infer<typeof routeSchema>;

/** How the rider lets the motor help: as the kit does by itself, or legs first and the motor only for what is missing. */
export const helpHabits = ['level', 'proportional', 'frugal'] as const;
export type HelpHabit = (typeof helpHabits)[number];

export const briefSchema = z.object({
  purpose: z.enum(purposes),
  riders: z.array(riderSchema).min(1).max(8),
  /** Which of the riders the plan is reckoned for. */
  riding: z.int().min(0).max(7),
  /** How the motor helps, and at which of the kit's steps; null: the kit's usual way at the least step that holds cruise. */
  assist: z
    .object({ law: z.enum(helpHabits), step: z.int().min(1).max(9).nullable() })
    .nullable()
    .default(null),
  cargoKg: z.number().min(0).max(300),
  posture: z.enum(postures),
  panniers: z.boolean(),
  trailer: z.boolean(),
  rangeWantedM: z.number().min(0).max(500_000),
  /** Extra share of the wanted range to keep in hand. */
  reserve: z.number().min(0).max(1),
  /** Speed the rider would hold where the road lets them, m/s. */
  cruiseMs: z.number().min(2).max(20),
  /** Id of a legal class on the shelf or the build's own. */
  legalClass: z.string().min(1).max(60),
  budget: z.number().min(0).max(100_000).nullable().default(null),
  massTargetKg: z.number().min(5).max(150).nullable().default(null),
  /** False where carriers will not bring lithium: islands, air freight. */
  lithiumDelivered: z.boolean().default(true),
  temperatureC: z.number().min(-30).max(45),
  altitudeM: z.number().min(-400).max(4500),
  headwindMs: z.number().min(-20).max(20),
  /** Where the wind comes from, degrees from north; null takes `headwindMs` against travel on the way out. */
  windFrom: z.number().min(0).max(360).nullable().default(null),
  thereAndBack: z.boolean(),
  route: routeSchema.nullable(),
});
export type Brief = z.infer<typeof briefSchema>;

/** A rider of common size on easy effort. */
export const usualRider = (): Rider => ({
  name: 'Rider',
  massKg: 75,
  statureM: 1.72,
  effort: 'easy',
  factor: 1,
  neverShifts: false,
  inseamM: null,
  mounting: 'any',
});

/** Where a new brief starts: one rider of common size on a common errand, no road. */
export const usualBrief = (): Brief => ({
  purpose: 'commute',
  riders: [usualRider()],
  riding: 0,
  assist: null,
  cargoKg: 5,
  posture: 'upright',
  panniers: false,
  trailer: false,
  rangeWantedM: 30_000,
  reserve: 0.2,
  cruiseMs: 22 / 3.6,
  legalClass: 'epac25',
  budget: null,
  massTargetKg: null,
  lithiumDelivered: true,
  temperatureC: 10,
  altitudeM: 100,
  headwindMs: 0,
  windFrom: null,
  thereAndBack: true,
  route: null,
});

/** The rider the plan is reckoned for. */
export function ridingNow(brief: Brief): Rider {
  const rider = brief.riders[brief.riding] ?? brief.riders[0];
  if (!rider) throw new RangeError('a brief needs a rider');
  return rider;
}

/** Range wanted with its reserve, m. */
export function neededRange(brief: Brief): number {
  return brief.rangeWantedM * (1 + brief.reserve);
}
