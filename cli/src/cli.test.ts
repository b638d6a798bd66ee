import { expect } from 'chai';
import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { cpSync, readFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../../', import.meta.url));
const tasks = ['ride', 'plan', 'buy', 'schedule', 'faults', 'tune', 'report', 'catalogue', 'search'] as const;
/** Beside the sources, so that what they look for from where they lie is there; no part of what is kept. */
const built = join(root, 'cli', 'dist');

interface Answer {
  out: string;
  err: string;
  status: number | null;
}

function answer(args: string[]): Answer {
  const done = spawnSync(process.execPath, args, {
    maxBuffer: 16_000_000,
    cwd: root,
    env: { ...process.env, INIT_CWD: root },
    encoding: 'utf8',
  });
  return { out: done.stdout, err: done.stderr, status: done.status };
}

/** A command as its npm script runs it, but made into plain scripts once for all: some twenty are run. */
const run = (task: (typeof tasks)[number], args: string[]): Answer => answer([join(built, `${task}.mjs`), ...args]);

describe('command line', () => {
  const folder = mkdtempSync(join(tmpdir(), 'sprocket-cli-'));
  before(() =>
    build({
      absWorkingDir: root,
      entryPoints: [...tasks, 'searchWorker'].map((task) => `cli/src/${task}.ts`),
      outdir: built,
      outExtension: { '.js': '.mjs' },
      bundle: true,
      splitting: true,
      format: 'esm',
      platform: 'node',
      alias: { '@sprocket/core': join(root, 'core', 'src', 'index.ts') },
      // Packages from elsewhere are found where they are installed.
      packages: 'external',
      logLevel: 'warning',
    }),
  );
  after(() => {
    for (const made of [folder, built]) rmSync(made, { recursive: true });
  });

  it('ride prints one line of JSON a case, in order, and runs the others past a malformed one', () => {
    const bad = join(folder, 'bad.json');
    writeFileSync(bad, '{ "motor": { "place": "sky" }, "route": {} }');
    const cut = join(folder, 'cut.json');
    writeFileSync(cut, '{ "motor": ');
    const good = ['core/test/cases/lead-acid-last-resort.json', 'core/test/cases/mid-drive-best-gear.json'];
    const done = run('ride', [good[0] as string, bad, cut, 'not-there.json', good[1] as string]);
    expect(done.status).to.equal(2);
    const lines = done.out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { file: string; topSpeedMs: number });
    expect(lines.map((line) => line.file)).to.deep.equal(good);
    expect(lines[0]?.topSpeedMs).to.be.closeTo(10.226, 0.01);
    expect(done.err)
      .to.match(/bad\.json: motor\.place/)
      .and.to.match(/bad\.json: route\.segments/);
    expect(done.err)
      .to.match(/cut\.json: /)
      .and.to.match(/not-there\.json: \(file\)/);
  });

  it('ride ends with 0 when all is well, from its sources as the npm script runs it', () => {
    const file = 'core/test/cases/mid-drive-never-shifts.json';
    const done = answer(['--import', 'tsx', join(root, 'cli/src/ride.ts'), file]);
    expect(done.status).to.equal(0);
    expect(done.out).to.equal(run('ride', [file]).out);
  });

  it('buy and schedule answer good cases and refuse malformed ones by path', () => {
    const put = (name: string, value: object): string => {
      const file = join(folder, name);
      writeFileSync(file, JSON.stringify(value));
      return file;
    };
    const line = { id: 'arm', count: 2, neededBy: '2026-03-09' };
    const offer = { supplier: 'quay', line: 'arm', price: 24, leadDays: { low: 1, likely: 2, high: 4 } };
    const order = {
      lines: [line],
      suppliers: [{ id: 'quay', shipping: 5.5, freeFrom: 60 }],
      offers: [offer],
      orderedOn: '2026-03-01',
      chance: 0.8,
    };
    const bought = run('buy', [
      put('buy.json', order),
      put('odd.json', { ...order, offers: [{ ...offer, line: 'x' }] }),
    ]);
    expect(bought.status).to.equal(2);
    expect(JSON.parse(bought.out)).to.deep.include({ total: 53.5, goods: 48, shipping: 5.5, choice: { arm: 'quay' } });
    expect(bought.err).to.match(/odd\.json: offers\[0\]\.line: no line x/);
    const bench = {
      hands: 1,
      windows: [{ from: '2026-03-07T09:00', to: '2026-03-07T10:00' }],
      gates: [],
      tasks: [{ id: 'strip', minutes: 30 }],
    };
    const long = { ...bench, tasks: [...bench.tasks, { id: 'lace', minutes: 61 }] };
    const done = run('schedule', [put('bench.json', bench), put('long.json', long)]);
    expect(done.status).to.equal(2);
    expect(JSON.parse(done.out)).to.deep.include({ finish: '2026-03-07T09:30', proven: true });
    expect(done.err).to.match(/long\.json: tasks\[1\]: lace: no window/);
  });

  it('plan prints a report a person can read, in either units, or JSON', () => {
    const build = 'web/public/demo/builds/demo-gravel.json';
    const report = run('plan', [build]);
    expect(report.status).to.equal(0);
    expect(report.out)
      .to.match(/Carbon gravel bike \(variant A\): stop/)
      .and.to.match(/STOP {5}Carbon frame/);
    const { out } = run('plan', [build, '--imperial']);
    expect(out).to.match(/\d mi\b/);
    expect(out).not.to.match(/\d[\s\u00a0](mm|km|kg)(?!²)\b/);
    const json = JSON.parse(run('plan', [build, '--json']).out) as { verdict: string; findings: unknown[] };
    expect(json.verdict).to.equal('stop');
    expect(json.findings.length).to.be.greaterThan(10);
  });

  it('plan names the fault of a bad file', () => {
    const bad = join(folder, 'build.json');
    writeFileSync(bad, '{ "schema": "jolly-sprocket/build", "version": 1 }');
    const done = run('plan', [bad]);
    expect(done.status).to.equal(2);
    expect(done.err).to.match(/build\.json: brief: /);
    expect(done.out).to.equal('');
  });

  it('tune tells what rides told, refuses by path, and runs its lab', () => {
    const { route, air, ...system } = JSON.parse(
      readFileSync(new URL('../../core/test/cases/geared-rear-roadster.json', import.meta.url), 'utf8'),
    ) as Record<string, unknown>;
    const ride = { route, air, loadKg: 0, startCharge: 1, energyWh: 90, energySd: 0.03 };
    const log = {
      system,
      prior: { cdaM2: 0.08, crr: 0.15, riderPowerW: 0.2, health: 0.03 },
      rides: [ride, ride],
      forecast: [{ route, air, loadKg: 5, startCharge: 1 }],
    };
    const good = join(folder, 'log.json');
    writeFileSync(good, JSON.stringify(log));
    const bad = join(folder, 'log-bad.json');
    writeFileSync(bad, JSON.stringify({ ...log, rides: [{ ...ride, energyWh: 'much' }] }));
    const { out, err, status } = run('tune', [good, bad]);
    expect(status).to.equal(2);
    expect(err).to.match(/log-bad\.json: rides\[0\]\.energyWh: /);
    const told = JSON.parse(out) as {
      posterior: Record<string, { mean: number; sd: number }>;
      rides: object[];
      forecast: { energyWh: Record<string, number> }[];
    };
    expect(Object.keys(told.posterior)).to.deep.equal(['cdaM2', 'crr', 'riderPowerW', 'health']);
    expect(told.rides.map((r) => Object.keys(r))).to.deep.equal([
      ['forecastWh', 'sd', 'z', 'odd'],
      ['forecastWh', 'sd', 'z', 'odd'],
    ]);
    expect(Object.keys(told.forecast[0]?.energyWh ?? {})).to.deep.equal(['p10', 'p50', 'p90']);
    const lab = run('tune', ['--lab', '1', '--seed', '3', 'core/test/cases/geared-rear-roadster.json']);
    expect(JSON.parse(lab.out)).to.include({ logs: 1 });
    expect(run('tune', ['--lab', 'many', good]).status).to.equal(2);
    expect(run('tune', ['--lab', '1']).err).to.match(/ride case/);
  });

  it('report writes one file of the whole build or the owner’s sheet, and names the fault of a bad one', () => {
    const build = 'web/public/demo/builds/demo-box.json';
    const whole = run('report', [build, '--on', '2026-11-20']);
    expect(whole.out).to.match(
      /^<!doctype html>[\s\S]*font\/woff2;base64[\s\S]*Report of 2026-11-20[\s\S]*<\/html>\n$/,
    );
    const owner = run('report', [build, '--handover', '--imperial']);
    expect(owner.out)
      .to.match(/Handover sheet/)
      .and.to.match(/\d\smi\b/);
    const bad = join(folder, 'bad-build.json');
    writeFileSync(bad, '{ "schema": "jolly-sprocket/build", "version": 1 }');
    expect(run('report', [bad]).err).to.match(/bad-build\.json: brief: /);
    expect(run('report', []).status).to.equal(2);
    expect(run('report', [build, '--on', 'soon']).err).to.match(/takes a date/);
  });

  it('catalogue finds the shipped one sound, and names file, line, row and column of what is wrong in another', () => {
    expect(run('catalogue', []).out).to.match(/sound/);
    const other = join(folder, 'catalogue');
    cpSync(join(root, 'catalogue'), other, { recursive: true });
    const fittings = join(other, 'shelf', 'fittings.json');
    writeFileSync(fittings, readFileSync(fittings, 'utf8').replace(/"price": (\d+)/, '"price": "$1 crowns"'));
    rmSync(join(other, 'laws.json'));
    const { err, status } = run('catalogue', [other]);
    expect(status).to.equal(1);
    expect(err).to.match(/^catalogue\/shelf\/fittings\.json:2: torque-arm, price: must be a number$/m);
    expect(err).to.match(/^catalogue\/laws\.json:1: this file is missing$/m);
  });

  it('search prints a line a file of what none of the others beats, and names an aim or a file it does not know', () => {
    const none = run('search', ['--aims', 'price,beauty', 'web/public/demo/builds/demo-mixte.json']);
    expect([none.status, none.out]).to.deep.equal([2, '']);
    expect(none.err).to.match(/“beauty” is none of price, hours/);
    expect(run('search', []).status).to.equal(2);
    const bad = join(folder, 'bad-build.json');
    writeFileSync(bad, '{"id": 7}');
    const trike = 'web/public/demo/builds/demo-trike.json';
    const many = run('search', ['--draws', 'some', trike]);
    expect([many.status, many.out]).to.deep.equal([2, '']);
    expect(many.err).to.match(/--draws: “some” is no whole number/);
    const both = run('search', ['--draws', '12', bad, trike]);
    expect(both.status).to.equal(2);
    expect(both.err).to.contain('bad-build.json');
    const said = JSON.parse(both.out) as Record<string, unknown> & {
      front: { choice: { kitId: string }; aims: Record<string, number> }[];
      picks: Record<string, number>;
      families: { family: string; best: number | null; why: string }[];
      measure: { items: string[]; minutes: number; outcomes: { answer: string; best: number | null }[] }[];
      draws: { of: number; fares: { at: number; share: number }[] };
    };
    expect(Object.keys(said)).to.deep.equal([
      'file',
      'aims',
      'counted',
      'stopped',
      'reckoned',
      'ms',
      'front',
      'picks',
      'families',
      'measure',
      'draws',
    ]);
    expect(said.draws.of).to.equal(12);
    expect(said.draws.fares.map((f) => f.at)).to.include(said.picks.fit);
    for (const { share } of said.draws.fares) expect(share).to.be.within(0, 1);
    for (const { items, minutes, outcomes } of said.measure) {
      expect(items).not.to.be.empty;
      expect(minutes).to.be.above(0);
      for (const { best } of outcomes) if (best !== null) expect(said.front[best]).to.be.an('object');
    }
    expect(said.file).to.equal(trike);
    expect(said.families).to.have.length(5);
    for (const at of Object.values(said.picks)) expect(said.front[at]).to.be.an('object');
    for (const { why } of said.families) expect(why).to.not.equal('');
  });

  it('faults lists, looks, refuses by path and runs its lab', () => {
    const list = JSON.parse(run('faults', ['--list']).out) as Record<string, { id: string; words?: string }[]>;
    expect(list.symptoms?.length).to.be.at.least(14);
    expect(list.faults?.length).to.be.at.least(40);
    expect(list.tests?.length).to.be.at.least(50);
    const good = join(folder, 'fault.json');
    writeFileSync(
      good,
      JSON.stringify({ build: null, symptom: 'dead', answers: [{ test: 'lever-home', outcome: 'home' }], tools: [] }),
    );
    const bad = join(folder, 'fault-bad.json');
    writeFileSync(
      bad,
      JSON.stringify({
        build: null,
        symptom: 'deaf',
        answers: [
          { test: 'lever-home', outcome: 'odd' },
          { test: 'lever-home', outcome: 'home' },
          { test: 'none', outcome: 'x' },
        ],
        tools: ['axe'],
      }),
    );
    const away = join(folder, 'fault-away.json');
    writeFileSync(away, JSON.stringify({ build: 'nowhere.json', symptom: 'dead', answers: [], tools: [] }));
    const built = join(folder, 'fault-built.json');
    writeFileSync(
      built,
      JSON.stringify({
        build: join(root, 'web/public/demo/builds/demo-trike.json'),
        symptom: 'dead',
        answers: [],
        tools: [],
      }),
    );
    const { out, err, status } = run('faults', [good, bad, away, built]);
    expect(status).to.equal(2);
    const lines = out
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as Record<string, unknown>);
    expect(lines.map((l) => l.file)).to.deep.equal([good, built]);
    const causes = lines[0]?.faults as { id: string; p: number }[];
    expect(causes.reduce((sum, c) => sum + c.p, 0)).to.be.closeTo(1, 1e-9);
    expect(lines[0]?.next).to.have.keys('test', 'bits', 'minutes');
    expect(lines[0]?.repair).to.equal(null);
    for (const path of ['symptom', 'answers[0].outcome', 'answers[1].test', 'answers[2].test', 'tools[0]'])
      expect(err).to.include(`${bad}: ${path}: `);
    expect(err).to.include(`${away}: build: no file nowhere.json`);
    const lab = run('faults', ['--lab', '50', '--seed', '1']);
    expect(JSON.parse(lab.out)).to.include({ draws: 50 });
    expect(run('faults', ['--lab', 'many']).status).to.equal(2);
    expect(run('faults', ['--lab', '5', '--build', 'nowhere.json']).err).to.include('no file nowhere.json');
  });
});
