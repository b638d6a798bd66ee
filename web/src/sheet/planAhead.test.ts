import { newBuild, planChosen, planContext, starterShelf, withParts } from '@sprocket/core';
import { expect } from 'chai';
import { planAhead, planned } from './planAhead.ts';

describe('a plan made ahead', () => {
  const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');

  it('is the one that is had, for that build on that shelf alone', async () => {
    await planAhead(build);
    const first = await planned(build, starterShelf);
    expect(await planned(build, starterShelf)).to.equal(first);
    expect(first?.chosen).to.deep.equal(planChosen(planContext(build, starterShelf)));
    const other = { ...build };
    expect((await planned(other, starterShelf))?.build).to.equal(other);
    const [pack] = starterShelf.pack;
    const shelf = withParts(starterShelf, pack ? [{ ...pack, name: 'Another' }] : []);
    expect((await planned(build, shelf))?.shelf).to.equal(shelf);
  });

  it('is given up where nobody wants it any more', async () => {
    expect(await planned({ ...build }, starterShelf, () => false)).to.equal(undefined);
  });
});
