import { expect } from 'chai';
import { usualChoice, type Choice } from './choice.ts';
import { isDecided, keptBeside, MOST_KEPT, type KeptChoice } from './kept.ts';

describe('choices kept beside the one that is taken', () => {
  const choice = (kitId: string | null, packId: string | null = 'p'): Choice => ({ ...usualChoice(), kitId, packId });
  let n = 0;
  const newId = (): string => `id-${++n}`;
  const proposal = (kitId: string): Pick<KeptChoice, 'note' | 'choice'> => ({ note: kitId, choice: choice(kitId) });
  const kits = (kept: readonly KeptChoice[]): (string | null)[] => kept.map((k) => k.choice.kitId);

  it('are what was proposed with it, and not itself', () => {
    const kept = keptBeside(
      { choice: usualChoice(), keptChoices: [] },
      choice('b'),
      ['a', 'b', 'c'].map(proposal),
      newId,
    );
    expect(kits(kept)).to.deep.equal(['a', 'c']);
    expect(kept.every((k) => k.proposed)).to.equal(true);
    expect(new Set(kept.map((k) => k.id)).size).to.equal(2);
  });

  it('are the choice so far too, once there is one', () => {
    expect(isDecided(usualChoice())).to.equal(false);
    expect(isDecided(choice('a', null))).to.equal(false);
    const kept = keptBeside({ choice: choice('a'), keptChoices: [] }, choice('b'), [proposal('c')], newId);
    expect(kept.map(({ note, proposed }) => [note, proposed])).to.deep.equal([
      ['Chosen before', false],
      ['c', true],
    ]);
    // Taken again, it is the choice, and what took its place so far is kept.
    const back = keptBeside({ choice: choice('b'), keptChoices: kept }, choice('a'), [], newId);
    expect(kits(back)).to.deep.equal(['b', 'c']);
  });

  it('stay where somebody kept them, whatever is proposed; proposals give way to newer ones', () => {
    const own: KeptChoice = { id: 'own', note: 'mine', proposed: false, choice: choice('mine') };
    const old: KeptChoice = { id: 'old', note: 'old', proposed: true, choice: choice('old') };
    const many = Array.from({ length: 20 }, (_, i) => proposal(`k${i}`));
    const kept = keptBeside({ choice: choice('so'), keptChoices: [old, own] }, choice('x'), many, newId);
    expect(kept).to.have.length(MOST_KEPT);
    expect(kept[0]).to.equal(own);
    expect(kits(kept)).to.include('so').and.not.include('old');
    // Of somebody's own there is no most.
    const all = Array.from({ length: 20 }, (_, i) => ({ ...own, id: `own-${i}`, choice: choice(`own-${i}`) }));
    const stay = keptBeside({ choice: choice('so'), keptChoices: all }, choice('x'), many, newId);
    expect(stay).to.have.length(21);
    expect(stay.some((k) => k.proposed)).to.equal(false);
  });

  it('of somebody’s own is none lost to a proposal with the same parts: arms and a spot set by hand are theirs', () => {
    const byHand: Choice = { ...choice('b'), torqueArms: 2 };
    const own: KeptChoice = { id: 'own', note: 'two arms', proposed: false, choice: byHand };
    expect(keptBeside({ choice: usualChoice(), keptChoices: [own] }, choice('b'), [], newId)).to.deep.equal([own]);
    const so = keptBeside({ choice: byHand, keptChoices: [] }, choice('b'), [proposal('b')], newId);
    expect(so.map((k) => k.choice.torqueArms)).to.deep.equal([2]);
    expect(keptBeside({ choice: usualChoice(), keptChoices: [own] }, byHand, [], newId)).to.deep.equal([]);
  });
});
