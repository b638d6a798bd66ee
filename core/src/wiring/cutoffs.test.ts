import { expect } from 'chai';
import fc from 'fast-check';
import { cutoffSeen, cutoffSheet, waysFor, type LeverFound, type CutoffFrom } from './cutoffs.ts';
import { counted } from '../../test/counted.ts';

const from = (change: Partial<CutoffFrom>): CutoffFrom => ({
  acts: 'cutsWhenAway',
  unplugged: 'runs',
  reachM: 0.003,
  restM: 0.001,
  pulledM: 0.01,
  pluggedIn: true,
  ...change,
});
const outcome = (change: Partial<CutoffFrom>) => cutoffSheet(from(change)).outcome;

describe('a cut-off by magnet', () => {
  it('comes to one of four outcomes by its kind and its gaps', () => {
    const near = { acts: 'cutsWhenNear' } as const;
    const seen = 0.001;
    const blind = 0.01;
    const table = [
      [{ restM: seen, pulledM: blind }, 'runsAndCuts'],
      [{ restM: blind, pulledM: blind }, 'neverRuns'],
      [{ restM: seen, pulledM: seen }, 'doesNotCut'],
      [{ restM: blind, pulledM: seen }, 'neverRuns'],
      [{ ...near, restM: blind, pulledM: seen }, 'runsAndCuts'],
      [{ ...near, restM: seen, pulledM: seen }, 'neverRuns'],
      [{ ...near, restM: blind, pulledM: blind }, 'doesNotCut'],
      [{ ...near, restM: seen, pulledM: blind }, 'neverRuns'],
      [{ pluggedIn: false }, 'noCutOff'],
      [{ pluggedIn: false, unplugged: 'cuts' }, 'neverRuns'],
      [{ restM: null }, 'measure'],
      [{ pulledM: null }, 'measure'],
      [{ acts: 'switchCloses', restM: null, pulledM: null }, 'runsAndCuts'],
    ] as const;
    for (const [change, expected] of table) expect(outcome(change), JSON.stringify(change)).to.equal(expected);
  });

  it('sees only what is nearer than its reach', () => {
    expect(outcome({ restM: 0.00299 })).to.equal('runsAndCuts');
    expect(outcome({ restM: 0.003 })).to.equal('neverRuns');
    expect(outcome({ pulledM: 0.003 })).to.equal('runsAndCuts');
    expect(outcome({ pulledM: 0.00299 })).to.equal('doesNotCut');
    // A gap within half a millimetre of the reach works today and not when it is warm.
    expect(cutoffSheet(from({ restM: 0.0026 })).move).to.match(/give it more/);
    expect(cutoffSheet(from({ restM: 0.0025 })).move).to.equal(null);
  });

  it('says which way to move the magnet', () => {
    const move = (change: Partial<CutoffFrom>) => cutoffSheet(from(change)).move;
    expect(move({ restM: 0.01, pulledM: 0.02 })).to.match(/nearer the sensor at rest/);
    expect(move({ restM: 0.01, pulledM: 0.001 })).to.match(/Turn it about/);
    expect(move({ pulledM: 0.002 })).to.match(/leaves the sensor further/);
    expect(move({ acts: 'cutsWhenNear', restM: 0.001, pulledM: 0.0005 })).to.match(/further from the sensor at rest/);
    expect(move({ acts: 'cutsWhenNear', restM: 0.01, pulledM: 0.005 })).to.match(/comes nearer/);
  });

  it('tells what the motor does at rest, pulled, unplugged and broken, and which of it is safe', () => {
    const motor = (change: Partial<CutoffFrom>) => cutoffSheet(from(change)).states.map((s) => s.motor);
    expect(motor({})).to.deep.equal(['runs', 'still', 'runs', 'runs']);
    expect(motor({ unplugged: 'cuts' })).to.deep.equal(['runs', 'still', 'still', 'still']);
    expect(motor({ acts: 'switchOpens', unplugged: 'cuts' })).to.deep.equal(['runs', 'still', 'still', 'still']);
    expect(motor({ acts: 'switchCloses' })).to.deep.equal(['runs', 'still', 'runs', 'runs']);
    expect(motor({ restM: null })).to.deep.equal(['unknown', 'still', 'runs', 'runs']);
    expect(cutoffSheet(from({})).failsSafe).to.equal(false);
    expect(cutoffSheet(from({ unplugged: 'cuts' })).failsSafe).to.equal(true);
  });

  it('never says it runs and cuts where either gap does not do so', () => {
    const met = counted();
    const gap = fc.double({ min: 0, max: 0.02, noNaN: true });
    fc.assert(
      fc.property(gap, gap, gap, fc.constantFrom('cutsWhenAway', 'cutsWhenNear'), (restM, pulledM, reachM, acts) => {
        const sheet = cutoffSheet(from({ restM, pulledM, reachM, acts }));
        const runs = acts === 'cutsWhenAway' ? restM < reachM : restM >= reachM;
        const cuts = acts === 'cutsWhenAway' ? pulledM >= reachM : pulledM < reachM;
        expect(sheet.outcome === 'runsAndCuts').to.equal(runs && cuts);
        expect(sheet.outcome === 'doesNotCut').to.equal(runs && !cuts);
        expect(sheet.outcome === 'neverRuns').to.equal(!runs);
        if ((!runs || !cuts) && met()) expect(sheet.move).to.be.a('string');
      }),
    );
    met.enough();
  });

  it('is told by what was seen on the stand as well', () => {
    const seen = (sawAtRest: 'runs' | 'still' | null, sawPulled: 'runs' | 'still' | null) =>
      cutoffSeen({ sawAtRest, sawPulled });
    expect([
      seen('runs', 'still'),
      seen('runs', 'runs'),
      seen('still', null),
      seen('runs', null),
      seen(null, 'still'),
    ]).to.deep.equal(['runsAndCuts', 'doesNotCut', 'neverRuns', null, null]);
  });
});

