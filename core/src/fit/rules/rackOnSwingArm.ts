import { chosenPlacement } from '../../layout/packPlacement.ts';
import { phrase } from '../../quantity/format.ts';
import { packRule } from '../say.ts';
import { choose, work } from '../remedies.ts';

/** A rack on a frame whose rear end swings: its three points may not move against one another. */
export const rackOnSwingArm = packRule(
  {
    id: 'rack-swing-arm',
    words: 'Rack on the swing arm',
    group: 'pack',
    uses: ['rackHeldBy'],
    source: 'A carrier is one stiff piece: held by parts that move against one another it breaks, and drops its load.',
  },
  (context, pack, _kit, say) => {
    if (context.build.donor.kind !== 'fullSuspension' || chosenPlacement(context, pack).place !== 'rack') return null;
    const held = say.need('rackHeldBy');
    if (held === undefined)
      return say.open(
        'What holds the rack not looked at',
        phrase`The rear end swings; a rack may only be held by parts that move together.`,
      );
    if (held === 'bridges')
      return say.stop(
        'The rack bridges what swings',
        phrase`It is held by the main frame and by the swing arm: at the first kerb one of its stays bends.`,
        work('one-part', phrase`Hold it by the swing arm’s stays alone, or by the seat post alone.`, 60),
        choose('in-frame', phrase`Put the battery in the frame.`),
      );
    return say.fits(
      held === 'swingArm' ? 'Held by the stays alone' : 'Held by the main frame alone',
      held === 'swingArm'
        ? phrase`All its points swing together. The pack is then unsprung: strap it, and check the welds.`
        : phrase`All its points stay still; see that the tyre clears it at full travel.`,
    );
  },
);
