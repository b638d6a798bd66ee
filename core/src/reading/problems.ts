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

/** Turns Zod's issues into our own, one a field, with a readable path; their words come from `issueWords`. */
export function problemsOf(error: z.ZodError): ReadProblem[] {
  return firstOfEach(error.issues.map((issue) => ({ path: dottedPath(issue.path), message: issue.message })));
}

/** The first fault of each place: what else is found there mostly follows from it. */
export function firstOfEach<T extends { path: string }>(faults: readonly T[]): T[] {
  const seen = new Set<string>();
  return faults.filter(({ path }) => !seen.has(path) && seen.add(path));
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
