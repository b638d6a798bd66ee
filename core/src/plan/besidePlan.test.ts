import { expect } from 'chai';
import { otherwiseSchema, type Otherwise } from '../build/asBuilt.ts';
import type { Build } from '../build/build.ts';
import { asPlanned, fixPath, stillBuilt, valueAt, withValue } from '../build/differ.ts';
import { readBuildFile, writeBuildFile } from '../formats/buildFile.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { changesFor, differingAt, leftOutChanges, type DifferingFrom } from '../work/steps/differing.ts';
import { demoBuild } from '../../test/demoBuild.ts';
import { besidePlan } from './besidePlan.ts';
import { planContext } from './context.ts';
import { planChosen } from './planBuild.ts';

const fromOf = (build: Build): DifferingFrom => {
  const plan = planChosen(planContext(build, starterShelf));
  const taken = plan.pack.layout.pack?.taken;
  return {
    build,
    shelf: starterShelf,
    kit: plan.chosen.kit,
    pack: plan.chosen.pack,
    place: taken?.place ?? null,
    lies: taken?.lies ?? null,
  };
};

/** The build with a thing of a step built otherwise, as the bench writes it. */
function builtOtherwise(build: Build, step: string, path: string, value: number | string, id = 'o1'): Build {
  const from = fromOf(build);
  const found = planChosen(planContext(build, starterShelf)).build.steps.find((s) => s.id === step);
  if (!found) throw new Error(`no step ${step}`);
  const offer = differingAt(from, found).find((d) => d.path === path);
  if (!offer) throw new Error(`nothing differs at ${step}: ${path}`);
  return told(build, { id, step, changes: changesFor(from, offer, value, 'it was so', '2026-03-01') });
}
function told(build: Build, of: Partial<Otherwise>): Build {
  const record = otherwiseSchema.parse({ id: 'o', step: 's', at: '2026-03-01T10:00', reason: 'it was so', ...of });
  const made = record.changes.reduce((b, c) => withValue(b, c.path, c.is), build);
  return { ...made, built: { ...made.built, otherwise: [...made.built.otherwise, record] } };
}

