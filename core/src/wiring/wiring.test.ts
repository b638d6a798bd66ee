import { expect } from 'chai';
import { usualTrailer } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { usualLead, usualWiring } from '../build/wiring.ts';
import { PlanContext } from '../vehicle/context.ts';
import { kitSchema, type Kit } from '../parts/kit.ts';
import { mates } from '../parts/leads.ts';
import { packSchema } from '../parts/pack.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { assistLimit } from '../vehicle/system.ts';
import { fewerLevels, misread, rolledOut } from '../vehicle/asSet.ts';
import { contextOf, kitNamed, world, type WorldOf } from '../../test/world.ts';
import { freeSockets, jointOf, wiredLeads } from './asWired.ts';
import { barItems, barSides } from './bar.ts';
import { leverSheets } from './levers.ts';
import { readingVerdict } from './checks.ts';
import { startDelay } from './sensors.ts';
import { settingRows } from './settings.ts';
import { wiringOf } from './wiring.ts';
import { counted } from '../../test/counted.ts';

const wired = (of: WorldOf) => {
  const found = wiringOf(contextOf(world(of)));
  if (!found) throw new Error('no kit');
  return found;
};

describe('what the shelf’s kits bring to be joined up', () => {
  it('is said of every kit, by the schema, each lead once, with as many cores as its plug has poles', () => {
    const met = counted();
    expect(starterShelf.kit.length).to.be.at.least(29);
    for (const kit of starterShelf.kit) {
      expect(kitSchema.safeParse(kit).error, kit.id).to.equal(undefined);
      const ids = kit.wiring?.leads.map((l) => l.id) ?? [];
      expect(new Set(ids).size, kit.id).to.equal(ids.length);
      expect(ids, kit.id).to.include('battery');
      for (const l of kit.wiring?.leads ?? [])
        if (l.ends.from && met()) expect(l.cores.length, `${kit.id} ${l.id}`).to.equal(l.ends.from.poles);
      expect(ids.includes('throttle'), kit.id).to.equal(kit.controls?.throttleKind !== 'none');
      expect(ids.includes('loom') ? kit.wiring?.leads.find((l) => l.id === 'loom')?.lengthM : null).to.be.oneOf([
        null,
        kit.controls?.loomM,
      ]);
    }
    for (const pack of starterShelf.pack) {
      expect(packSchema.safeParse(pack).error, pack.id).to.equal(undefined);
      expect(pack.discharge, pack.id).to.be.an('object');
    }
    met.enough();
  });

  it('varies as it does on the bench', () => {
    const of = (pick: (k: (typeof starterShelf.kit)[number]) => unknown): number =>
      new Set(starterShelf.kit.map((k) => JSON.stringify(pick(k)))).size;
    expect(of((k) => k.wiring?.leads.map((l) => l.id))).to.be.greaterThan(7);
    expect(of((k) => k.wiring?.cutoff)).to.be.greaterThan(4);
    expect(of((k) => k.wiring?.capacitanceF)).to.be.greaterThan(6);
    expect(of((k) => k.wiring?.leads.find((l) => l.id === 'display')?.ends.from?.colour)).to.be.greaterThan(3);
  });

  it('halves of one family and poles mate, pins into holes', () => {
    const { plug } = starterShelf.pack[0]?.discharge ?? {};
    if (!plug) throw new Error('no plug');
    const pins = { ...plug, sex: 'pins' as const };
    expect(mates(plug, pins)).to.equal(true);
    expect(mates(pins, pins)).to.equal(false);
    expect(mates(plug, { ...pins, poles: 3 })).to.equal(false);
    expect(mates(plug, { ...pins, family: 'barrel' })).to.equal(false);
    expect(jointOf(pins, pins, starterShelf, [])).to.deep.equal({ is: 'none', why: 'both halves have pins' });
    expect(jointOf(null, plug, starterShelf, [])).to.deep.equal({ is: 'unknown' });
    const odd = { ...pins, family: 'bullet pair' };
    expect(jointOf(odd, plug, starterShelf, [])).to.deep.equal({
      is: 'adapter',
      adapter: 'adapter-flat-pair-2-to-bullet-pair-2',
      chosen: false,
    });
    expect(jointOf(odd, plug, starterShelf, ['adapter-flat-pair-2-to-bullet-pair-2'])).to.include({ chosen: true });
    expect(jointOf({ ...pins, family: 'unheard of' }, plug, starterShelf, [])).to.include({ adapter: null });
  });
});

