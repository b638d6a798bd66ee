const { readdirSync } = require('node:fs');
const { join } = require('node:path');

/** Browser tests, the longest first, so that both lanes end together. */
const LONGEST = ['access', 'journey', 'logbook', 'gate', 'kept', 'proving', 'build', 'parts', 'fit'];

const here = __dirname;
const all = readdirSync(here).filter((file) => file.endsWith('.e2e.ts'));
const rank = (file) => {
  const at = LONGEST.indexOf(file.replace('.e2e.ts', ''));
  return at < 0 ? LONGEST.length : at;
};

module.exports = {
  'node-option': ['import=tsx'],
  // Each file once: one that is named twice is run twice where two processes share the list.
  spec: all.toSorted((a, b) => rank(a) - rank(b) || a.localeCompare(b)).map((file) => join(here, file)),
  // How long one thing may be waited for stands in support/app.ts; a test waits for many.
  timeout: Number(process.env.SPROCKET_PATIENCE || 300) * 4000,
  exit: true,
  parallel: true,
  jobs: 2,
};
