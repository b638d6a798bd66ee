import { FOLD_BACK_STARTS_C } from '../../constants.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { choose, set } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { planRule } from '../say.ts';

/** The winding’s heat on the road against where its controller folds back. */
export const heatNeed = planRule(
  {
    id: 'heat-need',
    words: 'Motor’s heat',
    group: 'hills',
    uses: ['vehicleMass', 'cogTeeth', 'ringTeeth', 'rearTyre', 'frontTyre'],
    source: 'Ride model, docs/models.md.',
    dear: true,
    rides: true,
  },
  ({ reckoning: r }, say) => {
    if (!r) return null;
    say.need('vehicleMass');
    const hot = r.toEmpty.maxWindingC;
    say.because(
      ruleFigure('Hottest winding', amount(hot, 'temperature')),
      ruleFigure('Controller folds back from', amount(FOLD_BACK_STARTS_C, 'temperature')),
    );
    return hot > FOLD_BACK_STARTS_C
      ? say.rework(
          'Motor runs hot on this road',
          phrase`The winding reaches ${amount(hot, 'temperature')} at ${amount(r.toEmpty.hottestAtM, 'way')}, past the ${amount(FOLD_BACK_STARTS_C, 'temperature')} where output is folded back.`,
          set('help', phrase`Help more on the climbs, and take them faster in a lower gear.`),
          choose('more-copper', phrase`A motor with more copper.`),
        )
      : say.fits(
          'Motor stays cool enough',
          phrase`Hottest winding ${amount(hot, 'temperature')}, under ${amount(FOLD_BACK_STARTS_C, 'temperature')}.`,
        );
  },
);
