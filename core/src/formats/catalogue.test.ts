import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { catalogueFiles, catalogueProblems } from './catalogue.ts';

const shipped = Object.fromEntries(
  catalogueFiles.map((file) => [file, readFileSync(new URL(`../../../catalogue/${file}`, import.meta.url), 'utf8')]),
);

/** What is wrong with the catalogue when a text in one of its files is another. */
function told(file: string, from: string | RegExp, to: string): string[] {
  const text = shipped[file] ?? '';
  const other = text.replace(from, to);
  expect(other, `${file} has no ${String(from)}`).not.to.equal(text);
  return catalogueProblems({ ...shipped, [file]: other }).map((p) => `${p.file}:${p.line} ${p.at}: ${p.message}`);
}
const FITTINGS = 'shelf/fittings.json';
const KITS = 'shelf/kits.json';

describe('the catalogue', () => {
  it('as it is shipped has no fault', () => {
    expect(catalogueProblems(shipped)).to.deep.equal([]);
  });

  it('is told of by file, line, row and column', () => {
    const line = (shipped[FITTINGS] ?? '').split('\n').findIndex((l) => l.includes('"claw-hanger"')) + 1;
    const row = /("claw-hanger": \{[^}]*?"price": )\d+/;
    expect(told(FITTINGS, row, '$1"dear"')).to.deep.equal([`${FITTINGS}:${line} claw-hanger, price: must be a number`]);
    expect(told(FITTINGS, row, '$1-4')).to.deep.equal([`${FITTINGS}:${line} claw-hanger, price: must be at least 0`]);
  });

  it('names a length as it was written, not as it is read', () => {
    const [found] = told(FITTINGS, '"thicknessMm": 3.5', '"thicknessMm": "thin"');
    expect(found).to.match(/claw-hanger, thicknessMm: must be a number$/);
    expect(told(KITS, '"dropoutSpacingMm": 100', '"dropoutSpacingMm": 900')[0]).to.match(
      /linnet-f250, hub\.dropoutSpacingMm: must be at most/,
    );
  });

  it('takes no column that means nothing, however deep it lies', () => {
    expect(told(FITTINGS, '"thicknessMm": 3.5', '"thicknesMm": 3.5')).to.have.length(1);
    expect(told(KITS, '"axleFlatsMm"', '"axleFlatMm"')[0]).to.match(/linnet-f250, hub\.axleFlatsM: is missing/);
    expect(told(KITS, '"rimInnerMm"', '"rimInerMm"')[0]).to.match(/hub\.rimInerMm: this table has no such column/);
  });

  it('tells an id that stands twice, in one table or in two', () => {
    expect(told(FITTINGS, '"claw-hanger"', '"hanger-bolt"')[0]).to.match(/hanger-bolt: appears twice/);
    expect(told(FITTINGS, '"claw-hanger"', '"rags"')).to.deep.include.members([]);
    expect(told(FITTINGS, '"claw-hanger"', '"rags"').join()).to.match(/rags, id: stands in shelf\/fittings\.json too/);
  });

  it('tells names that no table has', () => {
    expect(told('shelf/controls.json', '"family": "round, small"', '"family": "round, tiny"')[0]).to.match(
      /plug: the catalogue has no plug family “round, tiny, 5 poles”/,
    );
    expect(told('leads.json', '"colours": "tarn"', '"colours": "tern"')[0]).to.match(/colours: .*no colours “tern”/);
    expect(told('leads.json', '"heron-d1000"', '"heron-x"')[0]).to.match(/heron-x, kit: .*no kit “heron-x”/);
    expect(told('faults/faults.json', /"repair": "[a-z-]+"/, '"repair": "pray"')[0]).to.match(/repair: .*“pray”/);
    expect(told('faults/repairs.json', /"step": "[a-z-]+"/, '"step": "never"')[0]).to.match(/step: .*no step “never”/);
    expect(told('faults/tests.json', '"of": ["pack-flat"]', '"of": ["pack-round"]')[0]).to.match(
      /no fault “pack-round”/,
    );
    expect(told('faults/tests.json', '"asked": ["dead"]', '"asked": ["undead"]')[0]).to.match(/asked/);
    expect(told('survey/items.json', '"when": "cablesInside"', '"when": "cablesInsde"')[0]).to.match(/cablePort, when/);
    expect(told('survey/items.json', '"aluminium", "titanium"', '"alumin", "titanium"').join()).to.match(
      /options: the catalogue has no words for the choice “alumin”/,
    );
    expect(told('survey/items.json', '"commonly": "steel"', '"commonly": "stel"').join()).to.match(
      /frameMaterial, commonly: is no option of it/,
    );
    expect(told('survey/items.json', '"frameMaterial"', '"frameMatter"').join()).to.match(/no place in a build/);
    expect(told('survey/condition.json', '"takes": "rust-kit"', '"takes": "rust-pot"')[0]).to.match(
      /no part “rust-pot”/,
    );
    expect(told('survey/common-frames.json', '"diamond"', '"diamant"').join()).to.match(
      /no kind of vehicle “diamant”.*diamond, kind: has no row/,
    );
    expect(told('faults/tests.json', '"when": "display"', '"when": "dsplay"')[0]).to.match(/when/);
  });

  it('tells what is wrong with vehicles nobody has measured', () => {
    const [OF, USUAL] = ['population/archetypes.json', 'population/usual.json'];
    expect(told(OF, '"diamond": 10', '"diamond": 11').join()).to.match(
      /of\.diamond: adds up to 101 in all, not to 100/,
    );
    expect(told(OF, '"freewheel": 88', '"freewheel": 87').join()).to.match(/do not add up to 100/);
    expect(told(OF, '"freewheel": 88', '"frewheel": 88').join()).to.match(/no answer to clusterKind “frewheel”/);
    expect(told(OF, '"barShape"', '"barShap"').join()).to.match(/oldRoad/);
    expect(
      told(USUAL, '"with": { "frameMaterial": ["steel", "titanium"] }', '"with": { "frameMaterial": ["stel"] }').join(),
    ).to.match(/no answer to frameMaterial “stel”/);
    expect(told(USUAL, '"shockPlace"', '"shokPlace"').join()).to.match(/no survey item “shokPlace”/);
  });

  it('tells what a crossing leaves unsaid, says twice, or says of what is not there', () => {
    const [JUDGED, ACTORS, ODD] = ['judgements', 'actors', 'contradictions'].map((n) => `crossings/${n}.json`) as [
      string,
      string,
      string,
    ];
    expect(told(JUDGED, '"shaft": {', '"steam": {').join()).to.match(
      /belt-mid, says: says nothing of “shaft”[\s\S]*says\.steam: “steam” is no answer to it/,
    );
    expect(told(JUDGED, '"part": "cog"', '"part": "cogg"')[0]).to.match(
      /belt-mid, says\.belt.*: the catalogue has no part “cogg”/,
    );
    expect(told(JUDGED, '"verdict": "fits"', '"verdict": "stop"')[0]).to.match(/what does not fit wants a remedy/);
    expect(told(JUDGED, '"item": "finalDrive"', '"item": "bracketBore"')[0]).to.match(/must be an item of choices/);
    expect(told(ACTORS, '"things": ["dynamo"]', '"things": ["magneto"]').join()).to.match(
      /has no thing “magneto”[\s\S]*says nothing of “dynamo”/,
    );
    expect(told(ACTORS, '"things": ["dynamo"]', '"things": ["frontHub"]').join()).to.match(/says “frontHub” twice/);
    expect(told(ACTORS, '"by": ["hub-dynamo"]', '"by": ["hub-dynamos"]')[0]).to.match(/has no rule “hub-dynamos”/);
    expect(told(ODD, '"discHydraulic"', '"discOil"')[0]).to.match(/no such answer/);
  });

  it('tells chances that do not add up, or are not one an outcome', () => {
    expect(told('faults/tests.json', /"usual": \[0\.98, /, '"usual": [0.9, ').join()).to.match(
      /usual: adds up to 0\.92, not to 1/,
    );
    expect(told('faults/tests.json', /"usual": \[0\.98, 0\.003, /, '"usual": [0.983, ').join()).to.match(
      /usual: has 3 chances for 4 outcomes/,
    );
    expect(told('faults/faults.json', '"blank": 0.4', '"blank": 0.5').join()).to.match(/shows: adds up to 1\.1/);
  });

  it('tells a file that is missing or is no JSON, with its line', () => {
    const { [FITTINGS]: _, ...rest } = shipped;
    expect(catalogueProblems(rest)[0]).to.deep.include({ file: FITTINGS, message: 'this file is missing' });
    const [found] = told(FITTINGS, '"claw-hanger": {', '"claw-hanger": ');
    expect(found).to.match(/^shelf\/fittings\.json:\d+ line \d+/);
    expect(Number(/:(\d+) /.exec(found ?? '')?.[1])).to.be.greaterThan(1);
    expect(told(FITTINGS, /^[\s\S]*$/, '[]')[0]).to.match(/must be a group of rows/);
    // Whatever stands in place of a file or a row, it is told, and nothing falls over it.
    const texts = ['null', '7', '"a"', '{ "x": null }', '{ "x": [] }', '{ "x": { "y": null } }'];
    catalogueFiles.forEach((file, i) => {
      const text = texts[i % texts.length] ?? 'null';
      expect(told(file, /^[\s\S]*$/, text), `${file} ${text}`).not.to.deep.equal([]);
    });
    for (const text of texts) {
      const found = new Set(
        catalogueProblems(Object.fromEntries(catalogueFiles.map((f) => [f, text]))).map((p) => p.file),
      );
      expect(
        catalogueFiles.filter((file) => !found.has(file)),
        text,
      ).to.deep.equal([]);
    }
  });
});
