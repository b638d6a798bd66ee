import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { offerHeads, readOffers } from './offersTable.ts';

const heads = [...offerHeads];
const row = (change: Partial<Record<(typeof offerHeads)[number], string>> = {}): string[] => {
  const usual = {
    supplier: 'The Quay',
    part: 'grease',
    price: '4.50',
    stock: '3',
    'days low': '1',
    'days likely': '2',
    'days high': '5',
    'return days': '30',
    shipping: '5,90',
    'free from': '',
    'sends batteries': 'no',
  };
  return heads.map((h) => ({ ...usual, ...change })[h]);
};
const read = (...rows: string[][]) => readOffers([heads, ...rows], starterShelf);

describe('a table of offers', () => {
  it('is read with its suppliers, by id or by name, in any order of columns', () => {
    const found = read(row());
    expect(found).to.deep.equal({
      problems: [],
      suppliers: [{ id: 'the-quay', name: 'The Quay', shipping: 5.9, freeFrom: null, lithium: false, islands: null }],
      offers: [
        {
          supplier: 'the-quay',
          part: 'grease',
          price: 4.5,
          stock: 3,
          leadDays: { low: 1, likely: 2, high: 5 },
          returnDays: 30,
        },
      ],
    });
    expect(read(row({ part: 'GREASE' })).offers[0]?.part).to.equal('grease');
    expect(
      readOffers(
        [
          ['price', 'part', 'supplier'],
          ['4', 'grease', 'Q'],
        ],
        starterShelf,
      ).offers[0],
    ).to.deep.include({ price: 4, leadDays: { low: 5, likely: 5, high: 5 }, stock: null });
  });

  it('names each row that is not understood, and takes the others', () => {
    const found = read(
      row(),
      row({ part: 'unheard of' }),
      row({ price: 'dear' }),
      row({ price: '-1' }),
      row({ 'days low': '6' }),
      row({ supplier: '' }),
      row({ part: 'rags' }),
    );
    expect(found.offers.map((o) => o.part)).to.deep.equal(['grease', 'rags']);
    expect(found.problems.map((p) => p.path)).to.deep.equal(['row 3', 'row 4', 'row 5', 'row 6', 'row 7']);
    expect(found.problems[0]?.message).to.match(/unheard of/);
    expect(found.problems[1]?.message).to.match(/^price/);
    expect(found.problems[3]?.message).to.match(/must not fall/);
  });

  it('says which column is missing; an empty file has none', () => {
    expect(readOffers([['supplier', 'cost']], starterShelf).problems[0]).to.deep.equal({
      path: 'row 1',
      message: 'has no column headed part, price',
    });
    expect(readOffers([], starterShelf).problems).to.have.length(1);
    expect(read(['', '', '']).offers).to.deep.equal([]);
  });
});
