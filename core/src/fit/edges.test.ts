import { expect } from 'chai';
import { holdGolden } from '../../test/golden.ts';
import { demo, edgesGolden } from '../../test/sheets.ts';
import { contextOf, measure, world } from '../../test/world.ts';
import type { Amount } from '../quantity/format.ts';
import { surveyItem } from '../donor/survey.ts';
import type { Verdict } from '../verdict.ts';
import { judgeAbout, ruleById } from './judge.ts';
import { measuredAs } from './measuredAs.ts';
import { verdictEdges } from './verdictEdges.ts';
import type { Finding } from './finding.ts';
import type { SurveyItemId } from '../donor/donor.ts';

const said = (text: readonly (string | Amount)[]): { words: string; at: number[] } => ({
  words: text.filter((t) => typeof t === 'string').join('…'),
  at: text.flatMap((t) => (typeof t === 'string' ? [] : [t.si])),
});

/** Worlds with something wrong at a size, so that there is something to change. */
const wrongs: { what: string; id: SurveyItemId; si: number }[] = [
  { what: 'a narrow rear end', id: 'rearDropoutSpacing', si: 0.12 },
  { what: 'a wide rear end', id: 'rearDropoutSpacing', si: 0.142 },
  { what: 'a shallow slot', id: 'rearSlotDepth', si: 0.006 },
  { what: 'a fat dropout', id: 'rearDropoutThickness', si: 0.014 },
  { what: 'a narrow slot', id: 'rearSlotWidth', si: 0.008 },
  { what: 'a weak vehicle', id: 'loadLimit', si: 100 },
  { what: 'a short bar', id: 'barRight', si: 0.12 },
];

/** As they were when last looked at; `node --import tsx scripts/write-golden.ts` after a change on purpose. */
describe('what would change, and what is wanted, of the demo builds', () => {
  for (const name of ['mixte', 'box', 'trike'])
    it(`${name}: as its golden file has it`, () => {
      holdGolden(`edges/${name}`, edgesGolden(demo(name)));
    });
});

describe('the values at which a verdict turns', () => {
  for (const { what, id, si } of wrongs)
    it(`${what}: just inside each stretch the verdict is the one told, and just outside it is not`, () => {
      const w = world({ edit: (x) => measure(x, id, si) });
      const context = contextOf(w);
      const findings: Finding[] = [
        ...judgeAbout('kit', context).findings,
        ...judgeAbout('pack', context).findings,
      ].filter((f) => f.verdict !== 'fits' && ruleById(f.rule)?.uses.includes(id) && ruleById(f.rule)?.dear !== true);
      expect(findings.length, 'something is wrong').to.be.greaterThan(0);
      let tried = 0;
      for (const finding of findings) {
        const rule = ruleById(finding.rule);
        if (!rule) continue;
        const verdict = (item: SurveyItemId, value: number): Verdict | undefined =>
          rule.judge(context.on(measuredAs(w.build, item, value)))?.verdict;
        for (const edge of verdictEdges(context, finding).edges) {
          const item = surveyItem(edge.item);
          expect(rule.uses, 'only what the rule looks at').to.include(edge.item);
          expect(edge.verdict).not.to.equal(finding.verdict);
          if (item.type !== 'number') continue;
          const { words, at } = said(edge.text);
          const fine = Math.max(6e-5, (item.high - item.low) * 1.1e-4);
          const inside = words.endsWith('below…') || words.endsWith('below ') ? -fine : fine;
          const [first = NaN, last = NaN] = at;
          tried++;
          expect(verdict(edge.item, first + inside), `${rule.id}: ${words} ${first}`).to.equal(edge.verdict);
          expect(verdict(edge.item, first - inside), `${rule.id}: ${words} ${first}`).not.to.equal(edge.verdict);
          if (at.length < 2) continue;
          expect(verdict(edge.item, last - fine), `${rule.id}: ${words} ${last}`).to.equal(edge.verdict);
          expect(verdict(edge.item, last + fine), `${rule.id}: ${words} ${last}`).not.to.equal(edge.verdict);
        }
      }
      expect(tried, 'a size was found at which it turns').to.be.greaterThan(0);
    });

  it('of a rule nobody knows, there are none', () => {
    expect(verdictEdges(contextOf(world({})), { rule: 'no-such', subject: 'plan', verdict: 'stop' })).to.deep.equal({
      edges: [],
      otherKits: [],
    });
  });

  it('kits are named only where the rule is about kits, and only those that it lets pass', () => {
    const w = world({ edit: (x) => measure(x, 'rearDropoutSpacing', 0.12) });
    const context = contextOf(w);
    const { otherKits } = verdictEdges(context, { rule: 'dropout-spacing', subject: w.kit.id, verdict: 'stop' });
    const rule = ruleById('dropout-spacing');
    for (const kit of context.shelf.kit) {
      const passes = rule?.judge(context.with(kit, w.pack))?.verdict === 'fits' && kit.id !== w.kit.id;
      expect(otherKits.includes(kit.name), kit.name).to.equal(passes);
    }
    expect(
      verdictEdges(context, { rule: 'dropout-spacing', subject: w.kit.id, verdict: 'fits' }).otherKits,
    ).to.deep.equal([]);
    expect(verdictEdges(context, { rule: 'pack-volts', subject: w.pack.id, verdict: 'stop' }).otherKits).to.deep.equal(
      [],
    );
  });
});
