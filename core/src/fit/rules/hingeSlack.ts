import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** What a loom usually has to spare for a fold, m. Source: project. */
const SPARE = 0.15;

/** A hinge: leads past it must be as long folded as open. */
export const hingeSlack = kitRule(
  {
    id: 'hinge-slack',
    words: 'Leads at the hinge',
    group: 'frame',
    uses: ['foldSlack'],
    source: 'The hinge shears whatever is led straight over it.',
  },
  ({ build }, _kit, say) => {
    if (build.donor.kind !== 'folding') return null;
    const slack = say.need('foldSlack');
    if (slack === undefined)
      return say.open(
        'Fold not measured for leads',
        phrase`How much lead the fold takes up decides whether the loom must be longer.`,
      );
    return slack > SPARE
      ? say.rework(
          'The fold wants a longer loom',
          phrase`Folding takes up ${amount(slack, 'size')}; most looms have ${amount(SPARE, 'size')} to spare.`,
          buy(
            'extension',
            phrase`Add an extension lead with its plug away from the hinge.`,
            take('extension-lead', 'leads'),
            { work: 20 },
          ),
        )
      : say.fits(
          'Leads bend with the fold',
          phrase`Folding takes up ${amount(slack, 'size')}, led in a loop on the hinge’s outside.`,
        );
  },
);
