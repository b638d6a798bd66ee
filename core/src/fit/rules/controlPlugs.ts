import { phrase } from '../../quantity/format.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, work } from '../remedies.ts';

/** Controls chosen apart from the kit: whether each has a socket, and whether its plug goes in. */
export const controlPlugs = kitRule(
  {
    id: 'control-plugs',
    words: 'Plugs of chosen controls',
    group: 'controls',
    uses: [],
    source: 'Plugs of one family and as many poles mate; fewer poles carry fewer signals.',
  },
  (context, _kit, say) => {
    const own = (wiredOf(context)?.plugged ?? []).filter((l) => l.part !== null);
    if (own.length === 0) return null;
    for (const l of own) say.because(partData(l.what, l.plug ? `${l.plug.family}, ${l.plug.poles} poles` : 'no plug'));
    const homeless = own.filter((l) => l.joint.is === 'none');
    if (homeless.length > 0)
      return say.rework(
        'A control has no socket',
        phrase`${homeless.map((l) => l.what).join(' and ')}: ${homeless.map((l) => (l.joint.is === 'none' ? l.joint.why : '')).join('; ')}.`,
        work('own-feed', phrase`Feed it from a fused tap of the pack’s lead by a switch of its own.`, 45, {
          takes: { part: 'splice', count: 1, place: 'leads' },
        }),
        choose('other-kit', phrase`A kit with a socket for it, or leave it to its own batteries.`),
      );
    const odd = own.filter((l) => l.joint.is === 'adapter' && !l.joint.chosen);
    if (odd.length > 0) {
      const had = odd.flatMap((l) => (l.joint.is === 'adapter' && l.joint.adapter ? [l.joint.adapter] : []));
      const words = phrase`${odd.map((l) => `${l.what} ends in ${l.plug?.family ?? ''} of ${l.plug?.poles ?? 0}, the kit offers ${l.socket?.family ?? ''} of ${l.socket?.poles ?? 0}`).join('; ')}.`;
      const cut = work(
        're-plug',
        phrase`Cut its plug off and put the kit’s on, core by core by what each is for, not by colour.`,
        30 * odd.length,
        {
          takes: { part: 'splice', count: odd.length, place: 'leads' },
        },
      );
      return had.length === odd.length
        ? say.rework(
            'A control’s plug does not mate',
            words,
            buy(
              'adapter',
              phrase`An adapter of the two families.`,
              had.map((part) => ({ part, count: 1, place: 'leads' as const })),
              { work: 5 },
            ),
            cut,
          )
        : say.rework('A control’s plug does not mate', words, cut);
    }
    return own.some((l) => l.joint.is === 'unknown')
      ? say.open(
          'A control’s plug is not known',
          phrase`Hold the two halves side by side before it is tied in.`,
          choose('other', phrase`One whose plug is known.`),
        )
      : say.fits(
          'Chosen controls plug in',
          phrase`${own.map((l) => l.what).join(', ')}: each goes into the kit’s own socket.`,
        );
  },
);
