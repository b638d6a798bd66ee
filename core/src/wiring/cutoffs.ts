import type { CutoffWay, LeverChoice } from '../build/wiring.ts';
import type { LeverKind, LeverPull } from '../donor/options.ts';
import type { CutoffActs } from '../parts/controls.ts';

/** How near a magnet must come before its sensor sees it, where nobody measured, m. Source: models, §10. */
export const USUAL_REACH = 0.003;
/** Gaps this near the reach are not trusted: heat, dirt and a worn pivot move them, m. Source: project. */
const GAP_MARGIN = 0.0005;

/** What a cut-off comes to. Source: models, §10. */
const cutoffOutcomes = ['runsAndCuts', 'neverRuns', 'doesNotCut', 'noCutOff'] as const;
export type CutoffOutcome = (typeof cutoffOutcomes)[number];
export const cutoffOutcomeWords: Record<CutoffOutcome, string> = {
  runsAndCuts: 'runs and cuts',
  neverRuns: 'never runs',
  doesNotCut: 'does not cut',
  noCutOff: 'runs with no cut-off',
};

/** What is known of one lever's cut-off. */
export interface CutoffFrom {
  acts: CutoffActs;
  unplugged: 'runs' | 'cuts';
  reachM: number;
  restM: number | null;
  pulledM: number | null;
  pluggedIn: boolean;
}

/** One state of a lever and what the motor does in it. */
export interface CutoffState {
  state: 'rest' | 'pulled' | 'unplugged' | 'broken';
  motor: 'runs' | 'still' | 'unknown';
  why: string;
}

/** A lever's cut-off judged: the outcome, its four states, and which way to move the magnet. */
export interface CutoffSheet {
  outcome: CutoffOutcome | 'measure';
  states: CutoffState[];
  why: string;
  /** What to do; null where all is well. */
  move: string | null;
  /** A fault leaves the motor still. */
  failsSafe: boolean;
}

const magnetic = (acts: CutoffActs): boolean => acts === 'cutsWhenAway' || acts === 'cutsWhenNear';

/** Whether a cut-off cuts at a gap; a switch goes by the lever alone: pulled it cuts. */
function cutsAt(acts: CutoffActs, gapM: number, reachM: number): boolean {
  const sees = gapM < reachM;
  return acts === 'cutsWhenAway' ? !sees : sees;
}

/**
 * What a lever's cut-off comes to from its kind and its gaps at rest and pulled. A sensor sees its magnet while the
 * gap is less than its reach; one that cuts when the magnet leaves must see it at rest and not when pulled, one that
 * cuts when it comes the other way round. Pure, exact.
 */
export function cutoffSheet({ acts, unplugged, reachM, restM, pulledM, pluggedIn }: CutoffFrom): CutoffSheet {
  const cut = (gap: number | null): boolean | null => (gap === null ? null : cutsAt(acts, gap, reachM));
  const atRest = magnetic(acts) ? cut(restM) : false;
  const pulled = magnetic(acts) ? cut(pulledM) : true;
  const failsSafe = acts === 'switchOpens' || unplugged === 'cuts';
  const said = (c: boolean | null): CutoffState['motor'] => (c === null ? 'unknown' : c ? 'still' : 'runs');
  const seesWords = (gap: number | null): string =>
    !magnetic(acts)
      ? 'by its switch'
      : gap === null
        ? 'gap not measured'
        : gap < reachM
          ? `magnet ${mm(gap)} away, nearer than the ${mm(reachM)} it sees`
          : `magnet ${mm(gap)} away, beyond the ${mm(reachM)} it sees`;
  const states: CutoffState[] = [
    {
      state: 'rest',
      motor: said(pluggedIn ? atRest : unplugged === 'cuts'),
      why: pluggedIn ? seesWords(restM) : 'not plugged in',
    },
    {
      state: 'pulled',
      motor: said(pluggedIn ? pulled : unplugged === 'cuts'),
      why: pluggedIn ? seesWords(pulledM) : 'not plugged in',
    },
    {
      state: 'unplugged',
      motor: unplugged === 'cuts' ? 'still' : 'runs',
      why:
        unplugged === 'cuts'
          ? 'the controller takes a missing lead for a pulled lever'
          : 'the controller does not miss the lead',
    },
    brokenState(acts, unplugged),
  ];
  if (!pluggedIn)
    return unplugged === 'cuts'
      ? {
          outcome: 'neverRuns',
          states,
          failsSafe,
          why: 'The lead is out and the controller cuts for it.',
          move: 'Plug the lead in, or its dummy.',
        }
      : {
          outcome: 'noCutOff',
          states,
          failsSafe,
          why: 'The lead is out, and the controller does not miss it: the brake cuts nothing.',
          move: 'Plug the lead in.',
        };
  if (atRest === null || pulled === null)
    return {
      outcome: 'measure',
      states,
      failsSafe,
      why: `Gap ${restM === null ? 'at rest' : ''}${restM === null && pulledM === null ? ' and ' : ''}${pulledM === null ? 'pulled' : ''} not measured.`,
      move: 'Measure it with feeler gauges or card, or say what the motor did on the stand.',
    };
  if (atRest && pulled)
    return {
      outcome: 'neverRuns',
      states,
      failsSafe,
      why: `It cuts at rest too: ${seesWords(restM)}.`,
      move: nearerOrFurther(acts, 'rest'),
    };
  if (atRest && !pulled)
    return {
      outcome: 'neverRuns',
      states,
      failsSafe,
      why: `It is the wrong way round: cut at rest, running when pulled. ${capital(seesWords(restM))}.`,
      move:
        acts === 'cutsWhenAway'
          ? 'Turn it about: the magnet must lie by the sensor at rest and leave as you pull.'
          : 'Turn it about: the magnet must stand off at rest and come to the sensor as you pull.',
    };
  if (!pulled)
    return {
      outcome: 'doesNotCut',
      states,
      failsSafe,
      why: `Pulled, it still runs: ${seesWords(pulledM)}. Dangerous.`,
      move: nearerOrFurther(acts, 'pulled'),
    };
  const close = [restM, pulledM].some((g) => magnetic(acts) && g !== null && Math.abs(g - reachM) < GAP_MARGIN - 1e-9);
  return {
    outcome: 'runsAndCuts',
    states,
    failsSafe,
    why: magnetic(acts)
      ? `At rest ${seesWords(restM)}; pulled ${seesWords(pulledM)}.`
      : 'The switch in the lever sees to it.',
    move: close
      ? `One gap is within ${mm(GAP_MARGIN)} of what it sees: give it more, for heat and wear move it.`
      : null,
  };
}

