import { ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { mergedTakings, type Taking } from '../build/remedy.ts';
import { commonFrame } from '../donor/common.ts';
import type { Cluster, Ring } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import { partById, type Shelf } from '../parts/part.ts';
import type { TyreSize } from '../quantity/tyre.ts';
import { gearingFor, type Gearing } from './gearing.ts';

/** One line of the mass: what, and how many kg. */
export interface MassLine {
  id: 'rider' | 'load' | 'vehicle' | 'kit' | 'pack' | 'fittings';
  label: string;
  kg: number;
  known: boolean;
}

/** A vehicle resolved: what drives it, what it rolls on, what it weighs. As it is, or as it will be. */
export interface Vehicle {
  kit: Kit | null;
  pack: Pack | null;
  gearing: Gearing;
  tyres: { front: TyreSize; rear: TyreSize };
  /** Arms and other parts that are planned or taken, besides kit, pack and gears. */
  fittings: readonly Taking[];
  /** Everything that moves, line by line. The wheel a kit replaces is not taken off: the sum errs heavy. */
  masses: readonly MassLine[];
  massKg: number;
}

/** What a vehicle is resolved from besides the build itself. */
export interface VehicleParts {
  kit: Kit | null;
  pack: Pack | null;
  ring: Ring | null;
  cluster: Cluster | null;
  /** Parts of remedies that were taken. */
  taken: readonly Taking[];
}

/** No part at all: the donor as it stands. */
export const AS_IT_IS: VehicleParts = { kit: null, pack: null, ring: null, cluster: null, taken: [] };

/** The arms a build means to fit with a kit: one or two on a hub’s axle, one on a mid-drive where its school asks. */
export function plannedArms(build: Build, kit: Kit | null): Taking[] {
  const { torqueArms } = build.choice;
  if (!kit || torqueArms === 0) return [];
  if (kit.hub) return [{ part: 'torque-arm', count: torqueArms, place: `${kit.hub.place} axle` }];
  return kit.mid && build.schools.midArm === 'always' ? [{ part: 'reaction-arm', count: 1, place: 'bracket' }] : [];
}

/** Mass of parts taken, kg, by the shelf; a part that it does not know counts nothing. */
export function takenMass(shelf: Shelf, taken: readonly Taking[]): number {
  return taken.reduce((sum, t) => sum + (partById(shelf, t.part)?.massKg ?? 0) * t.count, 0);
}

function massLines(build: Build, shelf: Shelf, parts: VehicleParts, fittings: readonly Taking[]): MassLine[] {
  const { brief, donor } = build;
  const rider = ridingNow(brief);
  const own = donor.survey.vehicleMass;
  const fittingsKg = takenMass(shelf, fittings);
  const { kit, pack } = parts;
  return [
    { id: 'rider', label: rider.name === '' ? 'Rider' : rider.name, kg: rider.massKg, known: true },
    { id: 'load', label: 'Load', kg: brief.cargoKg, known: true },
    {
      id: 'vehicle',
      label: 'Vehicle',
      kg: own?.value ?? commonFrame[donor.kind].vehicleMass,
      known: own !== undefined,
    },
    ...(kit ? [{ id: 'kit' as const, label: kit.name, kg: kit.massKg, known: true }] : []),
    ...(pack ? [{ id: 'pack' as const, label: pack.name, kg: pack.massKg, known: true }] : []),
    ...(fittingsKg > 0 ? [{ id: 'fittings' as const, label: 'Arms and fittings', kg: fittingsKg, known: true }] : []),
  ];
}

/** Resolves a vehicle: the donor with the parts given on it. */
export function resolveVehicle(build: Build, shelf: Shelf, parts: VehicleParts): Vehicle {
  const { survey, kind } = build.donor;
  const { kit, pack, ring, cluster, taken } = parts;
  // Merged as the price is: an arm that is planned and wanted by a remedy too is one arm.
  const fittings = mergedTakings([...plannedArms(build, kit), ...taken]);
  const masses = massLines(build, shelf, parts, fittings);
  return {
    kit,
    pack,
    gearing: gearingFor(build, shelf.hubGear, kit, ring, cluster),
    tyres: {
      front: survey.frontTyre?.value ?? commonFrame[kind].frontTyre,
      rear: survey.rearTyre?.value ?? commonFrame[kind].tyre,
    },
    fittings,
    masses,
    massKg: masses.reduce((sum, line) => sum + line.kg, 0),
  };
}

/** A vehicle’s masses of some kinds together, kg. */
export function massOf(vehicle: Vehicle, ...ids: MassLine['id'][]): number {
  return vehicle.masses.reduce((sum, line) => (ids.includes(line.id) ? sum + line.kg : sum), 0);
}
