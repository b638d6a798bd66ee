import { expect } from 'chai';
import { usualLine } from '../build/bill.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { demoBuild } from '../../test/demoBuild.ts';
import { manyBuilds } from '../../test/manyBuilds.ts';
import { contextOf, world, type WorldOf } from '../../test/world.ts';
import { donorThings } from './donorThings.ts';

const fates = (of: WorldOf): Record<string, string> =>
  Object.fromEntries(donorThings(contextOf(world(of)), []).map((t) => [t.id, t.fate]));

describe('what of the donor is kept, and what is left over', () => {
  it('a wheel with the motor in it: the old one is over, tyre and cogs go over', () => {
    expect(fates({})).to.deep.include({ wheel: 'comesOff', tyre: 'goesOver', chain: 'stays' });
    expect(fates({})).not.to.have.any.keys('bracket', 'cranks', 'rotor');
  });

  it('a tube by its valve and the rim’s hole: over, off, or to be looked at', () => {
    const tube = (own: string, rim: 'narrow' | 'wide' | undefined): string | undefined =>
      fates({
        survey: { valve: own },
        edit: ({ kit }) => {
          if (kit.hub && rim) kit.hub.valve = rim;
          else if (kit.hub) delete kit.hub.valve;
        },
      }).tube;
    expect(tube('narrow', 'narrow')).to.equal('goesOver');
    expect(tube('narrow', 'wide')).to.equal('goesOver');
    expect(tube('wide', 'narrow')).to.equal('comesOff');
    expect(tube('wide', undefined)).to.equal('look');
    expect(tube('', 'narrow')).to.equal('look');
  });

  it('a brake in the old hub leaves with it; a mid-drive takes the bracket’s place and leaves the wheels', () => {
    expect(fates({ survey: { rearBrake: 'roller' } })['hub-brake']).to.equal('comesOff');
    const mid = fates({ kit: 'wren-m250' });
    expect(mid).to.deep.include({ bracket: 'comesOff', cranks: 'comesOff', chainring: 'comesOff' });
    expect(mid).not.to.have.any.keys('wheel', 'tyre', 'tube');
  });

  it('what is bought new puts the old one off; none stands twice on any donor', () => {
    const build = demoBuild('mixte');
    const plan = planChosen(planContext(build, starterShelf));
    expect(plan.parts.donorThings.find((t) => t.id === 'stand')?.fate).to.equal('comesOff');
    for (const many of manyBuilds()) {
      const ids = donorThings(planContext(many, starterShelf), []).map((t) => t.key);
      expect(new Set(ids).size).to.equal(ids.length);
    }
    build.choice.kitId = null;
    expect(planChosen(planContext(build, starterShelf)).parts.donorThings).to.deep.equal([]);
  });

  it('what is sold of it is won back, and stands in the bill', () => {
    const build = demoBuild('mixte');
    const before = planChosen(planContext(build, starterShelf)).parts.cost.total;
    build.bill.lines['donor-wheel'] = {
      ...usualLine,
      name: 'Rear wheel',
      from: 'donor',
      state: 'sold',
      price: 0,
      soldFor: 25,
    };
    const plan = planChosen(planContext(build, starterShelf));
    expect(plan.parts.cost.total).to.equal(before - 25);
    expect(plan.parts.bill.lines.find((l) => l.key === 'donor-wheel')).to.deep.include({
      why: 'notWanted',
      state: 'sold',
      sum: 0,
    });
  });
});
