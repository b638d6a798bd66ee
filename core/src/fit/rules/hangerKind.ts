import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, take, measureIt } from '../remedies.ts';

/** The derailleur's hanger beside a motor axle. */
export const hangerKind = kitRule(
  {
    id: 'hanger',
    words: 'Derailleur hanger',
    group: 'axle',
    uses: ['hanger', 'clusterKind'],
    source: 'A claw is held by the axle nut and turns with it; washers in front of a hanger tilt the derailleur.',
  },
  ({ gearing }, kit, say) => {
    if (kit.hub?.place !== 'rear') return null;
    if (gearing.kind === 'single') return null;
    // What the donor had: its hub gear leaves with the old wheel, and never wanted a hanger.
    const lostHubGear = say.asItIs('clusterKind') === 'hubGear';
    const hanger = say.need('hanger');
    if (hanger === undefined)
      return say.open('Hanger not looked at', phrase`A claw hanger shares the axle with the motor’s washers.`);
    if (hanger === 'claw')
      return say.rework(
        'Claw hanger on a motor axle',
        phrase`The claw is held by the axle nut, which must hold the motor; it creeps, and the derailleur with it.`,
        work('bolt-claw', phrase`Bolt the claw to the dropout’s eyelet as well, outside the torque washer.`, 30, {
          takes: take('hanger-bolt', 'rear axle'),
        }),
      );
    if (hanger === 'none')
      return lostHubGear
        ? say.rework(
            'No hanger for a derailleur',
            phrase`The hub gear goes with the old wheel and there is nothing to hang a derailleur on.`,
            buy('claw-hanger', phrase`Fit a claw hanger.`, take('claw-hanger', 'rear axle'), { work: 30 }),
            buy('one-speed', phrase`Ride one speed with a tensioner.`, take('chain-tensioner', 'chain'), { work: 30 }),
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
