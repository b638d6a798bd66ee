import { fullVolts, nominalVolts } from '../../pack/battery.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { partData, ruleFigure, type PackRule } from '../rule.ts';

const RULE = 'pack-volts';
const SOURCE =
  'Full volts under the controller’s ceiling, cut-off volts above the pack’s own; cells: NMC 4.2, LFP 3.65, lead 2.4 V full.';
/** Nominal volts within this share of the controller's class count as the same class. */
const CLASS_WIDTH = 0.12;

/** Pack volts, full, nominal and at cut-off, against the kit's controller. */
export const packVolts: PackRule = {
  id: RULE,
  words: 'Volts',
  group: 'pack',
  fitCritical: true,
  uses: [],
  judge(_context, pack, kit) {
    if (!kit) return null;
    const full = fullVolts(pack);
    const nominal = nominalVolts(pack);
    const lowest = pack.cutoffVPerCell * pack.series;
    const { maxVolts, cutoffVolts } = kit.controller;
    const evidence: Evidence[] = [
      ruleFigure('Pack straight off the charger', amount(full, 'voltage')),
      ruleFigure('Pack nominal', amount(nominal, 'voltage')),
      partData('Controller bears', amount(maxVolts, 'voltage')),
      partData('Controller is made for', amount(kit.nominalVolts, 'voltage')),
      partData('Controller cuts off at', amount(cutoffVolts, 'voltage')),
      ruleFigure('Pack’s own cut-off', amount(lowest, 'voltage')),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'pack',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (full > maxVolts) {
      return finding({
        verdict: 'stop',
        title: 'Full pack over the controller’s ceiling',
        why: phrase`Off the charger the pack has ${amount(full, 'voltage')}; the controller bears ${amount(maxVolts, 'voltage')}. It fails at the first switching on, or soon after.`,
        remedies: [{ text: phrase`Choose a ${amount(kit.nominalVolts, 'voltage', 0)} pack.` }],
      });
    }
    if (nominal < kit.nominalVolts * (1 - CLASS_WIDTH)) {
      return finding({
        verdict: 'stop',
        title: 'Pack below the controller’s voltage',
        why: phrase`The pack is ${amount(nominal, 'voltage')} nominal; the controller is made for ${amount(kit.nominalVolts, 'voltage', 0)} and cuts off at ${amount(cutoffVolts, 'voltage')}, with most of the charge still in.`,
        remedies: [{ text: phrase`Choose a ${amount(kit.nominalVolts, 'voltage', 0)} pack.` }],
      });
    }
    if (cutoffVolts < lowest - 2) {
      return finding({
        verdict: 'fits',
        title: 'Volts match; the pack’s board cuts off first',
        why: phrase`Full ${amount(full, 'voltage')} under the ceiling of ${amount(maxVolts, 'voltage')}. The controller would go down to ${amount(cutoffVolts, 'voltage')}, the pack’s board ends it at ${amount(lowest, 'voltage')}.`,
        remedies: [],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Volts match',
      why: phrase`Full ${amount(full, 'voltage')} under the ceiling of ${amount(maxVolts, 'voltage')}; ${amount(nominal, 'voltage')} nominal for a ${amount(kit.nominalVolts, 'voltage', 0)} controller.`,
      remedies: [],
    });
  },
};
