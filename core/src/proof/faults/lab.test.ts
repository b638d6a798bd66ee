import { expect } from 'chai';
import { faultTestOf } from './data.ts';
import { anyVehicle } from './faultFacts.ts';
import { drawn, seeded } from '../../quantity/random.ts';
import { answerOf, capacityOf, faultLab, hideFault } from './lab.ts';

describe('lab of hidden faults', () => {
  it('finds ninety-five in a hundred in six tenths of a checklist’s minutes and twice the fewest tests', () => {
    const lab = faultLab(anyVehicle, 2000, 7);
    expect(lab.found).to.be.at.least(0.95);
    expect(lab.minutesShare).to.be.at.most(0.6);
    expect(lab.entropy.timesIt).to.be.within(1, 2);
    expect(lab.checklist.meanTests).to.be.greaterThan(lab.meanTests);
    expect(lab.minutesShare).to.be.closeTo(lab.meanMinutes / lab.checklist.meanMinutes, 1e-12);
    expect(lab.entropy.bitsAnAnswer).to.be.closeTo(lab.entropy.bits / lab.entropy.leastTests, 1e-9);
  });

  it('is the same for the same seed, and another for another', () => {
    expect(faultLab(anyVehicle, 40, 3)).to.deep.equal(faultLab(anyVehicle, 40, 3));
    expect(faultLab(anyVehicle, 40, 3)).to.not.deep.equal(faultLab(anyVehicle, 40, 4));
  });

  it('draws by weight', () => {
    expect(drawn([1, 3], 0.2499)).to.equal(0);
    expect(drawn([1, 3], 0.2501)).to.equal(1);
    expect(drawn([0, 2, 0], 0)).to.equal(1);
    expect(drawn([1, 1], 1)).to.equal(1);
    const random = seeded(11);
    const faults = Array.from({ length: 4000 }, () => hideFault(anyVehicle, random));
    const braking = faults.filter((f) => f.fault === 'cutoff-braking');
    expect(braking.length / 4000).to.be.closeTo(60 / 1183, 0.012);
    expect(braking.filter((f) => f.symptom === 'dead').length / braking.length).to.be.closeTo(0.85, 0.08);
  });

  it('answers with the table’s own noise', () => {
    const random = seeded(5);
    const answers = Array.from({ length: 3000 }, () => answerOf('cutoffs-out', 'supply-down', random));
    const [runs] = faultTestOf('cutoffs-out')?.says.find((r) => r.of.includes('supply-down'))?.gives ?? [0];
    expect(answers.filter((a) => a === 'runs').length / 3000).to.be.closeTo(runs as number, 0.02);
  });

  it('a table that tells two causes apart for certain carries one bit, one that errs carries less', () => {
    const test = faultTestOf('lever-home');
    if (!test) throw new Error('no test');
    const says = (p: number): typeof test => ({
      ...test,
      usual: [1 - p, p],
      says: [{ of: ['lever-sticks'], gives: [p, 1 - p], why: '' }],
    });
    expect(capacityOf(says(0), ['lever-sticks', 'motor-plug'])).to.be.closeTo(1, 1e-9);
    // A symmetric channel that errs one time in ten: 1 − h(0.1) = 0.531 bit.
    expect(capacityOf(says(0.1), ['lever-sticks', 'motor-plug'])).to.be.closeTo(0.531, 0.0005);
    expect(capacityOf(says(0.1), ['motor-plug', 'hall-dead'])).to.be.closeTo(0, 1e-9);
  });
});
