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
  (context, kit, say) => {
    const fit = kit.hub;
    if (fit?.place !== 'rear' || fit.clusterMount === 'none') return null;
    const { kind, cluster } = context.gearing;
    if (kind === 'single') return null;
    // Cogs that are chosen are counted; else those that come over, as many as there is room for.
    const own = cluster ? cluster.cogs.length : context.gearing.cogs?.length;
    const count = Math.min(own ?? fit.maxCogs, fit.maxCogs);
    if (count === 1) return null;
    if (cluster) say.because(partData('Cogs chosen', cluster.name));
    else say.needOwn('cogTeeth');
    const clicks = say.need('shifterClicks');
    say.because(partData('Hub has room for', `${fit.maxCogs} cogs`));
    if (clicks === undefined)
      return say.open(
        'Shifter’s clicks not counted',
        phrase`${count} cogs will be on it; the shifter must count as many.`,
      );
    if (clicks !== count)
      return say.rework(
        clicks > count ? 'Shifter counts more than there are cogs' : 'Shifter counts fewer than there are cogs',
        phrase`${clicks} clicks for ${count} cogs: their spacing differs, and it lands between.`,
        buy('shifter', phrase`A shifter for ${count} speeds.`, take('shifter', 'bar'), { work: 40 }),
      );
    return say.fits('Shifter matches', phrase`${clicks} clicks for ${count} cogs.`);
  },
);
