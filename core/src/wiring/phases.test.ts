import { expect } from 'chai';
import type { WiringChoice } from '../build/wiring.ts';
import { nextPhases, phaseRuns, phaseTruths } from './phases.ts';
import { counted } from '../../test/counted.ts';

describe('the phase finder', () => {
  it('knows 36 ways a motor can hide its colours; on each, six of the 36 combinations run, three either way', () => {
    expect(phaseTruths.length).to.equal(36);
    const orders = ['ABC', 'BCA', 'CAB', 'ACB', 'CBA', 'BAC'] as const;
    for (const t of phaseTruths) {
      const runs = orders.flatMap((halls) => orders.map((phases) => phaseRuns(t, { halls, phases })));
      expect(runs.filter((r) => r === 'forward').length).to.equal(3);
      expect(runs.filter((r) => r === 'backward').length).to.equal(3);
    }
  });

  it('begins by colour, and finds every motor within nine tries, never one twice', () => {
    const met = counted();
    let most = 0;
    for (const truth of phaseTruths) {
      const tries: WiringChoice['phases'] = [];
      for (;;) {
        const { next, found, contradicts } = nextPhases(tries);
        expect(contradicts).to.equal(false);
        if (found) {
          expect(phaseRuns(truth, found)).to.equal('forward');
          break;
        }
        if (!next) throw new Error('gave up');
        if (tries.length === 0 && met()) expect(next).to.deep.equal({ phases: 'ABC', halls: 'ABC' });
        expect(tries.some((t) => t.phases === next.phases && t.halls === next.halls)).to.equal(false);
        const runs = phaseRuns(truth, next);
        tries.push({ ...next, saw: runs === 'no' ? 'growls' : runs });
      }
      most = Math.max(most, tries.length);
      // Halls stay as they are until the phases have been found one way round.
      const backward = tries.findIndex((t) => t.saw === 'backward');
      for (const t of tries.slice(0, backward < 0 ? tries.length : backward + 1)) expect(t.halls).to.equal('ABC');
    }
    expect(most).to.be.at.most(9);
    met.enough();
  });

  it('says so where what was seen fits no motor', () => {
    const orders = ['ABC', 'BCA', 'CAB', 'ACB', 'CBA', 'BAC'] as const;
    const none = nextPhases(orders.map((phases) => ({ phases, halls: 'ABC' as const, saw: 'stops' as const })));
    expect(none).to.include({ contradicts: true, left: 0, next: null });
  });
});
