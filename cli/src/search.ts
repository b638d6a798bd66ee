import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import {
  aimIds,
  aims as allAims,
  type AimId,
  type Build,
  type Choice,
  contendersOf,
  type Drawn,
  familyFates,
  faresOf,
  measureFirst,
  parseJson,
  phraseText,
  picksOf,
  planContext,
  readBuild,
  searchedTogether,
  type SearchOptions,
  type SearchResult,
  starterShelf,
  USUAL_DRAWS,
  usualAims,
  usualSearch,
  weighedUp,
  weightsFor,
} from '@sprocket/core';
import type { Asked } from './searchWorker.ts';

/**
 * `search build.json … [--aims a,b,c] [--all] [--draws n]`: a line of JSON a file with the conversions that nobody beats, how
 * the best of them fare on as many vehicles as this one might be, and what to measure first. Bad files, unknown aims and
 * numbers that are none: standard error, exit status 2.
 */
const USAGE = 'usage: npm run --silent search -- build.json [more …] [--aims price,chance,…] [--all] [--draws 200]\n';
/** Most vehicles drawn for a file. */
const MOST_DRAWS = 10_000;
const args = process.argv.slice(2);
const from = process.env.INIT_CWD ?? process.cwd();

/** The worker beside this file. Made into plain scripts both are; else it is told how to read TypeScript first. */
const plain = import.meta.url.endsWith('.mjs');
const beside = new URL(plain ? './searchWorker.mjs' : './searchWorker.ts', import.meta.url).href;
const BEGIN = plain
  ? `import(${JSON.stringify(beside)})`
  : `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(beside)}); })`;

/** Asks one worker, and ends with its answer. */
function ask<T>(asked: Asked): Promise<T> {
  return new Promise<T>((done, failed) => {
    const worker = new Worker(BEGIN, { eval: true, workerData: asked });
    worker.once('message', (result: T) => done(result));
    worker.once('error', failed);
  });
}

const WORKERS = Math.min(2, availableParallelism());
/** Things dealt out one after another: those beside each other cost alike. */
const dealt = <T>(all: readonly T[]): T[][] =>
  Array.from({ length: WORKERS }, (_, w) => all.filter((__, i) => i % WORKERS === w));

function searchOn(build: Build, options: SearchOptions): Promise<SearchResult[]> {
  const own = Object.values(build.ownParts).filter((p) => p.kind === 'kit');
  const kits = [...new Set([...starterShelf.kit, ...own].map((k) => k.id))];
  return Promise.all(dealt(kits).map((some) => ask<SearchResult>({ build, options: { ...options, kits: some } })));
}

async function drawOn(build: Build, choices: Choice[], count: number): Promise<Drawn[]> {
  const seeds = Array.from({ length: count }, (_, i) => i);
  const parts = await Promise.all(dealt(seeds).map((some) => ask<Drawn[]>({ build, choices, seeds: some })));
  return parts.flat().sort((a, b) => a.seed - b.seed);
}

async function searchFile(file: string, wanted: readonly AimId[], all: boolean, draws: number): Promise<void> {
  const fail = (words: string): void => {
    process.stderr.write(`${file}: ${words}\n`);
    process.exitCode = 2;
  };
  let text: string;
  try {
    text = readFileSync(resolve(from, file), 'utf8');
  } catch (error) {
    return fail(`(file): ${error instanceof Error ? error.message : String(error)}`);
  }
  const document = parseJson(text);
  const read = document.ok ? readBuild(document.value) : document;
  if (!read.ok) return read.problems.forEach((p) => fail(`${p.path}: ${p.message}`));
  const build = read.value;
  const start = performance.now();
  const options = { ...usualSearch, aims: wanted, all };
  const result = searchedTogether(await searchOn(build, options), wanted);
  const weights = weightsFor(build);
  const { shelf } = planContext(build, starterShelf);
  const { front } = result;
  const places = draws > 0 ? contendersOf(result, weights, shelf) : [];
  const drawn = await drawOn(
    build,
    places.map((at) => (front[at] as SearchResult['front'][number]).choice),
    places.length > 0 ? draws : 0,
  );
  const fares = drawn.length > 0 ? faresOf(front, places, drawn, weights, shelf) : undefined;
  const picks = picksOf(front, weights, fares && ((at) => fares.get(at)));
  const first = drawn.length > 0 ? measureFirst(build.donor, drawn, weighedUp(front, places, weights, shelf)) : [];
  process.stdout.write(
    `${JSON.stringify({
      file,
      aims: wanted.map((id) => ({ id, better: allAims[id].better, unit: allAims[id].unit })),
      counted: result.counted,
      stopped: result.counted - result.standing,
      reckoned: result.ridden,
      ms: Math.round(performance.now() - start),
      front,
      picks,
      families: familyFates(result, picks.fit ?? null, shelf, weights).map((f) => ({
        ...f,
        why: phraseText(f.why, 'metric'),
      })),
      measure: first.map((m) => ({
        ...m,
        outcomes: m.outcomes.map((o) => ({
          answer: phraseText(o.answer, 'metric'),
          share: o.share,
          best: o.best === null ? null : (places[o.best] ?? null),
        })),
      })),
      draws: { of: drawn.length, fares: [...(fares ?? [])].map(([at, fare]) => ({ at, ...fare })) },
    })}\n`,
  );
}

const files: string[] = [];
let wanted: readonly AimId[] = usualAims;
let draws = USUAL_DRAWS;
for (let i = 0; i < args.length; i++) {
  const arg = args[i] as string;
  if (arg === '--aims') {
    const named = (args[++i] ?? '').split(',');
    const unknown = named.filter((id) => !(aimIds as readonly string[]).includes(id));
    if (unknown.length > 0) {
      process.stderr.write(`--aims: ${unknown.map((u) => `“${u}”`).join(', ')} is none of ${aimIds.join(', ')}\n`);
      process.exit(2);
    }
    wanted = named as AimId[];
  } else if (arg === '--draws') {
    const typed = args[++i] ?? '';
    draws = /^\d+$/.test(typed) ? Number(typed) : NaN;
    if (!(draws <= MOST_DRAWS)) {
      process.stderr.write(`--draws: “${typed}” is no whole number from 0 to ${MOST_DRAWS}\n`);
      process.exit(2);
    }
  } else if (!arg.startsWith('--')) files.push(arg);
}
if (files.length === 0) {
  process.stderr.write(USAGE);
  process.exitCode = 2;
}
for (const file of files) await searchFile(file, wanted, args.includes('--all'), draws);
