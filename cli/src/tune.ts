import { parseJson, readRideCase, readTuneCase, runTuneCase, tuneLab } from '@sprocket/core';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { runCases } from './cases.ts';

/**
 * `tune log.json …`: tunes drag area, rolling, legs and the battery’s health to rides, a line a log. `tune --lab 100
 * --seed 7 ride-case.json`: made-up logs of a ride case’s vehicle, and how the tuning did on them.
 */
const args = process.argv.slice(2);

/** The value after a flag, a whole number; NaN where it is none. */
function whole(name: string, usual: number): number {
  const at = args.indexOf(name);
  if (at < 0) return usual;
  const value = Number(args[at + 1] ?? '');
  return Number.isInteger(value) && value >= 0 && value <= 100_000 ? value : NaN;
}

function lab(): void {
  const [logs, seed] = [whole('--lab', 100), whole('--seed', 7)];
  const file = args.filter((a, i) => !a.startsWith('--') && !(args[i - 1] ?? '').startsWith('--'))[0];
  const refuse = (message: string): void => {
    process.stderr.write(`tune: ${message}\n`);
    process.exitCode = 2;
  };
  if (Number.isNaN(logs) || Number.isNaN(seed)) return refuse('--lab and --seed take a whole number up to 100000');
  if (file === undefined) return refuse('--lab wants a ride case whose vehicle is ridden');
  let text: string;
  try {
    text = readFileSync(resolve(process.env.INIT_CWD ?? process.cwd(), file), 'utf8');
  } catch (error) {
    return refuse(error instanceof Error ? error.message : String(error));
  }
  const document = parseJson(text);
  const read = document.ok ? readRideCase(document.value) : document;
  if (!read.ok) return refuse(read.problems.map((p) => `${file}: ${p.path}: ${p.message}`).join('\n'));
  process.stdout.write(JSON.stringify(tuneLab(read.value, logs, seed)) + '\n');
}

if (args.includes('--lab')) lab();
else runCases('tune', readTuneCase, runTuneCase, args);
