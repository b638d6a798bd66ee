import { legalClass } from '../../parts/law.ts';
import { phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { ask } from '../remedies.ts';

/** Age and registration that come with a class. */
export const legalDuties = kitRule(
  {
    id: 'legal-duties',
    words: 'Age and plate',
    group: 'law',
    uses: [],
    source: 'Dated legal classes, editable under Schools and rules; the local authority decides.',
  },
  ({ build, laws }, _kit, say) => {
    const law = legalClass(build.brief.legalClass, laws);
    if (!law || (!law.registered && law.leastAge === null)) return null;
    say.because(
      ruleFigure(`Class, as of ${law.asOf}`, law.name),
      ruleFigure('Least age', law.leastAge === null ? 'none set' : String(law.leastAge)),
      ruleFigure('Plate or insurance', law.registered ? 'yes' : 'no'),
    );
    return law.registered
      ? say.rework(
          'It must be registered',
          phrase`“${law.name}” asks for a plate, insurance or a licence${law.leastAge === null ? '' : `, and ${law.leastAge} years`}.`,
          ask('authority', phrase`Ask the authority whether a conversion can be registered at all, before buying.`, 60),
        )
      : say.fits('Age as the class asks', phrase`Riders of ${law.leastAge ?? 0} years or more.`);
  },
);
