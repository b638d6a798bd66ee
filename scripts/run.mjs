#!/usr/bin/env node
/**
 * Runs one of the project's commands on a machine that may be fresh: installs packages when they are
 * missing or older than the lock file, and for the browser tests Debian's Chromium when that is missing.
 */
import { spawnSync } from 'node:child_process';
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

/** Types, lint, unit tests, a build within its weight, and the screens driven in Chromium. */
function verify() {
  const reporter = ['--reporter', join(root, 'scripts', 'slowest.cjs')];
  chromium();
  run('npm', ['run', '--silent', 'types']);
  run('npm', ['run', '--silent', 'lint']);
  run(bin('mocha'), reporter);
  build();
  run(process.execPath, [join('scripts', 'budget.mjs')]);
  run(bin('mocha'), ['--config', join('e2e', '.mocharc.json'), ...reporter]);
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
    verify();
    break;
  case 'verify:long':
    // Many more runs of every property; the edges of every rule looked for over the whole shelf.
    process.env.SPROCKET_LONG = '1';
    verify();
    break;
  case 'mutate':
    // Wrong lines, one after another: which of them no test misses? Nearly an hour on two cores.
    process.env.SPROCKET_MUTATE = '1';
    run(bin('stryker'), ['run', join('mutate', 'stryker.config.json'), ...rest]);
    break;
  default:
    process.stderr.write('usage: npm run demo | start | verify | verify:long | mutate | plan | ride | bench | shots\n');
    process.exit(2);
}
