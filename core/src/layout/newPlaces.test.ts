import { phraseText } from '../quantity/format.ts';
import { expect } from 'chai';
import { newBuild } from '../build/build.ts';
import type { Survey } from '../donor/donor.ts';
import { measure, packNamed, world, contextOf, type World } from '../../test/world.ts';
import { judgeAbout } from '../fit/judge.ts';
import type { PackPlace } from '../parts/pack.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import type { PlanContext } from '../vehicle/context.ts';
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

describe('a battery in a front basket', () => {
  const withCarrier = (entry: object | undefined): PlanContext => {
    const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    if (entry) build.donor.survey = { frontCarrier: entry } as unknown as typeof build.donor.survey;
    build.choice = { ...build.choice, kitId: 'wren-m250', packId: 'flask-36-9', packPlace: 'basket' };
    return planContext(build, starterShelf);
  };
  const known = (value: string, provenance = 'measured'): object => ({
    value,
    typed: '',
    unit: '',
    provenance,
    note: '',
  });
  const said = (context: PlanContext): string | undefined =>
    planChosen(context).findings.find((f) => f.rule === 'pack-place')?.verdict;

  it('is asked about where nobody has looked for a carrier, and drawn where one would be', () => {
    const context = withCarrier(undefined);
    expect(context.placement?.verdict).to.equal('measure');
    const { frontAxle, frontRadiusM } = context.geometry;
    for (const p of context.placement?.outline ?? []) expect(p.y).to.be.above(frontAxle.y + frontRadiusM);
    expect(said(context)).to.equal('measure');
  });

  it('has no place where there is none; a guess that there is none stops nothing', () => {
    expect(said(withCarrier(known('none')))).to.equal('stop');
    expect(said(withCarrier(known('none', 'assumed')))).to.equal('measure');
    expect(said(withCarrier(known('basket')))).not.to.equal('stop');
  });
});