describe('leads as they will be wired', () => {
  it('a control chosen takes the place of the kit’s, with its own tail and plug', () => {
    const w = world({ kit: 'wren-m250' });
    const leads = () => wiredLeads(w.build, w.kit, w.pack, starterShelf);
    const display = () => leads().find((l) => l.id === 'display');
    const own = display()?.lengthM ?? 0;
    w.build.wiring.parts.display = 'slate-5-long';
    expect(display()).to.deep.include({ lengthM: 0.9, part: 'slate-5-long', joint: { is: 'mates' } });
    expect(own).to.not.equal(0.9);
    w.build.wiring.parts.display = 'slate-b';
    expect(display()?.joint).to.deep.include({ is: 'adapter' });
    w.build.wiring.parts.display = 'no such part';
    expect(display()?.lengthM).to.equal(own);
  });

  it('a lamp goes into the socket left free for it; without one it has no home', () => {
    const w = world({ kit: 'wren-m250' });
    const free = () => freeSockets(w.build, w.kit, starterShelf).map((s) => s.what);
    expect(free()).to.deep.equal(['front lamp', 'throttle']);
    w.build.wiring.parts.frontLamp = 'beacon-f';
    w.build.wiring.parts.rearLamp = 'ember-r';
    expect(free()).to.deep.equal(['throttle']);
    const leads = wiredLeads(w.build, w.kit, w.pack, starterShelf);
    expect(leads.find((l) => l.id === 'frontLamp')?.joint).to.deep.equal({ is: 'mates' });
    expect(leads.find((l) => l.id === 'rearLamp')?.joint).to.deep.include({ is: 'none' });
  });

  it('a lead left off leaves its socket free; a kit without data has its usual leads, lengths unknown', () => {
    const w = world({ kit: 'wren-m250' });
    w.build.wiring.leads.shift = {
      extension: null,
      spliceM: null,
      stringM: null,
      way: [],
      stow: null,
      inside: null,
      leftOff: true,
    };
    expect(wiredLeads(w.build, w.kit, w.pack, starterShelf).some((l) => l.id === 'shift')).to.equal(false);
    expect(freeSockets(w.build, w.kit, starterShelf).map((s) => s.what)).to.include('shift sensor');
    const bare = { ...kitNamed('otter-r250') };
    delete bare.wiring;
    const leads = wiredLeads(w.build, bare, w.pack, starterShelf);
    expect(leads.map((l) => [l.id, l.lengthM])).to.deep.equal([
      ['battery', null],
      ['motor', null],
      ['loom', 1.75],
    ]);
  });
});

describe('the bar', () => {
  it('is laid out from its end inward, grips and what turns with the hand first', () => {
    const w = world({ kit: 'otter-r500', survey: { rightShifter: 'trigger' } });
    expect(barItems(w.build, w.kit, 'right').map((i) => i.id)).to.deep.equal(['grip', 'throttle', 'lever', 'trigger']);
    w.build.wiring.bar.right = ['lever', 'trigger', 'throttle', 'grip'];
    const items = barItems(w.build, w.kit, 'right');
    expect(items.map((i) => i.id)).to.deep.equal(['grip', 'lever', 'trigger', 'throttle']);
    for (let i = 1; i < items.length; i++)
      expect(items[i]?.fromM).to.be.closeTo((items[i - 1]?.fromM ?? 0) + (items[i - 1]?.lengthM ?? 0), 1e-12);
    w.build.wiring.sensors.throttleHand = 'left';
    expect(barItems(w.build, w.kit, 'right').map((i) => i.id)).to.not.include('throttle');
    expect(barItems(w.build, w.kit, 'left').map((i) => i.id)).to.include('throttle');
  });

  it('says how far the thumb reaches, and what keeps a hand from the brake', () => {
    const w = world({ kit: 'otter-r500' });
    const right = () => barSides(w.build, w.kit, starterShelf).find((s) => s.side === 'right');
    expect(right()?.thumbM).to.be.closeTo(0.011, 1e-9);
    expect(right()?.blocksBrake).to.equal(null);
    w.build.wiring.parts.throttle = 'wide';
    const wide = (barM: number): void => {
      const own = starterShelf.control.find((c) => c.id === 'thumb-left');
      if (own) w.build.ownParts = [{ ...own, id: 'wide', barM }];
    };
    wide(0.045);
    expect(right()?.blocksBrake).to.equal(null);
    wide(0.0451);
    expect(right()?.blocksBrake).to.equal('thumb throttle');
  });
});

