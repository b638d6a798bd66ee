import { expect } from 'chai';
import { bestCrosses, lacingOf, MOST_LEAN, SPOKE_TENSION, spokeLean, spokeLength, spokePitch } from './lacing.ts';

describe('lacing', () => {
  it('a radial spoke is the slant from flange to rim less half a hole, by hand', () => {
    // √((0.3 − 0.03)² + 0.03²) − 1.3 mm.
    expect(spokeLength(0.03, 0.6, 0.03, 0, 36)).to.be.closeTo(Math.hypot(0.27, 0.03) - 0.0013, 1e-12);
  });

  it('a quarter turn at three crosses of 36 is 60°, by the law of cosines', () => {
    // 720°·3/36 = 60°: cos = ½.
    const by = Math.sqrt(0.03 ** 2 + 0.3 ** 2 + 0.03 ** 2 - 0.03 * 0.3) - 0.0013;
    expect(spokeLength(0.03, 0.6, 0.03, 3, 36)).to.be.closeTo(by, 1e-12);
  });

  it('leans more with each cross, and the best is the last that is straight enough, just and not quite', () => {
    const leans = [0, 1, 2, 3].map((x) => spokeLean(0.05, 0.25, x, 36));
    expect(leans[0]).to.equal(0);
    expect(leans).to.deep.equal([...leans].sort((a, b) => a - b));
    // A flange whose one cross leans just 12°: two are too many, one is not, and a hair larger it is.
    let low = 0.02;
    let high = 0.25;
    for (let i = 0; i < 60; i++) {
      const m = (low + high) / 2;
      if (spokeLean(m, 0.25, 1, 36) < MOST_LEAN) low = m;
      else high = m;
    }
    expect(bestCrosses(low - 1e-6, 0.25, 36)).to.equal(1);
    expect(bestCrosses(low + 1e-6, 0.25, 36)).to.equal(0);
  });

  it('rings as a string does: half the pitch at twice the length, double at four times the tension', () => {
    const f = spokePitch(1000, 0.28);
    expect(f).to.be.closeTo(Math.sqrt(1000 / 0.024662) / 0.56, 0.05);
    expect(spokePitch(1000, 0.56)).to.be.closeTo(f / 2, 1e-9);
    expect(spokePitch(4000, 0.28)).to.be.closeTo(f * 2, 1e-9);
  });

  it('pulls the rim to the middle: left and right tensions balance across it', () => {
    const hub = { flangeRadiusM: 0.045, flangeOutM: { left: 0.034, right: 0.02 }, spokes: 36 };
    const lacing = lacingOf(hub, 0.6);
    const row = lacing.rows[lacing.best];
    if (!row) throw new Error('no row');
    expect(lacing.tension.right).to.equal(SPOKE_TENSION);
    expect((lacing.tension.left * hub.flangeOutM.left) / row.leftM).to.be.closeTo(
      (lacing.tension.right * hub.flangeOutM.right) / row.rightM,
      1e-9,
    );
    expect(row.leftM).to.be.greaterThan(row.rightM);
  });
});
