import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen, type ChosenPlan } from '../plan/planBuild.ts';
import { phraseText } from '../quantity/format.ts';
import { city, disc, hubGear } from '../../test/city.ts';
import { typedSurvey, type Typed } from '../../test/typed.ts';
import { canBeTaken, type Finding } from './finding.ts';
import { takenBy } from './judge.ts';

/** A city bike with a kit, a survey and what is changed. */
function build(kitId: string, survey: Typed, edit: (b: Build) => void = () => undefined): Build {
  const b = newBuild('fixed', 'Fixed', '2026-01-01T00:00:00.000Z');
  b.donor.survey = typedSurvey({ ...city, ...survey });
  b.choice.kitId = kitId;
  b.choice.packId = 'kettle-36-13';
  edit(b);
  return b;
}
const taking = (b: Build, rule: string, remedy: string, subject = b.choice.kitId ?? ''): Build => ({
  ...b,
  fixes: [...b.fixes, { rule, subject, remedy, on: '2026-03-01' }],
});
const plan = (b: Build): ChosenPlan => planChosen(planContext(b, starterShelf));
const of = (b: Build, rule: string): Finding => {
  const found = plan(b).findings.find((f) => f.rule === rule);
  if (!found) throw new Error(`no ${rule}`);
  return found;
};