describe('sensors and levers', () => {
  it('a cadence sensor’s worst start is p·60/(n·c), and its way in the easiest gear', () => {
    expect(startDelay(12, 2)).to.be.closeTo(0.25, 1e-12);
    expect(startDelay(8, 3, 60)).to.be.closeTo(0.375, 1e-12);
    const { cadence } = wired({});
    // City bike: 42 to 28 teeth, 37-622 of 0.346 m radius, 40 rpm: 2π·0.346·1.5·40/60 = 2.17 m/s, a quarter second.
    expect(cadence.delayS).to.be.closeTo(0.25, 1e-12);
    expect(cadence.delayM).to.be.closeTo(2 * Math.PI * (0.311 + 0.95 * 0.037) * 1.5 * (40 / 60) * 0.25, 1e-9);
    expect(cadence).to.include({ is: 'fitted', cranksOff: true, gap: 'unknown' });
    expect(wired({ kit: 'wren-m250' }).cadence.is).to.equal('none');
    const off = world({ kit: 'otter-r500' });
    off.build.schools.cadenceSensor = 'leftOff';
    expect(wiringOf(contextOf(off))?.cadence.is).to.equal('fitted');
    off.build.choice.usesThrottle = true;
    expect(wiringOf(contextOf(off))?.cadence.is).to.equal('leftOff');
  });

  it('each lever has a way of its own, a part in its place its own switch', () => {
    const w = world({ kit: 'heron-d250', survey: { leftPull: 'hose' } });
    const [left, right] = leverSheets(w.build, w.kit, starterShelf);
    expect([left?.by, right?.by]).to.deep.equal(['magnet', 'kitLever']);
    // The kit’s levers open a loop; a magnet in place of one is another thing.
    expect([left?.acts, right?.acts]).to.deep.equal(['cutsWhenAway', 'switchOpens']);
    w.build.wiring.levers.left.part = 'magnet-near';
    expect(leverSheets(w.build, w.kit, starterShelf)[0]).to.deep.include({ acts: 'cutsWhenNear', chosen: true });
    w.build.schools.levers = 'keepOwn';
    expect(leverSheets(w.build, w.kit, starterShelf)[1]?.by).to.equal('magnet');
  });

  it('lamps off the pack are counted in amps, and told where their volts do not go', () => {
    const w = world({ kit: 'wren-m250' });
    w.build.wiring.parts.frontLamp = 'beacon-f';
    w.build.wiring.parts.horn = 'goose-horn';
    const lamps = () => wiringOf(contextOf(w))?.lamps;
    expect(lamps()?.watts).to.equal(22);
    expect(lamps()?.amps).to.be.closeTo(22 / 36, 0.02);
    expect(lamps()?.items.map((i) => i.trouble)).to.deep.equal([null, null]);
    // Four watts beside the controller's own four: the way a charge lasts is shorter by them, the horn counts nothing.
    const context = contextOf(w);
    expect(context.kit?.controller.standingW).to.equal((context.chosen.asSold?.controller.standingW ?? NaN) + 4);
    const lit = context.reckoning?.toEmpty.distanceM ?? NaN;
    w.build.wiring.parts.frontLamp = null;
    expect(contextOf(w).reckoning?.toEmpty.distanceM).to.be.greaterThan(lit);
    w.build.wiring.parts.frontLamp = 'wayside-12';
    expect(lamps()?.items[0]?.trouble).to.match(/bears 16 V/);
  });
});

