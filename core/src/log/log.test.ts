import { expect } from 'chai';
import fc from 'fast-check';
import { demoBuild } from '../../test/demoBuild.ts';
import type { Build } from '../build/build.ts';
import { entriesOf, logEntrySchema, type LogEntry, type RenewedThing } from '../build/log.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { planContext } from '../plan/context.ts';
import { amountText, phraseText } from '../quantity/format.ts';
import { dateAfter } from '../quantity/dates.ts';
import { stepLibrary } from '../work/steps/library.ts';
import { ageingOf, capacitiesSeen } from './capacity.ts';
import { energyRead, LEAST_GAUGE } from './energyRead.ts';
import { lessonsOf, likelierByOthers } from './lessons.ts';
import { readLine, renewedBy, touchedBy } from './line.ts';
import { odometerOf } from './odometer.ts';
import { logUpTo } from './upTo.ts';
import { upkeepOf, upkeepReminders, type Upkeep } from './upkeep.ts';
import { upkeepTasks } from './upkeepTasks.ts';
import { wearOf } from './wear.ts';

let lines = 0;
const line = (raw: object): LogEntry =>
  logEntrySchema.parse({ id: `l${String(++lines)}`, at: '2026-05-01T08:00', ...raw });
const ride = (km: number, at: string, more: object = {}): LogEntry =>
  line({ kind: 'ride', from: 'typed', distanceM: km * 1000, timeS: 0, energyWh: null, at, ...more });
