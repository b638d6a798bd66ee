import { phrase } from '../../quantity/format.ts';
import { measureIt } from '../rule.ts';
import { kitRule, remedy } from '../say.ts';

/** The derailleur's hanger beside a motor axle. */
export const hangerKind = kitRule(
  {
    id: 'hanger',
    words: 'Derailleur hanger',
    group: 'axle',
    uses: ['hanger', 'clusterKind'],
    source: 'A claw is held by the axle nut and turns with it; washers in front of a hanger tilt the derailleur.',
  },
  ({ build }, kit, say) => {
    if (kit.hub?.place !== 'rear') return null;
    const cogs = build.donor.survey.clusterKind?.value;
    if (cogs === 'single') return null;
    const hanger = say.need('hanger');
    if (hanger === undefined)
      return say.open('Hanger not looked at', phrase`A claw hanger shares the axle with the motor’s washers.`);
    if (hanger === 'claw')
      return say.rework(
        'Claw hanger on a motor axle',
        phrase`The claw is held by the axle nut, which must hold the motor; it creeps, and the derailleur with it.`,
        remedy(phrase`Bolt the claw to the dropout’s eyelet as well, outside the torque washer.`, {
          cost: 5,
          minutes: 30,
        }),
      );
    if (hanger === 'none')
      return cogs === 'hubGear'
        ? say.rework(
            'No hanger for a derailleur',
            phrase`The hub gear goes with the old wheel and there is nothing to hang a derailleur on.`,
            remedy(phrase`Fit a claw hanger, or ride one speed with a tensioner.`, {
              cost: 9,
              minutes: 30,
              part: 'claw hanger',
            }),
          )
        : say.open(
            'Where does the derailleur hang?',
            phrase`Several cogs and no hanger do not go together; look again.`,
            measureIt('hanger'),
          );
    return say.fits(
      'Hanger stays where it is',
      phrase`${hanger === 'builtIn' ? 'It is part of the dropout' : 'It is bolted on and can be renewed'}.`,
    );
  },
);
