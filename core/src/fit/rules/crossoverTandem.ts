import { kindTraits } from '../../donor/kinds.ts';
import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, choose, ask, take } from '../remedies.ts';

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
    if (!kindTraits[build.donor.kind].twoCranks || !kit.mid) return null;
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
        choose('hub', phrase`Choose a hub motor.`),
        ask(
          'second-ring',
          phrase`Ask the motor’s maker for a second ring on its right side, with the timing chain moved over.`,
        ),
      );
    return say.rework(
      'Timing chain on the drive side',
      phrase`Two rings are needed on the motor’s side, and the kit brings one.`,
      buy('double-spider', phrase`A double spider.`, take('double-spider', 'bracket'), { work: 90 }),
      work('captains-bracket', phrase`Put the motor at the captain’s bracket, driving the timing chain.`, 90),
    );
  },
);
