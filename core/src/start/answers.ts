import type { Build } from '../build/build.ts';
import { usualBrief, type Aboard, type Brief, type Rider, type Route } from '../build/brief.ts';
import { answerIds, LONGEST_WORDS, type AnswerId, type Start } from '../build/start.ts';
import { commonFrame } from '../donor/common.ts';
import { emptyDonor, type Donor, type Survey } from '../donor/donor.ts';
import type { Entry } from '../donor/entry.ts';
import { kindTraits, vehicleKindWords, type VehicleKind } from '../donor/kinds.ts';
import { legalClass, legalClasses, withLaws } from '../parts/law.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import { tyreName, type TyreSize } from '../quantity/tyre.ts';
import { describedRoute, routeLength } from '../ride/route.ts';
import { readWords, type Understood } from './freeWords.ts';

/** A hill whose length nobody tells, m. Source: project. */
const USUAL_HILL = 300;
/** A hill whose steepness nobody tells, rise over run. Source: project. */
const USUAL_GRADE = 0.06;
/** A child whose weight nobody tells, kg; four years old. Source: WHO growth standards, median. */
const USUAL_CHILD = 16;
const CHILD = 'Child';

/** Tyre widths met most often on a rim of a size, m, by the bead in mm. Source: project. */
const WIDTHS: Readonly<Record<number, number>> = {
  630: 0.032,
  622: 0.037,
  590: 0.037,
  584: 0.047,
  559: 0.047,
  507: 0.047,
  451: 0.032,
  406: 0.047,
  355: 0.04,
  349: 0.037,
  305: 0.047,
};

function tyreOn({ beadM, widthM }: NonNullable<Understood['wheels']>, kind: VehicleKind): TyreSize {
  const { tyre } = commonFrame[kind];
  const same = Math.abs(tyre.beadM - beadM) < 0.002;
  return { beadM, widthM: widthM ?? (same ? tyre.widthM : (WIDTHS[Math.round(beadM * 1000)] ?? 0.04)) };
}

const entryOf = (value: unknown, typed: string): Entry<unknown> => ({
  value,
  typed,
  unit: '',
  provenance: 'recalled',
  note: '',
});

/** A donor with some items remembered so, or no longer said. What was measured since stays. */
function remembered(donor: Donor, items: Readonly<Record<string, Entry<unknown> | null>>): Donor {
  const survey = { ...donor.survey } as Record<string, Entry<unknown>>;
  for (const [id, entry] of Object.entries(items)) {
    if (survey[id] && survey[id].provenance !== 'recalled' && survey[id].provenance !== 'assumed') continue;
    if (entry === null) Reflect.deleteProperty(survey, id);
    else survey[id] = entry;
  }
  return { ...donor, survey: survey as Survey };
}

/** Both wheels, where such a vehicle has them alike; else the rear one. */
function wheelItems(kind: VehicleKind, wheels: Understood['wheels'] | null): Record<string, Entry<unknown> | null> {
  const { tyre, frontTyre } = commonFrame[kind];
  const alike = tyre.beadM === frontTyre.beadM;
  const size = wheels ? tyreOn(wheels, kind) : null;
  const entry = size && entryOf(size, tyreName(size));
  return alike ? { rearTyre: entry, frontTyre: entry } : { rearTyre: entry };
}

/** A road of a length one way with its climbs; null where neither is said. */
function roadOf(way: Understood['way'] | null, hill: Understood['hill'] | null, brief: Brief): Route | null {
  if (!way && !hill) return null;
  const total = way?.lengthM ?? brief.rangeWantedM / 2;
  const climbs = Array.from({ length: hill?.count ?? 0 }, () => {
    const grade = hill?.grade ?? USUAL_GRADE;
    const lengthM = hill?.lengthM ?? (hill?.heightM ? hill.heightM / grade : USUAL_HILL);
    return { lengthM: Math.max(10, lengthM), heightM: hill?.heightM ?? grade * lengthM };
  });
  const flatM = Math.max(10, total - climbs.reduce((sum, c) => sum + c.lengthM, 0));
  return describedRoute('described', 'Road as described', flatM, climbs, brief.route?.surface ?? 'asphalt', 1);
}

