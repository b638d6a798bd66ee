import { findNodeAtLocation, parseTree, type Node } from 'jsonc-parser';
import { inSi } from '../catalogue/rows.ts';
import { legalClassSchema } from '../parts/law.ts';
import { partKinds, partSchemas, type PartKind } from '../parts/part.ts';
import { cutoffSchema } from '../parts/controls.ts';
import { kitLeadsSchema, leadColoursSchema, spareSocketSchema } from '../parts/shelf/kitLeads.ts';
import { boxSchema } from '../parts/shelf/kitContents.ts';
import { commonFrameSchema } from '../donor/common.ts';
import { surveySchema } from '../donor/donor.ts';
import { archetypeSchema, likenessesSchema } from '../donor/population.ts';
import { surveyItemSchema } from '../donor/items/item.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import { contradictionSchema } from '../fit/crossings/contradictions.ts';
import { crossingSchema } from '../fit/crossings/judgements.ts';
import { actorSchema, thingSchema } from '../fit/crossings/matrix.ts';
import { conditionRowSchema } from '../donor/survey.ts';
import { faultSchema, faultTestSchema, lentThings, repairSchema } from '../proof/faults/fault.ts';
import { symptomSchema } from '../proof/faults/symptoms.ts';
import { crossingNames } from './catalogueCrossings.ts';
import { populationNames } from './cataloguePopulation.ts';
import { parseJson, problemsOf } from '../reading/problems.ts';
import { z } from '../reading/zod.ts';
import { stepLibrary } from '../work/steps/library.ts';

/** Something wrong in the catalogue: in which file and line, of which row and column, and what. */
export interface CatalogueProblem {
  file: string;
  line: number;
  /** Row and column, e.g. `torque-arm, price`. */
  at: string;
  message: string;
}

/** Where the rows of a table lie in a file: at its top, or under a name. */
interface TableOf {
  file: string;
  under?: string;
  schema: z.ZodType;
  /** What a row is given before it is checked: what the reader adds to it as well. */
  fill?: (id: string, row: object) => object;
}

/** `hubGear` lies in hub-gears.json. */
const fileOf = (kind: PartKind): string => `shelf/${kind.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}s.json`;

/** A plug is named by its family: what that bears and how thick it is stands in the table of plugs. */
const PLUG = { headM: 0.01, amps: 1, volts: 1 };
function withPlugs(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  if ('family' in value && 'sex' in value) return { ...PLUG, ...value };
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, withPlugs(inner)]));
}

const shelfRow = (kind: PartKind) => (id: string, row: object) => {
  const filled = withPlugs({ kind, id, note: '', ...row }) as Row;
  // The thickest plug of a kit follows from its leads.
  return kind === 'kit' && typeof filled.controls === 'object'
    ? { ...filled, controls: { plugM: 0.01, ...filled.controls } }
    : filled;
};

const tables: readonly TableOf[] = [
  ...partKinds.map((kind) => ({ file: fileOf(kind), schema: partSchemas[kind], fill: shelfRow(kind) })),
  { file: 'laws.json', schema: legalClassSchema, fill: (id, row) => ({ id, ...row }) },
  { file: 'boxes.json', under: 'makers', schema: boxSchema },
  { file: 'leads.json', under: 'kits', schema: kitLeadsSchema },
  { file: 'leads.json', under: 'colours', schema: leadColoursSchema },
  { file: 'leads.json', under: 'spares', schema: spareSocketSchema },
  { file: 'leads.json', under: 'cutoffs', schema: cutoffSchema },
  { file: 'survey/items.json', schema: surveyItemSchema },
  { file: 'survey/choices.json', schema: z.string().min(1).max(80) },
  { file: 'survey/condition.json', schema: conditionRowSchema },
  { file: 'survey/common-frames.json', schema: commonFrameSchema },
  { file: 'population/archetypes.json', schema: archetypeSchema },
  { file: 'population/usual.json', schema: likenessesSchema },
  { file: 'crossings/things.json', schema: thingSchema },
  { file: 'crossings/actors.json', schema: actorSchema },
  { file: 'crossings/judgements.json', schema: crossingSchema },
  { file: 'crossings/contradictions.json', schema: contradictionSchema },
  { file: 'faults/symptoms.json', schema: symptomSchema },
  { file: 'faults/faults.json', schema: faultSchema },
  { file: 'faults/tests.json', schema: faultTestSchema },
  { file: 'faults/repairs.json', schema: repairSchema },
];

