import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { Kit } from '../parts/kit.ts';
import { planContext } from '../plan/context.ts';
import { tallyFigures } from '../plan/figures.ts';
import { planChosen } from '../plan/planBuild.ts';
import { phraseText } from '../quantity/format.ts';
import { describedRoute } from '../ride/route.ts';
import { simulate } from '../ride/simulate.ts';
import { assistLimit } from './system.ts';
import { helpOf, helpWords, type Help } from './assist.ts';
import { legsShare } from './reckon.ts';

/** A commuter on a flat road with a kit, and what a test changes. */
function ridden(kitId: string, change: (build: Build) => void = () => undefined, own?: Partial<Kit>) {
  const build = newBuild('ride', 'Ride', '2026-01-01T00:00:00.000Z');
  build.choice.kitId = kitId;
  build.choice.packId = 'kettle-48-17';
  const kit = starterShelf.kit.find((k) => k.id === kitId);
  if (!kit) throw new Error(kitId);
  if (own) build.ownParts = [{ ...kit, ...own }];
  const pack = starterShelf.pack.find(
    (p) => p.series * 3.6 < kit.controller.maxVolts && p.series * 3.6 > kit.nominalVolts * 0.9,
  );
  build.choice.packId = pack?.id ?? null;
  change(build);
  const context = planContext(build, starterShelf);
  if (!context.kit || !context.reckoning) throw new Error('nothing to ride');
  const { system } = context.reckoning;
  return { context, system, kit: context.kit, help: helpOf(build, context.kit, system), reckoning: context.reckoning };
}
/** The same kit with legs that give nothing: it does not move on the road, and its levels are what they are. */
const idly = ({ context, kit, system }: ReturnType<typeof ridden>): Help =>
  helpOf(context.build, kit, { ...system, rider: { ...system.rider, powerW: 0 } });
const stepOf = ({ step, steps }: Help): number => steps[(step ?? 0) - 1] as number;