/** Way and hill as a build’s road has them; of a road that was not described, its length alone. */
export function roadSaid({ route }: Pick<Brief, 'route'>): Pick<Understood, 'way' | 'hill'> {
  if (!route) return {};
  const [climb] = route.description?.climbs ?? [];
  const count = route.description?.climbs.length ?? 0;
  return {
    way: { lengthM: routeLength(route) },
    ...(route.description
      ? {
          hill: climb
            ? { count, grade: climb.heightM / climb.lengthM, lengthM: climb.lengthM, heightM: null }
            : { count: 0, grade: null, lengthM: null, heightM: null },
        }
      : {}),
  };
}

/** The brief with so many children along, in the seats such a vehicle has for them; null takes them off again. */
function withChildren(brief: Brief, kind: VehicleKind, children: Understood['children'] | null): Brief {
  const riders = brief.riders.filter((r, i) => i === 0 || !r.name.startsWith(CHILD));
  const gone = new Set(brief.riders.flatMap((r, i) => (riders.includes(r) ? [] : [i])));
  const moved = (i: number): number => riders.indexOf(brief.riders[i] as Rider);
  const aboard = brief.aboard.flatMap((a): Aboard[] => (gone.has(a.rider) ? [] : [{ ...a, rider: moved(a.rider) }]));
  const { box } = kindTraits[kind];
  const seat = (n: number): Aboard['seat'] =>
    box ? 'box' : kind === 'longtail' ? 'deck' : n === 0 ? 'childBehind' : 'childAhead';
  const count = Math.min(children?.count ?? 0, 8 - riders.length);
  for (let n = 0; n < count; n++) {
    riders.push({
      name: count > 1 ? `${CHILD} ${n + 1}` : CHILD,
      massKg: children?.massKg ?? USUAL_CHILD,
      statureM: 1.05,
      effort: 'none',
      factor: 1,
      neverShifts: false,
      inseamM: null,
      mounting: 'any',
      ageYears: null,
    });
    aboard.push({ rider: riders.length - 1, seat: seat(n), pedals: false });
  }
  return { ...brief, riders, aboard };
}

type Said = Readonly<Partial<Record<AnswerId, 'words' | 'pointed'>>>;

/** The build with one answer given, or with its usual value again where it is null. */
function withAnswer(build: Build, id: AnswerId, says: Understood, said: Said): Build {
  const { brief, donor } = build;
  const usual = usualBrief();
  switch (id) {
    case 'kind':
      return { ...build, donor: { ...donor, kind: says.kind ?? emptyDonor().kind } };
    case 'material': {
      const entry = says.material === undefined ? null : entryOf(says.material, says.material);
      return { ...build, donor: remembered(donor, { frameMaterial: entry }) };
    }
    case 'wheels':
      return { ...build, donor: remembered(donor, wheelItems(donor.kind, says.wheels ?? null)) };
    case 'rider': {
      const massKg = says.rider?.massKg ?? usual.riders[0]?.massKg ?? 75;
      const riders = brief.riders.map((r, i) => (i === (brief.aboard[0]?.rider ?? 0) ? { ...r, massKg } : r));
      return { ...build, brief: { ...brief, riders } };
    }
    case 'children':
      return { ...build, brief: withChildren(brief, donor.kind, says.children ?? null) };
    case 'load':
      return { ...build, brief: { ...brief, cargoKg: says.load?.massKg ?? usual.cargoKg } };
    case 'way':
    case 'hill': {
      const is = roadSaid(brief);
      const part = <K extends 'way' | 'hill'>(k: K): Understood[K] | null =>
        id === k ? (says[k] ?? null) : said[k] ? (is[k] ?? null) : null;
      return { ...build, brief: { ...brief, route: roadOf(part('way'), part('hill'), brief) } };
    }
    case 'range':
      return { ...build, brief: { ...brief, rangeWantedM: says.range?.lengthM ?? usual.rangeWantedM } };
    case 'budget':
      return { ...build, brief: { ...brief, budget: says.budget?.amount ?? null } };
    case 'rules':
      return { ...build, brief: { ...brief, legalClass: says.rules?.classId ?? usual.legalClass } };
  }
}