/** The files a catalogue is made of, by their names in its folder. */
export const catalogueFiles: readonly string[] = [...new Set(tables.map((table) => table.file))];

type Row = Record<string, unknown>;
type Rows = Readonly<Record<string, Row>>;

/** A table as it was read: all its ids, and the rows that its schema takes. */
interface TableRead {
  ids: ReadonlySet<string>;
  rows: Rows;
}

/**
 * Every fault of a catalogue: text that is no JSON, ids told twice, rows against their schemas, columns that mean
 * nothing, names that another table does not have, chances that do not add up. Never throws.
 * @param texts the files by their names, as `catalogueFiles` lists them
 */
export function catalogueProblems(texts: Readonly<Record<string, string>>): CatalogueProblem[] {
  const problems: CatalogueProblem[] = [];
  const read = new Map<string, TableRead>();
  for (const file of catalogueFiles) {
    const text = texts[file];
    const own = tables.filter((table) => table.file === file);
    if (text === undefined) {
      problems.push({ file, line: 1, at: '', message: 'this file is missing' });
      continue;
    }
    const parsed = parseJson(text);
    if (!parsed.ok) {
      const [first] = parsed.problems;
      const line = Number(/^line (\d+)/.exec(first?.path ?? '')?.[1] ?? 1);
      problems.push({ file, line, at: first?.path ?? '', message: first?.message ?? 'it does not read' });
      continue;
    }
    const place = placeIn(text);
    const tell = (path: readonly string[], message: string): void => {
      const [row = '', ...column] = own.length > 1 ? path.slice(1) : path;
      problems.push({
        file,
        line: place(path),
        at: [row, ...(column.length > 0 ? [column.join('.')] : [])].join(', '),
        message,
      });
    };
    for (const [path, name] of twiceIn(text)) tell([...path, name], 'appears twice');
    for (const table of own) {
      const { under } = table;
      const rows = (under === undefined ? parsed.value : (parsed.value as Row | null)?.[under]) as Rows;
      if (typeof rows !== 'object' || rows === null || Array.isArray(rows)) {
        tell(under === undefined ? [] : [under], 'must be a group of rows, each under its id');
        continue;
      }
      const good = Object.entries(rows).filter(([id, row]) =>
        checkRow(table, id, row, (path, message) => tell([...(under ? [under] : []), id, ...path], message)),
      );
      read.set(under === undefined ? file : `${file} ${under}`, {
        ids: new Set(Object.keys(rows)),
        rows: Object.fromEntries(good),
      });
    }
  }
  return [...problems, ...dangling(read, texts)];
}

/** A row against its schema, column by column, and columns that the schema does not know; true where it reads. */
function checkRow(
  { schema, fill }: TableOf,
  id: string,
  row: unknown,
  tell: (path: string[], message: string) => void,
): boolean {
  if (fill && (typeof row !== 'object' || row === null || Array.isArray(row))) {
    tell([], 'must be a row with columns');
    return false;
  }
  const si = inSi(row);
  const result = schema.safeParse(fill ? fill(id, si as object) : si);
  if (!result.success) {
    for (const { path, message } of problemsOf(result.error))
      tell(
        asWritten(
          row,
          path.split('.').filter((step) => step !== ''),
        ),
        message,
      );
    return false;
  }
  for (const path of unknownIn(si, result.data)) tell(asWritten(row, path), 'this table has no such column');
  return true;
}

