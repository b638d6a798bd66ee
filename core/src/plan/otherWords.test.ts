import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import { usualRider } from '../build/brief.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { city, hubGear } from '../../test/city.ts';
import { typedSurvey, type Typed } from '../../test/typed.ts';
import { planContext } from './context.ts';
import { planChosen } from './planBuild.ts';

function build(kitId: string, survey: Typed, edit: (b: Build) => void = () => undefined): Build {
  const b = newBuild('same', 'Same', '2026-01-01T00:00:00.000Z');
  b.donor.survey = typedSurvey({ ...city, ...survey });
  b.choice.kitId = kitId;
  b.choice.packId = 'kettle-36-13';
  edit(b);
  return b;
}

/** What a build is told: every figure, and every rule's verdict but those named. */
function told(b: Build, but: readonly string[] = []) {
  const plan = planChosen(planContext(b, starterShelf));
  return {
    figures: plan.figures
      .filter((f) => f.id !== 'price' && !but.includes(f.id))
      .map((f) => [f.id, f.value === null ? null : Math.round(f.value.si * 1e3) / 1e3]),
    verdicts: Object.fromEntries(
      plan.findings
        .filter((f) => !but.includes(f.rule))
        .map((f): [string, string] => [f.rule, f.verdict])
        .sort(([a], [z]) => a.localeCompare(z)),
    ),
  };
}

