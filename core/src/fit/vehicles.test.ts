import { expect } from 'chai';
import { newBuild, type Build } from '../build/build.ts';
import type { VehicleKind } from '../donor/kinds.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { city, derailleur9, disc, hubGear } from '../../test/city.ts';
import { Said } from '../../test/said.ts';
import type { Finding } from './finding.ts';
import { kitFindings } from '../../test/world.ts';
import { typedSurvey, type Typed } from '../../test/typed.ts';
import type { Verdict } from '../verdict.ts';

/** Where packs lie is proved beside the layout; one of them is enough here. */
const shelf = {
  ...starterShelf,
  pack: starterShelf.pack.filter((p) => p.id === 'kettle-36-13'),
};

/**
 * Vehicles as people describe them, with what an experienced converter would say: every stop there
 * should be and no other, and reworks and measures that must not be missed. Written from the trade.
 */
interface Vehicle {
  what: string;
  kind: VehicleKind;
  kit: string;
  survey: Typed;
  /** Exactly these stop. */
  stops?: string[];
  reworks?: string[];
  measures?: string[];
  /** These must fit. */
  fits?: string[];
  edit?: (b: Build) => void;
}

const trike: Typed = {
  drivenWheels: 'rearLeft',
  parkingLock: 'yes',
  clusterKind: 'single',
  cogTeeth: '20',
  rearBrake: 'none',
  frontBrake: 'rim',
  rearTyre: '47-507',
  frontTyre: '47-507',
  frontTyreRoom: '66 mm',
  tapeWidth: '23 mm',
  track: '680 mm',
  standover: '380 mm',
  wheelbase: '1220 mm',
  chainstayLength: '620 mm',
  vehicleMass: '28 kg',
  loadLimit: '230 kg',
  seatLimit: '130 kg',
  frontSlotDepth: '15 mm',
};
const carbon: Typed = { frameMaterial: 'carbon', dropoutMaterial: 'carbon', forkMaterial: 'carbon' };

