import { usualLead, type StowPlace } from '../build/wiring.ts';
import { isProven, type Entry } from '../donor/entry.ts';
import type { Point } from '../donor/frames/point.ts';
import { chainLength, pointAlong } from '../donor/frames/chains.ts';
import { hasEnds, kindTraits } from '../donor/kinds.ts';
import { partById } from '../parts/part.ts';
import type { Extension } from '../parts/smallParts.ts';
import type { WiredLead } from './asWired.ts';
import { Net, type WaysFrom } from './boxes.ts';
import type { BoxId } from '../parts/leads.ts';
import type { Kit } from '../parts/kit.ts';
import type { Hazard, Past } from './hazards.ts';
import { PIVOT_TAKES, wayFacts } from './wayFacts.ts';
import type { Anchor, WayEdge } from './ways.ts';

/** Lead lost to each plug and each drip loop, m. Source: models, §10. */
const PLUG_TAKES = 0.05;
const LOOP_TAKES = 0.06;
/** More than this over is surplus that wants a place, m. Source: models, §10. */
const SURPLUS_FROM = 0.15;
/** Slack at full lock and over a fold where nobody measured it, m. Source: project, common ones. */
const COMMON_LOCK = 0.075;
const COMMON_FOLD = 0.15;
/** Travel of a rear end and of a fork that nobody measured, m. Source: project, common ones. */
const COMMON_TRAVEL = 0.13;
const COMMON_FORK_TRAVEL = 0.08;
/** How far a way may be off, as a share: by a string, drawn from measured sizes, drawn from common ones. Source: project. */
const WAY_ERROR = { string: 0.02, measured: 0.05, common: 0.12 } as const;
/** How far a slack may be off, m: measured, and taken as common. Source: project. */
const SLACK_ERROR = { measured: 0.01, common: 0.04 } as const;
/** A way taken with a string along the very tubes, m. Source: project, tape and string. */
const STRING_ERROR = 0.01;

/** What a needed length is made of, m. */
export interface LeadSum {
  way: number;
  lock: number;
  fold: number;
  travel: number;
  loops: number;
  plugs: number;
  slideOff: number;
}

const leadVerdicts = ['short', 'measure', 'surplus', 'right', 'unknown'] as const;
export type LeadVerdict = (typeof leadVerdicts)[number];
export const leadVerdictWords: Record<LeadVerdict, string> = {
  short: 'too short',
  measure: 'measure with a string',
  surplus: 'surplus to stow',
  right: 'right',
  unknown: 'length not known',
};

/** A lead on its way, judged. Lengths in m. */
export interface JudgedLead extends WiredLead {
  /** Its way, drawn when it is asked for. */
  draw: () => readonly WayEdge[];
  sum: LeadSum;
  neededM: number;
  /** How far the needed length may be off. */
  bandM: number;
  /** Its own length with what was put into it; null where no data says. */
  suppliedM: number | null;
  /** Supplied less needed. */
  spareM: number | null;
  verdict: LeadVerdict;
  /** What would make a short one reach. */
  fix: LeadFix | null;
  /** Extension taken, or splice made. */
  taken: { extension: Extension | null; spliceM: number } | null;
  stow: { place: StowPlace; chosen: boolean; options: StowPlace[] } | null;
  /** What it cannot help passing too near. */
  near: readonly Hazard['what'][];
}

/** A lead as the screens show it: its way as a line, and what it is tied along. */
export interface RoutedLead extends Omit<JudgedLead, 'draw'> {
  /** From box to box, side view. */
  points: Point[];
  /** Tubes it is tied along, in order. */
  along: string[];
}

export interface LeadFix {
  /** The least extension that reaches; null where none is sold that long, or the plug is not known. */
  extension: Extension | null;
  splices: boolean;
  missingM: number;
}

