import fc from 'fast-check';

type Loose = Record<string, unknown>;

/** Every place in a document that holds something. */
export function placesOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [path];
  const below = Object.entries(value).flatMap(([key, v]) =>
    placesOf(v, [...path, Array.isArray(value) ? Number(key) : key]),
  );
  return path.length === 0 ? below : [path, ...below];
}

/** What a slip, a broken disk or ill will puts where something else was. */
const odd = fc.oneof(
  fc.constantFrom<unknown>(
    0,
    -1,
    1,
    1e-300,
    1e-9,
    0.001,
    7,
    40,
    1e6,
    1e300,
    -1e308,
    5e-324,
    null,
    '',
    'x',
    true,
    [],
    {},
  ),
  fc.double({ noNaN: true }),
  fc.double({ noNaN: true, min: -10, max: 1000 }),
  fc.string(),
);

/** One change to a document, at the share of the way through its places. */
export const harm = fc.record({
  at: fc.double({ min: 0, max: 1, noNaN: true, maxExcluded: true }),
  how: fc.constantFrom('put', 'put', 'put', 'scale', 'drop', 'repeat', 'swap'),
  value: odd,
  by: fc.constantFrom(0, -1, 0.001, 0.1, 0.5, 2, 10, 1000, 1e9),
});
export type Harm = typeof harm extends fc.Arbitrary<infer T> ? T : never;

/** A copy of a document with changes made to it. */
export function harmed(document: unknown, harms: readonly Harm[]): unknown {
  const copy = JSON.parse(JSON.stringify(document)) as Loose;
  for (const { at, how, value, by } of harms) {
    const places = placesOf(copy);
    const path = places[Math.floor(at * places.length)];
    if (path === undefined || path.length === 0) continue;
    const parent = path.slice(0, -1).reduce<unknown>((here, key) => (here as Loose)[key as string], copy) as Loose;
    const key = path.at(-1) as string;
    const was = parent[key];
    if (how === 'put') parent[key] = value;
    else if (how === 'scale') parent[key] = typeof was === 'number' ? was * by : value;
    else if (how === 'drop') {
      if (Array.isArray(parent)) parent.splice(Number(key), 1);
      else Reflect.deleteProperty(parent, key);
    } else if (how === 'repeat') {
      if (Array.isArray(parent)) parent.splice(Number(key), 0, ...Array.from({ length: 300 }, () => was));
    } else {
      const other = places[Math.floor(((at * 7919) % 1) * places.length)] ?? path;
      parent[key] = other.reduce<unknown>((here, step) => (here as Loose | undefined)?.[step as string], copy);
      if (typeof parent[key] === 'object') parent[key] = JSON.parse(JSON.stringify(parent[key] ?? null)) as unknown;
    }
  }
  return copy;
}

/** Numbers as text that a writer of files never meant. */
const oddText = fc.oneof(
  fc.constantFrom(
    '0',
    '-0',
    '-1',
    '1e300',
    '-1e308',
    '1e999',
    '5e-324',
    'NaN',
    'Infinity',
    '',
    ' ',
    'x',
    '90.0000001',
    '179.9999999',
    '٣',
    '0x10',
    '1,5',
    '&#0;',
    '<',
    '"',
    '\u0000',
  ),
  fc.double({ noNaN: true }).map(String),
  fc.double({ noNaN: true, min: -1000, max: 1000 }).map(String),
);

/** One change to a text: a number or a tag in it altered, a stretch of it repeated, left out or cut off. */
export const textHarm = fc.record({
  at: fc.double({ min: 0, max: 1, noNaN: true, maxExcluded: true }),
  how: fc.constantFrom('number', 'number', 'number', 'scale', 'tag', 'drop', 'repeat', 'cut', 'insert'),
  text: oddText,
  by: fc.constantFrom(0, -1, 1e-9, 0.001, 0.1, 2, 10, 1000, 1e9),
  length: fc.integer({ min: 1, max: 400 }),
  times: fc.constantFrom(1, 3, 40, 2000),
});
export type TextHarm = typeof textHarm extends fc.Arbitrary<infer T> ? T : never;

/** A text with changes made to it. */
export function harmedText(text: string, harms: readonly TextHarm[]): string {
  const LONGEST = 3_000_000;
  let made = text;
  for (const { at, how, text: put, by, length, times } of harms) {
    const where = how === 'tag' ? /<\/?[a-z:]+/gi : /-?\d+(?:\.\d+)?/g;
    const places = [...made.matchAll(where)];
    const found = places[Math.floor(at * places.length)];
    const from = Math.floor(at * made.length);
    if (how === 'cut') made = made.slice(0, from);
    else if (how === 'insert') made = made.slice(0, from) + put + made.slice(from);
    else if (how === 'drop') made = made.slice(0, from) + made.slice(from + length);
    else if (how === 'repeat')
      made = (made.slice(0, from) + made.slice(from, from + length).repeat(times) + made.slice(from)).slice(0, LONGEST);
    else if (found) {
      const was = found[0];
      const now = how === 'scale' ? String(Number(was) * by) : how === 'tag' ? was + put : put;
      made = made.slice(0, found.index) + now + made.slice(found.index + was.length);
    }
  }
  return made;
}
