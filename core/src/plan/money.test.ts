import { priceToday } from '../../test/prices.ts';
import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import { usualLead } from '../build/wiring.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { PlanContext } from '../vehicle/context.ts';
import { planContext } from './context.ts';
import { moneyOf } from './money.ts';
import { planChosen } from './planBuild.ts';
import { world } from '../../test/world.ts';
import { takenBy } from '../fit/judge.ts';

describe('a remedy taken', () => {
  const tight = (): Build => {
    const { build } = world({ survey: { valve: 'narrow' } });
    return build;
  };
  it('is counted in place of the usual one, and weighs', () => {
    const b = tight();
    const before = planChosen(planContext(b, starterShelf));
    const valve = before.findings.find((f) => f.rule === 'valve-hole');
    expect(valve?.remedies.map((r) => r.id)).to.deep.equal(['sleeve', 'tube']);
    expect(before.money.lines.find((l) => l.by.includes('valve-hole'))).to.deep.include({
      part: 'valve-sleeve',
      kind: 'usual',
      price: 2,
    });
    b.fixes = [{ rule: 'valve-hole', subject: 'otter-r250', remedy: 'tube', on: '2026-01-02' }];
    const context = planContext(b, starterShelf);
    const after = planChosen(context);
    expect(after.money.lines.find((l) => l.by.includes('valve-hole'))).to.deep.include({
      part: 'tube',
      kind: 'taken',
      price: 6,
    });
    expect(after.money.conversion - before.money.conversion).to.equal(4);
    // A tube of 160 g.
    expect(context.systemMassKg - planContext({ ...b, fixes: [] }, starterShelf).systemMassKg).to.be.closeTo(
      0.16,
      1e-9,
    );
  });

  it('that no longer applies, is of another part, or overridden, counts nothing', () => {
    const b = tight();
    const taken = (build: Build): string[] =>
      takenBy(PlanContext.of(build, starterShelf)).flatMap((t) => t.takes.map((x) => x.part));
    b.fixes = [{ rule: 'valve-hole', subject: 'otter-r250', remedy: 'tube', on: '2026-01-02' }];
    expect(taken(b)).to.deep.equal(['tube']);
    expect(
      taken({ ...b, fixes: [{ rule: 'valve-hole', subject: 'linnet-f250', remedy: 'tube', on: '2026-01-02' }] }),
    ).to.deep.equal([]);
    expect(
      taken({ ...b, fixes: [{ rule: 'valve-hole', subject: 'otter-r250', remedy: 'gone', on: '2026-01-02' }] }),
    ).to.deep.equal([]);
    expect(
      taken({ ...b, fixes: [{ rule: 'no-such-rule', subject: 'otter-r250', remedy: 'tube', on: '2026-01-02' }] }),
    ).to.deep.equal([]);
    expect(
      taken({
        ...b,
        overrides: [{ rule: 'valve-hole', subject: 'otter-r250', reason: 'it never chafed', on: '2026-01-02' }],
      }),
    ).to.deep.equal([]);
  });
});

describe('money', () => {
  const sums = (b: Build) => {
    const context = planContext(b, starterShelf);
    return moneyOf(context, planChosen(context).findings).money;
  };
  it('is kit, pack, ring and arms by hand, with nothing to mend on a sound city bike', () => {
    const { build } = world({});
    build.choice.torqueArms = 2;
    const m = sums(build);
    const ids = ['otter-r250', 'kettle-36-13', 'torque-arm', 'torque-arm'];
    const small = ['cable-ties', 'sleeve', 'foam-tape', 'fuse-20', 'plug-seals'];
    const sum = [...ids, ...small].map(priceToday).reduce((a, b) => a + b);
    expect(m.parts).to.equal(sum);
    expect(m.conversion).to.equal(m.parts + m.remedies + m.mending);
    build.choice.ringId = 'ring-46-bcd130';
    expect(sums(build).parts).to.equal(sum + priceToday('ring-46-bcd130'));
  });

  it('what is chosen of wiring is in the bill, weighs and moves with its length', () => {
    const { build } = world({});
    const sum = (): { conversion: number; kg: number } => {
      const context = planContext(build, starterShelf);
      return { conversion: planChosen(context).money.parts, kg: context.systemMassKg };
    };
    const before = sum();
    const extension = (mm: number): number => {
      const id = `extension-round-small-6-${mm}`;
      build.wiring.leads.loom = { ...usualLead, way: [], extension: id };
      return starterShelf.extension.find((e) => e.id === id)?.price ?? NaN;
    };
    const short = extension(200);
    expect(sum().conversion - before.conversion).to.be.closeTo(short, 1e-9);
    const long = extension(800);
    expect(long).to.be.greaterThan(short);
    expect(sum().conversion - before.conversion).to.be.closeTo(long, 1e-9);
    expect(sum().kg).to.be.greaterThan(before.kg);
    // Two leads with the same extension are two of it.
    build.wiring.leads.display = { ...usualLead, way: [], extension: 'extension-round-small-6-800' };
    expect(sum().conversion - before.conversion).to.be.closeTo(2 * long, 1e-9);
    // One that is left off needs none.
    build.wiring.leads.display = { ...usualLead, way: [], extension: 'extension-round-small-6-800', leftOff: true };
    expect(sum().conversion - before.conversion).to.be.within(long - 1e-9, long + 4 + 1e-9);
  });

  it('counts mending at the person’s price, else the usual one, and the donor beside it', () => {
    const { build } = world({});
    build.donor.condition = { rust: { grade: 'needsWork', note: '' } };
    const usual = sums(build);
    expect(usual.mending).to.equal(14);
    build.donor.condition = { rust: { grade: 'needsWork', note: '', cost: 20, minutes: 30 } };
    const own = sums(build);
    expect(own.mending).to.equal(20);
    expect(usual.minutes - own.minutes).to.equal(60);
    build.donor.worth.donorPrice = 75;
    expect(sums(build).donor).to.equal(75);
    expect(sums(build).conversion).to.equal(own.conversion);
  });

  it('two findings that want arms at one axle want two arms, not three', () => {
    const { build } = world({ survey: { dropoutMaterial: 'aluminium', rearSlotWidth: '11.5 mm' } });
    build.choice.torqueArms = 1;
    const arms = sums(build).lines.filter((l) => l.part === 'torque-arm');
    expect(arms.map((l) => [l.count, l.place])).to.deep.equal([[2, 'rear axle']]);
    expect(arms[0]?.by).to.include.members(['choice', 'axle-seat', 'axle-slot']);
  });

  it('an empty build costs nothing', () => {
    const m = sums(newBuild('a', 'A', '2026-01-01T00:00:00.000Z'));
    expect(m.parts).to.equal(0);
    expect(m.lines.filter((l) => l.kind === 'chosen')).to.deep.equal([]);
  });
});
