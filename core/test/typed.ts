import type { Survey, SurveyItemId } from '../src/donor/donor.ts';
import { surveyItem } from '../src/donor/survey.ts';
import { parseQuantity, parseTeeth } from '../src/quantity/parse.ts';
import { parseTyre } from '../src/quantity/tyre.ts';
import type { UnitSystem } from '../src/quantity/units.ts';

/** Survey answers as a person types them. An empty text leaves the item out; a trailing "?" marks it assumed. */
export type Typed = Partial<Record<SurveyItemId, string>>;

/** Survey entries from typed text, measured unless marked, as the fields make them. */
export function typedSurvey(typed: Typed, system: UnitSystem = 'metric'): Survey {
  const out: Record<string, unknown> = {};
  for (const [id, said] of Object.entries(typed) as [SurveyItemId, string][]) {
    if (said === '') continue;
    const assumed = said.endsWith('?');
    const text = assumed ? said.slice(0, -1).trim() : said;
    const item = surveyItem(id);
    const read =
      item.type === 'number'
        ? parseQuantity(text, item.dimension, system)
        : item.type === 'tyre'
          ? parseTyre(text)
          : item.type === 'teeth'
            ? parseTeeth(text)
            : { ok: true as const, value: text, unit: '' };
    if (!read.ok) throw new Error(`${id}: ${read.message}`);
    out[id] = {
      value: read.value,
      typed: text,
      unit: read.unit,
      provenance: assumed ? 'assumed' : 'measured',
      note: '',
    };
  }
  return out as Survey;
}