describe('how the motor helps', () => {
  it('by itself is the kit’s usual way at the least step that holds cruise on the flat, not one less', () => {
    const { help, system } = ridden('otter-r250');
    expect(help.law).to.deep.equal({ law: 'level', levelW: stepOf(help) });
    expect(stepOf(help)).to.be.at.least(help.cruiseW);
    expect(help.steps[(help.step ?? 0) - 2] ?? 0).to.be.below(help.cruiseW);
    expect(help.byItself).to.equal(true);
    expect(system.rider.assist).to.deep.equal(help.law);
  });

  it('a level just at what cruise asks is enough, and one just below it is not', () => {
    const { help } = ridden('otter-r250');
    for (const [watts, step] of [
      [help.cruiseW, 1],
      [help.cruiseW + 0.001, 1],
      [help.cruiseW - 0.001, 2],
    ] as const)
      expect(
        ridden('otter-r250', undefined, { assist: { laws: ['level'], levelsW: [watts, 900] } }).help.step,
      ).to.equal(step);
  });

  it('on a hilly road a level must climb its steepest at 8 km/h with the legs, just or not quite', () => {
    const hilly = (levelsW: number[]): Help =>
      ridden(
        'otter-r250',
        (b) => (b.brief.route = describedRoute('hill', 'Hill', 4000, [{ heightM: 40, lengthM: 400 }], 'asphalt', 0)),
        { assist: { laws: ['level'], levelsW } },
      ).help;
    const { hillW, cruiseW } = hilly([100, 900]);
    const legsW = 50 * 0.95;
    expect(hillW - legsW).to.be.greaterThan(cruiseW);
    for (const [watts, step] of [
      [hillW - legsW + 0.001, 1],
      [hillW - legsW - 0.001, 2],
    ] as const)
      expect(hilly([watts, 900]).step).to.equal(step);
  });

  it('reckons the steepest stretch on its own surface, and cruise on the road’s', () => {
    const asked = (surface: 'asphalt' | 'looseGravel'): Help =>
      ridden('otter-r250', (b) => {
        const road = describedRoute('hill', 'Hill', 4000, [{ heightM: 40, lengthM: 400 }], 'asphalt', 0);
        b.brief.route = { ...road, stretches: [{ fromM: 1500, toM: 3000, surface }] };
      }).help;
    const [smooth, loose] = [asked('asphalt'), asked('looseGravel')];
    expect(loose.cruiseW).to.equal(smooth.cruiseW);
    expect(loose.hillW).to.be.greaterThan(smooth.hillW + 20);
  });

  it('in proportion is the least step that with its legs holds cruise', () => {
    const { help, system } = ridden('wren-m250-h');
    const legsW = system.rider.powerW * system.vehicle.drivetrainEfficiency;
    const enough = help.cruiseW / legsW - 1;
    for (const [gain, step] of [
      [enough + 0.001, 1],
      [enough - 0.001, 2],
    ] as const)
      expect(
        ridden('wren-m250-h', undefined, { assist: { laws: ['proportional'], gains: [gain, 9] } }).help.step,
      ).to.equal(step);
  });

  it('is the highest step where none holds cruise, or nobody pedals', () => {
    const fast = ridden('otter-r250', (b) => {
      b.brief.cruiseMs = 15;
      b.choice.assistLimitMs = 20;
    });
    expect(fast.help.step).to.equal(fast.help.steps.length);
    const idle = idly(ridden('wren-m250-h'));
    expect(idle.step).to.equal(idle.steps.length);
  });

  it('is a level for who gives nothing, where the kit has both', () => {
    const eased = ridden('otter-r250-x');
    expect([idly(eased).law.law, eased.help.law.law]).to.deep.equal(['level', 'proportional']);
  });

  it('is held to the speed at which it ends', () => {
    const { help, kit, context } = ridden('otter-r250', (b) => (b.brief.cruiseMs = 12));
    const slower = ridden(
      'otter-r250',
      (b) => (b.brief.cruiseMs = (assistLimit(context.build, { kit }) ?? 0) - 1 / 3.6),
    );
    expect(help.cruiseW).to.be.closeTo(slower.help.cruiseW, 1e-6);
  });

  it('is as the brief says where the kit can, at the nearest step it has', () => {
    const said = (law: 'level' | 'proportional' | 'frugal', step: number | null, kit = 'otter-r250'): Help =>
      ridden(kit, (b) => (b.brief.assist = { law, step })).help;
    expect(said('level', 4).law).to.deep.equal({ law: 'level', levelW: 310 });
    expect(said('level', 9).step).to.equal(5);
    expect(said('level', null).byItself).to.equal(true);
    expect(said('proportional', 2).law.law).to.equal('level');
    expect(said('level', 1, 'otter-r250-x').law).to.deep.equal({ law: 'level', levelW: 100 });
    expect(said('proportional', 2, 'otter-r250-x').law).to.deep.equal({ law: 'proportional', gain: 1.4 });
    expect(said('frugal', null).law).to.deep.equal({ law: 'fill' });
  });

  it('of a kit whose maker says nothing is five even levels of what reaches the tyre', () => {
    const { help, kit } = ridden('otter-r250', undefined, { assist: undefined });
    expect(kit.assist).to.equal(undefined);
    expect(help.steps).to.deep.equal([81, 162, 243, 324, 405]);
  });

  it('on the throttle is the motor alone, as far as it can', () => {
    const { system } = ridden('pochard-r350', (b) => (b.choice.usesThrottle = true));
    expect(system.rider).to.deep.include({ powerW: 0, assist: { law: 'fill' } });
    // Left over from another kit, the choice means nothing to one that brings none.
    const without = ridden('otter-r250', (b) => (b.choice.usesThrottle = true)).system.rider;
    expect(without.powerW).to.be.greaterThan(0);
    expect(without.assist?.law).to.equal('level');
  });

  it('is told in words', () => {
    expect(helpWords(ridden('otter-r250', (b) => (b.brief.assist = { law: 'level', step: 2 })).help)).to.equal(
      'step 2 of 5, 160 W at the tyre',
    );
    expect(helpWords(ridden('wren-m250-h').help)).to.match(
      /^step \d of 4, [\d.]+ times the legs, the least for this road$/,
    );
    expect(helpWords(ridden('otter-r250', (b) => (b.brief.assist = { law: 'frugal', step: null })).help)).to.equal(
      'legs first, the motor gives what is missing',
    );
  });
});