const with_ = (build: Build, ...entries: LogEntry[]): Build => ({ ...build, log: { ...build.log, entries } });
const box = { ...demoBuild('box') };
const context = planContext(box, starterShelf);
const NOW = '2026-06-30T12:00';
const taskAt = (build: Build, id: string, now = NOW): Upkeep => {
  const found = upkeepOf(context, build, now).find((u) => u.task.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe('the odometer', () => {
  it('sums rides up to a moment, and an odometer’s reading counts above them', () => {
    const log = {
      entries: [
        ride(10, '2026-05-01T08:00'),
        ride(5, '2026-05-03T08:00'),
        line({ kind: 'measurement', what: 'odometer', value: 40_000, at: '2026-05-04T08:00' }),
        ride(2, '2026-05-05T08:00'),
        line({ kind: 'charge', wallWh: 300, at: '2026-05-03T20:00' }),
      ],
    };
    const odometer = odometerOf(log, '2026-05-10T08:00');
    const ways = [
      '2026-04-30T08:00',
      '2026-05-01T07:59',
      '2026-05-01T08:00',
      '2026-05-03T09:00',
      '2026-05-04T08:00',
      '2026-06-01T00:00',
    ];
    expect(ways.map(odometer.at)).to.deep.equal([0, 0, 10_000, 15_000, 40_000, 42_000]);
    expect([odometer.chargesAt('2026-05-03T19:59'), odometer.chargesAt('2026-05-03T20:00')]).to.deep.equal([0, 1]);
    expect(odometer.perDayM).to.be.closeTo(42_000 / 9, 1e-9);
    expect(odometer.since).to.equal('2026-05-01T08:00');
  });

  it('has no pace before the first line', () => {
    expect(odometerOf({ entries: [] }, NOW)).to.deep.include({ perDayM: null, chargesPerDay: null, since: null });
  });
});

describe('upkeep', () => {
  it('re-torques at 50 km, then every 500: just before not yet, at it due, a quarter past it late', () => {
    const at = (km: number, ...more: LogEntry[]): string => {
      const u = taskAt(with_(box, ride(km, '2026-06-29T08:00'), ...more), 'torque');
      return u.nearness;
    };
    expect([at(39.9), at(40), at(49.9), at(50), at(62.4), at(62.5)]).to.deep.equal([
      'later',
      'soon',
      'soon',
      'due',
      'due',
      'late',
    ]);
    const done = line({ kind: 'service', task: 'torque', at: '2026-06-29T09:00' });
    const after = (km: number): string =>
      taskAt(with_(box, ride(51, '2026-06-29T08:00'), done, ride(km, '2026-06-29T10:00')), 'torque').nearness;
    expect([after(399), after(400), after(499), after(500), after(625)]).to.deep.equal([
      'later',
      'soon',
      'soon',
      'due',
      'late',
    ]);
  });

  it('counts days, charges and events, whichever comes first', () => {
    const first = ride(1, '2026-06-01T08:00');
    const days = (now: string): string => taskAt(with_(box, first), 'tyres', now).nearness;
    expect([days('2026-06-24T08:00'), days('2026-06-25T08:00'), days('2026-07-01T08:00')]).to.deep.equal([
      'later',
      'soon',
      'due',
    ]);
    const charges = Array.from({ length: 60 }, (_, i) =>
      line({ kind: 'charge', wallWh: 1, id: `c${i}`, at: '2026-06-02T08:00' }),
    );
    expect(taskAt(with_(box, first, ...charges), 'capacity').nearness).to.equal('due');
    expect(taskAt(with_(box, first, ...charges.slice(1)), 'capacity').nearness).to.equal('soon');
    const puncture = line({ kind: 'puncture', wheel: 'rear', at: '2026-06-20T08:00' });
    const seen = line({ kind: 'service', task: 'tyres', at: '2026-06-19T08:00' });
    expect(taskAt(with_(box, ride(1, '2026-06-18T08:00'), seen, puncture), 'tyres').nearness).to.equal('due');
    const again = line({ kind: 'service', task: 'tyres', at: '2026-06-20T09:00' });
    expect(taskAt(with_(box, ride(1, '2026-06-18T08:00'), again, puncture), 'tyres').nearness).to.equal('later');
  });

  it('wants seals seen to after a winter on the road, and not after a summer', () => {
    const from = (day: string, now: string): string => taskAt(with_(box, ride(1, day)), 'seals', now).nearness;
    expect(from('2026-11-01T08:00', '2027-02-28T08:00')).to.equal('later');
    expect(from('2026-11-01T08:00', '2027-03-01T08:00')).to.equal('due');
    expect(from('2027-03-01T08:00', '2027-05-01T08:00')).to.equal('later');
  });

  it('is told by what the vehicle has, its places are on it, and every step it names is one of Build’s', () => {
    const ids = (name: Parameters<typeof demoBuild>[0]): string[] => {
      const build = demoBuild(name);
      return upkeepOf(planContext(build, starterShelf), build, NOW).map((u) => u.task.id);
    };
    expect(ids('box')).to.include('spokes-plain').and.not.include('spokes');
    expect(ids('mixte')).to.include('spokes').and.not.include('spokes-plain');
    expect(ids('lockkeeper')).to.include('hub-gear').and.not.include('gears');
    expect(ids('mixte')).to.include('cutoffs');
    const mixte = demoBuild('mixte');
    const none = { ...mixte.wiring.levers.left, by: 'none' as const };
    const without = {
      ...mixte,
      wiring: { ...mixte.wiring, levers: { ...mixte.wiring.levers, left: none, right: none } },
    };
    expect(upkeepOf(planContext(without, starterShelf), without, NOW).map((u) => u.task.id)).not.to.include('cutoffs');
    expect(new Set(upkeepTasks.map((t) => t.id)).size).to.equal(upkeepTasks.length);
    const steps = new Set(stepLibrary.map((s) => s.id));
    for (const { id, step } of upkeepTasks) expect(steps.has(step), `${id}: ${step}`).to.equal(true);
  });

  it('nears as it is ridden, never the other way, and comes back after it is done', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2000 }), fc.integer({ min: 0, max: 500 }), (km, more) => {
        const near = (way: number): number => taskAt(with_(box, ride(way, '2026-06-29T08:00')), 'chain').near;
        expect(near(km + more)).to.be.at.least(near(km));
        const done = line({ kind: 'service', task: 'chain', at: '2026-06-29T09:00' });
        expect(taskAt(with_(box, ride(km, '2026-06-29T08:00'), done), 'chain').near).to.equal(0);
      }),
      { numRuns: 12 },
    );
  });

  it('reminds on the day the pace will bring it, each once', () => {
    const rides = Array.from({ length: 30 }, (_, i) =>
      ride(10, `2026-06-${String(i + 1).padStart(2, '0')}T08:00`, { id: `r${i}` }),
    );
    const upkeep = upkeepOf(context, with_(box, ...rides), NOW);
    const chain = upkeep.find((u) => u.task.id === 'pads');
    // 300 km in 29 days, due at 400 or 500: the hundreds left at that pace.
    const left = ((chain?.task.everyKm?.({ disc: true } as never) ?? 0) - 300) / (300 / 29);
    expect(chain?.on).to.equal(dateAfter('2026-06-30', left));
    const reminders = upkeepReminders(upkeep);
    expect(new Set(reminders.map((r) => r.id)).size).to.equal(reminders.length);
    expect(
      upkeepOf(planContext({ ...box, choice: { ...box.choice, kitId: null } }, starterShelf), box, NOW),
    ).to.deep.equal([]);
  });
});

