import { expect } from 'chai';
import { allItems } from '../../donor/items/item.ts';
import { itemExists, surveyItem } from '../../donor/survey.ts';
import { vehicleKinds } from '../../donor/kinds.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { contextOf, judged, kitNamed, world } from '../../../test/world.ts';
import { judgeBy, ruleById } from '../judge.ts';
import { kitRules, packRules, planRules } from '../allRules.ts';
import { actors, actorsIn, crossingsOf, things, type Actor } from './matrix.ts';

describe('the matrix of crossings', () => {
  it('has no blank: every part and every thing once, judged by rules or of no matter with a reason', () => {
    for (const actor of actors) {
      const said = [...actor.uses, ...actor.apart].flatMap((u) => u.things);
      expect(said.length, `${actor.id} says something twice`).to.equal(new Set(said).size);
      const row = crossingsOf(actor);
      expect(row.map((c) => c.thing.id)).to.deep.equal(things.map((t) => t.id));
      expect(said.filter((id) => !things.some((t) => t.id === id))).to.deep.equal([]);
      for (const { by, apart } of row) expect(by.length > 0 === (apart === null)).to.equal(true);
    }
  });

  it('names only rules there are, one of which reads the thing it judges', () => {
    const blind: string[] = [];
    for (const actor of actors)
      for (const { thing, by } of crossingsOf(actor)) {
        const rules = by.map((id) => {
          const rule = ruleById(id);
          if (!rule) throw new Error(`${actor.id} × ${thing.id}: no rule ${id}`);
          return rule;
        });
        if (by.length === 0 || thing.items.length === 0) continue;
        if (!rules.some((rule) => rule.uses.some((item) => thing.items.includes(item))))
          blind.push(`${actor.id} × ${thing.id}`);
      }
    expect(blind).to.deep.equal([]);
  });

  it('knows every item of the survey and every rule on a kit or battery that reads one', () => {
    const known = new Set(things.flatMap((t) => t.items));
    expect(
      allItems.filter((i) => i.type === 'choice' && i.id !== 'insideScheme' && !known.has(i.id)).map((i) => i.id),
    ).to.deep.equal([]);
    const named = new Set(actors.flatMap((a) => a.uses.flatMap((u) => u.by)));
    // What the brief wishes for is no crossing: it reads the whole vehicle.
    const wishes = ['use', 'range', 'hills', 'aboard'];
    const unnamed = [...kitRules, ...packRules, ...planRules].filter(
      (r) => r.uses.length > 0 && !wishes.includes(r.group) && !named.has(r.id),
    );
    expect(unnamed.map((r) => r.id)).to.deep.equal([]);
  });

  /** Silent for a reason: what else was looked at settles it. */
  const settled: Record<string, string> = {
    'rearHub × stays': 'the city bike has eyelets, so that no arm clamps a stay; without them it is measured (below)',
    'rearHub × wheelStrength': 'the kit’s own wheel has a limit, far above what stands on it',
  };

  it('on every kind with every kit nothing fits while what it rests on was not looked at', () => {
    // Of each family one, unless at length: within a family the same rules meet the same things.
    const kits = starterShelf.kit.filter(
      (kit, i, all) => process.env.SPROCKET_LONG || all.findIndex((k) => k.family === kit.family) === i,
    );
    const silent = new Set<string>();
    let pairs = 0;
    for (const kind of vehicleKinds)
      for (const { id } of kits) {
        const made = world({ kind, kit: id });
        const whole = contextOf(made);
        for (const actor of actorsIn(whole).filter((a: Actor) => a.of === 'kit'))
          for (const { thing, by } of crossingsOf(actor)) {
            const items = thing.items.filter((item) => itemExists(surveyItem(item), made.build.donor));
            if (by.length === 0 || items.length === 0) continue;
            const bare = structuredClone(made.build);
            for (const item of thing.items) Reflect.deleteProperty(bare.donor.survey, item);
            const context = contextOf({ ...made, build: bare, kit: kitNamed(id) });
            const rules = by.flatMap((ruleId) => ruleById(ruleId) ?? []);
            const was = rules.flatMap((rule) => judgeBy(rule, whole) ?? []);
            if (was.length === 0) continue;
            pairs++;
            const found = rules.flatMap((rule) => judgeBy(rule, context) ?? []);
            if (found.length === 0 || found.every((f) => f.verdict === 'fits')) silent.add(`${actor.id} × ${thing.id}`);
          }
      }
    expect(pairs).to.be.greaterThan(1500);
    expect([...silent].sort()).to.deep.equal(Object.keys(settled).sort());
    const noEyelet = world({ kit: 'otter-r250', survey: { rearEyelets: 'none', chainstayDiameter: '' } });
    noEyelet.build.choice.torqueArms = 1;
    expect(judged('arm-anchor', noEyelet)?.verdict).to.equal('measure');
  });
});
