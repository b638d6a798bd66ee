import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** The ring ÷ cog floor of a hub gear behind a mid-drive. */
export const hubGearRatio = kitRule(
  {
    id: 'hub-gear-ratio',
    words: 'Hub gear’s ratio',
    group: 'drivetrain',
    uses: ['clusterKind', 'hubGear', 'hubGearRatioFloor', 'cogTeeth'],
    source: 'The hub’s maker gives a least ring ÷ cog; below it the hub sees more torque than it was made for.',
  },
  ({ build }, kit, say) => {
    if (!kit.mid || build.donor.survey.clusterKind?.value !== 'hubGear') return null;
    say.look('hubGear');
    const floor = say.need('hubGearRatioFloor');
    const cog = say.need('cogTeeth')?.[0];
    say.because(partData('Kit’s ring', `${kit.mid.ringTeeth} teeth`));
    if (floor === undefined || cog === undefined)
      return say.open(
        'The hub gear’s limits not known',
        phrase`A mid-drive pulls through the hub gear; its maker says how small ring ÷ cog may be.`,
      );
    const ratio = kit.mid.ringTeeth / cog;
    say.because(ruleFigure('Ring ÷ cog', amount(ratio, 'ratio')));
    if (ratio < floor)
      return say.rework(
        'Ratio below the hub gear’s floor',
        phrase`${kit.mid.ringTeeth} ÷ ${cog} is ${amount(ratio, 'ratio')}; its maker allows ${amount(floor, 'ratio')} at least.`,
        buy(
          'smaller-cog',
          phrase`A cog of ${Math.floor(kit.mid.ringTeeth / floor)} teeth or fewer.`,
          take('cog', 'rear wheel'),
          { work: 30 },
        ),
        choose('bigger-ring', phrase`A bigger ring.`),
      );
    return say.fits(
      'Ratio within the hub gear’s limits',
      phrase`${amount(ratio, 'ratio')}, ${amount(floor, 'ratio')} at least.`,
    );
  },
);
