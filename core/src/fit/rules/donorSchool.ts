import { hasEnds } from '../../donor/kinds.ts';
import { phrase } from '../../quantity/format.ts';
import { donorRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** Old and simple, or newer with discs: what this donor is by the chosen school. */
export const donorSchool = donorRule(
  {
    id: 'donor-school',
    words: 'Old or newer donor',
    group: 'donor',
    uses: ['frameMaterial', 'bracketKind', 'rearAxleHolding', 'frontBrake', 'rearBrake'],
    source: 'Two schools; see the setting.',
    school: 'donorAge',
  },
  ({ build }, say) => {
    if (build.schools.donorAge === 'oldSimple') {
      const material = say.need('frameMaterial');
      const bracket = say.need('bracketKind');
      const holding = hasEnds(build.donor.kind, 'rear') ? say.need('rearAxleHolding') : 'none';
      const hard = [
        material === 'carbon' ? 'carbon' : '',
        bracket === 'pressFit' ? 'a press-fit shell' : '',
        holding === 'throughAxle' ? 'through-axles' : '',
      ].filter((w) => w !== '');
      if (hard.length > 0)
        return say.rework(
          'Not the simple donor your school wants',
          phrase`It has ${hard.join(' and ')}, which few kits go on.`,
          choose('simple-donor', phrase`Steel, threads and open slots take anything and can be bent back.`),
        );
      if (material === undefined || bracket === undefined || holding === undefined)
        return say.open('Not seen enough to say', phrase`Frame, shell and dropouts have not all been looked at.`);
      return say.fits(
        'A simple donor',
        phrase`${material === 'steel' ? 'Steel' : material === 'titanium' ? 'Titanium' : 'Aluminium'}, with nothing that rules kits out.`,
      );
    }
    const front = say.need('frontBrake');
    if (front === undefined) return say.open('Brakes not looked at', phrase`Your school judges a donor by its brakes.`);
    return front === 'discCable' || front === 'discHydraulic'
      ? say.fits('A donor with a disc in front', phrase`It has brakes for the new weight.`)
      : say.rework(
          'Not the newer donor your school wants',
          phrase`Its front brake is ${front === 'none' ? 'missing' : front}.`,
          buy('disc-fork', phrase`A disc fork with its brake.`, take('disc-fork', 'fork'), { work: 120 }),
          choose('disc-donor', phrase`A donor with discs.`),
        );
  },
);
