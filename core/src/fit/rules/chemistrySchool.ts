import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { packRule } from '../say.ts';
import { set, choose } from '../remedies.ts';

/** Lead-acid, and whether lithium can be delivered at all. */
export const chemistrySchool = packRule(
  {
    id: 'chemistry',
    words: 'Chemistry and delivery',
    group: 'pack',
    uses: [],
    source: 'Lithium is not carried everywhere; lead-acid weighs three times as much and lives a third as long.',
    school: 'leadAcid',
  },
  ({ build }, pack, _kit, say) => {
    const { lithiumDelivered } = build.brief;
    say.because(
      partData('Chemistry', pack.chemistry),
      ruleFigure('Lithium delivered', lithiumDelivered ? 'yes' : 'no'),
    );
    if (pack.chemistry !== 'lead')
      return lithiumDelivered
        ? say.fits('Can be delivered', phrase`Lithium reaches you; keep its test papers for the carrier.`)
        : say.stop(
            'Lithium is not delivered where you are',
            phrase`The brief says no carrier brings lithium cells.`,
            choose('within-reach', phrase`A pack bought within reach.`),
            choose('lead-acid', phrase`A lead-acid pack.`),
          );
    if (lithiumDelivered && build.schools.leadAcid === 'lastResort')
      return say.rework(
        'Lead-acid where lithium can be had',
        phrase`${amount(pack.massKg, 'mass')} for a third of the life; your school keeps it for when nothing else can be had.`,
        choose('lithium', phrase`A lithium pack.`),
        set('accept', phrase`Choose “accept it” as your school.`),
      );
    return say.fits(
      'Lead-acid, as chosen',
      phrase`${amount(pack.massKg, 'mass')}; used to half for a long life, charged after every ride.`,
    );
  },
);