describe('wear', () => {
  const of = (build: Build, id: string) => wearOf(context, build, NOW)?.find((w) => w.id === id);
  it('is a band that holds its middle, and what is ridden comes off it', () => {
    for (const km of [0, 500, 1500]) {
      const w = of(with_(box, ...(km > 0 ? [ride(km, '2026-06-01T08:00')] : [])), 'chain');
      expect(w?.lifeM.low).to.be.lessThan(w?.lifeM.mid ?? 0);
      expect(w?.leftM.mid).to.be.closeTo(Math.max(0, (w?.lifeM.mid ?? 0) - km * 1000), 1);
    }
  });

  it('pads of the end that brakes more go sooner, each by its share of the braking', () => {
    const [front, rear] = ['padFront', 'padRear'].map((id) => of(with_(box), id)?.lifeM.mid ?? NaN) as [number, number];
    // Both discs: the front does 65 parts of a hundred.
    expect(rear / front).to.be.closeTo(0.65 / 0.35, 1e-6);
  });

  it('a chain under a mid-drive goes sooner than past a hub, and a measured one by its own pace', () => {
    const hub = demoBuild('mixte');
    const past = wearOf(planContext(hub, starterShelf), with_(hub), NOW)?.find((w) => w.id === 'chain');
    const mid = of(with_(box), 'chain');
    expect(mid?.lifeM.mid).to.be.lessThan((past?.lifeM.mid ?? 0) * 0.8);
    const measured = with_(
      box,
      ride(1000, '2026-06-01T08:00'),
      line({ kind: 'measurement', what: 'chainWear', value: 0.006, at: '2026-06-02T08:00' }),
    );
    const told = of(measured, 'chain');
    // 0.6 of 0.75 % after 1000 km points to 1250 km.
    expect(told?.lifeM.mid).to.be.within(1.2e6, Math.max(1.25e6, mid?.lifeM.mid ?? 0));
    expect(Math.log((told?.lifeM.high ?? 1) / (told?.lifeM.low ?? 1))).to.be.lessThan(
      Math.log((mid?.lifeM.high ?? 1) / (mid?.lifeM.low ?? 1)),
    );
    expect(told?.gone).to.be.closeTo(0.8, 0.01);
  });

  const renewing = (what: string, renews: RenewedThing | null) =>
    with_(
      box,
      ride(900, '2026-06-01T08:00'),
      line({ kind: 'change', of: 'part', what, renews, at: '2026-06-10T08:00' }),
      ride(50, '2026-06-11T08:00'),
    );

  it('begins anew with what a change renewed, told in any words', () => {
    for (const what of ['New chain', 'Kette', 'the greasy thing, at last'])
      expect(of(renewing(what, 'chain'), 'chain')?.riddenM, what).to.equal(50_000);
    expect(of(renewing('rear tyre', 'tyreRear'), 'tyreDriven')?.riddenM).to.equal(50_000);
    expect(of(renewing('pads', 'padFront'), 'padFront')?.riddenM).to.equal(50_000);
    expect(of(renewing('pads', 'padFront'), 'padRear')?.riddenM).to.equal(950_000);
  });

  it('goes on where a change’s words speak of it and it was not renewed', () => {
    expect(of(renewing('chain guard', null), 'chain')?.riddenM).to.equal(950_000);
    expect(of(renewing('front tyre', 'tyreFront'), 'tyreDriven')?.riddenM).to.equal(
      of(renewing('bell', null), 'tyreDriven')?.riddenM,
    );
  });
});

