import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { choose } from '../remedies.ts';

/** A front derailleur beside a mid-drive's single ring: it comes off, and so do its cable and shifter. */
export const frontDerailleur = kitRule(
  {
    id: 'front-derailleur',
    words: 'Front derailleur',
    group: 'drivetrain',
    uses: ['frontDerailleur', 'ringTeeth', 'leftShifter'],
    source: 'A mid-drive brings one ring; what shifted between rings has nothing left to do, and its cage rubs.',
  },
  ({ build }, kit, say) => {
    if (!kit.mid) return null;
    const there = say.need('frontDerailleur');
    const rings = say.asItIs('ringTeeth')?.length;
    if (there === undefined)
      return say.open(
        'Front derailleur not looked for',
        phrase`A mid-drive brings one ring: derailleur, cable and left shifter would come off, and their room on the bar is free.`,
      );
    if (there === 'yes' && build.brief.purpose === 'touring' && (rings ?? 0) >= 2)
      return say.rework(
        'Two rings become one',
        phrase`The gears of ${rings ?? 'several'} rings become those of one: high or low end goes, on tours with load.`,
        choose('wide-cluster', phrase`A wider cluster, its biggest cog as big as the derailleur takes.`),
        choose('hub', phrase`A hub motor, which leaves the rings alone.`),
      );
    return there === 'yes'
      ? say.fits(
          'The front derailleur comes off',
          phrase`With its cable and the left shifter; clean the band’s mark, and the room on the bar is free for throttle or keypad.`,
        )
      : say.fits('Nothing to take off in front', phrase`There is one ring already.`);
  },
);
