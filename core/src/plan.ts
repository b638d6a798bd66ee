import { ridingNow, type Build } from './build.ts';
import { BRISK_CADENCE_RPM, EASY_CADENCE_RPM } from './constants.ts';
import { donorGeometry, type DonorGeometry, type Point } from './donor/geometry.ts';
import { surveyProgress, type SurveyProgress } from './donor/survey.ts';
import { worstFirst, type Area, type Finding, type Verdict } from './fit/finding.ts';
import { summariseFamilies, type FamilySummary } from './fit/families.ts';
import { judgeDonor, judgeKit, judgePack, standing, type Judgement } from './fit/judge.ts';
import { holdsBack, withOverride } from './fit/override.ts';
import { canIt, worthIt, type CanIt, type WorthIt } from './fit/worth.ts';
import type { FitContext } from './fit/rule.ts';
import { chosenPlacement, middleOf, packPlacements, type PackPlacement } from './fit/rules/packPlace.ts';
import { balanceOf, weightBudget, type Balance, type WeightBudget } from './layout/balance.ts';
import { leadsOf, placeController, type Lead } from './layout/controller.ts';
import { frameRoom } from './layout/frameRoom.ts';
import { packShape, type LoadShape } from './layout/packShape.ts';
import { clearancesOf, outlineOf, type Clearance, type Placement } from './layout/place.ts';
import { planView, type PlanShape } from './layout/planView.ts';
import type { Room } from './layout/room.ts';
import { wheelChange, type WheelChange } from './layout/wheelChange.ts';
import { kitPeakTorque } from './drive/kitTorque.ts';
import { coldFactor, nominalWh } from './pack/battery.ts';
import { packLife, type PackLife } from './pack/life.ts';
import { motorPlace, type Kit, type Pack, type PackPlace, type Shelf } from './parts/part.ts';
import { derivedSizes, type DerivedSize } from './donor/derived.ts';
import { massLines, totalMass, assembleSystem } from './plan/assemble.ts';
import { chosenParts, gearingFor, type Chosen, type Gearing } from './plan/choose.ts';
import type { Figure } from './plan/figure.ts';
import { voltsSuit } from './plan/volts.ts';
import { tallyFigures } from './plan/figures.ts';
import { cadenceNeed, gearMounts, heatNeed, neededRange, rangeNeed, roadNamed, startNeed } from './plan/needs.ts';
import { rangeBand, reckon, roadOf, roadSteepest, type RangeBand } from './plan/reckon.ts';
import { tyreRadius } from './quantity/tyre.ts';
import { simulate } from './ride/simulate.ts';
import { cadenceAt, speedAtCadence, startGrade, steadySpeed } from './ride/steady.ts';
import type { RideSystem } from './ride/system.ts';

/** A kit judged against the donor, with what it would do there. */
export interface KitCandidate extends Judgement {
  kit: Kit;
  peakTorqueNm: number;
  /** With the pack named; null where no pack on the shelf suits it. */
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
  /** By the chosen kit's use per km; null without a kit, or where volts forbid it. */
  rangeM: number | null;
  /** Cycles, price a kilometre and charging, at the same use; null where there is no range. */
  life: PackLife | null;
}

/** One gear: speeds at two cadences, cadence at cruise, and for each what it starts on and holds. */
export interface GearRow {
  label: string;
  cog: number;
  ratio: number;
  easyMs: number;
  briskMs: number;
  cadenceAtCruise: number;
  startGrade: number | null;
  climbMs: number | null;
}

/** What the drawing shows besides the donor. */
export interface PlanDrawing {
  geometry: DonorGeometry;
  motor: { place: 'front' | 'rear' | 'mid'; centre: Point; radiusM: number; name: string } | null;
  pack: {
    name: string;
    verdict: Verdict;
    clearanceM: number | null;
    outline: Point[];
    slidOff: Point[] | null;
    place: PackPlace;
  } | null;
  ringRadiusM: number;
  cogRadiusM: number;
}

/** Where everything goes, to scale. */
export interface PlanLayout {
  room: Room;
  /** The chosen pack in each of its places, best first; the one taken; null without a pack. */
  pack: {
    shape: LoadShape;
    widthM: number;
    taken: PackPlacement;
    places: PackPlacement[];
    /** Gaps of the way taken, tightest first. */
    clearances: Clearance[];
  } | null;
  controller: { lies: Placement; outline: Point[]; airy: boolean } | null;
  leads: Lead[];
  balance: Balance;
  budget: WeightBudget;
  /** What the wheels thought of would do; null where none are. */
  wheels: WheelChange | null;
  fromAbove: PlanShape[];
}