describe('what is new by a change', () => {
  const cases: readonly (readonly [string, RenewedThing | null])[] = [
    ['chain', 'chain'],
    ['New chain, 114 links', 'chain'],
    ['chain guard', null],
    ['chainring', null],
    ['chain ring to 38', null],
    ['chain tool', null],
    ['front pads', 'padFront'],
    ['pads, rear', 'padRear'],
    ['brake blocks rear', 'padRear'],
    ['pads', null],
    ['front tyre to 50 mm', 'tyreFront'],
    ['Rear tire', 'tyreRear'],
    ['tyres, front and rear', null],
    ['rear wheel', null],
    ['battery', null],
  ];
  for (const [words, thing] of cases)
    it(`“${words}” renews ${thing ?? 'nothing that is counted'}`, () => {
      expect(renewedBy(words)).to.equal(thing);
      const read = readLine(`changed ${words}`, 'a', '2026-05-01T08:00');
      expect(read.ok && read.entry.kind === 'change' && read.entry.renews).to.equal(thing);
      expect(read.ok && read.of.some((told) => told.startsWith('new: '))).to.equal(thing !== null);
    });

  it('a setting renews nothing, whatever it is called', () => {
    const read = readLine('changed chain level to 4', 'a', '2026-05-01T08:00');
    expect(read.ok && read.entry).to.deep.include({ of: 'setting', renews: null });
  });
});

describe('what the battery holds', () => {
  const { pack } = context;
  if (!pack) throw new Error('no pack');
  const sold = pack.series * 3.2 * pack.parallel * pack.cellAh;

  it('is told by readings, rides to empty and long charges, each with its own trust', () => {
    const seen = capacitiesSeen(
      with_(
        box,
        line({ kind: 'measurement', what: 'capacity', value: sold * 0.9 }),
        ride(30, '2026-05-02T08:00', {
          energyWh: sold * pack.usable * 0.9,
          energyFrom: 'meter',
          startCharge: 1,
          endCharge: 0.02,
          temperatureC: 25,
        }),
        line({ kind: 'charge', wallWh: (sold * 0.5 * 0.9) / 0.9, from: 0.5, to: 1, at: '2026-05-03T08:00' }),
        line({ kind: 'charge', wallWh: 50, from: 0.7, to: 1, at: '2026-05-04T08:00' }),
        ride(30, '2026-05-05T08:00', { energyWh: 300, startCharge: 0.96, endCharge: 0.02 }),
        ride(30, '2026-05-06T08:00', { energyWh: 300, startCharge: 1, endCharge: 0.06 }),
      ),
      pack,
    );
    expect(seen.map((s) => [s.from, Number(s.share.toFixed(3))])).to.deep.equal([
      ['measured', 0.9],
      ['ride to empty', 0.9],
      ['charge', 0.9],
    ]);
    expect(seen[0]?.sd).to.be.lessThan(seen[2]?.sd ?? 0);
  });

  it('falls by its chemistry alone where nobody measured, and is drawn to what was', () => {
    expect(ageingOf(with_(box), pack, NOW)).to.equal(null);
    const alone = ageingOf(with_(box, ride(10, '2025-06-30T08:00')), pack, NOW);
    expect(alone?.now.share).to.be.closeTo(1 - 0.015, 0.002);
    const low = line({ kind: 'measurement', what: 'capacity', value: sold * 0.8, at: '2026-06-29T08:00' });
    const seen = ageingOf(with_(box, ride(10, '2025-06-30T08:00'), low, { ...low, id: 'b' } as LogEntry), pack, NOW);
    expect(seen?.now.share).to.be.lessThan(0.92);
    expect(seen?.now.sd).to.be.lessThan(alone?.now.sd ?? 0);
    expect(seen?.inAYear.mid).to.be.lessThan(seen?.now.share ?? 0);
    expect(seen?.worn).to.match(/^20\d\d-/);
  });
});

