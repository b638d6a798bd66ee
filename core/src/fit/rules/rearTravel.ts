import { amount, phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { work } from '../remedies.ts';

/** A suspended rear end: the motor's lead and the chain must live with its travel. */
export const rearTravel = kitRule(
  {
    id: 'rear-travel',
    words: 'Rear suspension',
    group: 'frame',
    uses: ['rearTravel', 'shockPlace'],
    source: 'A lead needs at least half the travel in slack; a mid-drive’s chain grows as the wheel rises.',
  },
  ({ build }, kit, say) => {
    if (build.donor.kind !== 'fullSuspension') return null;
    const travel = say.need('rearTravel');
    if (travel === undefined)
      return say.open('Rear travel not measured', phrase`Leads and chain must live with the whole of it.`);
    if (kit.hub?.place === 'rear')
      return say.rework(
        'A heavy wheel on a sprung arm',
        phrase`The hub adds ${amount(kit.massKg, 'mass')} to the unsprung end, and its lead moves ${amount(travel, 'size')} with it.`,
        work(
          'slack',
          phrase`Leave ${amount(travel / 2 + 0.03, 'size')} of slack at the pivot, and set shock pressure and rebound anew.`,
          40,
        ),
      );
    if (kit.mid)
      return say.rework(
        'The chain grows with the travel',
        phrase`Over ${amount(travel, 'size')} of travel the chain asks for more length; the derailleur’s cage must give it.`,
        work('cut-chain', phrase`Cut the chain with the shock fully compressed, in the biggest pair.`, 20),
      );
    return say.fits('The travel stays as it was', phrase`A front hub leaves the rear end alone.`);
  },
);
