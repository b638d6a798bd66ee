import { expect } from 'chai';
import fc from 'fast-check';
import { Reads } from './reads.ts';

describe('what is worked out once for each tuple of what it reads', () => {
  it('asks again only where what was read has changed', () => {
    const reads = new Reads(2);
    let made = 0;
    const sum = (): number => reads.ask('sum', () => (made++, reads.read<number>(0) * 10));
    reads.set(0, 1);
    reads.set(1, 5);
    expect([sum(), sum()]).to.deep.equal([10, 10]);
    reads.set(1, 6);
    expect(sum()).to.equal(10);
    reads.set(0, 2);
    expect(sum()).to.equal(20);
    reads.set(0, 1);
    expect(sum()).to.equal(10);
    expect(made).to.equal(2);
  });

  it('knows equal answers as one: who reads them is not asked again', () => {
    const reads = new Reads(1);
    let made = 0;
    const even = (): { even: boolean } => reads.same('even', () => ({ even: reads.read<number>(0) % 2 === 0 }));
    const words = (): string => reads.ask('words', () => (made++, even().even ? 'even' : 'odd'));
    for (const n of [1, 2, 3, 4, 5, 6]) {
      reads.set(0, n);
      expect(words()).to.equal(n % 2 === 0 ? 'even' : 'odd');
    }
    expect(made).to.equal(2);
  });

  it('tells of what lies in line all that it read', () => {
    const reads = new Reads(2);
    const both = (): number[] => reads.inLine('both', () => [reads.read<number>(0), reads.read<number>(1)]);
    const first = reads.question('first', 'by reads', () => both()[0]);
    reads.set(0, 1);
    reads.set(1, 1);
    both();
    expect(reads.get(first)).to.equal(1);
    expect(reads.maskOf(first)).to.equal(3);
    reads.set(0, 2);
    expect(reads.get(first)).to.equal(2);
  });

  it('answers as if nothing were kept, whatever is asked in whatever order', () => {
    const step = fc.record({ at: fc.nat(2), value: fc.nat(3), ask: fc.nat(2) });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const reads = new Reads(3);
        const is = [0, 0, 0];
        [0, 1, 2].forEach((d) => reads.set(d, 0));
        // A question that reads by what it has read, one on another’s answer, and one in line.
        const branch = (read: (d: number) => number): number => (read(0) > 1 ? read(1) * 4 : read(2));
        const questions = (read: (d: number) => number, ask: typeof reads.ask, line: typeof reads.inLine) => {
          const low = (): number => ask('low', () => branch(read) % 3);
          const pair = (): number => line('pair', () => read(1) + read(2));
          return [low, () => ask('top', () => low() * 10 + pair()), pair];
        };
        const plain = questions(
          (d) => is[d] as number,
          (_, make) => make(),
          (_, make) => make(),
        );
        const kept = questions(
          (d) => reads.read<number>(d),
          (name, make) => reads.ask(name, make),
          (name, make) => reads.inLine(name, make),
        );
        for (const { at, value, ask } of steps) {
          is[at] = value;
          reads.set(at, value);
          expect(kept[ask]?.()).to.equal(plain[ask]?.());
        }
      }),
    );
  });

  it('does not go on where a question read otherwise than before, and bears no more dimensions than it has marks', () => {
    const reads = new Reads(2);
    let turn = false;
    reads.set(0, 1);
    reads.set(1, 1);
    const moody = (): number => reads.ask('moody', () => reads.read<number>(turn ? 1 : 0));
    moody();
    turn = true;
    reads.set(0, 2);
    expect(moody).to.throw('read otherwise');
    expect(() => new Reads(31)).to.throw(RangeError);
  });
});
