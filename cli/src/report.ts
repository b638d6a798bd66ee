import {
  docHtml,
  judgeCandidates,
  handoverDoc,
  parseJson,
  planChosen,
  planContext,
  readBuildFileWithPhotos,
  reportDoc,
  starterShelf,
  wholePlan,
  type UnitSystem,
} from '@sprocket/core';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { resolve } from 'node:path';

/**
 * `report build.json [--handover] [--imperial] [--on 2026-05-01]`: a whole build’s report, or its handover sheet, as one
 * HTML file that needs nothing beside it, on standard output.
 */
const args = process.argv.slice(2);
const units: UnitSystem = args.includes('--imperial') ? 'imperial' : 'metric';
const at = args.indexOf('--on');
const files = args.filter((a, i) => !a.startsWith('--') && args[i - 1] !== '--on');
const from = process.env.INIT_CWD ?? process.cwd();
const refuse = (message: string): void => {
  process.stderr.write(`report: ${message}\n`);
  process.exitCode = 2;
};

/** The paper’s fonts as data, from the packages the app ships them from. */
function fonts(): string {
  const require = createRequire(new URL('../../web/package.json', import.meta.url));
  const face = (family: string, weight: string, file: string): string =>
    `@font-face{font-family:'${family}';font-weight:${weight};src:url(data:font/woff2;base64,${readFileSync(require.resolve(file)).toString('base64')}) format('woff2')}`;
  return [
    face(
      'Atkinson Hyperlegible',
      '400',
      '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff2',
    ),
    face(
      'Atkinson Hyperlegible',
      '700',
      '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff2',
    ),
    face(
      'Bricolage Grotesque Variable',
      '200 800',
      '@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2',
    ),
  ].join('');
}

function write(file: string, now: string): void {
  let text: string;
  try {
    text = readFileSync(resolve(from, file), 'utf8');
  } catch (error) {
    return refuse(`${file}: ${error instanceof Error ? error.message : String(error)}`);
  }
  const document = parseJson(text);
  const read = document.ok ? readBuildFileWithPhotos(text) : document;
  if (!read.ok) return read.problems.forEach((p) => refuse(`${file}: ${p.path}: ${p.message}`));
  const { build, photos } = read.value;
  const context = planContext(build, starterShelf);
  const plan = wholePlan(build, planChosen(context), judgeCandidates(context));
  const doc = args.includes('--handover')
    ? handoverDoc(context, plan, build)
    : reportDoc(context, plan, build, now, photos);
  process.stdout.write(docHtml(doc, units, fonts()));
}

const day = at < 0 ? undefined : args[at + 1];
if (files.length !== 1) refuse('usage: npm run --silent report -- build.json [--handover] [--imperial] [--on date]');
else if (day !== undefined && !/^\d{4}-\d{2}-\d{2}$/.test(day)) refuse('--on takes a date, 2026-05-01');
else write(files[0] as string, `${day ?? new Date().toISOString().slice(0, 10)}T12:00`);