/** Extensions of a lead's plug, shortest first. */
export function extensionsFor(lead: Pick<WiredLead, 'plug'>, all: readonly Extension[]): Extension[] {
  const { plug } = lead;
  if (!plug) return [];
  return all.filter((e) => e.family === plug.family && e.poles === plug.poles).sort((a, b) => a.lengthM - b.lengthM);
}

/** Places where surplus may be stowed, the best first; never round the head tube, never by the crank. */
function stowOptions({ build, geometry: g }: WaysFrom, lead: WiredLead, pack: string | null): StowPlace[] {
  const { kind } = build.donor;
  const places: StowPlace[] = [];
  if (lead.from === 'junction' || lead.from === 'display') places.push('alongBar');
  if (g.box && (lead.from === 'pack' || lead.from === 'controller')) places.push('box');
  if (pack === 'frameBag' || pack === 'topTube') places.push('bag');
  if (kind === 'longtail') places.push('underDeck');
  places.push('underTube');
  if (kindTraits[kind].seat === 'saddle' && hasEnds(kind, 'rear')) places.push('behindSeatTube');
  return places;
}

/** Whether sizes that a frame's drawing hangs on were measured. */
function isDrawnFromTape({ build }: WaysFrom): boolean {
  const { survey, kind } = build.donor;
  const sizes = kindTraits[kind].boom
    ? [survey.wheelbase, survey.bracketReach, survey.bracketHeight]
    : [survey.wheelbase, survey.chainstayLength, survey.bracketHeight, survey.seatTubeLength];
  return sizes.every((e) => isProven(e));
}

/** What all leads of one conversion have in common. */
interface Common {
  /** What each slack is where a way has it, and how far it may be off, m. */
  lock: Slack;
  fold: Slack;
  /** What a motor in a sprung fork takes of its lead. */
  sprung: Slack;
  rearTravelM: number;
  rearTravelErrorM: number;
  /** How far a drawn way may be off, as a share. */
  wayError: number;
  /** Lead lost to a drip loop at each box that has one, m. */
  loopM: number;
}
interface Slack {
  isM: number;
  errorM: number;
}

function commonTo(from: WaysFrom, net: Net): Common {
  const { survey, kind } = from.build.donor;
  const error = (e: Parameters<typeof isProven>[0]): number =>
    isProven(e) ? SLACK_ERROR.measured : SLACK_ERROR.common;
  const slack = (e: Entry<number> | undefined, commonM: number): Slack => ({
    isM: e?.value ?? commonM,
    errorM: error(e),
  });
  const none: Slack = { isM: 0, errorM: 0 };
  const inFork = from.kit.hub?.place === 'front' && survey.forkKind?.value === 'suspension';
  const fork = slack(survey.forkTravel, COMMON_FORK_TRAVEL);
  return {
    lock: slack(survey.lockSlack, COMMON_LOCK),
    fold: kind === 'folding' ? slack(survey.foldSlack, COMMON_FOLD) : none,
    sprung: inFork ? { isM: fork.isM + PIVOT_TAKES, errorM: fork.errorM } : none,
    rearTravelM: survey.rearTravel?.value ?? COMMON_TRAVEL,
    rearTravelErrorM: error(survey.rearTravel),
    wayError: Math.min(
      net.calibrated && isProven(survey.headToBracket) ? WAY_ERROR.string : WAY_ERROR.common,
      isDrawnFromTape(from) ? WAY_ERROR.measured : WAY_ERROR.common,
    ),
    loopM: from.build.schools.entry === 'sealed' ? 0 : LOOP_TAKES,
  };
}

const drips = (box: BoxId): number => (box === 'controller' || box === 'motor' ? 1 : 0);

