import type { riderFits, Worth } from '../donor/donor.ts';
import type { Build } from '../build/build.ts';
import type { Kit } from '../parts/kit.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import type { Finding } from './finding.ts';
import type { Verdict } from '../verdict.ts';
import { headOf } from './judge.ts';

/** "Can it": the verdict on vehicle, kit and pack together, with what decides it. */
export interface CanIt {
  verdict: Verdict;
  words: string;
  why: Phrase;
}

const worthAnswers = ['yes', 'even', 'no', 'unknown'] as const;
export type WorthAnswer = (typeof worthAnswers)[number];

/** One thing weighed: what it says, and how much it weighs, from −4 against to +4 for. Null: not known. */
export interface Weighed {
  label: string;
  says: Phrase;
  weight: number | null;
}

/** "Is it worth it": what weighed, and what weighed most. */
export interface WorthIt {
  answer: WorthAnswer;
  words: string;
  weighed: Weighed[];
  most: string;
  /** What putting the donor right, remedies and parts come to, and the hours. */
  cost: WorthCost;
}

/** What a conversion costs, and the minutes its remedies take. `total` is all of it with the donor. */
export interface WorthCost {
  parts: number;
  mending: number;
  remedies: number;
  /** Tools and supplies to be bought or hired. */
  bench: number;
  donor: number;
  total: number;
  minutes: number;
}

const canWords: Record<Verdict, string> = {
  fits: 'It can',
  rework: 'It can, once reworked',
  measure: 'Not proven yet',
  stop: 'Not like this',
};

/** Whether this vehicle can take what is chosen, and what decides it. */
export function canIt(
  findings: readonly Finding[],
  kit: Kit | null,
  bestKit: { name: string; verdict: Verdict } | null,
): CanIt {
  const open = findings.filter((f) => f.verdict !== 'fits' && !f.override);
  const decisive = findings.filter((f) => f.subject !== 'plan');
  const { verdict, words } = headOf(decisive);
  // What is not measured leaves the answer open, whatever else is known to want rework.
  const unproven = verdict === 'rework' && decisive.some((f) => f.verdict === 'measure' && !f.override);
  const worst =
    decisive.find((f) => f.verdict === verdict && !f.override && (verdict !== 'measure' || f.fitCritical === true)) ??
    decisive.find((f) => f.verdict === verdict && !f.override);
  if (!kit) {
    return bestKit === null
      ? {
          verdict: 'measure',
          words: canWords.measure,
          why: phrase`No kit is chosen, and too little is measured to name one: from a dozen measurements on the nearest is named.`,
        }
      : {
          verdict: bestKit.verdict,
          words: bestKit.verdict === 'stop' ? 'No kit on the shelf goes on' : canWords[bestKit.verdict],
          why: phrase`No kit is chosen; ${bestKit.name} comes nearest.`,
        };
  }
  const many = open.filter((f) => f.verdict === verdict).length;
  return {
    verdict,
    words: unproven ? 'Not proven yet, and to be reworked' : canWords[verdict],
    why:
      verdict === 'fits' || !worst
        ? phrase`Everything asked of ${kit.name} on this vehicle is measured and fits.`
        : phrase`${kit.name}: ${worst.title.charAt(0).toLowerCase()}${worst.title.slice(1)}${many > 1 || unproven ? `; in all ${words}` : ''}.`,
  };
}

const likingSays: Record<Worth['liking'], [string, number | null]> = {
  loved: ['Its people love it and ride it.', 3],
  liked: ['They like riding it.', 2],
  indifferent: ['Nobody minds it, nobody misses it.', 0],
  disliked: ['They do not like riding it, and a motor does not change that.', -3],
  untried: ['Nobody has said whether they like riding it.', null],
};
const fitSays: Record<(typeof riderFits)[number], [string, number | null]> = {
  good: ['It fits its rider as it stands.', 2],
  adjustable: ['It fits once seat and bars are set.', 1],
  poor: ['It does not fit its rider, and a motor does not change that.', -4],
  untried: ['Whether it fits its rider has not been tried.', null],
};

