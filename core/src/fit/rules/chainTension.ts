import { hasEnds } from '../../donor/kinds.ts';
import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** How the chain is kept tight with one cog and no derailleur. */
export const chainTension = kitRule(
  {
    id: 'chain-tension',
    words: 'Chain tension',
    group: 'drivetrain',
    uses: ['clusterKind', 'rearAxleHolding', 'tensioner'],
    source: 'In vertical dropouts the wheel cannot be drawn back; a new ring changes the chain’s length.',
  },
  ({ build, gearing }, kit, say) => {
    const { kind } = gearing;
    if (kind !== 'single' && kind !== 'hubGear') return null;
    if (!kit.mid && kit.hub?.place !== 'rear') return null;
    if (!hasEnds(build.donor.kind, 'rear')) return null;
    const holding = say.need('rearAxleHolding');
    if (holding === undefined)
      return say.open(
        'How the chain is tightened not looked at',
        phrase`With one cog the dropouts or a tensioner must take up the slack.`,
      );
    if (holding === 'horizontalSlot')
      return say.fits('The dropouts tighten the chain', phrase`The wheel is drawn back in its horizontal slots.`);
    const tensioner = say.need('tensioner');
    if (tensioner === undefined)
      return say.open('Tensioner not looked for', phrase`The dropouts do not let the wheel be drawn back.`);
    if (tensioner === 'no')
      return say.rework(
        'Nothing tightens the chain',
        phrase`The axle sits in ${holding === 'verticalSlot' ? 'vertical slots' : 'a through-axle'} and there is no tensioner; a new ring leaves the chain slack or short.`,
        buy('tensioner', phrase`Add a sprung chain tensioner.`, take('chain-tensioner', 'chain'), { work: 30 }),
      );
    return say.fits('A tensioner keeps the chain tight', phrase`It takes up what a new ring changes.`);
  },
);