/** One lead on its way: needed, supplied, what follows. */
function routeLead(
  from: WaysFrom,
  net: Net,
  common: Common,
  lead: WiredLead,
  ends: readonly [Anchor, Anchor],
): JudgedLead {
  const { build, geometry: g } = from;
  const choice = build.wiring.leads[lead.id] ?? usualLead;
  const past = mayPass(lead, from.kit);
  const corners = choice.way.map((p): Anchor => ({ ...net.ways.hang({ x: p.xM, y: p.yM }), hops: [] }));
  const stops = corners.length > 0 ? [ends[0], ...corners, ends[1]] : ends;
  const facts = wayFacts(net.ways, stops, past, g, common.rearTravelM);
  const byString = choice.stringM;
  const way = byString ?? facts.lengthM;
  const lock = facts.turns === 0 ? 0 : common.lock.isM;
  const fold = facts.folds ? common.fold.isM : 0;
  const sprung = lead.to === 'motor' ? common.sprung.isM : 0;
  const travel = facts.travelM + sprung;
  const loops = (drips(lead.from) + drips(lead.to)) * common.loopM;
  const plugs = lead.plugs * PLUG_TAKES;
  const slideOff = lead.from === 'pack' || lead.to === 'pack' ? (from.pack?.slideOffM ?? 0) : 0;
  const sum: LeadSum = { way, lock, fold, travel, loops, plugs, slideOff };
  const neededM = way + lock + fold + travel + loops + plugs + slideOff;

  const bandM = Math.sqrt(
    (byString === null ? way * common.wayError : STRING_ERROR) ** 2 +
      (lock === 0 ? 0 : common.lock.errorM ** 2) +
      (fold === 0 ? 0 : common.fold.errorM ** 2) +
      (facts.travelM === 0 ? 0 : common.rearTravelErrorM ** 2) +
      (sprung === 0 ? 0 : common.sprung.errorM ** 2),
  );

  const ext = extensionTaken(from, lead, choice.extension, neededM - bandM - (choice.spliceM ?? 0));
  const spliceM = choice.spliceM ?? 0;
  const suppliedM = lead.lengthM === null ? null : lead.lengthM + (ext?.lengthM ?? 0) + spliceM;
  const spareM = suppliedM === null ? null : suppliedM - neededM;
  const verdict: LeadVerdict =
    spareM === null
      ? 'unknown'
      : spareM < -bandM
        ? 'short'
        : Math.abs(spareM) <= bandM
          ? 'measure'
          : spareM > SURPLUS_FROM
            ? 'surplus'
            : 'right';
  const options = verdict === 'surplus' ? stowOptions(from, lead, net.packPlace) : [];
  const place = choice.stow && options.includes(choice.stow) ? choice.stow : options[0];
  // Field by field: candidates have hundreds of leads, and a spread object costs ten times as much.
  return {
    id: lead.id,
    what: lead.what,
    from: lead.from,
    to: lead.to,
    lengthM: lead.lengthM,
    mm2: lead.mm2,
    amps: lead.amps,
    volts: lead.volts,
    colour: lead.colour,
    cores: lead.cores,
    splices: lead.splices,
    plug: lead.plug,
    socket: lead.socket,
    joint: lead.joint,
    part: lead.part,
    plugs: lead.plugs,
    draw: () => stops.slice(1).flatMap((to, i) => net.ways.route(stops[i] as Anchor, to, past)),
    sum,
    neededM,
    bandM,
    suppliedM,
    spareM,
    verdict,
    fix: verdict === 'short' && spareM !== null ? fixFor(from, lead, -spareM + (ext?.lengthM ?? 0)) : null,
    taken: ext || spliceM > 0 ? { extension: ext, spliceM } : null,
    stow: place ? { place, chosen: place === choice.stow, options } : null,
    near: facts.near,
  };
}

const HUB: Past = ['hot motor'];
const MID: Past = [];
const AT_CRANK: Past = ['crank', 'hot motor'];
const AT_WHEEL: Past = ['tyre', 'hot motor'];

/** What a lead may pass: where it ends, and a motor at the cranks where there is none. */
function mayPass({ from, to }: WiredLead, kit: Kit): Past {
  if (to === 'cadence') return AT_CRANK;
  if (to === 'speed') return AT_WHEEL;
  return kit.mid && from !== 'motor' && to !== 'motor' ? MID : HUB;
}

