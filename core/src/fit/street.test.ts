import { expect } from 'chai';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { contextOf, world, type WorldOf } from '../../test/world.ts';
import type { Verdict } from '../verdict.ts';
import { judgeAbout } from './judge.ts';

/**
 * Ten vehicles of the street, each with what a mechanic says across the bench: what stops it, what has to change, what
 * nobody has looked at yet, and what is fine. Nothing that would fail on the road may fit.
 */
interface Street {
  what: string;
  of: WorldOf;
  says: Partial<Record<Verdict, string[]>>;
}

const postBike: WorldOf['survey'] = {
  clusterKind: 'single',
  cogTeeth: '19',
  shifterClicks: '',
  rightShifter: 'none',
  rearBrake: 'coaster',
  frontBrake: 'drum',
  leftLever: 'none',
  leftPull: '',
  leftSensorRoom: '',
  chainGuard: 'fullCase',
  ringLock: 'yes',
  lampFeed: 'hubDynamo',
  frontCarrier: 'rack',
  carrierHeldBy: 'frame',
  rackCarries: 'basket',
};
const beltBike: WorldOf['survey'] = {
  frameMaterial: 'aluminium',
  dropoutMaterial: 'aluminium',
  forkMaterial: 'aluminium',
  finalDrive: 'belt',
  beltSplit: 'yes',
  clusterKind: 'hubGear',
  hubGear: 'eight',
  cogTeeth: '22',
  ringTeeth: '50',
  shifterClicks: '8',
  hubGearRatioFloor: '1.9',
  hubGearTorque: '130 Nm',
  hanger: 'none',
  tensioner: 'no',
  rearBrake: 'discHydraulic',
  frontBrake: 'discHydraulic',
  rearRotorMount: 'sixBolt',
  frontRotorMount: 'sixBolt',
  rearRotor: '160 mm',
  frontRotor: '160 mm',
  rearCaliperReach: '13 mm',
  frontCaliperReach: '13 mm',
  leftPull: 'hose',
  rightPull: 'hose',
  cableRun: 'internal',
  cablePort: '9 mm',
  throughShell: 'hosesInside',
};
const roadster: WorldOf['survey'] = {
  rearTyre: '40-635',
  frontTyre: '40-635',
  rearRimSurface: 'chromed',
  frontRimSurface: 'chromed',
  leftPull: 'rod',
  rightPull: 'rod',
  crankFit: 'cottered',
  clusterKind: 'hubGear',
  hubGear: 'three',
  cogTeeth: '18',
  shifterClicks: '3',
  chainGuard: 'fullCase',
  frontTips: 'recessed',
};

const street: Street[] = [
  {
    what: 'a postman’s bike with coaster, drum, chain case and hub dynamo, motor in the front wheel',
    of: { kit: 'linnet-f250', survey: postBike },
    says: { rework: ['brake-kind', 'hub-dynamo'], fits: ['carrier-axle', 'former-motor'] },
  },
  {
    what: 'the same with a motor at the bracket: the coaster no longer brakes, the case comes off',
    of: { kit: 'wren-m250', survey: postBike },
    says: { stop: ['brake-kind'], rework: ['guard-mid', 'lead-ends'], fits: ['belt-mid', 'chain-tension'] },
  },
  {
    what: 'a belt commuter with hoses through its shell, motor at the bracket',
    of: { kit: 'wren-m250', survey: beltBike },
    says: { rework: ['belt-mid', 'through-shell', 'cutoff-levers'], fits: ['belt-split', 'brake-kind'] },
  },
  {
    what: 'the same with a motor in the front wheel: belt and shell are left alone',
    of: { kit: 'linnet-f250', survey: beltBike },
    says: { rework: ['cutoff-levers', 'axle-seat'], fits: ['brake-kind'] },
  },
  {
    what: 'a black roadster with rods, chromed rims and cotter pins, motor in the rear wheel',
    of: { kit: 'otter-r250', survey: roadster },
    says: {
      rework: [
        'cutoff-levers',
        'rim-surface-front',
        'rim-surface-rear',
        'cluster-mount',
        'guard-rear',
        'brakes-enough',
      ],
    },
  },
  {
    what: 'a step-through with a child’s seat on the rack, and a battery for that rack',
    of: { kind: 'stepThrough', kit: 'linnet-f250', pack: 'loaf-36-17', survey: { childSeat: 'onRack' } },
    says: { stop: ['child-rack'], fits: ['rack-pack'] },
  },
  {
    what: 'a converted bike of ten years ago: leads and sensors left on it, and its old battery wanted again',
    of: {
      survey: { formerMotor: 'partsLeft', formerPack: 'ownPlug' },
      edit: ({ pack }) => {
        pack.origin = 'used';
        pack.health = 0.85;
      },
    },
    says: { stop: ['former-pack'], rework: ['former-motor'] },
  },
  {
    what: 'a velomobile with one lever for both front brakes, motor at the bracket',
    of: {
      kind: 'velomobile',
      kit: 'wren-m250',
      survey: {
        barShape: 'sideSticks',
        hands: 'sideSticks',
        leftLever: 'none',
        leftPull: '',
        leftSensorRoom: '',
        rightPull: 'twoCables',
        frontBrake: 'drum',
        rearBrake: 'none',
        rearTyre: '40-559',
        frontTyre: '40-406',
        parkingLock: 'yes',
        seatHeight: '300 mm',
      },
    },
    says: { rework: ['shell-hands'], fits: ['cutoff-levers', 'parking-lock', 'through-shell'] },
  },
  {
    what: 'a tandem trike with a differential, motor in the rear wheel: there is no dropout for it',
    of: {
      kind: 'tandemTrike',
      kit: 'otter-r250',
      pack: 'loaf-36-17',
      survey: { drivenWheels: 'bothRear', parkingLock: 'no', seatKind: 'saddleBack', timingChain: 'sameSide' },
    },
    says: { stop: ['driven-wheels'], rework: ['parking-lock'] },
  },
  {
    what: 'a box trike with two front wheels and one gear, of which nobody has turned the shell over to look',
    of: {
      kind: 'boxTrike',
      kit: 'wren-m250',
      pack: 'hearth-36-20-lfp',
      survey: {
        underBracket: '',
        throughShell: '',
        parkingLock: 'yes',
        rearTyre: '50-559',
        frontTyre: '50-507',
        frontBrake: 'drum',
        vehicleMass: '45 kg',
        loadLimit: '250 kg',
      },
    },
    says: { measure: ['under-bracket', 'through-shell'], fits: ['crank-removal'] },
  },
];

describe('ten vehicles of the street', () => {
  for (const { what, of, says } of street)
    it(what, () => {
      const context = contextOf(world(of));
      const findings = new Map(
        (['donor', 'kit', 'pack'] as const)
          .flatMap((about) => judgeAbout(about, context).findings)
          .map((f) => [f.rule, f]),
      );
      for (const [verdict, rules] of Object.entries(says))
        for (const rule of rules)
          expect(findings.get(rule)?.verdict, `${rule}: ${findings.get(rule)?.title ?? 'says nothing'}`).to.equal(
            verdict,
          );
      // A stop is as right as a fit: none but those named, and one more that each vehicle may have of its own.
      const stops = [...findings.values()].filter((f) => f.verdict === 'stop').map((f) => f.rule);
      expect(stops.filter((id) => !(says.stop ?? []).includes(id))).to.deep.equal([]);
      expect(starterShelf.kit.some((k) => k.id === context.kit?.id)).to.equal(true);
    });
});
