import type { Taking } from '../../build/remedy.ts';
import { phrase } from '../../quantity/format.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { askFor, buy, work } from '../remedies.ts';

/** The pack’s plug and the kit’s: of one family, or an adapter between, its polarity checked. */
export const batteryPlug = kitRule(
  {
    id: 'battery-plug',
    words: 'Battery plug',
    group: 'power',
    uses: [],
    source:
      'Plugs of one family and as many poles mate; all else wants an adapter, checked with a meter before anything is joined.',
  },
  (context, _kit, say) => {
    const { pack } = context;
    if (!pack) return null;
    const lead = wiredOf(context)?.plugged.find((l) => l.id === 'battery');
    if (!lead) return null;
    const { joint, plug, socket } = lead;
    if (plug) say.because(partData('The kit’s lead ends in', `${plug.family}, ${plug.poles} poles`));
    if (socket) say.because(partData('The pack gives by', `${socket.family}, ${socket.poles} poles`));
    if (joint.is === 'unknown')
      return say.open(
        'Battery plugs not known',
        phrase`Whether they go together is found out on the bench, with nothing to join them.`,
        askFor('the plug of the pack and the plug of the kit’s battery lead'),
      );
    if (joint.is === 'mates')
      return say.fits(
        'Battery plugs mate',
        phrase`Both are ${plug?.family ?? ''}; polarity is still read with a meter before they are joined.`,
      );
    const pair = phrase`The kit ends in ${plug?.family ?? ''}, the pack in ${socket?.family ?? ''}.`;
    const made = work(
      'new-plug',
      phrase`Put the pack’s family on the kit’s lead, one core at a time, plus first sleeved.`,
      40,
      {
        takes: { part: 'splice', count: 1, place: 'leads' },
      },
    );
    if (joint.is === 'none' || joint.adapter === null) return say.rework('Battery plugs do not mate', pair, made);
    if (joint.chosen)
      return say.fits('Battery plugs meet by an adapter', [
        ...pair,
        ' Its polarity is read with a meter, the controller not yet joined.',
      ]);
    const adapter: Taking = { part: joint.adapter, count: 1, place: 'leads' };
    return say.rework(
      'Battery plugs do not mate',
      pair,
      buy(
        'adapter',
        phrase`An adapter between the two; polarity drawn on it and read with a meter before it meets the controller.`,
        adapter,
        {
          work: 10,
        },
      ),
      made,
    );
  },
);
