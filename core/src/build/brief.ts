import { kindTraits, postures, type Posture, type VehicleKind } from '../donor/kinds.ts';
import { z } from '../reading/zod.ts';
import { tyreSizeSchema } from './choice.ts';

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

const riderSchema = z.object({
  name: z.string().max(60),
  massKg: z.number().min(5).max(250),
  statureM: z.number().min(0.5).max(2.4),
  effort: z.enum(efforts),
  /** The rider's own factor on the effort's usual watts. */
  factor: z.number().min(0.2).max(3),
  neverShifts: z.boolean(),
  /** Floor to crotch, bare feet, m; null takes 0.47 of the stature. */
  inseamM: z.number().min(0.3).max(1.2).nullable().default(null),
  /** What getting on and sitting asks for. */
  mounting: z.enum(mountings).default('any'),
  /** In whole years; null: nobody asked. Some legal classes do. */
  ageYears: z.int().min(0).max(120).nullable().default(null),
});
export type Rider = z.infer<typeof riderSchema>;

/** Seats people ride in: the one who steers, a tandem's second, a child's behind or at the bar, a deck, a box. */
export const seats = ['main', 'second', 'childBehind', 'childAhead', 'deck', 'box'] as const;
export type Seat = (typeof seats)[number];
export const seatWords: Record<Seat, string> = {
  main: 'steers',
  second: 'second saddle',
  childBehind: 'child’s seat on the rack',
  childAhead: 'child’s seat at the bar',
  deck: 'on the deck behind',
  box: 'in the box',
};

/** One person on the vehicle: which of the riders, where, and whether their legs drive it. */
const aboardSchema = z.object({
  rider: z.int().min(0).max(7),
  seat: z.enum(seats),
  pedals: z.boolean(),
});
export type Aboard = z.infer<typeof aboardSchema>;

/** Where a trailer is coupled, and what brakes it. */
export const hitches = ['axle', 'rack', 'seatPost'] as const;
export const hitchWords: Record<(typeof hitches)[number], string> = {
  axle: 'at the rear axle',
  rack: 'on the rack',
  seatPost: 'on the seat post',
};
export const trailerBrakes = ['none', 'overrun'] as const;

/** A trailer: what it weighs and carries, what it rolls on, where it is coupled. SI. */
const trailerSchema = z.object({
  massKg: z.number().min(1).max(150),
  loadKg: z.number().min(0).max(300),
  /** What its maker lets it carry, kg; null where nobody has read it. */
  limitKg: z.number().min(1).max(400).nullable(),
  wheels: z.int().min(1).max(2),
  tyre: tyreSizeSchema,
  /** Coupling to its axle, and its load's middle ahead of the axle, m. */
  drawbarM: z.number().min(0.3).max(3),
  loadAheadM: z.number().min(-0.5).max(1),
  /** Coupling: where, behind the rear axle (ahead of it is negative), and above the ground, m. */
  hitch: z.enum(hitches),
  hitchBackM: z.number().min(-0.6).max(0.8),
  hitchUpM: z.number().min(0.1).max(1.2),
  brake: z.enum(trailerBrakes),
  /** Drag area it adds, m², and its width over all, m. */
  cdaM2: z.number().min(0).max(1),
  widthM: z.number().min(0.1).max(1.5),
});
export type Trailer = z.infer<typeof trailerSchema>;

/** A common two-wheeled trailer, coupled at the axle, empty. */
export const usualTrailer = (): Trailer => ({
  massKg: 10,
  loadKg: 0,
  limitKg: null,
  wheels: 2,
  tyre: { beadM: 0.406, widthM: 0.047 },
  drawbarM: 0.95,
  loadAheadM: 0.08,
  hitch: 'axle',
  hitchBackM: 0.06,
  hitchUpM: 0.34,
  brake: 'none',
  cdaM2: 0.15,
  widthM: 0.75,
});

/** Most climbs of a road told in plain words. */
export const MOST_CLIMBS = 20;
const climbSchema = z.object({ heightM: z.number().min(0).max(3000), lengthM: z.number().min(10).max(60_000) });

