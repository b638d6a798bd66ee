import { legsOf, throttleDrives, WEAK_LEGS_W } from '../../build/legs.ts';
import { legalClass } from '../../parts/law.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ask, choose, set } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';

/** Rider, class, throttle and walking help together: whether the motor helps at all whom it is to help. */
export const legs = kitRule(
  {
    id: 'legs',
    words: 'Legs, throttle and class',
    group: 'use',
    uses: [],
    source: 'A pedal sensor helps who pedals, a torque sensor in proportion; a class says what a throttle may do.',
  },
  ({ build, laws }, kit, say) => {
    const { brief, choice } = build;
    const law = legalClass(brief.legalClass, laws);
    const watts = legsOf(brief);
    if (!law || watts >= WEAK_LEGS_W) return null;
    const pedalOnly = law.throttle === 'none beyond walking help';
    say.because(
      ruleFigure('Legs aboard', amount(watts, 'power')),
      ruleFigure(`Class, as of ${law.asOf}`, law.name),
      ruleFigure('Throttle allowed', law.throttle),
      ruleFigure('Kit’s throttle', kit.throttle ? (choice.usesThrottle ? 'in use' : 'not in use') : 'none'),
    );
    const others = laws.filter(
      (l) => l.throttle !== 'none beyond walking help' && (l.ratedW === null || kit.ratedW <= l.ratedW),
    );
    const otherClass =
      others.length === 0
        ? []
        : [
            choose(
              'throttle-class',
              phrase`A class that allows a throttle: ${others.map((l) => `“${l.name}”`).join(', ')}.`,
            ),
          ];
    const authority = ask(
      'exemption',
      phrase`Ask the authority whether a rider who cannot pedal may use a throttle in this class; some places allow it on proof.`,
      60,
    );
    if (watts === 0 && pedalOnly)
      return say.stop(
        'Nobody pedals, and the class helps only who pedals',
        phrase`“${law.name}” lets the motor help while somebody pedals, and a throttle only at walking pace. With no legs aboard it would not move on the road.`,
        ...otherClass,
        authority,
        choose('pedals', phrase`Somebody aboard who pedals: say so on the Brief, if only with light effort.`),
      );
    if (watts === 0 && !kit.throttle)
      return say.stop(
        'Nobody pedals, and the kit has no throttle',
        phrase`Its motor waits for turning cranks; walking help moves it at walking pace and no faster.`,
        choose('throttle-kit', phrase`A kit with a throttle.`),
      );
    if (watts === 0 && !choice.usesThrottle)
      return say.rework(
        'Nobody pedals, and the throttle is not in use',
        phrase`The kit has a throttle and “${law.name}” allows it; the plan rides without.`,
        set('use-throttle', phrase`Ride it on the throttle.`, { sets: { usesThrottle: true } }),
      );
    if (watts === 0)
      return say.fits(
        'The throttle drives it alone',
        phrase`Nobody pedals; “${law.name}” allows a throttle ${law.throttle === 'free' ? 'freely' : law.throttle}. Range and hills count no legs.`,
      );
    const inProportion = kit.assist !== undefined && !kit.assist.laws.includes('level');
    const byThrottle = throttleDrives(build, kit, laws);
    if (inProportion && !byThrottle)
      return say.rework(
        'Help in proportion to weak legs',
        phrase`${amount(watts, 'power')} of legs: a torque sensor gives a few times that and no more, and little from rest.`,
        choose('cadence-kit', phrase`A kit whose sensor only asks whether the cranks turn.`),
        ...(kit.throttle && !pedalOnly
          ? [set('use-throttle', phrase`Ride it on the throttle.`, { sets: { usesThrottle: true } })]
          : []),
      );
    return say.fits(
      'Helps weak legs',
      byThrottle
        ? phrase`${amount(watts, 'power')} of legs and a throttle, which “${law.name}” allows.`
        : phrase`${amount(watts, 'power')} of legs: turning the cranks is enough for its sensor; from rest they must turn them first.`,
    );
  },
);
