import type { Build } from '../build/build.ts';
import { vehicleKindWords } from '../donor/kinds.ts';
import type { Finding } from '../fit/finding.ts';
import { againWords, reviewRatings } from '../log/review.ts';
import { packPlaceWords } from '../parts/pack.ts';
import { partById, type Shelf } from '../parts/part.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { verdictRank, worse, type Verdict } from '../verdict.ts';
import { aimKey, aims, openOf, planAims, type AimId, type AimValues } from './aims.ts';
import { planContext } from './context.ts';
import type { FigureId } from './figure.ts';
import { planChosen, wholePlan, type BuildPlan } from './planBuild.ts';
import { summaryOf, type MiniDrawing } from './summary.ts';

/** What a comparison answers, in the order it is asked. */
export const comparedGroups = ['fits', 'does', 'costs', 'vehicle', 'use'] as const;
export type ComparedGroup = (typeof comparedGroups)[number];
export const comparedGroupWords: Record<ComparedGroup, string> = {
  fits: 'Does it go on',
  does: 'What it does',
  costs: 'What it takes',
  vehicle: 'What it goes on',
  use: 'What it was like',
};

/** What one of them says on one line. */
export interface ComparedCell {
  /** Null where it has nothing to say. */
  says: Phrase | null;
  verdict: Verdict | null;
  /** Best of them on this line, and not all are. */
  best: boolean;
}

/** One line of a comparison. */
export interface ComparedRow {
  id: string;
  group: ComparedGroup;
  label: string;
  /** A cell for each that is compared. */
  cells: ComparedCell[];
  /** They do not all say the same. */
  differs: boolean;
}

/** One finding that stands otherwise on some than on others; null where the rule has nothing to say. */
export interface ComparedFinding {
  title: string;
  cells: ({ verdict: Verdict; why: Phrase } | null)[];
}

/** One of those that are compared. */
export interface ComparedSide {
  kit: string | null;
  /** The battery with its place. */
  pack: string | null;
  /** Ring and gears that are bought besides. */
  gears: string[];
  verdict: Verdict;
  drawing: MiniDrawing;
}

/** Any number of conversions side by side. */
export interface Compared {
  sides: ComparedSide[];
  rows: ComparedRow[];
  /** The gravest first. */
  findings: ComparedFinding[];
}

/** One line as it is asked of each; `key` of a figure is the larger the better, and of words nothing. */
interface Line {
  id: string;
  group: ComparedGroup;
  label: string;
  of: (one: One) => { says: Phrase | null; verdict?: Verdict; key?: number };
}

interface One {
  build: Build;
  context: PlanContext;
  plan: BuildPlan;
  aims: AimValues;
}

/** A line of one aim, best by the aim's own scale. */
const aimLine = (id: AimId, group: ComparedGroup, label: string, says: (value: number, one: One) => Phrase): Line => ({
  id,
  group,
  label,
  of: (one) => {
    const value = one.aims[id];
    return value === null ? { says: null } : { says: says(value, one), key: aimKey(id, value) };
  },
});

const counted = (id: string, label: string, of: (one: One) => number): Line => ({
  id,
  group: 'fits',
  label,
  of: (one) => ({ says: phrase`${of(one)}`, key: -of(one) }),
});

/** A figure of the tally, in its own words. */
const figureLine = (figure: FigureId, group: ComparedGroup, label: string, sign: number): Line => ({
  id: `tally-${figure}`,
  group,
  label,
  of: ({ plan }) => {
    const value = plan.figures.find((f) => f.id === figure)?.value;
    if (!value) return { says: null };
    // About as it is shown, so that what reads the same counts as the same.
    return { says: [value], ...(sign === 0 ? {} : { key: sign * Math.round(value.si * 10) }) };
  },
});

const inAHundred = (share: number): Phrase => {
  const rides = Math.round(share * 100);
  return rides > 99
    ? phrase`more than 99 rides of 100`
    : rides < 1
      ? phrase`less than 1 ride of 100`
      : phrase`${rides} rides of 100`;
};