function fixFor({ shelf }: WaysFrom, lead: WiredLead, missingM: number): LeadFix {
  return {
    extension: extensionsFor(lead, shelf.extension).find((e) => e.lengthM >= missingM - 1e-9) ?? null,
    splices: lead.splices,
    missingM,
  };
}

/** The extension chosen for a lead; else the one that a remedy taken brought for it. */
function extensionTaken(
  { shelf, taken }: WaysFrom,
  lead: WiredLead,
  chosen: string | null,
  leastM: number,
): Extension | null {
  if (chosen !== null) {
    const part = partById(shelf, chosen);
    return part?.kind === 'extension' ? part : null;
  }
  if (taken.length === 0 || lead.lengthM === null || lead.lengthM >= leastM) return null;
  return extensionsFor(lead, shelf.extension).find((e) => taken.includes(e.id)) ?? null;
}

interface Routed {
  net: Net;
  leads: JudgedLead[];
}

/** Leads of each kit as they were last routed, and all they were routed from. */
const routed = new WeakMap<Kit, { from: readonly unknown[]; made: Routed }>();

/**
 * Every lead of a conversion on its way. What a kit's leads hang on is the same while the brief or the money is
 * edited, and of what is frozen the same object: then they are those of the last time.
 */
export function routedLeads(from: WaysFrom, wired: () => readonly WiredLead[]): Routed {
  const net = new Net(from);
  const { build, kit } = from;
  // What is not frozen may have been changed in place.
  const fixed = Object.isFrozen(build.donor) && Object.isFrozen(build.wiring) && Object.isFrozen(build.schools);
  if (!fixed) return routeAll(from, net, wired());
  const on = routedFrom(from, net);
  const before = routed.get(kit);
  if (before?.from.every((part, i) => part === on[i])) return before.made;
  const made = routeAll(from, net, wired());
  routed.set(kit, { from: on, made });
  return made;
}

/** All that a kit's leads hang on. */
function routedFrom(from: WaysFrom, net: Net): unknown[] {
  const { build, shelf } = from;
  return [
    from.geometry,
    build.donor,
    build.wiring,
    build.schools,
    build.ownParts,
    JSON.stringify(build.brief.trailer),
    from.pack,
    net.packLies,
    net.packPlace,
    shelf.control,
    shelf.extension,
    shelf.adapter,
    from.detail,
    from.taken.join(),
  ];
}

function routeAll(from: WaysFrom, net: Net, wired: readonly WiredLead[]): Routed {
  const common = commonTo(from, net);
  const leads: JudgedLead[] = [];
  for (const lead of wired) {
    const [a, b] = [net.anchor(lead.from), net.anchor(lead.to)];
    if (a && b) leads.push(routeLead(from, net, common, lead, [a, b]));
  }
  return { net, leads };
}

/** A lead with its way drawn out. */
export function drawnLead({ draw, ...lead }: JudgedLead): RoutedLead {
  const edges = draw();
  const tied = edges.filter((e) => e.role !== 'hop');
  return {
    ...lead,
    points: edges.flatMap((e, i) => (i === 0 ? e.points : e.points.slice(1))),
    along: tied.reduce<string[]>(
      (list, e) => (e.run === 'a joint' || list.at(-1) === e.run ? list : [...list, e.run]),
      [],
    ),
  };
}

/** Way on tubes that several leads share, each piece once, m. */
export function tiedOnce(leads: readonly JudgedLead[]): number {
  const pieces = new Map<string, number>();
  for (const { draw } of leads)
    for (const e of draw()) if (e.role !== 'hop') pieces.set(e.piece, Math.max(e.lengthM, pieces.get(e.piece) ?? 0));
  return [...pieces.values()].reduce((sum, m) => sum + m, 0);
}

/** Where on its way a share of a lead lies: for a label or a corner to take hold of. */
export function alongLead(lead: Pick<RoutedLead, 'points'>, share: number): Point {
  return pointAlong(lead.points, chainLength(lead.points) * share);
}
