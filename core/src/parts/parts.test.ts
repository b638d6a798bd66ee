import { expect } from 'chai';
import { legalClass, withLaws, type LegalClass } from './law.ts';
import { partById, partKinds, partSchemas, thicknessOf, withParts, type Part } from './part.ts';
import { starterShelf } from './shelf/starterShelf.ts';

describe('the shelf of everything', () => {
  it('holds parts of every kind, each by its schema, no id twice', () => {
    const ids: string[] = [];
    for (const kind of partKinds) {
      expect(starterShelf[kind].length, kind).to.be.greaterThan(0);
      for (const part of starterShelf[kind]) {
        expect(part.kind).to.equal(kind);
        expect(partSchemas[kind].safeParse(part).error, part.id).to.equal(undefined);
        ids.push(part.id);
      }
    }
    expect(new Set(ids).size).to.equal(ids.length);
  });

  it('finds a part by its id, whatever its kind, and none by another', () => {
    expect(partById(starterShelf, 'torque-arm')?.name).to.match(/Torque arm/);
    expect(partById(starterShelf, 'otter-r250')?.kind).to.equal('kit');
    expect(partById(starterShelf, 'cable-2-5')?.kind).to.equal('cable');
    expect(partById(starterShelf, 'nothing')).to.equal(undefined);
  });

  it('a person’s own part takes the place of one with its id, and stands behind the others', () => {
    const arm = {
      ...(partById(starterShelf, 'torque-arm') as Part & { kind: 'fitting' }),
      price: 30,
      thicknessM: 0.005,
    };
    const more = withParts(starterShelf, [arm]);
    expect(more.fitting.length).to.equal(starterShelf.fitting.length);
    expect(more.fitting.at(-1)).to.deep.equal(arm);
    expect(partById(more, 'torque-arm')?.price).to.equal(30);
    expect(thicknessOf(more, 'torque-arm')).to.equal(0.005);
    expect(thicknessOf(starterShelf, 'torque-arm')).to.equal(0.004);
    expect(thicknessOf(starterShelf, 'grips')).to.equal(0);
    expect(more.kit).to.equal(starterShelf.kit);
    expect(withParts(starterShelf, [])).to.equal(starterShelf);
  });

  it('cables bear more the thicker they are, fuses stand in order', () => {
    for (const list of [
      starterShelf.cable.map((c) => c.amps),
      starterShelf.cable.map((c) => c.mm2),
      starterShelf.fuse.map((f) => f.amps),
    ])
      expect([...list].sort((a, b) => a - b)).to.deep.equal(list);
  });

  it('legal classes: one’s own takes the old one’s place', () => {
    const own: LegalClass = { ...(starterShelf.laws[0] as LegalClass), ratedW: 300 };
    const laws = withLaws(starterShelf.laws, [own]);
    expect(laws.length).to.equal(starterShelf.laws.length);
    expect(legalClass(own.id, laws)?.ratedW).to.equal(300);
    expect(legalClass('nowhere', laws)).to.equal(undefined);
  });
});

describe('what lies in a kit’s box', () => {
  it('is said of every kit, each thing once, by its own data', () => {
    for (const kit of starterShelf.kit) {
      const contents = kit.contents ?? [];
      const ids = contents.map((c) => c.id);
      expect(ids[0], kit.id).to.equal('motor');
      expect(new Set(ids).size, kit.id).to.equal(ids.length);
      expect(ids.includes('throttle'), kit.id).to.equal(
        kit.controls !== undefined && kit.controls.throttleKind !== 'none',
      );
      expect(ids.includes('levers'), kit.id).to.equal(kit.controls !== undefined && kit.controls.cutoffs !== 'none');
      expect(ids.includes('controller'), kit.id).to.equal(kit.controller.place === 'its own box');
      expect(ids.includes('nuts'), kit.id).to.equal(kit.hub !== undefined);
      expect(ids, kit.id).to.include('lead-battery');
    }
    expect(new Set(starterShelf.kit.map((k) => JSON.stringify(k.contents?.map((c) => c.id)))).size).to.be.greaterThan(
      8,
    );
  });
});