describe('energy of a logged ride', () => {
  const pack = context.reckoning?.system.pack ?? null;
  const of = (more: object): string => {
    const entry = ride(10, NOW, more);
    if (entry.kind !== 'ride') throw new Error();
    const read = energyRead(entry, pack);
    return 'not' in read ? read.not : `${read.wh.toFixed(1)} ±${read.sd}`;
  };
  it('is a meter’s as read, the wall’s less the charger’s loss, and the gauge’s only over a real fall', () => {
    expect(of({ energyWh: 100 })).to.equal('100.0 ±0.03');
    expect(of({ energyWh: 100, energyFrom: 'wall' })).to.equal('90.0 ±0.07');
    expect(of({ energyWh: null })).to.match(/no energy/);
    expect(of({ energyWh: 0 })).to.match(/took no energy/);
    const gauge = (fall: number): string => of({ energyFrom: 'gauge', startCharge: 1, endCharge: 1 - fall });
    expect(gauge(LEAST_GAUGE - 0.01)).to.match(/less than 20 %/);
    expect(gauge(LEAST_GAUGE)).to.match(/±0.15$/);
    expect(of({ energyFrom: 'gauge', startCharge: 1 })).to.match(/no energy/);
  });
});

describe('lessons', () => {
  const fault = (id: string, more: object = {}): LogEntry =>
    line({
      kind: 'fault',
      id,
      what: 'Dead',
      part: 'magnet-away',
      fault: 'cutoff-out',
      cure: 'a longer magnet',
      ...more,
    });
  const build = (id: string, ...entries: LogEntry[]): Build => ({
    ...with_(demoBuild('mixte'), ...entries),
    id,
    name: id,
    proving: { ...demoBuild('mixte').proving, searches: [] },
  });
  const having = (b: Build): Build => ({
    ...b,
    wiring: { ...b.wiring, levers: { ...b.wiring.levers, left: { ...b.wiring.levers.left, part: 'magnet-away' } } },
  });

  it('say how many of those with a part had the same, each build once', () => {
    const lessons = lessonsOf([
      build('a', fault('1'), fault('2')),
      build('b', fault('3')),
      having(build('c')),
      build('d'),
    ]);
    expect(lessons.length).to.equal(1);
    expect([lessons[0]?.of.map((b) => b.id), lessons[0]?.having, lessons[0]?.cure]).to.deep.equal([
      ['a', 'b'],
      3,
      'a longer magnet',
    ]);
  });

  it('a copy of a build teaches nothing twice, and words that differ in case alone are the same', () => {
    expect(lessonsOf([build('a', fault('1')), build('copy', fault('1'))])[0]?.of.length).to.equal(1);
    const said = (id: string, what: string, cure: string): LogEntry => fault(id, { fault: null, what, cure });
    expect(
      lessonsOf([build('a', said('1', 'Rattles', 'Tape.')), build('b', said('2', 'rattles', 'tape'))]).length,
    ).to.equal(1);
    expect(
      lessonsOf([build('a', said('1', 'Rattles', 'Tape.')), build('b', said('2', 'rattles', 'glue'))]).length,
    ).to.equal(2);
  });

  it('raise a fault where others with the part had it, never by its own, never past fivefold', () => {
    const all = [build('a', fault('1')), build('b', fault('2')), having(build('c'))];
    const lessons = lessonsOf(all);
    expect(likelierByOthers(all[2] as Build, lessons)['cutoff-out']).to.be.within(1.5, 5);
    expect(likelierByOthers(build('x'), lessons)).to.deep.equal({});
    expect(likelierByOthers(all[0] as Build, lessonsOf(all.slice(0, 1)))).to.deep.equal({});
  });
});

