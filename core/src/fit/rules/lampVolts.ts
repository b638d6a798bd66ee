import { amount, phrase } from '../../quantity/format.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** Lamps and horn off the main pack: their volts, and what they take. */
export const lampVolts = kitRule(
  {
    id: 'lamp-volts',
    words: 'Lamps and horn',
    group: 'power',
    uses: [],
    source: 'What runs off the pack bears the pack’s full volts, or has a converter.',
  },
  (context, _kit, say) => {
    const lamps = wiredOf(context)?.lamps;
    if (!lamps || lamps.items.length === 0) return null;
    say.because(
      ruleFigure('Together', amount(lamps.watts, 'power', 0)),
      ruleFigure('Off the pack', amount(lamps.amps, 'current', 2)),
    );
    const bad = lamps.items.filter((i) => i.trouble !== null);
    return bad.length > 0
      ? say.rework(
          'A lamp not made for this pack',
          phrase`${bad.map((i) => `${i.name} ${i.trouble ?? ''}`).join('; ')}.`,
          buy('converter', phrase`A converter to 12 V on the lamp’s lead.`, take('converter', 'leads'), { work: 30 }),
          choose('other-lamp', phrase`One that bears the pack’s volts.`),
        )
      : say.fits(
          'Lamps run off the pack',
          phrase`${amount(lamps.watts, 'power', 0)} together, ${amount(lamps.amps, 'current', 2)} off the pack.`,
        );
  },
);
