import { peopleAboard, type Seat } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { ownMass } from '../build/ownMass.ts';
import type { Donor } from '../donor/donor.ts';
import type { DonorGeometry, Point } from '../donor/geometry.ts';
import { kindTraits } from '../donor/kinds.ts';
import type { Kit } from '../parts/kit.ts';
import { trailerLoads, type TrailerLoads } from './trailer.ts';

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

/** A child's or passenger's middle above what they sit on, m. Source: project. */
const PASSENGER_ABOVE_SEAT = 0.25;
/** Seat of a child's chair above the deck, m. Source: project, common chairs. */
const CHAIR_UP = 0.15;

/** One mass at its place in the side view, m. */
export interface MassPoint {
  id: 'rider' | 'vehicle' | 'load' | 'kit' | 'pack' | 'hitch';
  label: string;
  kg: number;
  x: number;
  h: number;
}

/** A pack's mass with the middle of where it lies. */
export interface PackMass {
  kg: number;
  at: Point | null;
  /** It rides on the trailer, not on the bicycle. */
  towed?: boolean;
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

/** The trailer behind with what rides on it; null where nothing is towed. */
export function towed({ brief }: Pick<Build, 'brief'>, { pack }: Added): TrailerLoads | null {
  return brief.trailer ? trailerLoads(brief.trailer, pack.towed ? pack.kg : 0) : null;
}

/** Where a person sits: the middle of their mass, m. */
function seatedAt(seat: Seat, g: DonorGeometry, { kind, survey }: Donor): { x: number; h: number } {
  const deckMiddle = (g.rackDeck.from.x + g.rackDeck.to.x) / 2;
  const straddled = kindTraits[kind].seat !== 'seat' && survey.seatKind?.value !== 'seat';
  // On a tandem whoever steers sits in front.
  const main = g.secondSaddle ?? g.saddle;
  const reach = g.grip.x - main.x;
  // On a saddle a rider leans towards the bar.
  const on = (at: Point): { x: number; h: number } => ({ x: at.x + reach * 0.2, h: at.y + RIDER_ABOVE_SADDLE });
  switch (seat) {
    case 'main':
      return straddled ? on(main) : { x: main.x + 0.1, h: (survey.seatHeight?.value ?? main.y) + 0.12 };
    case 'second':
      return g.secondSaddle ? on(g.saddle) : { x: deckMiddle, h: g.rackDeck.from.y + PASSENGER_ABOVE_SEAT };
    case 'childBehind':
      return { x: deckMiddle, h: g.rackDeck.from.y + CHAIR_UP + PASSENGER_ABOVE_SEAT };
    case 'childAhead':
      return { x: main.x + reach * 0.6, h: main.y + PASSENGER_ABOVE_SEAT };
    case 'deck':
      return { x: deckMiddle, h: g.rackDeck.from.y + PASSENGER_ABOVE_SEAT };
    case 'box':
      return g.box
        ? {
            x: g.box.reduce((sum, p) => sum + p.x, 0) / g.box.length,
            h: Math.min(...g.box.map((p) => p.y)) + 0.05 + PASSENGER_ABOVE_SEAT,
          }
        : { x: deckMiddle, h: g.rackDeck.from.y + PASSENGER_ABOVE_SEAT };
  }
}

/** Everything that stands on the vehicle's own wheels, each at its place; of a trailer what presses on its coupling. */
export function massPoints(build: Build, g: DonorGeometry, added: Added): MassPoint[] {
  const { kit, fittingsKg, pack } = added;
  const { brief, donor } = build;
  const wheelbase = g.frontAxle.x - g.rearAxle.x;
  const own = ownMass(build).kg;
  const cargoAt = g.box
    ? g.box.reduce((sum, p) => sum + p.x, 0) / g.box.length
    : (g.rackDeck.from.x + g.rackDeck.to.x) / 2;
  const cargoHigh = g.box ? Math.min(...g.box.map((p) => p.y)) + 0.15 : g.rackDeck.from.y + 0.1;
  const trailer = towed(build, added);
  return [
    ...peopleAboard(brief).map(({ rider, seat }, i): MassPoint => ({
      id: 'rider',
      label: rider.name !== '' ? rider.name : i === 0 ? 'Rider' : `Rider ${i + 1}`,
      kg: rider.massKg,
      ...seatedAt(seat, g, donor),
    })),
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
      kg: pack.towed ? 0 : pack.kg,
      x: pack.at?.x ?? (g.triangle ? (g.triangle.bracket.x + g.triangle.head.x) / 2 : g.rackDeck.from.x + 0.2),
      h: pack.at?.y ?? g.bracket.y + 0.25,
    },
    ...(trailer && brief.trailer
      ? [
          {
            id: 'hitch' as const,
            label: 'Trailer on its coupling',
            kg: trailer.hitchKg,
            x: g.rearAxle.x - brief.trailer.hitchBackM,
            h: brief.trailer.hitchUpM,
          },
        ]
      : []),
  ];
}

/**
 * Load on each axle at rest on the level, from the masses at their places; the weighed load on the rear
 * axle takes the place of everybody aboard and the vehicle where it was measured. Good to about 5 kg unweighed.
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
    // People and vehicle as weighed; what the plan adds comes on top at its own place.
    const onScale = (m: MassPoint): boolean => m.id === 'rider' || m.id === 'vehicle';
    const base = masses.reduce((sum, m) => sum + (onScale(m) ? m.kg : 0), 0);
    const rear = Math.min(weighed, base);
    xM = ((base - rear) * wheelbase + masses.reduce((sum, m) => sum + (onScale(m) ? 0 : m.kg * m.x), 0)) / totalKg;
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
