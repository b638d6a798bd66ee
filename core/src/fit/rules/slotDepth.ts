import { armPart } from '../../vehicle/vehicle.ts';
import { shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** How deep the axle sits in its slot: flats that stand proud hold nothing. */
export const slotDepth = kitRule(
  {
    id: 'slot-depth',
    words: 'Slot depth',
    group: 'axle',
    uses: ['rearSlotDepth', 'frontSlotDepth', 'rearAxleHolding', 'frontAxleHolding'],
    source: 'The slot’s walls bear on the flats only as far as the axle’s round diameter lies inside them.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const { survey } = build.donor;
    // A closed hole has no depth, and takes no motor axle at all: the slot's own verdict.
    if ((rear ? survey.rearAxleHolding : survey.frontAxleHolding)?.value === 'throughAxle') return null;
    const depth = say.need(rear ? 'rearSlotDepth' : 'frontSlotDepth');
    say.because(partData('Axle, round', amount(fit.axleDiameterM, 'size')));
    if (depth === undefined)
      return say.open(
        'Slot depth not measured',
        phrase`The axle is ${amount(fit.axleDiameterM, 'size')} round; how deep it can sit has not been measured.`,
      );
    if (shorter(depth, fit.axleDiameterM * 0.7))
      return say.stop(
        'The slot is too shallow',
        phrase`${amount(depth, 'size')} deep for an axle of ${amount(fit.axleDiameterM, 'size')}: it stands proud and climbs out under torque.`,
        choose('thinner-axle', phrase`Choose a motor with a thinner axle.`),
        choose('other-wheel', phrase`Drive another wheel; a fork tip is not filed deeper by more than a millimetre.`),
      );
    if (shorter(depth, fit.axleDiameterM))
      return say.rework(
        'The axle stands a little proud',
        phrase`${amount(depth, 'size')} deep for ${amount(fit.axleDiameterM, 'size')} of axle: ${amount(fit.axleDiameterM - depth, 'size')} outside.`,
        buy(
          'two-arms',
          phrase`Torque arms on both sides, clamped close; washers that bridge the slot fully.`,
          take(armPart(kit), rear ? 'rear axle' : 'front axle', 2),
          { work: 40, sets: { torqueArms: 2 } },
        ),
      );
    return say.fits(
      'The axle sits fully in its slot',
      phrase`${amount(depth, 'size')} deep for ${amount(fit.axleDiameterM, 'size')} of axle.`,
    );
  },
);
