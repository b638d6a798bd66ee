import { expect } from 'chai';
import { contextOf, grade, measure, world } from '../../test/world.ts';
import type { Build } from '../build/build.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { phrase, phraseText } from '../quantity/format.ts';
import type { Finding } from './finding.ts';
import { firstStop, judgeAbout, judgeBy, ruleById, ruleCatalog, rulesUsing, standing, tempered } from './judge.ts';
import { holdsBack, withOverride } from './override.ts';

const finding = (more: Partial<Finding>): Finding => ({
  rule: 'axle-slot',
  stage: 'drive',
  verdict: 'measure',
  title: 'Axle',
  why: phrase`because`,
  evidence: [],
  source: 'a hand',
  remedies: [],
  subject: 'otter',
  ...more,
});
const override = { rule: 'axle-slot', subject: 'otter', reason: 'filed and tried', on: '2026-02-03' };

describe('a finding set aside', () => {
  it('keeps its verdict and carries the reason, where rule and part are the same', () => {
    const f = finding({});
    expect(
      withOverride(f, [
        { ...override, rule: 'other' },
        { ...override, subject: 'wren' },
      ]),
    ).to.equal(f);
    expect(withOverride(f, [])).to.equal(f);
    expect(withOverride(f, [{ ...override, rule: 'other' }, override])).to.deep.equal({
      ...f,
      override: { reason: 'filed and tried', on: '2026-02-03' },
    });
  });

  it('is none where all fits anyway', () => {
    const f = finding({ verdict: 'fits' });
    expect(withOverride(f, [override])).to.equal(f);
  });

  it('no longer holds an order back; what must fit and is unmeasured does', () => {
    const must = finding({ fitCritical: true });
    const list = [
      must,
      finding({}),
      finding({ fitCritical: false }),
      finding({ fitCritical: true, verdict: 'stop' }),
      finding({ fitCritical: true, verdict: 'fits' }),
      withOverride(must, [override]),
    ];
    expect(holdsBack(list)).to.deep.equal([must]);
  });

  it('no longer counts in what stands', () => {
    const stop = finding({ verdict: 'stop' });
    const aside = withOverride(stop, [override]);
    expect(standing([stop, finding({ verdict: 'fits' })])).to.equal('stop');
    expect(standing([aside, finding({ verdict: 'rework' })])).to.equal('rework');
    expect(standing([aside])).to.equal('fits');
    expect(standing([])).to.equal('measure');
    expect(standing([finding({ verdict: 'fits' })])).to.equal('fits');
  });
});

describe('the first thing that stops a kit', () => {
  it('is a stop of a rule about kits, and none where none stops', () => {
    const good = contextOf(world({}));
    expect(firstStop('kit', good)).to.equal(null);
    const bad = contextOf(world({ edit: (b) => measure(b, 'rearDropoutSpacing', 0.1) }));
    const found = firstStop('kit', bad);
    expect(found?.verdict).to.equal('stop');
    expect(
      judgeAbout('kit', bad)
        .findings.filter((f) => f.verdict === 'stop')
        .map((f) => f.rule),
    ).to.include(found?.rule);
    expect(firstStop('donor', bad)).to.equal(null);
  });

  it('is not one that was set aside', () => {
    const w = world({ edit: (b) => measure(b, 'rearDropoutSpacing', 0.1) });
    const stops = judgeAbout('kit', contextOf(w)).findings.filter((f) => f.verdict === 'stop');
    const build: Build = {
      ...w.build,
      overrides: stops.map((f) => ({
        rule: f.rule,
        subject: f.subject ?? '',
        reason: 'cold set by hand',
        on: '2026-02-03',
      })),
    };
    expect(firstStop('kit', contextOf(w).on(build))).to.equal(null);
    const all = judgeAbout('kit', contextOf(w).on(build));
    expect(all.findings.filter((f) => f.override).length).to.equal(stops.length);
    expect(all.verdict).not.to.equal('stop');
  });
});

describe('a verdict that rests on a guess', () => {
  const guess = (id: SurveyItemId, si: number) => {
    const w = world({ edit: (b) => measure(b, id, si) });
    const entry = w.build.donor.survey[id];
    const survey = { ...w.build.donor.survey, [id]: { ...entry, provenance: 'assumed' } };
    return { w, context: contextOf(w).on({ ...w.build, donor: { ...w.build.donor, survey } as Build['donor'] }) };
  };

  it('becomes “measure”, says on which guess, and measuring comes first', () => {
    const rule = ruleById('dropout-spacing');
    if (!rule) throw new Error('no rule');
    const { w, context } = guess('rearDropoutSpacing', 0.1);
    expect(rule.judge(context)?.verdict).to.equal('stop');
    const soft = tempered(rule, context);
    expect(soft?.verdict).to.equal('measure');
    expect(soft?.title).to.match(/, if the guess is right$/);
    expect(phraseText(soft?.why ?? [], 'metric')).to.match(/rests on a guess: rear dropout spacing is assumed\.$/);
    expect(phraseText(soft?.why ?? [], 'metric').length).to.be.greaterThan(60);
    expect(soft?.remedies[0]?.does).to.equal('measure');
    expect(soft?.remedies.length).to.equal((rule.judge(context)?.remedies.length ?? 0) + 1);
    // Measured, the same stop stands as it is.
    expect(tempered(rule, contextOf(w))).to.deep.equal(rule.judge(contextOf(w)));
  });

  it('is left alone where all fits, and where nothing was guessed', () => {
    const rule = ruleById('dropout-spacing');
    if (!rule) throw new Error('no rule');
    const { context } = guess('rearDropoutSpacing', 0.135);
    expect(tempered(rule, context)).to.deep.equal(rule.judge(context));
    expect(['stop', 'rework']).not.to.include(tempered(rule, context)?.verdict);
  });
});

describe('rules that look at an item', () => {
  it('are named by their words, all of them and no other', () => {
    const words = rulesUsing('rearDropoutSpacing');
    expect(words.length).to.be.greaterThan(0);
    for (const rule of ruleCatalog)
      expect(words.includes(rule.words), rule.id).to.equal(rule.uses.includes('rearDropoutSpacing'));
  });
});

describe('a start that balance forbids', () => {
  it('is “measure” while the wheelbase is not measured, and says that it decides', () => {
    const said = (wheelbase: string) => {
      const w = world({ survey: { wheelbase } });
      w.build.brief.cargoKg = 60;
      w.build.brief.panniers = true;
      w.kit.motor.resistanceOhm = 0.02;
      w.kit.controller.phaseLimitA *= 3;
      const [rider] = w.build.brief.riders;
      if (rider) Object.assign(rider, { effort: 'hard', massKg: 50 });
      grade(w, 0.19);
      const rule = ruleById('start-need');
      return rule ? judgeBy(rule, contextOf(w)) : null;
    };
    expect(said('1.05 m')?.verdict).to.equal('rework');
    const open = said('');
    expect(open?.verdict).to.equal('measure');
    expect(open?.remedies.map((r) => r.does)).to.deep.equal(['measure']);
  });
});