/** Everything the screens show. Derived from a build and a shelf, never edited, never stored. */
export interface BuildPlan {
  figures: Figure[];
  findings: Finding[];
  stages: Record<Area, { verdict: Verdict; counts: Record<Verdict, number> }>;
  verdict: Verdict;
  kits: KitCandidate[];
  families: FamilySummary[];
  /** The two answers: can it take a kit, and is it worth one. */
  can: CanIt;
  worth: WorthIt;
  derived: DerivedSize[];
  /** Findings that an order of the chosen kit and pack waits for. */
  holdingBack: { kit: Finding[]; pack: Finding[] };
  packs: PackCandidate[];
  gears: GearRow[];
  gearing: Gearing;
  chosen: { kit: Kit | null; pack: Pack | null };
  drawing: PlanDrawing;
  layout: PlanLayout;
  progress: SurveyProgress;
  band: RangeBand | null;
  neededRangeM: number;
  steepest: number;
  climbGrade: number;
}

/** The part of a plan that judges what was not chosen. */
export type Candidates = Pick<BuildPlan, 'kits' | 'families' | 'packs'>;

/**
 * The whole judgement and arithmetic of one build, one pure call.
 * @param build what the person said, measured and chose; @param starter parts to choose from
 * @param meanwhile candidates of an earlier plan to show until new ones are judged: leaves out the longest part
 * @returns figures with their sums, findings, candidates, gears and the drawing; all plain data
 */
export function planBuild(build: Build, starter: Shelf, meanwhile?: Candidates): BuildPlan {
  const chosen = chosenParts(build, starter);
  const { kit, pack } = chosen;
  const gearing = gearingFor(build, kit, chosen.ring, chosen.cluster);
  const geometry = donorGeometry(build.donor, ridingNow(build.brief).statureM);
  const massWith = (k: Kit | null, p: Pack | null): number => totalMass(massLines(build, k, p));
  const contextWith = (k: Kit | null, p: Pack | null): FitContext => ({
    build,
    geometry,
    systemMassKg: massWith(k, p),
    kit: k,
    pack: p,
    detail: true,
    laws: chosen.shelf.laws,
    steepest,
  });
  const steepest = roadSteepest(build);
  const context = contextWith(kit, pack);
  const road = roadOf(build);

  const suits = kit !== null && pack !== null && voltsSuit(kit, pack);
  const r = suits ? reckon(build, kit, pack, gearing, road) : null;
  const band = r ? rangeBand(r, road, simulate(r.system, road, { repeat: false }), build.brief.thereAndBack) : null;

  const findings: Finding[] = [roadNamed(build), ...judgeDonor(context).findings];
  if (kit) findings.push(...judgeKit(context, kit).findings);
  if (pack) findings.push(...judgePack(context, pack, kit).findings);
  if (r && band) findings.push(rangeNeed(build, band), startNeed(r, kit?.mid !== undefined), heatNeed(r));
  const wheel = r?.system.vehicle.wheelRadiusM ?? tyreRadius(geometry.rearTyre);
  findings.push(cadenceNeed(build, gearing, wheel), ...gearMounts(context, chosen));
  // What the brief asks is about the plan as a whole; parts and vehicle carry their own name already.
  const named = worstFirst(
    findings.map((f) => (f.subject === undefined ? withOverride({ ...f, subject: 'plan' }, build.overrides) : f)),
  );

  const climbGrade = r?.climbGrade ?? 0.06;
  const kits = meanwhile?.kits ?? kitCandidates(build, chosen, contextWith, climbGrade);
  const best = kits[0];
  const drawing = planDrawing(context, kit, pack, gearing);
  return {
    figures: tallyFigures(build, chosen, gearing, r, band),
    findings: named,
    stages: stageVerdicts(named),
    verdict: standing(named),
    kits,
    families: meanwhile?.families ?? summariseFamilies(kits),
    can: canIt(named, kit, best ? { name: best.kit.name, verdict: best.verdict } : null),
    worth: worthIt(build, named, kit, pack, kits.filter((k) => k.verdict !== 'stop').length),
    derived: derivedSizes(build.donor),
    holdingBack: {
      kit: kit ? holdsBack(named.filter((f) => f.subject === kit.id)) : [],
      pack: pack ? holdsBack(named.filter((f) => f.subject === pack.id)) : [],
    },
    packs: meanwhile?.packs ?? packCandidates(build, chosen, contextWith, r?.toEmpty.whPerKm ?? null),
    gears: gearRows(build, gearing, wheel, r?.system ?? null, climbGrade),
    gearing,
    chosen: { kit, pack },
    drawing,
    layout: planLayout(context, kit, pack, drawing.motor),
    progress: surveyProgress(build.donor),
    band,
    neededRangeM: neededRange(build),
    steepest,
    climbGrade,
  };
}

