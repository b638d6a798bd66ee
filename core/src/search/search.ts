import type { Build } from '../build/build.ts';
import type { Choice } from '../build/choice.ts';
import { rulesAbout, standing } from '../fit/judge.ts';
import type { Finding } from '../fit/finding.ts';
import type { Rule } from '../fit/rule.ts';
import type { Shelf } from '../parts/part.ts';
import {
  aimsOfOneRide,
  openAim,
  openOf,
  riddenAims,
  standingAims,
  usualAims,
  type AimId,
  type AimValues,
} from '../plan/aims.ts';
import { budgetOpen } from '../plan/budget.ts';
import { wantsOf } from '../plan/money.ts';
import type { Steps } from '../steps.ts';
import { worse, type Verdict } from '../verdict.ts';
import { doingsOf, minutesOf, type Doing } from '../work/steps/steps.ts';
import { priceOf, wantedParts } from '../work/wanted.ts';
import { slots, spaceOf, walk, type KitSpace } from './candidates.ts';
import { Front, keysOf } from './front.ts';
import { Bench, choiceAt, type Position, type TrackedContext } from './tracked.ts';

/** What is asked of a search. */
export interface SearchOptions {
  /** Aims that the front is drawn by. */
  aims: readonly AimId[];
  /** Nothing passed over and nothing left unriddenRules: slow, and the same front. */
  all: boolean;
  /** Kits to look at, by id; null for the whole shelf. */
  kits: readonly string[] | null;
}

/** Options where nobody says otherwise. */
export const usualSearch: SearchOptions = { aims: usualAims, all: false, kits: null };

/** A conversion that stands, with what it comes to. */
export interface Candidate {
  choice: Choice;
  verdict: Verdict;
  aims: AimValues;
  /** The band of its range, m; null where it cannot be ridden. */
  range: { lowM: number; midM: number; highM: number } | null;
  /** The steepest start, rise over run. */
  startGrade: number | null;
  /** Findings that are open; of those to rework, how many are the law’s. */
  open: { rework: number; measure: number; law: number };
}

/** How the conversions of one kit fare. */
export interface KitFate {
  kit: string;
  standing: number;
  /** What stopped most of the others, by its title; null where nothing was stopped. */
  stoppedBy: string | null;
  /** True where that is so only of a vehicle as its kind usually is: nobody measured it here. */
  usually?: boolean;
}

/** How far a search is. */
export interface SearchResult {
  /** Conversions that the shelf allows; of them those that no finding stops; of them those that were ridden. */
  counted: number;
  standing: number;
  ridden: number;
  /** Cheapest first. */
  front: Candidate[];
  /** Of each kit looked at so far. */
  kits: KitFate[];
}

/** One that no finding stops, as far as it is known without a ride. */
interface Standing extends Placed {
  position: Position;
  verdict: Verdict;
  open: Candidate['open'];
  /** Open: at least; the ride may show more. */
  aims: Omit<AimValues, 'chance' | 'winding' | 'whPerKm' | 'yearly'>;
}

const rules: readonly Rule[] = [...rulesAbout.donor, ...rulesAbout.plan, ...rulesAbout.kit, ...rulesAbout.pack];
const ridden = rules.filter((rule) => rule.rides === true);
const lawful = new Set(rules.filter((rule) => rule.group === 'law').map((rule) => rule.id));
export const unriddenRules = rules
  .filter((rule) => rule.rides !== true)
  .sort((a, b) => Number(a.dear === true) - Number(b.dear === true));

/** Slot of each dimension, slowest first: a hub gear and a cluster are one slot; arms and limit are none. */
const SLOT_OF = [0, 1, 2, 3, 3, 4, 4, 4];

/** The last slot that some dimensions, as bits, reach to; -1 where they are none. */
function lastSlot(bits: number): number {
  let last = -1;
  for (let i = 0; i < SLOT_OF.length; i++) if ((bits & (1 << i)) !== 0) last = SLOT_OF[i] as number;
  return last;
}

const stops = (finding: Finding | null): boolean => finding?.verdict === 'stop' && !finding.override;

