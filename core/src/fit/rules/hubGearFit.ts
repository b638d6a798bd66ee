import { amount, phrase } from '../../quantity/format.ts';
import { longer, shorter } from '../../quantity/compare.ts';
import { partData } from '../rule.ts';
import { planRule } from '../say.ts';
import { buy, choose, take, work } from '../remedies.ts';

/** Ends within this of the hub close up by hand, m; washers make up more. */
const HAND_PLAY = 0.001;
const WASHERS = 0.006;

/** A hub gear that was chosen, on the wheel and between the ends it would sit in. */
export const hubGearFit = planRule(
  {
    id: 'hub-gear-choice',
    words: 'Hub gear on the wheel',
    group: 'gears',
    uses: ['rearDropoutSpacing', 'rearSlotWidth', 'rearSpokes', 'rearBrake'],
    source: 'A hub gear is laced into a rim of its hole count and sits between ends of its width.',
  },
  ({ chosen, kit, build }, say) => {
    const { hubGear, cluster } = chosen;
    if (!hubGear) return null;
    say.because(partData('Hub gear', hubGear.name));
    if (kit?.hub?.place === 'rear')
      return say.stop(
        'Motor and hub gear want one wheel',
        phrase`${kit.name} is the rear hub; there is no room for ${hubGear.name.toLowerCase()} in it.`,
        choose('mid-or-front', phrase`A mid-drive or a front motor.`),
        choose('no-hub-gear', phrase`Leave the hub gear off.`, { hubGearId: null }),
      );
    if (cluster)
      return say.stop(
        'Cogs and hub gear both chosen',
        phrase`${cluster.name} has no place on ${hubGear.name.toLowerCase()}.`,
        choose('no-cogs', phrase`Leave the cogs off.`, { clusterId: null }),
        choose('no-hub-gear', phrase`Leave the hub gear off.`, { hubGearId: null }),
      );
    const spacing = say.need('rearDropoutSpacing');
    const holes = say.need('rearSpokes');
    const slot = say.need('rearSlotWidth');
    if (hubGear.dropoutSpacingM !== undefined)
      say.because(partData('Between the ends', amount(hubGear.dropoutSpacingM, 'size')));
    if (spacing === undefined || holes === undefined || slot === undefined || hubGear.dropoutSpacingM === undefined)
      return say.open(
        'Rear end not measured for the hub gear',
        phrase`Its width, its axle and its spoke holes must suit frame and rim.`,
      );
    const off = spacing - hubGear.dropoutSpacingM;
    if (shorter(off, -HAND_PLAY) || longer(off, WASHERS))
      return say.stop(
        off < 0 ? 'The hub gear is too wide' : 'The hub gear is too narrow',
        phrase`${amount(spacing, 'size')} between the ends, ${amount(hubGear.dropoutSpacingM, 'size')} of hub.`,
        choose('other-hub-gear', phrase`A hub gear for ${amount(spacing, 'size')}.`),
      );
    if (hubGear.axleFlatsM !== undefined && shorter(slot, hubGear.axleFlatsM))
      return say.rework(
        'The slot is narrow for its axle',
        phrase`${amount(slot, 'size')} of slot, ${amount(hubGear.axleFlatsM, 'size')} of flats.`,
        work('file', phrase`File the slot’s faces evenly until the axle goes in by hand.`, 30, {
          tools: ['flat-file'],
        }),
      );
    if (hubGear.spokes !== undefined && holes !== hubGear.spokes)
      return say.rework(
        'Rim and hub gear differ in spokes',
        phrase`${hubGear.spokes} holes in the hub, ${holes} in the rim.`,
        buy(
          'rim',
          phrase`A rim of ${hubGear.spokes} holes.`,
          [take('rim', 'rear wheel'), take('spokes', 'rear wheel')],
          {
            work: 120,
            tools: ['spoke-key'],
          },
        ),
      );
    const brake = build.donor.survey.rearBrake?.value;
    if (brake === 'discCable' || brake === 'discHydraulic')
      if (hubGear.brake !== 'rotor')
        return say.rework(
          'No seat for the rotor',
          phrase`The donor brakes with a rear disc and this hub gear takes none.`,
          choose('rotor-hub-gear', phrase`A hub gear made for a rotor.`),
        );
    return say.fits(
      'The hub gear goes in',
      phrase`${amount(spacing, 'size')} between the ends, ${holes} spokes; laced to the rim there is.`,
    );
  },
);
