import { expect } from 'chai';
import fc from 'fast-check';
import { newBuild, type Build } from '../build/build.ts';
import { usualTrailer } from '../build/brief.ts';
import { usualLead } from '../build/wiring.ts';
import { vehicleKinds, type VehicleKind } from '../donor/kinds.ts';
import { commonFrame } from '../donor/common.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { PlanContext } from '../vehicle/context.ts';
import type { Typed } from '../../test/typed.ts';
import { contextOf, measure, world } from '../../test/world.ts';
import { alongLead, type RoutedLead } from './leads.ts';
import { wayFacts } from './wayFacts.ts';
import { Ways, type Anchor } from './ways.ts';
import { wiringOf } from './wiring.ts';

const line = (name: string, points: [number, number][], role: 'frame' | 'chainstay' | 'stay' = 'frame') => ({
  name,
  role,
  points: points.map(([x, y]) => ({ x, y })),
  diameterM: 0.03,
  steers: false,
});
/** A drawing without hinge or springs: nothing of it is looked at. */
const commonDrawing = contextOf(world({ kit: 'wren-m250' })).geometry;
const long = (edges: readonly { lengthM: number }[]): number => edges.reduce((sum, e) => sum + e.lengthM, 0);

function build(kind: VehicleKind, kitId: string, edit: (b: Build) => void = () => undefined): Build {
  const b = newBuild('ways', 'Ways', '2026-01-01T00:00:00.000Z');
  b.donor.kind = kind;
  b.choice.kitId = kitId;
  b.choice.packId = starterShelf.kit.find((k) => k.id === kitId)?.nominalVolts === 36 ? 'loaf-36-17' : 'loaf-48-15';
  edit(b);
  return b;
}
const leadsOf = (b: Build): RoutedLead[] => wiringOf(PlanContext.of(b, starterShelf, false))?.leads ?? [];
const lead = (b: Build, id: string): RoutedLead => {
  const found = leadsOf(b).find((l) => l.id === id);
  if (!found) throw new Error(`no lead ${id}`);
  return found;
};

