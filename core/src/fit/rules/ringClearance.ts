import { kindTraits } from '../../donor/kinds.ts';
import { shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, askFor } from '../remedies.ts';

/** Least gap between a ring and the chainstay, m. Source: workshop practice. */
const GAP = 0.003;

/** The kit's ring against the bulge of the chainstay. */
export const ringClearance = kitRule(
  {
    id: 'ring-clearance',
    words: 'Ring past the stay',
    group: 'bracket',
    uses: ['ringRoom'],
    source: 'The ring’s plane stands out from the shell’s face by the maker’s figure; the stay may bulge past it.',
    fitCritical: true,
  },
  ({ build, gearing }, kit, say) => {
    if (!kit.mid || kindTraits[build.donor.kind].boom) return null;
    // A dished ring runs inboard of the spider it bolts to.
    const out = kit.mid.ringOutM === undefined ? undefined : kit.mid.ringOutM - gearing.ringOffsetM;
    const bulge = say.need('ringRoom');
    if (out === undefined)
      return say.open(
        'Where the ring runs is not known',
        phrase`The kit’s data does not say how far its ring stands out.`,
        askFor('the distance from the shell’s face to the ring’s plane'),
      );
    say.because(partData('Ring outside the shell’s face', amount(out, 'size')));
    if (bulge === undefined)
      return say.open(
        'Chainstay not measured at the ring',
        phrase`The ring runs ${amount(out, 'size')} outside the shell’s face; how far the stay bulges has not been measured.`,
      );
    const gap = out - bulge;
    if (shorter(gap, -0.002))
      return say.stop(
        'The ring meets the chainstay',
        phrase`The stay stands ${amount(bulge, 'size')} past the face and the ring runs at ${amount(out, 'size')}: ${amount(-gap, 'size')} into it.`,
        buy('smaller-ring', phrase`A smaller ring that passes ahead of the bulge.`, take('smaller-ring', 'bracket')),
        buy(
          'spacers',
          phrase`Spacers on the right, as far as the chain line allows.`,
          take('bracket-spacers', 'bracket'),
          { work: 15 },
        ),
        choose('hub', phrase`A hub motor.`),
      );
    if (shorter(gap, GAP))
      return say.rework(
        'The ring all but touches the stay',
        phrase`${amount(gap, 'size')} is left; ${amount(GAP, 'size')} is wanted, for the frame flexes.`,
        buy('spacer', phrase`A spacer of 2 mm on the right.`, take('bracket-spacer', 'bracket'), { work: 15 }),
        choose('smaller-ring', phrase`A ring of four teeth fewer.`),
      );
    return say.fits('The ring clears the stay', phrase`${amount(gap, 'size')} between ring and chainstay.`);
  },
);
