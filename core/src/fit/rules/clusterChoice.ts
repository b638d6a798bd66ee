import { phrase } from '../../quantity/format.ts';
import { choose, measureIt } from '../remedies.ts';
import { partData, surveyed } from '../rule.ts';
import { planRule } from '../say.ts';

/** A chosen cluster on the wheel that carries it. */
export const clusterChoice = planRule(
  {
    id: 'cluster-choice',
    words: 'Cluster on the wheel',
    group: 'gears',
    uses: ['clusterKind'],
    source: 'Bolt circles and cog fittings do not interchange.',
  },
  (context, say) => {
    const { cluster } = context.chosen;
    if (!cluster) return null;
    const rearHub = context.kit?.hub?.place === 'rear' ? context.kit.hub : null;
    const wanted = rearHub ? rearHub.clusterMount : context.build.donor.survey.clusterKind?.value;
    say.because(
      partData('Cluster', cluster.mount),
      rearHub ? partData('Hub takes', rearHub.clusterMount) : surveyed(context, 'clusterKind'),
    );
    if (wanted === undefined)
      return say.open(
        'Does the cluster go on the wheel?',
        phrase`A ${cluster.mount} needs a hub made for it; the donor’s has not been looked at.`,
        measureIt('clusterKind'),
      );
    if (wanted !== cluster.mount)
      return say.stop(
        'Cluster does not go on the wheel',
        phrase`It is a ${cluster.mount}; the wheel takes ${wanted === 'hubGear' ? 'a hub gear’s cog' : `a ${wanted}`}.`,
        choose('other-cluster', phrase`Choose a ${wanted}.`),
      );
    if (rearHub && cluster.cogs.length > rearHub.maxCogs)
      return say.stop(
        'Too many cogs for the hub',
        phrase`${cluster.cogs.length} cogs; the hub has room for ${rearHub.maxCogs}.`,
        choose('fewer-cogs', phrase`Choose a ${cluster.mount} of ${rearHub.maxCogs} cogs or fewer.`),
      );
    return say.fits(
      'Cluster goes on the wheel',
      phrase`A ${cluster.mount} of ${cluster.cogs.length} cogs; shifter and derailleur must match that number.`,
    );
  },
);