/** What goes without saying: the way there and back is what is to be ridden between two charges. */
function implied(build: Build): Build {
  const { said } = build.start;
  if (said.range || !said.way || !build.brief.route) return build;
  return { ...build, brief: { ...build.brief, rangeWantedM: 2 * routeLength(build.brief.route) } };
}

/** Values that a file takes, so that no line of words makes a build that cannot be kept. */
function withinBounds(says: Understood): Understood {
  const held = (x: number, low: number, high: number): number => Math.max(low, Math.min(high, x));
  const { rider, load, children, way, range, budget, hill, wheels, ...rest } = says;
  return {
    ...rest,
    ...(rider && { rider: { massKg: held(rider.massKg, 5, 250) } }),
    ...(load && { load: { massKg: held(load.massKg, 0, 300) } }),
    ...(children && {
      children: {
        count: held(children.count, 0, 6),
        massKg: children.massKg === null ? null : held(children.massKg, 5, 60),
      },
    }),
    ...(way && { way: { lengthM: held(way.lengthM, 100, 500_000) } }),
    ...(range && { range: { lengthM: held(range.lengthM, 0, 500_000) } }),
    ...(budget && { budget: { amount: held(budget.amount, 0, 100_000) } }),
    ...(hill && {
      hill: {
        count: held(hill.count, 0, 10),
        grade: hill.grade === null ? null : held(hill.grade, 0.005, 0.35),
        lengthM: hill.lengthM === null ? null : held(hill.lengthM, 10, 20_000),
        heightM: hill.heightM === null ? null : held(hill.heightM, 1, 3000),
      },
    }),
    ...(wheels && {
      wheels: { beadM: wheels.beadM, widthM: wheels.widthM === null ? null : held(wheels.widthM, 0.018, 0.13) },
    }),
  };
}

/** A track is way and hills in one: where words take the place of either, neither of the track’s is said any more. */
function leaveTrack(said: Start['said'], { route }: Brief, changed: readonly AnswerId[]): void {
  if (!route || route.description || !changed.some((id) => id === 'way' || id === 'hill')) return;
  for (const id of ['way', 'hill'] as const) if (!changed.includes(id)) Reflect.deleteProperty(said, id);
}

const inOrder = (says: Understood): AnswerId[] => answerIds.filter((id) => says[id] !== undefined);

/** The build with answers pointed out; an answer that is undefined in `says` and named in `drop` is a guess again. */
export function withPointed(build: Build, says: Understood, drop: readonly AnswerId[] = []): Build {
  const held = withinBounds(says);
  const said: Start['said'] = { ...build.start.said };
  leaveTrack(said, build.brief, [...drop, ...inOrder(held)]);
  for (const id of drop) Reflect.deleteProperty(said, id);
  for (const id of inOrder(held)) said[id] = 'pointed';
  let next = build;
  for (const id of answerIds) if (drop.includes(id) || held[id] !== undefined) next = withAnswer(next, id, held, said);
  return implied({ ...next, start: { ...build.start, said } });
}

/** The build with a road that was brought in: way and hills are as it has them. */
export function withRoad(build: Build, route: Route): Build {
  const said: Start['said'] = { ...build.start.said, way: 'pointed', hill: 'pointed' };
  return implied({ ...build, brief: { ...build.brief, route }, start: { ...build.start, said } });
}

/**
 * The build with a line of free words: what it says is put in, what it said before and says no more is a guess again, and
 * what was pointed out stays unless the line now says it otherwise than before.
 */
