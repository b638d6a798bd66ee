import { expect } from 'chai';
import { z } from './zod.ts';
import { dottedPath, parseJson, problemsOf } from './problems.ts';

const schema = z.object({
  name: z.string().min(2).max(5),
  kg: z.number().min(3).max(9),
  kind: z.enum(['hub', 'mid']),
  many: z.enum(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'j']),
  wheels: z.array(z.number()).max(2),
  plate: z.boolean(),
  own: z.string().regex(/^x/, 'must begin with x'),
  on: z.iso.date(),
  part: z.discriminatedUnion('is', [z.object({ is: z.literal('ring') }), z.object({ is: z.literal('cog') })]),
  count: z.int(),
  only: z.literal('build'),
});
const good = {
  name: 'Otter',
  kg: 5,
  kind: 'hub',
  many: 'a',
  wheels: [1],
  plate: true,
  own: 'xy',
  on: '2026-01-01',
  part: { is: 'ring' },
  count: 2,
  only: 'build',
};
const words = (change: object): string[] => {
  const read = schema.safeParse({ ...good, ...change });
  return read.success ? [] : problemsOf(read.error).map((p) => `${p.path}: ${p.message}`);
};

describe('what is wrong with a value, in plain words', () => {
  it('says what belongs there, and never in the checker’s own words', () => {
    expect(words({})).to.deep.equal([]);
    for (const [change, said] of [
      [{ name: undefined }, 'name: is missing; a text belongs here'],
      [{ name: 5 }, 'name: must be a text'],
      [{ name: 'x' }, 'name: must be at least 2 letters'],
      [{ name: 'longer than five' }, 'name: must be at most 5 letters'],
      [{ kg: 'heavy' }, 'kg: must be a number'],
      [{ kg: 2 }, 'kg: must be at least 3'],
      [{ kg: 10 }, 'kg: must be at most 9'],
      [{ kg: Infinity }, 'kg: must be a number'],
      [{ kind: 'gas' }, 'kind: must be “hub” or “mid”'],
      [{ many: 'z' }, 'many: must be one of “a”, “b”, “c”, “d”, “e”, “f”, “g”, “h” and 2 more'],
      [{ wheels: [1, 2, 3] }, 'wheels: must be at most 2 entries'],
      [{ wheels: 'two' }, 'wheels: must be a list'],
      [{ wheels: [1, 'x'] }, 'wheels[1]: must be a number'],
      [{ plate: 'yes' }, 'plate: must be yes or no (true or false)'],
      [{ own: 'ab' }, 'own: must begin with x'],
      [{ on: 'yesterday' }, 'on: is not written as it should be'],
      [{ part: { is: 'frame' } }, 'part.is: is of no kind that is known here'],
      [{ count: 2.5 }, 'count: must be a whole number'],
      [{ only: 'other' }, 'only: must be “build”'],
    ] as const)
      expect(words(change), JSON.stringify(change)).to.deep.equal([said]);
  });

  it('names places as they are written', () => {
    expect(dottedPath(['segments', 3, 'grade'])).to.equal('segments[3].grade');
    expect(dottedPath([])).to.equal('(document)');
    expect(dottedPath([0])).to.equal('[0]');
  });
});

describe('JSON text', () => {
  it('is read with a mark of the byte order before it', () => {
    expect(parseJson('\uFEFF{"a":1}')).to.deep.equal({ ok: true, value: { a: 1 } });
  });

  it('with a slip names its line and column', () => {
    for (const [text, place] of [
      ['{"a": 1,\n "b": }', 'line 2, column 7'],
      ['{"a": 1\n "b": 2}', 'line 2, column 2'],
      ['\uFEFF{"a": nope}', 'line 1, column 7'],
      ['{"a": "unended', 'line 1'],
      ['', 'line 1, column 1'],
      ['[1, 2', 'line 1'],
    ] as const) {
      const read = parseJson(text);
      expect(read.ok).to.equal(false);
      if (!read.ok) expect(read.problems[0]?.path, text).to.match(new RegExp(`^${place}`));
    }
  });

  it('is refused where it is nested past all sense, whole or broken off', () => {
    const nested = (levels: number): string => '['.repeat(levels) + ']'.repeat(levels);
    expect(parseJson(nested(100)).ok).to.equal(true);
    for (const text of [nested(102), nested(100_000), '{"a":'.repeat(100_000)]) {
      const read = parseJson(text);
      expect(read.ok ? '' : read.problems[0]?.message).to.equal(
        'nested deeper than 100 levels, as no file of this app is',
      );
    }
  });
});
