import archetypeTable from '@sprocket/catalogue/population/archetypes.json' with { type: 'json' };
import usualTable from '@sprocket/catalogue/population/usual.json' with { type: 'json' };
import { z } from '../reading/zod.ts';
import { drawn, normalFrom, seeded } from '../quantity/random.ts';
import type { TyreSize } from '../quantity/tyre.ts';
import { commonFrame, type CommonFrame } from './common.ts';
import { type Donor, type Survey, type SurveyItemId, surveySchema } from './donor.ts';
import type { Entry } from './entry.ts';
import type { NumberItem, SurveyItem } from './items/item.ts';
import { vehicleKinds, type VehicleKind } from './kinds.ts';
import { itemExists, itemsFor, surveyItem } from './survey.ts';

/**
 * What vehicles are like that nobody has measured yet: for each kind some archetypes with their shares, each with what its
 * sizes are like and what goes with what. Figures are in the units of a workshop: mm, degrees, kg.
 */
const shares = z
  .record(z.string().min(1), z.number().positive().max(100))
  .refine((of) => Math.abs(Object.values(of).reduce((sum, share) => sum + share, 0) - 100) < 1e-6, {
    error: 'its shares do not add up to 100',
  });
const itemId = z.enum(Object.keys(surveySchema.shape) as [SurveyItemId, ...SurveyItemId[]]);
/** Only where these were found so; the first case that holds counts. */
const given = { with: z.record(z.string(), z.array(z.string()).min(1)).optional() };
const likenessSchema = z.union([
  /** Values with their shares of a hundred: choices, figures, tyres as `37-622`, teeth as `14-16-18`. */
  z.strictObject({ ...given, is: shares }),
  /** A middle and one standard deviation; over another item’s width, where that is named. */
  z.strictObject({ ...given, middle: z.number(), spread: z.number().positive(), over: itemId.optional() }),
  /** About the kind’s usual frame times this frame’s own size: one standard deviation, as a share. */
  z.strictObject({ ...given, ofUsual: z.number().positive().max(0.5) }),
  /** As another item of the same vehicle. */
  z.strictObject({ ...given, same: itemId }),
]);
type Likeness = z.infer<typeof likenessSchema>;

/** What an item is like: one case, or several of which the first that holds counts. */
export const likenessesSchema = z.union([likenessSchema, z.array(likenessSchema).min(1)]);
type Likenesses = z.infer<typeof likenessesSchema>;

/** A row of archetypes: how many of a hundred vehicles of some kinds are such, and what sets them apart. */
export const archetypeSchema = z.strictObject({
  words: z.string().min(1).max(120),
  of: z.partialRecord(z.enum(vehicleKinds), z.number().positive().max(100)),
  source: z.string().min(1).max(200),
  sizes: z.partialRecord(itemId, likenessesSchema),
});
type Archetype = z.infer<typeof archetypeSchema>;

const archetypes = archetypeTable as unknown as Readonly<Record<string, Archetype>>;
const usual = usualTable as unknown as Partial<Record<SurveyItemId, Likenesses>>;

/** Frames of one kind differ in size by so much, one standard deviation, and hardly by more than thrice. Source: project. */
const FRAME_SPREAD = 0.045;
/** A figure that is not among an archetype’s is met there now and then. Source: project. */
const ODD = 0.003;
/** Ways to have come by what is known that are weighed for each archetype. Source: project. */
const TRIES = 3;

const perUnit = (item: NumberItem): number =>
  item.dimension === 'size' ? 0.001 : item.dimension === 'angle' ? Math.PI / 180 : 1;

/** Where neither archetype nor table says anything: what the survey calls common. Source: project. */
function fallback(item: SurveyItem): Likeness {
  if (item.type === 'choice') {
    const values = item.options.map((o) => o.value);
    const rest = item.commonly === undefined ? 100 / values.length : 20 / (values.length - 1);
    return { is: Object.fromEntries(values.map((v) => [v, v === item.commonly ? 80 : rest])) };
  }
  if (item.type !== 'number') return { is: item.type === 'tyre' ? { '47-559': 100 } : { '18': 100 } };
  const unit = perUnit(item);
  if (item.common.length > 0) {
    const weights = item.common.map((_, i) => 0.5 ** i);
    const all = weights.reduce((a, b) => a + b, 0);
    return {
      is: Object.fromEntries(item.common.map((v, i) => [String(v / unit), ((weights[i] as number) / all) * 100])),
    };
  }
  return { middle: (item.low + item.high) / 2 / unit, spread: (item.high - item.low) / 6 / unit };
}