describe('one build described in other words', () => {
  it('in inches and pounds', () => {
    const metric = build('otter-r250', { rearDropoutSpacing: '135 mm', vehicleMass: '15 kg', wheelbase: '1054.1 mm' });
    const imperial = build('otter-r250', {
      rearDropoutSpacing: '5.31496 in',
      vehicleMass: '33.0693 lb',
      wheelbase: '41.5 in',
    });
    expect(told(imperial)).to.deep.equal(told(metric));
  });

  it('cogs the donor has, or the same chosen', () => {
    const own = build('otter-r250', { clusterKind: 'freewheel', cogTeeth: '14-16-18-21-24-28', shifterClicks: '6' });
    const chosen = build(
      'otter-r250',
      { clusterKind: 'freewheel', cogTeeth: '14-16-18-21-24-28', shifterClicks: '6' },
      (b) => {
        b.choice.clusterId = 'freewheel-6-14-28';
      },
    );
    // What is bought weighs beside what it replaces: the sum errs heavy by the cluster.
    const but = ['cluster-choice', 'mass', 'range', 'topSpeed', 'climb', 'startGrade', 'range-need'];
    expect(told(chosen, but)).to.deep.equal(told(own, but));
  });

  it('a hub gear read on the donor, or the same laced in', () => {
    const eight = starterShelf.hubGear.find((h) => h.speeds === 'eight');
    if (!eight?.leastRatio || !eight.mostRatio || !eight.mostTorqueNm) throw new Error('no limits');
    const own = build('wren-m250', {
      ...hubGear,
      hubGear: 'eight',
      cogTeeth: '19',
      hubGearRatioFloor: String(eight.leastRatio),
      hubGearRatioCeiling: String(eight.mostRatio),
      hubGearTorque: `${eight.mostTorqueNm} Nm`,
      hubGearLargestCog: '23',
    });
    const laced = build('wren-m250', {}, (b) => {
      b.choice.hubGearId = eight.id;
    });
    const own2 = planContext(own, starterShelf);
    const laced2 = planContext(laced, starterShelf);
    expect(laced2.gearing.gears).to.deep.equal(own2.gearing.gears);
    expect(laced2.gearing.efficiency).to.equal(own2.gearing.efficiency);
    for (const rule of ['hub-gear-ratio', 'hub-gear-torque', 'hub-gear-school', 'chain-wear', 'derailleur-range'])
      expect(told(laced).verdicts[rule], rule).to.equal(told(own).verdicts[rule]);
  });

  it('a disc the donor has, or the same taken as a remedy', () => {
    const rims = build('otter-r500', {}, (b) => {
      b.choice.assistLimitMs = 9;
      b.fixes = [{ rule: 'brakes-enough', subject: 'otter-r500', remedy: 'front-disc', on: '2026-01-01' }];
    });
    const disc = build('otter-r500', { frontBrake: 'discCable', frontRotor: '160 mm' }, (b) => {
      b.choice.assistLimitMs = 9;
    });
    // What the disc bolts to is asked of the one that has yet to be bolted on.
    const but = ['mass', 'range', 'topSpeed', 'climb', 'startGrade', 'range-need', 'mount-front-disc'];
    expect(told(rims, but)).to.deep.equal(told(disc, but));
  });

  it('a kit whose sizes were measured on arrival and are as its data says', () => {
    const plain = build('otter-r250', {});
    const kit = starterShelf.kit.find((k) => k.id === 'otter-r250');
    const arrived = build('otter-r250', {}, (b) => {
      b.arrivals['otter-r250'] = {
        axleFlatsM: kit?.hub?.axleFlatsM,
        axleDiameterM: kit?.hub?.axleDiameterM,
        dropoutSpacingM: kit?.hub?.dropoutSpacingM,
        loomM: kit?.controls?.loomM,
      };
    });
    expect(told(arrived)).to.deep.equal(told(plain));
    // And where they are not, the plan is judged again.
    arrived.arrivals['otter-r250'] = { axleDiameterM: 0.016, washerBoreM: 0.014 };
    expect(told(arrived).verdicts['axle-bores']).to.equal('rework');
  });

  it('whoever is listed first, it is who steers that counts', () => {
    const heavy = { ...usualRider(), name: 'Heavy', massKg: 104 };
    const light = { ...usualRider(), name: 'Light', massKg: 58 };
    const one = build('otter-r250', {}, (b) => {
      b.brief.riders = [heavy, light];
    });
    const other = build('otter-r250', {}, (b) => {
      b.brief.riders = [light, heavy];
      b.brief.aboard = [{ rider: 1, seat: 'main', pedals: true }];
    });
    expect(told(other)).to.deep.equal(told(one));
  });

  it('a kit wheel smaller on purpose, or the same thought of', () => {
    const smaller = (edit: (b: Build) => void): Build =>
      build('linnet-f250-s', { frontTyre: '37-622', frontBrake: 'discCable' }, (b) => {
        b.schools.wheelSize = 'smaller';
        edit(b);
      });
    const byKit = planContext(
      smaller(() => undefined),
      starterShelf,
    );
    const { front } = byKit.asItWillBe.tyres;
    expect(front.beadM).to.be.below(0.6);
    const thought = smaller((b) => {
      b.choice.newWheels = { rear: null, front };
    });
    const but = ['wheel-size'];
    expect(told(thought, but).figures).to.deep.equal(told(byKit.build, but).figures);
    // By the other school it is not ridden so.
    const matched = build('linnet-f250-s', { frontTyre: '37-622', frontBrake: 'discCable' });
    expect(planContext(matched, starterShelf).asItWillBe.tyres.front.beadM).to.equal(0.622);
  });

  it('wheels thought of that are the wheels there are', () => {
    const plain = build('otter-r250', {});
    const thought = build('otter-r250', {}, (b) => {
      b.choice.newWheels = { rear: { beadM: 0.622, widthM: 0.037 }, front: { beadM: 0.622, widthM: 0.037 } };
    });
    expect(told(thought)).to.deep.equal(told(plain));
  });

  it('a load in the trailer, or the same load as part of the trailer', () => {
    const tow = (massKg: number, loadKg: number, loadAheadM: number): Build =>
      build('otter-r250', {}, (b) => {
        b.brief.trailer = {
          massKg,
          loadKg,
          loadAheadM,
          limitKg: 100,
          wheels: 2,
          tyre: { beadM: 0.406, widthM: 0.047 },
          drawbarM: 1,
          hitch: 'axle',
          hitchBackM: 0.06,
          hitchUpM: 0.34,
          brake: 'none',
          cdaM2: 0.15,
          widthM: 0.75,
        };
      });
    // 30 kg over the axle by its load, or by its own mass: 1.5 and 0.5 + 1 kg on the coupling.
    expect(told(tow(30, 0, 0)).figures).to.deep.equal(told(tow(10, 20, 0.05)).figures);
  });
});
