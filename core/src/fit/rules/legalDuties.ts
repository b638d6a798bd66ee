import { legalClass } from '../../parts/law.ts';
import { phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { ask, choose, look } from '../remedies.ts';
import { whoSteers } from '../../build/brief.ts';

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
    const { leastAge } = law;
    if (leastAge !== null) {
      const riders = whoSteers(build.brief);
      const young = riders.find((r) => r.ageYears !== null && r.ageYears < leastAge);
      if (young)
        return say.stop(
          'A rider is too young for this class',
          phrase`${young.name || 'A rider'} is ${String(young.ageYears)}; “${law.name}” asks for ${leastAge} years.`,
          choose('other-class', phrase`A class that asks for less, and a kit that keeps to it.`),
          choose('other-rider', phrase`Take that rider off the list of who may ride.`),
        );
      const unasked = riders.filter((r) => r.ageYears === null);
      if (unasked.length > 0)
        return say.open(
          'Riders’ ages not asked',
          phrase`“${law.name}” asks for ${leastAge} years; ${unasked.map((r) => r.name || 'a rider').join(', ')}: age not known.`,
          look('age', phrase`Write each rider’s age on the Brief.`),
        );
    }
    return law.registered
      ? say.rework(
          'It must be registered',
          phrase`“${law.name}” asks for a plate, insurance or a licence${leastAge === null ? '' : `, and ${leastAge} years`}.`,
          ask('authority', phrase`Ask the authority whether a conversion can be registered at all, before buying.`, 60),
        )
      : say.fits('Riders are old enough', phrase`All who ride it are ${leastAge ?? 0} years or more.`);
  },
);
