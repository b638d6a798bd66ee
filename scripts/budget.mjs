/**
 * What a first load of the bench weighs: the page, and every script and style it asks for at once, gzipped.
 * Over the budget is a failure of `npm run verify`, and so is a piece of the library that is used without its styles.
 */
import { readFileSync, readdirSync } from 'node:fs';
import { dirname, join, posix } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

/** Bytes, gzipped. */
const BUDGET = 300_000;

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

// Each piece of the library is known by the classes of its styles: one that a script names must have its rule.
const styles = join(dirname(fileURLToPath(import.meta.url)), '..', 'node_modules', '@mantine', 'core', 'styles');
const built = readdirSync(join(dist, 'assets'));
const all = (ending) =>
  built
    .filter((name) => name.endsWith(ending))
    .map((name) => readFileSync(join(dist, 'assets', name), 'utf8'))
    .join('\n');
const [scripts, rules] = [all('.js'), all('.css')];
const bare = readdirSync(styles)
  .filter((name) => name.endsWith('.css') && !name.includes('.layer.'))
  .filter((name) =>
    [...new Set(readFileSync(join(styles, name), 'utf8').match(/m_[0-9a-f]{7,8}/g) ?? [])].some(
      (known) => scripts.includes(known) && !rules.includes(known),
    ),
  );
if (bare.length > 0) {
  process.stderr.write(`Used without its styles, to be named in web/src/app/mantine.ts: ${bare.join(', ')}\n`);
  process.exit(1);
}
