import type { Brief } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { amount, phrase, type Phrase } from '../quantity/format.ts';
import { simulate } from '../ride/simulate.ts';
import { helpOf } from '../vehicle/assist.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { legsShare } from '../vehicle/reckon.ts';

/** What the legs do on the build's road under one way of helping. */
export interface LegsWay {
  id: 'level' | 'proportional' | 'frugal' | 'throttle';
  words: string;
  /** How the kit helps that way, and where that comes from. */
  how: Phrase;
  /** What the brief says where this way is wished; null for the throttle, which is a choice of the drive. */
  wish: NonNullable<Brief['assist']> | null;
  /** As the plan rides now. */
  now: boolean;
  /** Once over the road: what the legs give at the pedals, what they could give in that time, J. */
  giveJ: number;
  couldJ: number;
  /** Share of the work at the tyre. */
  share: number;
  rangeM: number;
  timeS: number;
}

/** The ways this kit can help, each ridden over the build's road with these legs; empty where nothing can be ridden. */
export function legsDo(context: PlanContext): LegsWay[] {
  const { build, kit, pack } = context;
  if (!kit || !pack || !context.reckoning) return [];
  const now = helpOf(build, kit, context.reckoning.system);
  const throttled = build.choice.usesThrottle && kit.throttle;
  const way = (id: LegsWay['id'], words: string, b: Build, wish: LegsWay['wish']): LegsWay[] => {
    const there = context.on(b).with(kit, pack);
    const { reckoning: r, road } = there;
    if (!r) return [];
    const once = simulate(r.system, road, { repeat: false, fine: true });
    const { powerW } = r.system.rider;
    const { steps, step } = helpOf(b, kit, r.system);
    const at = steps[(step ?? 0) - 1] ?? 0;
    return [
      {
        id,
        words,
        how:
          id === 'throttle'
            ? phrase`the motor does what the throttle asks, the legs rest`
            : id === 'frugal'
              ? phrase`the legs first, the motor what is missing; a rider who holds back, no setting of the kit`
              : id === 'level'
                ? phrase`${amount(at, 'power')} at the tyre while the cranks turn, step ${step ?? 0} of ${steps.length} by the kit’s data; the legs give what it leaves`
                : phrase`${at} times what the legs give, step ${step ?? 0} of ${steps.length} by the kit’s data`,
        wish,
        now: throttled
          ? id === 'throttle'
          : id === (step === null ? null : now.law.law) || (id === 'frugal' && now.law.law === 'fill'),
        giveJ: once.account.rider / Math.max(0.5, r.system.vehicle.drivetrainEfficiency),
        couldJ: powerW * once.timeS,
        share: legsShare(once),
        rangeM: r.toEmpty.distanceM,
        timeS: once.timeS,
      },
    ];
  };
  const ridden = (assist: NonNullable<Brief['assist']>): Build => ({
    ...build,
    brief: { ...build.brief, assist },
    choice: { ...build.choice, usesThrottle: false },
  });
  const kept = build.brief.assist;
  // A way that is ridden now keeps its step; another takes the least that does.
  const wishFor = (law: 'level' | 'proportional' | 'frugal') => (kept?.law === law ? kept : { law, step: null });
  return [
    ...now.can.laws.flatMap((law) =>
      way(
        law,
        law === 'level' ? 'By levels: the same watts whatever the legs do' : 'In proportion to the legs',
        ridden(wishFor(law)),
        wishFor(law),
      ),
    ),
    ...way('frugal', 'Legs first', ridden(wishFor('frugal')), wishFor('frugal')),
    ...(kit.throttle
      ? way('throttle', 'By the throttle', { ...build, choice: { ...build.choice, usesThrottle: true } }, null)
      : []),
  ];
}
