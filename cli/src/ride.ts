import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseJson, readRideCase, runRideCase } from '@sprocket/core';

/** `ride a.json b.json …`: one line of JSON a case on standard output; faults on standard error, exit status 2. */
const files = process.argv.slice(2);
const from = process.env.INIT_CWD ?? process.cwd();
let refused = false;

function refuse(file: string, path: string, message: string): void {
  refused = true;
  process.stderr.write(`${file}: ${path}: ${message}\n`);
}

if (files.length === 0) {
  process.stderr.write('usage: npm run --silent ride -- case.json [more.json …]\n');
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
  const read = document.ok ? readRideCase(document.value) : document;
  if (!read.ok) {
    for (const problem of read.problems) refuse(file, problem.path, problem.message);
    continue;
  }
  process.stdout.write(JSON.stringify({ file, ...runRideCase(read.value) }) + '\n');
}
if (refused) process.exitCode = 2;
