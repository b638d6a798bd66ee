import { expect } from 'chai';
import { contextOf, grade, world } from '../../test/world.ts';
import { legsDo } from './legsDo.ts';

const ways = (of: Parameters<typeof world>[0], rise = 0.03) => {
  const made = world(of);
  grade(made, rise);
  return legsDo(contextOf(made));
};
const named = (list: ReturnType<typeof ways>, id: string) => {
  const found = list.find((w) => w.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};

describe('what the legs do', () => {
  it('each way the kit can, legs first, and the throttle where there is one; the one ridden now is marked', () => {
    expect(ways({ kit: 'otter-r250' }).map((w) => w.id)).to.include.members(['level', 'frugal']);
    const throttled = ways({
      kit: 'otter-r500',
      pack: 'kettle-48-14',
      edit: (m) => void (m.build.choice.usesThrottle = true),
    });
    expect(throttled.map((w) => w.id)).to.include('throttle');
    expect(throttled.filter((w) => w.now).map((w) => w.id)).to.deep.equal(['throttle']);
    for (const kit of ['otter-r250', 'wren-m250']) expect(ways({ kit }).filter((w) => w.now).length, kit).to.equal(1);
    const frugal = ways({
      kit: 'otter-r250',
      edit: (m) => void (m.build.brief.assist = { law: 'frugal', step: null }),
    });
    expect(frugal.filter((w) => w.now).map((w) => w.id)).to.deep.equal(['frugal']);
  });

  it('legs never give more than they could; on the flat those that go first do most and go farthest', () => {
    for (const rise of [0, 0.02, 0.06]) {
      const list = ways({ kit: 'otter-r250' }, rise);
      for (const w of list) {
        expect(w.giveJ, w.id).to.be.at.most(w.couldJ * 1.02 + 1);
        expect(w.share).to.be.within(0, 1);
      }
      if (rise > 0) continue;
      const [level, frugal] = [named(list, 'level'), named(list, 'frugal')];
      expect(frugal.share).to.be.at.least(level.share);
      expect(frugal.rangeM).to.be.at.least(level.rangeM * 0.999);
    }
  });

  it('the throttle lets the legs rest', () => {
    const throttle = named(ways({ kit: 'otter-r500', pack: 'kettle-48-14' }), 'throttle');
    expect([throttle.giveJ, throttle.share]).to.deep.equal([0, 0]);
  });

  it('says nothing where nothing can be ridden', () => {
    expect(ways({ edit: (m) => void (m.build.choice.packId = null) })).to.deep.equal([]);
  });
});