describe('settings', () => {
  it('as set, the kit is what the plan rides with: never more than it is made for', () => {
    const w = world({});
    const at = (settings: Partial<typeof w.build.wiring.settings>) => {
      w.build.wiring.settings = settings;
      return contextOf(w).kit?.controller;
    };
    const sold = at({});
    expect(at({ batteryAmps: 10 })?.batteryLimitA).to.equal(10);
    expect(at({ batteryAmps: 99 })?.batteryLimitA).to.equal(sold?.batteryLimitA);
    expect(at({ lowVolts: 33 })?.cutoffVolts).to.equal(33);
    expect(at({ lowVolts: 3 })?.cutoffVolts).to.equal(sold?.cutoffVolts);
    expect(at({ startStrength: 0.5 })?.phaseLimitA).to.be.closeTo((sold?.phaseLimitA ?? 0) / 2, 1e-9);
    expect(contextOf(w).chosen.asSold?.controller).to.deep.equal(sold);
    expect(fewerLevels([1, 2, 3, 4, 5], 5)).to.deep.equal([1, 2, 3, 4, 5]);
    expect(fewerLevels([10, 20, 30, 40], 2)).to.deep.equal([20, 40]);
    expect(fewerLevels([10, 20, 30], 2)).to.deep.equal([15, 30]);
    expect(fewerLevels([10, 20, 30], 1)).to.deep.equal([30]);
  });

  it('a circumference set too small shows too little, and help goes on past its limit', () => {
    const w = world({});
    expect(misread(w.build, w.kit)).to.equal(1);
    const true1 = rolledOut(w.build, w.kit);
    // Under load it rolls 1.5 % less than its circle.
    expect(true1).to.be.closeTo(2 * Math.PI * (0.311 + 0.95 * 0.037) * 0.985, 1e-9);
    const advised = settingRows(w.build, w.kit, w.pack).find((r) => r.id === 'circumference')?.advised;
    expect(advised).to.deep.include({ si: true1 });
    w.build.wiring.settings = { circumference: true1 * 0.9 };
    expect(misread(w.build, w.kit)).to.be.closeTo(1 / 0.9, 1e-9);
    const kit = contextOf(w).kit;
    expect(assistLimit(w.build, { kit })).to.be.closeTo((kit?.assistLimitMs ?? 0) / 0.9, 1e-9);
    // Two magnets told where there is one: it counts half as fast.
    w.build.wiring.settings = { wheelMagnets: 2 };
    expect(assistLimit(w.build, { kit })).to.be.closeTo((kit?.assistLimitMs ?? 0) * 2, 1e-9);
    // Another kit is not misread for it.
    const other = kitNamed('wren-m250');
    expect(assistLimit(w.build, { kit: other })).to.equal(other.assistLimitMs);
  });

  it('are listed with what was, is and would be set; no throttle, no line for it', () => {
    const w = world({});
    const ids = (kit: string) => settingRows(w.build, kitNamed(kit), w.pack).map((r) => r.id);
    expect(ids('otter-r250')).to.not.include('throttleMode');
    expect(ids('otter-r500')).to.include('throttleMode');
    expect(ids('wren-m250')).to.not.include('pedalPulses');
    w.build.wiring.settings = { batteryAmps: 12 };
    const amps = settingRows(w.build, w.kit, w.pack).find((r) => r.id === 'batteryAmps');
    expect(amps?.was).to.deep.include({ si: 15 });
    expect(amps?.is).to.deep.include({ si: 12 });
  });
});

describe('meter checks', () => {
  it('stand in an order in which each is safe because of those before: pack first, controller last', () => {
    const { checks } = wired({ kit: 'heron-d1000', pack: 'crate-48-26' });
    // No pre-charge lead is in the plan yet: it has nothing to be read at.
    expect(checks.map((c) => c.id)).to.deep.equal(['pack', 'charger', 'adapter', 'supply', 'halls']);
    const tamed = wired({
      kit: 'heron-d1000',
      pack: 'crate-48-26',
      edit: ({ build }) => {
        build.wiring.power.precharge = 'precharge-47';
      },
    }).checks;
    expect(tamed.map((c) => c.id)).to.deep.equal(['pack', 'charger', 'adapter', 'precharge', 'supply', 'halls']);
    const pack = checks[0];
    // Thirteen cells from 3.0 to 4.2 V, and a meter half a per cent off.
    expect(pack?.highV).to.be.closeTo(54.6 * 1.005, 1e-9);
    expect(pack?.lowV).to.be.within(13 * 3 * 0.995 - 1e-9, 13 * 3.3);
    for (const c of checks) expect(c.lowV).to.be.lessThan(c.highV);
  });

  it('what was read is judged: in its band, outside it, crossed; of another battery it does not count', () => {
    const band = { lowV: 30, highV: 42 };
    expect([29.99, 30, 42, 42.01, -36, -0.01, 0].map((v) => readingVerdict(band, v))).to.deep.equal([
      'outside',
      'fits',
      'fits',
      'outside',
      'crossed',
      'crossed',
      'outside',
    ]);
    expect(readingVerdict(band, null)).to.equal('measure');
    const read = (of: string | null | undefined, volts: number) =>
      wired({
        kit: 'heron-d1000',
        pack: 'crate-48-26',
        edit: ({ build }) => {
          build.wiring.checks = { pack: { volts, on: '2026-04-01', ...(of === undefined ? {} : { of }) } };
        },
      }).checks[0];
    expect(read('crate-48-26', 50)).to.deep.include({ verdict: 'fits', read: { volts: 50, on: '2026-04-01' } });
    expect(read(undefined, -50)?.verdict).to.equal('crossed');
    expect(read(null, 70)?.verdict).to.equal('outside');
    expect(read('another', -50)).to.deep.include({ verdict: 'measure', read: null });
  });

  it('joined packs are each read before they are joined', () => {
    const w = world({});
    w.build.wiring = { ...usualWiring() };
    const block = {
      name: 'Block',
      chemistry: 'lead' as const,
      volts: 12,
      ampHours: 18,
      amps: 30,
      ageYears: 0,
      restV: 12.6,
      series: 6,
    };
    w.build.wiring.packs = { join: 'series', by: 'wires', of: null, members: [block, block, block] };
    expect(
      wiringOf(contextOf(w))
        ?.checks.slice(0, 3)
        .map((c) => c.id),
    ).to.deep.equal(['member-1', 'member-2', 'member-3']);
  });
});

