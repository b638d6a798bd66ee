import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';

/** A hinge: leads past it must be as long folded as open. */
export const hingeSlack = kitRule(
  {
    id: 'hinge-slack',
    words: 'Leads at the hinge',
    group: 'leads',
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
    // How long the loom must be is the loom's own verdict; here only how it is led.
    return say.fits(
      'Leads bend with the fold',
      phrase`Folding takes up ${amount(slack, 'size')}: lead them in a loop on the hinge’s outside, never straight over it. The loom’s length counts it.`,
    );
  },
);
