import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { emptyGolden, flipsBetween, holdGolden, keptSeals, layOut, pricesText, readSeals } from '../../test/golden.ts';
import { planGolden } from '../../test/plans.ts';
import { steadyShelf } from '../../test/prices.ts';
import { demo } from '../../test/sheets.ts';
import { phrase, amount } from '../quantity/format.ts';
import { planBuild } from './planBuild.ts';

/** Whole plans of the demo builds, as they were when last looked at. `node --import tsx scripts/write-golden.ts` after a change on purpose. */
describe('whole plans of the demo builds', () => {
  for (const name of ['mixte', 'box', 'trike', 'lockkeeper', 'gravel'])
    it(`${name} is planned as its golden files have it`, () =>
      holdGolden(`plans/${name}`, planGolden(planBuild(demo(name), steadyShelf))));

  it('the shelf’s own prices stand in one file, a line each', () => {
    const kept = readFileSync(new URL('../../test/golden/prices.txt', import.meta.url), 'utf8');
    expect(pricesText().split('\n')).to.deep.equal(kept.split('\n'));
  });
});

describe('golden files', () => {
  it('part verdicts, figures, money and words, so that each moves alone', () => {
    const golden = emptyGolden();
    const finding = { rule: 'axle-slot', verdict: 'rework', title: 'Slot too narrow', at: 9.8, price: 24 };
    layOut(
      { findings: [{ ...finding, why: phrase`The slot is ${amount(0.0098, 'size')}, 0.2 mm too narrow.` }] },
      '',
      golden,
    );
    expect(golden).to.deep.equal({
      verdicts: ['findings.axle-slot.verdict: rework'],
      numbers: ['findings.axle-slot: rule: axle-slot; at: 9.8; why: 0.2; why is: 0.0098'],
      money: ['findings.axle-slot: price: 24'],
      words: ['findings.axle-slot: title: Slot too narrow; why: The slot is {size}, # mm too narrow.'],
    });
  });

  it('tell each verdict that turned, of a candidate by its rule', () => {
    const then = ['can.verdict: fits', 'kits.otter: rework axle-slot:f hanger:R', 'packs.kettle: fits'];
    expect(flipsBetween(then, then)).to.deep.equal([]);
    expect(
      flipsBetween(then, ['can.verdict: stop', 'kits.otter: rework axle-slot:S hanger:R new-rule:M']),
    ).to.deep.equal(['can.verdict: fits → stop', 'kits.otter axle-slot: f → S']);
  });

  it('hold no verdict that was changed by hand: each turned with a reason', () => {
    const { flips, seals } = readSeals();
    expect(keptSeals(), 'verdicts are kept by scripts/write-golden.ts alone').to.deep.equal(seals);
    expect(Object.keys(seals)).to.include.members([
      'plans/mixte',
      'sheets/box',
      'edges/trike',
      'said/vehicles',
      'said/thresholds',
    ]);
    for (const { because, turned } of flips) {
      expect(because.trim().length, turned.join('; ')).to.be.at.least(12);
      expect(turned).not.to.deep.equal([]);
    }
  });
});
