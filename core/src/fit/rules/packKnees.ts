import { kindTraits } from '../../donor/kinds.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { tubePlaces } from '../../parts/pack.ts';
import { chosenPlacement } from '../../layout/packPlacement.ts';
import { packRule } from '../say.ts';
import { choose } from '../remedies.ts';

/** A pack's width between the knees. */
export const packKnees = packRule(
  {
    id: 'pack-knees',
    words: 'Knees beside the pack',
    group: 'pack',
    uses: ['kneeWidth'],
    source: 'Knees pass within a hand of the top tube; a pack wider than they leave is kicked at every turn.',
  },
  (context, pack, _kit, say) => {
    if (!tubePlaces.includes(chosenPlacement(context, pack).place)) return null;
    if (kindTraits[context.build.donor.kind].boom) return null;
    const room = say.need('kneeWidth');
    say.because(partData('Pack’s width', amount(pack.outline.widthM, 'size')));
    if (room === undefined)
      return say.open(
        'Room between the knees not measured',
        phrase`The pack is ${amount(pack.outline.widthM, 'size')} wide.`,
      );
    const gap = (room - pack.outline.widthM) / 2;
    if (gap < 0 && chosenPlacement(context, pack).lies?.tightest.obstacle !== 'knees')
      return say.fits(
        'Knees pass above the pack',
        phrase`${amount(pack.outline.widthM, 'size')} wide where ${amount(room, 'size')} is left, but it lies clear of where the knees go.`,
      );
    if (gap < 0)
      return say.rework(
        'Knees meet the pack',
        phrase`${amount(pack.outline.widthM, 'size')} wide in ${amount(room, 'size')}.`,
        choose('slimmer', phrase`A slimmer pack.`),
        choose('lower', phrase`Mount it low, where the thighs do not pass.`),
      );
    return say.fits('Knees pass the pack', phrase`${amount(gap, 'size')} each side.`);
  },
);