/** Out by a finding, with the slot by which it is. */
interface Out {
  out: number;
  by: string;
}

/** The findings of a candidate but for those of its ride; null with the slot by which it is out. */
export function judgedOn(context: TrackedContext, order: Rule[]): Out | { findings: Finding[] } {
  const findings: Finding[] = [];
  for (let i = 0; i < order.length; i++) {
    const rule = order[i] as Rule;
    const finding = context.findingOf(rule);
    if (finding) findings.push(finding);
    if (!stops(finding)) continue;
    // What stopped one mostly stops the next as well: asked first, it spares the others.
    if (i > 0) {
      order.splice(i, 1);
      order.unshift(rule);
    }
    return { out: Math.max(0, lastSlot(context.hangsOn(rule))), by: finding?.title ?? '' };
  }
  return { findings };
}

/** Of what is to be reworked, how much is the law’s. */
export const lawOf = (findings: readonly Finding[]): number =>
  openOf(findings.filter((f) => lawful.has(f.rule))).rework;

/** Price and hours of a candidate from its findings, by the same sums as a plan's. */
export function costOf(context: TrackedContext, findings: readonly Finding[]): { price: number; hours: number } {
  const { build, shelf } = context;
  const doings = (): Doing[] =>
    context.same('doings', () =>
      doingsOf(
        build,
        unriddenRules.flatMap((rule) => context.findingOf(rule) ?? []),
      ),
    );
  const lines = wantedParts(shelf, wantsOf(context, findings, doings()), build.bill);
  return { price: priceOf(lines), hours: context.ask('minutes', () => minutesOf(context, doings())) / 60 };
}

/** Cheapest first; of equals the first by its parts’ names. */
const cheapest = (a: Placed, b: Placed): number =>
  (a.aims.price ?? 0) - (b.aims.price ?? 0) || (a.name < b.name ? -1 : a.name > b.name ? 1 : 0);

interface Placed {
  name: string;
  aims: Pick<AimValues, 'price'>;
}

const nameOf = ({ kitId, packId, packPlace, hubGearId, clusterId, ringId, torqueArms }: Choice): string =>
  [kitId, packId, packPlace, hubGearId, clusterId, ringId, torqueArms].join(' ');

/** Searches over different kits of one build as one: the front of all their fronts. */
export function searchedTogether(parts: readonly SearchResult[], aims: readonly AimId[]): SearchResult {
  const front = new Front<Candidate & Placed>(cheapest);
  for (const part of parts)
    for (const one of part.front) front.take(keysOf(aims, one.aims), { ...one, name: nameOf(one.choice) });
  const sum = (of: (part: SearchResult) => number): number => parts.reduce((all, part) => all + of(part), 0);
  return {
    counted: sum((p) => p.counted),
    standing: sum((p) => p.standing),
    ridden: sum((p) => p.ridden),
    front: front.list.map(({ name: _name, ...candidate }) => candidate),
    kits: parts.flatMap((p) => p.kits),
  };
}

/**
 * Every conversion that the shelf allows on a donor, and of those that no finding stops the front: nobody on it is beaten
 * on every aim. A candidate is judged by the plan's own rules, each asked once for each tuple of what it reads; ridden are
 * only those that nobody beats whatever their ride would come to. Same build, shelf and options, same answer.
 * Steps end after a kit or a ride; `result` may be looked at after each.
 */
export class ShelfSearch {
  readonly result: SearchResult = { counted: 0, standing: 0, ridden: 0, front: [], kits: [] };
  private readonly bench: Bench;
  private readonly spaces: KitSpace[];
  private readonly options: SearchOptions;
  private readonly front = new Front<Standing & { candidate?: Candidate }>(cheapest);

  constructor(build: Build, starter: Shelf, options: SearchOptions = usualSearch) {
    this.bench = new Bench(build, starter);
    this.options = options;
    const { kits } = options;
    this.spaces = spaceOf(build, this.bench.shelf).filter(({ kit }) => kits === null || kits.includes(kit.id));
    this.result.counted = this.spaces.reduce((sum, s) => sum + s.count, 0);
  }

