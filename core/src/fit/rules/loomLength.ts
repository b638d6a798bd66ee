import { loomWanted } from '../../layout/loom.ts';
import { shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take, askFor } from '../remedies.ts';

/** The loom from bar to motor or controller, with full lock and fold. */
export const loomLength = kitRule(
  {
    id: 'loom-length',
    words: 'Loom length',
    group: 'controls',
    uses: ['headToBracket', 'lockSlack', 'foldSlack', 'chainstayLength'],
    source: 'Path + full lock + fold + a drip loop, against the loom supplied.',
  },
  ({ build, geometry }, kit, say) => {
    const path = say.need('headToBracket');
    const lock = say.need('lockSlack');
    const loom = kit.controls?.loomM;
    if (loom === undefined)
      return say.open(
        'Loom length not known',
        phrase`The kit’s data does not say how long its loom is.`,
        askFor('the length from the bar to the motor’s plug'),
      );
    say.because(partData('Loom supplied', amount(loom, 'size')));
    if (path === undefined || lock === undefined)
      return say.open('Way of the loom not measured', phrase`The loom is ${amount(loom, 'size')} long.`);
    if (build.donor.kind === 'folding') say.need('foldSlack');
    const folds = build.donor.kind === 'folding';
    const wanted = loomWanted(build, geometry, kit) ?? NaN;
    say.because(ruleFigure('Wanted', amount(wanted, 'size')));
    const spare = loom - wanted;
    if (shorter(spare, -0.005))
      return say.rework(
        'The loom is too short',
        phrase`${amount(wanted, 'size')} wanted with full lock${folds ? ', the fold' : ''} and a drip loop; ${amount(loom, 'size')} supplied: ${amount(-spare, 'size')} short.`,
        buy(
          'extension',
          phrase`An extension of ${amount(Math.ceil(-spare * 10) / 10, 'size')} with the same plugs.`,
          take('extension-lead', 'leads'),
          { work: 15 },
        ),
      );
    return say.fits(
      'The loom reaches',
      spare < 0.02
        ? phrase`It reaches with nothing to spare: lay it without a detour.`
        : phrase`${amount(spare, 'size')} to spare; lay the surplus in a flat loop under the down tube.`,
    );
  },
);
