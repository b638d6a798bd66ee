import { amount, phrase } from '../../quantity/format.ts';
import { tubePlaces } from '../../parts/part.ts';
import { chosenPlacement } from './packPlace.ts';
import { packRule, remedy } from '../say.ts';

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
            remedy(phrase`A metal frame, or a frame bag with a soft pack that hangs from straps.`, {
              cost: 45,
              part: 'frame bag',
            }),
          )
        : say.rework(
            'A pack on a carbon frame',
            phrase`No clamps; bosses are bonded in for a bottle’s weight and this is ${amount(pack.massKg, 'mass')}.`,
            remedy(phrase`A frame bag held by straps, a small pack in it.`, {
              cost: 45,
              minutes: 30,
              part: 'frame bag',
            }),
          );
    return say.fits('The tube may carry a rail', phrase`The frame is ${material}.`);
  },
);
