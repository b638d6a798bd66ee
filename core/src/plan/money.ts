import type { Finding } from '../fit/finding.ts';
import { DONOR } from '../fit/judge.ts';
import { packsJoined } from '../pack/joined.ts';
import type { Taking } from '../build/remedy.ts';
import { plannedArms, plannedWiring } from '../vehicle/vehicle.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { wiringOf } from '../wiring/wiring.ts';
import { chargerFor } from '../work/charger.ts';
import { priceOf, wantedParts, type Want, type WantedPart } from '../work/wanted.ts';

/** What a conversion takes and costs: the one price, read by tally and worth alike. */
export interface Money {
  lines: WantedPart[];
  /** Parts chosen and arms planned; remedies taken, or the usual of what wants rework; mending of the donor. */
  parts: number;
  remedies: number;
  mending: number;
  /** All three. */
  conversion: number;
  /** What the donor cost. */
  donor: number;
  /** Minutes of the remedies and the mending. */
  minutes: number;
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

/** What a plan takes, from its choice, its planned arms and its findings' remedies, and what that comes to. */
export function moneyOf(context: PlanContext, findings: readonly Finding[]): Money {
  const { build, shelf } = context;
  const wants: Want[] = [
    ...chosenWants(context),
    ...plannedArms(build, context.kit).map((taking): Want => ({ taking, kind: 'planned', by: 'choice' })),
    ...plannedWiring(build).map((taking): Want => ({ taking, kind: 'planned', by: 'wiring' })),
    // Ties, sleeve, fuse: every conversion takes them, however it is wired.
    ...(wiringOf(context)?.materials ?? []).map((taking): Want => ({ taking, kind: 'planned', by: 'wiring' })),
  ];
  let minutes = 0;
  for (const finding of findings) {
    if (finding.override) continue;
    const fix = build.fixes.find((f) => f.rule === finding.rule && f.subject === finding.subject);
    const taken = fix ? finding.remedies.find((r) => r.id === fix.remedy) : undefined;
    const remedy = taken ?? (finding.verdict === 'rework' ? finding.remedies[0] : undefined);
    if (!remedy) continue;
    const mends = finding.subject === DONOR && finding.rule.startsWith(CONDITION);
    const kind = mends ? 'mending' : taken ? 'taken' : 'usual';
    wants.push(...remedy.takes.map((taking): Want => ({ taking, kind, by: finding.rule })));
    minutes += remedy.work;
  }
  const lines = wantedParts(shelf, wants, build.bill);
  const parts = priceOf(lines, 'chosen', 'planned');
  const remedies = priceOf(lines, 'taken', 'usual');
  const mending = priceOf(lines, 'mending');
  return {
    lines,
    parts,
    remedies,
    mending,
    conversion: parts + remedies + mending,
    donor: build.donor.worth.donorPrice ?? 0,
    minutes,
  };
}
