import { expect } from 'chai';
import fc from 'fast-check';
import { textsIn, wordsIn } from './words.ts';

const imperial = (text: string): string => wordsIn(text, 'imperial');

describe('texts of the trade in a reader’s units', () => {
  it('leaves a metric reader’s text as it was written', () => {
    const text = 'Tighten at 50 km, 2.5 mm² over 14 to 26 mm, below 0 °C';
    expect(wordsIn(text, 'metric')).to.equal(text);
    const data = { a: [text] };
    expect(textsIn(data, 'metric')).to.equal(data);
  });

  const cases: readonly (readonly [string, string])[] = [
    ['Tighten at 50 km and again at 150 km.', 'Tighten at 31 mi and again at 93 mi.'],
    ['clamps come for 14 to 26 mm.', 'clamps come for 0.55 to 1.0 in.'],
    ['340 × 92 mm', '13 × 3.6 in'],
    ['622, 584, 559 mm', '24.5, 23.0, 22.0 in'],
    ['5.0 m/s², stops in 12 m', '16 ft/s², stops in 39 ft'],
    ['up to 25 km/h', 'up to 16 mph'],
    ['Never below 0 °C, at −10 °C not at all', 'Never below 32 °F, at 14 °F not at all'],
    ['a raw day, −20 °C', 'a raw day, −4 °F'],
    ['0.10 mm of slack', '0.0039 in of slack'],
    ['22.2 mm.', '0.874 in.'],
    ['38 N·m at the axle', '28 lbf·ft at the axle'],
    ['1500 km', '930 mi'],
    ['10\u202f000 km', '6200 mi'],
    ['10.3 Wh/km', '16.6 Wh/mi'],
    ['10 kg less', '22 lb less'],
    ['0 mm', '0 in'],
  ];
  for (const [metric, told] of cases)
    it(`“${metric}” is “${told}”`, () => {
      expect(imperial(metric)).to.equal(told);
    });

  it('leaves what is no measure of these: cross-sections, threads, resistances, codes', () => {
    for (const text of [
      '2.5 mm² wanted',
      'M5 × 12',
      '22 mΩ',
      '0.68 mF',
      '12 months',
      '1.204 kg/m³',
      '37-622',
      'step 3 made',
    ])
      expect(imperial(text)).to.equal(text);
  });

  it('is the same way, as near as it was written, whatever the figure', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), fc.integer({ min: 0, max: 2 }), (digits, places) => {
        const written = (digits / 10 ** places).toFixed(places);
        const told = /^([\d.]+) mi$/.exec(imperial(`${written} km`));
        const back = Number(told?.[1]) * 1.609344;
        // Two figures at least: half a unit of the second is a twentieth at most.
        expect(Math.abs(back - Number(written)) / Number(written)).to.be.at.most(0.051);
      }),
    );
  });

  it('told twice it stays as it was told', () => {
    for (const [metric] of cases) expect(imperial(imperial(metric))).to.equal(imperial(metric));
  });

  it('walks data, keeps what it does not know, and leaves names', () => {
    const when = new Map([['a', '5 mm']]);
    expect(
      textsIn({ name: 'Arm, 4 mm', text: '4 mm', of: [1, null, { name: 'x', in: '12 m' }], when }, 'imperial'),
    ).to.deep.equal({
      name: 'Arm, 4 mm',
      text: '0.16 in',
      of: [1, null, { name: 'x', in: '39 ft' }],
      when,
    });
  });
});
