import { expect } from 'chai';
import type { SurveyItemId } from '../donor/donor.ts';
import { tyreRadius } from '../quantity/tyre.ts';
import type { Verdict } from '../verdict.ts';
import { Said } from '../../test/said.ts';
import { derailleur9, disc, hubGear } from '../../test/city.ts';
import {
  contextOf,
  grade,
  judged,
  measure,
  torque,
  whereIs,
  world,
  type World,
  type WorldOf,
} from '../../test/world.ts';
import type { Aboard, Trailer } from '../build/brief.ts';
import { usualRider, usualTrailer } from '../build/brief.ts';
import { usualLead } from '../build/wiring.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import { barItems } from '../wiring/bar.ts';
import { contradictions } from './crossings/contradictions.ts';
import { kitCrossings, packCrossings } from './crossings/judgements.ts';
import { donorRules, kitRules, packRules, planRules } from './allRules.ts';

/** How far the loom's needed length may be off: 2 % of a way by string, a centimetre of slack, m. */
const LOOM_BAND = Math.hypot(0.95 * 0.02, 0.01);
const leadOf = (kit: World['kit'], id: string, lengthM: number): void => {
  for (const lead of kit.wiring?.leads ?? []) if (lead.id === id) lead.lengthM = lengthM;
};
/** Every lead long enough, so that only one turns the verdict. */
const allLong = ({ kit }: World): void => {
  for (const lead of kit.wiring?.leads ?? []) lead.lengthM = 3;
};

/** A place where a rule turns: just below it says one thing, just above another. */
interface Edge extends WorldOf {
  rule: string;
  what: string;
  /** Where it turns, SI; worked out by hand from the world where it hangs on it. */
  at: number | ((made: World) => number);
  /** How far to each side it is tried; a hundredth of a millimetre, a gram, unless said otherwise. */
  step?: number;
  put: (made: World, value: number) => void;
  /** Verdict, or "none" where the rule does not apply, with words of the title where verdicts are alike. */
  below: Verdict | 'none' | [Verdict, RegExp];
  above: Verdict | 'none' | [Verdict, RegExp];
}

const item =
  (id: SurveyItemId) =>
  (made: World, value: number): void =>
    measure(made, id, value);
/** The rider made as heavy as it takes for all that moves to weigh so much. */
const allThatMoves = (made: World, kg: number): void => {
  const [rider] = made.build.brief.riders;
  if (rider) rider.massKg += kg - contextOf(made).systemMassKg;
};
/** The donor made as heavy as it takes for it to weigh so much with kit, arms and pack. */
const unladen = (made: World, kg: number): void => {
  measure(made, 'vehicleMass', kg - (contextOf(made).unladenKg - (made.build.donor.survey.vehicleMass?.value ?? 0)));
};
const cogs = (n: number): number[] => Array.from({ length: n }, (_, i) => 12 + 2 * i);
const arms =
  (n: number) =>
  ({ build }: World): void => {
    build.choice.torqueArms = n;
  };
const mid = { kit: 'wren-m250' };
const front = { kit: 'linnet-f250' };

