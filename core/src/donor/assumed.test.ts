import { expect } from 'chai';
import { newBuild } from '../build/build.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { planChosen } from '../plan/planBuild.ts';
import { assumedItems, assumeOpen, shownValue } from './assumed.ts';
import type { Donor } from './donor.ts';
import { vehicleKinds } from './kinds.ts';
import { itemsFor, surveyItem, surveyProgress } from './survey.ts';
import { typedSurvey } from '../../test/typed.ts';

const donorOf = (kind: (typeof vehicleKinds)[number]): Donor => {
  const { donor } = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
  return { ...donor, kind };
};

describe('common values for the rest', () => {
  it('fill most of what is open on every kind, marked, plausible, and again change nothing', () => {
    for (const kind of vehicleKinds) {
      const donor = donorOf(kind);
      const survey = assumeOpen(donor);
      const after = { ...donor, survey };
      const items = itemsFor(after);
      expect(Object.keys(survey).length / items.length, kind).to.be.greaterThan(0.7);
      for (const item of items) {
        const entry = survey[item.id];
        if (!entry) continue;
        expect(entry.provenance).to.equal('assumed');
        if (item.type === 'choice')
          expect(
            item.options.map((o) => o.value),
            item.id,
          ).to.include(entry.value);
        if (item.type === 'number') expect(entry.value, item.id).to.be.within(item.low, item.high);
      }
      expect(assumeOpen(after), kind).to.deep.equal({});
      // What is said above: how many are assumed, of which each is listed with its value.
      const { assumed, proven, total } = surveyProgress(after);
      expect(assumed).to.equal(assumedItems(after).length);
      expect([proven, total]).to.deep.equal([0, items.length]);
    }
  });

  it('leave what was said alone, and never make anything fit', () => {
    const donor = donorOf('diamond');
    donor.survey = typedSurvey({ rearDropoutSpacing: '130 mm' });
    const survey = assumeOpen(donor);
    expect(survey.rearDropoutSpacing).to.equal(undefined);
    const b = newBuild('a', 'A', '2026-01-01T00:00:00.000Z');
    b.donor.survey = { ...donor.survey, ...survey };
    b.choice.kitId = 'otter-r250';
    b.choice.packId = 'kettle-36-13';
    const findings = planChosen(planContext(b, starterShelf)).findings;
    const rests = findings.filter((f) => f.verdict === 'fits' && f.evidence.some((e) => e.provenance === 'assumed'));
    const needed = rests.filter((f) => f.evidence.every((e) => e.item === undefined || e.provenance === 'assumed'));
    expect(needed.filter((f) => f.fitCritical).map((f) => f.rule)).to.deep.equal([]);
  });

  it('are shown as words, amounts and names', () => {
    expect(shownValue(surveyItem('bracketKind'), 'threadedIso')).to.be.a('string');
    expect(shownValue(surveyItem('rearDropoutSpacing'), 0.135)).to.deep.include({ si: 0.135, dimension: 'size' });
    expect(shownValue(surveyItem('rearTyre'), { beadM: 0.622, widthM: 0.037 })).to.equal('37-622');
    expect(shownValue(surveyItem('cogTeeth'), [14, 16])).to.equal('14-16');
  });
});
