import type { z } from 'zod';

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
  return error.issues.map((issue) => ({
    path: dottedPath(issue.path),
    message: issue.message,
  }));
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

/** Parses JSON text; the fault, if any, carries the parser's own words on the place. */
export function parseJson(text: string): ReadResult<unknown> {
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    return { ok: false, problems: [{ path: placeOfJsonFault(text, message), message: 'not valid JSON: ' + message }] };
  }
}

/** Line and column of a JSON fault where the parser's message names a position; else `(document)`. */
function placeOfJsonFault(text: string, message: string): string {
  const match = /position (\d+)/.exec(message);
  if (!match) return '(document)';
  const before = text.slice(0, Number(match[1])).split('\n');
  return `line ${before.length}, column ${(before.at(-1) ?? '').length + 1}`;
}
