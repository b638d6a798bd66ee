import { phrase } from '../../quantity/format.ts';
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
  ({ build }, kit, say) => {
    const kind = build.donor.survey.clusterKind?.value;
    if (kind !== 'freewheel' && kind !== 'cassette') return null;
    if (kit.hub?.place !== 'rear' && !kit.mid) return null;
    const largest = say.need('derailleurCog');
    const cogs = say.look('cogTeeth');
    if (largest === undefined)
      return say.open(
        'What the derailleur takes not known',
        phrase`A lower gear for the motor, or a new cluster, may ask for a bigger cog.`,
      );
    const biggest = cogs ? Math.max(...cogs) : undefined;
    if (biggest !== undefined && biggest > largest + 2)
      return say.rework(
        'A bigger cog than the derailleur takes',
        phrase`${biggest} teeth, and it is made for ${largest}.`,
        buy('hanger-link', phrase`A hanger link that drops the derailleur.`, take('hanger-link', 'chain'), {
          work: 20,
        }),
        buy('long-cage', phrase`A long-cage derailleur.`, take('derailleur', 'chain'), { work: 40 }),
      );
    return say.fits(
      'The derailleur takes the cogs',
      biggest === undefined
        ? phrase`Made for up to ${largest} teeth.`
        : phrase`${biggest} teeth, made for up to ${largest}.`,
    );
  },
);