const mm = (m: number): string => `${(m * 1000).toFixed(1)} mm`;
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** Which way the magnet must go, for the state that is wrong. */
function nearerOrFurther(acts: CutoffActs, at: 'rest' | 'pulled'): string {
  const away = acts === 'cutsWhenAway';
  if (at === 'rest')
    return away
      ? 'Move the magnet nearer the sensor at rest, or fit a longer or stronger one.'
      : 'Move the magnet further from the sensor at rest.';
  return away
    ? 'Move the magnet so that it leaves the sensor further as the lever is pulled.'
    : 'Move the magnet so that it comes nearer as the lever is pulled, or fit a longer one.';
}

/** A broken core: an open loop looks like a lead that is out. */
function brokenState(acts: CutoffActs, unplugged: 'runs' | 'cuts'): CutoffState {
  const still = acts === 'switchOpens' || unplugged === 'cuts';
  return {
    state: 'broken',
    motor: still ? 'still' : 'runs',
    why: still
      ? 'a broken core stops it: safe'
      : 'a broken core lets it run, and the lever no longer cuts: try it before each ride',
  };
}

/** What was seen on the stand, told as an outcome. */
export function cutoffSeen({
  sawAtRest,
  sawPulled,
}: Pick<LeverChoice, 'sawAtRest' | 'sawPulled'>): CutoffOutcome | null {
  if (sawAtRest === null) return null;
  if (sawAtRest === 'still') return 'neverRuns';
  return sawPulled === null ? null : sawPulled === 'still' ? 'runsAndCuts' : 'doesNotCut';
}

/** A lever as it was found; what nobody looked at is undefined. */
export interface LeverFound {
  body: LeverKind | undefined;
  pull: LeverPull | undefined;
  /** Room for a sensor on its body and a magnet on its blade. */
  sensorRoom: boolean | undefined;
  /** It holds the parking lock. */
  locks: boolean;
  /** The bar takes no straight-bar lever: a drop bar, or sticks at the sides. */
  barKeepsOwn: boolean;
}

/** Why a lever is not exchanged for another, and whether one made for it would do; null where it may be. */
function keeps({ body, pull, locks, barKeepsOwn }: LeverFound): { why: string; anyNew: boolean } | null {
  if (pull === 'hose') return { why: 'a hydraulic lever stays: another would empty the brake', anyNew: false };
  if (pull === 'rod') return { why: 'it pulls a rod; the kit’s pulls a cable', anyNew: false };
  if (body === 'withShifter') return { why: 'brake and shifter are one: another lever loses the gears', anyNew: false };
  if (body === 'dropBar' || barKeepsOwn) return { why: 'a straight-bar lever does not go on this bar', anyNew: false };
  if (pull === 'twoCables') return { why: 'it pulls two cables; the kit’s pulls one', anyNew: true };
  return locks ? { why: 'it holds the parking lock', anyNew: true } : null;
}

/** Ways a lever allows, the usual first, with why the others are not. */
export function waysFor(
  lever: LeverFound,
  brings: 'levers' | 'inLine' | 'magnets' | 'none' | undefined,
): { usual: CutoffWay; not: Partial<Record<CutoffWay, string>> } {
  const not: Partial<Record<CutoffWay, string>> = {};
  if (lever.body === 'none') {
    for (const way of ['kitLever', 'newLever', 'inLine', 'magnet', 'switch'] as const)
      not[way] = 'there is no lever on this side';
    return { usual: 'none', not };
  }
  const kept = keeps(lever);
  if (kept) {
    not.kitLever = kept.why;
    if (!kept.anyNew) not.newLever = kept.why;
  }
  if (brings !== 'levers') not.kitLever ??= 'the kit brings no levers';
  if (lever.pull === 'hose') not.inLine = 'a hose has no inner to carry the magnet';
  if (lever.pull === 'rod') not.inLine = 'a rod has no housing for the sensor to sit in';
  if (lever.sensorRoom === false) {
    not.magnet = 'sensor and magnet lie flat nowhere on it';
    not.switch = 'there is no room for a switch under its blade';
  }
  // What the kit brings first; else what does least to the lever.
  const inCable = lever.body === 'withShifter' || lever.body === 'dropBar' || lever.sensorRoom === false;
  const order: CutoffWay[] = [
    'kitLever',
    ...(brings === 'inLine' ? (['inLine'] as const) : brings === 'magnets' ? (['magnet'] as const) : []),
    ...(inCable ? (['inLine', 'magnet'] as const) : (['magnet', 'inLine'] as const)),
  ];
  return { usual: order.find((way) => not[way] === undefined) ?? 'none', not };
}
