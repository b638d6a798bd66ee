import { expect } from 'chai';
import type { Build } from '../../build/build.ts';
import { asPlanned } from '../../build/differ.ts';
import { readBuildFile, writeBuildFile } from '../../formats/buildFile.ts';
import { demoBuild } from '../../../test/demoBuild.ts';
import { rangeAt } from './ranges.ts';
import { withReading, type ReadingTaken } from './readingTaken.ts';

const step = { id: 'circumference-set', place: 'rear wheel' as const, part: null, undoes: null, told: 5 };
const rolled = { id: 'circumference', what: 'One turn', path: 'wiring.settings.circumference' };
const taken = (build: Build, value: number | null, more: Partial<ReadingTaken> = {}): Build =>
  withReading(build, { step, reading: rolled, value, at: '2026-03-01T10:00', by: 'Ada', ...more });

describe('a reading taken at the bench', () => {
  it('is kept with its step, which is done with it', () => {
    const build = taken(demoBuild('box'), 2.1);
    expect(build.bench.done['circumference-set']).to.deep.include({
      at: '2026-03-01T10:00',
      readings: { circumference: 2.1 },
    });
    const again = taken(build, 2.2, { at: '2026-03-01T11:00' });
    expect(again.bench.done['circumference-set']?.at).to.equal('2026-03-01T10:00');
    expect(taken(again, null).bench.done['circumference-set']?.readings).to.deep.equal({});
  });

  it('of something planned changes the build, one record however often corrected, and is put back when taken off', () => {
    const planned = demoBuild('box');
    const build = taken(taken(planned, 2.1), 2.12);
    expect(build.wiring.settings.circumference).to.equal(2.12);
    expect(build.built.otherwise.map((o) => [o.by, o.reason, o.changes])).to.deep.equal([
      ['Ada', 'read off at the bench', [{ path: rolled.path, was: null, is: 2.12 }]],
    ]);
    expect(asPlanned(build)?.wiring.settings).to.deep.equal(planned.wiring.settings);
    const off = taken(build, null);
    expect(off.wiring.settings).to.deep.equal(planned.wiring.settings);
    expect(off.built.otherwise).to.deep.equal([]);
    const read = readBuildFile(writeBuildFile(build));
    expect(read.ok && read.value).to.deep.equal(build);
  });

  it('on the bounds of what can be kept it is taken, and the file is read again; just past them it is not', () => {
    const planned = demoBuild('box');
    const shell = { id: 'shell-width', what: 'Shell’s width', path: 'donor.survey.bracketWidth' };
    const low = { id: 'low-volts', what: 'Low volts', path: 'wiring.settings.lowVolts' };
    const gap = { id: 'speed-gap', what: 'Gap', path: 'wiring.sensors.speedGapM' };
    for (const reading of [rolled, shell, low, gap, { id: 'volts', what: 'Volts' }]) {
      const [least, most] = rangeAt('path' in reading ? reading.path : undefined);
      for (const value of [least, most]) {
        const read = readBuildFile(writeBuildFile(taken(planned, value, { reading })));
        expect(read.ok, `${reading.id} ${value}`).to.equal(true);
      }
      for (const value of [least - 1e-6, most + 1e-6, NaN, Infinity])
        expect(taken(planned, value, { reading }), `${reading.id} ${value}`).to.equal(planned);
    }
  });

  it('as planned it is no difference; changed since in its own stage, it stays changed', () => {
    const planned = demoBuild('box');
    planned.wiring.settings.circumference = 2.1;
    expect(taken(planned, 2.1).built.otherwise).to.deep.equal([]);
    const build = taken(planned, 2.15);
    const since: Build = { ...build, wiring: { ...build.wiring, settings: { circumference: 2.3 } } };
    expect(taken(since, null).wiring.settings.circumference).to.equal(2.3);
    expect(taken(since, null).built.otherwise).to.deep.equal([]);
    // Corrected back to what was planned, it is as planned again.
    expect(taken(build, 2.1).wiring.settings.circumference).to.equal(2.1);
    expect(taken(build, 2.1).built.otherwise).to.deep.equal([]);
  });

  it('of the donor is measured, with its day; one of nothing planned is kept and changes nothing', () => {
    const planned = demoBuild('box');
    const shell = { id: 'shell-width', what: 'Shell’s width', path: 'donor.survey.bracketWidth' };
    const build = taken(planned, 0.1, { reading: shell });
    expect(build.donor.survey.bracketWidth).to.deep.include({ value: 0.1, provenance: 'measured', on: '2026-03-01' });
    const same = planned.donor.survey.bracketWidth?.value ?? NaN;
    expect(taken(planned, same, { reading: shell }).built.otherwise).to.deep.equal([]);
    const loose = taken(planned, 41, { reading: { id: 'volts', what: 'Volts' } });
    expect({ ...loose, bench: planned.bench }).to.deep.equal(planned);
  });
});
