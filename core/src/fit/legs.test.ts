import { expect } from 'chai';
import { legsOf, WEAK_LEGS_W } from '../build/legs.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import { usualBrief, usualRider } from '../build/brief.ts';
import { fromRest } from '../ride/fromRest.ts';
import { steadyLoad } from '../ride/steady.ts';
import { contextOf, grade, judged, world, type WorldOf } from '../../test/world.ts';
import { judgeAbout } from './judge.ts';
import { legsDo } from '../plan/legsDo.ts';
import { planChosen } from '../plan/planBuild.ts';
import { rideSheet } from '../plan/rideSheet.ts';
import { summaryOf } from '../plan/summary.ts';
import { phraseText } from '../quantity/format.ts';

const rider = (effort: 'none' | 'easy', factor = 1) => ({ ...usualRider(), effort, factor, ageYears: 40 });
const riding = (of: Parameters<typeof rider>, more: WorldOf & { law?: string; throttle?: boolean } = {}) =>
  world({
    ...more,
    edit: (made) => {
      made.build.brief.riders = [rider(...of)];
      made.build.brief.legalClass = more.law ?? 'epac25';
      made.build.choice.usesThrottle = more.throttle ?? false;
      more.edit?.(made);
    },
  });
const withThrottle = starterShelf.kit.find((k) => k.throttle && k.hub)?.id ?? '';
const without = starterShelf.kit.find((k) => !k.throttle && k.hub)?.id ?? '';
const said = (made: ReturnType<typeof riding>): string => {
  const f = judged('legs', made);
  return f ? `${f.verdict}: ${f.title}` : 'nothing';
};

describe('riders without legs, or with few', () => {
  it('are one judgement with class and throttle', () => {
    expect(said(riding(['easy'], { kit: without }))).to.equal('nothing');
    for (const kit of [withThrottle, without])
      expect(said(riding(['none'], { kit }))).to.equal('stop: Nobody pedals, and the class helps only who pedals');
    expect(said(riding(['none'], { kit: without, law: 'powered32' }))).to.equal(
      'stop: Nobody pedals, and the kit has no throttle',
    );
    expect(said(riding(['none'], { kit: withThrottle, law: 'powered32' }))).to.equal(
      'rework: Nobody pedals, and the throttle is not in use',
    );
    expect(said(riding(['none'], { kit: withThrottle, law: 'powered32', throttle: true }))).to.equal(
      'fits: The throttle drives it alone',
    );
    // A passenger’s legs count where they have cranks.
    const two = riding(['none'], {
      kit: without,
      kind: 'tandem',
      edit: ({ build }) => {
        build.brief.riders.push(rider('easy'));
        build.brief.aboard.push({ rider: 1, seat: 'second', pedals: true });
      },
    });
    expect(said(two)).to.equal('nothing');
  });

  it('where nothing drives it no figure of a ride is shown, on the sheet or in the line on the bench', () => {
    const made = riding(['none'], { kit: withThrottle });
    const context = contextOf(made);
    expect(context.standsStill).to.equal(true);
    const plan = planChosen(context);
    for (const id of ['range', 'topSpeed', 'startGrade', 'climb']) {
      const figure = plan.figures.find((f) => f.id === id);
      expect(figure?.value, id).to.equal(null);
      expect(phraseText(figure?.note ?? [], 'metric'), id).to.equal('nobody pedals and no throttle drives it');
    }
    expect([summaryOf(plan).rangeM, rideSheet(context), legsDo(context)]).to.deep.equal([null, null, []]);
    // A throttle tied to walking pace drives nobody along the road.
    const walking = riding(['none'], { kit: withThrottle, throttle: true });
    expect(contextOf(walking).standsStill).to.equal(true);
    for (const [law, throttle] of [['powered32', true]] as const)
      expect(contextOf(riding(['none'], { kit: withThrottle, law, throttle })).standsStill).to.equal(false);
    expect(contextOf(riding(['easy'], { kit: without })).standsStill).to.equal(false);
  });

  it('a torque sensor gives weak legs little; a level helps who turns the cranks', () => {
    const few = WEAK_LEGS_W / 50 - 0.01;
    const inProportion = starterShelf.kit.find((k) => k.assist && !k.assist.laws.includes('level'))?.id ?? '';
    expect(said(riding(['easy', few], { kit: inProportion }))).to.equal('rework: Help in proportion to weak legs');
    expect(said(riding(['easy', few], { kit: without }))).to.equal('fits: Helps weak legs');
    expect(said(riding(['easy', WEAK_LEGS_W / 50], { kit: inProportion }))).to.equal('nothing');
  });

  it('nobody without legs is advised to use them', () => {
    let stops = 0;
    for (const kind of vehicleKinds.filter((_, i) => i % 4 === 0))
      for (const { id } of starterShelf.kit)
        for (const law of ['epac25', 'powered32']) {
          const made = riding(['none'], { kit: id, kind, law, throttle: true });
          grade(made, 0.14);
          const context = contextOf(made);
          const found = [...judgeAbout('kit', context).findings, ...judgeAbout('plan', context).findings];
          const remedies = found.flatMap((f) => f.remedies).map((r) => JSON.stringify(r.text));
          expect(
            remedies.filter((t) => /with the legs|push hard|throttle off/.test(t)),
            `${id} on ${kind}`,
          ).to.deep.equal([]);
          // Where it does not set off, no finding of the start may say that it goes.
          if (context.fromRest === 'not at all') {
            const start = found.find((f) => f.rule.startsWith('start-need'));
            expect(start?.verdict, `${id} on ${kind}`).to.equal('stop');
            stops++;
          }
        }
    expect(stops).to.be.greaterThan(5);
  });

  it('watts of legs are those of all who pedal', () => {
    const brief = usualBrief();
    expect(legsOf(brief)).to.equal(50);
    brief.aboard = [{ rider: 0, seat: 'main', pedals: false }];
    expect(legsOf(brief)).to.equal(0);
  });
});

describe('a start from rest', () => {
  const { hill } = contextOf(world({})).reckoning ?? {};
  if (!hill) throw new Error('nothing reckoned');
  const free = { capGrade: 1, driven: 'rear' as const };

  it('is the least of motor, grip and lift, by motor alone, with legs or not', () => {
    expect(fromRest(hill, 0.02, free)).to.equal('motor alone');
    expect(fromRest(hill, 0.9, free)).to.equal('not at all');
    expect(fromRest(hill, 0.02, { capGrade: 0.01, driven: 'rear' })).to.equal('not at all');
    // The legs drive the rear wheel: they help a front motor past its own grip.
    expect(fromRest(hill, 0.02, { capGrade: 0.01, driven: 'front' })).to.equal('with the legs');
    const noLegs = { ...hill, rider: { ...hill.rider, powerW: 0 } };
    expect(fromRest(noLegs, 0.02, { capGrade: 0.01, driven: 'front' })).to.equal('not at all');
  });

  it('a heavier load never sets off where a lighter does not', () => {
    const order = ['not at all', 'with the legs', 'motor alone'];
    for (let g = 0.01; g < 0.4; g += 0.01)
      for (const kg of [5, 20, 60]) {
        const heavy = { ...hill, vehicle: { ...hill.vehicle, massKg: hill.vehicle.massKg + kg } };
        expect(order.indexOf(fromRest(heavy, g, free))).to.be.at.most(order.indexOf(fromRest(hill, g, free)));
        expect(steadyLoad(heavy, 0, g, 0)).to.be.greaterThan(steadyLoad(hill, 0, g, 0));
      }
  });
});
