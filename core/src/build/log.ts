import { z } from '../reading/zod.ts';
import { momentSchema } from './asBuilt.ts';
import { remedyPlaces } from './remedy.ts';
import { unknownSchema } from './tuned.ts';

const id = z.string().min(1).max(80);
const common = {
  id,
  at: momentSchema,
  by: z.string().trim().max(60).default(''),
  note: z.string().trim().max(1000).default(''),
};
const share = z.number().min(0).max(1);

/** Where a ride’s figures come from. */
const rideSources = ['typed', 'meter', 'standIn', 'file', 'track'] as const;
/** What told the energy, and so how far it is trusted. */
export const energySources = ['meter', 'wall', 'gauge'] as const;
export type EnergySource = (typeof energySources)[number];
export const energySourceWords: Record<EnergySource, string> = {
  meter: 'a meter',
  wall: 'the wall, after charging',
  gauge: 'the gauge’s per cent',
};

/** Points of a ride’s profile at most: hills stay, a track’s every metre does not. */
export const MOST_PROFILE = 120;

/** A ride that was ridden, summed up, SI. */
export const loggedRideSchema = z.object({
  kind: z.literal('ride'),
  ...common,
  name: z.string().trim().max(120).default(''),
  from: z.enum(rideSources),
  distanceM: z.number().min(0).max(2e6),
  /** Moving and standing. */
  timeS: z.number().min(0).max(1e6),
  /** Of that, moving; null: not told apart. */
  movingS: z.number().min(0).max(1e6).nullable().default(null),
  stops: z.int().min(0).max(10_000).nullable().default(null),
  /** Null: nobody read it, and the ride tells only how far it went. */
  energyWh: z.number().min(-1e5).max(1e5).nullable(),
  energyFrom: z.enum(energySources).default('meter'),
  startCharge: share.nullable().default(null),
  endCharge: share.nullable().default(null),
  temperatureC: z.number().min(-40).max(60).nullable().default(null),
  /** Against travel on the way out; behind is below zero. */
  headwindMs: z.number().min(-20).max(20).nullable().default(null),
  /** All that moves, weighed, kg; or more than the plan has aboard, kg. */
  massKg: z.number().min(10).max(1000).nullable().default(null),
  loadKg: z.number().min(-300).max(500).nullable().default(null),
  /** It went over the build’s own road. */
  ownRoad: z.boolean().default(false),
  /** Its rise, m, where no profile tells it. */
  climbM: z.number().min(0).max(20_000).nullable().default(null),
  /** Way and height along it, m, of an elevation track; empty: none. */
  profile: z
    .array(z.tuple([z.number().min(0).max(2e6), z.number().min(-500).max(9000)]))
    .max(MOST_PROFILE)
    .default([]),
  /** Odd, and told by all the same; or left out by hand. Null: as the tuning finds. */
  counts: z.boolean().nullable().default(null),
});
export type LoggedRide = z.infer<typeof loggedRideSchema>;

/** A charge, read at the wall. */
export const chargeSchema = z.object({
  kind: z.literal('charge'),
  ...common,
  wallWh: z.number().min(0).max(1e5),
  from: share.nullable().default(null),
  to: share.nullable().default(null),
  minutes: z.number().min(0).max(10_000).nullable().default(null),
  temperatureC: z.number().min(-40).max(60).nullable().default(null),
});

/** Something that failed, with cause and cure as far as they are known. */
const loggedFaultSchema = z.object({
  kind: z.literal('fault'),
  ...common,
  what: z.string().trim().min(1).max(300),
  place: z.enum(remedyPlaces).nullable().default(null),
  /** The part it was, by its id; null: none, or nobody knows. */
  part: z.string().max(80).nullable().default(null),
  /** Of the fault finder’s list; null: something else. */
  fault: z.string().max(80).nullable().default(null),
  cause: z.string().trim().max(300).default(''),
  cure: z.string().trim().max(300).default(''),
  /** The finder’s search it came from. */
  search: id.nullable().default(null),
});

export const punctureCauses = ['thorn', 'glass', 'pinched', 'spoke', 'rim tape', 'valve', 'worn', 'unknown'] as const;
export const punctureSides = ['tread', 'side', 'rim side'] as const;
export const punctureWheels = ['front', 'rear', 'left', 'right', 'trailer'] as const;

/** A puncture, with its place round the rim: what sits in tyre or rim makes the next one there too. */
const punctureSchema = z.object({
  kind: z.literal('puncture'),
  ...common,
  wheel: z.enum(punctureWheels),
  /** Round from the valve, as a share of a turn, the way the wheel rolls; null: nobody looked. */
  round: share.nullable().default(null),
  side: z.enum(punctureSides).default('tread'),
  cause: z.enum(punctureCauses).default('unknown'),
});

/** A task of the upkeep that was done; readings SI. */
export const serviceSchema = z.object({
  kind: z.literal('service'),
  ...common,
  task: z.string().min(1).max(60),
});

/** Things that wear and are renewed, whose life is counted from the day they were. */
export const renewedThings = {
  chain: 'the chain',
  padFront: 'the front pads',
  padRear: 'the rear pads',
  tyreFront: 'the front tyre',
  tyreRear: 'the rear tyre',
} as const;
export type RenewedThing = keyof typeof renewedThings;

