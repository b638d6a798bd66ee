import { expect } from 'chai';
import { SaxesParser } from 'saxes';
import { xmlWords } from './xmlWords.ts';

/** What is told of a text's first fault. */
function told(text: string): string {
  const found: string[] = [];
  const parser = new SaxesParser({ xmlns: true });
  parser.on('error', (error) => found.push(xmlWords(error.message)));
  parser.write(text).close();
  return found[0] ?? '';
}

describe('faults of an XML text', () => {
  for (const [text, words] of [
    ['<a></b></a>', 'an element is closed that is not open'],
    ['<a><b>', 'an element is never closed'],
    ['', 'the file is empty or ends too soon'],
    ['<a/>x', 'text stands outside of all elements'],
    ['<a/><b/>', 'it goes on after its first element has ended'],
    ['<a x="1" x="2"/>', 'an attribute is named twice'],
    ['<a x=1/>', 'an attribute is not written as it should be'],
    ['<a>&nbsp;</a>', 'a sign written with & is not known'],
    ['<a>\u0001</a>', 'a sign stands where XML does not allow it'],
    ['<x:a/>', 'a name’s prefix is not declared'],
    ['<?xml version="2.0"?><a/>', 'its first line is not written as it should be'],
    ['<?xml encoding="x"?><a/>', 'its first line is not written as it should be'],
  ] as const)
    it(`${JSON.stringify(text)}: ${words}`, () => {
      expect(told(text)).to.equal(words);
    });

  it('that nobody foresaw are told too', () => {
    expect(xmlWords('something new')).to.equal('something stands there that XML does not allow');
  });
});