describe('a range that a rider would believe', () => {
  it('a plain commuter at 22 km/h goes 50 to 90 km on some 600 Wh, not 250', () => {
    const { reckoning, context } = ridden('otter-r250', (b) => (b.choice.packId = 'loaf-36-17'));
    const wh = reckoning.toEmpty.energyWh;
    expect((reckoning.toEmpty.distanceM / 1000) * (600 / wh)).to.be.within(50, 90);
    expect(legsShare(reckoning.toEmpty)).to.be.below(0.2);
    expect(context.band?.hardly).to.equal(false);
  });

  it('legs first goes further the more they do, and says that it rests on them, or is no range', () => {
    const level = ridden('otter-r250').reckoning.toEmpty;
    const frugal = ridden('otter-r250', (b) => {
      b.brief.assist = { law: 'frugal', step: null };
      b.brief.riders[0] = { ...b.brief.riders[0]!, effort: 'brisk' };
    });
    expect(frugal.reckoning.toEmpty.distanceM).to.be.greaterThan(level.distanceM * 2);
    expect(legsShare(frugal.reckoning.toEmpty)).to.be.greaterThan(0.85);
    expect(frugal.context.band?.hardly).to.equal(true);
  });

  it('the laws share the same work: what the motor does not, the legs do', () => {
    const { system } = ridden('otter-r250-x');
    const road = [{ lengthM: 5000, grade: 0.01, targetMs: 5, stop: false }];
    const done = (assist: NonNullable<typeof system.rider.assist>) => {
      const { account } = simulate({ ...system, rider: { ...system.rider, powerW: 120, assist } }, road, {
        repeat: false,
      });
      return account;
    };
    const [fill, level, share] = [
      done({ law: 'fill' }),
      done({ law: 'level', levelW: 300 }),
      done({ law: 'proportional', gain: 1 }),
    ];
    for (const a of [level, share]) expect(a.rider + a.wheel).to.be.closeTo(fill.rider + fill.wheel, 50);
    expect(share.wheel / share.rider).to.be.closeTo(1, 0.02);
    expect(level.rider).to.be.below(level.wheel * 0.05);
    expect(fill.rider).to.be.greaterThan(fill.wheel);
  });

  it('is told to rest on the legs past half of the work, and is none past 85 %', () => {
    const shared = (gain: number) => {
      const { context } = ridden(
        'wren-m250-h',
        (b) => {
          b.brief.riders[0] = { ...b.brief.riders[0]!, effort: 'hard' };
          b.brief.route = describedRoute('flat', 'Flat', 10_000, [], 'asphalt', 0);
          b.brief.headwindMs = 0;
        },
        { assist: { laws: ['proportional'], gains: [gain] } },
      );
      const figure = tallyFigures(context, planChosen(context).money).find((f) => f.id === 'range');
      return {
        note: phraseText(figure?.note ?? [], 'metric'),
        value: figure?.value ?? null,
        hardly: context.band?.hardly,
      };
    };
    expect(shared(1.03).note).to.match(/; legs do 49.% of the work$/);
    expect(shared(0.97).note).to.match(/; it rests on the legs for 51.% of the work$/);
    expect(shared(0.185).hardly).to.equal(false);
    const none = shared(0.168);
    expect(none.hardly).to.equal(true);
    expect(none.value).to.equal(null);
    expect(none.note).to.match(/^the motor hardly works: not a range; legs do 8[56].% of the work$/);
  });
});
