import { phrase } from '../../quantity/format.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { KEEP_AWAY } from '../../wiring/hazards.ts';
import { amount } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { take, work } from '../remedies.ts';

/** No lead within reach of crank, tyre or hot motor. */
export const leadWay = kitRule(
  {
    id: 'lead-way',
    words: 'Ways of the leads',
    group: 'leads',
    uses: ['crankWidth', 'crankLength'],
    source: 'docs/models.md, leads: nothing within 20 mm of crank, chain, tyre or a hot motor.',
    dear: true,
  },
  (context, _kit, say) => {
    const found = wiredOf(context);
    if (!found || found.leads.length === 0) return null;
    say.look('crankWidth');
    const near = found.leads.filter((l) => l.near.length > 0);
    say.because(ruleFigure('Kept away by', amount(KEEP_AWAY, 'size', 0)));
    if (near.length === 0) return null;
    const what = [...new Set(near.flatMap((l) => l.near))].join(' and ');
    return say.rework(
      `A lead passes the ${what}`,
      phrase`${near.map((l) => l.what).join(', ')}: no way along the tubes keeps ${amount(KEEP_AWAY, 'size', 0)} from the ${what}. It is caught there at the first bump.`,
      work(
        'liner',
        phrase`Clip it every 50 mm there, in a liner, on the face turned away; try a full turn of cranks and wheel by hand.`,
        30,
        {
          takes: [take('cable-liner', 'leads'), take('cable-clips', 'leads')],
        },
      ),
    );
  },
);