  *steps(): Steps<SearchResult> {
    for (const space of this.spaces) {
      const found: Standing[] = [];
      this.standingOf(space, found);
      this.result.standing += found.length;
      yield;
      for (const one of found.sort(cheapest)) {
        const { aims, all } = this.options;
        if (!all && this.front.beats(keysOf(aims, one.aims), one)) continue;
        // One ride to empty shows what a dozen more are worth: a band is only ridden where it could still matter.
        if (!all && this.front.beats(keysOf(aims, this.riddenOnce(one)), one)) continue;
        const candidate = this.ride(one);
        this.result.ridden++;
        if (candidate && this.front.take(keysOf(aims, candidate.aims), { ...one, candidate }))
          this.result.front = this.front.list.map((m) => m.candidate as Candidate);
        yield;
      }
    }
    return this.result;
  }

  private standingOf(space: KitSpace, found: Standing[]): void {
    const order = [...unriddenRules];
    const stopped = new Map<string, number>();
    walk(space, (at) => {
      const armed = this.armed(at, space.arms, order);
      if ('out' in armed) {
        stopped.set(armed.by, (stopped.get(armed.by) ?? 0) + 1);
        return this.options.all ? null : armed.out;
      }
      const { position, findings } = armed;
      const context = this.bench.set(position);
      const { price, hours } = costOf(context, findings);
      const budget = budgetOpen(context.build, price);
      const { rework, measure } = openOf(findings);
      const open = { rework: rework + (budget === 'rework' ? 1 : 0), measure, law: lawOf(findings) };
      found.push({
        position,
        verdict: worse(standing(findings), budget),
        open,
        aims: { price, hours, ...standingAims(context), open: openAim(open) },
        name: nameOf(choiceAt(this.bench.base.choice, position)),
      });
      return null;
    });
    const [most] = [...stopped].sort(([, a], [, b]) => b - a);
    this.result.kits.push({ kit: space.kit.id, standing: found.length, stoppedBy: most?.[0] ?? null });
  }

  /** A candidate with the fewest arms with which the fewest of its findings are open, gravest first; or by what it is out. */
  private armed(
    at: Position,
    arms: readonly number[],
    order: Rule[],
  ): Out | { position: Position; findings: Finding[] } {
    let out: Out = { out: slots.length, by: '' };
    let best: { position: Position; findings: Finding[]; open: number } | null = null;
    for (const n of arms) {
      const position = { ...at, arms: n };
      const answer = judgedOn(this.bench.set(position), order);
      if ('out' in answer) {
        // What hangs on the slots alone is so with any arms.
        if (answer.out < slots.length - 1) return answer;
        if (answer.out <= out.out) out = answer;
        continue;
      }
      const open = openAim(openOf(answer.findings));
      if (!best || open < best.open) best = { position, findings: answer.findings, open };
    }
    return best ?? out;
  }

  /** A candidate’s aims by one ride to empty: of its chance only what it is at best. */
  private riddenOnce({ position, aims }: Standing): Partial<AimValues> {
    const context = this.bench.set(position);
    return { ...aims, ...context.ask('aims of one ride', () => aimsOfOneRide(context)) };
  }

  /** A candidate with its ride; null where what the ride shows stops it. */
  private ride({ position, verdict, aims, open }: Standing): Candidate | null {
    const context = this.bench.set(position);
    const findings = ridden.flatMap((rule) => context.findingOf(rule) ?? []);
    if (findings.some(stops)) return null;
    const { band, start } = context;
    const more = openOf(findings);
    const all = { rework: open.rework + more.rework, measure: open.measure + more.measure, law: open.law };
    return {
      choice: choiceAt(this.bench.base.choice, position),
      verdict: findings.length === 0 ? verdict : worse(verdict, standing(findings)),
      aims: { ...aims, ...context.ask('ridden aims', () => riddenAims(context)), open: openAim(all) },
      range: band && { lowM: band.lowM, midM: band.midM, highM: band.highM },
      startGrade: start && start.grade,
      open: all,
    };
  }
}
