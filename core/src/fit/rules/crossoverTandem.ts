import { phrase } from '../../quantity/format.ts';
import { kitRule, remedy } from '../say.ts';

/** A tandem's timing chain against a mid-drive. */
export const crossoverTandem = kitRule(
  {
    id: 'crossover-tandem',
    words: 'Tandem’s timing chain',
    group: 'drivetrain',
    uses: ['timingChain'],
    source: 'With a crossover the left cranks carry a ring where a mid-drive has its case and no spider.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    if (build.donor.kind !== 'tandem' || !kit.mid) return null;
    const side = say.need('timingChain');
    if (side === undefined)
      return say.open(
        'Timing chain not looked at',
        phrase`Which side the chain between the cranks runs on decides whether a mid-drive can take either bracket.`,
      );
    if (side === 'crossover')
      return say.stop(
        'Crossover timing chain',
        phrase`The left cranks of both riders carry a ring; a mid-drive has its case there and no place for it.`,
        remedy(
          phrase`A hub motor, or a second ring on the motor’s right side with the timing chain moved over, if its maker sells one.`,
        ),
      );
    return say.rework(
      'Timing chain on the drive side',
      phrase`Two rings are needed on the motor’s side, and the kit brings one.`,
      remedy(phrase`A double spider, or the motor at the captain’s bracket driving the timing chain.`, {
        cost: 46,
        minutes: 90,
        part: 'double spider',
      }),
    );
  },
);