const vehicles: Vehicle[] = [
  {
    what: 'old steel roadster, nutted 135 ends, geared rear hub',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: {},
    fits: [
      'dropout-spacing',
      'axle-slot',
      'slot-depth',
      'axle-stack',
      'axle-seat',
      'wheel-size',
      'cluster-mount',
      'brake-kind',
      'frame-material',
    ],
  },
  {
    what: 'the same with a splined nine and a nine-speed shifter',
    kind: 'diamond',
    kit: 'otter-r250-c',
    survey: derailleur9,
    fits: ['cluster-mount', 'shifter-match', 'dropout-spacing'],
  },
  {
    what: 'the same, freewheel hub bought for a cassette bike',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: derailleur9,
    reworks: ['cluster-mount', 'shifter-match'],
  },
  {
    what: 'ten-speed from the seventies, 126 mm steel, wide hub',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { rearDropoutSpacing: '126 mm' },
    stops: ['dropout-spacing'],
  },
  {
    what: 'the same with the slim hub made for 128',
    kind: 'diamond',
    kit: 'dipper-r250-s',
    survey: { rearDropoutSpacing: '126 mm', rearSlotWidth: '9.8 mm' },
    reworks: ['dropout-spacing'],
  },
  {
    what: 'aluminium city bike, 130 mm ends, 135 hub',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { frameMaterial: 'aluminium', dropoutMaterial: 'aluminium', rearDropoutSpacing: '130 mm' },
    stops: ['dropout-spacing'],
  },
  {
    what: 'aluminium, 135 mm, one arm planned',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { frameMaterial: 'aluminium', dropoutMaterial: 'aluminium' },
    reworks: ['axle-seat'],
    edit: (b) => (b.choice.torqueArms = 1),
  },
  {
    what: 'aluminium, 135 mm, two arms on eyelets',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { frameMaterial: 'aluminium', dropoutMaterial: 'aluminium' },
    fits: ['axle-seat', 'arm-anchor'],
    edit: (b) => (b.choice.torqueArms = 2),
  },
  {
    what: 'modern bike with a 142 through-axle, rear hub',
    kind: 'diamond',
    kit: 'otter-r250-x',
    survey: {
      ...disc,
      ...derailleur9,
      rearDropoutSpacing: '142 mm',
      rearAxleHolding: 'throughAxle',
      rearSlotWidth: '',
      rearSlotDepth: '',
    },
    stops: ['axle-slot'],
  },
  {
    what: 'the same, mid-drive in its 73 threaded shell',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: {
      ...disc,
      ...derailleur9,
      rearDropoutSpacing: '142 mm',
      rearAxleHolding: 'throughAxle',
      rearSlotWidth: '',
      bracketWidth: '73 mm',
    },
    fits: ['bottom-bracket', 'ring-clearance', 'motor-room'],
  },
  {
    what: 'press-fit 86.5 × 41, mid-drive for threads',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: {
      ...disc,
      ...derailleur9,
      bracketKind: 'pressFit',
      bracketWidth: '86.5 mm',
      bracketBore: '41 mm',
      bracketThreadHand: '',
    },
    stops: ['bottom-bracket'],
  },
  {
    what: 'the same with the kit made for pressed shells',
    kind: 'diamond',
    kit: 'ouzel-m250-pf',
    survey: {
      ...disc,
      ...derailleur9,
      bracketKind: 'pressFit',
      bracketWidth: '86.5 mm',
      bracketBore: '41 mm',
      bracketThreadHand: '',
    },
    reworks: ['bottom-bracket'],
  },
  {
    what: 'one-piece cranks on a cruiser, threaded mid-drive',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: {
      bracketKind: 'onePiece',
      bracketBore: '51 mm',
      bracketThreadHand: '',
      crankFit: 'onePiece',
      clusterKind: 'single',
      cogTeeth: '18',
    },
    stops: ['bottom-bracket', 'crank-removal'],
  },
  {
    what: 'Italian shell of 70 mm with a 36 mm thread',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { bracketKind: 'threadedItalian', bracketWidth: '70 mm', bracketBore: '36 mm', bracketThreadHand: 'right' },
    reworks: ['bottom-bracket', 'bracket-thread-hand'],
  },
  {
    what: 'Spanish smooth 37 mm shell',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { bracketKind: 'spanish', bracketBore: '37 mm', bracketThreadHand: '' },
    // Its adapters are for 36 and 41: pressed into 37 mm the smaller would turn.
    stops: ['bottom-bracket'],
  },
  {
    what: 'width measured, bore never',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { bracketBore: '' },
    measures: ['bottom-bracket'],
  },
  {
    what: 'eccentric bracket',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { bracketKind: 'eccentric', clusterKind: 'single', cogTeeth: '18' },
    reworks: ['bottom-bracket'],
  },
  {
    what: 'cottered cranks on a grandfather’s roadster',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { crankFit: 'cottered' },
    reworks: ['crank-removal'],
  },
  {
    what: 'gear cables under the bracket, mid-drive',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { underBracket: 'cableGuide', cableRun: 'underBracket' },
    reworks: ['under-bracket', 'cable-run'],
  },
  {
    what: 'S-bent down tube, mid-drive',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { downTubeShape: 'curved', tubeSag: '30 mm' },
    reworks: ['down-tube-shape'],
  },
  {
    what: 'big motor, small room ahead of the shell',
    kind: 'diamond',
    kit: 'gannet-m1000',
    survey: {},
    stops: ['motor-room'],
    reworks: ['legal-power'],
  },
  {
    what: 'chainstay that bulges past the ring',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { ringRoom: '16 mm' },
    stops: ['ring-clearance'],
  },
  {
    what: 'low bracket: the motor hangs at kerb height',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { bracketHeight: '205 mm' },
    reworks: ['motor-ground'],
  },
  {
    what: 'coaster brake behind a mid-drive',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { rearBrake: 'coaster', clusterKind: 'single', cogTeeth: '18' },
    stops: ['brake-kind'],
  },
  {
    what: 'hub gear with a strong mid-drive',
    kind: 'diamond',
    kit: 'wren-m500',
    survey: { ...hubGear, hubGear: 'three', hubGearTorque: '30 Nm' },
    stops: ['hub-gear-torque'],
    reworks: ['legal-power'],
  },
  {
    what: 'hub gear that bears it, cog too big',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { ...hubGear, cogTeeth: '24' },
    reworks: ['hub-gear-ratio'],
    fits: ['hub-gear-torque'],
  },
  {
    what: 'hub gear in vertical dropouts without a tensioner',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { ...hubGear, rearAxleHolding: 'verticalSlot' },
    reworks: ['chain-tension'],
  },
  {
    what: 'hub gear lost to a rear hub',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: hubGear,
    reworks: ['cluster-mount', 'hanger'],
  },
  {
    what: 'front hub on a sound steel fork, hub gear kept',
    kind: 'stepThrough',
    kit: 'linnet-f250',
    survey: { ...hubGear, downTubeShape: 'curved', standover: '350 mm' },
    fits: ['dropout-spacing', 'axle-slot', 'axle-seat', 'fork-tip-strength', 'slot-depth'],
    edit: (b) => (b.choice.torqueArms = 2),
  },
  {
    what: 'front hub in a suspension fork',
    kind: 'diamond',
    kit: 'linnet-f250',
    survey: { forkKind: 'suspension' },
    stops: ['axle-seat'],
  },
  {
    what: 'front hub in a carbon fork of a steel bike',
    kind: 'diamond',
    kit: 'linnet-f250',
    survey: { forkMaterial: 'carbon' },
    stops: ['axle-seat'],
  },
  {
    what: 'stamped fork tips of 2.5 mm',
    kind: 'mixte',
    kit: 'linnet-f250',
    survey: { frontDropoutThickness: '2.5 mm' },
    stops: ['fork-tip-strength'],
  },
  {
    what: 'recessed fork tips with a shallow slot',
    kind: 'mixte',
    kit: 'linnet-f250',
    survey: { frontTips: 'recessed', frontSlotDepth: '10 mm' },
    reworks: ['fork-tips', 'slot-depth'],
  },
  {
    what: 'carbon gravel bike, hub',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { ...carbon, ...disc, ...derailleur9 },
    stops: ['frame-material', 'axle-seat'],
  },
  {
    what: 'carbon, the refusing school, mid-drive',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { ...carbon, ...disc, ...derailleur9 },
    stops: ['frame-material'],
  },
  {
    what: 'carbon with a metal threaded shell, the other school',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: { ...carbon, ...disc, ...derailleur9 },
    reworks: ['frame-material'],
    edit: (b) => (b.schools.carbon = 'midOnly'),
  },
  {
    what: 'caliper reaches further in than the motor leaves',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { ...disc, rearCaliperReach: '20 mm' },
    stops: ['caliper-room'],
  },
  {
    what: 'splined rotor on a six-bolt hub',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { ...disc, rearRotorMount: 'splined' },
    reworks: ['rotor-mount'],
  },
  {
    what: 'disc bike, caliper never measured',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { ...disc, rearCaliperReach: '' },
    measures: ['caliper-room'],
  },
  {
    what: 'rim brakes and a direct hub with an unmachined rim',
    kind: 'diamond',
    kit: 'heron-d1000',
    survey: {},
    stops: ['brake-kind'],
    reworks: ['legal-power', 'legal-speed'],
  },
  {
    what: 'upright trike, both rear wheels on one axle, rear hub',
    kind: 'deltaTrike',
    kit: 'otter-r250',
    survey: trike,
    stops: ['driven-wheels'],
  },
  {
    what: 'the same, direct front hub in a steel fork',
    kind: 'deltaTrike',
    kit: 'dray-f1000',
    survey: trike,
    fits: ['wheel-size', 'axle-seat', 'parking-lock'],
    edit: (b) => (b.choice.torqueArms = 2),
  },
  {
    what: 'trike with a differential, mid-drive',
    kind: 'deltaTrike',
    kit: 'wren-m250',
    survey: { ...trike, drivenWheels: 'bothRear' },
    reworks: ['driven-wheels'],
  },
  {
    what: 'trike with no parking lock',
    kind: 'deltaTrike',
    kit: 'dray-f1000',
    survey: { ...trike, parkingLock: 'no' },
    reworks: ['parking-lock'],
  },
  {
    what: 'tandem with a crossover, mid-drive',
    kind: 'tandem',
    kit: 'wren-m250',
    survey: { timingChain: 'crossover', wheelbase: '1740 mm' },
    stops: ['crossover-tandem'],
  },
  {
    what: 'the same tandem, front hub',
    kind: 'tandem',
    kit: 'barrow-f500',
    survey: {
      timingChain: 'crossover',
      wheelbase: '1740 mm',
      rearTyre: '47-559',
      frontTyre: '47-559',
      frontTyreRoom: '60 mm',
      loadLimit: '260 kg',
    },
    fits: ['wheel-size', 'dropout-spacing'],
    edit: (b) => (b.choice.torqueArms = 2),
  },
  {
    what: 'folder with 74 mm fork, the small front hub',
    kind: 'folding',
    kit: 'siskin-f180',
    survey: {
      frontDropoutSpacing: '74 mm',
      frontSlotWidth: '9.1 mm',
      frontTyre: '40-406',
      rearTyre: '40-406',
      foldSlack: '150 mm',
      bracketHeight: '280 mm',
    },
    fits: ['dropout-spacing', 'wheel-size'],
    edit: (b) => {
      b.choice.torqueArms = 2;
      b.brief.riders.forEach((r) => (r.massKg = 60));
    },
  },
  {
    what: 'the same folder, an ordinary 100 mm hub',
    kind: 'folding',
    kit: 'linnet-f250-s',
    survey: {
      frontDropoutSpacing: '74 mm',
      frontTyre: '40-406',
      rearTyre: '40-406',
      foldSlack: '150 mm',
      bracketHeight: '280 mm',
    },
    stops: ['dropout-spacing'],
  },
  {
    what: 'fat bike of 170 mm with the fat rear hub',
    kind: 'fat',
    kit: 'kelpie-r750',
    survey: {
      ...disc,
      ...derailleur9,
      rearDropoutSpacing: '172 mm',
      rearTyre: '26 x 4',
      frontTyre: '26 x 4',
      rearTyreRoom: '128 mm',
      bracketWidth: '100 mm',
      rearCaliperReach: '13 mm',
      tapeWidth: '68 mm',
    },
    fits: ['dropout-spacing', 'wheel-size', 'rim-width', 'tyre-room'],
    reworks: ['legal-power'],
  },
  {
    what: 'fat fork of 135 is not an ordinary rear',
    kind: 'fat',
    kit: 'linnet-f250',
    survey: {
      ...disc,
      frontDropoutSpacing: '135 mm',
      rearTyre: '26 x 4',
      frontTyre: '26 x 4',
      frontTyreRoom: '118 mm',
    },
    stops: ['dropout-spacing'],
  },
  {
    what: 'side-mounted kit with its sprocket on the spokes',
    kind: 'diamond',
    kit: 'hobby-s250',
    survey: {},
    stops: ['side-line'],
    reworks: ['side-kit'],
  },
  {
    what: 'side-mounted kit on oval aluminium stays',
    kind: 'diamond',
    kit: 'hobby-s350',
    survey: { frameMaterial: 'aluminium', chainstayDiameter: '38 mm', rearRotorMount: 'none' },
    stops: ['side-clamps', 'side-line'],
  },
  {
    what: 'recumbent trike: nothing for a side kit’s clamps',
    kind: 'tadpoleTrike',
    kit: 'hobby-s350',
    survey: {
      rearTyre: '40-406',
      frontTyre: '40-406',
      hands: 'sideSticks',
      seatHeight: '300 mm',
      parkingLock: 'yes',
      drivenWheels: 'rear',
      track: '780 mm',
      rearRotorMount: 'none',
    },
    stops: ['side-clamps', 'side-line'],
  },
  {
    what: 'recumbent trike, rear hub in a small wheel',
    kind: 'tadpoleTrike',
    kit: 'dabchick-r250-f',
    survey: {
      rearTyre: '40-406',
      frontTyre: '40-406',
      rearDropoutSpacing: '130 mm',
      hands: 'sideSticks',
      seatHeight: '300 mm',
      parkingLock: 'yes',
      drivenWheels: 'rear',
      track: '780 mm',
      bracketReach: '1400 mm',
      bracketHeight: '380 mm',
    },
    fits: ['dropout-spacing', 'wheel-size'],
  },
  {
    what: 'heavy rider and load over the frame’s plate',
    kind: 'longtail',
    kit: 'otter-r250',
    survey: { loadLimit: '140 kg' },
    stops: ['load-limit', 'wheel-load'],
    edit: (b) => {
      b.brief.cargoKg = 60;
    },
  },
  {
    what: 'full-suspension bike, mid-drive',
    kind: 'fullSuspension',
    kit: 'wren-m250',
    survey: { ...disc, ...derailleur9, shockPlace: 'inTriangle', rearTravel: '120 mm' },
    reworks: ['rear-travel'],
    fits: ['bottom-bracket'],
  },
  {
    what: 'two-cable lever on a trike with kit levers',
    kind: 'deltaTrike',
    kit: 'barrow-f500',
    survey: { ...trike, leftPull: 'twoCables', frontTyre: '47-507' },
    reworks: ['cutoff-levers'],
  },
  {
    what: 'hydraulic levers and a kit that brings levers',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: {
      ...disc,
      rearBrake: 'discHydraulic',
      frontBrake: 'discHydraulic',
      leftPull: 'hose',
      rightPull: 'hose',
    },
    reworks: ['cutoff-levers'],
  },
  {
    what: 'short flat bar full of controls',
    kind: 'diamond',
    kit: 'pochard-r350',
    survey: { barRight: '150 mm', rightShifter: 'trigger' },
    reworks: ['bar-right', 'legal-power'],
  },
  {
    what: 'drop bar with tape, throttle wanted',
    kind: 'diamond',
    kit: 'pochard-r350',
    survey: { barShape: 'drop', barTape: 'yes', barDiameter: '23.8 mm', leftLever: 'dropBar', rightLever: 'dropBar' },
    reworks: ['bar-clamp', 'throttle-bar', 'cutoff-levers'],
    edit: (b) => (b.choice.usesThrottle = true),
  },
  {
    what: 'spacing only guessed: a wrong hub is not called a stop',
    kind: 'diamond',
    kit: 'otter-r250',
    survey: { rearDropoutSpacing: '120 mm ?' },
    measures: ['dropout-spacing'],
  },
  {
    what: 'no brakes at all',
    kind: 'longtail',
    kit: 'otter-r250',
    survey: { rearBrake: 'none', frontBrake: 'none', leftLever: 'none', rightLever: 'none' },
    stops: ['brakes-enough'],
    reworks: ['cutoff-levers'],
  },
  {
    what: 'rider who never shifts, mid-drive',
    kind: 'diamond',
    kit: 'wren-m250',
    survey: {},
    reworks: ['shifting-skill'],
    edit: (b) => b.brief.riders.forEach((r) => (r.neverShifts = true)),
  },
  {
    what: '26 inch bike, kit for 28 only, lacing wanted',
    kind: 'diamond',
    kit: 'dipper-r250-s',
    survey: {
      rearTyre: '50-559',
      frontTyre: '50-559',
      rearBrake: 'none',
      rearDropoutSpacing: '128 mm',
      rearSlotWidth: '9.7 mm',
      rearTyreRoom: '66 mm',
    },
    reworks: ['wheel-size'],
  },
];

