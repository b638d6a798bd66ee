import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { catalogueFiles, catalogueProblems } from '@sprocket/core';

/**
 * `catalogue [folder]`: checks the tables of the trade, file by file, and names what is wrong with its file, line, row
 * and column. Status 1 where anything is.
 */
const folder = resolve(
  process.env.INIT_CWD ?? process.cwd(),
  process.argv[2] ?? fileURLToPath(new URL('../../catalogue', import.meta.url)),
);
const texts: Record<string, string> = {};
for (const file of catalogueFiles) {
  try {
    texts[file] = readFileSync(resolve(folder, file), 'utf8');
  } catch {
    // Told below, as a file that is missing.
  }
}
const problems = catalogueProblems(texts);
for (const { file, line, at, message } of problems)
  process.stderr.write(`catalogue/${file}:${line}${at === '' ? '' : `: ${at}`}: ${message}\n`);
if (problems.length > 0) process.exitCode = 1;
else process.stdout.write(`The catalogue is sound: ${catalogueFiles.length} files.\n`);
