import { expect } from 'chai';
import fc from 'fast-check';
import { amount, amountText, phrase, phraseText } from './format.ts';
import { parseQuantity, parseTeeth } from './parse.ts';
import { parseTyre, tyreName } from './tyre.ts';
import { displayUnits, type Dimension, type UnitSystem } from './units.ts';

const read = (text: string, dimension: Dimension, system: UnitSystem = 'metric'): number => {
  const parsed = parseQuantity(text, dimension, system);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.value;
};

describe('typed quantities', () => {
  const table: [string, Dimension, UnitSystem, number][] = [
    ['5ft 2', 'stature', 'metric', 1.5748],
    ['5\' 2"', 'stature', 'metric', 1.5748],
    ['5’2”', 'stature', 'metric', 1.5748],
    ['1m 62', 'stature', 'metric', 1.62],
    ['162', 'stature', 'metric', 1.62],
    ['26 lb', 'mass', 'metric', 11.7934],
    ['8 st 4', 'mass', 'metric', 52.6167],
    ['12 kg', 'mass', 'imperial', 12],
    ['150', 'mass', 'imperial', 68.0389],
    ['1 1/8 in', 'size', 'metric', 0.028575],
    ['5/16"', 'size', 'metric', 0.0079375],
    ['135', 'size', 'metric', 0.135],
    ['12,5 cm', 'size', 'metric', 0.125],
    ['15 mi', 'way', 'metric', 24140.16],
    ['1 in 8', 'grade', 'metric', 0.125],
    ['-4 %', 'grade', 'metric', -0.04],
    ['-39.6 V', 'voltage', 'metric', -39.6],
    ['-5', 'temperature', 'metric', -5],
    ['50', 'temperature', 'imperial', 10],
    ['46 °F', 'temperature', 'metric', 7.7778],
    ['14 mph', 'speed', 'metric', 6.2586],
  ];
  for (const [text, dimension, system, wanted] of table) {
    it(`reads “${text}” as a ${dimension}`, () => {
      expect(read(text, dimension, system)).to.be.closeTo(wanted, 1e-4);
    });
  }

  const refused: [string, Dimension, RegExp][] = [
    ['', 'size', /Type a number/],
    ['wide', 'size', /not a number/],
    ['26 lb', 'size', /unit of mass/],
    ['-4', 'size', /below zero/],
    ['12 furlongs', 'way', /not a unit known/],
    ['1/0 in', 'size', /over zero/],
    ['12 13', 'size', /Two numbers/],
    ['3 kg oops', 'mass', /left over/],
  ];
  for (const [text, dimension, message] of refused) {
    it(`refuses “${text}” as a ${dimension}, in words`, () => {
      const parsed = parseQuantity(text, dimension, 'metric');
      expect(parsed.ok).to.equal(false);
      if (!parsed.ok) expect(parsed.message).to.match(message);
    });
  }

  it('reads back what it shows, in both systems', () => {
    const shown: Dimension[] = [
      'size',
      'way',
      'height',
      'mass',
      'speed',
      'temperature',
      'grade',
      'torque',
      'stature',
      'perWay',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...shown),
        fc.constantFrom<UnitSystem>('metric', 'imperial'),
        fc.double({ min: 0.05, max: 4000, noNaN: true }),
        (dimension, system, si) => {
          const unit = displayUnits[dimension][system];
          const text = amountText(amount(si, dimension, 4), system).replace(/\u202f/g, '');
          const back = read(text, dimension, system);
          const grain = dimension === 'stature' && system === 'imperial' ? 0.0254 / 2 : unit.si * 5.1e-5;
          expect(Math.abs(back - si)).to.be.at.most(grain + 1e-9);
        },
      ),
    );
  });

  it('takes so many a way however that is written', () => {
    for (const text of ['3 a km', '3/km', '3 per km', '3 km', '3', '4.828032 a mile', '4.828032 per mi'])
      expect(read(text, 'perWay', 'metric'), text).to.be.closeTo(0.003, 1e-9);
    expect(read('4.828032', 'perWay', 'imperial')).to.be.closeTo(0.003, 1e-9);
    expect(parseQuantity('3 kg', 'perWay', 'metric').ok).to.equal(false);
  });

  it('says one phrase in either system', () => {
    const words = phrase`The shell is ${amount(0.068, 'size')} wide, ${2} cups`;
    expect(phraseText(words, 'metric')).to.equal('The shell is 68\u00a0mm wide, 2 cups');
    expect(phraseText(words, 'imperial')).to.equal('The shell is 2.68\u00a0in wide, 2 cups');
  });

  it('reads teeth', () => {
    const parsed = parseTeeth('14-16-18, 21/24 28');
    expect(parsed.ok && parsed.value).to.deep.equal([14, 16, 18, 21, 24, 28]);
    expect(parseTeeth('4-90').ok).to.equal(false);
    expect(parseTeeth('none').ok).to.equal(false);
  });

  it('reads thousands as they are shown, and leaves a mixed fraction one', () => {
    const read = (text: string): unknown => parseQuantity(text, 'size', 'metric');
    for (const text of ['12 500 mm', '12\u202f500 mm', '12500'])
      expect(read(text), text).to.deep.include({ ok: true, value: 12.5 });
    expect(read('1 1/8 in')).to.deep.include({ ok: true, value: 1.125 * 0.0254 });
    expect(read('1 125/1000 in')).to.deep.include({ ok: true, value: 1.125 * 0.0254 });
    expect(read('12 50 mm'))
      .to.have.property('message')
      .that.matches(/^Two numbers with no unit between/);
  });
});

describe('tyre sizes', () => {
  const table: [string, string][] = [
    ['37-622', '37-622'],
    ['700 x 35', '35-622'],
    ['700x35C', '35-622'],
    ['650B x 42', '42-584'],
    ['27.5 x 2.1', '53-584'],
    ['26 x 4', '102-559'],
    ['26 x 1 3/8', '35-590'],
    ['28 x 1 1/2', '38-635'],
    ['28 x 1 5/8 x 1 3/8', '41-622'],
    ['20" x 1.75"', '44-406'],
    ['24 × 2', '51-507'],
  ];
  for (const [text, wanted] of table) {
    it(`reads “${text}”`, () => {
      const parsed = parseTyre(text);
      expect(parsed.ok && tyreName(parsed.value)).to.equal(wanted);
    });
  }
  for (const text of ['', 'big', '26', '99-999', '26 x 1 7/9']) {
    it(`refuses “${text}”`, () => expect(parseTyre(text).ok).to.equal(false));
  }
});