function plan(v: Vehicle): Map<string, Finding> {
  const b = newBuild('case', 'Case', '2026-01-01T00:00:00.000Z');
  b.donor.kind = v.kind;
  b.donor.survey = typedSurvey({ ...city, rearWheelShare: '58 kg', ...v.survey });
  b.choice.torqueArms = 1;
  v.edit?.(b);
  return kitFindings(b, shelf, v.kit);
}

describe('vehicles as people describe them', () => {
  it('are more than forty', () => {
    expect(vehicles.length).to.be.greaterThan(40);
  });
  for (const v of vehicles) {
    it(v.what, () => {
      const findings = plan(v);
      const found = new Map([...findings].map(([rule, f]) => [rule, f.verdict]));
      const of = (verdict: Verdict): string[] => [...found].filter(([, x]) => x === verdict).map(([rule]) => rule);
      expect(of('stop'), 'stops').to.have.members(v.stops ?? []);
      for (const rule of v.reworks ?? []) expect(found.get(rule), rule).to.equal('rework');
      for (const rule of v.measures ?? []) expect(found.get(rule), rule).to.equal('measure');
      for (const rule of v.fits ?? []) expect(found.get(rule), rule).to.equal('fits');
    });
  }
  it('are judged as when it was last looked at, in the same words', () => {
    const said = new Said('said/vehicles');
    for (const v of vehicles)
      // What fits is said in its title alone; what does not, in full.
      for (const [rule, f] of plan(v))
        if (f.verdict === 'fits') said.sayShort(`${v.what} ${rule}`, f);
        else said.say(`${v.what} ${rule}`, f);
    said.done();
  });
});
