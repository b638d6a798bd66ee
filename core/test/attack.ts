/**
 * Many harmed files under a watchdog: `npx tsx core/test/attack.ts 100000 [seed]`. Each is tried in a process that says
 * which one it is at; one that takes too long is told with its seed, its process ended, and the next goes on.
 * Exit status 1 where any file crashed a reader, took too long or gave a figure that is not finite.
 */
import fc from 'fast-check';
import { spawn } from 'node:child_process';
import { writeSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { attacks } from './attacks.ts';

/** Longest a file may take of a processor's time, ms; and of the clock, for one that never comes back. */
const LONGEST = 2000;
const NEVER = 20_000;
/** One in so many is judged with every kit and pack, which takes ten times as long. */
const SELDOM = 8;

/** Which kind of attack the nth is. */
const kindOf = (n: number): number => {
  const kind = n % attacks.length;
  return kind === 1 && n % (attacks.length * SELDOM) !== 1 ? 0 : kind;
};

/** What a process says, a line each: it begins with one; it found something; its slowest so far, ms. */
type Said = { at: number } | { n: number; what: string } | { slowest: number; of: string };

/** Tries files one after another; written at once, so that the last line stands even where it never comes back. */
function tryThem(from: number, to: number, seed: number): void {
  const say = (said: Said): void => void writeSync(1, `${JSON.stringify(said)}\n`);
  let slowest = 0;
  for (let n = from; n < to; n++) {
    const attack = attacks[kindOf(n)];
    const [attempt] = attack ? fc.sample(attack.tries, { numRuns: 1, seed: seed * 1_000_003 + n }) : [];
    say({ at: n });
    const start = process.cpuUsage();
    try {
      const what = attempt?.() ?? null;
      if (what !== null) say({ n, what });
    } catch (error) {
      say({ n, what: `threw ${String(error)}` });
    }
    const { user, system } = process.cpuUsage(start);
    const ms = (user + system) / 1000;
    if (ms > LONGEST) say({ n, what: `took ${Math.round(ms)} ms` });
    if (ms > slowest) say({ slowest: (slowest = ms), of: attack?.name ?? '' });
  }
}

async function attackAll(count: number, seed: number, hands = 2): Promise<void> {
  let bad = 0;
  let slowest = { ms: 0, of: 'nothing' };
  const tell = (n: number, what: string): void => {
    bad++;
    process.stdout.write(`${attacks[kindOf(n)]?.name} ${n}, seed ${seed}: ${what}\n`);
  };
  const ride = (from: number, to: number): Promise<void> =>
    new Promise((done) => {
      if (from >= to) return done();
      const args = ['--import', 'tsx', fileURLToPath(import.meta.url), '--', from, to, seed].map(String);
      const hand = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
      let at = from - 1;
      let since = Infinity;
      let rest = '';
      const watch = setInterval(() => {
        if (Date.now() - since < NEVER) return;
        clearInterval(watch);
        tell(at, `never came back`);
        hand.kill('SIGKILL');
      }, 100);
      hand.stdout.on('data', (chunk: Buffer) => {
        const lines = (rest + chunk.toString()).split('\n');
        rest = lines.pop() ?? '';
        for (const line of lines) {
          const said = JSON.parse(line) as Said;
          if ('at' in said) {
            at = said.at;
            since = Date.now();
          } else if ('what' in said) tell(said.n, said.what);
          else if (said.slowest > slowest.ms) slowest = { ms: said.slowest, of: said.of };
        }
      });
      hand.on('close', (code, signal) => {
        clearInterval(watch);
        if (code !== 0 && signal === null) tell(at, `its process fell, ${code}`);
        void ride(code === 0 ? to : at + 1, to).then(done);
      });
    });
  const start = Date.now();
  const share = (i: number): number => Math.floor((count * i) / hands);
  await Promise.all(Array.from({ length: hands }, (_, i) => ride(share(i), share(i + 1))));
  process.stdout.write(
    `${count} files in ${Math.round((Date.now() - start) / 1000)} s: ${bad} bad; the slowest, of ${slowest.of}, took ${Math.round(slowest.ms)} ms.\n`,
  );
  process.exitCode = bad > 0 ? 1 : 0;
}

const said = process.argv.slice(2);
if (said[0] === '--') tryThem(Number(said[1]), Number(said[2]), Number(said[3]));
else await attackAll(Number(said[0] ?? 1000), Number(said[1] ?? 1));
