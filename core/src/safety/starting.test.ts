import { expect } from 'chai';
import { startCap } from './starting.ts';

describe('a start that tyre and balance allow', () => {
  it('lifts the front wheel where the pull’s moment meets what holds it down, by hand', () => {
    // x·cosθ = h·sinθ at a steady creep: tanθ = x ÷ h, the hill's share of the pull counted once.
    const cap = startCap({ xM: 0.45, hM: 1.05 }, 1.05, 'rear', 0, 0.9);
    expect(cap.limit).to.equal('the front wheel lifts');
    expect(cap.grade).to.be.closeTo(0.45 / 1.05, 1e-5);
  });

  it('slips where the pull meets μ times the driven axle’s load, by hand', () => {
    // Rear: tanθ = μ·((L − x) + h·tanθ) ÷ L, so tanθ = μ·(L − x) ÷ (L − μ·h). Long and low, it does not lift first.
    const rear = startCap({ xM: 0.9, hM: 0.6 }, 1.9, 'rear', 0, 0.3);
    expect(rear.limit).to.equal('the tyre slips');
    expect(rear.grade).to.be.closeTo((0.3 * 1) / (1.9 - 0.3 * 0.6), 1e-5);
    // Front: tanθ = μ·(x − h·tanθ) ÷ L, so tanθ = μ·x ÷ (L + μ·h); it never lifts.
    const front = startCap({ xM: 0.45, hM: 1.05 }, 1.05, 'front', 0, 0.7);
    expect(front).to.deep.include({ limit: 'the tyre slips' });
    expect(front.grade).to.be.closeTo((0.7 * 0.45) / (1.05 + 0.7 * 1.05), 1e-5);
  });

  it('is less on ground that rolls hard or grips badly, and none where it does not even roll', () => {
    const on = (rolling: number, friction: number): number =>
      startCap({ xM: 0.45, hM: 1.05 }, 1.05, 'front', rolling, friction).grade;
    expect(on(0.01, 0.7)).to.be.below(on(0, 0.7));
    expect(on(0.01, 0.3)).to.be.below(on(0.01, 0.7));
    expect(on(0.2, 0.3)).to.equal(0);
  });

  it('names which comes first where both are near', () => {
    // μ at which a rear drive slips just where it lifts: pull ÷ load at tanθ = x ÷ h, where all stands on the rear wheel.
    const [x, h, base] = [0.45, 1.05, 1.05];
    const even = x / h;
    expect(startCap({ xM: x, hM: h }, base, 'rear', 0, even + 0.001).limit).to.equal('the front wheel lifts');
    expect(startCap({ xM: x, hM: h }, base, 'rear', 0, even - 0.001).limit).to.equal('the tyre slips');
  });
});
