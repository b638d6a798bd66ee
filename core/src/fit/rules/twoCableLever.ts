import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';
import { leverSheets } from '../../wiring/levers.ts';

/** A lever that pulls two brakes keeps its place. */
export const twoCableLever = kitRule(
  {
    id: 'two-cable-lever',
    words: 'Two-cable levers',
    group: 'levers',
    uses: ['leverCables', 'parkingLock'],
    source: 'A kit’s lever pulls one cable and holds no parking lock.',
  },
  ({ build, shelf }, kit, say) => {
    const cables = say.need('leverCables');
    const brings = kit.controls?.cutoffs;
    if (cables === undefined)
      return say.open(
        'Cables per lever not looked at',
        phrase`A lever that pulls two brakes cannot be replaced by a kit’s.`,
      );
    // A hand whose lever was chosen otherwise does not get the kit's.
    const kits = leverSheets(build, kit, shelf).some((l) => l.lever !== 'none' && (!l.chosen || l.by === 'kitLever'));
    if (cables === 'two' && brings === 'levers' && kits)
      return say.rework(
        'Keep the two-cable lever',
        phrase`The kit’s levers pull one cable each; the one that pulls two brakes stays.`,
        buy('magnets', phrase`A stick-on magnet at that lever instead of a new one.`, take('cutoff-magnet', 'levers'), {
          work: 30,
        }),
      );
    return say.fits(
      cables === 'two' ? 'The two-cable lever stays' : 'One cable a lever',
      cables === 'two' ? phrase`Its cut-off does not replace it.` : phrase`Nothing to keep on that account.`,
    );
  },
);
