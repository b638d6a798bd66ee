import { surveySchema } from '../donor/donor.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import type { NamesIn } from './catalogueCrossings.ts';

type Row = Record<string, unknown>;

/** What population rows name: items of the survey, their options, and archetypes of every kind whose shares are a hundred. */
export function populationNames({ rows, ids, tell, known }: NamesIn): void {
  const [archetypes, usual, items] = [
    'population/archetypes.json',
    'population/usual.json',
    'survey/items.json',
  ] as const;
  const itemIds = new Set(Object.keys(surveySchema.shape));
  const options = (item: string): ReadonlySet<string> | null => {
    const said = rows(items)[item]?.options;
    return Array.isArray(said) ? new Set(said as string[]) : null;
  };
  const likeness = (table: string, id: string, column: string, item: string, said: unknown): void => {
    known(table, id, column, item, itemIds, 'survey item');
    for (const one of (Array.isArray(said) ? said : [said]) as Row[]) {
      const of = options(item);
      if (of && one.is) known(table, id, column, Object.keys(one.is as Row), of, `answer to ${item}`);
      for (const [other, values] of Object.entries((one.with ?? {}) as Row)) {
        known(table, id, column, other, itemIds, 'survey item');
        known(table, id, column, values, options(other) ?? new Set(), `answer to ${other}`);
      }
    }
  };
  for (const [id, row] of Object.entries(rows(archetypes)))
    for (const [item, said] of Object.entries(row.sizes as Row)) likeness(archetypes, id, `sizes.${item}`, item, said);
  for (const [id, row] of Object.entries(rows(usual))) likeness(usual, id, 'item', id, row);
  for (const kind of vehicleKinds) {
    const sum = Object.values(rows(archetypes)).reduce((all, row) => all + Number((row.of as Row)[kind] ?? 0), 0);
    const [first = ''] = ids(archetypes);
    if (Math.abs(sum - 100) > 1e-6) tell(archetypes, first, `of.${kind}`, `adds up to ${sum} in all, not to 100`);
  }
}