describe('a thing built otherwise than planned', () => {
  it('changes the build it is judged by, and is put back by what was planned, the last first', () => {
    const build = demoBuild('mixte');
    const arms = builtOtherwise(build, 'arms-ready', 'choice.torqueArms', '2');
    expect(arms.choice.torqueArms).to.equal(2);
    const rolled = builtOtherwise(arms, 'circumference-set', 'wiring.settings.circumference', 2.1, 'o2');
    const more = builtOtherwise(rolled, 'circumference-set', 'wiring.settings.circumference', 2.11, 'o3');
    expect(valueAt(more, 'wiring.settings.circumference')).to.equal(2.11);
    const planned = asPlanned(more);
    expect(planned?.choice.torqueArms).to.equal(build.choice.torqueArms);
    expect(planned?.wiring.settings).to.deep.equal(build.wiring.settings);
    expect({ ...planned, built: build.built }).to.deep.equal(build);
    expect(asPlanned(build)).to.equal(build);
  });

  it('a battery moved up, arms two for one, a washer ground, a slot measured: each judged again, plan beside built', () => {
    const build = demoBuild('mixte');
    const from = fromOf(build);
    const along = from.lies?.alongM ?? NaN;
    const moved = builtOtherwise(build, 'pack-holder', 'choice.packSpot', along + 0.02);
    const beside = besidePlan(moved, starterShelf);
    expect(planChosen(planContext(moved, starterShelf)).pack.layout.pack?.taken.lies?.alongM).to.be.closeTo(
      along + 0.02,
      1e-12,
    );
    expect(beside?.verdict.built).to.equal(planChosen(planContext(moved, starterShelf)).verdict);
    expect(beside?.verdict.planned).to.equal(planChosen(planContext(build, starterShelf)).verdict);

    const far = besidePlan(builtOtherwise(build, 'pack-holder', 'choice.packSpot', along + 0.3), starterShelf);
    const worse = far?.findings[0];
    expect(worse?.built).to.equal('stop');
    expect(worse?.planned).not.to.equal('stop');

    const ground = builtOtherwise(build, 'stack-out', 'arrivals.otter-r250.washerBoreM', 0.013);
    expect(ground.arrivals['otter-r250']?.washerBoreM).to.equal(0.013);
    const slot = builtOtherwise(build, 'try-axle', 'donor.survey.rearSlotWidth', 0.0114);
    expect(slot.donor.survey.rearSlotWidth).to.deep.include({
      value: 0.0114,
      provenance: 'measured',
      note: 'it was so',
    });
    expect(besidePlan(slot, starterShelf)?.findings.map((f) => f.rule)).to.include('axle-slot');
  });

  it('arms fewer than planned stand as a changed verdict, until they are changed again', () => {
    const build = demoBuild('trike');
    const two = { ...build, choice: { ...build.choice, torqueArms: 2 } };
    const none = builtOtherwise(two, 'arms-ready', 'choice.torqueArms', '0');
    const beside = besidePlan(none, starterShelf);
    expect(beside?.findings.map((f) => f.rule)).to.include('axle-seat');
    expect(beside?.changedSince).to.deep.equal([]);
    // Changed again in its own stage: that is a plan of its own.
    none.choice.torqueArms = 1;
    const again = besidePlan(none, starterShelf);
    expect(again?.changedSince).to.deep.equal(['o1']);
    expect(again?.findings).to.deep.equal([]);
  });

  it('nothing that is as planned is a change; another part is one, and a remedy left out is taken back', () => {
    const build = demoBuild('mixte');
    const from = fromOf(build);
    const { steps } = planChosen(planContext(build, starterShelf)).build;
    const arms = steps.find((s) => s.id === 'arms-ready');
    const offer = arms ? differingAt(from, arms)[0] : undefined;
    if (!arms || !offer) throw new Error('no arms');
    expect(changesFor(from, offer, String(build.choice.torqueArms), 'x', '2026-03-01')).to.deep.equal([]);
    expect(leftOutChanges(build, arms)).to.deep.equal([
      { path: 'choice.torqueArms', was: build.choice.torqueArms, is: 0 },
    ]);
    const swapped = builtOtherwise(build, 'measure-kit', 'choice.kitId', 'otter-r500');
    expect(planChosen(planContext(swapped, starterShelf)).chosen.kit?.id).to.equal('otter-r500');
    expect(besidePlan(swapped, starterShelf)?.figures.map((f) => f.id)).to.include('topSpeed');

    const finding = planChosen(planContext(build, starterShelf)).findings.find((f) => f.rule === 'dropout-spacing');
    const remedy = finding?.remedies.find((r) => r.does === 'work' || r.does === 'buy');
    if (!finding || !remedy) throw new Error('no remedy');
    build.fixes = [{ rule: finding.rule, subject: finding.subject ?? 'donor', remedy: remedy.id, on: '2026-03-01' }];
    const fixed = planChosen(planContext(build, starterShelf)).build.steps.find((s) => s.rule === finding.rule);
    if (!fixed) throw new Error('no step');
    const changes = leftOutChanges(build, fixed);
    expect(changes.map((c) => c.path)).to.deep.equal([fixPath(finding.rule, finding.subject ?? 'donor')]);
    const left = told(build, { id: 'left', step: fixed.id, changes });
    expect(left.fixes).to.deep.equal([]);
    expect(asPlanned(left)?.fixes).to.deep.equal(build.fixes);
    expect(besidePlan(left, starterShelf)?.findings.find((f) => f.rule === finding.rule)).to.deep.include({
      planned: 'fits',
      built: 'rework',
    });
  });

  it('is kept in the file; a path to anything else, or without a reason, is refused by name', () => {
    const build = builtOtherwise(demoBuild('mixte'), 'arms-ready', 'choice.torqueArms', '2');
    const read = readBuildFile(writeBuildFile(build));
    expect(read.ok && read.value).to.deep.equal(build);
    const refused = (otherwise: object): string => {
      const r = readBuildFile(
        writeBuildFile({
          ...build,
          built: { ...build.built, otherwise: [{ ...build.built.otherwise[0], ...otherwise }] },
        } as Build),
      );
      return r.ok ? 'read' : r.problems.map((p) => p.path).join();
    };
    expect(refused({})).to.equal('read');
    for (const path of [
      'id',
      'bill.lines.x',
      'choice.torqueArms.x',
      'donor.survey.__proto__',
      'arrivals.__proto__.polluted',
      'arrivals.constructor.prototype',
      'wiring.levers.middle.restM',
    ])
      expect(refused({ changes: [{ path, was: null, is: 1 }] }), path).to.equal('built.otherwise[0].changes[0].path');
    expect(refused({ reason: '  ' })).to.equal('built.otherwise[0].reason');
    expect(refused({ step: '' })).to.equal('built.otherwise[0].step');
  });

  it('a planned value that no build may hold says so instead of a comparison', () => {
    const build = builtOtherwise(demoBuild('mixte'), 'arms-ready', 'choice.torqueArms', '2');
    const first = build.built.otherwise[0];
    if (!first?.changes[0]) throw new Error('no change');
    expect(stillBuilt(build, first)).to.equal(true);
    first.changes[0].was = 'many';
    expect(asPlanned(build)).to.equal(null);
    expect(besidePlan(build, starterShelf)).to.equal(null);
  });
});