describe('ways over a net of tubes', () => {
  it('take the shorter side of a triangle, along its tubes and not through it', () => {
    const ways = new Ways(
      [
        line('a', [
          [0, 0],
          [1, 0],
        ]),
        line('b', [
          [1, 0],
          [1, 1],
        ]),
        line('c', [
          [0, 0],
          [1, 1],
        ]),
      ],
      { x: 9, y: 9 },
      [],
    );
    const from = ways.hang({ x: 0.25, y: 0 });
    const to = ways.hang({ x: 1, y: 0.5 });
    expect(long(ways.route(from, to))).to.be.closeTo(0.75 + 0.5, 1e-9);
    expect(
      ways
        .route(from, to)
        .map((e) => e.run)
        .filter((r) => r !== 'a hop'),
    ).to.not.include('c');
    // To the corner both ways are open: 0.25 + √2 against 0.75 + 1.
    expect(long(ways.route(from, ways.hang({ x: 1, y: 0.99 })))).to.be.closeTo(0.25 + Math.SQRT2 + 0.01, 0.02);
    expect(long(ways.route(to, from))).to.be.closeTo(long(ways.route(from, to)), 1e-12);
  });

  it('turn with the bar once for each time they pass from what turns to what does not, begun at its very end too', () => {
    const bar = {
      ...line('bar', [
        [0, 1],
        [1, 1],
      ]),
      role: 'bar' as const,
      steers: true,
    };
    const ways = new Ways(
      [
        line('head tube', [
          [1, 1],
          [1, 0],
        ]),
        bar,
      ],
      { x: 9, y: 9 },
      [],
    );
    const onBar = (x: number): Anchor => ways.hang({ x, y: 1 }, (r) => r.role === 'bar');
    const down = ways.hang({ x: 1, y: 0.4 }, (r) => r.role === 'frame');
    const told = (...stops: Anchor[]): { turns: number; lengthM: number } => {
      const { turns, lengthM } = wayFacts(ways, stops, [], commonDrawing, 0);
      return { turns, lengthM: Math.round(lengthM * 1000) / 1000 };
    };
    expect(told(onBar(0.3), onBar(0.8))).to.deep.equal({ turns: 0, lengthM: 0.5 });
    expect(told(onBar(0.3), down)).to.deep.equal({ turns: 1, lengthM: 1.3 });
    expect(told(onBar(1), down)).to.deep.equal({ turns: 1, lengthM: 0.6 });
    expect(told(down, onBar(1))).to.deep.equal({ turns: 1, lengthM: 0.6 });
    // There and back over the head by a corner laid on the way.
    expect(told(onBar(0.3), { ...down, hops: [] }, onBar(0.8))).to.deep.equal({ turns: 2, lengthM: 2.1 });
  });

  it('go round by a stay where the chainstay is up to three times as short', () => {
    const net = (stay: number) =>
      new Ways(
        [
          line(
            'chainstay',
            [
              [0, 0],
              [1, 0],
            ],
            'chainstay',
          ),
          line('one', [
            [0, 0],
            [0, stay],
          ]),
          line('two', [
            [0, stay],
            [1, stay],
          ]),
          line('three', [
            [1, stay],
            [1, 0],
          ]),
        ],
        { x: 9, y: 9 },
        [],
      );
    const runs = (stay: number): string[] => {
      const ways = net(stay);
      return ways.route(ways.hang({ x: 0, y: 0.0001 }), ways.hang({ x: 1, y: 0.0001 })).map((e) => e.run);
    };
    expect(runs(0.95)).to.not.include('chainstay');
    expect(runs(1.05)).to.include('chainstay');
  });

  it('keep 20 mm from a tyre where there is another way, and say so where there is none', () => {
    const hazard = { what: 'tyre' as const, at: { x: 0.5, y: -0.3 }, radiusM: 0.29, centred: true, besideM: 0 };
    const near = new Ways(
      [
        line('low', [
          [0, 0],
          [1, 0],
        ]),
      ],
      { x: 9, y: 9 },
      [{ ...hazard, radiusM: 0.296 }],
    );
    const far = new Ways(
      [
        line('low', [
          [0, 0],
          [1, 0],
        ]),
      ],
      { x: 9, y: 9 },
      [{ ...hazard, radiusM: 0.294 }],
    );
    const nears = (w: Ways): boolean =>
      w.route(w.hang({ x: 0, y: 0 }), w.hang({ x: 1, y: 0 })).some((e) => e.near === 'tyre');
    // A tube of 30 mm shields what is tied to its far face by 15: 4 + 15 is too near, 6 + 15 is not.
    expect(nears(near)).to.equal(true);
    expect(nears(far)).to.equal(false);
  });

  it('reach what hangs loose by a span that is told', () => {
    const ways = new Ways(
      [
        line('a', [
          [0, 0],
          [1, 0],
        ]),
        line('loose', [
          [0, 0.5],
          [0, 1],
        ]),
      ],
      { x: 9, y: 9 },
      [],
    );
    const edges = ways.route(ways.hang({ x: 0, y: 1 }), ways.hang({ x: 1, y: 0 }));
    expect(edges.map((e) => e.run)).to.include('a span');
    expect(long(edges)).to.be.closeTo(2, 1e-9);
  });
});

