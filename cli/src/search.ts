import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import {
  aimIds,
  aims as allAims,
  type AimId,
  type Build,
  familyFates,
  measureNext,
  parseJson,
  phraseText,
  picksOf,
  planContext,
  readBuild,
  searchedTogether,
  type SearchOptions,
  type SearchResult,
  starterShelf,
  usualAims,
  usualSearch,
  weightsFor,
} from '@sprocket/core';

/**
 * `search build.json … [--aims a,b,c] [--all]`: a line of JSON a file with the conversions that nobody beats. Bad files and
 * unknown aims: standard error, exit status 2.
 */
const USAGE = 'usage: npm run --silent search -- build.json [more …] [--aims price,chance,…] [--all]\n';
const args = process.argv.slice(2);
const from = process.env.INIT_CWD ?? process.cwd();

/** The worker beside this file. Made into plain scripts both are; else it is told how to read TypeScript first. */
const plain = import.meta.url.endsWith('.mjs');
const beside = new URL(plain ? './searchWorker.mjs' : './searchWorker.ts', import.meta.url).href;
const BEGIN = plain
  ? `import(${JSON.stringify(beside)})`
  : `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(beside)}); })`;

/** Kits dealt out one after another: those of a family cost alike. */
function searchOn(build: Build, options: SearchOptions, workers: number): Promise<SearchResult[]> {
  const own = Object.values(build.ownParts).filter((p) => p.kind === 'kit');
  const kits = [...new Set([...starterShelf.kit, ...own].map((k) => k.id))];
  return Promise.all(
    Array.from({ length: workers }, (_, w) => {
      const own = { ...options, kits: kits.filter((__, i) => i % workers === w) };
      return new Promise<SearchResult>((done, failed) => {
        const worker = new Worker(BEGIN, { eval: true, workerData: { build, options: own } });
        worker.once('message', (result: SearchResult) => done(result));
        worker.once('error', failed);
      });
    }),
  );
}

async function searchFile(file: string, wanted: readonly AimId[], all: boolean): Promise<void> {
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
  const result = searchedTogether(await searchOn(build, options, Math.min(2, availableParallelism())), wanted);
  const weights = weightsFor(build);
  const picks = picksOf(result.front, weights);
  const context = planContext(build, starterShelf);
  process.stdout.write(
    `${JSON.stringify({
      file,
      aims: wanted.map((id) => ({ id, better: allAims[id].better, unit: allAims[id].unit })),
      counted: result.counted,
      stopped: result.counted - result.standing,
      reckoned: result.ridden,
      ms: Math.round(performance.now() - start),
      front: result.front,
      picks,
      families: familyFates(result, picks.fit ?? null, context.shelf, weights).map((f) => ({
        ...f,
        why: phraseText(f.why, 'metric'),
      })),
      measure: measureNext(context),
    })}\n`,
  );
}

const files: string[] = [];
let wanted: readonly AimId[] = usualAims;
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
  } else if (!arg.startsWith('--')) files.push(arg);
}
if (files.length === 0) {
  process.stderr.write(USAGE);
  process.exitCode = 2;
}
for (const file of files) await searchFile(file, wanted, args.includes('--all'));
