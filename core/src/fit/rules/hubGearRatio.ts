import { amount, phrase } from '../../quantity/format.ts';
import { cogsToBe, hubGearLimits, ringToBe } from '../gearsThatWillBe.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** The ring ÷ cog window of a hub gear behind a mid-drive, and the largest cog that goes on it. */
export const hubGearRatio = kitRule(
  {
    id: 'hub-gear-ratio',
    words: 'Hub gear’s ratio',
    group: 'drivetrain',
    uses: [
      'clusterKind',
      'hubGear',
      'hubGearRatioFloor',
      'hubGearRatioCeiling',
      'hubGearLargestCog',
      'cogTeeth',
      'ringTeeth',
    ],
    source: 'The hub’s maker gives a least ring ÷ cog; below it the hub sees more torque than it was made for.',
  },
  (context, kit, say) => {
    const limits = hubGearLimits(context);
    if (!kit.mid || !limits) return null;
    const chosen = context.gearing.hubGear?.part;
    if (chosen)
      say.because(
        partData(
          'Least ring ÷ cog',
          chosen.leastRatio === undefined ? 'not given' : amount(chosen.leastRatio, 'ratio'),
        ),
      );
    else {
      say.asItIs('hubGear');
      say.needOwn('hubGearRatioFloor');
      say.asItIs('hubGearRatioCeiling');
      say.asItIs('hubGearLargestCog');
    }
    const floor = limits.leastRatio;
    const cog = cogsToBe(context, say)?.[0];
    const ring = ringToBe(context, say);
    if (floor === undefined || cog === undefined)
      return say.open(
        'The hub gear’s limits not known',
        phrase`A mid-drive pulls through the hub gear; its maker says how small ring ÷ cog may be.`,
      );
    const ratio = ring / cog;
    say.because(ruleFigure('Ring ÷ cog', amount(ratio, 'ratio')));
    // Compared as whole teeth by the maker's figure, so that 38 ÷ 20 meets 1.9.
    if (ratio < floor - 1e-6)
      return say.rework(
        'Ratio below the hub gear’s floor',
        phrase`${ring} ÷ ${cog} is ${amount(ratio, 'ratio')}; its maker allows ${amount(floor, 'ratio')} at least.`,
        buy(
          'smaller-cog',
          phrase`A cog of ${Math.floor(ring / floor + 1e-6)} teeth or fewer.`,
          take('cog', 'rear wheel'),
          { work: 30 },
        ),
        choose('bigger-ring', phrase`A ring of ${Math.ceil(cog * floor - 1e-6)} teeth or more.`),
      );
    if (limits.mostRatio !== undefined && ratio > limits.mostRatio + 1e-6)
      return say.rework(
        'Ratio above the hub gear’s ceiling',
        phrase`${ring} ÷ ${cog} is ${amount(ratio, 'ratio')}; its maker allows ${amount(limits.mostRatio, 'ratio')} at most, for above it the gears are too tall to start in.`,
        buy(
          'bigger-cog',
          phrase`A cog of ${Math.ceil(ring / limits.mostRatio - 1e-6)} teeth or more.`,
          take('cog', 'rear wheel'),
          { work: 30 },
        ),
        choose('smaller-ring', phrase`A ring of ${Math.floor(cog * limits.mostRatio + 1e-6)} teeth or fewer.`),
      );
    if (limits.mostCog !== undefined && cog > limits.mostCog)
      return say.rework(
        'A larger cog than goes on the hub gear',
        phrase`${cog} teeth, and its largest has ${limits.mostCog}.`,
        buy('smaller-cog', phrase`A cog of ${limits.mostCog} teeth or fewer.`, take('cog', 'rear wheel'), { work: 30 }),
      );
    return say.fits(
      'Ratio within the hub gear’s limits',
      phrase`${ring} ÷ ${cog} is ${amount(ratio, 'ratio')}, ${amount(floor, 'ratio')} at least${limits.mostRatio === undefined ? '' : ` and ${limits.mostRatio} at most`}.`,
    );
  },
);
