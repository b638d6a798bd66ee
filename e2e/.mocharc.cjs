/** Browser tests, the longest first, so that both lanes end together. */
const LONGEST = ['access', 'journey', 'fit', 'parts', 'proving', 'logbook', 'kept', 'gate'];

module.exports = {
  'node-option': ['import=tsx'],
  spec: [...LONGEST.map((name) => `e2e/${name}.e2e.ts`), 'e2e/**/*.e2e.ts'],
  // How long one thing may be waited for stands in support/app.ts; a test waits for many.
  timeout: Number(process.env.SPROCKET_PATIENCE || 300) * 4000,
  exit: true,
  parallel: true,
  jobs: 2,
};