function stageVerdicts(findings: readonly Finding[]): BuildPlan['stages'] {
  const of = (area: Area): BuildPlan['stages'][Area] => {
    const here = findings.filter((f) => f.area === area);
    const counts: Record<Verdict, number> = { stop: 0, rework: 0, measure: 0, fits: 0 };
    for (const f of here) if (!f.override) counts[f.verdict]++;
    return { verdict: here.length === 0 ? 'measure' : standing(here), counts };
  };
  return { brief: of('brief'), donor: of('donor'), drive: of('drive'), pack: of('pack'), gearing: of('gearing') };
}

/** The pack a kit is shown with: the chosen one if it suits, else the first of its volts on the shelf. */
function referencePack(kit: Kit, chosen: Chosen): Pack | null {
  if (chosen.pack && voltsSuit(kit, chosen.pack)) return chosen.pack;
  return chosen.shelf.packs.find((p) => voltsSuit(kit, p) && p.chemistry !== 'lead') ?? null;
}

const verdictOrder: Record<Verdict, number> = { fits: 0, measure: 1, rework: 2, stop: 3 };

function kitCandidates(
  build: Build,
  chosen: Chosen,
  contextWith: (k: Kit | null, p: Pack | null) => FitContext,
  climbGrade: number,
): KitCandidate[] {
  return chosen.shelf.kits
    .map((kit): KitCandidate => {
      const pack = referencePack(kit, chosen);
      const judged = judgeKit(contextWith(kit, pack), kit);
      // A kit that does not go on is not reckoned further.
      if (!pack || judged.verdict === 'stop')
        return {
          kit,
          ...judged,
          peakTorqueNm: kitPeakTorque(kit),
          startGrade: null,
          topSpeedMs: null,
          climbMs: null,
          packName: pack?.name ?? null,
        };
      const system = assembleSystem(
        build,
        kit,
        pack,
        gearingFor(build, kit, kit.id === chosen.kit?.id ? chosen.ring : null, chosen.cluster),
      );
      return {
        kit,
        ...judged,
        peakTorqueNm: kitPeakTorque(kit),
        startGrade: startGrade(system),
        topSpeedMs: steadySpeed(system, 0, 1).speedMs,
        climbMs: steadySpeed(system, climbGrade, 1).speedMs,
        packName: pack.name,
      };
    })
    .sort(
      (a, b) =>
        verdictOrder[a.verdict] - verdictOrder[b.verdict] ||
        countOf(a, 'stop') - countOf(b, 'stop') ||
        countOf(a, 'rework') - countOf(b, 'rework') ||
        a.kit.price - b.kit.price,
    );
}

function countOf(judged: Judgement, verdict: Verdict): number {
  return judged.findings.filter((f) => f.verdict === verdict).length;
}

function packCandidates(
  build: Build,
  chosen: Chosen,
  contextWith: (k: Kit | null, p: Pack | null) => FitContext,
  whPerKm: number | null,
): PackCandidate[] {
  const { kit } = chosen;
  return chosen.shelf.packs
    .map((pack): PackCandidate => {
      const context = contextWith(kit, pack);
      const judged = judgePack(context, pack, kit);
      const placement =
        pack.id === chosen.pack?.id
          ? chosenPlacement(context, pack)
          : (packPlacements(context, pack)[0] as PackPlacement);
      const usable = nominalWh(pack) * pack.usable * coldFactor(pack.chemistry, build.brief.temperatureC);
      return {
        pack,
        ...judged,
        place: placement.place,
        placement,
        energyWh: nominalWh(pack),
        rangeM: whPerKm !== null && kit && voltsSuit(kit, pack) ? (usable / whPerKm) * 1000 : null,
        life:
          whPerKm !== null && kit && voltsSuit(kit, pack) ? packLife(pack, whPerKm, build.brief.temperatureC) : null,
      };
    })
    .sort(
      (a, b) =>
        verdictOrder[a.verdict] - verdictOrder[b.verdict] ||
        countOf(a, 'stop') - countOf(b, 'stop') ||
        a.pack.price - b.pack.price,
    );
}

