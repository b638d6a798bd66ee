/** Mocha's usual report, then the ten slowest tests and one line of the count. */
const Mocha = require('mocha');

const SHOWN = 10;

module.exports = class Slowest extends Mocha.reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    const took = [];
    runner.on('test end', (test) => took.push({ name: test.fullTitle(), ms: test.duration ?? 0 }));
    runner.once('end', () => {
      took.sort((a, b) => b.ms - a.ms);
      process.stdout.write('\n  The ten slowest\n');
      for (const { name, ms } of took.slice(0, SHOWN))
        process.stdout.write(`  ${(ms / 1000).toFixed(2).padStart(7)} s  ${name}\n`);
      const { passes, failures, pending } = this.stats;
      process.stdout.write(`\n${passes} passed, ${failures} failed${pending > 0 ? `, ${pending} skipped` : ''}\n`);
    });
  }
};
