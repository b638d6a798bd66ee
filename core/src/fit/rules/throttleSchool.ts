import { phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { set } from '../remedies.ts';

/** Throttle scaled to the assist level, or full at any. The choice is recorded. */
export const throttleSchool = kitRule(
  {
    id: 'throttle-school',
    words: 'Throttle’s say',
    group: 'use',
    uses: [],
    source:
      'Two schools: among people a thumb’s twitch must not be full power; to get out of the way all of it must be there.',
    school: 'throttle',
  },
  ({ build }, kit, say) => {
    if (!kit.throttle || !build.choice.usesThrottle) return null;
    const full = build.schools.throttle === 'full';
    say.because(
      ruleFigure('School', full ? 'full at any level' : 'scaled to the assist level'),
      ruleFigure('Ridden for', build.brief.purpose),
    );
    const crowd = build.brief.purpose === 'easy' || build.brief.purpose === 'twoUp' || build.brief.purpose === 'load';
    if (full && crowd)
      return say.rework(
        'Full throttle with a heavy or uncertain start',
        phrase`All the motor’s force at a twitch, with load, a second rider or unsure balance.`,
        set('scale', phrase`Scale it to the assist level.`, { work: 10 }),
        set('ramp', phrase`Set a start ramp of 2 s.`, { work: 10 }),
      );
    return say.fits(
      full ? 'Full throttle, as chosen' : 'Throttle scaled, as chosen',
      phrase`Recorded for the settings sheet and the handover.`,
    );
  },
);
