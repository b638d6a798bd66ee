import { CALIPER_TOLERANCE, SPREAD_LIMIT_ALUMINIUM, SPREAD_LIMIT_STEEL } from '../../constants.ts';
import type { Material } from '../../donor/donor.ts';
import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Evidence, Finding } from '../finding.ts';
import { measureIt, partData, ruleFigure, surveyed, type KitRule } from '../rule.ts';

const RULE = 'dropout-spacing';
const SOURCE =
  'Workshop practice: steel springs up to 5 mm in all, aluminium 1 mm, carbon and titanium none; a fork is not sprung.';
/** Inner faces within this much of the hub count as equal, m: the ends close up by hand. */
const HAND_PLAY = 0.001;
/** Washers make up to this much of a too wide gap, m in all. */
const WASHER_LIMIT = 0.006;

const spreadLimit: Record<Material, number> = {
  steel: SPREAD_LIMIT_STEEL,
  aluminium: SPREAD_LIMIT_ALUMINIUM,
  titanium: 0,
  carbon: 0,
};

/** Dropout spacing against the hub: equal, washers, springing by material, or no. */
export const dropoutSpacing: KitRule = {
  id: RULE,
  words: 'Dropout spacing',
  group: 'axle',
  fitCritical: true,
  uses: ['rearDropoutSpacing', 'dropoutMaterial', 'frontDropoutSpacing', 'forkMaterial'],
  judge(context, kit) {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const { survey } = context.build.donor;
    const item = rear ? 'rearDropoutSpacing' : 'frontDropoutSpacing';
    const materialItem = rear ? 'dropoutMaterial' : 'forkMaterial';
    const spacing = survey[item];
    const material = survey[materialItem];
    const where = rear ? 'rear' : 'fork';
    const evidence: Evidence[] = [
      surveyed(context, item),
      surveyed(context, materialItem),
      partData('Hub, across its faces', amount(fit.dropoutSpacingM, 'size')),
    ];
    const finding = (rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
      rule: RULE,
      area: 'drive',
      evidence,
      source: SOURCE,
      ...rest,
    });
    if (!spacing) {
      return finding({
        verdict: 'measure',
        title: rear ? 'Rear spacing not measured' : 'Fork spacing not measured',
        why: phrase`The hub is ${amount(fit.dropoutSpacingM, 'size')} across; the ${where} ends have not been measured.`,
        remedies: [measureIt(item)],
      });
    }
    const short = fit.dropoutSpacingM - spacing.value;
    const limit = rear ? (material ? spreadLimit[material.value] : 0) : 0;
    if (short > HAND_PLAY) {
      if (!material && rear) {
        return finding({
          verdict: 'measure',
          title: 'May the ends be spread?',
          why: phrase`The hub is ${amount(short, 'size')} wider than the ${amount(spacing.value, 'size')} between the ends. Whether they may be sprung that far depends on what they are made of.`,
          remedies: [measureIt(materialItem)],
        });
      }
      evidence.push(ruleFigure('Springing allowed', amount(limit, 'size')));
      if (short > limit + CALIPER_TOLERANCE) {
        return finding({
          verdict: 'stop',
          title: rear ? 'Hub too wide for this frame' : 'Hub too wide for this fork',
          why: phrase`The hub is ${amount(fit.dropoutSpacingM, 'size')} across and the ends ${amount(spacing.value, 'size')} apart: ${amount(short, 'size')} too wide, where ${rear ? (material?.value ?? '') : 'a fork'} allows ${amount(limit, 'size')}.`,
          remedies: [{ text: phrase`Choose a hub made for ${amount(spacing.value, 'size')}, or a mid-drive.` }],
        });
      }
      return finding({
        verdict: 'rework',
        title: 'Ends must be sprung apart',
        why: phrase`The hub is ${amount(short, 'size')} wider than the ${amount(spacing.value, 'size')} between the ends; ${material?.value ?? 'this'} allows ${amount(limit, 'size')}, cold-set evenly and checked with a string line.`,
        remedies: [
          {
            text: phrase`Cold-set the rear ends by ${amount(short, 'size')} in all, half each side, and true the dropouts parallel.`,
            cost: 25,
          },
        ],
      });
    }
    if (-short > WASHER_LIMIT) {
      return finding({
        verdict: 'stop',
        title: 'Hub too narrow for these ends',
        why: phrase`The ends are ${amount(spacing.value, 'size')} apart and the hub fills ${amount(fit.dropoutSpacingM, 'size')}: ${amount(-short, 'size')} of washers would leave too little thread in the nuts.`,
        remedies: [{ text: phrase`Choose a hub made for ${amount(spacing.value, 'size')}.` }],
      });
    }
    if (!isProven(spacing)) {
      return finding({
        verdict: 'measure',
        title: 'Spacing not proven',
        why: phrase`${amount(spacing.value, 'size')} would suit the hub’s ${amount(fit.dropoutSpacingM, 'size')}, but it is not measured.`,
        remedies: [measureIt(item)],
      });
    }
    if (-short > HAND_PLAY) {
      return finding({
        verdict: 'rework',
        title: 'Washers fill the gap',
        why: phrase`The ends are ${amount(spacing.value, 'size')} apart, the hub ${amount(fit.dropoutSpacingM, 'size')}: ${amount(-short, 'size')} of axle washers, shared so that the rim stays in the middle.`,
        remedies: [
          {
            text: phrase`Add axle washers of ${amount(-short / 2, 'size')} a side; do not squeeze the ends in.`,
            cost: 6,
          },
        ],
      });
    }
    return finding({
      verdict: 'fits',
      title: 'Spacing suits the hub',
      why: phrase`${amount(spacing.value, 'size')} between the ends, ${amount(fit.dropoutSpacingM, 'size')} across the hub.`,
      remedies: [],
    });
  },
};
