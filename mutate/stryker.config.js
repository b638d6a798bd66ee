/**
 * Wrong lines, one after another: which of them no test misses? Rooms are named by SPROCKET_ROOMS, with commas; without
 * it the rooms that judge are tried. Each room is held by its own tests first, then by whatever else looks at it.
 */
const ROOMS = {
  judging: {
    mutate: ['core/src/{fit,plan,pack,gearing,safety}/**/*.ts', '!core/src/fit/{schools,allRules}.ts'],
    spec: [
      'core/src/fit/thresholds.test.ts',
      'core/src/fit/vehicles.test.ts',
      'core/src/plan/golden.test.ts',
      'core/src/{fit,plan,pack,gearing,safety,work,vehicle}/*.test.ts',
      'core/src/ride/explainPoint.test.ts',
    ],
    ignore: ['core/src/fit/{reach,judgement,remedies}.test.ts', 'core/src/plan/planBuild.test.ts'],
  },
  proof: {
    mutate: ['core/src/proof/**/*.ts'],
    spec: ['core/src/proof/**/*.test.ts'],
    ignore: ['core/src/proof/{protocol,learned}.test.ts'],
  },
  log: { mutate: ['core/src/log/**/*.ts'], spec: ['core/src/log/*.test.ts'], ignore: ['core/src/log/tune.test.ts'] },
  wiring: { mutate: ['core/src/wiring/**/*.ts'], spec: ['core/src/wiring/*.test.ts', 'core/src/plan/golden.test.ts'] },
  work: {
    mutate: ['core/src/work/**/*.ts'],
    spec: ['core/src/work/**/*.test.ts'],
    ignore: ['core/src/work/schedule.test.ts'],
  },
  reducers: {
    mutate: ['web/src/store/**/*.ts'],
    spec: ['web/src/store/**/*.test.ts', 'web/src/storage/model.test.ts'],
  },
  storage: {
    mutate: ['web/src/storage/**/*.ts'],
    spec: ['web/src/storage/*.test.ts'],
    ignore: ['web/src/storage/model.test.ts'],
  },
};

const named = (process.env.SPROCKET_ROOMS ?? 'judging').split(',').filter(Boolean);
const rooms = named.map((name) => {
  const room = ROOMS[name];
  if (!room) throw new Error(`${name} is no room: ${Object.keys(ROOMS).join(', ')}`);
  return room;
});

export default {
  packageManager: 'npm',
  plugins: ['./mutate/node_modules/@stryker-mutator/mocha-runner/dist/src/index.js'],
  testRunner: 'mocha',
  testRunnerNodeArgs: ['--import', 'tsx'],
  mochaOptions: {
    'no-config': true,
    'no-package': true,
    'no-opts': true,
    require: ['./core/test/setup.ts'],
    spec: rooms.flatMap((room) => room.spec),
    ignore: rooms.flatMap((room) => room.ignore ?? []),
  },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  mutate: [...rooms.flatMap((room) => room.mutate), '!{core,web}/src/**/*.test.ts'],
  mutator: { excludedMutations: ['StringLiteral'] },
  concurrency: 2,
  reporters: ['progress-append-only', 'clear-text', 'json', 'html'],
  tempDirName: '.stryker-tmp',
  jsonReporter: { fileName: '.stryker-tmp/report.json' },
  htmlReporter: { fileName: '.stryker-tmp/report.html' },
  timeoutMS: 8000,
};
