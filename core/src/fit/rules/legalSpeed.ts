import { assistLimit } from '../../vehicle/system.ts';
import { legalClass } from '../../parts/law.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { kitRule } from '../say.ts';
import { set } from '../remedies.ts';

/** Speed at which help ends against the class, and the setting that would comply. */
export const legalSpeed = kitRule(
  {
    id: 'legal-speed',
    words: 'Assisted speed',
    group: 'law',
    uses: [],
    source: 'Dated legal classes, editable under Schools and rules; the local authority decides.',
  },
  ({ build, laws }, kit, say) => {
    const law = legalClass(build.brief.legalClass, laws);
    if (!law || law.assistMs === null) return null;
    const limit = assistLimit(build, { kit });
    say.because(
      ruleFigure(`Class, as of ${law.asOf}`, law.name),
      {
        label: 'Assist ends at',
        value: limit === undefined ? 'no limit set' : amount(limit, 'speed', 0),
        provenance: build.choice.assistLimitMs === null ? 'part data' : 'measured',
      },
      ruleFigure('Class allows', amount(law.assistMs, 'speed', 0)),
    );
    if (limit === undefined || limit > law.assistMs + 0.01)
      return say.rework(
        'Assist set too fast for its class',
        limit === undefined
          ? phrase`The kit sets no limit of its own; “${law.name}” wants help to end at ${amount(law.assistMs, 'speed', 0)}.`
          : phrase`Help ends at ${amount(limit, 'speed', 0)}; “${law.name}” wants ${amount(law.assistMs, 'speed', 0)}.`,
        set('limit', phrase`Set the assist limit to ${amount(law.assistMs, 'speed', 0)}.`, {
          work: 5,
          sets: { assistLimitMs: law.assistMs },
        }),
      );
    return say.fits(
      'Assisted speed within its class',
      phrase`Help ends at ${amount(limit, 'speed', 0)}; “${law.name}” allows ${amount(law.assistMs, 'speed', 0)}.`,
    );
  },
);
