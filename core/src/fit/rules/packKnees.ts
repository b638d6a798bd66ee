import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { packRule, remedy } from '../say.ts';

/** A pack's width between the knees. */
export const packKnees = packRule(
  {
    id: 'pack-knees',
    words: 'Knees beside the pack',
    group: 'pack',
    uses: ['kneeWidth'],
    source: 'Knees pass within a hand of the top tube; a pack wider than they leave is kicked at every turn.',
  },
  ({ build, geometry }, pack, _kit, say) => {
    if (!geometry.triangle || !pack.places.some((p) => p === 'downTube' || p === 'seatTube')) return null;
    if (build.choice.packPlace === 'rack' || build.choice.packPlace === 'box') return null;
    const room = say.need('kneeWidth');
    say.because(partData('Pack’s width', amount(pack.outline.widthM, 'size')));
    if (room === undefined)
      return say.open(
        'Room between the knees not measured',
        phrase`The pack is ${amount(pack.outline.widthM, 'size')} wide.`,
      );
    const gap = (room - pack.outline.widthM) / 2;
    if (gap < 0)
      return say.rework(
        'Knees meet the pack',
        phrase`${amount(pack.outline.widthM, 'size')} wide in ${amount(room, 'size')}.`,
        remedy(phrase`A slimmer pack, or mount it low where the thighs do not pass.`),
      );
    return say.fits('Knees pass the pack', phrase`${amount(gap, 'size')} each side.`);
  },
);
