/**
 * Writes what tests hold the core to, after a change made on purpose: whole plans of the demo builds, and every
 * older build file as it opens today. Look at the difference before it is kept:
 * node --import tsx scripts/write-golden.ts
 */
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { planBuild, readBuildFile, ruleCatalog, starterShelf } from '@sprocket/core';
import { catalogText, planText } from '../core/test/golden.ts';
import { edgesText, sheetBuilds, sheetsText } from '../core/test/sheets.ts';

const root = new URL('../', import.meta.url);
mkdirSync(new URL('core/test/golden/', root), { recursive: true });

function open(path: string) {
  const read = readBuildFile(readFileSync(new URL(path, root), 'utf8'));
  if (!read.ok) throw new Error(`${path}: ${JSON.stringify(read.problems)}`);
  return read.value;
}

for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'])
  writeFileSync(
    new URL(`core/test/golden/${name}.txt`, root),
    planText(planBuild(open(`web/public/demo/builds/demo-${name}.json`), starterShelf)),
  );
mkdirSync(new URL('core/test/golden/sheets/', root), { recursive: true });
for (const [name, build] of Object.entries(sheetBuilds))
  writeFileSync(new URL(`core/test/golden/sheets/${name}.txt`, root), sheetsText(build()));
mkdirSync(new URL('core/test/golden/edges/', root), { recursive: true });
for (const name of ['mixte', 'box', 'trike'])
  writeFileSync(
    new URL(`core/test/golden/edges/${name}.txt`, root),
    edgesText(open(`web/public/demo/builds/demo-${name}.json`)),
  );
writeFileSync(new URL('core/test/golden/rules.txt', root), catalogText(ruleCatalog));
for (const file of readdirSync(new URL('core/test/builds/', root)).filter((f) => /^version-\d+\.json$/.test(f))) {
  const opened = JSON.stringify(open(`core/test/builds/${file}`));
  writeFileSync(new URL(`core/test/builds/${file.replace('.json', '.opened.json')}`, root), opened + '\n');
}
