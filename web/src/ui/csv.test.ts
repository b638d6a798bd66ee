import { expect } from 'chai';
import fc from 'fast-check';
import { csvOf, csvOfRecords, readCsv } from './csv.ts';
import { counted } from '../../../core/test/counted.ts';

const rowsOf = (text: string): string[][] => {
  const read = readCsv(text);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.rows;
};
const sign = fc.constantFrom('=', '+', '-', '@', '＝', "'", '\t', '\n', ' ', '"', ',', ';', '1', 'A', 'ø', '%');
const cell = fc
  .oneof(
    fc.string(),
    fc.array(sign, { maxLength: 8 }).map((s) => s.join('')),
  )
  .filter((s) => !/\r/.test(s));

describe('tables as CSV', () => {
  it('hold no cell that begins a formula, and are read again as they were written', () => {
    const met = counted();
    const table = fc
      .integer({ min: 2, max: 5 })
      .chain((width) =>
        fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 6 }),
      );
    fc.assert(
      fc.property(table, (rows) => {
        const written = csvOf(rows);
        expect(rowsOf(written)).to.deep.equal(rows);
        for (const row of rows)
          for (const one of row)
            if (/^\s*[=+@＝]/.test(one) && met()) expect(csvOf([[one, 'x']]).replace(/^"/, '')).to.match(/^'/);
      }),
      { numRuns: 1500 },
    );
    met.enough();
  });

  it('leave figures and plain words as they are', () => {
    expect(csvOf([['when', -3.5, '-3.5', '-3,5', '-1e-9', 'a=b', "Ada's", null]])).to.equal(
      `when,-3.5,-3.5,"-3,5",-1e-9,a=b,Ada's,`,
    );
    expect(csvOf([['=1+1', '-2+3', '@x', '+49 1', "'=1"]])).to.equal(`'=1+1,'-2+3,'@x,'+49 1,''=1`);
  });

  it('of records have a head for each name; of none they are empty', () => {
    expect(
      csvOfRecords([
        { name: '=a', n: 1 },
        { name: 'b', n: null },
      ]),
    ).to.equal("name,n\r\n'=a,1\r\nb,");
    expect(csvOfRecords([])).to.equal('');
  });

  it('say which row breaks them, and take a mark of the byte order', () => {
    expect(rowsOf('\uFEFFa;b\n1;2')).to.deep.equal([
      ['a', 'b'],
      ['1', '2'],
    ]);
    const read = readCsv('a,b\n1,"2\n3,4');
    expect(read.ok ? '' : `${read.problems[0]?.path} ${read.problems[0]?.message}`).to.equal(
      'row 2 has a quotation mark that is never closed',
    );
  });
});
