/** Speed of the core on one thread, printed. Nothing here passes or fails. */
import { readFileSync } from 'node:fs';
import {
  admitted,
  type Build,
  cutRoute,
  judgeCandidates,
  planChosen,
  planContext,
  readBuildFile,
  rideJob,
  runDraws,
  readGpx,
  readTrackRide,
  tuneLogInSteps,
  readRideCase,
  simulate,
  starterShelf,
  type RideCase,
  type RouteSegment,
} from '@sprocket/core';

import { kitRules } from '../src/fit/allRules.ts';
import { judgeAbout } from '../src/fit/judge.ts';
import { placeController } from '../src/layout/controller.ts';
import { frameRoom } from '../src/layout/frameRoom.ts';
import { chosenPlacement } from '../src/layout/packPlacement.ts';
import { packShape } from '../src/layout/packShape.ts';
import type { Pack } from '../src/parts/pack.ts';
import { referencePack } from '../src/plan/candidates.ts';
import type { PlanContext } from '../src/vehicle/context.ts';
import { wiredOf } from '../src/wiring/wiring.ts';
import { benchOrder } from '../src/work/steps/order.ts';
import { doingsOf, stepsOf } from '../src/work/steps/steps.ts';
import { randomDonor } from '../test/randomDonor.ts';
import { wiringRules } from '../test/wiringRules.ts';

const root = new URL('../../', import.meta.url);

function loadCase(name: string): RideCase {
  const read = readRideCase(JSON.parse(readFileSync(new URL(`core/test/cases/${name}.json`, root), 'utf8')));
  if (!read.ok) throw new Error(name);
  return read.value;
}

