import { boreOf } from '../../parts/part.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { longer } from '../../quantity/compare.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Round axle against the bores of washers and torque arms: what does not slide on holds nothing. */
export const axleBores = kitRule(
  {
    id: 'axle-bores',
    words: 'Washers and arms on the axle',
    group: 'axle',
    uses: [],
    source: 'Washers and arms slide over the axle’s round before they find its flats; common ones are bored 14 mm.',
    fitCritical: true,
  },
  ({ asItWillBe, shelf }, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const end = fit.place === 'rear' ? 'rear axle' : 'front axle';
    const round = fit.axleDiameterM;
    const planned = asItWillBe.fittings.find(
      (t) => (t.part === 'torque-arm' || t.part === 'torque-arm-16') && t.place === end,
    );
    const arm =
      fit.armBoreM ?? boreOf(shelf, planned?.part === 'torque-arm-16' ? 'torque-arm-16' : 'torque-arm') ?? round;
    const washer = fit.washerBoreM ?? round;
    say.because(partData('Axle, round', amount(round, 'size')));
    if (planned) say.because(ruleFigure('Arms bored', amount(arm, 'size')));
    if (fit.washerBoreM !== undefined) say.because(partData('Washers bored, as they came', amount(washer, 'size')));
    if (longer(round, washer))
      return say.rework(
        'The washers do not go over the axle',
        phrase`The axle is ${amount(round, 'size')} round and the washers that came are bored ${amount(washer, 'size')}.`,
        buy('washers', phrase`Washers bored for ${amount(round, 'size')}, hardened.`, take('axle-washers-16', end), {
          work: 10,
        }),
      );
    if (planned && longer(round, arm))
      return say.rework(
        'The arms do not go over the axle',
        phrase`The axle is ${amount(round, 'size')} round and the arms are bored ${amount(arm, 'size')}; filed open they no longer hold the flats.`,
        buy('wide-arms', phrase`Arms bored for ${amount(round, 'size')}.`, take('torque-arm-16', end, planned.count), {
          work: 30,
        }),
      );
    return say.fits(
      'Washers and arms slide on',
      planned
        ? phrase`${amount(round, 'size')} of axle, arms bored ${amount(arm, 'size')}. Try both on the bare axle the day they come.`
        : phrase`${amount(round, 'size')} of axle and the kit’s own washers. Try them on the bare axle the day they come.`,
    );
  },
);
