import type { Finding } from '../fit/finding.ts';
import { DONOR } from '../fit/judge.ts';
import { packsJoined } from '../pack/joined.ts';
import type { Taking } from '../build/remedy.ts';
import { plannedArms, plannedWiring } from '../vehicle/vehicle.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { extensionsFor } from '../wiring/extensions.ts';
import { wiredOf } from '../wiring/wiring.ts';
import { chargerFor } from '../pack/charger.ts';
import { benchNeeds, benchWants, type BenchNeed } from '../work/steps/needs.ts';
import type { BuildStep } from '../work/steps/step.ts';
import { doingsOf, stepsOf, type Doing } from '../work/steps/steps.ts';
import { priceOf, wantedParts, type Want, type WantedPart } from '../work/wanted.ts';

/** What a conversion takes and costs: the one price, read by tally and worth alike. */
export interface Money {
  lines: WantedPart[];
  /** Parts chosen and arms planned; remedies taken, or the usual of what wants rework; mending of the donor. */
  parts: number;
  remedies: number;
  mending: number;
  /** Tools and supplies that are to be bought or hired. */
  bench: number;
  /** All four. */
  conversion: number;
  /** What the donor cost. */
  donor: number;
  /** Minutes of the remedies and the mending. */
  minutes: number;
}

/** What is done at the bench, and the tools and supplies for it. */
export interface BenchWork {
  steps: BuildStep[];
  needs: BenchNeed[];
}

const CONDITION = 'condition-';

/** The parts chosen by name, one of each; of a battery as many as are joined. */
function chosenWants({ build, chosen, kit, pack, shelf }: PlanContext): Want[] {
  const { ring, cluster, hubGear } = chosen;
  const { packAlone } = chosen;
  const count = packAlone && pack === chosen.pack ? packsJoined(packAlone, build.wiring.packs) : 1;
  const place = kit?.hub ? (`${kit.hub.place} wheel` as const) : 'bracket';
  const want = (part: { id: string; price: number } | null, at: Taking['place'], count = 1, by = 'choice'): Want[] =>
    part ? [{ taking: { part: part.id, count, place: at, price: part.price }, kind: 'chosen', by }] : [];
  return [
    ...want(kit, place),
    ...want(pack, 'pack', count),
    ...want(pack ? chargerFor(pack, shelf) : null, 'pack', 1, 'charger'),
    ...want(ring, 'bracket'),
    ...want(cluster, 'rear wheel'),
    ...want(hubGear, 'rear wheel'),
  ];
}

/** All that a plan takes but for the bench: its choice, planned arms and wiring, its findings' remedies, its repairs. */
export function wantsOf(context: PlanContext, findings: readonly Finding[], doings: readonly Doing[]): Want[] {
  const { build } = context;
  const wired = wiredOf(context);
  const wants: Want[] = [
    ...chosenWants(context),
    ...plannedArms(build, context.kit).map((taking): Want => ({ taking, kind: 'planned', by: 'choice' })),
    ...plannedWiring(build).map((taking): Want => ({ taking, kind: 'planned', by: 'wiring' })),
    // Ties, sleeve, fuse: every conversion takes them, however it is wired.
    ...(wired?.materials ?? []).map((taking): Want => ({ taking, kind: 'planned', by: 'wiring' })),
  ];
  for (const { finding, remedy, taken } of doings) {
    const mends = finding.subject === DONOR && finding.rule.startsWith(CONDITION);
    const kind = mends ? 'mending' : taken ? 'taken' : 'usual';
    wants.push(...remedy.takes.map((taking): Want => ({ taking, kind, by: finding.rule })));
  }
  // Short as drawn, on ways that nobody measured yet: what wiring asks for is on the bill, proposed like any usual remedy.
  if (findings.some((f) => f.rule === 'lead-lengths' && f.verdict === 'measure' && !f.override))
    wants.push(
      ...extensionsFor(wired?.leads ?? []).map((taking): Want => ({ taking, kind: 'usual', by: 'lead-lengths' })),
    );
  // What was decided on to cure a fault is bought as a remedy that was taken is.
  for (const repair of build.proving.repairs)
    wants.push(...repair.takes.map((taking): Want => ({ taking, kind: 'taken', by: `repair:${repair.repair}` })));
  return wants;
}

/** What a plan takes, from its choice, its planned arms, its findings' remedies and its bench, and what that comes to. */
export function moneyOf(context: PlanContext, findings: readonly Finding[]): { money: Money; work: BenchWork } {
  const { build, shelf } = context;
  const doings = doingsOf(build, findings);
  const wants = wantsOf(context, findings, doings);
  const steps = stepsOf(context, doings);
  const needs = benchNeeds(steps, shelf, build.bill, new Set(wants.map((w) => w.taking.part)));
  wants.push(...benchWants(needs));
  const lines = wantedParts(shelf, wants, build.bill);
  const parts = priceOf(lines, 'chosen', 'planned');
  const remedies = priceOf(lines, 'taken', 'usual');
  const mending = priceOf(lines, 'mending');
  const bench = priceOf(lines, 'bench');
  return {
    money: {
      lines,
      parts,
      remedies,
      mending,
      bench,
      conversion: parts + remedies + mending + bench,
      donor: build.donor.worth.donorPrice ?? 0,
      minutes: doings.reduce((sum, { remedy }) => sum + remedy.work, 0),
    },
    work: { steps, needs },
  };
}
