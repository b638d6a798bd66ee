import { phrase } from '../../quantity/format.ts';
import { cogsToBe } from '../gearsThatWillBe.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** A narrow chain under a mid-drive. */
export const chainWear = kitRule(
  {
    id: 'chain-wear',
    words: 'Chain and cogs',
    group: 'drivetrain',
    uses: ['cogTeeth', 'clusterKind'],
    source: 'Chains for eleven and more cogs are thin; a motor wears them two to three times as fast as legs.',
  },
  (context, kit, say) => {
    if (!kit.mid) return null;
    const { kind } = context.gearing;
    if (kind === 'hubGear' || kind === 'single') return null;
    const cogs = cogsToBe(context, say);
    if (cogs === undefined)
      return say.open('Cogs not counted', phrase`How thin the chain is comes from the number of cogs.`);
    if (cogs.length >= 11)
      return say.rework(
        'Thin chain under a motor',
        phrase`${cogs.length} cogs run on a thin chain; reckon with a new one every 1500 km.`,
        buy('motor-chain', phrase`A chain made for motors, checked with a gauge each 500 km.`, take('chain', 'chain'), {
          work: 20,
        }),
        choose('fewer-cogs', phrase`Eight or nine cogs, on a thicker chain.`),
      );
    return say.fits('The chain bears a motor', phrase`${cogs.length} cogs on a chain of ordinary width.`);
  },
);
