import { amount, phrase } from '../../quantity/format.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { ask, look } from '../remedies.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';

/** What the meter said before anything was joined: crossed poles and wrong volts stop the work. */
export const meterReadings = kitRule(
  {
    id: 'meter-readings',
    words: 'Meter checks',
    group: 'power',
    uses: [],
    source: 'Workshop practice: polarity and volts are read before anything is joined; a crossed pack burns at once.',
  },
  (context, kit, say) => {
    const { build, chosen, pack } = context;
    // Readings are of what was chosen and bought, not of a candidate.
    if (Object.keys(build.wiring.checks).length === 0 || kit.id !== chosen.kit?.id || pack?.id !== chosen.pack?.id)
      return null;
    const checks = wiredOf(context)?.checks ?? [];
    const read = checks.flatMap((c) => (c.read ? [{ ...c, volts: c.read.volts }] : []));
    if (read.length === 0) return null;
    say.because(...read.map((c) => ruleFigure(c.where, amount(c.volts, 'voltage', 2))));
    const bad = read.find((c) => c.verdict === 'crossed') ?? read.find((c) => c.verdict === 'outside');
    if (bad?.verdict === 'crossed')
      return say.stop(
        'Poles are crossed: join nothing',
        phrase`${bad.where}: ${amount(bad.volts, 'voltage', 2)}. Joined like that the controller burns, and what holds it.`,
        look(
          'read-again',
          phrase`Probes the right way round, read again; then change the poles over where they cross.`,
        ),
        ask('electrician', phrase`Ask an electrician or a battery builder before anything is opened or soldered.`),
      );
    if (bad)
      return say.stop(
        'A meter check is outside its band',
        phrase`${bad.where}: ${amount(bad.volts, 'voltage', 2)}, wanted ${amount(bad.lowV, 'voltage', 2)} to ${amount(bad.highV, 'voltage', 2)}. ${bad.otherwise}`,
        look('read-again', phrase`Put it right, then read it again and write it in.`),
      );
    return read.length < checks.length
      ? say.open(
          `${read.length} of ${checks.length} meter checks done`,
          phrase`All that were read are as they should be; join nothing before the rest are.`,
          look('go-on', phrase`Go on with the list, in its order.`),
        )
      : say.fits(
          'Every meter check is as it should be',
          phrase`${String(read.length)} read, the poles right and the volts in their bands.`,
        );
  },
);