const stretchSchema = z.object({
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
const helpHabits = ['level', 'proportional', 'frugal'] as const;
export type HelpHabit = (typeof helpHabits)[number];

export const briefSchema = z.object({
  purpose: z.enum(purposes),
  riders: z.array(riderSchema).min(1).max(8),
  /** Who is on it, of the riders: the one who steers first, and nobody twice. */
  aboard: z
    .array(aboardSchema)
    .min(1)
    .max(8)
    .refine((all) => all[0]?.seat === 'main' && all.filter((a) => a.seat === 'main').length === 1, {
      error: 'whoever steers comes first, and nobody else steers',
    })
    .refine((all) => new Set(all.map((a) => a.rider)).size === all.length, { error: 'nobody sits in two places' }),
  /** How the motor helps, and at which of the kit's steps; null: the kit's usual way at the least step that holds cruise. */
  assist: z
    .object({ law: z.enum(helpHabits), step: z.int().min(1).max(9).nullable() })
    .nullable()
    .default(null),
  cargoKg: z.number().min(0).max(300),
  /** How the rider sits; null: as this kind of vehicle is ridden. */
  posture: z.enum(postures).nullable(),
  panniers: z.boolean(),
  /** What is towed; null for nothing. */
  trailer: trailerSchema.nullable(),
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
  ageYears: null,
});

/** Where a new brief starts: one rider of common size on a common errand, no road. */
export const usualBrief = (): Brief => ({
  purpose: 'commute',
  riders: [usualRider()],
  aboard: [{ rider: 0, seat: 'main', pedals: true }],
  assist: null,
  cargoKg: 5,
  posture: null,
  panniers: false,
  trailer: null,
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

/** Who steers: the rider the saddle, the bars and the gears are for. */
export function ridingNow(brief: Brief): Rider {
  const rider = brief.riders[brief.aboard[0]?.rider ?? 0] ?? brief.riders[0];
  if (!rider) throw new RangeError('a brief needs a rider');
  return rider;
}

/** How the rider sits: as the brief says, else as the kind of vehicle is ridden. */
export const postureOn = ({ posture }: Brief, kind: VehicleKind): Posture => posture ?? kindTraits[kind].posture;

/** Seats a kind of vehicle can have. */
export function seatsFor(kind: VehicleKind): Seat[] {
  const { twoCranks, box, seat, boom } = kindTraits[kind];
  return seats.filter((s) => {
    if (s === 'main') return true;
    if (s === 'second') return twoCranks;
    if (s === 'box') return box;
    if (s === 'deck') return kind === 'longtail';
    return seat === 'saddle' && !boom && !box;
  });
}

/** One person aboard with their seat. */
export interface Person {
  rider: Rider;
  seat: Seat;
  pedals: boolean;
}

/** Everybody aboard, who steers first; a place whose rider is no longer listed stands empty. */
export function peopleAboard(brief: Brief): Person[] {
  const main = { rider: ridingNow(brief), seat: 'main' as const, pedals: brief.aboard[0]?.pedals ?? true };
  const others = brief.aboard.slice(1).flatMap(({ rider, seat, pedals }): Person[] => {
    const person = brief.riders[rider];
    // Only a second saddle has cranks of its own.
    return person ? [{ rider: person, seat, pedals: pedals && seat === 'second' }] : [];
  });
  return [main, ...others];
}

/** What stands on the rear rack before any pack, kg: bags, and whoever sits there in a seat. */
export function rackLoadKg(brief: Brief): number {
  const seated = peopleAboard(brief).reduce(
    (sum, { rider, seat }) => sum + (seat === 'childBehind' || seat === 'deck' ? rider.massKg : 0),
    0,
  );
  return seated + (brief.panniers ? brief.cargoKg : 0);
}

/** Who may steer, one at a time: all riders but those who sit elsewhere aboard. */
export function whoSteers(brief: Brief): Rider[] {
  const elsewhere = new Set(brief.aboard.slice(1).map((a) => a.rider));
  return brief.riders.filter((_, i) => !elsewhere.has(i));
}

/** The heaviest of those who may steer, kg. */
export function heaviestRider(brief: Brief): number {
  return Math.max(ridingNow(brief).massKg, ...whoSteers(brief).map((r) => r.massKg));
}

/** Range wanted with its reserve, m. */
export function neededRange(brief: Brief): number {
  return brief.rangeWantedM * (1 + brief.reserve);
}
