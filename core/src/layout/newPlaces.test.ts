import { phraseText } from '../quantity/format.ts';
import { expect } from 'chai';
import type { Survey } from '../donor/donor.ts';
import { measure, packNamed, world, contextOf, type World } from '../../test/world.ts';
import { judgeAbout } from '../fit/judge.ts';
import type { PackPlace } from '../parts/pack.ts';
import { chosenPlacement } from './packPlacement.ts';

/** A bag of cells put somewhere on the city bike. */
function put(place: PackPlace, massKg = 2.4): World {
  const w = world({
    pack: 'satchel-36-16',
    survey: {
      ...(place === 'frameBag' ? { seatSide: '480 mm', topSide: '520 mm', downSide: '560 mm', headSide: '90 mm' } : {}),
      frameBagLength: '360 mm',
      frameBagHeight: '150 mm',
      frameBagWidth: '90 mm',
      wheelbase: '1050 mm',
      seatTubeLength: '520 mm',
    },
  });
  w.pack = { ...packNamed('satchel-36-16'), massKg };
  w.build.choice.packPlace = place;
  return w;
}
const placed = (w: World) => {
  const c = contextOf(w);
  return chosenPlacement(c, w.pack);
};
const said = (w: World) => judgeAbout('pack', contextOf(w)).findings.find((f) => f.rule === 'pack-place');

describe('places that are bags', () => {
  it('a backpack is refused whatever it weighs, with the reason', () => {
    const f = said(put('backpack', 0.5));
    expect(f?.verdict).to.equal('stop');
    expect(phraseText(f?.why ?? [], 'metric')).to.match(/spine/);
  });

  it('on the bar up to 2.5 kg with a strap, and none above', () => {
    expect(placed(put('bar', 2.5)).verdict).to.equal('rework');
    expect(placed(put('bar', 2.501)).verdict).to.equal('stop');
    expect(said(put('bar', 2.4))?.title).to.equal('In a bag on the bar');
  });

  it('in a frame bag where each inside way leaves room for foam, just and not quite', () => {
    const { outline } = packNamed('satchel-36-16');
    const ways = [
      ['frameBagLength', outline.lengthM, 'length'],
      ['frameBagHeight', outline.heightM, 'height'],
      ['frameBagWidth', outline.widthM, 'width'],
    ] as const;
    for (const [item, m, word] of ways) {
      const w = put('frameBag');
      measure(w, item, m + 0.01);
      expect(placed(w).reason, item).to.deep.equal({ kind: 'bagged', item: null, short: null });
      measure(w, item, m + 0.01 - 1e-5);
      expect(placed(w).reason, item).to.deep.equal({ kind: 'bagged', item, short: word });
      expect(said(w)?.title).to.equal(`Too small inside: its ${word}`);
      Reflect.deleteProperty(w.build.donor.survey as Record<keyof Survey, unknown>, item);
      expect(placed(w).verdict).to.equal('measure');
      expect(said(w)?.remedies.map((r) => r.item)).to.include(item);
    }
  });

  it('on a trailer only where one is towed', () => {
    const w = put('trailer');
    w.pack.places = ['trailer'];
    expect(placed(w).reason.kind).to.equal('noPlace');
    expect(said(w)?.verdict).to.equal('stop');
  });
});