function gearRows(
  build: Build,
  gearing: Gearing,
  wheelRadiusM: number,
  system: RideSystem | null,
  climbGrade: number,
): GearRow[] {
  return gearing.gears.map((gear): GearRow => {
    const one = system ? { ...system, vehicle: { ...system.vehicle, fixedCog: gear.cog } } : null;
    return {
      label: gear.label,
      cog: gear.cog,
      ratio: gearing.ring / gear.cog,
      easyMs: speedAtCadence(wheelRadiusM, gearing.ring, gear.cog, EASY_CADENCE_RPM),
      briskMs: speedAtCadence(wheelRadiusM, gearing.ring, gear.cog, BRISK_CADENCE_RPM),
      cadenceAtCruise: cadenceAt(build.brief.cruiseMs, wheelRadiusM, gearing.ring, gear.cog),
      startGrade: one ? startGrade(one) : null,
      climbMs: one ? steadySpeed(one, climbGrade, 1).speedMs : null,
    };
  });
}

const HALF_PITCH = 0.00635;

function planLayout(context: FitContext, kit: Kit | null, pack: Pack | null, motor: PlanDrawing['motor']): PlanLayout {
  const { build, geometry } = context;
  const { room } = frameRoom(build, geometry, kit);
  const shape = pack ? packShape(pack) : null;
  const taken = pack ? chosenPlacement(context, pack) : null;
  const laid = shape && taken?.lies ? { shape, lies: taken.lies } : null;
  const mount = taken?.lies ? room.mounts.find((m) => m.place === taken.place) : undefined;
  const controller = kit ? placeController(room, kit, laid) : null;
  const { rear, front } = build.choice.newWheels;
  return {
    room,
    pack:
      pack && shape && taken
        ? {
            shape,
            widthM: shape.widthM,
            taken,
            places: packPlacements(context, pack),
            clearances: laid && mount ? clearancesOf(room, mount, shape, laid.lies) : [],
          }
        : null,
    controller: controller
      ? { lies: controller.lies, outline: outlineOf(controller.shape, controller.lies), airy: controller.airy }
      : null,
    leads: kit ? leadsOf(geometry, kit, laid, controller) : [],
    balance: balanceOf(build, geometry, kit, pack, taken?.lies ? middleOf(taken.outline) : null, taken?.place ?? null),
    budget: weightBudget(build, kit, pack),
    wheels:
      rear || front ? wheelChange(build.donor, geometry, rear ?? geometry.rearTyre, front ?? geometry.frontTyre) : null,
    fromAbove: planView(
      geometry,
      build.donor.survey,
      taken?.lies && shape ? { outline: taken.outline, widthM: shape.widthM } : null,
      motor,
    ),
  };
}

function planDrawing(context: FitContext, kit: Kit | null, pack: Pack | null, gearing: Gearing): PlanDrawing {
  const { geometry } = context;
  const toothRadius = (teeth: number): number => HALF_PITCH / Math.sin(Math.PI / teeth);
  const placement = pack ? chosenPlacement(context, pack) : null;
  const place = kit ? motorPlace(kit) : 'mid';
  return {
    geometry,
    motor: kit
      ? {
          place,
          centre: place === 'front' ? geometry.frontAxle : place === 'rear' ? geometry.rearAxle : geometry.bracket,
          radiusM: place === 'mid' ? (kit.mid?.hangsBelowM ?? 0.06) : kit.motor.freewheels ? 0.062 : 0.112,
          name: kit.name,
        }
      : null,
    pack:
      pack && placement
        ? {
            name: pack.name,
            verdict: placement.finding.verdict,
            clearanceM: placement.clearanceM,
            outline: placement.outline,
            slidOff: placement.slidOff,
            place: placement.place,
          }
        : null,
    ringRadiusM: toothRadius(gearing.ring),
    cogRadiusM: toothRadius(
      Math.max(
        11,
        Math.round(
          Math.max(...gearing.gears.map((g) => g.cog)) > 50 ? 19 : Math.max(...gearing.gears.map((g) => g.cog)),
        ),
      ),
    ),
  };
}
