import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';
import { BUILD_VERSION, newBuild } from '../../build/build.ts';
import { readBuild, readBuildFile } from '../buildFile.ts';
import { broughtUpToDate } from '../migrate.ts';
import { fromVersion1 } from './version1.ts';
import { fromVersion2 } from './version2.ts';
import { fromVersion3 } from './version3.ts';
import { fromVersion8 } from './version8.ts';
import { fromVersion10 } from './version10.ts';
import { fromVersion11 } from './version11.ts';
import { fromVersion12 } from './version12.ts';
import { fromVersion13 } from './version13.ts';
import { fromVersion9 } from './version9.ts';

const fixtures = new URL('../../../test/builds/', import.meta.url);
const text = (name: string): string => readFileSync(new URL(name, fixtures), 'utf8');

describe('migrations', () => {
  it('there is a file of every version before this one, and of no later', () => {
    const versions = readdirSync(fixtures)
      .map((name) => /^version-(\d+)\.json$/.exec(name)?.[1])
      .filter((v) => v !== undefined)
      .map(Number)
      .sort((a, b) => a - b);
    expect(versions).to.deep.equal(Array.from({ length: BUILD_VERSION - 1 }, (_, i) => i + 1));
  });

  for (let version = 1; version < BUILD_VERSION; version++)
    it(`a build of version ${version} opens as its golden file has it`, () => {
      const read = readBuildFile(text(`version-${version}.json`));
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      expect(read.value.version).to.equal(BUILD_VERSION);
      expect(read.value).to.deep.equal(JSON.parse(text(`version-${version}.opened.json`)));
    });

  it('1 → 2 splits the condition, keeps what was said apart already, and starts what is new', () => {
    const sound = { grade: 'sound' };
    const worn = { grade: 'needsWork' };
    const now = fromVersion1({
      version: 1,
      donor: { kind: 'fat', condition: { cracks: worn, wheels: sound, spokes: worn } },
    });
    expect(now).to.deep.include({ version: 2, ownLaws: [], overrides: [], orders: {} });
    expect((now.donor as { condition: unknown }).condition).to.deep.equal({
      cracks: worn,
      rust: worn,
      dents: worn,
      wheels: sound,
      spokes: worn,
    });
    expect((now.donor as { kind: unknown }).kind).to.equal('fat');
    expect(now.schools).to.deep.include({ carbon: 'refuse', rimBrakes: 'upgraded' });
  });

  it('2 → 3 starts the inside, the spot, the wheels and the weights empty', () => {
    const now = fromVersion2({ version: 2, donor: { kind: 'mixte' }, choice: { packId: 'x' } });
    expect(now).to.deep.equal({
      version: 3,
      donor: { kind: 'mixte', inside: null, mainTubePath: null, obstructions: [] },
      choice: { packId: 'x', packSpot: null, newWheels: { rear: null, front: null } },
      weights: { baseline: null, changes: [] },
    });
  });

  it('3 → 4 records that no alternative was taken', () => {
    expect(fromVersion3({ version: 3, name: 'x' })).to.deep.equal({ version: 4, name: 'x', fixes: [] });
  });

  it('8 → 9 keeps when a step was done, and knows of nothing built otherwise', () => {
    const bench = { hands: 2, done: { 'wheel-out': '2026-03-01T10:00' } };
    expect(fromVersion8({ version: 8, name: 'x', bench })).to.deep.equal({
      version: 9,
      name: 'x',
      bench: { hands: 2, done: { 'wheel-out': { at: '2026-03-01T10:00' } } },
      built: { builder: '', otherwise: [] },
    });
    expect(fromVersion8({ version: 8 })).to.deep.include({ bench: { done: {} } });
  });

  it('9 → 10 knows of nothing proved, tuned or ridden', () => {
    expect(fromVersion9({ version: 9, name: 'x' })).to.deep.equal({
      version: 10,
      name: 'x',
      proving: { results: [] },
      tuned: { massKg: null },
      log: { rides: [] },
    });
  });

  it('10 → 11 puts rides among the other lines of the log', () => {
    expect(fromVersion10({ version: 10, log: { rides: [{ id: 'a', energyWh: 9 }, 7] } })).to.deep.equal({
      version: 11,
      log: { entries: [{ id: 'a', energyWh: 9, kind: 'ride' }, 7] },
    });
    expect(fromVersion10({ version: 10 }).log).to.deep.equal({ entries: [] });
  });

  it('11 → 12 says by its id what a change renewed, as its words were read till then', () => {
    const change = (what: string, to = '', of = 'part') => ({ kind: 'change', of, what, to });
    const now = fromVersion11({
      version: 11,
      log: {
        mappings: [],
        entries: [
          change('New chain'),
          change('pads', 'front brake pads, hard'),
          change('Rear blocks'),
          change('Front tyre', '50 mm'),
          change('rear tyre'),
          change('saddle'),
          change('chain level', '4', 'setting'),
          { kind: 'note' },
          7,
        ],
      },
    });
    const log = now.log as { mappings: unknown; entries: Record<string, unknown>[] };
    expect(now.version).to.equal(12);
    expect(log.mappings).to.deep.equal([]);
    expect(log.entries.map((entry) => entry.renews)).to.deep.equal([
      'chain',
      'padFront',
      'padRear',
      'tyreFront',
      'tyreRear',
      null,
      undefined,
      undefined,
      undefined,
    ]);
    expect(fromVersion11({ version: 11 }).log).to.deep.equal({ entries: [] });
  });

  it('12 → 13 tells what a lever pulls from how it is built, and joins what was taken for its cut-off', () => {
    const said = (value: string) => ({ value, typed: value, unit: '', provenance: 'measured', note: '' });
    const survey = (of: object): Record<string, { value: string; provenance: string } | undefined> =>
      (fromVersion12({ version: 12, donor: { survey: of } }).donor as { survey: never }).survey;
    const hose = survey({ leftLever: said('hydraulic'), rightLever: said('dropBar'), leverCables: said('one') });
    expect([hose.leftLever?.value, hose.leftPull?.value, hose.rightPull?.value, hose.leverCables]).to.deep.equal([
      'separate',
      'hose',
      'cable',
      undefined,
    ]);
    // Of two cables nobody said at which lever: both, from memory, to be looked at again.
    const two = survey({ leftLever: said('separate'), rightLever: said('withShifter'), leverCables: said('two') });
    expect(two.leftPull).to.deep.include({ value: 'twoCables', provenance: 'recalled' });
    expect(two.rightPull).to.deep.include({ value: 'twoCables', provenance: 'recalled' });
    expect(survey({ leftLever: said('none'), rightLever: said('separate') })).to.not.have.any.keys(
      'leftPull',
      'rightPull',
    );
    const fix = (rule: string, remedy: string, subject = 'k') => ({ rule, remedy, subject });
    const now = fromVersion12({
      version: 12,
      fixes: [
        fix('two-cable-lever', 'magnets'),
        fix('parking-lock', 'magnets'),
        fix('parking-lock', 'strap'),
        fix('cutoff-levers', 'in-line', 'other'),
        7,
      ],
    });
    expect(now.version).to.equal(13);
    expect(now.fixes).to.deep.equal([
      fix('cutoff-levers', 'magnets'),
      fix('parking-lock', 'strap'),
      fix('cutoff-levers', 'in-line', 'other'),
      7,
    ]);
    expect(fromVersion12({ version: 12 })).to.deep.equal({ version: 13, donor: { survey: {} }, fixes: [] });
  });

  it('13 → 14 lets the posture follow the kind where nobody chose another, and parts the seat’s limit from passengers’', () => {
    const limit = { value: 110, typed: '110', unit: 'kg', provenance: 'dataSheet', note: '' };
    const build = (kind: string, posture: string, seats: readonly string[]): never =>
      fromVersion13({
        version: 13,
        brief: { posture, aboard: seats.map((seat, rider) => ({ rider, seat, pedals: true })) },
        donor: { kind, survey: { seatLimit: limit } },
      }) as never;
    const { brief, donor, version } = build('boxBike', 'upright', ['main', 'box']) as {
      version: number;
      brief: { posture: unknown };
      donor: { survey: Record<string, unknown> };
    };
    expect(version).to.equal(14);
    expect(brief.posture).to.equal(null);
    expect(donor.survey.seatLimit).to.deep.equal(limit);
    expect(donor.survey.passengerLimit).to.deep.include({ value: 110, provenance: 'recalled' });
    expect(build('diamond', 'flatBar', ['main'])).to.deep.nested.include({ 'brief.posture': 'flatBar' });
    expect(build('deltaTrike', 'upright', ['main'])).to.deep.nested.include({ 'brief.posture': 'upright' });
    expect(build('boxBike', 'upright', ['main'])).not.to.have.nested.property('donor.survey.passengerLimit');
    expect(fromVersion13({ version: 13, donor: 7 })).to.deep.equal({ version: 14, donor: 7 });
  });

  it('leave today’s build and what is no object alone', () => {
    const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    expect(broughtUpToDate(build, BUILD_VERSION)).to.deep.equal(build);
    expect(broughtUpToDate('text', 1)).to.equal('text');
    expect(broughtUpToDate(null, 1)).to.equal(null);
    expect(readBuild({ ...build, version: 0 }).ok).to.equal(true);
  });
});
