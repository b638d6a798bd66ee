import { expect } from 'chai';
import { city } from '../../test/city.ts';
import { typedSurvey, type Typed } from '../../test/typed.ts';
import { newBuild } from '../build/build.ts';
import { surveyGroups } from './items/item.ts';
import { vehicleKinds } from './kinds.ts';
import { nextOpenStation, surveyWalk } from './walk.ts';
import { derivedSizes, toleranceOf } from './derived.ts';
import type { Donor } from './donor.ts';
import { donorGeometry } from './geometry.ts';
import { itemExists, itemsFor, surveyItem, surveyItems, surveyProgress } from './survey.ts';
import { counted } from '../../test/counted.ts';

const donor = (survey: Typed = {}, kind: Donor['kind'] = 'diamond'): Donor => ({
  ...newBuild('a', 'A', '2026-01-01T00:00:00.000Z').donor,
  kind,
  survey: typedSurvey({ ...city, ...survey }),
});
const size = (d: Donor, label: string) => {
  const found = derivedSizes(d).find((s) => s.label === label);
  if (!found) throw new Error(label);
  return found;
};

describe('sizes that follow from others', () => {
  const d = donor();

  it('the angle at the bracket is the triangle’s by its three sides', () => {
    // 450, 500 and 560 mm: cos = (450² + 560² − 500²) ÷ (2·450·560).
    const hand = Math.acos((0.45 ** 2 + 0.56 ** 2 - 0.5 ** 2) / (2 * 0.45 * 0.56));
    expect(size(d, 'Angle at the bracket, inside').value).to.be.closeTo(hand, 0.01);
  });

  it('the triangle’s shortest height is twice its area over its longest side', () => {
    const s = (0.45 + 0.5 + 0.56) / 2;
    const area = Math.sqrt(s * (s - 0.45) * (s - 0.5) * (s - 0.56));
    expect(size(d, 'Shortest height of the triangle').value).to.be.closeTo((2 * area) / 0.56, 0.004);
  });

  it('pedal height is the bracket’s less the crank, and the drop the wheel’s radius less the bracket', () => {
    expect(size(d, 'Pedal above the ground').value).to.be.closeTo(0.285 - 0.17, 1e-9);
    const g = donorGeometry(d, 1.7);
    expect(size(d, 'Bracket below the axles').value).to.be.closeTo(g.rearRadiusM - 0.285, 1e-9);
    // 37-622: bead seat and twice the tyre.
    expect(g.rearRadiusM).to.be.closeTo((0.622 + 2 * 0.037) / 2, 0.003);
  });

  it('the front centre is what is left of the wheelbase, over the drop', () => {
    const drop = size(d, 'Bracket below the axles').value;
    const behind = Math.sqrt(0.44 ** 2 - drop ** 2);
    expect(size(d, 'Front centre, cranks to axle').value).to.be.closeTo(Math.hypot(1.05 - behind, drop), 0.002);
  });

  it('errors are the inputs’ added as squares', () => {
    // Bracket height and crank, both by tape: √2 of its error.
    const pedal = size(d, 'Pedal above the ground');
    const one = toleranceOf(d, 'bracketHeight', 0.285);
    const two = toleranceOf(d, 'crankLength', 0.17);
    expect(pedal.error).to.be.closeTo(Math.hypot(one, two), 1e-6);
    expect(pedal.guessed).to.deep.equal([]);
  });

  it('a frozen donor is worked out once, another like it again', () => {
    const frozen = Object.freeze(donor());
    expect(derivedSizes(frozen)).to.equal(derivedSizes(frozen));
    expect(derivedSizes(d)).not.to.equal(derivedSizes(d));
    expect(derivedSizes(d)).to.deep.equal(derivedSizes(frozen));
  });
});

describe('how sure a reading is', () => {
  it('is the tool’s where it was measured: caliper, tape, angle finder', () => {
    const d = donor();
    expect(toleranceOf(d, 'rearSlotWidth', 0.01)).to.equal(0.0002);
    expect(toleranceOf(d, 'wheelbase', 1.05)).to.equal(0.003);
    expect(toleranceOf(d, 'seatTubeAngle', 1.27)).to.be.closeTo((0.5 * Math.PI) / 180, 1e-12);
  });

  it('is 4 % where it is a guess, and never finer than a tape', () => {
    const d = donor();
    delete d.survey.wheelbase;
    expect(toleranceOf(d, 'wheelbase', 1.05)).to.be.closeTo(0.042, 1e-12);
    delete d.survey.rearSlotWidth;
    expect(toleranceOf(d, 'rearSlotWidth', 0.01)).to.equal(0.003);
    expect(toleranceOf(d, 'wheelbase', 0.0749)).to.equal(0.003);
    expect(toleranceOf(d, 'wheelbase', 0.0751)).to.be.closeTo(0.003004, 1e-9);
  });
});