const LENGTHS: Partial<Record<SurveyItemId, keyof CommonFrame>> = { vehicleMass: 'vehicleMass' };
const usualLength = (id: SurveyItemId, kind: VehicleKind): number | null => {
  const value = commonFrame[kind][(LENGTHS[id] ?? id) as keyof CommonFrame];
  return typeof value === 'number' && value > 0 ? value : null;
};

const tyreOf = (name: string): TyreSize => {
  const [width = 0, bead = 0] = name.split('-').map(Number);
  return { beadM: bead / 1000, widthM: width / 1000 };
};
const teethOf = (name: string): number[] => name.split('-').map(Number);

/** A value of a table as the survey has it. */
function valueOf(item: SurveyItem, name: string): unknown {
  if (item.type === 'choice') return name;
  if (item.type === 'tyre') return tyreOf(name);
  if (item.type === 'teeth') return teethOf(name);
  return Number(name) * perUnit(item);
}

/** Whether a value that is known is the one a table names, as near as a tape reads it. */
function agrees(item: SurveyItem, known: unknown, name: string): boolean {
  if (item.type === 'choice') return known === name;
  if (item.type === 'tyre') {
    const tyre = tyreOf(name);
    const { beadM, widthM } = known as TyreSize;
    return Math.abs(beadM - tyre.beadM) < 0.004 && Math.abs(widthM - tyre.widthM) < 0.012;
  }
  if (item.type === 'teeth') return (known as number[]).length === teethOf(name).length;
  const value = Number(name) * perUnit(item);
  return Math.abs((known as number) - value) <= Math.max(item.dimension === 'size' ? 0.001 : 0, value * 0.01);
}

/** Kept in a draw: what somebody looked at, or remembers. A guess is drawn anew. */
const isKnown = (entry: Entry<unknown> | undefined): boolean => entry !== undefined && entry.provenance !== 'assumed';

/** One vehicle that is being drawn. */
class Drawing {
  readonly survey: Record<string, Entry<unknown>>;
  private readonly kind: VehicleKind;
  private readonly archetype: Archetype;
  private readonly next: () => number;
  private readonly frame: number;
  private readonly known: ReadonlySet<string>;
  private readonly busy = new Set<SurveyItemId>();

  constructor(donor: Donor, known: Record<string, Entry<unknown>>, archetype: Archetype, next: () => number) {
    this.kind = donor.kind;
    this.survey = { ...known };
    this.known = new Set(Object.keys(known));
    this.archetype = archetype;
    this.next = next;
    this.frame = this.frameSize();
  }

  /** This frame against its kind’s usual one: by the lengths that are known, else drawn. */
  private frameSize(): number {
    const known = (['seatTubeLength', 'seatSide', 'downSide', 'topSide'] as const).flatMap((id) => {
      const entry = this.survey[id];
      const common = usualLength(id, this.kind);
      return entry && common !== null ? [(entry.value as number) / common] : [];
    });
    const drawn = Math.max(-3, Math.min(3, normalFrom(this.next)));
    return known.length > 0 ? known.reduce((a, b) => a + b, 0) / known.length : 1 + drawn * FRAME_SPREAD;
  }

  /** What an item is like on this vehicle; what that hangs on is drawn first. */
  private likeness(item: SurveyItem): Likeness {
    const said = this.archetype.sizes[item.id] ?? usual[item.id] ?? fallback(item);
    if (!Array.isArray(said)) return said;
    return said.find((one) => this.holds(one.with)) ?? (said.at(-1) as Likeness);
  }

  private holds(these: Likeness['with']): boolean {
    return Object.entries(these ?? {}).every(([id, values]) => {
      this.draw(surveyItem(id as SurveyItemId));
      const value = this.survey[id]?.value;
      return typeof value === 'string' && values.includes(value);
    });
  }

  draw(item: SurveyItem): void {
    if (this.survey[item.id] !== undefined || this.busy.has(item.id)) return;
    if (!itemExists(item, { kind: this.kind, survey: this.survey as Survey })) return;
    this.busy.add(item.id);
    const value = this.valueLike(item, this.likeness(item));
    this.busy.delete(item.id);
    this.survey[item.id] = { value, typed: '', unit: '', provenance: 'measured', note: '' };
  }

