/** What an XML reader stumbles over, by what it says, and as a person would. */
const words: readonly (readonly [RegExp, string])[] = [
  [/unexpected close tag|unmatched closing/i, 'an element is closed that is not open'],
  [/unclosed tag|unclosed/i, 'an element is never closed'],
  [/unexpected end|must contain a root|document must/i, 'the file is empty or ends too soon'],
  [/text data outside/i, 'text stands outside of all elements'],
  [/only one root/i, 'it goes on after its first element has ended'],
  [/duplicate attribute/i, 'an attribute is named twice'],
  [/attribute|equals sign|quote/i, 'an attribute is not written as it should be'],
  [/entity|malformed character|&/i, 'a sign written with & is not known'],
  [/disallowed character|character/i, 'a sign stands where XML does not allow it'],
  [/namespace|prefix/i, 'a name’s prefix is not declared'],
  [/version|encoding|declaration/i, 'its first line is not written as it should be'],
];

/** A fault of an XML text in plain words. */
export function xmlWords(message: string): string {
  return words.find(([said]) => said.test(message))?.[1] ?? 'something stands there that XML does not allow';
}