/** Where what is wrong in SI stands as it was written: `thicknessM` under `thicknessMm`. */
function asWritten(row: unknown, path: readonly string[]): string[] {
  let here = row;
  return path.map((step) => {
    const group = typeof here === 'object' && here !== null ? (here as Row) : {};
    const name = step in group ? step : ([`${step}m`, step.replace(/Ms$/, 'Kmh')].find((n) => n in group) ?? step);
    here = group[name];
    return name;
  });
}

/** Paths of what is in a value and was not kept by its schema. */
function unknownIn(given: unknown, kept: unknown): string[][] {
  if (typeof given !== 'object' || given === null || typeof kept !== 'object' || kept === null) return [];
  return Object.entries(given).flatMap(([key, value]) =>
    key in kept ? unknownIn(value, (kept as Row)[key]).map((path) => [key, ...path]) : [[key]],
  );
}

/** The line a path of keys stands on in a text; of one that is not there, the line of what is. */
function placeIn(text: string): (path: readonly string[]) => number {
  const tree = parseTree(text);
  return (path) => {
    let node: Node | undefined = tree;
    for (let n = path.length; n > 0 && tree; n--) {
      const found = findNodeAtLocation(
        tree,
        path.slice(0, n).map((step) => (/^\d+$/.test(step) ? Number(step) : step)),
      );
      if (found) {
        node = found.parent ?? found;
        break;
      }
    }
    return text.slice(0, node?.offset ?? 0).split('\n').length;
  };
}

/** Keys that stand twice in one group, with the path to it: the later would take the earlier's place unseen. */
function twiceIn(text: string): [path: string[], name: string][] {
  const found: [string[], string][] = [];
  const walk = (node: Node | undefined, path: string[]): void => {
    const seen = new Set<string>();
    for (const child of node?.children ?? []) {
      if (node?.type !== 'object') {
        walk(child, path);
        continue;
      }
      const [key, value] = child.children ?? [];
      const name = String(key?.value);
      if (seen.has(name)) found.push([path, name]);
      seen.add(name);
      walk(value, [...path, name]);
    }
  };
  walk(parseTree(text), []);
  return found;
}

