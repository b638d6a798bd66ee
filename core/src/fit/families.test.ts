import { expect } from 'chai';
import { kitNamed } from '../../test/world.ts';
import { driveFamilies, type DriveFamily, type Kit } from '../parts/kit.ts';
import type { Verdict } from '../verdict.ts';
import { familySays, summariseFamilies } from './families.ts';
import type { Finding } from './finding.ts';

const finding = (title: string, verdict: Verdict, override = false): Finding => ({
  rule: title,
  stage: 'drive',
  verdict,
  title,
  why: [],
  evidence: [],
  remedies: [],
  source: '',
  ...(override ? { override: { reason: 'because', on: '2026-01-01' } } : {}),
});
const judged = (id: string, family: DriveFamily, verdict: Verdict, findings: Finding[] = []) => ({
  kit: { ...kitNamed('otter-r250'), id, family } satisfies Kit,
  verdict,
  findings,
});

describe('families of drive, side by side', () => {
  it('stand in the trade’s order, each with its own words; one with no kit is left out', () => {
    const all = driveFamilies.map((family, i) => judged(`k${i}`, family, 'fits'));
    expect(summariseFamilies([...all].reverse()).map((f) => f.family)).to.deep.equal([...driveFamilies]);
    expect(summariseFamilies(all.slice(1)).map((f) => f.family)).to.deep.equal(driveFamilies.slice(1));
    for (const f of summariseFamilies(all)) expect({ pros: f.pros, cons: f.cons }).to.deep.equal(familySays[f.family]);
  });

  it('take their best kit’s verdict and name it; what is only measured beats what must be reworked', () => {
    const [f] = summariseFamilies([
      judged('a', 'midDrive', 'rework'),
      judged('b', 'midDrive', 'measure'),
      judged('c', 'midDrive', 'stop'),
    ]);
    expect(f).to.deep.include({ verdict: 'measure', best: 'b', remaining: 2, total: 3 });
  });

  it('name no best where every kit is stopped, and say by what, most frequent first, three at most', () => {
    const stops = (...titles: string[]): Finding[] => titles.map((t) => finding(t, 'stop'));
    const [f] = summariseFamilies([
      judged('a', 'frontHub', 'stop', stops('fork', 'spacing', 'brake')),
      judged('b', 'frontHub', 'stop', stops('spacing', 'rim', 'brake')),
      judged('c', 'frontHub', 'stop', stops('spacing')),
    ]);
    expect(f).to.deep.include({ verdict: 'stop', best: null, remaining: 0, total: 3 });
    expect(f?.stoppedBy).to.deep.equal([
      { title: 'spacing', kits: 3 },
      { title: 'brake', kits: 2 },
      { title: 'fork', kits: 1 },
    ]);
  });

  it('count no stop that was overridden, and nothing that is not a stop', () => {
    const [f] = summariseFamilies([
      judged('a', 'rearDirect', 'rework', [finding('spacing', 'stop', true), finding('arms', 'rework')]),
    ]);
    expect(f?.stoppedBy).to.deep.equal([]);
    expect(f?.remaining).to.equal(1);
  });
});
