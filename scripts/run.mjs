#!/usr/bin/env node
/**
 * Runs one of the project's commands on a machine that may be fresh: installs packages when they are
 * missing or older than the lock file, and for the browser tests Debian's Chromium when that is missing.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const [task, ...rest] = process.argv.slice(2);

/** Everything but a task's own answer goes to standard error, so that answers can be piped. */
function run(command, args, { quiet = false } = {}) {
  const done = spawnSync(command, args, {
    cwd: root,
    stdio: ['inherit', quiet ? process.stderr.fd : 'inherit', 'inherit'],
    env: process.env,
  });
  if (done.status !== 0) process.exit(done.status ?? 1);
}
const bin = (name) => join(root, 'node_modules', '.bin', name);
const tsx = (file, args = []) => run(process.execPath, ['--import', 'tsx', join(root, file), ...args]);

/** Makes commands into plain scripts and runs the first: where thousands of rides are ridden that takes half the time. */
async function asPlainScripts(names, args) {
  const { build: bundle } = await import('esbuild');
  const outdir = join(root, 'node_modules', '.cache', 'sprocket-cli');
  await bundle({
    absWorkingDir: root,
    entryPoints: names.map((name) => `cli/src/${name}.ts`),
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    alias: { '@sprocket/core': join(root, 'core', 'src', 'index.ts') },
    packages: 'external',
    logLevel: 'warning',
  });
  run(process.execPath, [join(outdir, `${names[0]}.mjs`), ...args]);
}

function install() {
  const stamp = join(root, 'node_modules', '.package-lock.json');
  const lock = join(root, 'package-lock.json');
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(lock).mtimeMs) return;
  run('npm', ['ci', '--no-audit', '--no-fund'], { quiet: true });
}

function chromium() {
  if (existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium')) return;
  process.stderr.write('Chromium is missing: installing Debian’s package.\n');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  for (const args of [['update'], ['install', '-y', '--no-install-recommends', 'chromium']]) {
    const [command, ...before] = [...sudo, 'apt-get'];
    run(command, [...before, ...args], { quiet: true });
  }
}

function build() {
  run('npm', ['run', '--silent', 'build', '-w', 'web'], { quiet: true });
}

/** Seconds since a moment, in words. */
const seconds = (from) => `${((Date.now() - from) / 1000).toFixed(0)} s`;

/**
 * Commands one after another, beside whatever else runs: what they print appears when each is done, so that
 * two lanes do not mix their lines. Gives the status of the first that fails, else 0.
 */
async function lane(commands) {
  for (const [name, command, args] of commands) {
    const start = Date.now();
    const said = [];
    const status = await new Promise((done) => {
      const child = spawn(command, args, { cwd: root, env: process.env, stdio: ['ignore', 'pipe', 'pipe'] });
      for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => said.push(chunk));
      child.on('error', (error) => {
        said.push(`${error.message}\n`);
        done(1);
      });
      child.on('close', (code) => done(code ?? 1));
    });
    process.stdout.write(`${name}: ${status === 0 ? 'good' : 'FAILED'}, ${seconds(start)}\n`);
    for (const chunk of said) process.stdout.write(chunk);
    if (status !== 0) return status;
  }
  return 0;
}

/** Types, lint, a build within its weight, unit tests, and the screens driven in Chromium. */
async function verify() {
  const start = Date.now();
  const reporter = ['--reporter', join(root, 'scripts', 'slowest.cjs')];
  chromium();
  // Each of these works on one core only; the two lanes share none of what they write.
  const statuses = await Promise.all([
    lane([
      ['layout', 'npm', ['run', '--silent', 'lint:layout']],
      ['rooms', 'npm', ['run', '--silent', 'lint:rooms']],
    ]),
    lane([
      ['types', 'npm', ['run', '--silent', 'types']],
      ['lint', 'npm', ['run', '--silent', 'lint:code']],
      ['build', 'npm', ['run', '--silent', 'build', '-w', 'web']],
      ['weight', process.execPath, [join('scripts', 'budget.mjs')]],
      ['catalogue', process.execPath, ['--import', 'tsx', join('cli', 'src', 'catalogue.ts')]],
    ]),
  ]);
  const failed = statuses.find((status) => status !== 0);
  if (failed !== undefined) process.exit(failed);
  run(bin('mocha'), reporter);
  run(bin('mocha'), ['--config', join('e2e', '.mocharc.cjs'), ...reporter]);
  process.stdout.write(`Verified in ${seconds(start)}.\n`);
}

install();
switch (task) {
  case 'demo':
    build();
    tsx('server/src/main.ts', ['--demo', ...rest]);
    break;
  case 'start':
    build();
    tsx('server/src/main.ts', rest);
    break;
  case 'plan':
    tsx('cli/src/plan.ts', rest);
    break;
  case 'ride':
    tsx('cli/src/ride.ts', rest);
    break;
  case 'buy':
    tsx('cli/src/buy.ts', rest);
    break;
  case 'faults':
    tsx('cli/src/faults.ts', rest);
    break;
  case 'tune':
    tsx('cli/src/tune.ts', rest);
    break;
  case 'report':
    tsx('cli/src/report.ts', rest);
    break;
  case 'catalogue':
    tsx('cli/src/catalogue.ts', rest);
    break;
  case 'search':
    await asPlainScripts(['search', 'searchWorker'], rest);
    break;
  case 'schedule':
    tsx('cli/src/schedule.ts', rest);
    break;
  case 'bench':
    build();
    chromium();
    run(process.execPath, [join('scripts', 'budget.mjs')]);
    tsx('core/bench/bench.ts');
    tsx('e2e/bench.ts');
    break;
  case 'shots':
    build();
    chromium();
    tsx('e2e/shots.ts', rest);
    break;
  case 'verify':
    await verify();
    break;
  case 'verify:long':
    // Many more runs of every property; the edges of every rule looked for over the whole shelf.
    process.env.SPROCKET_LONG = '1';
    await verify();
    break;
  case 'mutate':
    // Wrong lines, one after another: which of them no test misses? Rooms by name, else those that judge: an hour.
    process.env.SPROCKET_MUTATE = '1';
    if (rest.length > 0) process.env.SPROCKET_ROOMS = rest.join(',');
    run(bin('stryker'), ['run', join('mutate', 'stryker.config.js')]);
    break;
  default:
    process.stderr.write(
      'usage: npm run demo | start | verify | verify:long | mutate | plan | ride | buy | schedule | faults | tune | report | catalogue | bench | shots\n',
    );
    process.exit(2);
}
