import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { set, choose } from '../remedies.ts';

/** A folder that gets carried, a weight target, a budget: what the brief asked for. */
export const purposeFit = kitRule(
  {
    id: 'purpose-fit',
    words: 'What it is for',
    group: 'use',
    uses: ['vehicleMass'],
    source: 'The brief: purpose, weight target and budget.',
  },
  ({ build, unladenKg: mass, chosen }, kit, say) => {
    const chosenKit = chosen.kit?.id;
    const { brief, donor } = build;
    say.need('vehicleMass');
    say.because(
      ruleFigure('Vehicle with kit and a battery', amount(mass, 'mass')),
      partData('Kit', amount(kit.price, 'money')),
    );
    if (brief.budget !== null && kit.price > brief.budget && chosenKit !== kit.id)
      return say.rework(
        'Over the budget by itself',
        phrase`The kit is ${amount(kit.price, 'money')} of a budget of ${amount(brief.budget, 'money')}, with no battery yet.`,
        choose('cheaper-kit', phrase`A cheaper kit.`),
        set('budget', phrase`A larger budget.`),
      );
    if (brief.massTargetKg !== null && mass > brief.massTargetKg)
      return say.rework(
        'Heavier than wanted',
        phrase`${amount(mass, 'mass')} with a battery; ${amount(brief.massTargetKg, 'mass')} wanted.`,
        choose('lighter', phrase`A lighter motor and a smaller battery; what is wanted may not be had.`),
      );
    if (brief.purpose === 'folder' && mass > 18)
      return say.rework(
        'Heavy to carry',
        phrase`${amount(mass, 'mass')} up a stair in one hand.`,
        choose('light-front', phrase`A front motor under 2.5 kg and a battery that comes off.`),
      );
    if (brief.purpose === 'trail' && kit.hub && donor.kind !== 'fat')
      return say.rework(
        'A hub on trails',
        phrase`A heavy wheel over rocks breaks spokes, and a hub cannot shift down.`,
        choose('mid-drive', phrase`A mid-drive.`),
      );
    return say.fits('Suits what it is for', phrase`${amount(mass, 'mass')} with kit and battery.`);
  },
);
