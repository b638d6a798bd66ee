import { ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { commonFrame } from '../donor/common.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import { kindTraits } from '../donor/kinds.ts';
import type { Kit } from '../parts/kit.ts';

/** Where the weight stands: kg on each axle, and the centre of mass in the side view, m. */
export interface AxleLoads {
  totalKg: number;
  rearKg: number;
  frontKg: number;
  xM: number;
  hM: number;
}

/** Height of a seated rider's centre of mass above the saddle, m. Source: project, adults upright. */
const RIDER_ABOVE_SADDLE = 0.22;
/** Where a vehicle's own mass lies, of its wheelbase from the rear, and its height, m. Source: project. */
const VEHICLE_SHARE = 0.45;
const VEHICLE_HEIGHT = 0.45;

/** One mass at its place in the side view, m. */
export interface MassPoint {
  id: 'rider' | 'vehicle' | 'load' | 'kit' | 'pack';
  label: string;
  kg: number;
  x: number;
  h: number;
}

/** A pack's mass with the middle of where it lies. */
export interface PackMass {
  kg: number;
  at: Point | null;
}

/** What a conversion adds: the kit with its arms and fittings, and the pack where it lies. */
export interface Added {
  kit: Kit | null;
  /** Arms and fittings besides the kit, kg; they sit where its motor does. */
  fittingsKg: number;
  pack: PackMass;
}

/** Nothing added: the donor as it is. */
export const NOTHING_ADDED: Added = { kit: null, fittingsKg: 0, pack: { kg: 0, at: null } };

/** Everything that moves, each at its place. */
export function massPoints(build: Build, g: DonorGeometry, { kit, fittingsKg, pack }: Added): MassPoint[] {
  const { brief, donor } = build;
  const wheelbase = g.frontAxle.x - g.rearAxle.x;
  const rider = ridingNow(brief);
  const own = donor.survey.vehicleMass?.value ?? commonFrame[donor.kind].vehicleMass;
  const cargoAt = g.box
    ? g.box.reduce((sum, p) => sum + p.x, 0) / g.box.length
    : (g.rackDeck.from.x + g.rackDeck.to.x) / 2;
  const cargoHigh = g.box ? Math.min(...g.box.map((p) => p.y)) + 0.15 : g.rackDeck.from.y + 0.1;
  const seated = kindTraits[donor.kind].seat === 'seat';
  return [
    {
      id: 'rider',
      label: rider.name === '' ? 'Rider' : rider.name,
      kg: rider.massKg,
      x: g.saddle.x + (seated ? 0.1 : (g.grip.x - g.saddle.x) * 0.2),
      h: g.saddle.y + (seated ? 0.12 : RIDER_ABOVE_SADDLE),
    },
    { id: 'vehicle', label: 'Vehicle', kg: own, x: wheelbase * VEHICLE_SHARE, h: VEHICLE_HEIGHT },
    { id: 'load', label: 'Load', kg: brief.cargoKg, x: cargoAt, h: cargoHigh },
    {
      id: 'kit',
      label: kit?.name ?? 'Kit',
      kg: (kit?.massKg ?? 0) + fittingsKg,
      x: kit?.hub?.place === 'front' ? wheelbase : kit?.mid ? g.bracket.x : 0,
      h: kit?.mid ? g.bracket.y : g.rearAxle.y,
    },
    {
      id: 'pack',
      label: 'Battery',
      kg: pack.kg,
      x: pack.at?.x ?? (g.triangle ? (g.triangle.bracket.x + g.triangle.head.x) / 2 : g.rackDeck.from.x + 0.2),
      h: pack.at?.y ?? g.bracket.y + 0.25,
    },
  ];
}

/**
 * Load on each axle at rest on the level, from the masses at their places; the weighed load on the rear
 * axle takes the rider's and vehicle's place where it was measured. Good to about 5 kg unweighed.
 */
export function axleLoads(build: Build, geometry: DonorGeometry, added: Added): AxleLoads {
  const g = geometry;
  const wheelbase = g.frontAxle.x - g.rearAxle.x;
  const masses = massPoints(build, g, added);
  const totalKg = masses.reduce((sum, m) => sum + m.kg, 0);
  const hM = masses.reduce((sum, m) => sum + m.kg * m.h, 0) / totalKg;
  let xM = masses.reduce((sum, m) => sum + m.kg * m.x, 0) / totalKg;
  const weighed = build.donor.survey.rearWheelShare?.value;
  if (weighed !== undefined) {
    // Rider and vehicle as weighed; what the plan adds comes on top at its own place.
    const base = (masses[0]?.kg ?? 0) + (masses[1]?.kg ?? 0);
    const rear = Math.min(weighed, base);
    const moment = (base - rear) * wheelbase + masses.slice(2).reduce((sum, m) => sum + m.kg * m.x, 0);
    xM = moment / totalKg;
  }
  const frontKg = (totalKg * xM) / wheelbase;
  return { totalKg, rearKg: totalKg - frontKg, frontKg, xM, hM };
}

/** Distance from the foot of the centre of mass to the tipping axis of a trike, m. */
export function tipDistance(g: DonorGeometry, xM: number): number {
  const base = g.frontAxle.x - g.rearAxle.x;
  const half = g.trackM / 2;
  // Axis from the single wheel's contact to the outer paired wheel's; along x, the half-width grows evenly.
  const fromSingle = g.pairedRear ? base - xM : xM;
  const slope = half / base;
  return (fromSingle * slope) / Math.sqrt(1 + slope * slope);
}