function moneyLines(worth: Worth, cost: WorthCost): Weighed[] {
  const { readyMadePrice, otherDonorPrice } = worth;
  const lines: Weighed[] = [];
  if (readyMadePrice === null)
    lines.push({ label: 'Against ready-made', says: phrase`No ready-made price to hold it against.`, weight: null });
  else {
    const share = cost.total / Math.max(1, readyMadePrice);
    lines.push({
      label: 'Against ready-made',
      says: phrase`${amount(cost.total, 'money')} in all, with donor, parts and mending; ready-made ${amount(readyMadePrice, 'money')}: ${amount(share, 'share')} of it.`,
      weight: share < 0.5 ? 3 : share < 0.75 ? 2 : share < 0.95 ? 0 : share < 1.2 ? -2 : -4,
    });
  }
  if (otherDonorPrice !== null) {
    const toMend = cost.mending + cost.remedies + cost.donor;
    lines.push({
      label: 'Against another donor',
      says: phrase`Donor, mending and rework come to ${amount(toMend, 'money')}; another donor is ${amount(otherDonorPrice, 'money')}.`,
      weight: toMend > otherDonorPrice * 1.3 ? -2 : toMend < otherDonorPrice * 0.7 ? 1 : 0,
    });
  }
  return lines;
}

/**
 * Whether it is worth it: rider, liking, condition, money. Weights are ours, shown with each line.
 * @param cost what the plan’s one price says
 * @param kitsRemaining kits on the shelf that nothing stops; null while they are not judged
 */
export function worthIt(
  build: Build,
  findings: readonly Finding[],
  cost: WorthCost,
  kitsRemaining: number | null,
): WorthIt {
  const { worth } = build.donor;
  const [likes, likeWeight] = likingSays[worth.liking];
  const [fits, fitWeight] = fitSays[worth.riderFit];
  const getOn = findings.find((f) => f.rule === 'rider-fit' && !f.override);
  const condition = findings.filter((f) => f.rule.startsWith('condition-'));
  const rejects = condition.filter((f) => f.verdict === 'stop').length;
  const works = condition.filter((f) => f.verdict === 'rework').length;
  const unseen = condition.filter((f) => f.verdict === 'measure').length;
  const weighed: Weighed[] = [
    getOn?.verdict === 'rework'
      ? { label: 'Rider', says: [...getOn.why], weight: -3 }
      : { label: 'Rider', says: phrase`${fits}`, weight: fitWeight },
    { label: 'Liking', says: phrase`${likes}`, weight: likeWeight },
    rejects > 0
      ? {
          label: 'Condition',
          says: phrase`${rejects} thing${rejects === 1 ? '' : 's'} rule the donor out as it is.`,
          weight: -4,
        }
      : unseen > condition.length / 2
        ? { label: 'Condition', says: phrase`${unseen} of ${condition.length} things not looked at.`, weight: null }
        : {
            label: 'Condition',
            says: phrase`${works === 0 ? 'Sound as far as looked at' : `${works} thing${works === 1 ? '' : 's'} to put right`}, ${amount(cost.mending, 'money')} and ${amount(cost.minutes * 60, 'time')} with the rework.`,
            weight: works === 0 ? 2 : works <= 2 ? 1 : works <= 4 ? -1 : -2,
          },
    ...(kitsRemaining === 0
      ? [{ label: 'Kits', says: phrase`No kit on the shelf goes on it as it is.`, weight: -4 }]
      : []),
    ...moneyLines(worth, cost),
  ];
  const known = weighed.filter((w): w is Weighed & { weight: number } => w.weight !== null);
  const sum = known.reduce((total, w) => total + w.weight, 0);
  const most = [...known].sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight))[0];
  const barred = known.some((w) => w.weight <= -4);
  const answer: WorthAnswer = barred
    ? 'no'
    : known.length < 3
      ? 'unknown'
      : sum >= 3
        ? 'yes'
        : sum <= -2
          ? 'no'
          : 'even';
  return {
    answer,
    words: { yes: 'Worth it', even: 'It hangs in the balance', no: 'Not worth it', unknown: 'Too little known to say' }[
      answer
    ],
    weighed,
    most: most?.label ?? '',
    cost,
  };
}
