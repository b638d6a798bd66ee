import { expect } from 'chai';
import { decimalMark, english } from './manner.ts';

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
});
