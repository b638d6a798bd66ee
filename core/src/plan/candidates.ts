import { chargerFor } from '../pack/charger.ts';
import { packHealth } from '../pack/health.ts';
import { kitPeakTorque } from '../drive/kitTorque.ts';
import { summariseFamilies, type FamilySummary } from '../fit/families.ts';
import { judgeAbout, type Judgement } from '../fit/judge.ts';
import { chosenPlacement, packPlacements, type PackPlacement } from '../layout/packPlacement.ts';
import { coldFactor, nominalVolts, nominalWh } from '../pack/battery.ts';
import { packLife, type PackLife } from '../pack/life.ts';
import { voltsSuit } from '../pack/volts.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack, PackPlace } from '../parts/pack.ts';
import { startGrade, steadySpeed } from '../ride/steady.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { onSteepest } from '../vehicle/reckon.ts';
import { systemOf } from '../vehicle/system.ts';
import { verdictRank, type Verdict } from '../verdict.ts';

/** A kit judged against the donor, with what it would do there. */
export interface KitCandidate extends Judgement {
  kit: Kit;
  peakTorqueNm: number;
  /** With the pack named; null where no pack on the shelf suits it, or the kit does not go on. */
  startGrade: number | null;
  topSpeedMs: number | null;
  climbMs: number | null;
  packName: string | null;
}

/** A pack judged against donor and kit, where it would sit, how far it would go. */
export interface PackCandidate extends Judgement {
  pack: Pack;
  place: PackPlace;
  placement: PackPlacement;
  energyWh: number;
  /** Nominal. */
  volts: number;
  /** Whether its volts are the chosen kit’s; null without a kit. */
  suits: boolean | null;
  /** By the chosen kit's use per km; null without a kit, or where volts forbid it. */
  rangeM: number | null;
  /** Cycles, price a kilometre and charging, at the same use; null where there is no range. */
  life: PackLife | null;
}

/** What was not chosen, judged: the longest part of a plan, for a worker. */
export interface Candidates {
  kits: KitCandidate[];
  families: FamilySummary[];
  packs: PackCandidate[];
}

/** Every kit and pack of the shelf on this build, best first. */
export function judgeCandidates(context: PlanContext): Candidates {
  const kits = kitCandidates(context);
  return { kits, families: summariseFamilies(kits), packs: packCandidates(context) };
}

/** The pack a kit is shown with: the chosen one if it suits, else the first of its volts on the shelf. */
export function referencePack(context: PlanContext, kit: Kit): Pack | null {
  const { pack } = context.chosen;
  if (pack && voltsSuit(kit, pack)) return pack;
  return context.shelf.pack.find((p) => voltsSuit(kit, p) && p.chemistry !== 'lead') ?? null;
}

function countOf(judged: Judgement, verdict: Verdict): number {
  return judged.findings.filter((f) => f.verdict === verdict).length;
}

/** Best verdict first, then fewest stops. */
const byVerdict = (a: Judgement, b: Judgement): number =>
  verdictRank[b.verdict] - verdictRank[a.verdict] || countOf(a, 'stop') - countOf(b, 'stop');

function kitCandidates(whole: PlanContext): KitCandidate[] {
  return whole.shelf.kit
    .map((kit): KitCandidate => {
      const pack = referencePack(whole, kit);
      const context = whole.with(kit, pack);
      const judged = judgeAbout('kit', context);
      const seen = { kit, ...judged, peakTorqueNm: kitPeakTorque(kit), packName: pack?.name ?? null };
      // A kit that does not go on is not reckoned further.
      if (!pack || judged.verdict === 'stop') return { ...seen, startGrade: null, topSpeedMs: null, climbMs: null };
      const system = systemOf(context.build, context.asItWillBe);
      const hill = onSteepest(context.build, system);
      return {
        ...seen,
        startGrade: Math.min(startGrade(hill), context.startCap.grade),
        topSpeedMs: steadySpeed(system, 0, 1).speedMs,
        climbMs: steadySpeed(hill, whole.climbGrade, 1).speedMs,
      };
    })
    .sort((a, b) => byVerdict(a, b) || countOf(a, 'rework') - countOf(b, 'rework') || a.kit.price - b.kit.price);
}

function packCandidates(whole: PlanContext): PackCandidate[] {
  const { kit } = whole;
  const { temperatureC } = whole.build.brief;
  // Before a pack is chosen, or with one of other volts, the kit rides with the pack it is shown with.
  const ridden = whole.reckoning ?? (kit ? whole.with(kit, referencePack(whole, kit)).reckoning : null);
  const whPerKm = ridden?.toEmpty.whPerKm ?? null;
  return whole.shelf.pack
    .map((pack): PackCandidate => {
      const suits = kit !== null && voltsSuit(kit, pack);
      // What could never drive the kit is placed, but not worked out to the millimetre.
      const context = whole.with(kit, pack, whole.detail && (kit === null || suits));
      const placement =
        pack.id === whole.chosen.pack?.id
          ? chosenPlacement(context, pack)
          : (packPlacements(context, pack)[0] as PackPlacement);
      const usable = nominalWh(pack) * pack.usable * packHealth(pack) * coldFactor(pack.chemistry, temperatureC);
      const rides = whPerKm !== null && suits;
      return {
        pack,
        ...judgeAbout('pack', context),
        place: placement.place,
        placement,
        energyWh: nominalWh(pack),
        volts: nominalVolts(pack),
        suits: kit === null ? null : suits,
        rangeM: rides ? (usable / whPerKm) * 1000 : null,
        life: rides ? packLife(pack, whPerKm, temperatureC, chargerFor(pack, whole.shelf)) : null,
      };
    })
    .sort((a, b) => byVerdict(a, b) || a.pack.price - b.pack.price);
}
