import { ruleCatalog } from '../fit/judge.ts';

type Row = Record<string, unknown>;
type Rows = Readonly<Record<string, Row>>;

/** What the check of names is given: tables by their files, and ways to tell what is wrong in them. */
export interface NamesIn {
  rows: (table: string) => Rows;
  ids: (table: string) => ReadonlySet<string>;
  tell: (table: string, id: string, column: string, message: string) => void;
  known: (table: string, id: string, column: string, names: unknown, of: ReadonlySet<string>, what: string) => void;
}

/** Parts, things and rules that crossings name, and whether each part says once of every thing how it meets it. */
export function crossingNames({ rows, ids, tell, known }: NamesIn, parts: ReadonlySet<string>): void {
  const [judgements, actors] = ['crossings/judgements.json', 'crossings/actors.json'] as const;
  for (const [id, row] of Object.entries(rows(judgements)))
    for (const [answer, said] of Object.entries((row.says ?? {}) as Rows))
      for (const [r, { takes }] of ((said.remedies ?? []) as Row[]).entries())
        for (const { part } of (takes ?? []) as Row[])
          known(judgements, id, `says.${answer}.remedies.${String(r)}.takes`, part, parts, 'part');
  const [thingIds, ruleIds] = [ids('crossings/things.json'), new Set(ruleCatalog.map((rule) => rule.id))];
  for (const [id, row] of Object.entries(rows(actors))) {
    const said = ['uses', 'apart'].flatMap((column) =>
      ((row[column] ?? []) as Row[]).flatMap((use, i) => {
        known(actors, id, `${column}.${String(i)}.things`, use.things, thingIds, 'thing');
        known(actors, id, `${column}.${String(i)}.by`, use.by, ruleIds, 'rule');
        return use.things as string[];
      }),
    );
    for (const thing of thingIds) {
      const times = said.filter((name) => name === thing).length;
      if (times !== 1) tell(actors, id, 'uses', times === 0 ? `says nothing of “${thing}”` : `says “${thing}” twice`);
    }
  }
}
