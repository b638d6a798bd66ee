import type { Finding } from '../fit/finding.ts';
import { PLAN } from '../fit/judge.ts';
import { isOverridden, withOverride } from '../fit/override.ts';
import { choose, set } from '../fit/remedies.ts';
import { ruleFigure } from '../fit/rule.ts';
import { speak } from '../fit/say.ts';
import { amount, phrase } from '../quantity/format.ts';
import type { Build } from '../build/build.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { Verdict } from '../verdict.ts';
import type { Money } from './money.ts';

const BUDGET = {
  id: 'budget',
  words: 'Budget',
  group: 'road',
  uses: [],
  source: 'Parts, remedies and mending at list prices, each part at one place once: the same sum as in the tally.',
} as const;

/** How a whole conversion, kit and battery, stands against the budget by its price, unless that was set aside. */
export function budgetOpen({ brief, overrides }: Build, price: number): Verdict {
  const { budget } = brief;
  return budget === null || price <= budget || isOverridden(overrides, BUDGET.id, PLAN) ? 'fits' : 'rework';
}

/** The whole conversion against the brief's budget; nothing where none was named or nothing is chosen. */
export function budgetFinding(context: PlanContext, money: Money): Finding[] {
  const { budget } = context.build.brief;
  if (budget === null || !context.kit) return [];
  const say = speak(BUDGET, context);
  say.because(
    ruleFigure('Parts', amount(money.parts, 'money')),
    ruleFigure('Remedies', amount(money.remedies, 'money')),
    ruleFigure('Mending', amount(money.mending, 'money')),
    ...(money.bench > 0 ? [ruleFigure('Tools and supplies', amount(money.bench, 'money'))] : []),
    ruleFigure('Budget', amount(budget, 'money')),
  );
  const over = money.conversion - budget;
  const finding =
    over > 0
      ? say.rework(
          'Over the budget',
          phrase`The whole conversion comes to ${amount(money.conversion, 'money')}: ${amount(over, 'money')} more than ${amount(budget, 'money')}.`,
          choose('cheaper', phrase`A cheaper kit or battery, or remedies that cost less.`),
          set('budget', phrase`A larger budget.`),
        )
      : context.pack
        ? say.fits(
            'Within the budget',
            phrase`The whole conversion comes to ${amount(money.conversion, 'money')} of ${amount(budget, 'money')}.`,
          )
        : say.open(
            'Budget, with no battery chosen',
            phrase`So far ${amount(money.conversion, 'money')} of ${amount(budget, 'money')}; the battery is still to come.`,
            choose('battery', phrase`Choose a battery.`),
          );
  return [withOverride({ ...finding, subject: PLAN }, context.build.overrides)];
}
