import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { tyreToBe } from '../gearsThatWillBe.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Tyre width over rim width that sits safely. Source: ETRTO recommendations, rounded. */
const LEAST = 1.35;
const MOST = 2.6;

/** The donor's tyre on the kit's rim. */
export const rimWidth = kitRule(
  {
    id: 'rim-width',
    words: 'Tyre on the kit rim',
    group: 'wheel',
    uses: ['rearTyre', 'frontTyre'],
    source: 'ETRTO: tyre width 1.4 to 2.6 times the rim’s inner width.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (fit?.rimInnerM === undefined) return null;
    const tyre = tyreToBe(context, say, fit.place);
    say.because(partData('Kit rim, inside', amount(fit.rimInnerM, 'size')));
    if (tyre === undefined)
      return say.open(
        'Tyre for the kit rim not known',
        phrase`The kit’s rim is ${amount(fit.rimInnerM, 'size')} wide inside.`,
      );
    const ratio = tyre.widthM / fit.rimInnerM;
    if (ratio < LEAST || ratio > MOST)
      return say.rework(
        ratio < LEAST ? 'Tyre too narrow for the kit rim' : 'Tyre too wide for the kit rim',
        phrase`${amount(tyre.widthM, 'size')} of tyre on ${amount(fit.rimInnerM, 'size')} of rim: ${ratio.toFixed(1)} times, where ${LEAST} to ${MOST} sits safely.`,
        buy(
          'tyre',
          phrase`A tyre between ${amount(fit.rimInnerM * 1.5, 'size', 0)} and ${amount(fit.rimInnerM * 2.4, 'size', 0)}.`,
          take('tyre', fit.place === 'rear' ? 'rear wheel' : 'front wheel'),
          { work: 30 },
        ),
      );
    return say.fits(
      'The tyre suits the kit rim',
      phrase`${amount(tyre.widthM, 'size')} on ${amount(fit.rimInnerM, 'size')}: ${ratio.toFixed(1)} times.`,
    );
  },
);
