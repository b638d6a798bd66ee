import { legsOf } from '../../build/legs.ts';
import { legalClass } from '../../parts/law.ts';
import { phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { set } from '../remedies.ts';

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
        // Whoever has no legs would stand still without it.
        ...(legsOf(build.brief) > 0
          ? [set('no-throttle', phrase`Leave the throttle off.`, { work: 10, sets: { usesThrottle: false } })]
          : []),
        set('walking', phrase`Tie the throttle to 6 km/h.`, { work: 10 }),
      );
    return say.fits(
      'Throttle within its class',
      uses
        ? phrase`“${law.name}” allows it ${law.throttle === 'free' ? 'freely' : law.throttle}.`
        : phrase`It is left off.`,
    );
  },
);