describe('the survey', () => {
  it('counts what is proven, lists what is open in the order of the walk, quick look apart', () => {
    const d = donor();
    const items = itemsFor(d);
    const before = surveyProgress(d);
    expect(before.total).to.equal(items.length);
    expect(before.proven + before.open.length).to.equal(before.total);
    delete d.survey.rearDropoutSpacing;
    if (d.survey.wheelbase) d.survey.wheelbase = { ...d.survey.wheelbase, provenance: 'assumed' };
    const after = surveyProgress(d);
    expect(after.proven).to.equal(before.proven - 2);
    const order = items.map((item) => item.id).filter((id) => after.open.includes(id));
    expect(after.open).to.deep.equal(order);
    const lost = [surveyItem('rearDropoutSpacing'), surveyItem('wheelbase')].filter((item) => item.quick).length;
    expect(after.quick.proven).to.equal(before.quick.proven - lost);
  });

  it('asks an item only of the kinds that have it, and only while nothing found rules it out', () => {
    const met = counted(2);
    for (const kind of vehicleKinds)
      for (const item of surveyItems) {
        const exists = itemExists(item, { kind, survey: {} });
        if (!item.kinds.includes(kind) && met(0)) expect(exists, `${kind} ${item.id}`).to.equal(false);
        else if (!item.when && met(1)) expect(exists, `${kind} ${item.id}`).to.equal(true);
      }
    const rotor = surveyItem('rearRotor');
    const disc = donor({ rearBrake: 'discCable' });
    expect(itemExists(rotor, disc)).to.equal(true);
    expect(itemExists(rotor, donor({ rearBrake: 'rim' }))).to.equal(false);
    met.enough();
  });

  it('says of every item how to take it, why, and what with; a number’s range holds its common values', () => {
    for (const item of surveyItems) {
      expect(item.how.length, item.id).to.be.greaterThan(3);
      expect(item.why.length, item.id).to.be.greaterThan(3);
      if (item.type !== 'number') continue;
      expect(item.low, item.id).to.be.lessThan(item.high);
      for (const value of item.common) expect(value, item.id).to.be.within(item.low, item.high);
    }
  });

  it('has no item of an unknown name', () => {
    expect(() => surveyItem('no-such' as never)).to.throw(RangeError, /no-such/);
  });
});

describe('the walk round the vehicle', () => {
  it('holds every item once, in the survey’s order, with its condition last', () => {
    const d = donor();
    const walk = surveyWalk(d);
    expect(walk.at(-1)?.id).to.equal('condition');
    const survey = walk.slice(0, -1);
    expect(survey.reduce((sum, s) => sum + s.of, 0)).to.equal(itemsFor(d).length);
    expect(survey.reduce((sum, s) => sum + s.done, 0)).to.equal(surveyProgress(d).proven);
    expect(survey.map((s) => s.id)).to.deep.equal([...new Set(itemsFor(d).map((item) => item.group))]);
    expect(walk.at(-1)?.done).to.equal(0);
    d.condition.cracks = { grade: 'sound', note: '' };
    expect(surveyWalk(d).at(-1)?.done).to.equal(1);
  });

  it('goes on to the next station with something open, round past the end, never to where one stands', () => {
    const of = (...done: number[]) =>
      done.map((n, i) => ({ id: surveyGroups[i] ?? 'condition', words: String(i), done: n, of: 2 }) as const);
    expect(nextOpenStation(of(2, 1, 0), 0)?.words).to.equal('1');
    expect(nextOpenStation(of(2, 1, 2), 1)).to.equal(null);
    expect(nextOpenStation(of(1, 2, 1), 2)?.words).to.equal('0');
    expect(nextOpenStation(of(2, 0, 0), -1)?.words).to.equal('1');
    expect(nextOpenStation(of(0, 2, 2), -1)?.words).to.equal('0');
    expect(nextOpenStation(of(2, 2, 2), 0)).to.equal(null);
    expect(nextOpenStation([], -1)).to.equal(null);
  });
});
