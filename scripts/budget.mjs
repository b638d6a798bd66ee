/**
 * What a first load of the bench weighs: the page, and every script and style it asks for at once, gzipped.
 * Over the budget is a failure of `npm run verify`.
 */
import { readFileSync } from 'node:fs';
import { dirname, join, posix } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

/** Bytes, gzipped. */
const BUDGET = 350_000;

const dist = join(dirname(fileURLToPath(import.meta.url)), '..', 'web', 'dist');
const page = readFileSync(join(dist, 'index.html'), 'utf8');
const seen = new Map();

/** Adds a file and, for a script, all that it imports before it runs. */
function add(path) {
  if (seen.has(path)) return;
  const body = readFileSync(join(dist, path));
  seen.set(path, gzipSync(body).length);
  if (!path.endsWith('.js')) return;
  for (const [, from] of body.toString('utf8').matchAll(/(?:\bfrom|\bimport)\s*"(\.[^"]+\.js)"/g))
    add(posix.join(posix.dirname(path), from));
}

for (const [, path] of page.matchAll(/(?:src|href)="\/([^"]+\.(?:js|css))"/g)) add(path);
const total = gzipSync(page).length + [...seen.values()].reduce((a, b) => a + b, 0);
const kB = (bytes) => `${Math.round(bytes / 1000)} kB`;
process.stdout.write(`First load: ${kB(total)} of ${kB(BUDGET)}, in ${seen.size} scripts and styles.\n`);
if (total > BUDGET) {
  for (const [path, bytes] of [...seen].sort((a, b) => b[1] - a[1]).slice(0, 8))
    process.stderr.write(`  ${kB(bytes).padStart(8)}  ${path}\n`);
  process.exit(1);
}
