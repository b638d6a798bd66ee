import { expect } from 'chai';
import { allItems } from '../../donor/items/item.ts';
import { itemExists, surveyItem } from '../../donor/survey.ts';
import { vehicleKinds } from '../../donor/kinds.ts';
import { starterShelf } from '../../parts/shelf/starterShelf.ts';
import { contextOf, judged, world, type World } from '../../../test/world.ts';
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

  it('knows every fitting that a remedy can put on: as a part of its own, or as hardware of what it holds', () => {
    // Hardware of a kit, battery or lead: what it meets is judged where that part goes on.
    const hardware = [
      'torque-arm',
      'torque-arm-16',
      'arm-clamp',
      'axle-washers',
      'axle-washers-16',
      'thin-washer',
      'c-spacer',
      'bracket-spacers',
      'bracket-spacer',
      'lock-ring',
      'shell-sleeve',
      'bore-adapter',
      'reaction-arm',
      'motor-strut',
      'tube-spacer',
      'skid-plate',
      'valve-sleeve',
      'extension-lead',
      'disconnect-pair',
      'plug-seals',
      'grommets',
      'splice',
      'converter',
      'diodes',
      'cable-liner',
      'cable-clips',
      'trailer-lead',
      'controller-bag',
      'tube-clamps',
      'pack-strap',
      'rivet-nuts',
      'rail-blocks',
      'rail-packing',
      'frame-bag',
      'sprocket-shims',
      'seat-bracket',
    ];
    const named = actors.flatMap((a) => a.parts ?? []);
    expect(named.length).to.equal(new Set(named).size);
    expect([...named, ...hardware].sort()).to.include.members(starterShelf.fitting.map((f) => f.id));
    expect(hardware.filter((id) => named.includes(id))).to.deep.equal([]);
    for (const actor of actors) expect(actor.of === 'remedy', actor.id).to.equal(actor.parts !== undefined);
  });

  it('asks what a part bought would bolt to, and finds a donor that has nothing for it', () => {
    const brake = { part: 'disc-brake', count: 1, place: 'front brake' } as const;
    const taking = (survey: World['build']['donor']['survey'] | object, ...taken: NonNullable<World['taken']>): World =>
      world({ survey: survey as never, taken });
    expect(judged('mount-front-disc', taking({}))).to.equal(null);
    expect(judged('mount-front-disc', taking({ forkBrakeMount: '' }, brake))?.verdict).to.equal('measure');
    expect(judged('mount-front-disc', taking({ forkBrakeMount: 'rimOnly' }, brake))?.verdict).to.equal('rework');
    expect(judged('mount-rear-disc', taking({}, brake))).to.equal(null);
    expect(actorsIn(contextOf(taking({}, brake))).map((a) => a.id)).to.include('newBrake');
    // A fork brings its own mounts: the old disc brake does not go on one with bosses alone.
    const fork = { part: 'steel-fork', count: 1, place: 'fork' } as const;
    expect(judged('mount-front-rim', taking({ forkBrakeMount: '' }, fork))?.verdict).to.equal('fits');
    expect(judged('mount-front-disc', taking({ frontBrake: 'discCable' }, fork))?.verdict).to.equal('rework');
    const discFork = { part: 'disc-fork', count: 1, place: 'fork' } as const;
    expect(judged('mount-front-disc', taking({}, discFork))).to.equal(null);
    // Brakes sold as a pair want both ends.
    const pair = { part: 'brake-pair', count: 1, place: 'donor' } as const;
    for (const end of ['front', 'rear']) expect(judged(`mount-${end}-rim`, taking({}, pair))?.verdict).to.equal('fits');
    const wheel = { part: 'plain-rear-wheel', count: 1, place: 'rear wheel' } as const;
    const spacing = (survey: object): string | undefined => judged('wheel-spacing', taking(survey, wheel))?.verdict;
    expect(judged('wheel-spacing', taking({}))).to.equal(null);
    expect(spacing({ rearDropoutSpacing: '' })).to.equal('measure');
    expect(spacing({ rearAxleHolding: '' })).to.equal('measure');
    expect(spacing({ rearAxleHolding: 'throughAxle' })).to.equal('rework');
    expect(spacing({})).to.equal('fits');
  });

  /** Silent for a reason: what else was looked at settles it, or it is far from mattering. */
  const settled: Record<string, string> = {
    'cutOffs . leftSensorRoom': 'the kit’s own lever takes its place; where a magnet is wanted it is asked',
    'cutOffs . rightSensorRoom': 'the kit’s own lever takes its place; where a magnet is wanted it is asked',
    'downTubeBattery . bossSpacing': 'straps want no boss',
    'downTubeBattery . bossThreads': 'straps want no boss',
    'downTubeBattery . downTubeDiameter': 'straps go round any tube',
    'downTubeBattery . downSide': 'the room is fitted from what was measured, with its error',
    'downTubeBattery . seatSide': 'the room is fitted from what was measured, with its error',
    'downTubeBattery . topSide': 'the room is fitted from what was measured, with its error',
    'rearHub . chainstayDiameter': 'an eyelet holds the arm; without one it is measured (below)',
    'rearHub . wheelLimit': 'the kit’s own wheel has a limit',
    'downTubeBattery . bosses': 'clamps want no boss',
    'seatTubeBattery . bosses': 'clamps want no boss',
    'seatTubeBattery . downSide': 'the room is fitted from what was measured, with its error',
    'seatTubeBattery . seatSide': 'the room is fitted from what was measured, with its error',
    'seatTubeBattery . topSide': 'the room is fitted from what was measured, with its error',
    'seatTubeBattery . bossSpacing': 'clamps want no boss',
    'seatTubeBattery . bossThreads': 'clamps want no boss',
  };

  it('nothing fits while an item it rests on was not looked at, on every kind with every kit and battery', () => {
    // Of each family, and of each place, one, unless at length: within them the same rules meet the same things.
    const long = process.env.SPROCKET_LONG !== undefined;
    const kinds = vehicleKinds.filter((_, i) => long || i % 3 === 0);
    const kits = starterShelf.kit.filter((k, i, all) => long || all.findIndex((o) => o.family === k.family) === i);
    const packs = starterShelf.pack.filter(
      (p, i, all) => long || all.findIndex((o) => o.places[0] === p.places[0]) === i,
    );
    const silent = new Map<string, string>();
    let tried = 0;
    const walk = (made: World, of: Actor['of']): void => {
      const whole = contextOf(made);
      const cells = actorsIn(whole)
        .filter((actor) => actor.of === of)
        .flatMap((actor) => crossingsOf(actor).map((crossing) => ({ actor, ...crossing })));
      for (const item of new Set(cells.flatMap((c) => c.thing.items))) {
        if (!itemExists(surveyItem(item), made.build.donor) || made.build.donor.survey[item] === undefined) continue;
        const bare = structuredClone(made.build);
        Reflect.deleteProperty(bare.donor.survey, item);
        const context = contextOf({ ...made, build: bare });
        for (const { actor, thing, by } of cells) {
          if (!thing.items.includes(item)) continue;
          const rules = by.flatMap((id) => ruleById(id) ?? []).filter((rule) => rule.uses.includes(item));
          const found = rules.flatMap((rule) => judgeBy(rule, context) ?? []);
          if (found.length === 0) continue;
          tried++;
          if (found.every((f) => f.verdict === 'fits'))
            silent.set(
              `${actor.id} . ${item}`,
              `${made.kit.id}, ${made.pack.id} on ${made.build.donor.kind}: ${found.map((f) => f.title).join('; ')}`,
            );
        }
      }
    };
    for (const kind of kinds) {
      for (const { id } of kits) walk(world({ kind, kit: id }), 'kit');
      for (const { id } of packs) {
        const made = world({ kind, pack: id });
        // Held where it goes: an item less must not send it to another place.
        made.build.choice.packPlace = null;
        made.build.choice.packPlace = contextOf(made).packPlace;
        walk(made, 'pack');
      }
    }
    expect(tried).to.be.greaterThan(1000);
    expect([...silent].filter(([name]) => settled[name] === undefined)).to.deep.equal([]);
    if (long) expect([...silent.keys()].sort()).to.deep.equal(Object.keys(settled).sort());
    const noEyelet = world({ kit: 'otter-r250', survey: { rearEyelets: 'none', chainstayDiameter: '' } });
    noEyelet.build.choice.torqueArms = 1;
    expect(judged('arm-anchor', noEyelet)?.verdict).to.equal('measure');
    expect(judged('cutoff-levers', world({ survey: { leftPull: 'hose', leftSensorRoom: '' } }))?.verdict).to.equal(
      'measure',
    );
  });
});
