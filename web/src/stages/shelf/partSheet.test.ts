import { expect } from 'chai';
import { partKinds, partSchemas, starterShelf } from '@sprocket/core';
import { partFields } from './partFields.ts';
import { readAt, sheetValue, shownValue, writeAt, type Sheet } from './partSheet.ts';

describe('a part’s data sheet', () => {
  it('reads and writes at a path, leaving the sheet it came from alone', () => {
    const sheet: Sheet = { name: 'A', hub: { maxCogs: 7 } };
    expect(readAt(sheet, 'hub.maxCogs')).to.equal(7);
    expect(readAt(sheet, 'mid.boreM.least')).to.equal(undefined);
    expect(writeAt(sheet, 'hub.maxCogs', 8)).to.deep.equal({ name: 'A', hub: { maxCogs: 8 } });
    expect(writeAt(sheet, 'mid.boreM.least', 1)).to.deep.equal({ ...sheet, mid: { boreM: { least: 1 } } });
    expect(writeAt(sheet, 'name', undefined)).to.deep.equal({ hub: { maxCogs: 7 } });
    expect(sheet).to.deep.equal({ name: 'A', hub: { maxCogs: 7 } });
  });

  it('takes what was typed as each field means it', () => {
    expect(sheetValue({ type: 'number' }, '3,5')).to.equal(3.5);
    expect(sheetValue({ type: 'number' }, ' ')).to.equal(undefined);
    expect(sheetValue({ type: 'number' }, 'x')).to.be.NaN;
    expect(sheetValue({ type: 'teeth' }, '28-24-21')).to.deep.equal([28, 24, 21]);
    expect(sheetValue({ type: 'teeth' }, 'many')).to.equal('many');
    expect(sheetValue({ type: 'beads' }, '622, 559')).to.deep.equal([0.622, 0.559]);
    expect(sheetValue({ type: 'beads' }, '')).to.deep.equal([]);
    expect(sheetValue({ type: 'numbers' }, '0,75 1 1.333')).to.deep.equal([0.75, 1, 1.333]);
    expect(sheetValue({ type: 'text' }, 'Otter')).to.equal('Otter');
  });

  it('every kind of part has fields; each of them shown and typed again is the same part', () => {
    for (const kind of partKinds) {
      for (const part of starterShelf[kind].slice(0, 3)) {
        let sheet: Sheet = structuredClone(part) as unknown as Sheet;
        for (const field of partFields[kind]) {
          const value = readAt(part, field.path);
          if (value === undefined || field.dimension || field.options || field.type === 'switch') continue;
          sheet = writeAt(sheet, field.path, sheetValue(field, shownValue(field, value)));
        }
        const read = partSchemas[kind].safeParse(sheet);
        expect(read.error, `${part.id}`).to.equal(undefined);
        expect(read.data).to.deep.equal(part);
      }
    }
  });

  it('shows bead seats in millimetres, teeth by hyphens, nothing as nothing', () => {
    expect(shownValue({ type: 'beads' }, [0.622, 0.559])).to.equal('622, 559');
    expect(shownValue({ type: 'teeth' }, [28, 24])).to.equal('28-24');
    expect(shownValue({ type: 'numbers' }, [0.75, 1])).to.equal('0.75 1');
    expect(shownValue({ type: 'number' }, undefined)).to.equal('');
  });
});
