import { phrase } from '../../quantity/format.ts';
import { partData } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, take } from '../remedies.ts';

/** Shifter and the number of cogs the new wheel has room for. */
export const shifterMatch = kitRule(
  {
    id: 'shifter-match',
    words: 'Shifter and cogs',
    group: 'drivetrain',
    uses: ['shifterClicks', 'clusterKind', 'cogTeeth'],
    source: 'A shifter pulls cable for one spacing of cogs: as many clicks as cogs, or the stops must hide some.',
  },
  ({ build }, kit, say) => {
    const fit = kit.hub;
    if (fit?.place !== 'rear' || fit.clusterMount === 'none') return null;
    const kind = build.donor.survey.clusterKind?.value;
    if (kind === 'single' || kind === 'hubGear') return null;
    const clicks = say.need('shifterClicks');
    say.because(partData('Hub has room for', `${fit.maxCogs} cogs`));
    if (clicks === undefined)
      return say.open(
        'Shifter’s clicks not counted',
        phrase`The hub has room for ${fit.maxCogs} cogs; the shifter must count as many.`,
      );
    if (clicks > fit.maxCogs)
      return say.rework(
        'Shifter counts more than the hub holds',
        phrase`${clicks} clicks and room for ${fit.maxCogs} cogs: their spacing differs, and it lands between.`,
        buy('shifter', phrase`A shifter for ${fit.maxCogs} speeds.`, take('shifter', 'bar'), { work: 40 }),
      );
    return say.fits('Shifter matches', phrase`${clicks} clicks, up to ${fit.maxCogs} cogs.`);
  },
);