describe('ways a lever is made to cut', () => {
  const own: LeverFound = { body: 'separate', pull: 'cable', sensorRoom: true, locks: false, barKeepsOwn: false };
  const hose: LeverFound = { ...own, pull: 'hose' };
  it('hang on what the lever is and what the kit brings', () => {
    const usual = (change: Partial<LeverFound>, brings: 'levers' | 'inLine' | 'magnets' | 'none') =>
      waysFor({ ...own, ...change }, brings).usual;
    expect(usual({}, 'levers')).to.equal('kitLever');
    expect(usual({}, 'magnets')).to.equal('magnet');
    expect(usual({}, 'inLine')).to.equal('inLine');
    expect(usual({}, 'none')).to.equal('magnet');
    expect(usual({ pull: 'hose' }, 'levers')).to.equal('magnet');
    expect(usual({ pull: 'hose' }, 'inLine')).to.equal('magnet');
    expect(usual({ body: 'withShifter' }, 'levers')).to.equal('inLine');
    expect(usual({ body: 'withShifter', pull: 'hose' }, 'levers')).to.equal('magnet');
    expect(usual({ body: 'dropBar' }, 'levers')).to.equal('inLine');
    expect(usual({ barKeepsOwn: true }, 'levers')).to.equal('magnet');
    expect(usual({ pull: 'twoCables' }, 'levers')).to.equal('magnet');
    expect(usual({ locks: true }, 'levers')).to.equal('magnet');
    expect(usual({ locks: true, sensorRoom: false }, 'levers')).to.equal('inLine');
    expect(usual({ pull: 'hose', sensorRoom: false }, 'levers')).to.equal('none');
    expect(usual({ pull: 'rod' }, 'levers')).to.equal('magnet');
    expect(usual({ pull: 'rod', sensorRoom: false }, 'inLine')).to.equal('none');
    expect(usual({ body: 'none' }, 'levers')).to.equal('none');
  });
  it('each that will not do says why', () => {
    expect(waysFor(hose, 'levers').not.inLine).to.match(/hose/);
    expect(waysFor({ ...hose, body: 'withShifter' }, 'levers').not.newLever).to.match(/empty the brake/);
    expect(waysFor({ ...own, pull: 'twoCables' }, 'levers').not.kitLever).to.match(/two cables/);
    expect(waysFor({ ...own, pull: 'twoCables' }, 'levers').not.newLever).to.equal(undefined);
    expect(waysFor({ ...own, barKeepsOwn: true }, 'levers').not.kitLever).to.match(/this bar/);
    expect(waysFor({ ...own, sensorRoom: false }, 'levers').not).to.include.keys('magnet', 'switch');
    expect(waysFor(own, 'none').not.kitLever).to.match(/brings no levers/);
  });
});