/** Names that rows give and no table has, ids that two parts share, chances that are not one an outcome or not 1. */
function dangling(read: ReadonlyMap<string, TableRead>, texts: Readonly<Record<string, string>>): CatalogueProblem[] {
  const problems: CatalogueProblem[] = [];
  const rows = (table: string): Rows => read.get(table)?.rows ?? {};
  const tell = (table: string, id: string, column: string, message: string): void => {
    const [file = '', under] = table.split(' ');
    const path = [...(under ? [under] : []), id, ...column.split('.')];
    problems.push({ file, line: placeIn(texts[file] ?? '')(path), at: `${id}, ${column}`, message });
  };
  const known = (
    table: string,
    id: string,
    column: string,
    names: unknown,
    of: ReadonlySet<string>,
    what: string,
  ): void => {
    for (const name of Array.isArray(names) ? names : [names])
      if (typeof name === 'string' && !of.has(name)) tell(table, id, column, `the catalogue has no ${what} “${name}”`);
  };
  const ids = (table: string): ReadonlySet<string> => read.get(table)?.ids ?? new Set();

  // Parts of all kinds share one shelf.
  const seen = new Map<string, string>();
  for (const kind of partKinds)
    for (const id of ids(fileOf(kind))) {
      const other = seen.get(id);
      if (other !== undefined) tell(fileOf(kind), id, 'id', `stands in ${other} too`);
      seen.set(id, fileOf(kind));
    }
  const parts = new Set(seen.keys());

  const families = new Set(
    Object.values(rows(fileOf('plug'))).map((p) => `${String(p.family)}, ${String(p.poles)} poles`),
  );
  const plugOf = (table: string, id: string, column: string, value: unknown): void => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return;
    const { family, poles } = value as Row;
    if (typeof family === 'string' && typeof poles === 'number')
      known(table, id, column, `${family}, ${poles} poles`, families, 'plug family');
    for (const [key, inner] of Object.entries(value))
      plugOf(table, id, column === '' ? key : `${column}.${key}`, inner);
  };
  for (const kind of partKinds)
    for (const [id, row] of Object.entries(rows(fileOf(kind)))) plugOf(fileOf(kind), id, '', row);

  const leads = 'leads.json kits';
  for (const [id, row] of Object.entries(rows(leads))) {
    known(leads, id, 'kit', id, ids(fileOf('kit')), 'kit');
    known(leads, id, 'colours', row.colours, ids('leads.json colours'), 'colours');
    known(leads, id, 'cutoff', row.cutoff, ids('leads.json cutoffs'), 'cut-off');
    known(leads, id, 'spare', row.spare, ids('leads.json spares'), 'spare socket');
  }

  const items = 'survey/items.json';
  for (const [id, row] of Object.entries(rows(items))) {
    known(items, id, 'item', id, new Set(Object.keys(surveySchema.shape)), 'place in a build for the item');
    known(items, id, 'options', row.options, ids('survey/choices.json'), 'words for the choice');
  }
  for (const [id, row] of Object.entries(rows('survey/condition.json')))
    known('survey/condition.json', id, 'takes', row.takes, parts, 'part');
  const kinds = new Set<string>(vehicleKinds);
  for (const id of ids('survey/common-frames.json'))
    known('survey/common-frames.json', id, 'kind', id, kinds, 'kind of vehicle');
  for (const kind of vehicleKinds)
    if (!ids('survey/common-frames.json').has(kind)) tell('survey/common-frames.json', kind, 'kind', 'has no row');

  crossingNames({ rows, ids, tell, known }, parts);
  populationNames({ rows, ids, tell, known });

  const [faults, tests, repairs] = ['faults/faults.json', 'faults/tests.json', 'faults/repairs.json'] as const;
  const tools = new Set([...ids(fileOf('tool')), ...Object.keys(lentThings)]);
  const steps = new Set(stepLibrary.map((step) => step.id));
  const sums = (table: string, id: string, column: string, chances: unknown, count?: number): void => {
    if (!Array.isArray(chances)) return;
    if (count !== undefined && chances.length !== count)
      tell(table, id, column, `has ${chances.length} chances for ${count} outcomes`);
    const sum = (chances as number[]).reduce((a, b) => a + b, 0);
    if (Math.abs(sum - 1) > 1e-6) tell(table, id, column, `adds up to ${Number(sum.toFixed(6))}, not to 1`);
  };
  for (const [id, row] of Object.entries(rows(faults))) {
    known(faults, id, 'repair', row.repair, ids(repairs), 'repair');
    const cases = Array.isArray(row.shows) ? (row.shows as Row[]).map((s) => s.gives) : [row.shows];
    for (const shows of cases) sums(faults, id, 'shows', Object.values((shows as Row | undefined) ?? {}));
  }
  for (const [id, row] of Object.entries(rows(tests))) {
    const count = Array.isArray(row.outcomes) ? row.outcomes.length : 0;
    known(tests, id, 'tools', row.tools, tools, 'tool');
    sums(tests, id, 'usual', row.usual, count);
    for (const says of Array.isArray(row.says) ? (row.says as Row[]) : []) {
      known(tests, id, 'says', says.of, ids(faults), 'fault');
      sums(tests, id, 'says', says.gives, count);
    }
  }
  for (const [id, row] of Object.entries(rows(repairs))) {
    known(repairs, id, 'parts', row.parts, new Set([...parts, 'kit', 'pack', 'charger']), 'part');
    known(repairs, id, 'step', row.step, steps, 'step');
  }
  return problems;
}
