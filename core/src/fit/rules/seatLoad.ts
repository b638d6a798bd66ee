import { heaviestRider } from '../../build/brief.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** The rider against the seat's own limit. */
export const seatLoad = kitRule(
  {
    id: 'seat-load',
    words: 'Seat’s limit',
    group: 'load',
    uses: ['seatLimit'],
    source: 'The system’s limit is the least of its parts’.',
  },
  ({ build }, _kit, say) => {
    const limit = build.donor.survey.seatLimit?.value;
    if (limit === undefined) return null;
    say.need('seatLimit');
    const heaviest = heaviestRider(build.brief);
    say.because(ruleFigure('Heaviest rider', amount(heaviest, 'mass')));
    return heaviest > limit
      ? say.stop(
          'The seat bears less than its rider',
          phrase`${amount(heaviest, 'mass')} on a seat that bears ${amount(limit, 'mass')}.`,
          buy('strong-seat', phrase`A seat or frame made for more.`, take('strong-seat', 'seat')),
        )
      : say.fits('The seat bears its rider', phrase`${amount(heaviest, 'mass')} of ${amount(limit, 'mass')}.`);
  },
);