describe('small things', () => {
  it('are counted by the way that is tied, each piece once', () => {
    const { materials, tiedM, leads } = wired({});
    expect(tiedM).to.be.greaterThan(0.8);
    expect(tiedM).to.be.lessThan(leads.reduce((sum, l) => sum + l.sum.way, 0));
    expect(materials.map((m) => m.part)).to.include.members(['cable-ties', 'sleeve', 'foam-tape', 'fuse-20']);
    expect(materials.find((m) => m.part === 'sleeve')?.count).to.equal(Math.ceil(tiedM / 3));
  });
});

describe('leads routed before', () => {
  const frozen = <V>(value: V): V => {
    if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
      Object.values(value).forEach(frozen);
      Object.freeze(value);
    }
    return value;
  };
  const { build } = world({ kind: 'folding', survey: { headToBracket: '900 mm', lockSlack: '60 mm' } });
  const kit = kitNamed('otter-r250');
  const leadsOf = (b: Build, packId: string, known: Kit): string => {
    const pack = starterShelf.pack.find((p) => p.id === packId) ?? null;
    const context = PlanContext.of(b, starterShelf).with(known, pack, false);
    return JSON.stringify(wiringOf(context)?.leads);
  };

  it('are those of the last time only where nothing they hang on has changed', () => {
    const rack = { ...build, choice: { ...build.choice, packPlace: 'rack' as const, packId: 'loaf-36-17' } };
    const edits: [string, Build, string][] = [
      ['as it is', build, 'kettle-36-13'],
      ['another rider’s mass', { ...build, brief: { ...build.brief, cargoKg: 20 } }, 'kettle-36-13'],
      ['another survey', world({ kind: 'folding', survey: { headToBracket: '990 mm' } }).build, 'kettle-36-13'],
      ['another kind', world({ kind: 'stepThrough', survey: { headToBracket: '900 mm' } }).build, 'kettle-36-13'],
      ['another pack', build, 'kettle-36-17'],
      ['another place', rack, 'loaf-36-17'],
      ['another school', { ...build, schools: { ...build.schools, entry: 'sealed' as const } }, 'kettle-36-13'],
      [
        'a box moved',
        { ...build, wiring: { ...usualWiring(), boxes: { controller: { xM: 0.2, yM: 0.5 } } } },
        'kettle-36-13',
      ],
      ['a trailer', { ...build, brief: { ...build.brief, trailer: usualTrailer() } }, 'kettle-36-13'],
      ['as it was', build, 'kettle-36-13'],
    ];
    for (const [what, edit, packId] of edits)
      expect(leadsOf(frozen(structuredClone(edit)), packId, kit), what).to.equal(
        // A copy of the kit was never routed before.
        leadsOf(structuredClone(edit), packId, structuredClone(kit)),
      );
  });

  it('what is not frozen is routed anew: it may have been changed in place', () => {
    const open = structuredClone(build);
    const before = leadsOf(open, 'kettle-36-13', kit);
    open.wiring.leads.motor = { ...usualLead, spliceM: 1 };
    expect(leadsOf(open, 'kettle-36-13', kit)).not.to.equal(before);
  });
});