describe('a line at the door', () => {
  const read = (text: string): LogEntry => {
    const r = readLine(text, 'x', NOW);
    if (!r.ok) throw new Error(`${text}: ${r.why}`);
    return r.entry;
  };
  it('reads what was done in either unit', () => {
    expect(read('12.4 km 96 Wh 38 min 14 °C to the mill')).to.deep.include({
      kind: 'ride',
      distanceM: 12_400,
      energyWh: 96,
      timeS: 2280,
      temperatureC: 14,
      name: 'to the mill',
      energyFrom: 'meter',
    });
    expect(read('7,5 mi 0.4 kWh wall 50 °F own road')).to.deep.include({
      kind: 'ride',
      energyWh: 400,
      energyFrom: 'wall',
      ownRoad: true,
      temperatureC: 10,
    });
    expect(read('20 km 100 % 60 %')).to.deep.include({ energyFrom: 'gauge', startCharge: 1, endCharge: 0.6 });
    expect(read('charged 420 Wh 20 % 100 %')).to.deep.include({ kind: 'charge', wallWh: 420, from: 0.2, to: 1 });
    expect(read('puncture rear thorn 90°')).to.deep.include({
      kind: 'puncture',
      wheel: 'rear',
      cause: 'thorn',
      round: 0.25,
    });
    expect(read('fault display dark: plug wet; dried')).to.deep.include({
      kind: 'fault',
      what: 'display dark',
      cause: 'plug wet',
      cure: 'dried',
    });
    expect(read('done torque nothing moved')).to.deep.include({
      kind: 'service',
      task: 'torque',
      note: 'nothing moved',
    });
    expect(read('changed rear tyre to 50 mm')).to.deep.include({
      kind: 'change',
      what: 'rear tyre',
      to: '50 mm',
      renews: 'tyreRear',
    });
    expect(read('measured chain 0.4 %')).to.deep.include({ kind: 'measurement', what: 'chainWear', value: 0.004 });
    expect(read('measured front pad 2 mm')).to.deep.include({ what: 'padFront', value: 0.002 });
    expect(read('fog on the lock')).to.deep.include({ kind: 'note', note: 'fog on the lock' });
  });

  it('says what is missing, and keeps nothing out of bounds', () => {
    const why = (text: string): string => {
      const r = readLine(text, 'x', NOW);
      return r.ok ? 'kept' : r.why;
    };
    expect(why('charged yesterday')).to.match(/energy at the wall/);
    expect(why('puncture')).to.match(/wheel/);
    expect(why('done nothing')).to.match(/Done what/);
    expect(why('ride to town')).to.match(/way/);
    expect(why('measured chain')).to.match(/Measured what/);
    expect(why('9000 km 96 Wh')).to.match(/Out of bounds: distanceM/);
    expect(why('   ')).to.match(/Nothing/);
  });

  it('takes any text without a fault of its own', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        const r = readLine(text, 'x', NOW);
        if (r.ok) expect(logEntrySchema.safeParse(r.entry).success).to.equal(true);
        else expect(r.why).not.to.equal('');
      }),
      { numRuns: 200 },
    );
  });

  it('knows what a change touches', () => {
    expect(touchedBy('rear tyre')).to.deep.equal(['crr']);
    expect(touchedBy('new battery and panniers')).to.deep.equal(['cdaM2', 'health']);
    expect(touchedBy('saddle')).to.deep.equal([]);
  });
});

describe('a demo’s log', () => {
  it('is moved as a whole so that its last line falls on a day', () => {
    const build = demoBuild('lockkeeper');
    const moved = logUpTo(build, '2027-01-01');
    const last = (b: Build): string =>
      b.log.entries
        .map((e) => e.at)
        .sort()
        .at(-1) ?? '';
    expect(last(moved).slice(0, 10)).to.equal('2027-01-01');
    expect(moved.log.entries.length).to.equal(build.log.entries.length);
    expect(entriesOf(moved.log, 'ride')[0]?.energyWh).to.equal(entriesOf(build.log, 'ride')[0]?.energyWh);
    expect(logUpTo(with_(build), '2027-01-01').log.entries).to.deep.equal([]);
  });

  it('says its figures come from its rides', async () => {
    const { planChosen } = await import('../plan/planBuild.ts');
    const range = planChosen(context).figures.find((f) => f.id === 'range');
    expect(phraseText(range?.note ?? [], 'metric')).to.match(/from 53 rides$/);
    expect(amountText(range?.value ?? { si: 0, dimension: 'way' }, 'metric')).to.match(/km/);
  });
});
