import { MOST_SPACERS, WIDTH_PLAY } from '../../constants.ts';
import { longer, shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Spacers each side between a wide axle and a narrow shell: what comes with the kit, and what must be bought. */
export const bracketSpacers = kitRule(
  {
    id: 'bracket-spacers',
    words: 'Spacers at the shell',
    group: 'bracket',
    uses: ['bracketWidth'],
    source: 'Axle length less shell width is spacer; the drive side takes what the chain line wants.',
  },
  (_context, kit, say) => {
    if (!kit.mid) return null;
    const width = say.need('bracketWidth');
    const { least, most } = kit.mid.shellWidthsM;
    say.because(partData('Axle made for', amount(most, 'size')));
    if (width === undefined)
      return say.open(
        'Spacers depend on the shell’s width',
        phrase`The axle suits ${amount(least, 'size')} to ${amount(most, 'size')}.`,
      );
    // Out of range altogether is the bracket's own verdict.
    if (longer(width, most + WIDTH_PLAY) || shorter(width, least - MOST_SPACERS)) return null;
    const spare = most - width;
    if (shorter(width, least - WIDTH_PLAY))
      return say.rework(
        'Spacers beyond what the kit brings',
        phrase`${amount(most, 'size')} of axle less ${amount(width, 'size')} of shell is ${amount(spare, 'size')}; the kit’s own spacers end at a shell of ${amount(least, 'size')}.`,
        buy(
          'spacers',
          phrase`Add ${amount(least - width, 'size')} of bracket spacers, on the left as long as the ring clears the stay.`,
          take('bracket-spacers', 'bracket'),
          { work: 10 },
        ),
      );
    return say.fits(
      shorter(spare, WIDTH_PLAY) ? 'No spacer wanted' : 'The kit’s spacers fill the shell',
      shorter(spare, WIDTH_PLAY)
        ? phrase`Shell and axle agree at ${amount(width, 'size')}.`
        : phrase`${amount(most, 'size')} of axle less ${amount(width, 'size')} of shell: ${amount(spare, 'size')} of spacers, on the left unless the chain line wants some on the right.`,
    );
  },
);
