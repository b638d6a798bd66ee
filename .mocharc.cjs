/** Unit tests. A slow machine is no fault: SPROCKET_PATIENCE, in seconds, is how long anything may be waited for. */
module.exports = {
  'node-option': ['import=tsx'],
  spec: ['core/src/**/*.test.ts', 'web/src/**/*.test.ts', 'server/src/**/*.test.ts', 'cli/src/**/*.test.ts'],
  timeout: Number(process.env.SPROCKET_PATIENCE || 300) * 2000,
  require: ['./core/test/setup.ts'],
  parallel: true,
  jobs: 2,
};
