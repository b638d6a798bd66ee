import { shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { tyreToBe } from '../gearsThatWillBe.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Gap wanted each side of a tyre, m. Source: ISO 4210 asks 6 mm on new bicycles; 4 is ridden. */
const GAP = 0.004;

/** The tyre between stays or fork legs. */
export const tyreRoom = kitRule(
  {
    id: 'tyre-room',
    words: 'Room for the tyre',
    group: 'wheel',
    uses: ['rearTyre', 'rearTyreRoom', 'frontTyre', 'frontTyreRoom'],
    source: 'A tyre grows by 1 to 2 mm on a wider kit rim; 4 mm each side keeps it off the frame.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const tyre = tyreToBe(context, say, fit.place);
    const room = say.need(rear ? 'rearTyreRoom' : 'frontTyreRoom');
    if (tyre === undefined || room === undefined)
      return say.open(
        'Room beside the tyre not measured',
        phrase`A kit rim may spread the tyre; what room it has there has not been measured.`,
      );
    const gap = (room - tyre.widthM) / 2;
    if (shorter(gap, 0.0015))
      return say.stop(
        'The tyre does not pass',
        phrase`${amount(tyre.widthM, 'size')} of tyre in ${amount(room, 'size')}: ${amount(gap, 'size')} each side.`,
        buy('tyre', phrase`Fit a narrower tyre.`, take('tyre', rear ? 'rear wheel' : 'front wheel'), { work: 30 }),
      );
    if (shorter(gap, GAP))
      return say.rework(
        'Little room beside the tyre',
        phrase`${amount(gap, 'size')} each side, ${amount(GAP, 'size')} wanted.`,
        buy(
          'tyre',
          phrase`A tyre of ${amount(room - 2 * GAP, 'size')} or less, and the wheel dished to a millimetre.`,
          take('tyre', rear ? 'rear wheel' : 'front wheel'),
          { work: 30 },
        ),
      );
    return say.fits('Room beside the tyre', phrase`${amount(gap, 'size')} each side.`);
  },
);
