import { existsSync, readFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import {
  anyVehicle,
  faultFacts,
  faultLab,
  faultList,
  parseJson,
  planContext,
  readBuild,
  readFaultCase,
  runFaultCase,
  starterShelf,
  toldBy,
  type FaultFacts,
  type ReadProblem,
} from '@sprocket/core';
import { runCases } from './cases.ts';

/**
 * `faults --list`: symptoms, faults, tests, repairs and tools as one JSON document. `faults case.json …`: causes, next
 * test and repair, a line a case. `faults --lab 2000 --seed 7 [--build build.json]`: hidden faults looked for.
 */
const args = process.argv.slice(2);
const from = process.env.INIT_CWD ?? process.cwd();

/** A build file that a case or the lab names could not be read. */
class NoBuild extends Error {
  constructor(readonly problems: readonly ReadProblem[]) {
    super(problems.map((p) => `${p.path}: ${p.message}`).join('; '));
  }
}

/** Facts of the vehicle in a build file and what that tells besides, looked for beside the case and where the command was given. */
function vehicleIn(path: string | null, beside: string): { facts: FaultFacts; told?: ReturnType<typeof toldBy> } {
  if (path === null) return { facts: anyVehicle };
  const file = [resolve(beside, path), resolve(from, path)].find((p) => existsSync(p));
  if (file === undefined) throw new NoBuild([{ path: 'build', message: `no file ${path}` }]);
  const document = parseJson(readFileSync(file, 'utf8'));
  const read = document.ok ? readBuild(document.value) : document;
  if (!read.ok) throw new NoBuild(read.problems.map((p) => ({ path: `build: ${p.path}`, message: p.message })));
  const context = planContext(read.value, starterShelf);
  return { facts: faultFacts(context), told: toldBy(context) };
}

/** The value after a flag; undefined where the flag is not there. */
function flag(name: string): string | undefined {
  const at = args.indexOf(name);
  return at < 0 ? undefined : (args[at + 1] ?? '');
}

function lab(): void {
  const whole = (name: string, usual: number, least: number): number => {
    const text = flag(name);
    const value = text === undefined ? usual : Number(text);
    if (!Number.isInteger(value) || value < least || value > 1_000_000)
      throw new NoBuild([{ path: name, message: `must be a whole number from ${least} to 1000000` }]);
    return value;
  };
  try {
    const { facts } = vehicleIn(flag('--build') ?? null, from);
    process.stdout.write(JSON.stringify(faultLab(facts, whole('--lab', 2000, 1), whole('--seed', 7, 0))) + '\n');
  } catch (error) {
    if (!(error instanceof NoBuild)) throw error;
    process.stderr.write(`faults: ${error.message}\n`);
    process.exitCode = 2;
  }
}

if (args.includes('--list')) process.stdout.write(JSON.stringify(faultList(), null, 2) + '\n');
else if (args.includes('--lab')) lab();
else
  runCases(
    'faults',
    readFaultCase,
    (given, file) => {
      const { facts, told } = vehicleIn(given.build, dirname(resolve(from, file)));
      return runFaultCase(given, facts, told);
    },
    args,
    (_, error) => (error instanceof NoBuild ? error.problems : null),
  );
