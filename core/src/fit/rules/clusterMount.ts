import { isProven } from '../../donor/entry.ts';
import { choiceWords } from '../../donor/items/item.ts';
import { phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, surveyed, type KitRule } from '../rule.ts';

const RULE = 'cluster-mount';
const SOURCE =
  'A threaded freewheel and a splined cassette do not interchange; the motor’s case limits the number of cogs.';

/** Rear hubs: freewheel or cassette, and how many cogs it has room for. */
export const clusterMount: KitRule = {
  id: RULE,
  words: 'Cogs on the hub',
  group: 'drivetrain',
  fitCritical: true,
  uses: ['clusterKind', 'cogTeeth'],
  judge(context, kit) {
    const fit = kit.hub;
    if (fit?.place !== 'rear') return null;
    const { clusterKind, cogTeeth } = context.build.donor.survey;
    const evidence: Evidence[] = [
      surveyed(context, 'clusterKind'),
      surveyed(context, 'cogTeeth'),
      partData(
        'Hub takes',
        `${fit.clusterMount === 'none' ? 'no cogs' : `a ${fit.clusterMount}`}, up to ${fit.maxCogs} cogs`,
      ),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (!clusterKind) {
      return finding({
        verdict: 'measure',
        title: 'Freewheel or cassette?',
        why: phrase`The hub takes a ${fit.clusterMount} of up to ${fit.maxCogs} cogs; nobody has looked which the donor has.`,
        remedies: [measureIt('clusterKind')],
      });
    }
    if (clusterKind.value === 'hubGear') {
      return finding({
        verdict: 'rework',
        title: 'The hub gear goes with the old wheel',
        why: phrase`The motor takes the place of the hub gear and all its speeds.`,
        remedies: [
          {
            text: phrase`Fit a ${fit.clusterMount}, a derailleur with its hanger and a shifter, or ride one speed with a tensioner.`,
            cost: 95,
          },
          { text: phrase`Or drive the front wheel and keep the hub gear.` },
        ],
      });
    }
    const cogs = cogTeeth?.value.length;
    if (cogs !== undefined && cogs > fit.maxCogs) {
      return finding({
        verdict: 'rework',
        title: `Room for ${fit.maxCogs} cogs, not ${cogs}`,
        why: phrase`The donor has ${cogs} cogs; between the motor and the dropout is room for ${fit.maxCogs}. ${cogs - fit.maxCogs} go, and the shifter must match what is left.`,
        remedies: [{ text: phrase`Add a ${fit.clusterMount} of ${fit.maxCogs} cogs and its shifter.`, cost: 52 }],
      });
    }
    if (clusterKind.value !== 'single' && clusterKind.value !== fit.clusterMount) {
      const word = choiceWords[clusterKind.value] ?? clusterKind.value;
      return finding({
        verdict: 'rework',
        title: `Hub takes a ${fit.clusterMount}`,
        why: phrase`The donor’s cogs are a ${word}; they do not go on this hub.`,
        remedies: [
          {
            text: phrase`Add a ${fit.clusterMount} with the same number of cogs, so that the shifter still matches.`,
            cost: fit.clusterMount === 'freewheel' ? 22 : 34,
          },
        ],
      });
    }
    if (!isProven(clusterKind) || !isProven(cogTeeth)) {
      return finding({
        verdict: 'measure',
        title: 'Cogs not proven',
        why: phrase`A ${choiceWords[clusterKind.value] ?? clusterKind.value} would go on; count the cogs and look at the fitting.`,
        remedies: [
          ...(isProven(clusterKind) ? [] : [measureIt('clusterKind')]),
          ...(isProven(cogTeeth) ? [] : [measureIt('cogTeeth')]),
        ],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Cogs move over',
      why: phrase`${cogTeeth.value.length} cogs on a ${choiceWords[clusterKind.value] ?? clusterKind.value}; the hub takes up to ${fit.maxCogs}.`,
      remedies: [],
    });
  },
};
