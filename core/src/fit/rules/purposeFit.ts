import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule, remedy } from '../say.ts';

/** A folder that gets carried, a weight target, a budget: what the brief asked for. */
export const purposeFit = kitRule(
  {
    id: 'purpose-fit',
    words: 'What it is for',
    group: 'use',
    uses: ['vehicleMass'],
    source: 'The brief: purpose, weight target and budget.',
  },
  ({ build }, kit, say) => {
    const { brief, donor } = build;
    const own = say.look('vehicleMass');
    const mass = (own ?? 15) + kit.massKg + 3;
    say.because(
      ruleFigure('Vehicle with kit and a battery', amount(mass, 'mass')),
      partData('Kit', amount(kit.price, 'money')),
    );
    if (brief.budget !== null && kit.price > brief.budget)
      return say.rework(
        'Over the budget by itself',
        phrase`The kit is ${amount(kit.price, 'money')} of a budget of ${amount(brief.budget, 'money')}, with no battery yet.`,
        remedy(phrase`A cheaper kit, or a larger budget.`),
      );
    if (brief.massTargetKg !== null && mass > brief.massTargetKg)
      return say.rework(
        'Heavier than wanted',
        phrase`${amount(mass, 'mass')} with a battery; ${amount(brief.massTargetKg, 'mass')} wanted.`,
        remedy(phrase`A lighter motor and a smaller battery; what is wanted may not be had.`),
      );
    if (brief.purpose === 'folder' && mass > 18)
      return say.rework(
        'Heavy to carry',
        phrase`${amount(mass, 'mass')} up a stair in one hand.`,
        remedy(phrase`A front motor under 2.5 kg and a battery that comes off.`),
      );
    if (brief.purpose === 'trail' && kit.hub && donor.kind !== 'fat')
      return say.rework(
        'A hub on trails',
        phrase`A heavy wheel over rocks breaks spokes, and a hub cannot shift down.`,
        remedy(phrase`A mid-drive.`),
      );
    return say.fits('Suits what it is for', phrase`${amount(mass, 'mass')} with kit and battery.`);
  },
);
