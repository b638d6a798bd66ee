import { legalClass } from '../../safety/law.ts';
import { phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule, remedy } from '../say.ts';

/** What the class lets a throttle do. */
export const legalThrottle = kitRule(
  {
    id: 'legal-throttle',
    words: 'Throttle and the law',
    group: 'law',
    uses: [],
    source: 'Dated legal classes, editable under Schools and rules; the local authority decides.',
  },
  ({ build, laws }, kit, say) => {
    const law = legalClass(build.brief.legalClass, laws);
    if (!law || !kit.throttle) return null;
    const uses = build.choice.usesThrottle;
    say.because(
      ruleFigure(`Class, as of ${law.asOf}`, law.name),
      ruleFigure('Throttle allowed', law.throttle),
      ruleFigure('Ridden on the throttle', uses ? 'yes' : 'no'),
    );
    if (law.throttle === 'none beyond walking help' && uses)
      return say.rework(
        'Throttle outside its class',
        phrase`“${law.name}” allows a throttle for walking help only.`,
        remedy(phrase`Leave the throttle off, or tie it to 6 km/h.`, { cost: 0, minutes: 10 }),
      );
    return say.fits(
      'Throttle within its class',
      uses
        ? phrase`“${law.name}” allows it ${law.throttle === 'free' ? 'freely' : law.throttle}.`
        : phrase`It is left off.`,
    );
  },
);