export function withWords(build: Build, words: string): Build {
  const kept = words.slice(0, LONGEST_WORDS);
  const before = withinBounds(readWords(build.start.words).says);
  const now = withinBounds(readWords(kept).says);
  const same = (id: AnswerId): boolean => JSON.stringify(before[id]) === JSON.stringify(now[id]);
  const told = answerIds.filter((id) => now[id] !== undefined && (!same(id) || build.start.said[id] === undefined));
  const gone = answerIds.filter((id) => now[id] === undefined && build.start.said[id] === 'words');
  const said: Start['said'] = { ...build.start.said };
  leaveTrack(said, build.brief, [...gone, ...told]);
  for (const id of gone) Reflect.deleteProperty(said, id);
  for (const id of told) said[id] = 'words';
  let next = build;
  // A kind that changed moves wheels and seats with it.
  const kindMoved = told.includes('kind') || gone.includes('kind');
  for (const id of answerIds) {
    const again = kindMoved && said[id] === 'words' && (id === 'wheels' || id === 'children');
    if (told.includes(id) || gone.includes(id) || again) next = withAnswer(next, id, now, said);
  }
  return implied({ ...next, start: { words: kept, said } });
}

/** One answer as the sheet shows it. */
export interface AnswerChip {
  id: AnswerId;
  words: Phrase;
  /** Nobody said so: it is what is usual. */
  guess: boolean;
}

/** What each answer comes to, in words; null where there is nothing to say. */
function wordsOf(build: Build): Record<AnswerId, Phrase | null> {
  const { brief, donor } = build;
  const { way, hill } = roadSaid(brief);
  const rearTyre = donor.survey.rearTyre?.value ?? commonFrame[donor.kind].tyre;
  const children = brief.riders.filter((r, i) => i > 0 && r.name.startsWith(CHILD));
  const law = legalClass(brief.legalClass, withLaws(legalClasses, build.ownLaws));
  return {
    kind: phrase`${vehicleKindWords[donor.kind]}`,
    material: donor.survey.frameMaterial ? phrase`${donor.survey.frameMaterial.value}` : null,
    wheels: phrase`tyres ${tyreName(rearTyre)}`,
    rider: phrase`rider ${amount(brief.riders[brief.aboard[0]?.rider ?? 0]?.massKg ?? 75, 'mass', 0)}`,
    children:
      children.length === 0
        ? null
        : phrase`${children.length === 1 ? 'one child' : `${children.length} children`} of ${amount(children[0]?.massKg ?? 0, 'mass', 0)}`,
    load: phrase`load ${amount(brief.cargoKg, 'mass', 0)}`,
    way: way ? phrase`${amount(way.lengthM, 'way', 0)} one way` : null,
    hill: hill
      ? hill.count === 0
        ? phrase`no hills`
        : phrase`${hill.count === 1 ? 'a hill' : `${hill.count} hills`} of ${amount(hill.grade ?? 0, 'grade', 0)}, ${amount(hill.lengthM ?? 0, 'height')} long`
      : brief.route
        ? phrase`${brief.route.name}`
        : phrase`a level road`,
    range: phrase`${amount(brief.rangeWantedM, 'way', 0)} between charges`,
    budget: brief.budget === null ? phrase`no limit on cost` : phrase`up to ${amount(brief.budget, 'money')}`,
    rules: phrase`${law?.name ?? brief.legalClass}`,
  };
}

/** Answers as they stand, those given before those guessed. What was filled in elsewhere is no guess either. */
export function answerChips(build: Build): AnswerChip[] {
  const words = wordsOf(build);
  const usual = wordsOf({ ...build, brief: usualBrief(), donor: { ...emptyDonor(), kind: build.donor.kind } });
  const implicit = build.start.said.way !== undefined;
  const chips = answerIds.flatMap((id): AnswerChip[] => {
    const is = words[id];
    if (is === null) return [];
    const asUsual = JSON.stringify(is) === JSON.stringify(usual[id]) || (id === 'range' && implicit);
    const byDefault = id === 'kind' ? build.donor.kind === emptyDonor().kind : asUsual;
    return [{ id, words: is, guess: build.start.said[id] === undefined && byDefault }];
  });
  return [...chips.filter((c) => !c.guess), ...chips.filter((c) => c.guess)];
}
