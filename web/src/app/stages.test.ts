import { expect } from 'chai';
import {
  newBuild,
  planChosen,
  planContext,
  itemsFor,
  stageIds,
  starterShelf,
  wholePlan,
  judgeCandidates,
} from '@sprocket/core';
import { stages } from './stages.ts';

const build = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
const context = planContext(build, starterShelf);
const plan = wholePlan(build, planChosen(context), judgeCandidates(context));

describe('the list of stages', () => {
  it('is the core’s ten in the order of the work, each with a key of its own', () => {
    expect(stages.map((s) => s.id)).to.deep.equal([...stageIds]);
    expect(stages.map((s) => s.key).join('')).to.equal('1234567890');
    expect(new Set(stages.map((s) => s.label)).size).to.equal(10);
  });

  it('each says what it decides, as the start of a sentence', () => {
    for (const s of stages) expect(s.decides, s.id).to.match(/^[A-Z].{8,}[^.]$/);
  });

  it('the finder finds every field, kit and pack, under its stage’s own address', () => {
    const finds = stages.flatMap((s) => (s.finds?.(build, plan) ?? []).map((f) => ({ stage: s.id, ...f })));
    expect(new Set(finds.map((f) => f.id)).size).to.equal(finds.length);
    for (const f of finds) {
      expect(f.path, f.id).to.match(new RegExp(`^${f.stage}#.`));
      expect(f.label, f.id).not.to.equal('');
      expect(f.description, f.id).to.match(/^(Field|Kit|Pack|Wiring|Parts|Build|Logbook) · ./);
    }
    expect(finds.filter((f) => f.stage === 'donor').length).to.equal(itemsFor(build.donor).length);
    expect(finds.filter((f) => f.stage === 'drive').length).to.equal(starterShelf.kit.length);
    expect(finds.filter((f) => f.stage === 'pack').length).to.equal(starterShelf.pack.length);
  });

  it('a plan not judged yet has its fields found, and no kits or packs', () => {
    const early = wholePlan(build, planChosen(context), null);
    const counts = stages.map((s) => s.finds?.(build, early).length ?? 0);
    expect(counts[1]).to.be.greaterThan(20);
    expect([counts[2], counts[3]]).to.deep.equal([0, 0]);
  });
});