const lines: readonly Line[] = [
  {
    id: 'can',
    group: 'fits',
    label: 'Can it?',
    of: ({ plan }) => ({ says: [plan.can.words], verdict: plan.can.verdict, key: verdictRank[plan.can.verdict] }),
  },
  { id: 'worth', group: 'fits', label: 'Worth it?', of: ({ plan }) => ({ says: [plan.worth.words] }) },
  counted('rework', 'To rework', ({ plan }) => openOf(plan.findings).rework),
  counted('measure', 'To measure', ({ plan }) => openOf(plan.findings).measure),
  {
    id: 'range',
    group: 'does',
    label: 'Range, nine rides in ten',
    of: ({ context: { band } }) =>
      !band || band.hardly
        ? { says: null }
        : {
            says: phrase`${amount(band.lowM, 'way', 0)} to ${amount(band.highM, 'way', 0)}`,
            key: Math.round(band.midM / 500),
          },
  },
  aimLine('chance', 'does', 'Comes home with its reserve', inAHundred),
  figureLine('topSpeed', 'does', 'Fast on the flat', 0),
  figureLine('startGrade', 'does', 'Steepest start', 100),
  aimLine('climb', 'does', 'Climbs the steepest at', (ms) => phrase`${amount(ms, 'speed')}`),
  aimLine('winding', 'does', 'Hottest winding', (c) => phrase`${amount(c, 'temperature')}`),
  aimLine('whPerKm', 'does', 'Use', (wh) => phrase`${amount(wh / 1000, 'energyPerWay')}`),
  aimLine('price', 'costs', aims.price.words, (money) => phrase`${amount(money, 'money')}`),
  aimLine('hours', 'costs', aims.hours.words, (hours) => phrase`${hours.toFixed(1)} h`),
  aimLine('mass', 'costs', aims.mass.words, (kg) => phrase`${amount(kg, 'mass')}`),
  aimLine('yearly', 'costs', aims.yearly.words, (money) => phrase`${amount(money, 'money')}`),
  {
    id: 'kind',
    group: 'vehicle',
    label: 'Vehicle',
    of: ({ build }) => ({ says: [vehicleKindWords[build.donor.kind]] }),
  },
  figureLine('mass', 'vehicle', 'All that moves', -1),
  {
    id: 'proven',
    group: 'vehicle',
    label: 'Measured',
    of: ({ plan: { donor } }) => ({ says: phrase`${donor.progress.proven} of ${donor.progress.total}` }),
  },
  {
    id: 'again',
    group: 'use',
    label: 'Do it again?',
    of: ({ build: { log } }) => ({ says: log.review?.again ? [againWords[log.review.again]] : null }),
  },
  ...reviewRatings.map(({ id, words }): Line => ({
    id: `rated-${id}`,
    group: 'use',
    label: words,
    of: ({ build: { log } }) => {
      const rated = log.review?.ratings[id];
      return rated === undefined ? { says: null } : { says: phrase`${rated} of 5`, key: rated };
    },
  })),
];

function rowOf({ id, group, label, of }: Line, all: readonly One[]): ComparedRow[] {
  const answers = all.map(of);
  if (answers.every(({ says }) => says === null)) return [];
  const words = answers.map(({ says }) => JSON.stringify(says));
  const keys = answers.map(({ says, key }) => (says === null ? undefined : key));
  const differs = new Set<number | string>(keys.every((k) => k !== undefined) ? keys : words).size > 1;
  const known = keys.filter((k) => k !== undefined);
  const best = known.length > 1 ? Math.max(...known) : undefined;
  const led = best !== undefined && known.some((k) => k < best);
  return [
    {
      id,
      group,
      label,
      cells: answers.map(({ says, verdict }, i) => ({
        says,
        verdict: verdict ?? null,
        best: led && keys[i] === best,
      })),
      differs,
    },
  ];
}

/** Findings by what they are called: one of a hub and one of a crank that ask the same are one line. */
function byTitle({ plan }: One): Map<string, Finding> {
  const out = new Map<string, Finding>();
  for (const finding of plan.findings) {
    if (finding.override) continue;
    const there = out.get(finding.title);
    if (!there || worse(finding.verdict, there.verdict) !== there.verdict) out.set(finding.title, finding);
  }
  return out;
}

function findingsOf(all: readonly One[]): ComparedFinding[] {
  const maps = all.map(byTitle);
  const rows = [...new Set(maps.flatMap((m) => [...m.keys()]))].flatMap((title): ComparedFinding[] => {
    const cells = maps.map((m) => {
      const f = m.get(title);
      return f ? { verdict: f.verdict, why: f.why } : null;
    });
    // What fits wherever it is asked is no difference, nor what is the same on all.
    const open = cells.filter((c) => c !== null && c.verdict !== 'fits');
    const same = cells.every((c) => c?.verdict === cells[0]?.verdict);
    return open.length === 0 || same ? [] : [{ title, cells }];
  });
  const worst = ({ cells }: ComparedFinding): number =>
    Math.min(...cells.map((c) => (c ? verdictRank[c.verdict] : verdictRank.fits)));
  return rows.sort((a, b) => worst(a) - worst(b));
}

function sideOf({ build, context, plan }: One): ComparedSide {
  const { choice } = build;
  const place = plan.drawing.pack?.place ?? choice.packPlace;
  const { kit, pack } = plan.chosen;
  return {
    kit: kit?.name ?? null,
    pack: pack ? (place ? `${pack.name} ${packPlaceWords[place]}` : pack.name) : null,
    gears: [choice.ringId, choice.clusterId, choice.hubGearId].flatMap((id) =>
      id === null ? [] : (partById(context.shelf, id)?.name ?? id),
    ),
    verdict: plan.verdict,
    drawing: summaryOf(plan).drawing,
  };
}

/**
 * Any number of builds side by side, each planned whole: what each says on every line, where they differ and which is best
 * there, and the findings that stand otherwise on one than on another.
 */
export function compared(builds: readonly Build[], starter: Shelf): Compared {
  const all = builds.map((build): One => {
    const context = planContext(build, starter);
    const chosen = planChosen(context);
    return { build, context, plan: wholePlan(build, chosen, null), aims: planAims(context, chosen) };
  });
  return { sides: all.map(sideOf), rows: lines.flatMap((line) => rowOf(line, all)), findings: findingsOf(all) };
}
