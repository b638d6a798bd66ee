import type { Taking } from '../../build/remedy.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { FUSE_WITHIN } from '../../wiring/power.ts';
import { wiredOf } from '../../wiring/wiring.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { askFor, choose, look, work } from '../remedies.ts';

/** The battery’s lead: copper for its amps and drop, a fuse it can carry, plugs that bear the fuse. */
export const powerLead = kitRule(
  {
    id: 'power-lead',
    words: 'Battery cable and fuse',
    group: 'power',
    uses: [],
    source:
      'docs/models.md, cables and fuses: cautious workshop values for copper in a bundle, 3 % drop, fuse from 1.25 times the limit, or from 1.1 where that protects the kit’s own cable.',
  },
  (context, kit, say) => {
    const { pack } = context;
    if (!pack) return null;
    const power = wiredOf(context)?.power;
    if (!power) return null;
    say.because(
      partData('Battery limit', amount(kit.controller.batteryLimitA, 'current', 0)),
      ruleFigure('Cable, at least', `${power.wantedMm2} mm²`),
      ruleFigure('Drop', amount(power.dropShare, 'share', 1)),
    );
    if (power.fuseA === null)
      return say.rework(
        'No fuse breaks that much',
        phrase`${amount(power.amps, 'current', 0)} at ${amount(power.fullVolts, 'voltage')} full: none on the shelf is made for both.`,
        choose('less', phrase`A kit of less current, or have an electrician choose the fuse.`),
      );
    say.because(ruleFigure('Fuse', amount(power.fuseA, 'current', 0)));
    if (power.fuseTrouble)
      return say.rework(
        'The fuse chosen is not for this lead',
        power.fuseTrouble === 'volts'
          ? phrase`It is made for ${amount(power.fuseVolts ?? 0, 'voltage', 0)}; the full pack has ${amount(power.fullVolts, 'voltage')}: its arc would not go out.`
          : phrase`The controller draws up to ${amount(power.amps, 'current', 0)}; a fuse of ${amount(power.fuseA, 'current', 0)} is under 1.25 times that and goes on a hill.`,
        choose('usual-fuse', phrase`Choose “as reckoned” for the fuse.`),
      );
    if (!power.copperKnown)
      return say.open(
        'The battery lead’s copper is not known',
        phrase`${String(power.wantedMm2)} mm² is wanted over ${amount(power.lengthM, 'size', 0)} for a fuse of ${amount(power.fuseA, 'current', 0)}.`,
        askFor('the cross-section of the battery lead, mm²'),
        look('read-lead', phrase`Or read it off the lead’s own print, and choose that cable here.`),
      );
    const thin = power.carriesA < power.fuseA || power.thin;
    const cable: Taking = {
      part: `cable-${String(power.wantedMm2).replace('.', '-')}`,
      count: Math.max(1, Math.ceil(2 * power.lengthM)),
      place: 'leads',
    };
    if (power.weakest && power.weakest.amps < power.fuseA)
      return say.rework(
        thin ? 'Plug and cable weaker than the fuse' : 'A plug weaker than the fuse',
        phrase`The fuse is ${amount(power.fuseA, 'current', 0)}, ${power.weakest.what} bears ${amount(power.weakest.amps, 'current', 0)}: the plug would melt first.${thin ? ` The cable of ${power.mm2} mm² is thin for it too: ${power.wantedMm2} mm² wanted.` : ''}`,
        work(
          'stronger-plug',
          thin
            ? phrase`Cable of ${String(power.wantedMm2)} mm² with plugs that bear the fuse on both halves, or have the limit set lower.`
            : phrase`Put plugs that bear the fuse on both halves, or have the limit set lower.`,
          thin ? 70 : 40,
          { takes: [{ part: 'plug-bullet-pair-2', count: 1, place: 'leads' }, ...(thin ? [cable] : [])] },
        ),
      );
    if (thin)
      return say.rework(
        'The battery lead is thin for its fuse',
        phrase`${String(power.mm2)} mm² carries ${amount(power.carriesA, 'current', 0)} in a bundle and drops ${amount(power.dropShare, 'share', 1)} over ${amount(power.lengthM, 'size', 0)}; the fuse is ${amount(power.fuseA, 'current', 0)}: ${String(power.wantedMm2)} mm² wanted.`,
        work(
          'thicker',
          phrase`Cable of ${String(power.wantedMm2)} mm², plus and minus, as short as its way allows.`,
          45,
          { takes: cable },
        ),
        choose('lower-limit', phrase`Set the battery current lower, on the settings sheet.`),
      );
    return say.fits(
      'Battery lead, fuse and plugs agree',
      phrase`${String(power.mm2)} mm² over ${amount(power.lengthM, 'size', 0)} drops ${amount(power.dropV, 'voltage', 2)}, ${amount(power.dropShare, 'share', 1)}; fuse ${amount(power.fuseA, 'current', 0)} within ${amount(FUSE_WITHIN, 'size', 0)} of the pack’s plus.${power.fuseTight ? ' It is as large as this cable bears, and under 1.25 times the limit: it may go on a hot day, so carry a spare, never a larger one.' : ''}`,
    );
  },
);