describe('leads on every kind of vehicle', () => {
  it('reach every box of every kit, none by nothing, none through the air alone', () => {
    for (const kind of vehicleKinds)
      for (const kit of starterShelf.kit) {
        const b = build(kind, kit.id, (x) => {
          if (kind === 'boxBike') x.brief.trailer = { ...usualTrailer(), loadKg: 20 };
        });
        for (const l of leadsOf(b)) {
          const what = `${kind} ${kit.id} ${l.id}`;
          expect(l.points.length, what).to.be.greaterThan(0);
          expect(l.neededM, what).to.be.within(0.05, 7);
          const { way, lock, fold, travel, loops, plugs, slideOff } = l.sum;
          expect(way + lock + fold + travel + loops + plugs + slideOff, what).to.be.closeTo(l.neededM, 1e-9);
          expect(l.bandM, what).to.be.greaterThan(0);
          const drawn = alongLead(l, 0.5);
          expect(Number.isFinite(drawn.x + drawn.y), what).to.equal(true);
        }
      }
  });

  it('count lock between bar and frame, the fold of a folder, the travel of a swinging rear, a sprung fork', () => {
    const loom = lead(build('diamond', 'otter-r250'), 'loom').sum;
    expect(loom.lock).to.be.greaterThan(0);
    expect(loom.fold).to.equal(0);
    expect(lead(build('diamond', 'otter-r250'), 'motor').sum.lock).to.equal(0);
    expect(lead(build('folding', 'dabchick-r250-f'), 'loom').sum.fold).to.be.greaterThan(0);
    expect(lead(build('folding', 'dabchick-r250-f'), 'cadence').sum.fold).to.equal(0);
    expect(lead(build('fullSuspension', 'otter-r500'), 'motor').sum.travel).to.be.greaterThan(0.03);
    expect(lead(build('diamond', 'otter-r500'), 'motor').sum.travel).to.equal(0);
    const sprung = world({
      kit: 'barrow-f500',
      pack: 'kettle-48-14',
      survey: { forkKind: 'suspension', forkTravel: '60 mm' },
    });
    const travel = wiringOf(contextOf(sprung))?.leads.find((l) => l.id === 'motor')?.sum.travel;
    expect(travel).to.be.closeTo(0.09, 1e-9);
  });

  it('to a box put by hand where it would lie anyway are as long, and the box is one put by hand', () => {
    const w = world({ kit: 'barrow-f500', pack: 'kettle-48-14' });
    // A donor that is frozen is drawn once: where the box hung before is still known.
    Object.freeze(w.build.donor);
    const own = wiringOf(contextOf(w));
    const controller = own?.boxes.find((b) => b.id === 'controller');
    expect(controller?.byHand).to.equal(false);
    const { x: xM, y: yM } = controller?.at ?? { x: NaN, y: NaN };
    w.build.wiring = { ...w.build.wiring, boxes: { controller: { xM, yM } } };
    const moved = wiringOf(contextOf(w));
    expect(moved?.boxes.find((b) => b.id === 'controller')?.byHand).to.equal(true);
    const needed = (of: typeof own): number => of?.leads.find((l) => l.id === 'motor')?.neededM ?? NaN;
    expect(needed(moved)).to.be.closeTo(needed(own), 1e-9);
  });

  it('to a motor in a sprung fork are as sure as that fork’s own travel, whatever is known of the rear', () => {
    const band = (survey: Typed): number => {
      const w = world({ kit: 'barrow-f500', pack: 'kettle-48-14', survey: { forkKind: 'suspension', ...survey } });
      return wiringOf(contextOf(w))?.leads.find((l) => l.id === 'motor')?.bandM ?? NaN;
    };
    const measured = band({ forkTravel: '80 mm' });
    const common = band({});
    // 80 mm is the common one: the way and every other slack are the same.
    expect(common ** 2 - measured ** 2).to.be.closeTo(0.04 ** 2 - 0.01 ** 2, 1e-9);
    expect(band({ forkTravel: '80 mm', rearTravel: '120 mm' })).to.be.closeTo(measured, 1e-12);
    expect(band({ rearTravel: '120 mm' })).to.be.closeTo(common, 1e-12);
  });

  it('are as long as a string along the tubes, in the cases a tape was laid', () => {
    // Bar to bracket by string is what a loom to a mid-drive's case goes: 950 mm, whatever the drawing says.
    const mid = world({ kit: 'wren-m250' });
    const loom = wiringOf(contextOf(mid))?.leads.find((l) => l.id === 'loom');
    expect(loom?.sum.way).to.be.closeTo(0.95, 1e-12);
    expect({ ...loom?.sum, way: 'the string' }).to.deep.equal({
      way: 'the string',
      lock: 0.06,
      fold: 0,
      travel: 0,
      loops: 0.06,
      plugs: 0.05,
      slideOff: 0,
    });
    const before = loom?.neededM ?? 0;
    measure(mid, 'headToBracket', 1.25);
    expect(wiringOf(contextOf(mid))?.leads.find((l) => l.id === 'loom')?.neededM).to.be.closeTo(before + 0.3, 1e-9);
  });

  it('are never shorter on longer tubes', () => {
    const sizes = ['wheelbase', 'chainstayLength', 'seatTubeLength', 'seatSide', 'topSide', 'downSide'] as const;
    const put = (b: Build, k: number): void => {
      const common = commonFrame[b.donor.kind];
      for (const id of sizes) {
        const value = common[id as keyof typeof common];
        if (typeof value === 'number' && value > 0)
          (b.donor.survey as Record<string, unknown>)[id] = {
            value: value * k,
            typed: '',
            unit: '',
            provenance: 'measured',
            note: '',
          };
      }
    };
    fc.assert(
      fc.property(
        fc.constantFrom<VehicleKind>('diamond', 'mixte', 'stepThrough', 'tandem', 'longtail', 'fat'),
        fc.double({ min: 1.02, max: 1.2, noNaN: true }),
        fc.constantFrom('wren-m500', 'linnet-f250', 'siskin-f180'),
        (kind, k, kit) => {
          const [short, tall] = [1, k].map((f) => leadsOf(build(kind, kit, (b) => put(b, f))));
          for (const l of short ?? []) {
            if (l.from === 'pack') continue;
            const other = tall?.find((t) => t.id === l.id);
            expect(other?.neededM, `${kind} ${kit} ${l.id}`).to.be.at.least(l.neededM - 1e-6);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a controller moved towards the motor never makes its lead longer', () => {
    const b = build('diamond', 'otter-r250');
    const { geometry: g } = PlanContext.of(b, starterShelf, false);
    const at = (k: number): number =>
      lead(
        build('diamond', 'otter-r250', (x) => {
          x.wiring.boxes.controller = {
            xM: g.seatTop.x + (g.rearAxle.x - g.seatTop.x) * k,
            yM: g.seatTop.y + (g.rearAxle.y - g.seatTop.y) * k,
          };
        }),
        'motor',
      ).neededM;
    const along = [0.15, 0.3, 0.45, 0.6, 0.75, 0.9].map(at);
    for (let i = 1; i < along.length; i++) expect(along[i]).to.be.at.most((along[i - 1] as number) + 1e-9);
    expect(along[0]).to.be.greaterThan((along.at(-1) as number) + 0.2);
  });

  it('go by the corners they are given, and by a string where one was laid', () => {
    const b = build('diamond', 'otter-r250');
    const straight = lead(b, 'loom');
    const { geometry: g } = PlanContext.of(b, starterShelf, false);
    const round = lead(
      build('diamond', 'otter-r250', (x) => {
        x.wiring.leads.loom = { ...usualLead, way: [{ xM: g.seatTop.x, yM: g.seatTop.y }] };
      }),
      'loom',
    );
    expect(round.neededM).to.be.greaterThan(straight.neededM - 1e-9);
    expect(round.points.some((p) => Math.hypot(p.x - g.seatTop.x, p.y - g.seatTop.y) < 0.05)).to.equal(true);
    const strung = lead(
      build('diamond', 'otter-r250', (x) => {
        x.wiring.leads.loom = { ...usualLead, way: [], stringM: 1.1 };
      }),
      'loom',
    );
    expect(strung.sum.way).to.equal(1.1);
    expect(strung.bandM).to.be.lessThan(straight.bandM);
  });
});

describe('a lead’s verdict', () => {
  const verdict = (spare: number): { verdict: string; fix: string | null; places: number } => {
    const made = world({ kit: 'wren-m250' });
    const needed = 1.12;
    for (const l of made.kit.wiring?.leads ?? []) if (l.id === 'loom') l.lengthM = needed + spare;
    const found = wiringOf(contextOf(made))?.leads.find((l) => l.id === 'loom');
    return {
      verdict: found?.verdict ?? '',
      fix: found?.fix?.extension?.id ?? null,
      places: found?.stow?.options.length ?? 0,
    };
  };
  const band = Math.hypot(0.019, 0.01);

  it('is short, a string’s work, right or surplus by what is over', () => {
    expect(verdict(-band - 0.0001).verdict).to.equal('short');
    expect(verdict(-band + 0.0001).verdict).to.equal('measure');
    expect(verdict(band - 0.0001).verdict).to.equal('measure');
    expect(verdict(band + 0.0001).verdict).to.equal('right');
    expect(verdict(0.1499).verdict).to.equal('right');
    expect(verdict(0.1501).verdict).to.equal('surplus');
    expect(verdict(0.1501).places).to.be.greaterThan(0);
    expect(verdict(0.1499).places).to.equal(0);
  });

  it('takes the next extension that reaches', () => {
    expect(verdict(-0.1999).fix).to.equal('extension-round-small-6-200');
    expect(verdict(-0.2001).fix).to.equal('extension-round-small-6-300');
    expect(verdict(-0.5001).fix).to.equal('extension-round-small-6-800');
    expect(verdict(-0.8001).fix).to.equal('extension-round-small-6-1200');
  });

  it('counts the extension chosen, and the one that a remedy taken brought', () => {
    const made = world({ kit: 'wren-m250' });
    for (const l of made.kit.wiring?.leads ?? []) if (l.id === 'loom') l.lengthM = 0.9;
    const loom = () => wiringOf(contextOf(made))?.leads.find((l) => l.id === 'loom');
    expect(loom()?.verdict).to.equal('short');
    const id = loom()?.fix?.extension?.id ?? '';
    made.build.wiring.leads.loom = { ...usualLead, way: [], extension: id };
    expect(loom()?.suppliedM).to.be.closeTo(1.2, 1e-9);
    expect(loom()?.verdict).to.equal('right');
    made.build.wiring.leads = {};
    const taken = contextOf(made).having([{ subject: made.kit.id, takes: [{ part: id, count: 1, place: 'leads' }] }]);
    expect(wiringOf(taken)?.leads.find((l) => l.id === 'loom')?.taken?.extension?.id).to.equal(id);
  });
});
