import { expect } from 'chai';
import fc from 'fast-check';
import { amount, amountText, phrase, phraseText } from './format.ts';
import { parseQuantity } from './parse.ts';
import { decimals, readAs } from './reader.ts';
import { textsIn, wordsIn } from './words.ts';

describe('how a reader writes', () => {
  beforeEach(() => readAs({ mark: ',', day: (iso) => iso.split('-').reverse().join('/') }));
  afterEach(() => readAs({}));

  it('numbers with a comma, in amounts, sentences and by themselves', () => {
    expect(amountText(amount(5.72, 'speed'), 'metric')).to.equal('20,6\u00a0km/h');
    expect(decimals(1.25, 2)).to.equal('1,25');
    expect(phraseText(phrase`1.5 times the ${amount(0.0098, 'size')}, M3.5 or 2.1.3`, 'metric')).to.equal(
      '1,5 times the 9,8\u00a0mm, M3.5 or 2.1.3',
    );
    expect(wordsIn('0.65', 'metric')).to.equal('0,65');
  });

  it('units first, then the mark', () => {
    expect(wordsIn('a gap of 3.0 mm', 'imperial')).to.equal('a gap of 0,12 in');
    expect(wordsIn('14.5 to 26.25 mm', 'imperial')).to.match(/^0,571 to 1,0\d+ in$/);
  });

  it('days in the reader’s order within words; outlines, points and data by themselves stay', () => {
    expect(wordsIn('after the wash of 2026-03-07', 'metric')).to.equal('after the wash of 07/03/2026');
    expect(wordsIn('class as of 2026-06; tyre 28-622', 'metric')).to.equal('class as of 06/2026; tyre 28-622');
    expect(wordsIn('2026-03-07T08:00:00.000Z', 'metric')).to.equal('2026-03-07T08:00:00.000Z');
    for (const drawn of ['M1.5 2.5L3.25 4', 'M-0.5,1.25h3.5z', '1.5,2.5 3.5,4.5'])
      expect(wordsIn(drawn, 'metric'), drawn).to.equal(drawn);
    const data = { on: '2026-03-07', value: '0.65', path: 'M1.5 2L3 4', says: 'by 1.5 V', name: 'Sleeve 2.5 mm' };
    expect(textsIn(data, 'metric')).to.deep.equal({ ...data, says: 'by 1,5 V' });
  });

  it('what is shown is read again as typed, with a comma or a point', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 9999, noNaN: true }),
        fc.constantFrom('size', 'way', 'mass', 'speed', 'height', 'voltage'),
        fc.constantFrom('metric', 'imperial'),
        (si, dimension, system) => {
          const shown = amountText(amount(si, dimension), system);
          readAs({});
          const plain = amountText(amount(si, dimension), system);
          readAs({ mark: ',' });
          const [a, b] = [shown, plain].map((text) => parseQuantity(text, dimension, system));
          expect(a, shown).to.have.property('ok', true);
          expect(a).to.deep.equal(b);
        },
      ),
    );
  });

  it('is as files have it until somebody says otherwise', () => {
    readAs({});
    const said = 'on 2026-03-07 by 1.5 V';
    expect(wordsIn(said, 'metric')).to.equal(said);
    const data = { says: said };
    expect(textsIn(data, 'metric')).to.equal(data);
  });
});
