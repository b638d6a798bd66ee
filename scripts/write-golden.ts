/**
 * Writes what tests hold the core to, after a change made on purpose: whole plans and sheets of the demo builds, the
 * shelf's prices, and every older build file as it opens today. Verdicts that turned are printed, and ask for the
 * reason, which is kept beside them in core/test/golden/flips.json. Look at the difference before it is kept:
 * node --import tsx scripts/write-golden.ts why verdicts turned
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { planBuild, readBuildFile, ruleCatalog } from '@sprocket/core';
import { catalogText, keepGolden, pricesText, type Golden } from '../core/test/golden.ts';
import { planGolden } from '../core/test/plans.ts';
import { steadyShelf } from '../core/test/prices.ts';
import { demo, edgesGolden, sheetBuilds, sheetsGolden } from '../core/test/sheets.ts';

const root = new URL('../', import.meta.url);
function open(path: string) {
  const read = readBuildFile(readFileSync(new URL(path, root), 'utf8'));
  if (!read.ok) throw new Error(`${path}: ${JSON.stringify(read.problems)}`);
  return read.value;
}

/** Why verdicts turned, where any did: the words after the command. */
const because = process.argv.slice(2).join(' ');
let turned = 0;
function keep(name: string, golden: Golden): void {
  const flips = keepGolden(name, golden, because);
  turned += flips.length;
  for (const flip of flips) process.stdout.write(`${name}: ${flip}\n`);
}

for (const name of ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'])
  keep(`plans/${name}`, planGolden(planBuild(demo(name), steadyShelf)));
for (const [name, build] of Object.entries(sheetBuilds)) keep(`sheets/${name}`, sheetsGolden(build()));
for (const name of ['mixte', 'box', 'trike']) keep(`edges/${name}`, edgesGolden(demo(name)));
writeFileSync(new URL('core/test/golden/prices.txt', root), pricesText());
writeFileSync(new URL('core/test/golden/rules.txt', root), catalogText(ruleCatalog));
for (const file of readdirSync(new URL('core/test/builds/', root)).filter((f) => /^version-\d+\.json$/.test(f))) {
  const opened = JSON.stringify(open(`core/test/builds/${file}`));
  writeFileSync(new URL(`core/test/builds/${file.replace('.json', '.opened.json')}`, root), opened + '\n');
}
process.stdout.write(`${turned} verdicts turned.\n`);
