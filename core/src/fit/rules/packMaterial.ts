import { amount, phrase } from '../../quantity/format.ts';
import { tubePlaces } from '../../parts/pack.ts';
import { chosenPlacement } from '../../layout/packPlacement.ts';
import { packRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** Rails and clamps on a carbon frame. */
export const packMaterial = packRule(
  {
    id: 'pack-material',
    words: 'Clamping the frame',
    group: 'pack',
    uses: ['frameMaterial'],
    source: 'Carbon is crushed by clamps and its bosses are bonded in for a bottle’s weight.',
    school: 'carbon',
  },
  (context, pack, _kit, say) => {
    const { build } = context;
    if (!tubePlaces.includes(chosenPlacement(context, pack).place)) return null;
    const material = say.need('frameMaterial');
    if (material === undefined)
      return say.open('Frame material not checked', phrase`What may be clamped depends on what the tube is made of.`);
    if (material === 'carbon')
      return build.schools.carbon === 'refuse'
        ? say.stop(
            'A pack on a carbon frame',
            phrase`${amount(pack.massKg, 'mass')} on bosses bonded in for a bottle, or on clamps that crush the tube.`,
            choose('metal-frame', phrase`A metal frame.`),
            buy('frame-bag', phrase`A frame bag with a soft pack that hangs from straps.`, take('frame-bag', 'pack')),
          )
        : say.rework(
            'A pack on a carbon frame',
            phrase`No clamps; bosses are bonded in for a bottle’s weight and this is ${amount(pack.massKg, 'mass')}.`,
            buy('frame-bag', phrase`A frame bag held by straps, a small pack in it.`, take('frame-bag', 'pack'), {
              work: 30,
            }),
          );
    return say.fits('The tube may carry a rail', phrase`The frame is ${material}.`);
  },
);
