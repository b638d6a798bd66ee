import { expect } from 'chai';
import { demoBuild } from '../../../test/demoBuild.ts';
import type { Build } from '../../build/build.ts';
import type { Doc } from '../../formats/doc.ts';
import { docHtml } from '../../formats/docHtml.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { judgeCandidates } from '../candidates.ts';
import { planContext } from '../context.ts';
import { planChosen, wholePlan } from '../planBuild.ts';
import { handoverDoc } from './handover.ts';
import { reportDoc } from './report.ts';
import { counted } from '../../../test/counted.ts';

const names = ['mixte', 'trike', 'box', 'lockkeeper', 'gravel'] as const;
const NOW = '2026-11-20T12:00';
const planned = (build: Build) => {
  const context = planContext(build, starterShelf);
  return { context, plan: wholePlan(build, planChosen(context), judgeCandidates(context)) };
};
const handover = (build: Build): Doc => {
  const { context, plan } = planned(build);
  return handoverDoc(context, plan, build);
};
const words = (doc: Doc, units: 'metric' | 'imperial' = 'metric'): string =>
  docHtml(doc, units)
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ');

describe('the handover sheet', () => {
  it('tells what the plan tells, in either unit, for each of the demo’s builds', () => {
    const met = counted(3);
    for (const name of names) {
      const build = demoBuild(name);
      const doc = handover(build);
      const said = words(doc);
      const { context, plan } = planned(build);
      expect(said, name).to.include(build.name);
      if (context.kit && met(0)) expect(said).to.include(context.kit.name);
      if (context.pack && met(1)) expect(said).to.include('Charging and keeping the battery');
      const range = plan.figures.find((f) => f.id === 'range');
      if (range?.band && met(2)) expect(said).to.include(`${Math.round(range.band.low.si / 1000)} km on a bad day`);
      expect(words(doc, 'imperial'), name).not.to.match(/\d km\b(?!\/)/);
      expect(said).to.include('qualified people have the last word');
      expect(said).not.to.match(/NaN|undefined|null|Infinity|\[object/);
    }
    met.enough();
  });

  it('says what was set aside and why, what was proved and not, whose it is, and its dates', () => {
    const mixte = demoBuild('mixte');
    const { plan } = planned(mixte);
    const finding = plan.findings.find((f) => f.verdict === 'rework');
    const line = plan.parts.bill.lines[0];
    if (!finding || !line) throw new Error();
    const build: Build = {
      ...mixte,
      overrides: [
        {
          rule: finding.rule,
          subject: finding.subject ?? 'donor',
          reason: 'it never mattered in years',
          on: '2026-01-01',
        },
      ],
      log: {
        ...mixte.log,
        handover: {
          owner: 'Runa',
          maker: 'Shed',
          on: '2026-05-05',
          words: 'Mind the step.',
          guarantees: { [line.key]: '2028-05-05' },
        },
      },
    };
    const said = words(handover(build));
    for (const wanted of [
      finding.title.slice(0, 12),
      'it never mattered in years',
      'for Runa, 2026-05-05',
      'Shed',
      'Mind the step.',
      '2028-05-05',
      line.name,
      'Nothing was proved',
    ])
      expect(said).to.include(wanted);
    const proved = words(handover(demoBuild('gravel')));
    expect(proved).to.match(/\d+ tests tried by .*Signe/);
    expect(proved).to.include('one pair of scales, and nobody to hold it');
  });
});

describe('the report', () => {
  it('holds every finding with why and source, every figure with its sum, bill, steps and log', () => {
    for (const name of names) {
      const build = demoBuild(name);
      const { context, plan } = planned(build);
      const doc = reportDoc(context, plan, build, NOW, [
        { item: 'rearDropoutSpacing', on: '2026-03-01', dataUrl: 'data:image/png;base64,AAAA' },
        { item: 'step:look-over', on: '2026-03-02', dataUrl: 'data:image/png;base64,AAAA' },
        { item: 'something', on: '2026-03-03', dataUrl: 'data:image/png;base64,AAAA' },
      ]);
      const rows = doc.blocks.filter((b) => b.kind === 'table');
      const count = (caption: RegExp): number =>
        rows.filter((t) => caption.test(t.caption)).reduce((sum, t) => sum + t.rows.length, 0);
      expect(count(/^Findings/), name).to.equal(plan.findings.length);
      expect(count(/^Parts, /), name).to.equal(plan.parts.bill.lines.length + 1);
      expect(count(/^Steps/), name).to.equal(plan.build.steps.length);
      const said = words(doc);
      for (const f of plan.figures) expect(said, name).to.include(f.label);
      for (const caption of [/something, 2026-03-03/, /\w, 2026-03-01/, /\w, 2026-03-02/])
        expect(said).to.match(caption);
      expect(said).not.to.match(/rearDropoutSpacing|step:look-over/);
      expect(said).not.to.match(/NaN|undefined|Infinity|\[object/);
    }
    const box = demoBuild('box');
    const { context, plan } = planned(box);
    const said = words(reportDoc(context, plan, box, NOW));
    expect(said).to.match(/482 km in 54 rides/);
    expect(said).to.include('Motor dead at the kerb');
    const keeper = demoBuild('lockkeeper');
    const of = planned(keeper);
    expect(words(reportDoc(of.context, of.plan, keeper, NOW))).to.match(/Would do it again Yes, as it is/);
  });
});
