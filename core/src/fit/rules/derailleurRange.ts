import { phrase } from '../../quantity/format.ts';
import { cogsToBe } from '../gearsThatWillBe.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** The biggest cog against what the derailleur takes. */
export const derailleurRange = kitRule(
  {
    id: 'derailleur-range',
    words: 'Derailleur’s range',
    group: 'drivetrain',
    uses: ['derailleurCog', 'cogTeeth', 'clusterKind'],
    source:
      'A derailleur’s jockey wheel must clear the biggest cog; some two teeth beyond its figure usually still do.',
  },
  (context, kit, say) => {
    const { kind } = context.gearing;
    if (kind !== 'freewheel' && kind !== 'cassette') return null;
    if (kit.hub?.place !== 'rear' && !kit.mid) return null;
    const largest = say.need('derailleurCog');
    const cogs = cogsToBe(context, say);
    if (largest === undefined)
      return say.open(
        'What the derailleur takes not known',
        phrase`A lower gear for the motor, or a new cluster, may ask for a bigger cog.`,
      );
    if (cogs === undefined)
      return say.open(
        'Cogs not counted',
        phrase`Made for up to ${largest} teeth; the largest cog has not been counted.`,
      );
    const biggest = Math.max(...cogs);
    if (biggest > largest + 2)
      return say.rework(
        'A bigger cog than the derailleur takes',
        phrase`${biggest} teeth, and it is made for ${largest}.`,
        buy('hanger-link', phrase`A hanger link that drops the derailleur.`, take('hanger-link', 'chain'), {
          work: 20,
        }),
        buy('long-cage', phrase`A long-cage derailleur.`, take('derailleur', 'chain'), { work: 40 }),
      );
    return say.fits('The derailleur takes the cogs', phrase`${biggest} teeth, made for up to ${largest}.`);
  },
);