describe('a remedy chosen in its finding', () => {
  const claw = build('otter-r250', { hanger: 'claw' });

  it('settles rework that the rule cannot see on the vehicle: it fits with that part', () => {
    expect(of(claw, 'hanger').verdict).to.equal('rework');
    const f = of(taking(claw, 'hanger', 'bolt-claw'), 'hanger');
    expect(f.verdict).to.equal('fits');
    expect(f.title).to.equal('Fits with hanger bolt and plate');
    expect(f.fixed).to.deep.equal({
      remedy: 'bolt-claw',
      on: '2026-03-01',
      was: 'rework',
      because: 'Claw hanger on a motor axle',
    });
    expect(phraseText(f.why, 'metric')).to.match(/To be mended so: Bolt the claw/);
    // It can be taken back: the remedies stay.
    expect(f.remedies.map((r) => r.id)).to.include('bolt-claw');
  });

  it('is judged on the vehicle where the rule can see it', () => {
    const slack = build('wren-m250', {
      clusterKind: 'single',
      rearAxleHolding: 'verticalSlot',
      tensioner: 'no',
      cogTeeth: '18',
    });
    expect(of(slack, 'chain-tension').verdict).to.equal('rework');
    const f = of(taking(slack, 'chain-tension', 'tensioner'), 'chain-tension');
    expect(f.verdict).to.equal('fits');
    expect(f.title).to.equal('A tensioner keeps the chain tight');
    expect(f.fixed?.because).to.equal('Nothing tightens the chain');
  });

  it('changes what every other rule is told: a disc taken for the brakes is a disc for the sheet of cautions', () => {
    const fast = build('otter-r500', {}, (b) => (b.choice.assistLimitMs = 9));
    const brakes = of(fast, 'brakes-enough');
    expect(brakes.title).to.match(/Rim brakes above 25/);
    const after = taking(fast, 'brakes-enough', 'front-disc');
    expect(of(after, 'brakes-enough').verdict).to.equal('fits');
    expect(planContext(after, starterShelf).asItWillBe.brakes.front).to.equal('discCable');
    expect(planContext(after, starterShelf).asItIs.brakes.front).to.equal('rim');
  });

  it('a stop is never settled by saying so: only where the vehicle is judged otherwise', () => {
    const sprung = build('linnet-f250', { forkKind: 'suspension' });
    const stop = of(sprung, 'axle-seat');
    expect(stop.verdict).to.equal('stop');
    const f = of(taking(sprung, 'axle-seat', 'steel-fork'), 'axle-seat');
    // A rigid steel fork wants its two arms; it no longer stops.
    expect(f.verdict).to.equal('rework');
    expect(f.title).to.match(/torque arms/);
    expect(of(taking(sprung, 'axle-seat', 'no-such'), 'axle-seat').verdict).to.equal('stop');
    const crack = build('otter-r250', {}, (b) => (b.donor.condition.cracks = { grade: 'needsWork', note: '' }));
    expect(of(taking(crack, 'condition-cracks', 'mend', 'donor'), 'condition-cracks').verdict).to.equal('stop');
  });

  it('a stop is lifted where the part’s own data lifts it: a stronger wheel, a slim caliper, a stand that bears more', () => {
    const heavy = build('otter-r250', { rearWheelShare: '118 kg', stand: 'side', standLimit: '12 kg' }, (b) => {
      b.brief.cargoKg = 20;
      b.brief.riders.forEach((r) => (r.massKg = 115));
    });
    expect(of(heavy, 'wheel-load').verdict).to.equal('stop');
    const wheel = of(taking(heavy, 'wheel-load', 'strong-wheel'), 'wheel-load');
    expect(wheel.verdict).to.equal('fits');
    expect(wheel.fixed?.was).to.equal('stop');
    const stand = of(taking(heavy, 'stand-load', 'stand'), 'stand-load');
    expect(stand.verdict).to.equal('fits');
    expect(stand.title).to.equal('The stand bears it');
    const tight = build('otter-r250', { ...disc, rearCaliperReach: '20 mm' });
    expect(of(tight, 'caliper-room').verdict).to.equal('stop');
    expect(of(taking(tight, 'caliper-room', 'slim-caliper'), 'caliper-room').verdict).to.equal('fits');
  });

  it('an arm taken in a washer’s place does not lengthen the stack it was to shorten', () => {
    const short = build('otter-r250', { rearDropoutThickness: '8.9 mm' }, (b) => (b.choice.torqueArms = 0));
    for (let mm = 4; mm < 30; mm += 0.5) {
      const b = {
        ...short,
        donor: { ...short.donor, survey: typedSurvey({ ...city, rearDropoutThickness: `${mm} mm` }) },
      };
      if (of(b, 'axle-stack').verdict !== 'rework') continue;
      expect(of(taking(b, 'axle-stack', 'arm-for-washer'), 'axle-stack').verdict).to.equal('fits');
      return;
    }
    throw new Error('no stack lacked a little thread');
  });

  it('weighs, costs and is one part, whoever wanted it too', () => {
    const arms = build('heron-d1000', {}, (b) => (b.choice.torqueArms = 1));
    const before = plan(claw);
    const after = plan(taking(claw, 'hanger', 'bolt-claw'));
    const kg = (p: ChosenPlan): number => p.figures.find((f) => f.id === 'mass')?.value?.si ?? NaN;
    const bolt = starterShelf.fitting.find((f) => f.id === 'hanger-bolt');
    expect(kg(after) - kg(before)).to.be.closeTo(bolt?.massKg ?? NaN, 1e-9);
    expect(after.money.lines.filter((l) => l.part === 'hanger-bolt').map((l) => [l.kind, l.count])).to.deep.equal([
      ['taken', 1],
    ]);
    expect(after.money.conversion).to.equal(before.money.conversion);
    expect(plan(arms).money.lines.filter((l) => l.part.startsWith('torque-arm')).length).to.equal(1);
  });

  it('stands aside where the finding was overridden, and where it no longer applies', () => {
    const fixed = taking(claw, 'hanger', 'bolt-claw');
    const held: Build = {
      ...fixed,
      overrides: [{ rule: 'hanger', subject: 'otter-r250', reason: 'it never crept in years', on: '2026-01-01' }],
    };
    expect(of(held, 'hanger').fixed).to.equal(undefined);
    expect(of(held, 'hanger').override?.reason).to.match(/never crept/);
    const sound = taking(build('otter-r250', {}), 'hanger', 'bolt-claw');
    expect(of(sound, 'hanger').fixed).to.equal(undefined);
    expect(takenBy(planContext(sound, starterShelf))).to.deep.equal([]);
  });

  it('is for its own kit: another that is looked at has none of its parts', () => {
    const context = planContext(taking(claw, 'hanger', 'bolt-claw'), starterShelf);
    expect(context.taken.map((t) => t.part)).to.deep.equal(['hanger-bolt']);
    const other = starterShelf.kit.find((k) => k.id === 'pochard-r350') ?? null;
    expect(context.with(other, context.pack).taken).to.deep.equal([]);
  });

  it('a second remedy that only shows with the first on is found as well', () => {
    const gears = taking(build('otter-r250', hubGear), 'cluster-mount', 'derailleur-gears');
    const context = planContext(gears, starterShelf);
    expect(context.gearing.cluster?.mount).to.equal('freewheel');
    expect(of(gears, 'cluster-mount').verdict).to.equal('fits');
    const shifter = of(gears, 'shifter-match');
    expect(shifter.verdict).to.equal('rework');
    const both = taking(gears, 'shifter-match', 'shifter');
    expect(of(both, 'shifter-match').verdict).to.equal('fits');
  });

  it('is what is bought, worked or set; choosing, measuring and asking are not', () => {
    const remedy = of(claw, 'hanger').remedies[0];
    if (!remedy) throw new Error('no remedy');
    expect(canBeTaken({ verdict: 'rework' }, remedy)).to.equal(true);
    expect(canBeTaken({ verdict: 'measure' }, remedy)).to.equal(false);
    for (const does of ['choose', 'measure', 'ask'] as const)
      expect(canBeTaken({ verdict: 'rework' }, { ...remedy, does })).to.equal(false);
    expect(canBeTaken({ verdict: 'rework' }, { ...remedy, sets: { torqueArms: 2 } })).to.equal(false);
  });
});
