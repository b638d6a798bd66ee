import equal from 'fast-deep-equal';
import type { Otherwise } from './asBuilt.ts';
import { buildSchema, type Build } from './build.ts';

type Branch = Record<string, unknown>;

/** Places that hold null where nothing is said, and are not taken away. */
const KEEPS_NULL = /^(choice|wiring\.(sensors|levers))\./;

const steps = (path: string): string[] => path.split('.');

/** The name an alternative taken goes by in a path. */
export const fixPath = (rule: string, subject: string): string => `fixes.${rule}@${subject}`;

const fixOf = (path: string): { rule: string; subject: string } => {
  const name = path.slice('fixes.'.length);
  const at = name.indexOf('@');
  return { rule: name.slice(0, at), subject: name.slice(at + 1) };
};

const isBranch = (value: unknown): value is Branch =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What a build holds at a place that can be built otherwise; null where nothing is. */
export function valueAt(build: Build, path: string): unknown {
  if (path.startsWith('fixes.')) {
    const { rule, subject } = fixOf(path);
    return build.fixes.find((f) => f.rule === rule && f.subject === subject) ?? null;
  }
  let here: unknown = build;
  for (const key of steps(path)) {
    if (!isBranch(here) || !Object.hasOwn(here, key)) return null;
    here = here[key];
  }
  return here ?? null;
}

/** The build with another value at such a place; null takes it away. Pure. */
export function withValue(build: Build, path: string, value: unknown): Build {
  if (path.startsWith('fixes.')) {
    const { rule, subject } = fixOf(path);
    const others = build.fixes.filter((f) => f.rule !== rule || f.subject !== subject);
    return { ...build, fixes: value === null ? others : [...others, value as Build['fixes'][number]] };
  }
  const put = (here: unknown, keys: readonly string[]): Branch => {
    const [key, ...rest] = keys as [string, ...string[]];
    const branch = isBranch(here) ? here : {};
    if (rest.length > 0) return { ...branch, [key]: put(Object.hasOwn(branch, key) ? branch[key] : {}, rest) };
    if (value !== null || KEEPS_NULL.test(path)) return { ...branch, [key]: value };
    return Object.fromEntries(Object.entries(branch).filter(([k]) => k !== key));
  };
  return put(build, steps(path)) as unknown as Build;
}

/**
 * The build as it was planned: what was built otherwise put back, the last first. What was changed again since, in its
 * own stage, is the plan of its own and stays. Null where a value put back is none a build may hold, which a file
 * written by hand can bring about.
 */
export function asPlanned(build: Build): Build | null {
  let planned = build;
  for (const { changes } of [...build.built.otherwise].reverse())
    for (const { path, was, is } of [...changes].reverse())
      if (equal(valueAt(planned, path), is)) planned = withValue(planned, path, was);
  if (planned === build) return build;
  const read = buildSchema.safeParse(planned);
  return read.success ? read.data : null;
}

/** Whether a thing built otherwise still stands in the build as it was told. */
export function stillBuilt(build: Build, { changes }: Otherwise): boolean {
  return changes.every(({ path, is }) => equal(valueAt(build, path), is));
}

/**
 * The build without a thing built otherwise: what was planned stands again, unless it was changed since; a step that was
 * left out by it is to be done again. Pure.
 */
export function takenBack(build: Build, id: string): Build {
  const told = build.built.otherwise.find((o) => o.id === id);
  if (!told) return build;
  const back = stillBuilt(build, told)
    ? [...told.changes].reverse().reduce((b, { path, was }) => withValue(b, path, was), build)
    : build;
  const done = Object.fromEntries(
    Object.entries(back.bench.done).filter(([step, d]) => !(told.leftOut && step === told.step && d.leftOut)),
  );
  return {
    ...back,
    bench: { ...back.bench, done },
    built: { ...back.built, otherwise: back.built.otherwise.filter((o) => o !== told) },
  };
}
