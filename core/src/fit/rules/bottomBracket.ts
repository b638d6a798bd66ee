import { longer, shorter } from '../../quantity/compare.ts';
import { MOST_SPACERS, WIDTH_PLAY } from '../../constants.ts';
import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, measureIt } from '../remedies.ts';

/** Bore and adapter sizes agree within this much, m (paint, wear, caliper). */
const BORE_PLAY = 0.0006;

/**
 * Bottom-bracket width and bore against the mid-drive: width inside the axle's range (spacers fill
 * what is short), bore within the motor's or one with an adapter. Neither number alone is enough.
 */
export const bottomBracket = kitRule(
  {
    id: 'bottom-bracket',
    words: 'Bracket width and bore',
    group: 'bracket',
    fitCritical: true,
    uses: ['bracketKind', 'bracketWidth', 'bracketBore'],
    source: 'Shell widths and bores of the trade; a mid-drive’s axle passes through the bare shell.',
  },
  (context, kit, say) => {
    const fit = kit.mid;
    if (!fit) return null;
    const { bracketWidth, bracketBore, bracketKind } = context.build.donor.survey;
    const { least, most } = fit.shellWidthsM;
    say.because(
      surveyed(context, 'bracketKind'),
      surveyed(context, 'bracketWidth'),
      surveyed(context, 'bracketBore'),
      partData('Shells its axle takes', `${Math.round(least * 1000)} to ${Math.round(most * 1000)} mm`),
      partData('Bore it passes', amount(fit.boreM.least, 'size')),
    );

    if (bracketWidth && shorter(bracketWidth.value, least - MOST_SPACERS)) {
      return say.stop(
        'Shell too narrow for this motor',
        phrase`The shell is ${amount(bracketWidth.value, 'size')} wide and the motor’s axle wants ${amount(least, 'size')} at least: ${amount(least - bracketWidth.value, 'size')} of spacers would hang the motor off its bearings.`,
        choose('narrower', phrase`Take the kit in the narrower axle length, if its maker sells one.`),
      );
    }
    if (bracketWidth && longer(bracketWidth.value, most + WIDTH_PLAY)) {
      return say.stop(
        'Shell too wide for this motor',
        phrase`The shell is ${amount(bracketWidth.value, 'size')} wide; the motor’s axle ends at ${amount(most, 'size')}, ${amount(bracketWidth.value - most, 'size')} short.`,
        choose('wider', phrase`Choose a kit whose axle takes ${amount(bracketWidth.value, 'size')}.`),
      );
    }
    const bore = bracketBore?.value;
    if (bore !== undefined && shorter(bore, fit.boreM.least - BORE_PLAY)) {
      return say.stop(
        'Shell bore too small',
        phrase`The bore is ${amount(bore, 'size')}; the motor needs ${amount(fit.boreM.least, 'size')} to pass through.`,
        choose('hub', phrase`Choose a hub motor; a shell is not bored out.`),
      );
    }
    if (bore !== undefined && longer(bore, fit.boreM.most + BORE_PLAY)) {
      const adapter = fit.adapterBoresM.find((b) => !longer(Math.abs(b - bore), BORE_PLAY));
      return adapter === undefined
        ? say.stop(
            'No adapter for this bore',
            phrase`The bore is ${amount(bore, 'size')}, over the ${amount(fit.boreM.most, 'size')} the motor fills, and no adapter is sold for it with this kit.`,
            choose('hub', phrase`Choose a hub motor.`),
            choose('adapted-kit', phrase`Choose a mid-drive with an adapter for ${amount(bore, 'size')}.`),
          )
        : say.rework(
            'Needs a bore adapter',
            phrase`The bore is ${amount(bore, 'size')} and the motor fills ${amount(fit.boreM.most, 'size')}: the adapter for ${amount(adapter, 'size')} goes between.`,
            buy(
              'adapter',
              phrase`Add the adapter for ${amount(adapter, 'size')} to the order; press it in square, with grease.`,
              { ...take('bore-adapter', 'bracket'), price: fit.adapterPrice },
              { work: 20 },
            ),
          );
    }
    if (bracketKind?.value === 'eccentric') {
      return say.rework(
        'Eccentric shell',
        phrase`An eccentric insert can turn under the motor’s torque, and then the chain goes slack.`,
        buy(
          'sleeve',
          phrase`Remove the insert, sleeve the shell to ${amount(fit.boreM.least, 'size')} and add a chain tensioner.`,
          [take('shell-sleeve', 'bracket'), take('chain-tensioner', 'chain')],
          { work: 90 },
        ),
      );
    }
    if (!isProven(bracketWidth) || !isProven(bracketBore) || !isProven(bracketKind)) {
      const open = [
        !isProven(bracketWidth) ? ('bracketWidth' as const) : null,
        !isProven(bracketBore) ? ('bracketBore' as const) : null,
        !isProven(bracketKind) ? ('bracketKind' as const) : null,
      ].filter((id) => id !== null);
      return say.open(
        'Bottom bracket not proven',
        phrase`This motor takes shells of ${amount(least, 'size')} to ${amount(most, 'size')} with a bore near ${amount(fit.boreM.least, 'size')}. Width, bore and kind must all be known: an eccentric or smooth shell of the same size holds it otherwise.`,
        ...open.map(measureIt),
      );
    }
    const spacer = Math.max(0, least - bracketWidth.value);
    return say.fits(
      longer(spacer, WIDTH_PLAY) ? 'Shell suits it, with spacers' : 'Shell suits this motor',
      longer(spacer, WIDTH_PLAY)
        ? phrase`${amount(bracketWidth.value, 'size')} wide with a bore of ${amount(bracketBore.value, 'size')}: axle ${amount(least, 'size')} less shell leaves ${amount(spacer, 'size')} of spacers.`
        : phrase`${amount(bracketWidth.value, 'size')} wide, within ${amount(least, 'size')} to ${amount(most, 'size')}; bore ${amount(bracketBore.value, 'size')}.`,
    );
  },
);
