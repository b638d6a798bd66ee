import { kindTraits } from '../../donor/kinds.ts';
import { shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, askFor } from '../remedies.ts';

/** Least gap between a motor's case and anything it swings past, m. Source: project, paint and flex. */
const GAP = 0.003;

/** Room ahead of the shell against the swing of a mid-drive's case. */
export const motorRoom = kitRule(
  {
    id: 'motor-room',
    words: 'Room for the case',
    group: 'frame',
    uses: ['motorRoom'],
    source: 'The case swings about the crank’s centre; its furthest edge is on the maker’s drawing.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    if (!kit.mid || kindTraits[build.donor.kind].boom) return null;
    const swing = kit.mid.swingRoomM;
    const room = say.need('motorRoom');
    if (swing === undefined)
      return say.open(
        'How far the case reaches is not known',
        phrase`The kit’s data does not say how much room its case needs.`,
        askFor('the radius from the crank’s centre to the far edge of the case'),
      );
    say.because(partData('Case needs', amount(swing, 'size')));
    if (room === undefined)
      return say.open(
        'Room ahead of the shell not measured',
        phrase`The case needs ${amount(swing, 'size')} from the crank’s centre.`,
      );
    const gap = room - swing;
    if (shorter(gap, -0.006))
      return say.stop(
        'The case does not swing into place',
        phrase`It needs ${amount(swing, 'size')} from the crank’s centre and there is ${amount(room, 'size')}: ${amount(-gap, 'size')} short.`,
        choose('smaller-motor', phrase`Choose a smaller motor.`),
        choose('hub', phrase`Choose a hub motor.`),
      );
    if (shorter(gap, GAP))
      return say.rework(
        'The case touches the frame',
        phrase`${amount(room, 'size')} of room for ${amount(swing, 'size')}: ${amount(gap, 'size')} left, ${amount(GAP, 'size')} wanted.`,
        buy(
          'spacer',
          phrase`Let the case hang lower, with a spacer between it and the tube, and check its height above the ground.`,
          take('tube-spacer', 'bracket'),
          { work: 30 },
        ),
      );
    return say.fits('The case has room', phrase`${amount(room, 'size')} of room for ${amount(swing, 'size')}.`);
  },
);
