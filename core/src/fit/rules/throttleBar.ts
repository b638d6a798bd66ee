import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, take } from '../remedies.ts';

/** A throttle on a drop bar or under tape. */
export const throttleBar = kitRule(
  {
    id: 'throttle-bar',
    words: 'Throttle on the bar',
    group: 'controls',
    uses: ['barShape', 'barTape'],
    source: 'A thumb throttle needs an angled stub on a drop bar; under tape nothing clamps.',
  },
  ({ build }, kit, say) => {
    if (!kit.throttle || !build.choice.usesThrottle) return null;
    const shape = say.need('barShape');
    if (shape === undefined)
      return say.open('Bar not looked at', phrase`A throttle must lie under the thumb with the hand on the brake.`);
    if (shape === 'drop')
      return say.rework(
        'A throttle on a drop bar',
        phrase`The thumb does not reach a throttle on the tops while the hand is on the brake.`,
        buy(
          'stub',
          phrase`An angled stub beside the stem for a thumb throttle; hands move to the tops to use it.`,
          take('bar-stub', 'bar'),
          { work: 30 },
        ),
      );
    if (shape === 'sideSticks')
      return say.fits(
        'A throttle on the stick',
        phrase`A thumb throttle on top of the stick on the side of the stronger hand.`,
      );
    const tape = say.look('barTape');
    if (tape === 'yes')
      return say.rework(
        'Bar wrapped in tape',
        phrase`Nothing clamps on tape.`,
        work('cut-tape', phrase`Cut the tape back and finish it.`, 20),
        buy('grips', phrase`Fit grips in place of the tape.`, take('grips', 'bar'), { work: 20 }),
      );
    return say.fits('The throttle clamps on the bar', phrase`Under the thumb, with the hand on the brake.`);
  },
);