const axle: Edge[] = [
  {
    rule: 'arm-anchor',
    what: 'a stay too thin for a clamp',
    survey: { rearEyelets: 'none' },
    at: 0.014,
    put: item('chainstayDiameter'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'arm-anchor',
    what: 'a stay too thick for a clamp',
    survey: { rearEyelets: 'none' },
    at: 0.026,
    put: item('chainstayDiameter'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-seat',
    what: 'one arm from 40 N·m',
    edit: arms(0),
    at: 40,
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-seat',
    what: 'two arms from 80 N·m',
    edit: arms(1),
    at: 80,
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-slot',
    what: 'more than a millimetre to file',
    at: 0.009,
    put: item('rearSlotWidth'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'axle-slot',
    what: 'a twentieth to file is none',
    at: 0.00995,
    step: 1e-6,
    put: item('rearSlotWidth'),
    below: 'rework',
    above: 'fits',
  },
  { rule: 'axle-slot', what: 'the axle rocks', at: 0.0112, put: item('rearSlotWidth'), below: 'fits', above: 'rework' },
  {
    rule: 'axle-slot',
    what: 'slack with no arm',
    edit: arms(0),
    at: 0.0104,
    put: item('rearSlotWidth'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-slot',
    what: 'a fork’s slot likewise',
    ...front,
    at: 0.0088,
    put: item('frontSlotWidth'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'dropout-spacing',
    what: 'ends that close up by hand',
    at: 0.136,
    put: item('rearDropoutSpacing'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'dropout-spacing',
    what: 'washers up to six millimetres',
    at: 0.141,
    put: item('rearDropoutSpacing'),
    below: 'rework',
    above: 'stop',
  },
  {
    rule: 'dropout-spacing',
    what: 'ends a millimetre too near',
    at: 0.134,
    put: item('rearDropoutSpacing'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'dropout-spacing',
    what: 'steel springs five millimetres and a caliper’s error',
    at: 0.1298,
    put: item('rearDropoutSpacing'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'dropout-spacing',
    what: 'aluminium one',
    survey: { dropoutMaterial: 'aluminium' },
    at: 0.1338,
    put: item('rearDropoutSpacing'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'dropout-spacing',
    what: 'titanium none',
    survey: { dropoutMaterial: 'titanium' },
    at: 0.134,
    put: item('rearDropoutSpacing'),
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'dropout-spacing',
    what: 'a fork is not sprung',
    ...front,
    at: 0.099,
    put: item('frontDropoutSpacing'),
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'slot-depth',
    what: 'seven tenths of the axle',
    at: 0.0084,
    put: item('rearSlotDepth'),
    below: 'stop',
    above: 'rework',
  },
  { rule: 'slot-depth', what: 'the whole axle', at: 0.012, put: item('rearSlotDepth'), below: 'rework', above: 'fits' },
  // Right: 36 − 20 − 4 of arm; left: 38 − 21 − 4. With one arm the right keeps its 16.
  {
    rule: 'axle-stack',
    what: 'thread on the right with two arms',
    edit: arms(2),
    at: 0.012,
    put: item('rearDropoutThickness'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stack',
    what: 'two millimetres short',
    edit: arms(2),
    at: 0.014,
    put: item('rearDropoutThickness'),
    below: 'rework',
    above: 'stop',
  },
  {
    rule: 'axle-stack',
    what: 'thread on the left with one arm',
    edit: arms(1),
    at: 0.013,
    put: item('rearDropoutThickness'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stack',
    what: 'no arm at all',
    edit: arms(0),
    at: 0.016,
    put: item('rearDropoutThickness'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stack',
    what: 'a claw takes 3.5 mm on the right',
    survey: { hanger: 'claw' },
    edit: arms(1),
    at: 0.0125,
    put: item('rearDropoutThickness'),
    below: 'fits',
    above: 'rework',
  },
  // 10 mm flats · 12 mm deep · 6 mm thick · ½ = 3.6e-7 m³.
  {
    rule: 'axle-stress',
    what: 'steel bears 130 MPa',
    edit: arms(0),
    at: 46.8,
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stress',
    what: 'one arm takes 45 % of it',
    edit: arms(1),
    at: 46.8 / 0.55,
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stress',
    what: 'two arms leave a tenth',
    edit: arms(2),
    at: 468,
    step: 0.1,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stress',
    what: 'half as much again with two arms',
    edit: arms(2),
    at: 702,
    step: 0.1,
    put: torque,
    below: 'rework',
    above: 'stop',
  },
  {
    rule: 'axle-stress',
    what: 'aluminium bears 70 MPa',
    survey: { dropoutMaterial: 'aluminium' },
    edit: arms(0),
    at: 25.2,
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stress',
    what: 'titanium bears 140 MPa',
    survey: { dropoutMaterial: 'titanium' },
    edit: arms(0),
    at: 50.4,
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'axle-stress',
    what: 'a slot of 10 mm bears on 10',
    survey: { rearSlotDepth: '10 mm' },
    edit: arms(0),
    at: 39,
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'fork-tip-strength',
    what: 'stamped tips',
    ...front,
    at: 0.003,
    put: item('frontDropoutThickness'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'fork-tip-strength',
    what: 'stout tips',
    ...front,
    at: 0.0045,
    put: item('frontDropoutThickness'),
    below: 'rework',
    above: 'fits',
  },
];

const bracket: Edge[] = [
  {
    rule: 'bottom-bracket',
    what: 'twenty millimetres of spacers',
    ...mid,
    at: 0.048,
    put: item('bracketWidth'),
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'bottom-bracket',
    what: 'a shell wider than the axle',
    ...mid,
    at: 0.0735,
    put: item('bracketWidth'),
    below: 'fits',
    above: 'stop',
  },
  {
    rule: 'bottom-bracket',
    what: 'spacers are spoken of',
    ...mid,
    at: 0.0675,
    put: item('bracketWidth'),
    below: ['fits', /with spacers/],
    above: ['fits', /suits this motor/],
  },
  {
    rule: 'bottom-bracket',
    what: 'a bore too small',
    ...mid,
    at: 0.0329,
    put: item('bracketBore'),
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'bottom-bracket',
    what: 'a bore it does not fill',
    ...mid,
    at: 0.0351,
    put: item('bracketBore'),
    below: 'fits',
    above: 'stop',
  },
  {
    rule: 'bottom-bracket',
    what: 'up to the 36 mm adapter',
    ...mid,
    at: 0.0354,
    put: item('bracketBore'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'bottom-bracket',
    what: 'past the 36 mm adapter',
    ...mid,
    at: 0.0366,
    put: item('bracketBore'),
    below: 'rework',
    above: 'stop',
  },
  {
    rule: 'bottom-bracket',
    what: 'up to the 41 mm adapter',
    ...mid,
    at: 0.0404,
    put: item('bracketBore'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'bracket-spacers',
    what: 'no longer its affair, narrow',
    ...mid,
    at: 0.048,
    put: item('bracketWidth'),
    below: 'none',
    above: 'rework',
  },
  {
    rule: 'bracket-spacers',
    what: 'beyond the kit’s own',
    ...mid,
    at: 0.0675,
    put: item('bracketWidth'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'bracket-spacers',
    what: 'none wanted',
    ...mid,
    at: 0.0725,
    put: item('bracketWidth'),
    below: ['fits', /spacers fill/],
    above: ['fits', /No spacer/],
  },
  {
    rule: 'bracket-spacers',
    what: 'no longer its affair, wide',
    ...mid,
    at: 0.0735,
    put: item('bracketWidth'),
    below: 'fits',
    above: 'none',
  },
  {
    rule: 'motor-ground',
    what: 'less than a kerb',
    ...mid,
    at: 0.172,
    put: item('bracketHeight'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'motor-ground',
    what: 'kerbs and ruts',
    ...mid,
    at: 0.212,
    put: item('bracketHeight'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'motor-room',
    what: 'it does not swing in',
    ...mid,
    at: 0.086,
    put: item('motorRoom'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'motor-room',
    what: 'three millimetres of gap',
    ...mid,
    at: 0.095,
    put: item('motorRoom'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'ring-clearance',
    what: 'three millimetres of gap',
    ...mid,
    at: 0.009,
    put: item('ringRoom'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'ring-clearance',
    what: 'into the stay',
    ...mid,
    at: 0.014,
    put: item('ringRoom'),
    below: 'rework',
    above: 'stop',
  },
];

const wheelAndGears: Edge[] = [
  {
    rule: 'wheel-size',
    what: 'bead seats agree to the millimetre',
    at: 0.6215,
    put: (w, v) => measure(w, 'rearTyre', { beadM: v, widthM: 0.037 }),
    below: 'rework',
    above: 'fits',
  },
  { rule: 'tyre-room', what: 'the tyre touches', at: 0.04, put: item('rearTyreRoom'), below: 'stop', above: 'rework' },
  {
    rule: 'tyre-room',
    what: 'four millimetres a side',
    at: 0.045,
    put: item('rearTyreRoom'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'rim-width',
    what: 'a tyre too narrow',
    at: 0.02565,
    put: (w, v) => measure(w, 'rearTyre', { beadM: 0.622, widthM: v }),
    below: ['rework', /narrow/],
    above: 'fits',
  },
  {
    rule: 'rim-width',
    what: 'a tyre too wide',
    at: 0.0494,
    put: (w, v) => measure(w, 'rearTyre', { beadM: 0.622, widthM: v }),
    below: 'fits',
    above: ['rework', /wide/],
  },
  {
    rule: 'rim-tape',
    what: 'three millimetres under',
    edit: ({ kit }) => {
      if (kit.hub) Object.assign(kit.hub, { rimHoles: 'smooth', rimHoleLine: 'centred' });
    },
    at: 0.014,
    put: item('tapeWidth'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'rim-tape',
    what: 'holes in two lines want it from hook to hook',
    survey: { rimHoleLine: 'staggered', rearTyre: '37-590' },
    at: 0.017,
    put: item('tapeWidth'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'lacing',
    what: '13.8° of lean',
    survey: { rearTyre: '37-590' },
    at: () =>
      whereIs(
        (13.8 * Math.PI) / 180,
        (r) => {
          const turn = (2 * Math.PI) / 18;
          const rim = 0.295 - 0.01;
          return Math.asin((r * Math.sin(turn)) / Math.sqrt(r * r + rim * rim - 2 * r * rim * Math.cos(turn)));
        },
        0.03,
        0.2,
      ),
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.flangeRadiusM = v;
    },
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'size-chain',
    what: 'a rim brake’s arms',
    at: 0.594,
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.beadsM = [v];
    },
    below: 'stop',
    above: 'rework',
  },
  // 22 mm smaller: the axle sinks 11 mm, 0.58 of it at the pedals; 170 mm cranks.
  {
    rule: 'size-chain',
    what: 'pedals in a corner',
    edit: ({ kit }) => {
      if (kit.hub) kit.hub.beadsM = [0.6];
    },
    at: 0.08 + 0.17 + 0.011 * 0.58,
    put: item('bracketHeight'),
    below: ['rework', /Pedals/],
    above: ['rework', /moves things/],
  },
  {
    rule: 'size-chain',
    what: 'pedals in a corner, front',
    kit: 'linnet-f250',
    edit: ({ kit }) => {
      if (kit.hub) kit.hub.beadsM = [0.6];
    },
    at: 0.08 + 0.17 + 0.011 * 0.42,
    put: item('bracketHeight'),
    below: ['rework', /Pedals/],
    above: ['rework', /moves things/],
  },
  {
    rule: 'cluster-mount',
    what: 'one cog too many',
    at: 7.5,
    step: 0.5,
    put: (w, v) => measure(w, 'cogTeeth', cogs(v)),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'shifter-match',
    what: 'one click too many',
    at: 6.5,
    step: 0.5,
    put: item('shifterClicks'),
    below: 'fits',
    above: ['rework', /more/],
  },
  {
    rule: 'shifter-match',
    what: 'one click too few',
    at: 5.5,
    step: 0.5,
    put: item('shifterClicks'),
    below: ['rework', /fewer/],
    above: 'fits',
  },
  {
    rule: 'derailleur-range',
    what: 'two teeth beyond its figure',
    at: 26,
    step: 0.001,
    put: item('derailleurCog'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'chain-wear',
    what: 'eleven cogs',
    ...mid,
    survey: derailleur9,
    at: 10.5,
    step: 0.5,
    put: (w, v) => measure(w, 'cogTeeth', cogs(v)),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'hub-gear-ratio',
    what: 'the maker’s floor',
    ...mid,
    survey: hubGear,
    at: 42 / 19,
    put: item('hubGearRatioFloor'),
    step: 1e-5,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'hub-gear-ratio',
    what: 'the maker’s ceiling',
    ...mid,
    survey: hubGear,
    at: 42 / 19,
    step: 1e-5,
    put: item('hubGearRatioCeiling'),
    below: ['rework', /ceiling/],
    above: 'fits',
  },
  {
    rule: 'hub-gear-ratio',
    what: 'the largest cog that goes on',
    ...mid,
    survey: hubGear,
    at: 19,
    step: 0.5,
    put: item('hubGearLargestCog'),
    below: ['rework', /larger cog/],
    above: 'fits',
  },
  // (0.13 · 32 − 0.04) · 22 · 0.9 and the rider’s 60 N·m at the ring, 19/42 of it at the cog.
  {
    rule: 'hub-gear-torque',
    what: 'what it bears',
    ...mid,
    survey: hubGear,
    at: ({ kit }) => {
      const m = kit.motor;
      return (((m.ktNmPerA * 32 - m.coulombNm) * m.reduction * m.gearEfficiency + 60) * 19) / 42;
    },
    step: 0.01,
    put: item('hubGearTorque'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'hub-gear-torque',
    what: 'far too much',
    ...mid,
    survey: hubGear,
    at: ({ kit }) => {
      const m = kit.motor;
      return (((m.ktNmPerA * 32 - m.coulombNm) * m.reduction * m.gearEfficiency + 60) * 19) / 42 / 1.6;
    },
    step: 0.01,
    put: item('hubGearTorque'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'side-clamps',
    what: 'a thin stay',
    kit: 'hobby-s350',
    at: 0.0175,
    put: item('chainstayDiameter'),
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'side-clamps',
    what: 'a thick stay',
    kit: 'hobby-s350',
    at: 0.0345,
    put: item('chainstayDiameter'),
    below: 'rework',
    above: 'stop',
  },
  {
    rule: 'side-clamps',
    what: 'a thick seat tube',
    kit: 'hobby-s350',
    at: 0.0345,
    put: item('seatTubeDiameter'),
    below: 'rework',
    above: 'stop',
  },
  {
    rule: 'side-clamps',
    what: 'a span too short for both clamps',
    kit: 'hobby-s350',
    at: ({ kit }) => kit.side?.clampSpanM.least ?? NaN,
    step: 2e-6,
    put: item('clampSpan'),
    below: ['stop', /cannot be set/],
    above: 'rework',
  },
  {
    rule: 'side-clamps',
    what: 'a span too long for both clamps',
    kit: 'hobby-s350',
    at: ({ kit }) => kit.side?.clampSpanM.most ?? NaN,
    step: 2e-6,
    put: item('clampSpan'),
    below: 'rework',
    above: ['stop', /cannot be set/],
  },
  {
    rule: 'side-line',
    what: 'six millimetres that shims make up',
    kit: 'hobby-s350',
    survey: { rearRotorMount: 'sixBolt', rearBrake: 'rim' },
    edit: ({ kit }) => {
      if (kit.side) Object.assign(kit.side, { sprocketMount: 'rotorBolts', sprocketLineM: 0.045 });
    },
    at: 0.051,
    step: 2e-6,
    put: item('leftSprocketLine'),
    below: 'rework',
    above: ['stop', /out of line/],
  },
];

const brakesAndBar: Edge[] = [
  {
    rule: 'caliper-room',
    what: 'a millimetre and a half of gap',
    survey: disc,
    at: 0.0145,
    put: item('rearCaliperReach'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'caliper-room',
    what: 'two millimetres into the cover',
    survey: disc,
    at: 0.018,
    put: item('rearCaliperReach'),
    below: 'rework',
    above: 'stop',
  },
  // Two rim brakes: 2.5 m/s² wet at 100 kg, 2.2 wanted.
  {
    rule: 'brakes-enough',
    what: 'wet stopping on two rim brakes',
    at: (2.5 / 2.2) * 100,
    step: 0.01,
    put: allThatMoves,
    below: ['rework', /better pads/],
    above: ['rework', /Long way/],
  },
  ...(['discs', 'upgraded'] as const).map((school): Edge => ({
    rule: 'brakes-enough',
    what: `rim brakes over 25 km/h, by the school of ${school}`,
    edit: ({ build }) => {
      build.schools.rimBrakes = school;
    },
    // The limit at which the motor's help ends just at 25 km/h reached.
    at: () =>
      whereIs(
        25 / 3.6,
        (limit) => {
          const w = world({});
          w.build.choice.assistLimitMs = limit;
          return contextOf(w).fastest.helpedMs;
        },
        6,
        9,
      ),
    step: 0.001,
    put: ({ build }, v) => {
      build.choice.assistLimitMs = v;
    },
    below: school === 'discs' ? 'fits' : ['rework', /better pads/],
    above: ['rework', /by your school/],
  })),
  {
    rule: 'brakes-enough',
    what: 'one brake over 18 km/h',
    survey: { rearBrake: 'none' },
    edit: ({ build }) => {
      build.choice.assistLimitMs = 3;
      build.brief.riders.forEach((r) => (r.effort = 'none'));
    },
    at: 5,
    step: 0.001,
    put: ({ build }, v) => {
      build.brief.cruiseMs = v;
    },
    below: 'fits',
    above: ['rework', /One brake/],
  },
  {
    rule: 'bar-clamp',
    what: 'a thin bar',
    at: 0.0214,
    put: item('barDiameter'),
    below: ['rework', /thinner/],
    above: 'fits',
  },
  {
    rule: 'bar-clamp',
    what: 'a thick bar',
    at: 0.023,
    put: item('barDiameter'),
    below: 'fits',
    above: ['rework', /thicker/],
  },
  ...(['left', 'right'] as const).flatMap((side): Edge[] => {
    const sum = ({ build, kit }: World): number => barItems(build, kit, side).reduce((n, t) => n + t.lengthM, 0);
    const put = item(side === 'left' ? 'barLeft' : 'barRight');
    return [
      { rule: `bar-${side}`, what: 'all that goes on it', at: sum, put, below: ['rework', /Tight/], above: 'fits' },
      {
        rule: `bar-${side}`,
        what: 'three centimetres too little',
        at: (w) => sum(w) - 0.03,
        put,
        below: ['rework', /No room/],
        above: ['rework', /Tight/],
      },
    ];
  }),
  {
    rule: 'cable-run',
    what: 'a plug through a port',
    survey: { cableRun: 'internal' },
    at: 0.0079,
    put: item('cablePort'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'hands-place',
    what: 'a display by the hip',
    kind: 'tadpoleTrike',
    survey: { hands: 'underSeat' },
    at: 0.045,
    put: ({ kit }, v) => {
      if (kit.controls) kit.controls.displayM = v;
    },
    below: 'fits',
    above: 'rework',
  },
  // 950 mm by string, 60 at lock, a drip loop of 60 at the motor, a plug of 50: 1120; good to √(19² + 10²) = 21.5 mm.
  ...(
    [
      ['short of it by its error', 1.12 - LOOM_BAND, 'rework', 'measure'],
      ['over it by its error', 1.12 + LOOM_BAND, 'measure', 'fits'],
    ] as const
  ).map(([what, at, below, above]): Edge => ({
    rule: 'lead-lengths',
    what: `loom of a mid-drive, ${what}`,
    ...mid,
    edit: allLong,
    at,
    put: ({ kit }, v) => leadOf(kit, 'loom', v),
    below,
    above,
  })),
  {
    rule: 'lead-lengths',
    what: 'a loom to a box of its own, its way by a string: 1200 + 60 + 60 + 50 less √(10² + 10²)',
    edit: (w) => {
      allLong(w);
      w.build.wiring.leads = { loom: { ...usualLead, stringM: 1.2, way: [] } };
    },
    at: 1.37 - Math.hypot(0.01, 0.01),
    put: ({ kit }, v) => leadOf(kit, 'loom', v),
    below: ['rework', /Loom to the bar too short/],
    above: ['measure', /just about/],
  },
  {
    rule: 'power-lead',
    what: 'a fuse of 20 A protects copper of 22 to 1.1 times the limit; then the copper is thin',
    edit: (w) => {
      w.kit.wiring?.leads.forEach((l) => {
        if (l.id === 'battery') l.mm2 = 2.5;
      });
    },
    at: 20 / 1.1,
    put: ({ kit }, v) => {
      kit.controller.batteryLimitA = v;
    },
    below: 'fits',
    above: ['rework', /thin/],
  },
  {
    rule: 'power-lead',
    what: 'a plug of 30 A under a fuse of 30 or of 40',
    edit: (w) => {
      w.kit.wiring?.leads.forEach((l) => {
        if (l.id === 'battery') l.mm2 = 10;
      });
    },
    at: 24,
    put: ({ kit }, v) => {
      kit.controller.batteryLimitA = v;
    },
    below: 'fits',
    above: ['rework', /plug weaker/],
  },
  {
    rule: 'plug-spark',
    what: 'half a joule at 42 V: C = 2 · 0.5 ÷ 42²',
    at: 1 / 42 ** 2,
    step: 1e-7,
    put: ({ kit }, v) => {
      if (kit.wiring) kit.wiring.capacitanceF = v;
    },
    below: 'fits',
    above: 'rework',
  },
  ...(['restM', 'pulledM'] as const).map((gap): Edge => ({
    rule: 'cutoff-works',
    what: `a magnet that must be seen at rest and not pulled, ${gap}`,
    edit: ({ build }) => {
      Object.assign(build.wiring.levers.left, {
        by: 'magnet',
        acts: 'cutsWhenAway',
        reachM: 0.003,
        restM: 0.001,
        pulledM: 0.009,
      });
    },
    at: 0.003,
    put: ({ build }, v) => {
      build.wiring.levers.left[gap] = v;
    },
    below: gap === 'restM' ? 'fits' : ['stop', /does not cut/],
    above: gap === 'restM' ? ['rework', /motor dead/] : 'fits',
  })),
  {
    rule: 'cadence-sensor',
    what: 'the gap it reads across',
    at: 0.003,
    put: ({ build }, v) => {
      build.wiring.sensors.cadenceGapM = v;
    },
    below: 'fits',
    above: ['rework', /far off/],
  },
  {
    rule: 'lamp-volts',
    what: 'the volts a lamp bears, against a full pack of 42 V',
    edit: ({ build }) => {
      build.wiring.parts.frontLamp = 'own-lamp';
    },
    at: 42,
    put: ({ build }, v) => {
      const lamp = starterShelf.control.find((c) => c.id === 'beacon-f');
      if (lamp) build.ownParts = [{ ...lamp, id: 'own-lamp', volts: { least: 6, most: v } }];
    },
    below: ['rework', /not made/],
    above: 'fits',
  },
  {
    rule: 'packs-joined',
    what: 'blocks that rest a tenth of a volt apart',
    pack: 'ballast-36-18-pb',
    at: 12.7,
    put: ({ build }, v) => {
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
      build.wiring.packs = { join: 'series', by: 'wires', of: null, members: [block, block, { ...block, restV: v }] };
    },
    below: 'fits',
    above: ['stop', /may not/],
  },
  {
    rule: 'meter-readings',
    what: 'the full pack’s volts, by a meter half a per cent off',
    at: 42 * 1.005,
    step: 0.001,
    put: ({ build }, v) => {
      build.wiring.checks = { pack: { volts: v, on: '2026-04-01' } };
    },
    below: ['measure', /meter checks done/],
    above: ['stop', /outside its band/],
  },
  {
    rule: 'meter-readings',
    what: 'nothing: a minus is crossed poles',
    at: 0,
    put: ({ build }, v) => {
      build.wiring.checks = { pack: { volts: v, on: '2026-04-01' } };
    },
    below: ['stop', /crossed/],
    above: ['stop', /outside its band/],
  },
];

const loadAndLaw: Edge[] = [
  {
    rule: 'load-limit',
    what: 'all that moves',
    at: (w) => contextOf(w).systemMassKg,
    step: 0.001,
    put: item('loadLimit'),
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'load-limit',
    what: 'the kit’s own',
    at: (w) => contextOf(w).systemMassKg,
    step: 0.001,
    put: ({ kit }, v) => {
      kit.systemLimitKg = v;
    },
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'wheel-load',
    what: 'the wheel’s limit',
    at: (w) => contextOf(w).axleLoads.rearKg,
    step: 0.001,
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.wheelLimitKg = v;
    },
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'wheel-load',
    what: 'six tenths of it want the axle weighed',
    survey: { rearWheelShare: '' },
    at: (w) => contextOf(w).axleLoads.rearKg / 0.6,
    step: 0.001,
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.wheelLimitKg = v;
    },
    below: 'measure',
    above: 'fits',
  },
  {
    rule: 'wheel-load',
    what: 'nine tenths of it',
    survey: { rearWheelShare: '58 kg' },
    at: (w) => contextOf(w).axleLoads.rearKg / 0.9,
    step: 0.001,
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.wheelLimitKg = v;
    },
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'stand-load',
    what: 'the stand’s limit',
    at: (w) => contextOf(w).unladenKg,
    step: 0.001,
    put: item('standLimit'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'stand-load',
    what: 'a side stand at 24 kg',
    survey: { stand: 'side' },
    at: 24,
    step: 0.001,
    put: unladen,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'stand-load',
    what: 'leaned up to 28 kg',
    survey: { stand: 'none' },
    at: 28,
    step: 0.001,
    put: unladen,
    below: ['fits', /Leaned/],
    above: ['rework', /Nothing to stand/],
  },
  {
    rule: 'seat-load',
    what: 'the seat’s limit',
    at: 75,
    step: 0.001,
    put: item('seatLimit'),
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'legal-power',
    what: 'rated power of the class',
    at: 250,
    step: 0.01,
    put: ({ kit }, v) => {
      kit.ratedW = v;
    },
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'legal-speed',
    what: 'assisted speed of the class',
    at: 25 / 3.6 + 0.01,
    step: 0.001,
    put: ({ build }, v) => {
      build.choice.assistLimitMs = v;
    },
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'purpose-fit',
    what: 'the weight wanted',
    at: (w) => contextOf(w).unladenKg,
    step: 0.001,
    put: ({ build }, v) => {
      build.brief.massTargetKg = v;
    },
    below: ['rework', /Heavier/],
    above: 'fits',
  },
  {
    rule: 'purpose-fit',
    what: 'a folder of 18 kg',
    edit: ({ build }) => {
      build.brief.purpose = 'folder';
    },
    at: 18,
    step: 0.001,
    put: unladen,
    below: 'fits',
    above: ['rework', /carry/],
  },
  {
    rule: 'rider-fit',
    what: 'a low step',
    edit: ({ build }) => {
      const [r] = build.brief.riders;
      if (r) r.mounting = 'lowStep';
    },
    at: 0.35,
    put: item('standover'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'rider-fit',
    what: 'standing over it',
    edit: ({ build }) => {
      const [r] = build.brief.riders;
      if (r) r.inseamM = 0.8;
    },
    at: 0.81,
    put: item('standover'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'rider-fit',
    what: 'inseam of 0.47 of the stature',
    at: 0.47 * 1.72 + 0.01,
    put: item('standover'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'rider-fit',
    what: 'a seat to rise from',
    kind: 'tadpoleTrike',
    edit: ({ build }) => {
      const [r] = build.brief.riders;
      if (r) r.mounting = 'lowStep';
    },
    at: 0.4,
    put: item('seatHeight'),
    below: 'rework',
    above: 'fits',
  },
  // Pull is the motor's; grip 0.4 of what stands on the front wheel on the grade.
  {
    rule: 'front-grip',
    what: 'two hundredths over the wet grip',
    ...front,
    edit: (w) => grade(w, 0.16),
    at: (w) => {
      const c = contextOf(w);
      const a = Math.atan(c.steepest);
      const l = c.axleLoads;
      const frontN = (l.totalKg * 9.80665 * (l.xM * Math.cos(a) - l.hM * Math.sin(a))) / c.geometry.frontAxle.x;
      return 0.4 * frontN * 1.02 * tyreRadius(c.geometry.frontTyre);
    },
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'wheel-lift',
    what: 'the load in front holds it down',
    edit: (w) => grade(w, 0.1),
    at: (w) => {
      const c = contextOf(w);
      const a = Math.atan(c.steepest);
      const l = c.axleLoads;
      return ((l.totalKg * 9.80665 * l.xM * Math.cos(a)) / l.hM) * tyreRadius(c.geometry.rearTyre);
    },
    step: 0.01,
    put: torque,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'sizes-agree',
    what: 'a head angle of 60°',
    at: (w) =>
      whereIs(
        -60,
        (v) => {
          const t = structuredClone(w);
          measure(t, 'wheelbase', v);
          return -(contextOf(t).geometry.headAngleRad * 180) / Math.PI;
        },
        1.02,
        1.2,
      ),
    step: 1e-4,
    put: item('wheelbase'),
    below: 'fits',
    above: 'measure',
  },
];

const packEdges: Edge[] = [
  {
    rule: 'pack-knees',
    what: 'as wide as the knees leave',
    edit: ({ build }) => {
      build.choice.packPlace = 'downTube';
    },
    at: ({ pack }) => pack.outline.widthM,
    put: item('kneeWidth'),
    below: ['fits', /pass above/],
    above: ['fits', /pass the pack/],
  },
  {
    rule: 'pack-amps',
    what: 'what the controller asks',
    at: 15,
    step: 0.001,
    put: ({ pack }, v) => {
      pack.boardA = v;
    },
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'pack-amps',
    what: '1.2 times of it',
    at: 18,
    step: 0.001,
    put: ({ pack }, v) => {
      pack.boardA = v;
    },
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'pack-amps',
    what: 'cells under the board',
    at: 18 / 4,
    step: 0.001,
    edit: ({ pack }) => {
      pack.parallel = 4;
    },
    put: ({ pack }, v) => {
      pack.cellContinuousA = v;
    },
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'pack-volts',
    what: 'ten cells full under the ceiling',
    at: 42,
    step: 0.001,
    put: ({ kit }, v) => {
      kit.controller.maxVolts = v;
    },
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'pack-volts',
    what: 'twelve hundredths below the class',
    at: 36 / 0.88,
    step: 0.001,
    put: ({ kit }, v) => {
      kit.nominalVolts = v;
    },
    below: 'fits',
    above: 'stop',
  },
  {
    rule: 'pack-volts',
    what: 'who cuts off first',
    at: 28,
    step: 0.001,
    put: ({ kit }, v) => {
      kit.controller.cutoffVolts = v;
    },
    below: ['fits', /board cuts off first/],
    above: ['fits', /^Volts match$/],
  },
  {
    rule: 'pack-bosses',
    what: 'bosses too near for the slots',
    edit: ({ build }) => {
      build.choice.packPlace = 'downTube';
    },
    survey: { bossDown: '180 mm' },
    at: 0.054,
    put: item('bossSpacing'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'pack-bosses',
    what: 'bosses too far for the slots',
    edit: ({ build }) => {
      build.choice.packPlace = 'downTube';
    },
    survey: { bossDown: '180 mm' },
    at: 0.074,
    put: item('bossSpacing'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'pack-bosses',
    what: 'a tube too thin for the clamps',
    edit: ({ build }) => {
      build.choice.packPlace = 'downTube';
    },
    survey: { bosses: 'none' },
    at: 0.028,
    put: item('downTubeDiameter'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'pack-bosses',
    what: 'a tube too thick for the clamps',
    edit: ({ build }) => {
      build.choice.packPlace = 'downTube';
    },
    survey: { bosses: 'none' },
    at: 0.046,
    put: item('downTubeDiameter'),
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'pack-place',
    what: 'the rack’s limit',
    pack: 'loaf-36-17',
    edit: ({ build }) => {
      build.choice.packPlace = 'rack';
    },
    at: ({ pack }) => pack.massKg,
    step: 0.001,
    put: item('rackLimit'),
    below: 'stop',
    above: 'fits',
  },
  {
    rule: 'pack-place',
    what: 'the rack’s limit with bags on it',
    pack: 'loaf-36-17',
    edit: ({ build }) => {
      build.choice.packPlace = 'rack';
      build.brief.panniers = true;
    },
    at: ({ pack, build }) => pack.massKg + build.brief.cargoKg,
    step: 0.001,
    put: item('rackLimit'),
    below: 'stop',
    above: 'fits',
  },
];

const planEdges: Edge[] = [
  {
    rule: 'range-need',
    what: 'nine rides in ten pass it',
    edit: (w) => grade(w, 0.01),
    at: (w) => (contextOf(w).band?.lowM ?? 0) / 1.2,
    step: 1,
    put: ({ build }, v) => {
      build.brief.rangeWantedM = v;
    },
    below: 'fits',
    above: 'measure',
  },
  {
    rule: 'range-need',
    what: 'the middle of the band',
    edit: (w) => grade(w, 0.01),
    at: (w) => (contextOf(w).band?.midM ?? 0) / 1.2,
    step: 1,
    put: ({ build }, v) => {
      build.brief.rangeWantedM = v;
    },
    below: 'measure',
    above: 'rework',
  },
  {
    rule: 'start-need',
    what: 'where the front wheel lifts, whatever the motor could',
    edit: (w) => {
      // A light rider with much behind the saddle, and a motor that could.
      w.build.brief.cargoKg = 60;
      w.build.brief.panniers = true;
      w.kit.motor.resistanceOhm = 0.02;
      torque(w, 120);
      const [r] = w.build.brief.riders;
      if (r) Object.assign(r, { effort: 'hard', massKg: 50 });
    },
    at: (w) => contextOf(w).startCap.grade,
    // A road's steepest is told to a tenth of a per cent.
    step: 0.001,
    put: grade,
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'start-need',
    what: 'the steepest stretch from rest',
    edit: (w) => {
      grade(w, 0.08);
      const [r] = w.build.brief.riders;
      if (r) r.effort = 'hard';
    },
    at: (w) =>
      whereIs(
        0.08,
        (nm) => {
          const t = structuredClone(w);
          torque(t, nm);
          return contextOf(t).reckoning?.startGrade ?? 0;
        },
        10,
        60,
      ),
    step: 0.01,
    put: torque,
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'heat-need',
    what: 'where the controller folds back',
    edit: (w) => grade(w, 0.07),
    at: (w) =>
      whereIs(
        110,
        (r) => {
          const t = structuredClone(w);
          t.kit.motor.heat.windingToCaseKPerW = r;
          return contextOf(t).reckoning?.toEmpty.maxWindingC ?? 0;
        },
        0.1,
        4,
      ),
    step: 0.001,
    put: ({ kit }, v) => {
      kit.motor.heat.windingToCaseKPerW = v;
    },
    below: 'fits',
    above: 'rework',
  },
  // 100 rpm on 42/14: three turns of the wheel to one of the cranks.
  {
    rule: 'cadence',
    what: 'legs spin out past 100 rpm',
    at: (100 / 60) * 3 * 2 * Math.PI * tyreRadius({ beadM: 0.622, widthM: 0.037 }),
    step: 0.001,
    put: ({ build }, v) => {
      build.brief.cruiseMs = v;
    },
    below: 'fits',
    above: 'rework',
  },
  {
    rule: 'cluster-choice',
    what: 'one cog too many for the hub',
    edit: ({ build }) => {
      build.choice.clusterId = 'freewheel-7-14-28';
    },
    at: 6.5,
    step: 0.5,
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.maxCogs = v;
    },
    below: 'stop',
    above: 'fits',
  },
];

/** A second person aboard, so heavy, in a seat. */
const aboard =
  (seat: Aboard['seat'], kg = 20) =>
  ({ build }: World): void => {
    build.brief.riders.push({ ...usualRider(), name: 'Second', massKg: kg });
    build.brief.aboard.push({ rider: 1, seat, pedals: false });
  };
const second = ({ build }: World, kg: number): void => {
  const rider = build.brief.riders[1];
  if (rider) rider.massKg = kg;
};
/** A trailer behind with what a case changes. */
const towing =
  (change: Partial<Trailer>) =>
  ({ build }: World): void => {
    build.brief.trailer = { ...usualTrailer(), loadKg: 20, limitKg: 40, loadAheadM: 0.1, ...change };
  };
const trailer =
  (key: 'loadKg' | 'limitKg' | 'loadAheadM') =>
  ({ build }: World, v: number): void => {
    if (build.brief.trailer) build.brief.trailer[key] = v;
  };

const aboardAndBehind: Edge[] = [
  {
    rule: 'seats-aboard',
    what: 'a child of 22 kg behind',
    edit: aboard('childBehind'),
    survey: { rackLimit: '40 kg' },
    at: 22,
    step: 0.01,
    put: second,
    below: 'fits',
    above: ['stop', /child’s seat/],
  },
  {
    rule: 'seats-aboard',
    what: 'a child of 15 kg at the bar',
    edit: aboard('childAhead'),
    at: 15,
    step: 0.01,
    put: second,
    below: 'fits',
    above: ['stop', /child’s seat/],
  },
  {
    rule: 'seats-aboard',
    what: 'what the rack bears of who sits on it',
    kind: 'longtail',
    edit: aboard('deck', 60),
    at: 60,
    step: 0.01,
    put: item('rackLimit'),
    below: ['stop', /rack bears less/],
    above: 'fits',
  },
  {
    rule: 'trailer-behind',
    what: 'its own limit',
    edit: towing({}),
    at: 20,
    step: 0.01,
    put: trailer('limitKg'),
    below: ['stop', /own limit/],
    above: 'fits',
  },
  // 20 kg · x ÷ 0.95 m and a twentieth of 10 kg: nothing on the coupling where x = −0.02375 m.
  {
    rule: 'trailer-behind',
    what: 'a load behind its axle lifts the wheel',
    edit: towing({}),
    at: -0.02375,
    put: trailer('loadAheadM'),
    below: ['stop', /lifts the rear/],
    above: ['rework', /Too little/],
  },
  {
    rule: 'trailer-behind',
    what: 'three hundredths on the coupling',
    edit: towing({}),
    at: ((30 * 0.03 - 0.5) * 0.95) / 20,
    put: trailer('loadAheadM'),
    below: ['rework', /Too little/],
    above: 'fits',
  },
  {
    rule: 'trailer-behind',
    what: 'fifteen hundredths on the coupling',
    edit: towing({}),
    at: ((30 * 0.15 - 0.5) * 0.95) / 20,
    put: trailer('loadAheadM'),
    below: 'fits',
    above: ['rework', /Too much/],
  },
  {
    rule: 'trailer-behind',
    what: 'six tenths of the vehicle without a brake',
    edit: towing({ limitKg: 400 }),
    at: (w) =>
      whereIs(
        0,
        (load) => {
          trailer('loadKg')(w, load);
          const c = contextOf(w);
          return (c.trailer?.massKg ?? 0) - 0.6 * c.onWheelsKg;
        },
        1,
        200,
      ),
    step: 0.01,
    put: trailer('loadKg'),
    below: 'fits',
    above: ['rework', /without a brake/],
  },
  {
    rule: 'trailer-behind',
    what: 'forty kilograms on a seat post',
    edit: towing({ hitch: 'seatPost', limitKg: 400 }),
    at: 30,
    step: 0.01,
    put: trailer('loadKg'),
    below: 'fits',
    above: ['rework', /seat post/],
  },
];

const schoolsOfBuild: Edge[] = [
  {
    rule: 'mid-axle-school',
    what: 'an axle 5.5 mm longer than the shell',
    ...mid,
    at: 0.0675,
    put: item('bracketWidth'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'crank-offset-school',
    what: 'cranks six millimetres off the middle',
    ...mid,
    edit: ({ build }) => {
      build.schools.crankOffset = 'corrected';
    },
    at: 0.061,
    put: item('bracketWidth'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'lead-school',
    what: 'a port that the plug passes',
    edit: ({ build }) => {
      build.schools.leads = 'inside';
    },
    at: ({ kit }) => kit.controls?.plugM ?? NaN,
    put: item('cablePort'),
    below: 'rework',
    above: 'fits',
  },
];

const chosenParts: Edge[] = [
  {
    rule: 'axle-bores',
    what: 'arms bored thinner than the axle',
    edit: ({ kit }) => {
      if (kit.hub) kit.hub.armBoreM = 0.0142;
    },
    at: 0.0142,
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.axleDiameterM = v;
    },
    below: 'fits',
    above: ['rework', /arms/],
  },
  {
    rule: 'axle-bores',
    what: 'washers bored thinner than the axle',
    at: ({ kit }) => kit.hub?.axleDiameterM ?? NaN,
    put: ({ kit }, v) => {
      if (kit.hub) kit.hub.washerBoreM = v;
    },
    below: ['rework', /washers/],
    above: 'fits',
  },
  ...(
    [
      ['a millimetre narrow closes up by hand', 0.134, 'stop', 'fits'],
      ['six millimetres of washers', 0.141, 'fits', 'stop'],
    ] as const
  ).map(([what, at, below, above]): Edge => ({
    rule: 'hub-gear-choice',
    what,
    ...mid,
    edit: ({ build }) => {
      build.choice.hubGearId = 'hub-gear-eight';
    },
    at,
    put: item('rearDropoutSpacing'),
    below,
    above,
  })),
  {
    rule: 'hub-gear-choice',
    what: 'a slot narrower than its flats',
    ...mid,
    edit: ({ build }) => {
      build.choice.hubGearId = 'hub-gear-eight';
    },
    at: 0.0082,
    put: item('rearSlotWidth'),
    below: 'rework',
    above: 'fits',
  },
  {
    rule: 'pack-trust',
    what: 'six tenths left',
    at: 0.6,
    put: ({ pack }, v) => {
      pack.health = v;
    },
    below: 'stop',
    above: 'rework',
  },
  {
    rule: 'pack-trust',
    what: 'eight tenths left',
    at: 0.8,
    put: ({ pack }, v) => {
      pack.health = v;
    },
    below: 'rework',
    above: 'fits',
  },
];

const groups = {
  axle,
  bracket,
  'wheel and gears': wheelAndGears,
  'brakes and bar': brakesAndBar,
  'load and law': loadAndLaw,
  pack: packEdges,
  plan: planEdges,
  'aboard and behind': aboardAndBehind,
  'schools of this build': schoolsOfBuild,
  'parts chosen, arrived, old': chosenParts,
};

/** What a rule finds a step below its threshold, or above it. */
function besides(edge: Edge, side: 'below' | 'above'): { at: number; found: ReturnType<typeof judged> } {
  const at = typeof edge.at === 'number' ? edge.at : edge.at(world(edge));
  const step = edge.step ?? 1e-5;
  const made = world(edge);
  edge.put(made, at + (side === 'below' ? -step : step));
  return { at, found: judged(edge.rule, made) };
}

describe('every threshold, just below and just above', () => {
  for (const [group, edges] of Object.entries(groups)) {
    describe(group, () => {
      for (const edge of edges) {
        it(`${edge.rule}: ${edge.what}`, () => {
          for (const side of ['below', 'above'] as const) {
            const { at, found } = besides(edge, side);
            const want = edge[side];
            const [verdict, words] = Array.isArray(want) ? want : [want, null];
            expect(found?.verdict ?? 'none', `${side} ${at}: ${found?.title ?? ''}`).to.equal(verdict);
            if (words) expect(found?.title, side).to.match(words);
          }
        });
      }
    });
  }

  it('says at each what it said when it was last looked at', () => {
    const said = new Said('said/thresholds');
    for (const edge of Object.values(groups).flat())
      for (const side of ['below', 'above'] as const)
        said.say(`${edge.rule}: ${edge.what}, ${side}`, besides(edge, side).found);
    said.done();
  });

  it('holds every rule that compares numbers; the others judge kinds alone', () => {
    const tabled = new Set(Object.values(groups).flatMap((edges) => edges.map((e) => e.rule)));
    // Judged answer by answer in the catalogue, which its own check holds.
    const ofRows = new Set([...kitCrossings, ...packCrossings, ...contradictions].map((r) => r.id));
    const kindsAlone = [...donorRules, ...kitRules, ...packRules, ...planRules]
      .map((r) => r.id)
      .filter((id) => !tabled.has(id) && !id.startsWith('condition-') && !ofRows.has(id));
    // Written out, so that a new rule with a number in it must come into the table or be named here on purpose.
    expect(kindsAlone).to.have.members([
      'bracket-thread-hand',
      'brake-kind',
      'chain-tension',
      'chemistry',
      // Its room is solved, not compared: proved beside the layout.
      'controller-room',
      'crank-removal',
      'crossover-tandem',
      'closing-question',
      'cutoff-levers',
      'donor-school',
      'down-tube-shape',
      'driven-wheels',
      'fork-tips',
      'frame-material',
      'hanger',
      'hub-gear-school',
      'kit-box',
      'wheel-spacing',
      // Its watts are held where riders without legs are.
      'legs',
      'kit-source',
      'legal-duties',
      'legal-throttle',
      'mid-arm',
      'pack-handling',
      'pack-material',
      'parking-lock',
      'rear-travel',
      'ring-mount',
      'road',
      'rotor-mount',
      'shifting-skill',
      'side-kit',
      // The hub’s and the mid-drive’s are one rule under two names.
      'start-need-geared',
      'throttle-bar',
      'throttle-school',
      'under-bracket',
      'valve-hole',
      'cadence-school',
      'chain-school',
      'controller-school',
      'electric-brake-school',
      'entry-school',
      'front-derailleur',
      'hub-arm-school',
      'lever-school',
      'rack-shared',
      'rack-swing-arm',
      'hinge-slack',
      'lead-way',
      'lead-ends',
      'battery-plug',
      'control-plugs',
    ]);
  });
});
