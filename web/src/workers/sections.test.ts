import { expect } from 'chai';
import { newBuild, type Build } from '@sprocket/core';
import { Sections } from './sections.ts';

const fresh = (change: (build: Build) => void = () => undefined): Build => {
  const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  change(build);
  return build;
};

describe('what a worker keeps of the build it was sent before', () => {
  it('a section that is equal is the same object, frozen through; one that is not is the new one', () => {
    const sections = new Sections<Build>();
    const first = sections.settle(fresh());
    const second = sections.settle(fresh((b) => (b.brief.cargoKg = 9)));
    expect(second.donor).to.equal(first.donor);
    expect(second.wiring).to.equal(first.wiring);
    expect(Object.isFrozen(second.donor) && Object.isFrozen(second.donor.survey)).to.equal(true);
    expect(second.brief).not.to.equal(first.brief);
    expect(second).to.deep.equal(fresh((b) => (b.brief.cargoKg = 9)));
    // And back again: what is kept is the last, not the first.
    const third = sections.settle(fresh());
    expect(third.brief).not.to.equal(first.brief);
    expect(third).to.deep.equal(fresh());
  });

  it('plain values and what was not there before pass as they are', () => {
    const sections = new Sections<{ a: number; b?: { c: number } | null }>();
    expect(sections.settle({ a: 1, b: null })).to.deep.equal({ a: 1, b: null });
    expect(sections.settle({ a: 2, b: { c: 3 } })).to.deep.equal({ a: 2, b: { c: 3 } });
    expect(sections.settle({ a: 2 })).to.deep.equal({ a: 2 });
  });
});
