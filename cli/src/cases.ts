import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { notFinite, parseJson, type ReadProblem, type ReadResult } from '@sprocket/core';

/**
 * Runs case files one after another: one line of JSON a case on standard output; faults with their paths on standard
 * error and exit status 2, the other cases run all the same.
 */
export function runCases<T>(
  name: string,
  read: (value: unknown) => ReadResult<T>,
  run: (value: T, file: string) => object,
  files: readonly string[],
  whereOf: (value: T, error: unknown) => readonly ReadProblem[] | null = () => null,
): void {
  const from = process.env.INIT_CWD ?? process.cwd();
  const refuse = (file: string, path: string, message: string): void => {
    process.exitCode = 2;
    process.stderr.write(`${file}: ${path}: ${message}\n`);
  };
  if (files.length === 0) {
    process.stderr.write(`usage: npm run --silent ${name} -- case.json [more.json …]\n`);
    process.exitCode = 2;
  }
  for (const file of files) {
    let text: string;
    try {
      text = readFileSync(resolve(from, file), 'utf8');
    } catch (error) {
      refuse(file, '(file)', error instanceof Error ? error.message : String(error));
      continue;
    }
    const document = parseJson(text);
    const given = document.ok ? read(document.value) : document;
    if (!given.ok) {
      for (const problem of given.problems) refuse(file, problem.path, problem.message);
      continue;
    }
    try {
      const found = run(given.value, file);
      // JSON has no word for a figure that is none, and would tell it as nothing.
      const fault = notFinite(found);
      if (fault) refuse(file, '(result)', `${fault}: the case lies outside of what the models hold for`);
      else process.stdout.write(JSON.stringify({ file, ...found }) + '\n');
    } catch (error) {
      const places = whereOf(given.value, error);
      if (places) for (const place of places) refuse(file, place.path, place.message);
      else refuse(file, '(case)', error instanceof Error ? error.message : String(error));
    }
  }
}
