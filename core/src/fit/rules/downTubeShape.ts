import { kindTraits } from '../../donor/kinds.ts';
import { phrase } from '../../quantity/format.ts';
import { kitRule } from '../say.ts';
import { buy, work, take } from '../remedies.ts';

/** A mid-drive's case rests against the down tube: a tube that bends away just there gives it nothing. */
export const downTubeShape = kitRule(
  {
    id: 'down-tube-shape',
    words: 'Down tube at the motor',
    group: 'frame',
    uses: ['downTubeShape', 'tubeSag'],
    source: 'Workshop practice: the case is drawn up against the tube before the lock ring is tightened.',
    fitCritical: true,
  },
  ({ build }, kit, say) => {
    // A boom has no tube ahead of its shell that could bend.
    if (!kit.mid || kindTraits[build.donor.kind].boom) return null;
    const shape = say.need('downTubeShape');
    if (shape === undefined)
      return say.open(
        'Down tube near the bracket not looked at',
        phrase`A mid-drive swings up until it meets the down tube. A tube that bends just ahead of the shell leaves it hanging.`,
      );
    if (shape === 'curved' && say.need('tubeSag') === undefined)
      return say.open(
        'How far the tube bows not measured',
        phrase`The down tube is S-bent or curved; how far it stands off a straight edge decides whether a strut reaches.`,
      );
    if (shape === 'curved')
      return say.rework(
        'The tube bends where the motor rests',
        phrase`The down tube is S-bent or curved near the bracket: the case meets it at one edge or not at all, and torque turns it in the shell.`,
        work(
          'strut',
          phrase`Hold a card disc of the case’s size in place; make a strut or strap from case to tube so that it rests flat.`,
          60,
          { takes: take('motor-strut', 'bracket') },
        ),
      );
    if (shape === 'none')
      return say.rework(
        'No down tube to rest against',
        phrase`There is no tube ahead of the shell; only the lock ring would keep the motor from turning.`,
        buy('reaction-arm', phrase`Fit a reaction arm from the case to a chainstay.`, take('reaction-arm', 'bracket'), {
          work: 45,
        }),
      );
    return say.fits('A straight tube to rest against', phrase`The down tube is straight ahead of the shell.`);
  },
);
