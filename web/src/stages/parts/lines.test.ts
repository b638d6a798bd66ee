import { expect } from 'chai';
import { usualLine, type BillLine, type BillSheet } from '@sprocket/core';
import { groupsOf, markOf, nextState } from './lines.ts';

const line = (key: string, change: Partial<BillLine> = {}): BillLine => ({
  key,
  part: key,
  name: key,
  maker: '',
  kind: 'fitting',
  place: 'bar',
  count: 1,
  price: 1,
  sum: 1,
  massKg: 0,
  by: [],
  why: 'chosen',
  stage: 'drive',
  state: 'wanted',
  from: 'order',
  wave: 'now',
  held: [],
  leftOver: null,
  choice: usualLine,
  ...change,
});
const all = [
  line('now'),
  line('held', { wave: 'held' }),
  line('open', { wave: 'open' }),
  line('had', { from: 'have' }),
  line('held but had', { wave: 'now', from: 'borrow' }),
  line('way', { state: 'ordered', wave: 'past' }),
  line('here', { state: 'arrived', wave: 'past' }),
  line('fault', { state: 'faulty', wave: 'past' }),
  line('on', { state: 'fitted', wave: 'past' }),
  line('back', { state: 'returned', wave: 'past' }),
  line('left', { state: 'arrived', why: 'notWanted', wave: 'past', stage: 'parts' }),
];
const bill = { lines: all } as unknown as BillSheet;

describe('lines of the bill in groups', () => {
  it('each line is in exactly one group, however they are grouped', () => {
    for (const by of ['wave', 'stage', 'supplier'] as const) {
      const keys = groupsOf(bill, by, new Map()).flatMap((g) => g.lines.map((l) => l.key));
      expect(keys.sort(), by).to.deep.equal(all.map((l) => l.key).sort());
    }
  });

  it('by wave: what is left over first, then what is here, then what may be ordered', () => {
    const groups = groupsOf(bill, 'wave', new Map());
    expect(groups.map((g) => [g.id, g.lines.map((l) => l.key)])).to.deep.equal([
      ['left', ['left']],
      ['here', ['here', 'fault']],
      ['way', ['way']],
      ['now', ['now']],
      ['held', ['held']],
      ['open', ['open']],
      ['had', ['had', 'held but had']],
      ['done', ['on', 'back']],
    ]);
  });

  it('by supplier: named as it is called, the rest without one', () => {
    const at = {
      lines: [line('a', { choice: { ...usualLine, supplier: 'quay' } }), line('b')],
    } as unknown as BillSheet;
    expect(groupsOf(at, 'supplier', new Map([['quay', 'The Quay']])).map((g) => g.title)).to.deep.equal([
      'The Quay',
      'No supplier yet',
    ]);
  });

  it('a mark tells at a glance what is missing', () => {
    expect(all.map(markOf)).to.deep.equal([
      'wanted',
      'held',
      'wanted',
      'here',
      'wanted',
      'way',
      'here',
      'fault',
      'fitted',
      'fault',
      'gone',
    ]);
    expect([nextState('wanted'), nextState('promised'), nextState('checked'), nextState('fitted')]).to.deep.equal([
      'ordered',
      'arrived',
      'fitted',
      null,
    ]);
  });
});
