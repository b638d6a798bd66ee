import { neededRange } from '../../build/brief.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { choose, look, set } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { planRule } from '../say.ts';

/** The range wanted, with its reserve, against the band. */
export const rangeNeed = planRule(
  {
    id: 'range-need',
    words: 'Range',
    group: 'range',
    uses: ['vehicleMass', 'rearTyre', 'frontTyre'],
    source: 'Ride model, docs/models.md.',
    dear: true,
    rides: true,
  },
  ({ build, band }, say) => {
    if (!band) return null;
    const need = neededRange(build.brief);
    say.need('vehicleMass');
    say.because(
      ruleFigure('Wanted, with reserve', amount(need, 'way')),
      ruleFigure('Middle of the band', amount(band.midM, 'way')),
      ruleFigure('Low end of the band', amount(band.lowM, 'way')),
    );
    if (band.hardly)
      return say.open(
        'Not a range',
        phrase`The motor hardly works on this ride: how far the charge lasts hangs on the legs alone, and nobody could plan by it.`,
        set('more-help', phrase`A higher step of help, or a faster cruise, to see what the pack is worth.`),
      );
    if (band.lowM >= need)
      return say.fits(
        'Far enough',
        phrase`${amount(need, 'way', 0)} wanted with the reserve; the band begins at ${amount(band.lowM, 'way', 0)}.`,
      );
    const short = need - band.midM;
    if (short > 0)
      return say.rework(
        'Not far enough',
        phrase`${amount(need, 'way', 0)} wanted with the reserve; the middle of the band is ${amount(band.midM, 'way', 0)}, ${amount(short, 'way', 0)} short.`,
        choose(
          'more-energy',
          phrase`A pack with ${amount(Math.ceil((need / band.midM - 1) * 100) / 100, 'share')} more energy.`,
        ),
        set('slower', phrase`A slower cruise.`),
        choose('charge-there', phrase`Charging at the far end.`),
      );
    return say.open(
      'Far enough on a middling day',
      phrase`${amount(need, 'way', 0)} wanted lies inside the band of ${amount(band.lowM, 'way', 0)} to ${amount(band.highM, 'way', 0)}; the largest doubt is ${band.causes[0]?.label ?? 'unknown'}.`,
      look('ride-it', phrase`Ride the road with a meter, or weigh and roll-test what is assumed.`),
    );
  },
);