/** Median milliseconds of a call, after a warm-up; what it is called with is made outside the time. */
function medianWith<T>(make: () => T, call: (given: T) => void, runs = 40): number {
  for (let i = 0; i < 10; i++) call(make());
  const times = Array.from({ length: runs }, () => {
    const given = make();
    const start = performance.now();
    call(given);
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? NaN;
}

function median(call: () => void, runs = 40): number {
  return medianWith(() => undefined, call, runs);
}

/** A pack as it lies, for what is placed beside it. */
function laidAs(context: PlanContext, pack: Pack): Parameters<typeof placeController>[2] {
  const { lies } = chosenPlacement(context, pack);
  return lies ? { shape: packShape(pack), lies } : null;
}

/** A value frozen through and through. */
function frozen<V>(value: V): V {
  if (typeof value === 'object' && value !== null) Object.values(Object.freeze(value)).forEach(frozen);
  return value;
}

function say(what: string, figure: string): void {
  process.stdout.write(`${what.padEnd(64)}${figure}\n`);
}

/** A rolling road of a given length in 10 m steps. */
function rolling(lengthM: number): RouteSegment[] {
  return Array.from({ length: lengthM / 10 }, (_, i) => ({
    lengthM: 10,
    grade: 0.035 * Math.sin(i / 23),
    targetMs: 6.5,
    stop: i % 90 === 0,
  }));
}

for (const [name, label] of [
  ['geared-rear-roadster', 'geared hub, six cogs'],
  ['direct-front-cargo-trike', 'direct hub, regenerating none'],
  ['mid-drive-best-gear', 'mid-drive, best of seven cogs'],
] as const) {
  const system = loadCase(name);
  const road = cutRoute(rolling(30_000), 0);
  let steps = 0;
  const ms = median(() => {
    steps = simulate(system, road, { repeat: false }).steps;
  });
  say(`simulated steps a second, one core, ${label}`, `${(steps / ms / 1000).toFixed(2)} million`);
  say(`  30 km ride in 10 m steps`, `${ms.toFixed(2)} ms`);
}

for (const name of ['demo-mixte', 'demo-trike', 'demo-box', 'demo-lockkeeper', 'demo-gravel']) {
  const read = readBuildFile(readFileSync(new URL(`web/public/demo/builds/${name}.json`, root), 'utf8'));
  if (!read.ok) throw new Error(name);
  // As the app's store keeps it: frozen, so that what hangs on the donor alone is worked out once.
  const fresh = (): Build => {
    const made = structuredClone(read.value);
    Object.freeze(made.donor);
    return made;
  };
  Object.freeze(read.value.donor);
  say(
    `the chosen plan, ${read.value.name}`,
    `${medianWith(fresh, (build) => planChosen(planContext(build, starterShelf))).toFixed(1)} ms`,
  );
  say(
    '  as one field is typed, the donor as it was',
    `${median(() => planChosen(planContext({ ...read.value, name: 'x' }, starterShelf))).toFixed(1)} ms`,
  );
  const context = planContext(read.value, starterShelf);
  const { findings } = planChosen(context);
  say(
    '  the steps of the build and their order',
    `${median(() => benchOrder(stepsOf(context, doingsOf(read.value, findings)))).toFixed(1)} ms`,
  );
  say(
    '  every candidate judged',
    `${medianWith(fresh, (build) => judgeCandidates(planContext(build, starterShelf)), 15).toFixed(1)} ms`,
  );
  // What leads, cables and fuse of all of them are of that: packs are already laid, the drawing is new.
  const laid = (): PlanContext[] => {
    const whole = planContext(fresh(), starterShelf);
    return starterShelf.kit.map((kit) => {
      const one = whole.with(kit, referencePack(whole, kit));
      if (one.pack) placeController(frameRoom(one.build, one.geometry, kit).room, kit, laidAs(one, one.pack));
      return one;
    });
  };
  say(
    '    of that, every kit’s leads, cable and fuse',
    `${medianWith(
      laid,
      (all) => {
        for (const one of all) void [wiredOf(one)?.leads, wiredOf(one)?.power, wiredOf(one)?.spark];
      },
      120,
    ).toFixed(1)} ms`,
  );
  // With and without the rules of the wiring stage, by turns: what they add to all of it.
  const wiring = kitRules.filter((r) => wiringRules.includes(r.id));
  const judges = wiring.map((r) => r.judge);
  const [on, off]: number[][] = [[], []];
  for (let i = 0; i < 60; i++) {
    const without = i % 2 === 1;
    wiring.forEach((r, k) => Object.assign(r, { judge: without ? () => null : judges[k] }));
    const build = fresh();
    const start = performance.now();
    judgeCandidates(planContext(build, starterShelf));
    if (i >= 10) (without ? off : on)?.push(performance.now() - start);
  }
  wiring.forEach((r, k) => Object.assign(r, { judge: judges[k] }));
  say(
    `    of that, ${wiring.length} rules of leads, plugs and power, least of 25`,
    `${(Math.min(...(on ?? [])) - Math.min(...(off ?? []))).toFixed(1)} ms`,
  );
  // As the worker keeps it: what was not edited is the object it was.
  const settled = frozen(structuredClone(read.value));
  const edited = (): Build => ({ ...settled, brief: { ...settled.brief, budget: Math.random() * 1000 } });
  say(
    '  every candidate, as the brief is edited',
    `${medianWith(edited, (build) => judgeCandidates(planContext(build, starterShelf)), 15).toFixed(1)} ms`,
  );
}

{
  // Vehicles nobody thought of, each new, every kit on each: what one judgement of a kit takes.
  const each: number[] = [];
  for (let seed = 1; seed <= 60; seed++) {
    const ground = planContext(randomDonor(seed), starterShelf);
    for (const kit of starterShelf.kit) {
      const start = performance.now();
      judgeAbout('kit', ground.with(kit, null));
      each.push(performance.now() - start);
    }
  }
  each.sort((a, b) => a - b);
  const at = (share: number): string => `${(each[Math.floor((each.length - 1) * share)] ?? 0).toFixed(2)} ms`;
  say('a kit on a vehicle nobody thought of, median', at(0.5));
  say('  and of a hundred the slowest', at(0.99));
}

{
  const read = readBuildFile(readFileSync(new URL('web/public/demo/builds/demo-mixte.json', root), 'utf8'));
  if (!read.ok) throw new Error('mixte');
  const ride = rideJob(planContext(read.value, starterShelf));
  if (!ride) throw new Error('no ride');
  const start = performance.now();
  const metres = runDraws(ride.job, 0, 200).reduce((sum, r) => sum + r.rangeM, 0);
  const ms = performance.now() - start;
  say('drawn rides, one core, as 500 of 30 km', `${((ms / metres) * 500 * 30_000).toFixed(0)} ms`);
  say('  the same over two workers', `${((ms / metres) * 250 * 30_000).toFixed(0)} ms`);
}

const points = Array.from(
  { length: 100_000 },
  (_, i) =>
    `<trkpt lat="${(40 + i * 0.00002).toFixed(6)}" lon="-35"><ele>${(100 + 40 * Math.sin(i / 900)).toFixed(1)}</ele></trkpt>`,
).join('\n');
const gpx = `<gpx><trk><trkseg>${points}</trkseg></trk></gpx>`;
say('readGpx, 100 000 points', `${median(() => readGpx(gpx, 'a', 'a'), 5).toFixed(0)} ms`);

// A ride of twelve hours, a point a second; and what a log of rides told.
{
  const rows = Array.from({ length: 43_200 }, (_, i) => {
    const clock = new Date(Date.UTC(2026, 4, 2, 4, 0, i)).toISOString();
    return `<trkpt lat="${(40 + i * 0.00005).toFixed(6)}" lon="-35"><ele>${(100 + 40 * Math.sin(i / 900)).toFixed(1)}</ele><time>${clock}</time></trkpt>`;
  });
  const track = `<gpx><trk><trkseg>${rows.join('')}</trkseg></trk></gpx>`;
  say(
    'readTrackRide, 12 hours at a point a second',
    `${median(() => readTrackRide(track, 'a', 'a', () => 0), 5).toFixed(0)} ms`,
  );
  for (const name of ['demo-box', 'demo-lockkeeper']) {
    const read = readBuildFile(readFileSync(new URL(`web/public/demo/builds/${name}.json`, root), 'utf8'));
    if (!read.ok) throw new Error(name);
    for (const count of [8, 60]) {
      const entries = read.value.log.entries.filter((e) => e.kind === 'ride').slice(0, count);
      const context = planContext({ ...read.value, log: { ...read.value.log, entries } }, starterShelf);
      say(
        `tuned to ${entries.length} rides, ${read.value.name}`,
        `${median(() => {
          for (const steps = tuneLogInSteps(context); !steps.next().done;);
        }, 5).toFixed(0)} ms`,
      );
    }
  }
}

// The gate: a key in a build with years of rides, of which only what the key changed is looked at.
{
  const read = readBuildFile(readFileSync(new URL('web/public/demo/builds/demo-box.json', root), 'utf8'));
  if (!read.ok) throw new Error('demo-box');
  const rides = read.value.log.entries.filter((e) => e.kind === 'ride');
  const entries = Array.from({ length: 6000 - 1 }, (_, i) => ({
    ...(rides[i % rides.length] as (typeof rides)[number]),
    id: `many-${i}`,
  }));
  const before = frozen({ ...read.value, log: { ...read.value.log, entries } });
  const key = (n: number): Build => ({ ...before, brief: { ...before.brief, cargoKg: n % 50 } });
  const line = (n: number): Build => ({
    ...before,
    log: { ...before.log, entries: [...entries, { ...(entries[0] as (typeof entries)[number]), id: `new-${n}` }] },
  });
  let n = 0;
  const through = (make: (n: number) => Build): string =>
    `${medianWith(
      () => make(++n),
      (after) => admitted(before, after),
      60,
    ).toFixed(2)} ms`;
  say('the gate, 6 000 rides: a key in a field', through(key));
  say('  a line added to the log', through(line));
}