/** What was changed: a part or a setting. What it touches is not told by the rides before it. */
const changeSchema = z.object({
  kind: z.literal('change'),
  ...common,
  of: z.enum(['part', 'setting']),
  what: z.string().trim().min(1).max(120),
  from: z.string().trim().max(120).default(''),
  to: z.string().trim().max(120).default(''),
  part: z.string().max(80).nullable().default(null),
  /** What is new by it, and wears from there on; null: nothing whose life is counted. */
  renews: z
    .enum(Object.keys(renewedThings) as [RenewedThing, ...RenewedThing[]])
    .nullable()
    .default(null),
  touches: z.array(unknownSchema).max(4).default([]),
});

/** Things measured in use, with their unit’s dimension. */
export const measuredThings = {
  chainWear: { words: 'Chain wear', dimension: 'share' },
  padFront: { words: 'Front pad left', dimension: 'size' },
  padRear: { words: 'Rear pad left', dimension: 'size' },
  treadFront: { words: 'Front tread left', dimension: 'size' },
  treadRear: { words: 'Rear tread left', dimension: 'size' },
  capacity: { words: 'Capacity, full to empty', dimension: 'energy' },
  odometer: { words: 'Odometer', dimension: 'way' },
} as const;
export type MeasuredThing = keyof typeof measuredThings;
const measurementSchema = z.object({
  kind: z.literal('measurement'),
  ...common,
  what: z.enum(Object.keys(measuredThings) as [MeasuredThing, ...MeasuredThing[]]),
  value: z.number().min(-1e6).max(1e9),
});

const noteSchema = z.object({ kind: z.literal('note'), ...common });

/** A line of the log. */
export const logEntrySchema = z.discriminatedUnion('kind', [
  loggedRideSchema,
  chargeSchema,
  loggedFaultSchema,
  punctureSchema,
  serviceSchema,
  changeSchema,
  measurementSchema,
  noteSchema,
]);
export type LogEntry = z.infer<typeof logEntrySchema>;
export type EntryKind = LogEntry['kind'];
/** A line of one kind. */
export type EntryOf<K extends EntryKind> = Extract<LogEntry, { kind: K }>;
export const entryKindWords: Record<EntryKind, string> = {
  ride: 'Ride',
  charge: 'Charge',
  fault: 'Fault',
  puncture: 'Puncture',
  service: 'Service',
  change: 'Change',
  measurement: 'Measurement',
  note: 'Note',
};
export const entryKinds = Object.keys(entryKindWords) as EntryKind[];

export const MOST_ENTRIES = 6000;

/** Columns of a table, remembered by its heads: what each is, and its unit. */
const mappingSchema = z.object({
  heads: z.string().max(4000),
  columns: z.array(z.object({ head: z.string().max(200), of: z.string().max(40), unit: z.string().max(12) })).max(60),
});
export type Mapping = z.infer<typeof mappingSchema>;

/** Half a year on: would they do it again, and what was it worth. */
const reviewSchema = z.object({
  at: momentSchema,
  by: z.string().trim().max(60).default(''),
  again: z.enum(['as it is', 'otherwise', 'no']).nullable().default(null),
  answers: z.record(z.string().max(40), z.string().trim().max(1000)).default({}),
  ratings: z.record(z.string().max(40), z.int().min(1).max(5)).default({}),
});
export type Review = z.infer<typeof reviewSchema>;

/** What the handover sheet says besides what the plan knows. */
const handoverSchema = z.object({
  owner: z.string().trim().max(120).default(''),
  maker: z.string().trim().max(120).default(''),
  on: z.iso.date().nullable().default(null),
  words: z.string().trim().max(2000).default(''),
  /** Last day of each part’s guarantee, by its line of the bill. */
  guarantees: z.record(z.string().max(140), z.iso.date()).default({}),
});
export type Handover = z.infer<typeof handoverSchema>;

export const logSchema = z.object({
  entries: z.array(logEntrySchema).max(MOST_ENTRIES).default([]),
  mappings: z.array(mappingSchema).max(20).default([]),
  review: reviewSchema.nullable().default(null),
  handover: handoverSchema.prefault({}),
});
export type Log = z.infer<typeof logSchema>;

export const usualLog = (): Log => logSchema.parse({});

/** Earlier first. Moments of one shape: their letters are their order. */
export const byTime = (a: { at: string }, b: { at: string }): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0);

/** A log does not change: its lines by kind are sorted out once. */
const kindsOf = new WeakMap<readonly LogEntry[], Map<EntryKind, LogEntry[]>>();

/** Lines of one kind, in the order they were written. */
export function entriesOf<K extends EntryKind>({ entries }: Pick<Log, 'entries'>, kind: K): EntryOf<K>[] {
  let kinds = kindsOf.get(entries);
  if (!kinds) {
    kinds = new Map();
    for (const entry of entries) {
      const row = kinds.get(entry.kind);
      if (row) row.push(entry);
      else kinds.set(entry.kind, [entry]);
    }
    kindsOf.set(entries, kinds);
  }
  return [...((kinds.get(kind) as EntryOf<K>[] | undefined) ?? [])];
}
