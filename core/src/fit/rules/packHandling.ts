import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { chosenPlacement } from '../../layout/packPlacement.ts';
import { packRule } from '../say.ts';
import { choose } from '../remedies.ts';

/** Where the pack sits by school, and what that does to handling. */
export const packHandling = packRule(
  {
    id: 'pack-handling',
    words: 'Frame or rack',
    group: 'pack',
    uses: ['rackLimit'],
    source: 'Two schools: low and central steers as before; a rack comes off easily and bounces.',
    school: 'battery',
  },
  (context, pack, _kit, say) => {
    const { build, geometry } = context;
    const { place } = chosenPlacement(context, pack);
    const onRack = place === 'rack';
    say.because(
      ruleFigure('School', build.schools.battery === 'frame' ? 'in the frame' : 'on the rack'),
      ruleFigure('Triangle', geometry.triangle ? 'there is one' : 'none'),
    );
    if (onRack && geometry.triangle && build.schools.battery === 'frame')
      return say.rework(
        'On the rack, against your school',
        phrase`${amount(pack.massKg, 'mass')} high and behind: it wags at low speed and bounces off-road.`,
        choose('in-frame', phrase`Put it in the frame if it goes there.`),
      );
    if (onRack && build.brief.purpose === 'trail')
      return say.rework(
        'A pack on the rack on trails',
        phrase`It bounces, and breaks the rack’s struts.`,
        choose('in-frame', phrase`Put it in the frame.`),
        choose('soft-bag', phrase`Choose a pack in a bag, strapped in the frame.`),
      );
    if (place === 'behindSeatTube' || place === 'seatBack' || place === 'underSeat')
      return say.fits(
        'Central, a little high',
        phrase`Between the wheels, above the axles: little changes in the steering.`,
      );
    if (place === 'box' || place === 'trailer' || place === 'basket')
      return say.fits('Out of the frame', phrase`Strap it so that it stays when the vehicle falls over.`);
    return say.fits(
      onRack ? 'On the rack' : 'Low and central',
      onRack ? phrase`Strap it as well as locking it.` : phrase`Handling stays much as it was.`,
    );
  },
);
