import { longer } from '../../quantity/compare.ts';
import { CALIPER_TOLERANCE, SPREAD_LIMIT_ALUMINIUM, SPREAD_LIMIT_STEEL, WASHER_LIMIT } from '../../constants.ts';
import type { Material } from '../../donor/donor.ts';
import { isProven } from '../../donor/entry.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure, surveyed } from '../rule.ts';
import { kitRule } from '../say.ts';
import { buy, choose, take, measureIt, work } from '../remedies.ts';

/** Inner faces within this much of the hub count as equal, m: the ends close up by hand. */
const HAND_PLAY = 0.001;

const spreadLimit: Record<Material, number> = {
  steel: SPREAD_LIMIT_STEEL,
  aluminium: SPREAD_LIMIT_ALUMINIUM,
  titanium: 0,
  carbon: 0,
};

/** Dropout spacing against the hub: equal, washers, springing by material, or no. */
export const dropoutSpacing = kitRule(
  {
    id: 'dropout-spacing',
    words: 'Dropout spacing',
    group: 'axle',
    fitCritical: true,
    uses: ['rearDropoutSpacing', 'dropoutMaterial', 'frontDropoutSpacing', 'forkMaterial'],
    source:
      'Workshop practice: steel springs up to 5 mm in all, aluminium 1 mm, carbon and titanium none; a fork is not sprung.',
  },
  (context, kit, say) => {
    const fit = kit.hub;
    if (!fit) return null;
    const rear = fit.place === 'rear';
    const { survey } = context.build.donor;
    const item = rear ? 'rearDropoutSpacing' : 'frontDropoutSpacing';
    const materialItem = rear ? 'dropoutMaterial' : 'forkMaterial';
    const spacing = survey[item];
    const material = survey[materialItem];
    const where = rear ? 'rear' : 'fork';
    say.because(
      surveyed(context, item),
      surveyed(context, materialItem),
      partData('Hub, across its faces', amount(fit.dropoutSpacingM, 'size')),
    );
    if (!spacing) {
      return say.open(
        rear ? 'Rear spacing not measured' : 'Fork spacing not measured',
        phrase`The hub is ${amount(fit.dropoutSpacingM, 'size')} across; the ${where} ends have not been measured.`,
        measureIt(item),
      );
    }
    const short = fit.dropoutSpacingM - spacing.value;
    const limit = rear ? (material ? spreadLimit[material.value] : 0) : 0;
    if (longer(short, HAND_PLAY)) {
      if (!material && rear) {
        return say.open(
          'May the ends be spread?',
          phrase`The hub is ${amount(short, 'size')} wider than the ${amount(spacing.value, 'size')} between the ends. Whether they may be sprung that far depends on what they are made of.`,
          measureIt(materialItem),
        );
      }
      say.because(ruleFigure('Springing allowed', amount(limit, 'size')));
      if (longer(short, limit + CALIPER_TOLERANCE)) {
        return say.stop(
          rear ? 'Hub too wide for this frame' : 'Hub too wide for this fork',
          phrase`The hub is ${amount(fit.dropoutSpacingM, 'size')} across and the ends ${amount(spacing.value, 'size')} apart: ${amount(short, 'size')} too wide, where ${rear ? (material?.value ?? '') : 'a fork'} allows ${amount(limit, 'size')}.`,
          choose('right-hub', phrase`Choose a hub made for ${amount(spacing.value, 'size')}.`),
          choose('mid-drive', phrase`Choose a mid-drive.`),
        );
      }
      return say.rework(
        'Ends must be sprung apart',
        phrase`The hub is ${amount(short, 'size')} wider than the ${amount(spacing.value, 'size')} between the ends; ${material?.value ?? 'this'} allows ${amount(limit, 'size')}${material?.value === 'steel' ? ', cold-set evenly and checked with a string line' : ': sprung by hand as the wheel goes in, never bent to stay'}.`,
        ...(material?.value === 'steel'
          ? [
              buy(
                'cold-set',
                phrase`Cold-set the rear ends by ${amount(short, 'size')} in all, half each side, and true the dropouts parallel.`,
                take('cold-setting', 'rear axle'),
                { work: 45, tools: ['string-line', 'dropout-gauges'] },
              ),
            ]
          : [
              work(
                'spring-in',
                phrase`Spring the ends apart by hand as the wheel goes in, half each side; aluminium is never cold-set, it cracks.`,
                10,
              ),
            ]),
      );
    }
    if (longer(-short, WASHER_LIMIT)) {
      return say.stop(
        'Hub too narrow for these ends',
        phrase`The ends are ${amount(spacing.value, 'size')} apart and the hub fills ${amount(fit.dropoutSpacingM, 'size')}: ${amount(-short, 'size')} of washers would leave too little thread in the nuts.`,
        choose('right-hub', phrase`Choose a hub made for ${amount(spacing.value, 'size')}.`),
      );
    }
    if (!isProven(spacing)) {
      return say.open(
        'Spacing not proven',
        phrase`${amount(spacing.value, 'size')} would suit the hub’s ${amount(fit.dropoutSpacingM, 'size')}, but it is not measured.`,
        measureIt(item),
      );
    }
    if (longer(-short, HAND_PLAY)) {
      return say.rework(
        'Washers fill the gap',
        phrase`The ends are ${amount(spacing.value, 'size')} apart, the hub ${amount(fit.dropoutSpacingM, 'size')}: ${amount(-short, 'size')} of axle washers, shared so that the rim stays in the middle.`,
        buy(
          'washers',
          phrase`Add axle washers of ${amount(-short / 2, 'size')} a side; do not squeeze the ends in.`,
          take('axle-washers', rear ? 'rear axle' : 'front axle'),
          { work: 15 },
        ),
      );
    }
    return say.fits(
      'Spacing suits the hub',
      phrase`${amount(spacing.value, 'size')} between the ends, ${amount(fit.dropoutSpacingM, 'size')} across the hub.`,
    );
  },
);
