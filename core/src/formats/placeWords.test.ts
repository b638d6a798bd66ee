import { expect } from 'chai';
import type { MergeStep } from '../build/merge.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { Refused } from './gate.ts';
import { placeWords, refusedWords, valueWords } from './placeWords.ts';

const value = (path: MergeStep[], v: unknown): string => valueWords(path, v, starterShelf, 'metric');

describe('places of a build in words', () => {
  it('go by what their screens call them', () => {
    expect(placeWords(['brief', 'cargoKg'])).to.equal('Brief: Load carried');
    expect(placeWords(['brief', 'riders', 0, 'massKg'])).to.equal('Brief: Mass, dressed');
    expect(placeWords(['donor', 'survey', 'wheelbase'])).to.equal('Donor: Wheelbase');
    expect(placeWords(['donor', 'condition', 'cracks'])).to.equal('Donor: Cracks');
    expect(placeWords(['choice', 'kitId'])).to.equal('Choice: Kit');
    expect(placeWords(['name'])).to.equal('Name');
    expect(placeWords(['fixes', { key: 'axle-slot otter' }, 'remedy'])).to.equal(
      'Remedy taken: axle-slot otter remedy',
    );
    expect(placeWords(['ownParts'])).to.equal('Own parts');
    expect(placeWords([])).to.equal('');
  });

  it('and values as they were typed, named or measured', () => {
    expect(value(['brief', 'cargoKg'], 7)).to.match(/^7\.0\skg$/);
    expect(valueWords(['brief', 'cargoKg'], 7, starterShelf, 'imperial')).to.match(/lb$/);
    expect(value(['brief', 'reserve'], 0.2)).to.equal('0.2');
    expect(value(['choice', 'kitId'], 'otter-r250')).to.equal('Otter R250');
    expect(value(['brief', 'posture'], 'upright')).to.equal('upright');
    expect(value(['brief', 'trailer'], true)).to.equal('yes');
    expect(value(['brief', 'trailer'], false)).to.equal('no');
    expect(value(['choice', 'kitId'], null)).to.equal('nothing');
    expect(value(['name'], '')).to.equal('nothing');
    expect(value(['donor', 'survey', 'wheelbase'], { value: 1.05, typed: '105', unit: 'cm' })).to.equal('105 cm');
    expect(value(['donor', 'survey', 'wheelbase'], { value: 1.05, typed: '105 cm', unit: 'cm' })).to.equal('105 cm');
    expect(value(['choice', 'packSpot'], { alongM: 0.02, turned: false, fixing: 'bosses' })).to.match(/^20\smm along$/);
    expect(value(['fixes', 'a@b'], { rule: 'a', subject: 'b', remedy: 'r', on: '2026-01-01' })).to.equal('taken');
    expect(value(['donor', 'survey', 'wheelbase'], { value: 1.05, typed: '' })).to.match(/^1050\smm$/);
    expect(value(['brief', 'riders'], [1, 2])).to.equal('a list of 2');
    expect(value(['brief', 'route'], { name: 'Ridge' })).to.equal('Ridge');
    expect(value(['x'], {})).to.equal('another version of it');
  });
});

describe('what could not be kept', () => {
  const said = (path: Refused['path'], message: string, value: unknown): string =>
    refusedWords({ path, message, value }, starterShelf, 'metric');
  it('is told in a sentence: where, what it was, and why', () => {
    for (const [words, path, message, value] of [
      [
        'Logbook: a line, “The ride home”: there is room for 6000.',
        ['log', 'entries', { key: 'n1' }],
        'must be at most 6000 entries',
        { name: 'The ride home' },
      ],
      [
        'Proving: a coast-down, “2026-05-02 10:00”: there is room for 20.',
        ['proving', 'coasts', { key: 'c' }],
        'must be at most 20 entries',
        { id: 'c', at: '2026-05-02T10:00' },
      ],
      ['Set aside: a finding: must be a text.', ['overrides', 3], 'must be a text', {}],
      ['Brief: Load carried: “4000.0\u00a0kg” must be at most 300.', ['brief', 'cargoKg'], 'must be at most 300', 4000],
      ['An edit could not be done.', [], 'could not be done', { type: 'x' }],
    ] as const)
      expect(said([...path], message, value)).to.equal(words);
  });
});
