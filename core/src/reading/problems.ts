import { printParseErrorCode, visit } from 'jsonc-parser';
import type { z } from './zod.ts';

/** One fault in a file or value that was read, with the place of it. */
export interface ReadProblem {
  /** Dotted path of the field, e.g. `motor.ktNmPerA`, or a line and column in a text. */
  path: string;
  message: string;
}

/** What a reader gives: the value, or every fault found. Readers never throw on bad input. */
export type ReadResult<T> = { ok: true; value: T } | { ok: false; problems: ReadProblem[] };

/** Turns Zod's issues into our own, one a field, with a readable path. */
export function problemsOf(error: z.ZodError): ReadProblem[] {
  return firstOfEach(error.issues.map((issue) => ({ path: dottedPath(issue.path), message: issueWords(issue) })));
}

/** The first fault of each place: what else is found there mostly follows from it. */
export function firstOfEach<T extends { path: string }>(faults: readonly T[]): T[] {
  const seen = new Set<string>();
  return faults.filter(({ path }) => !seen.has(path) && seen.add(path));
}

/** What a checker's issue says, as far as it is needed to put it in plain words. */
interface Issue {
  code?: string | undefined;
  message: string;
  expected?: unknown;
  input?: unknown;
  minimum?: unknown;
  maximum?: unknown;
  inclusive?: unknown;
  origin?: unknown;
  values?: unknown;
  keys?: unknown;
}

const kindWords: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no (true or false)',
  array: 'a list',
  object: 'a group of fields',
  record: 'a group of fields',
};

/** One of the checker's issues in plain words. Words of our own stay as they are. */
export function issueWords(issue: Issue): string {
  const { origin } = issue;
  const size = origin === 'string' ? ' letters' : origin === 'array' || origin === 'set' ? ' entries' : '';
  switch (issue.code) {
    case 'invalid_type': {
      const wanted = kindWords[String(issue.expected)] ?? String(issue.expected);
      return / received undefined$/.test(issue.message) ? `is missing; ${wanted} belongs here` : `must be ${wanted}`;
    }
    case 'too_small':
      return /^Too small/.test(issue.message) ? `must be at least ${String(issue.minimum)}${size}` : issue.message;
    case 'too_big':
      return /^Too big/.test(issue.message) ? `must be at most ${String(issue.maximum)}${size}` : issue.message;
    case 'invalid_value':
      return `must be ${listWords(issue.values)}`;
    case 'invalid_union':
      return 'is of no kind that is known here';
    case 'invalid_format':
      return /^Invalid/.test(issue.message) ? 'is not written as it should be' : issue.message;
    case 'unrecognized_keys':
      return `has fields that are not known here: ${listWords(issue.keys)}`;
    default:
      return issue.message === 'Invalid input' ? 'cannot be understood' : issue.message;
  }
}

/** Most values named where one of many is asked for. */
const NAMED = 8;

function listWords(values: unknown): string {
  const list = Array.isArray(values) ? values.map((v) => `“${String(v)}”`) : [];
  if (list.length <= 1) return list.join('');
  const shown = list.slice(0, NAMED);
  return list.length > NAMED
    ? `one of ${shown.join(', ')} and ${list.length - NAMED} more`
    : `${shown.slice(0, -1).join(', ')} or ${shown.at(-1) ?? ''}`;
}

/** `['segments', 3, 'grade']` → `segments[3].grade`. The whole document is `(document)`. */
export function dottedPath(path: readonly PropertyKey[]): string {
  let text = '';
  for (const part of path) {
    if (typeof part === 'number') text += `[${part}]`;
    else text += text === '' ? String(part) : `.${String(part)}`;
  }
  return text === '' ? '(document)' : text;
}

/** Parses JSON text; a slip in it is named with its line and column. */
export function parseJson(text: string): ReadResult<unknown> {
  // A mark of the byte order, as some editors leave it, is no fault.
  const plain = text.replace(/^\uFEFF/, '');
  const tooDeep = { path: '(document)', message: `nested deeper than ${DEEPEST} levels, as no file of this app is` };
  let value: unknown;
  try {
    value = JSON.parse(plain);
  } catch {
    const slips = slipsOf(plain);
    if (slips === null) return { ok: false, problems: [tooDeep] };
    const [slip] = slips;
    const at = Math.min(slip?.offset ?? plain.length, plain.length);
    const before = plain.slice(0, at).split('\n');
    const path = `line ${before.length}, column ${(before.at(-1) ?? '').length + 1}`;
    const found = JSON.stringify(plain.slice(at, at + 12)).slice(1, -1);
    const words = (slip && slipWords[slip.name]) ?? 'cannot be read on from here';
    return {
      ok: false,
      problems: [
        { path, message: `not valid JSON: ${words}${found === '' ? ', and the text ends' : ` before “${found}”`}` },
      ],
    };
  }
  return isDeeper(value, DEEPEST) ? { ok: false, problems: [tooDeep] } : { ok: true, value };
}

/** Levels of lists and groups within each other: more than any file of this app has, fewer than trip up a reader. */
const DEEPEST = 100;

/** True where plain data is nested deeper than a number of levels. Counts without going down itself. */
function isDeeper(value: unknown, levels: number): boolean {
  let here = [value];
  for (let level = 0; level <= levels; level++) {
    here = here.flatMap((v): unknown[] => (typeof v === 'object' && v !== null ? Object.values(v) : []));
    if (here.length === 0) return false;
  }
  return true;
}

/** What a strict parser stumbles over, first to last; null where the text is nested too deep for it. */
function slipsOf(text: string): { name: string; offset: number }[] | null {
  const slips: { name: string; offset: number }[] = [];
  try {
    visit(
      text,
      {
        onError: (code, offset) => {
          slips.push({ name: printParseErrorCode(code), offset });
        },
      },
      { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false },
    );
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
  return slips;
}

const slipWords: Record<string, string> = {
  InvalidSymbol: 'a word or sign that means nothing stands',
  InvalidNumberFormat: 'a number is not written as it should be',
  PropertyNameExpected: 'a field’s name in quotes is missing',
  ValueExpected: 'a value is missing',
  ColonExpected: 'a colon is missing',
  CommaExpected: 'a comma is missing',
  CloseBraceExpected: 'a closing brace is missing',
  CloseBracketExpected: 'a closing bracket is missing',
  EndOfFileExpected: 'the document has ended',
  InvalidCommentToken: 'a comment, which JSON has none of, stands',
  UnexpectedEndOfString: 'a text in quotes is not closed',
  UnexpectedEndOfNumber: 'a number breaks off',
};
