import { amount, phrase } from '../../quantity/format.ts';
import { OWN_BLOCKS } from '../../pack/joined.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { ask, buy, choose, look, take } from '../remedies.ts';

/** Packs joined in a row or side by side: alike, or refused. */
export const packsJoined = kitRule(
  {
    id: 'packs-joined',
    words: 'Joined packs',
    group: 'power',
    uses: [],
    source: 'docs/models.md, joined packs: in a row all alike; side by side by the maker’s joint or a diode each.',
  },
  (context, _kit, say) => {
    const joined = wiredOf(context)?.joined;
    const choice = context.build.wiring.packs;
    if (!joined || !choice) return null;
    say.because(
      ruleFigure('Volts', amount(joined.volts, 'voltage')),
      ruleFigure('Amp-hours', amount(joined.ampHours, 'charge')),
      ruleFigure('Amps', amount(joined.amps, 'current', 0)),
    );
    const how = choice.join === 'series' ? 'in a row' : 'side by side';
    if (joined.allowed === 'no')
      return say.stop(
        `These packs may not be joined ${how}`,
        phrase`${joined.reasons.join('; ')}.`,
        ...(choice.join === 'parallel' && choice.by === 'wires'
          ? [
              buy('diodes', phrase`A diode for each pack, on a plate that sheds their heat.`, take('diodes', 'pack'), {
                work: 60,
              }),
            ]
          : []),
        choose('one', phrase`One pack that holds enough.`),
        ask('builder', phrase`Ask a battery builder.`),
      );
    const more = wiredOf(context)?.joinedMore ?? 0;
    if (joined.allowed === 'yes' && more > OWN_BLOCKS)
      return say.open(
        `Packs joined ${how}: where the others lie is not known`,
        phrase`${amount(joined.volts, 'voltage')}, ${amount(joined.ampHours, 'charge')}, ${amount(joined.amps, 'current', 0)}, reckoned so in range and mass; but only the battery chosen has a place of its own on the drawing.`,
        look('place', phrase`Find each a place with the tape, low and between the wheels, and its lead a way.`),
      );
    return joined.allowed === 'measure'
      ? say.open(
          `Not known whether these packs may be joined ${how}`,
          phrase`Not measured: ${joined.reasons.join(', ')}.`,
          look(
            'rest',
            phrase`Read each pack’s volts at rest, an hour after charging, and its date of making; write both in.`,
          ),
        )
      : say.fits(
          `Packs joined ${how}`,
          phrase`${amount(joined.volts, 'voltage')}, ${amount(joined.ampHours, 'charge')}, ${amount(joined.amps, 'current', 0)}: alike in kind, age and charge. A disconnect each side of a hitch.`,
        );
  },
);
