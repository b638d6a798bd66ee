import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, surveyed, type KitRule } from '../rule.ts';

const RULE = 'bottom-bracket';
const SOURCE = 'Shell widths and bores of the trade; a mid-drive’s axle passes through the bare shell.';
/** Bore and adapter sizes agree within this much, m (paint, wear, caliper). */
const BORE_PLAY = 0.0006;
/** Width play, m: faced shells differ by this much. */
const WIDTH_PLAY = 0.0005;

/**
 * Bottom-bracket width and bore against the mid-drive: width inside the axle's range (spacers fill
 * what is short), bore within the motor's or one with an adapter. Neither number alone is enough.
 */
export const bottomBracket: KitRule = {
  id: RULE,
  words: 'Bracket width and bore',
  group: 'bracket',
  fitCritical: true,
  uses: ['bracketKind', 'bracketWidth', 'bracketBore'],
  judge(context, kit) {
    const fit = kit.mid;
    if (!fit) return null;
    const { bracketWidth, bracketBore, bracketKind } = context.build.donor.survey;
    const { least, most } = fit.shellWidthsM;
    const evidence: Evidence[] = [
      surveyed(context, 'bracketKind'),
      surveyed(context, 'bracketWidth'),
      surveyed(context, 'bracketBore'),
      partData('Shells its axle takes', `${Math.round(least * 1000)} to ${Math.round(most * 1000)} mm`),
      partData('Bore it passes', amount(fit.boreM.least, 'size')),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });

    if (bracketWidth && bracketWidth.value < least - WIDTH_PLAY && least - bracketWidth.value > 0.012) {
      return finding({
        verdict: 'stop',
        title: 'Shell too narrow for this motor',
        why: phrase`The shell is ${amount(bracketWidth.value, 'size')} wide and the motor’s axle wants ${amount(least, 'size')} at least: ${amount(least - bracketWidth.value, 'size')} of spacers would hang the motor off its bearings.`,
        remedies: [{ text: phrase`Take the kit in the narrower axle length, if its maker sells one.` }],
      });
    }
    if (bracketWidth && bracketWidth.value > most + WIDTH_PLAY) {
      return finding({
        verdict: 'stop',
        title: 'Shell too wide for this motor',
        why: phrase`The shell is ${amount(bracketWidth.value, 'size')} wide; the motor’s axle ends at ${amount(most, 'size')}, ${amount(bracketWidth.value - most, 'size')} short.`,
        remedies: [{ text: phrase`Choose a kit whose axle takes ${amount(bracketWidth.value, 'size')}.` }],
      });
    }
    const bore = bracketBore?.value;
    if (bore !== undefined && bore < fit.boreM.least - BORE_PLAY) {
      return finding({
        verdict: 'stop',
        title: 'Shell bore too small',
        why: phrase`The bore is ${amount(bore, 'size')}; the motor needs ${amount(fit.boreM.least, 'size')} to pass through.`,
        remedies: [{ text: phrase`Choose a hub motor; a shell is not bored out.` }],
      });
    }
    if (bore !== undefined && bore > fit.boreM.most + BORE_PLAY) {
      const adapter = fit.adapterBoresM.find((b) => Math.abs(b - bore) <= 0.0012);
      return finding(
        adapter === undefined
          ? {
              verdict: 'stop',
              title: 'No adapter for this bore',
              why: phrase`The bore is ${amount(bore, 'size')}, over the ${amount(fit.boreM.most, 'size')} the motor fills, and no adapter is sold for it with this kit.`,
              remedies: [
                { text: phrase`Choose a hub motor, or a mid-drive with an adapter for ${amount(bore, 'size')}.` },
              ],
            }
          : {
              verdict: 'rework',
              title: 'Needs a bore adapter',
              why: phrase`The bore is ${amount(bore, 'size')} and the motor fills ${amount(fit.boreM.most, 'size')}: the adapter for ${amount(adapter, 'size')} goes between.`,
              remedies: [
                {
                  text: phrase`Add the adapter for ${amount(adapter, 'size')} to the order; press it in square, with grease.`,
                  cost: fit.adapterPrice,
                },
              ],
            },
      );
    }
    if (bracketKind?.value === 'eccentric') {
      return finding({
        verdict: 'rework',
        title: 'Eccentric shell',
        why: phrase`An eccentric insert can turn under the motor’s torque, and then the chain goes slack.`,
        remedies: [
          {
            text: phrase`Remove the insert, sleeve the shell to ${amount(fit.boreM.least, 'size')} and add a chain tensioner.`,
            cost: 45,
          },
        ],
      });
    }
    if (!isProven(bracketWidth) || !isProven(bracketBore)) {
      const open = [
        !isProven(bracketWidth) ? ('bracketWidth' as const) : null,
        !isProven(bracketBore) ? ('bracketBore' as const) : null,
      ].filter((id) => id !== null);
      return finding({
        verdict: 'measure',
        title: 'Bottom bracket not proven',
        why: phrase`This motor takes shells of ${amount(least, 'size')} to ${amount(most, 'size')} with a bore near ${amount(fit.boreM.least, 'size')}. Width and bore must both be measured; neither alone is enough.`,
        remedies: open.map(measureIt),
      });
    }
    const spacer = Math.max(0, least - bracketWidth.value);
    return finding({
      verdict: 'fits',
      title: spacer > WIDTH_PLAY ? 'Shell suits it, with spacers' : 'Shell suits this motor',
      why:
        spacer > WIDTH_PLAY
          ? phrase`${amount(bracketWidth.value, 'size')} wide with a bore of ${amount(bracketBore.value, 'size')}: axle ${amount(least, 'size')} less shell leaves ${amount(spacer, 'size')} of spacers.`
          : phrase`${amount(bracketWidth.value, 'size')} wide, within ${amount(least, 'size')} to ${amount(most, 'size')}; bore ${amount(bracketBore.value, 'size')}.`,
      remedies: [],
    });
  },
};