  private valueLike(item: SurveyItem, like: Likeness): unknown {
    if ('is' in like) {
      const names = Object.keys(like.is);
      return valueOf(item, names[drawn(Object.values(like.is), this.next())] as string);
    }
    if ('same' in like) return this.other(like.same) ?? this.valueLike(item, fallback(item));
    if (item.type !== 'number') return this.valueLike(item, fallback(item));
    const off = normalFrom(this.next);
    if ('ofUsual' in like) {
      const common = usualLength(item.id, this.kind);
      if (common === null) return this.valueLike(item, fallback(item));
      const scale = item.id === 'vehicleMass' ? 1 : this.frame;
      return within(item, common * scale * (1 + Math.max(-3, Math.min(3, off)) * like.ofUsual));
    }
    const unit = perUnit(item);
    const base = like.over === undefined ? 0 : ((this.other(like.over) as TyreSize | undefined)?.widthM ?? 0);
    return within(item, base + (like.middle + off * like.spread) * unit);
  }

  private other(id: SurveyItemId): unknown {
    this.draw(surveyItem(id));
    return this.survey[id]?.value;
  }

  /** How likely what is known is on such a vehicle, up to a factor that is the same for all. */
  likelihood(known: readonly SurveyItem[]): number {
    let all = 1;
    for (const item of known) {
      const like = this.likeness(item);
      const value = this.survey[item.id]?.value;
      if ('is' in like) {
        const name = Object.keys(like.is).find((n) => agrees(item, value, n));
        all *= Math.max(ODD, name === undefined ? 0 : (like.is[name] as number) / 100);
      } else if ('middle' in like && item.type === 'number' && like.over === undefined) {
        const z = ((value as number) / perUnit(item) - like.middle) / like.spread;
        all *= Math.max(ODD, Math.exp((-z * z) / 2));
      }
    }
    return all;
  }

  /** Draws all that is still open; what is only asked once another is known is among it. */
  finish(): void {
    for (let before = -1; before !== Object.keys(this.survey).length;) {
      before = Object.keys(this.survey).length;
      for (const item of itemsFor({ kind: this.kind, survey: this.survey as Survey })) this.draw(item);
    }
    // What was asked only while something else was not known is not asked any more.
    for (const id of Object.keys(this.survey) as SurveyItemId[])
      if (!this.known.has(id) && !itemExists(surveyItem(id), { kind: this.kind, survey: this.survey as Survey }))
        Reflect.deleteProperty(this.survey, id);
  }
}

/** A figure within what is plausible, to what a tape or caliper shows. */
function within({ low, high, dimension }: NumberItem, value: number): number {
  const step = dimension === 'size' ? (value < 0.06 ? 1e-4 : 1e-3) : dimension === 'count' ? 1 : 0.01;
  const kept = Math.max(low, Math.min(high, value));
  return Math.round(kept / step) * step;
}

/** A vehicle as it might turn out to be. */
export interface DrawnDonor {
  donor: Donor;
  /** What it is like, by the archetype’s id. */
  archetype: string;
}

/**
 * A vehicle such as this one might be, by what is known of it: an archetype by its share and by how well it agrees with
 * that, then all that nobody has looked at. What was measured, or is remembered, stays as it is; a donor wholly known draws
 * itself. Same donor and seed, same vehicle.
 */
export function drawnDonor(donor: Donor, seed: number): DrawnDonor {
  const next = seeded(seed);
  const all = donor.survey as Record<string, Entry<unknown> | undefined>;
  const items = itemsFor(donor).filter((item) => isKnown(all[item.id]));
  const known = Object.fromEntries(Object.entries(all).filter((e): e is [string, Entry<unknown>] => isKnown(e[1])));
  const kinds = Object.entries(archetypes).filter(([, a]) => a.of[donor.kind] !== undefined);
  const drawings = kinds.flatMap(([id, archetype]) =>
    Array.from({ length: items.length === 0 ? 1 : TRIES }, () => {
      const drawing = new Drawing(donor, known, archetype, next);
      return { id, drawing, weight: (archetype.of[donor.kind] ?? 0) * drawing.likelihood(items) };
    }),
  );
  const taken =
    drawings[
      drawn(
        drawings.map((d) => d.weight),
        next(),
      )
    ];
  if (!taken) throw new RangeError(`no archetype of ${donor.kind}`);
  taken.drawing.finish();
  return { donor: { ...donor, survey: taken.drawing.survey as Survey }, archetype: taken.id };
}

/** What an archetype is called. */
export const archetypeWords = (id: string): string => archetypes[id]?.words ?? id;
