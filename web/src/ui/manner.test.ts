import { expect } from 'chai';
import { dayOfYear, dayText, decimalMark, english, tickText } from './manner.ts';

describe('the reader’s manner', () => {
  it('is a comma or a point by the language, and a point where it is neither', () => {
    expect(['de-AT', 'fr', 'es-ES', 'en-GB', 'en-US', 'ja', 'ar-EG'].map(decimalMark)).to.deep.equal([
      ',',
      ',',
      ',',
      '.',
      '.',
      '.',
      '.',
    ]);
  });

  it('days are in English, their parts in the order of the reader’s own', () => {
    const day = (language: string): string =>
      new Intl.DateTimeFormat(english(language), { dateStyle: 'medium', timeZone: 'UTC' }).format(
        new Date('2026-03-07'),
      );
    expect(['en-US', 'en-GB', 'de', 'fr-CA'].map(day)).to.deep.equal([
      'Mar 7, 2026',
      '7 Mar 2026',
      '7 Mar 2026',
      '7 Mar 2026',
    ]);
  });

  it('a day, a month and a day of the year are in words; what is none of them stays', () => {
    // Tests run in the language of whoever runs them: what is sure is what each part is called.
    expect(dayText('2026-03-07')).to.match(/Mar/).and.match(/\b7\b/).and.match(/2026/);
    expect(dayText('2026-03-07T10:20')).to.equal(dayText('2026-03-07'));
    expect(dayText('2026-06')).to.match(/^Jun\w* 2026$/);
    expect(dayOfYear('2026-03-07T10:20')).to.match(/Mar/).and.match(/\b7\b/).and.not.match(/2026/);
    expect(dayText('soon')).to.equal('soon');
  });
});

describe('figures at an axis', () => {
  it('are whole where they are, else to a tenth', () => {
    expect([0, 5, 4.5, 17.97, 0.04].map(tickText)).to.deep.equal(['0', '5', '4.5', '18', '0']);
  });
});
