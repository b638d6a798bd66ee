import { expect } from 'chai';
import { plainText, withoutControls } from './controls.ts';

describe('control characters', () => {
  it('are taken out of a text; line feeds and tabs stay, and every line ends alike', () => {
    for (const [text, plain] of [
      ['Mixte', 'Mixte'],
      ['Mix\u0000te\u0007', 'Mixte'],
      ['a\r\nb\rc\n\td', 'a\nb\nc\n\td'],
      ['a\u2028b\u0085c\u007f', 'abc'],
      ['Ærø – “größer” 自転車 👩‍🔧', 'Ærø – “größer” 自転車 👩‍🔧'],
    ] as const)
      expect(plainText(text)).to.equal(plain);
  });

  it('are taken out of data through and through, and what has none stays the very same', () => {
    const sound = { name: 'A', rows: [{ x: 1 }], gone: null };
    const dirty = { sound, name: 'A\u0001', rows: ['b\u0002', 3], ['k\u0003']: { deep: ['\u0004'] } };
    const plain = withoutControls(dirty);
    expect(plain).to.deep.equal({ sound, name: 'A', rows: ['b', 3], k: { deep: [''] } });
    expect(plain.sound).to.equal(sound);
    expect(withoutControls(sound)).to.equal(sound);
    const other = new Date(0);
    expect(withoutControls(other)).to.equal(other);
    expect(withoutControls(NaN)).to.be.NaN;
  });
});
