import actorRows from '@sprocket/catalogue/crossings/actors.json' with { type: 'json' };
import thingRows from '@sprocket/catalogue/crossings/things.json' with { type: 'json' };
import { rowsOf } from '../../catalogue/rows.ts';
import { surveySchema, type SurveyItemId } from '../../donor/donor.ts';
import { itemExists, surveyItem } from '../../donor/survey.ts';
import { z } from '../../reading/zod.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { worstFirst, type Verdict } from '../../verdict.ts';
import type { Finding } from '../finding.ts';

/** What a part does to a thing of the donor that it meets. */
export const crossingDoes = [
  'removes',
  'replaces',
  'covers',
  'clamps',
  'passesThrough',
  'pulls',
  'heats',
  'loads',
] as const;
export type CrossingDoes = (typeof crossingDoes)[number];
export const crossingDoesWords: Record<CrossingDoes, string> = {
  removes: 'removes',
  replaces: 'replaces',
  covers: 'covers or comes near',
  clamps: 'clamps',
  passesThrough: 'passes through',
  pulls: 'pulls on',
  heats: 'heats',
  loads: 'loads',
};

/** Where on the vehicle a thing is: what the last question for a kit asks after. */
export const thingPlaces = ['frontWheel', 'rearWheel', 'shell', 'bar', 'frame', 'loads'] as const;
export type ThingPlace = (typeof thingPlaces)[number];

/** A kind of thing that a donor has, with the survey items that say how it is. */
export const thingSchema = z.strictObject({
  words: z.string().min(1).max(80),
  where: z.enum(thingPlaces),
  items: z.array(z.enum(Object.keys(surveySchema.shape) as [SurveyItemId, ...SurveyItemId[]])),
});
export type Thing = z.infer<typeof thingSchema> & { id: string };

const ids = z.array(z.string().min(1)).min(1);
/** What a kind of part does to each thing, judged by which rules; and what it leaves alone, and why. */
export const actorSchema = z.strictObject({
  words: z.string().min(1).max(80),
  of: z.enum(['kit', 'pack', 'remedy']),
  /** Fittings of the shelf that are such a part: of remedies alone. */
  parts: ids.optional(),
  uses: z.array(z.strictObject({ does: z.array(z.enum(crossingDoes)).min(1), things: ids, by: ids })).min(1),
  apart: z.array(z.strictObject({ things: ids, why: z.string().min(1).max(200) })),
});
export type Actor = z.infer<typeof actorSchema> & { id: string };

export const things: readonly Thing[] = rowsOf<Thing>(thingRows);
export const actors: readonly Actor[] = rowsOf<Actor>(actorRows);

/** One pair of a part and a thing: judged by named rules, or of no matter, and why. */
export interface Crossing {
  thing: Thing;
  does: readonly CrossingDoes[];
  /** Ids of rules; empty where it is of no matter. */
  by: readonly string[];
  apart: string | null;
}

/** A part's row of the matrix: every thing there is, in their order. Throws where one is left unsaid. */
export function crossingsOf(actor: Actor): Crossing[] {
  return things.map((thing): Crossing => {
    const use = actor.uses.find((u) => u.things.includes(thing.id));
    const apart = actor.apart.find((a) => a.things.includes(thing.id));
    if (use) return { thing, does: use.does, by: use.by, apart: null };
    if (!apart) throw new RangeError(`${actor.id} says nothing of ${thing.id}`);
    return { thing, does: [], by: [], apart: apart.why };
  });
}

/** Whether a thing can be there at all on this vehicle, by its survey items; one without items can. */
export function thingExists(thing: Thing, { build }: Pick<PlanContext, 'build'>): boolean {
  return thing.items.length === 0 || thing.items.some((id) => itemExists(surveyItem(id), build.donor));
}

/** Kinds of part that are in question: the kit's own, what comes with it, the battery in its place, other gears, what was bought to mend. */
export function actorsIn(context: PlanContext): Actor[] {
  const { kit, pack, chosen } = context;
  const place = pack ? context.packPlace : null;
  const there: Record<string, boolean> = {
    frontHub: kit?.hub?.place === 'front',
    rearHub: kit?.hub?.place === 'rear',
    midDrive: kit?.mid !== undefined,
    sideChain: kit?.side !== undefined,
    downTubeBattery: place === 'downTube' || place === 'underDownTube',
    seatTubeBattery: place === 'seatTube' || place === 'behindSeatTube',
    bagBattery: place === 'frameBag' || place === 'topTube',
    rackBattery: place === 'rack',
    basketBattery: place === 'basket',
    boxBattery: place !== null && ['box', 'trailer', 'bar', 'underSeat', 'seatBack', 'backpack'].includes(place),
    cutOffs: kit !== null,
    barControls: kit !== null,
    loom: kit !== null,
    controllerBox: kit?.controller.place === 'its own box',
    ring: chosen.ring !== null,
    cluster: chosen.cluster !== null,
    newHubGear: chosen.hubGear !== null,
  };
  const bought = new Set(context.taken.map(({ part }) => part));
  return actors.filter((actor) => there[actor.id] === true || actor.parts?.some((part) => bought.has(part)));
}

/** How a pair stands on this build: the worst that its rules say; null where none of them applies. */
export interface StandingCrossing extends Crossing {
  verdict: Verdict | null;
  /** What its rules said, worst first. */
  found: readonly Finding[];
}

/** A part's row of the matrix, whether the build has such a part, and how each pair stands. */
export interface CrossingSheet {
  actor: Actor;
  here: boolean;
  crossings: readonly StandingCrossing[];
}

/** The whole matrix; of the parts that a build has each pair with what its rules found, and only things it may have. */
export function crossingSheets(context: PlanContext, findings: readonly Finding[]): CrossingSheet[] {
  const byRule = new Map<string, Finding[]>();
  for (const finding of findings) byRule.set(finding.rule, [...(byRule.get(finding.rule) ?? []), finding]);
  const here = new Set(actorsIn(context).map((actor) => actor.id));
  return actors.map((actor) => ({
    actor,
    here: here.has(actor.id),
    crossings: crossingsOf(actor)
      .filter(({ thing }) => thingExists(thing, context))
      .map((crossing): StandingCrossing => {
        const found = here.has(actor.id) ? worstFirst(crossing.by.flatMap((id) => byRule.get(id) ?? [])) : [];
        return { ...crossing, verdict: found[0]?.verdict ?? null, found };
      }),
  }));
}
