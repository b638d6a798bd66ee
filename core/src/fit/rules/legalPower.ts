import { kitWatts } from '../../drive/byPlate.ts';
import { legalClass } from '../../parts/law.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { partData, ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { choose, ask } from '../remedies.ts';

/** Rated power against the class; peak watts do not count for the law. */
export const legalPower = kitRule(
  {
    id: 'legal-power',
    words: 'Rated power',
    group: 'law',
    uses: [],
    source: 'Dated legal classes, editable under Schools and rules; the local authority decides.',
  },
  ({ build, laws }, kit, say) => {
    const law = legalClass(build.brief.legalClass, laws);
    say.because(
      partData('Rated', amount(kit.ratedW, 'power')),
      partData('Most it takes of its battery', amount(kitWatts(kit).mostW, 'power')),
    );
    if (!law)
      return say.open(
        'Rules not known',
        phrase`The class “${build.brief.legalClass}” is not on the list.`,
        choose('class', phrase`Choose a class in the brief.`),
        choose('own-class', phrase`Write your own under Schools and rules.`),
      );
    say.because(ruleFigure(`Class, as of ${law.asOf}`, law.name));
    if (law.ratedW === null) return say.fits('No limit on power', phrase`“${law.name}”: ${law.source}.`);
    say.because(ruleFigure('Class allows', amount(law.ratedW, 'power')));
    if (kit.ratedW > law.ratedW)
      return say.rework(
        'More rated power than its class',
        phrase`Rated ${amount(kit.ratedW, 'power')}; “${law.name}” allows ${amount(law.ratedW, 'power')}. Peak watts do not count for the law, rated do.`,
        choose('weaker-kit', phrase`Choose a kit rated ${amount(law.ratedW, 'power')}.`),
        ask('other-class', phrase`Ask the authority whether it can be registered in another class.`),
        choose('private', phrase`Keep it to private ground.`),
      );
    return say.fits(
      'Rated power within its class',
      phrase`${amount(kit.ratedW, 'power')} of ${amount(law.ratedW, 'power')} in “${law.name}”, as of ${law.asOf}. Local rules have the last word.`,
    );
  },
);
