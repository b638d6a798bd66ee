import { voltsStanding } from '../../pack/volts.ts';
import { chargerVolts, fullVolts, nominalVolts } from '../../pack/battery.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { packRule } from '../say.ts';
import { choose } from '../remedies.ts';

/** Pack volts, full, nominal and at cut-off, against the kit's controller. */
export const packVolts = packRule(
  {
    id: 'pack-volts',
    words: 'Volts',
    group: 'pack',
    fitCritical: true,
    uses: [],
    source:
      'Full volts under the controller’s ceiling, cut-off volts above the pack’s own; cells: NMC 4.2, LFP 3.65 V full; lead 2.13 V rested, its 2.4 off the charger is surface charge.',
  },
  (_context, pack, kit, say) => {
    if (!kit) return null;
    const full = fullVolts(pack);
    const nominal = nominalVolts(pack);
    const lowest = pack.cutoffVPerCell * pack.series;
    const { maxVolts, cutoffVolts } = kit.controller;
    say.because(
      ruleFigure(
        pack.chemistry === 'lead' ? 'Pack full, rested' : 'Pack straight off the charger',
        amount(full, 'voltage'),
      ),
      ...(pack.chemistry === 'lead'
        ? [ruleFigure('Surface charge, off the charger', amount(chargerVolts(pack), 'voltage'))]
        : []),
      ruleFigure('Pack nominal', amount(nominal, 'voltage')),
      partData('Controller bears', amount(maxVolts, 'voltage')),
      partData('Controller is made for', amount(kit.nominalVolts, 'voltage')),
      partData('Controller cuts off at', amount(cutoffVolts, 'voltage')),
      ruleFigure('Pack’s own cut-off', amount(lowest, 'voltage')),
    );
    const stands = voltsStanding(kit, pack);
    if (stands === 'over') {
      return say.stop(
        'Full pack over the controller’s ceiling',
        phrase`Full, the pack has ${amount(full, 'voltage')}; the controller bears ${amount(maxVolts, 'voltage')}. It fails at the first switching on, or soon after.`,
        choose('right-volts', phrase`Choose a ${amount(kit.nominalVolts, 'voltage', 0)} pack.`),
      );
    }
    if (stands === 'under') {
      return say.stop(
        'Pack below the controller’s voltage',
        phrase`The pack is ${amount(nominal, 'voltage')} nominal; the controller is made for ${amount(kit.nominalVolts, 'voltage', 0)} and cuts off at ${amount(cutoffVolts, 'voltage')}, with most of the charge still in.`,
        choose('right-volts', phrase`Choose a ${amount(kit.nominalVolts, 'voltage', 0)} pack.`),
      );
    }
    if (chargerVolts(pack) > maxVolts)
      return say.fits(
        'Volts match, once rested',
        phrase`Rested it has ${amount(full, 'voltage')}, under the ceiling of ${amount(maxVolts, 'voltage')}. Off the charger ${amount(chargerVolts(pack), 'voltage')} of surface charge stands on it: take it off the charger an hour before switching on, or ride the lamp for some minutes.`,
      );
    if (cutoffVolts < lowest - 2) {
      return say.fits(
        'Volts match; the pack’s board cuts off first',
        phrase`Full ${amount(full, 'voltage')} under the ceiling of ${amount(maxVolts, 'voltage')}. The controller would go down to ${amount(cutoffVolts, 'voltage')}, the pack’s board ends it at ${amount(lowest, 'voltage')}.`,
      );
    }
    return say.fits(
      'Volts match',
      phrase`Full ${amount(full, 'voltage')} under the ceiling of ${amount(maxVolts, 'voltage')}; ${amount(nominal, 'voltage')} nominal for a ${amount(kit.nominalVolts, 'voltage', 0)} controller.`,
    );
  },
);
