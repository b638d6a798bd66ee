import { shorter } from '../../quantity/compare.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, askFor } from '../remedies.ts';

/** Gap wanted between caliper and motor cover, m. Source: project; wheels flex. */
const GAP = 0.0015;

/** A disc caliper beside a motor's case: measured, never guessed from the case's size. */
export const caliperRoom = kitRule(
  {
    id: 'caliper-room',
    words: 'Caliper beside the motor',
    group: 'brakes',
    uses: ['rearBrake', 'frontBrake', 'rearCaliperReach', 'frontCaliperReach'],
    source: 'The caliper reaches inside the rotor’s plane; the motor’s cover stands where spokes were.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    const fit = kit.hub;
    if (!fit?.disc) return null;
    const rear = fit.place === 'rear';
    const brake = build.donor.survey[rear ? 'rearBrake' : 'frontBrake']?.value;
    if (brake !== 'discCable' && brake !== 'discHydraulic') return null;
    const reach = say.need(rear ? 'rearCaliperReach' : 'frontCaliperReach');
    if (fit.rotorRoomM === undefined)
      return say.open(
        'Caliper against the motor’s case',
        phrase`Whether the caliper clears the case cannot be told from the case’s size, and the kit’s data does not say.`,
        askFor('the distance from the rotor’s seat to the cover'),
      );
    say.because(partData('Rotor’s plane to the cover', amount(fit.rotorRoomM, 'size')));
    if (reach === undefined)
      return say.open(
        'Caliper against the motor’s case',
        phrase`From rotor to cover there is ${amount(fit.rotorRoomM, 'size')}; how far the caliper reaches in has not been measured.`,
      );
    const gap = fit.rotorRoomM - reach;
    if (shorter(gap, -0.002))
      return say.stop(
        'The caliper meets the motor',
        phrase`It reaches ${amount(reach, 'size')} inside the rotor’s plane and the cover stands at ${amount(fit.rotorRoomM, 'size')}.`,
        buy(
          'slim-caliper',
          phrase`A slimmer caliper; spacers under the rotor help by 2 mm at most.`,
          take('caliper', rear ? 'rear brake' : 'front brake'),
          { work: 60 },
        ),
        choose('other-motor', phrase`Choose another motor.`),
      );
    if (shorter(gap, GAP))
      return say.rework(
        'The caliper all but touches',
        phrase`${amount(gap, 'size')} between caliper and cover; ${amount(GAP, 'size')} is wanted.`,
        buy(
          'rotor-spacers',
          phrase`Rotor spacers of 1 to 2 mm and the caliper moved out as far.`,
          take('rotor-spacer', rear ? 'rear brake' : 'front brake'),
          { work: 40 },
        ),
      );
    return say.fits(
      'The caliper clears the motor',
      phrase`${amount(gap, 'size')} between caliper and cover. The rotor stands where the new hub puts it: loosen the caliper, pull the lever, tighten. What then still rubs at one place is a bent rotor; what rubs all round, a wheel not home in its slot.`,
    );
  },
);
