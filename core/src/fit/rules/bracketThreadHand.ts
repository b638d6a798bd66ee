import { phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take, measureIt } from '../remedies.ts';

/** Thread hands per side: what the motor's lock ring and the old cups turn by. */
export const bracketThreadHand = kitRule(
  {
    id: 'bracket-thread-hand',
    words: 'Thread hands',
    group: 'bracket',
    uses: ['bracketKind', 'bracketThreadHand'],
    source:
      'ISO 6696: left-handed on the drive side, right-handed on the other; Italian and French right-handed on both.',
  },
  ({ build }, kit, say) => {
    if (!kit.mid) return null;
    const kind = build.donor.survey.bracketKind?.value;
    if (kind !== 'threadedIso' && kind !== 'threadedItalian' && kind !== 'threadedFrench') return null;
    say.look('bracketKind');
    const hand = say.need('bracketThreadHand');
    const expected = kind === 'threadedIso' ? 'left' : 'right';
    say.because(ruleFigure('Expected on the drive side', expected === 'left' ? 'left-handed' : 'right-handed'));
    if (hand === undefined)
      return say.open(
        'Thread hand not checked',
        phrase`The drive-side cup of this kind should unscrew ${expected === 'left' ? 'clockwise' : 'anticlockwise'}. Turned the wrong way the shell is ruined.`,
      );
    if (hand !== expected)
      return say.rework(
        'Thread hand and shell kind disagree',
        phrase`The drive side is ${hand === 'none' ? 'not threaded' : `${hand}-handed`}, but a shell of the kind named is ${expected}-handed there: one of the two was misread.`,
        measureIt('bracketKind'),
      );
    if (kind !== 'threadedIso')
      return say.rework(
        'The lock ring’s thread is not this shell’s',
        phrase`Most mid-drives clamp with a ring on ISO thread; in this shell it only presses, and turns loose.`,
        buy(
          'lock-ring',
          phrase`Order the lock ring for this thread, or its adapter sleeve.`,
          take('lock-ring', 'bracket'),
        ),
      );
    return say.fits(
      'Threads as they should be',
      phrase`Drive side left-handed, other side right-handed: the cups come out, and the lock ring goes on the left.`,
    );
  },
);
