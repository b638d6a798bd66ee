import { kindTraits } from '../../donor/kinds.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Seated vehicles: where hands are decides where display and throttle go. */
export const handsPlace = kitRule(
  {
    id: 'hands-place',
    words: 'Hands and controls',
    group: 'controls',
    uses: ['hands'],
    source: 'Display in sight, throttle under the stronger hand, nothing on the side people get on by.',
  },
  ({ build }, kit, say) => {
    if (!kindTraits[build.donor.kind].boom) return null;
    const hands = say.need('hands');
    if (hands === undefined)
      return say.open('Where the hands are not looked at', phrase`Display, throttle and keypad follow the hands.`);
    if (hands === 'above') return say.fits('Controls on the bars above the lap', phrase`They clamp as on any bar.`);
    return kit.controls && kit.controls.displayM > 0.045
      ? say.rework(
          'The display is out of sight by the hip',
          phrase`With hands ${hands === 'underSeat' ? 'under the seat' : 'on side sticks'} a display of ${amount(kit.controls.displayM, 'size')} is not seen there.`,
          buy(
            'stalk',
            phrase`A stalk on the boom for the display, with its lead ${amount(0.6, 'size', 0)} longer.`,
            take('display-stalk', 'bar'),
            { work: 40 },
          ),
        )
      : say.fits(
          'Controls beside the seat',
          phrase`A small display clamps on the stick, on the side away from where people get on.`,
        );
  },
);
