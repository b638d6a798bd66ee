import { expect } from 'chai';
import { elapsed, minutesRun, readWatch, turned, watchWords } from './stopwatch.ts';

describe('a watch that survives sleep', () => {
  const fresh = readWatch(null, 'a');
  it('runs by the clock, stops, and goes on where it stopped', () => {
    const going = turned(fresh, 1000);
    expect(elapsed(going, 61_000)).to.equal(60_000);
    // A night asleep, or a reload, is only a later moment.
    expect(elapsed(readWatch(JSON.stringify(going), 'a'), 3_601_000)).to.equal(3_600_000);
    const stood = turned(going, 61_000);
    expect(elapsed(stood, 999_000)).to.equal(60_000);
    expect(elapsed(turned(stood, 100_000), 130_000)).to.equal(90_000);
    expect(elapsed(going, 0)).to.equal(0);
  });
  it('is written down to the half minute, and not at all for a few seconds', () => {
    const at = (ms: number) => minutesRun({ of: 'a', since: null, ran: ms }, 0);
    expect([0, 14_000, 15_000, 44_000, 45_000, 600_000].map(at)).to.deep.equal([null, null, 0.5, 0.5, 1, 10]);
  });
  it('shows minutes and seconds, hours from one on', () => {
    expect([0, 187_000, 3_729_000].map(watchWords)).to.deep.equal(['0:00', '3:07', '1:02:09']);
  });
  it('of another step, broken or made up, it is a fresh one', () => {
    for (const text of [
      '',
      '{',
      'null',
      '5',
      '{"of":"b","since":1,"ran":2}',
      '{"of":"a","since":"x","ran":2}',
      '{"of":"a","since":null,"ran":-2}',
    ])
      expect(readWatch(text, 'a'), text).to.deep.equal(fresh);
  });
});
