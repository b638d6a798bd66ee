import { expect } from 'chai';
import { remedyDoes, remedyPlaces } from '../build/remedy.ts';
import { vehicleKinds } from '../donor/kinds.ts';
import { partById } from '../parts/part.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { phraseText } from '../quantity/format.ts';
import { PlanContext } from '../vehicle/context.ts';
import { derailleur9, disc, hubGear } from '../../test/city.ts';
import { judged, world, type WorldOf } from '../../test/world.ts';
import type { Finding } from './finding.ts';
import { judgeAbout } from './judge.ts';
import { counted } from '../../test/counted.ts';

/** Builds that between them bring most remedies out: kinds, brakes, gears, schools, kits of every family. */
function* everyFinding(): Generator<Finding> {
  const surveys = [
    {},
    disc,
    { ...disc, ...derailleur9 },
    hubGear,
    {
      frameMaterial: 'aluminium',
      dropoutMaterial: 'aluminium',
      rearDropoutSpacing: '131 mm',
      tapeWidth: '10 mm',
      stand: 'none',
      bosses: 'none',
      hanger: 'claw',
      parkingLock: 'no',
      frontTips: 'recessed',
      bracketBore: '41 mm',
      valve: 'narrow',
    },
  ];
  for (const kind of vehicleKinds)
    for (const survey of surveys)
      for (const fits of [0, 2]) {
        const { build } = world({ kind, survey: (survey as WorldOf['survey']) ?? {} });
        build.choice.torqueArms = fits;
        build.choice.usesThrottle = fits === 0;
        if (fits === 0)
          build.schools = {
            ...build.schools,
            midArm: 'always',
            hubGearMid: 'complexity',
            rimBrakes: 'discs',
            throttle: 'full',
            kitSource: 'oneSupplier',
          };
        const context = PlanContext.of(build, starterShelf, false);
        for (const kit of starterShelf.kit.filter((_k, i) => i % 4 === fits))
          yield* judgeAbout('kit', context.with(kit, context.pack)).findings;
        yield* judgeAbout('pack', context).findings;
        yield* judgeAbout('donor', context).findings;
        yield* judgeAbout('plan', context).findings;
      }
}

describe('remedies are data', () => {
  it('each names its kind, takes what the shelf has to places that are, and one thing a sentence', function () {
    const met = counted(2);
    let seen = 0;
    for (const f of everyFinding()) {
      expect(new Set(f.remedies.map((r) => r.id)).size, `${f.rule}: two remedies of one id`).to.equal(
        f.remedies.length,
      );
      for (const r of f.remedies) {
        seen++;
        const where = `${f.rule} ${r.id}`;
        const text = phraseText(r.text, 'metric');
        expect(remedyDoes, where).to.include(r.does);
        expect(r.work, where).to.be.at.least(0);
        expect(text, where).to.match(/^[A-Z\d]/);
        if (r.does === 'buy' && met(0)) expect(r.takes, where).not.to.deep.equal([]);
        if ((r.does === 'measure' || r.does === 'ask' || r.does === 'choose') && met(1))
          expect(r.takes, where).to.deep.equal([]);
        for (const t of r.takes) {
          expect(partById(starterShelf, t.part), `${where} takes ${t.part}`).not.to.equal(undefined);
          expect(remedyPlaces, where).to.include(t.place);
          expect(t.count, where).to.be.greaterThan(0);
        }
        for (const tool of r.tools) expect(partById(starterShelf, tool)?.kind, where).to.equal('tool');
        // "Do this, or that" is two remedies; how a thing is measured is the survey's own words.
        if (!r.item)
          expect(text, where).not.to.match(/, or (a|an|set|fit|choose|add|drive|tie|hold|write|file|in|carry|put) /i);
      }
    }
    expect(seen).to.be.greaterThan(2000);
    met.enough();
  });

  it('an arm is bought only where one is added: two arms that are not enough want less current', () => {
    const stress = (arms: number, nm: number): Finding | null =>
      judged(
        'axle-stress',
        world({
          edit: (w) => {
            w.build.choice.torqueArms = arms;
            const m = w.kit.motor;
            w.kit.controller.phaseLimitA = (nm / (m.reduction * m.gearEfficiency) + m.coulombNm) / m.ktNmPerA;
          },
        }),
      );
    const takes = (f: Finding | null): number[] =>
      f?.remedies.map((r) => r.takes.reduce((n, t) => n + t.count, 0)) ?? [];
    expect(takes(stress(0, 60))).to.deep.equal([1, 0]);
    expect(takes(stress(1, 100))).to.deep.equal([2, 0]);
    expect(takes(stress(2, 500))).to.deep.equal([0]);
    expect(stress(1, 100)?.remedies[0]?.sets).to.deep.equal({ torqueArms: 2 });
  });
});
