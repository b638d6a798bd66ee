import { peopleAboard } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { ownMass } from '../build/ownMass.ts';
import { mergedTakings, takingKey, type RemedyPlace, type Taking } from '../build/remedy.ts';
import { commonFrame } from '../donor/common.ts';
import type { Cluster, HubGear, Ring } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack } from '../parts/pack.ts';
import { boreOf, partById, type Shelf } from '../parts/part.ts';
import { starterShelf } from '../parts/shelf/starterShelf.ts';
import type { TyreSize } from '../quantity/tyre.ts';
import type { Brakes } from '../safety/stopping.ts';
import { gearingFor, type Gearing } from './gearing.ts';

/** One line of the mass: what, and how many kg. */
export interface MassLine {
  id: 'rider' | 'load' | 'vehicle' | 'kit' | 'pack' | 'fittings' | 'trailer';
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
  brakes: Brakes;
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
  hubGear: HubGear | null;
  /** Parts of remedies that were taken. */
  taken: readonly Taking[];
}

/** No part at all: the donor as it stands. */
export const AS_IT_IS: VehicleParts = { kit: null, pack: null, ring: null, cluster: null, hubGear: null, taken: [] };

/** Arms are bored for their axle: a thick one takes the wide kind. */
export function armPart({ hub }: Pick<Kit, 'hub'>): 'torque-arm' | 'torque-arm-16' {
  const common = boreOf(starterShelf, 'torque-arm') ?? Infinity;
  return hub && hub.axleDiameterM > common ? 'torque-arm-16' : 'torque-arm';
}

/** The arms a build means to fit with a kit: one or two on a hub’s axle, one on a mid-drive where its school asks. */
export function plannedArms(build: Build, kit: Kit | null): Taking[] {
  const { torqueArms } = build.choice;
  if (!kit || torqueArms === 0) return [];
  if (kit.hub)
    return [
      {
        part: armPart(kit),
        count: torqueArms,
        place: `${kit.hub.place} axle`,
      },
    ];
  return kit.mid && build.schools.midArm === 'always' ? [{ part: 'reaction-arm', count: 1, place: 'bracket' }] : [];
}

/** What was chosen of wiring by name: controls, levers, extensions, adapter and pre-charge lead, each as often as it is used. */
export function plannedWiring({ wiring }: Build): Taking[] {
  const ids: [string | null, RemedyPlace][] = [
    ...Object.entries(wiring.parts).map(([box, id]): [string | null, RemedyPlace] => [
      id,
      box === 'cadence' ? 'bracket' : box === 'speed' ? 'rear wheel' : 'bar',
    ]),
    [wiring.levers.left.part, 'left lever'],
    [wiring.levers.right.part, 'right lever'],
    ...Object.values(wiring.leads).map((l): [string | null, RemedyPlace] => [l.leftOff ? null : l.extension, 'leads']),
    [wiring.power.adapter, 'leads'],
    [wiring.power.precharge, 'leads'],
    [wiring.power.disconnects ? 'disconnect-pair' : null, 'leads'],
  ];
  const out = new Map<string, Taking>();
  for (const [part, place] of ids) {
    if (part === null) continue;
    const key = takingKey({ part, place, count: 1 });
    const before = out.get(key);
    out.set(key, { part, place, count: (before?.count ?? 0) + 1 });
  }
  return [...out.values()];
}

/** Mass of parts taken, kg, by the shelf; a part that it does not know counts nothing. */
function takenMass(shelf: Shelf, taken: readonly Taking[]): number {
  return taken.reduce((sum, t) => sum + (partById(shelf, t.part)?.massKg ?? 0) * t.count, 0);
}

function massLines(build: Build, shelf: Shelf, parts: VehicleParts, fittings: readonly Taking[]): MassLine[] {
  const { brief } = build;
  const own = ownMass(build);
  const gears = [parts.ring, parts.cluster, parts.hubGear];
  // What is chosen or taken counts by its own mass; what it replaces stays on the scale, so the sum errs heavy.
  const takenIds = fittings.map((t) => t.part);
  const gearsKg = gears.reduce((sum, part) => sum + (part && !takenIds.includes(part.id) ? part.massKg : 0), 0);
  const fittingsKg = takenMass(shelf, fittings) + gearsKg;
  const { kit, pack } = parts;
  return [
    ...peopleAboard(brief).map(({ rider }, i): MassLine => ({
      id: 'rider',
      label: rider.name !== '' ? rider.name : i === 0 ? 'Rider' : `Rider ${i + 1}`,
      kg: rider.massKg,
      known: true,
    })),
    { id: 'load', label: 'Load', kg: brief.cargoKg, known: true },
    {
      id: 'vehicle',
      label: 'Vehicle',
      ...own,
    },
    ...(kit ? [{ id: 'kit' as const, label: kit.name, kg: kit.massKg, known: true }] : []),
    ...(pack ? [{ id: 'pack' as const, label: pack.name, kg: pack.massKg, known: true }] : []),
    ...(fittingsKg > 0
      ? [
          {
            id: 'fittings' as const,
            label: gearsKg > 0 ? 'Gears and fittings' : 'Arms and fittings',
            kg: fittingsKg,
            known: true,
          },
        ]
      : []),
    ...(brief.trailer
      ? [
          {
            id: 'trailer' as const,
            label: 'Trailer and its load',
            kg: brief.trailer.massKg + brief.trailer.loadKg,
            known: true,
          },
        ]
      : []),
  ];
}

/** The brakes there will be: the donor’s or those taken, less what goes with the old hubs. */
function brakesOf(build: Build, { kit, hubGear }: VehicleParts): Brakes {
  const { survey } = build.donor;
  let front = survey.frontBrake?.value;
  let rear = survey.rearBrake?.value;
  // A brake inside the old hub leaves with it.
  const inHub = rear === 'coaster' || rear === 'roller' || rear === 'drum';
  if (inHub && (kit?.hub?.place === 'rear' || hubGear)) rear = 'none';
  if (hubGear?.brake === 'coaster' || hubGear?.brake === 'roller') rear = hubGear.brake;
  if ((front === 'roller' || front === 'drum') && kit?.hub?.place === 'front') front = 'none';
  return { front, rear, frontRotorM: survey.frontRotor?.value, rearRotorM: survey.rearRotor?.value };
}

/**
 * A tyre as it will roll: on the kit's wheel where that is smaller on purpose, by the school of it, and comes in no size
 * of the donor's; else as it is, for then the motor is laced into the donor's size or not fitted at all.
 */
function onKitWheel(build: Build, kit: Kit | null, end: 'front' | 'rear', own: TyreSize): TyreSize {
  const { hub } = kit ?? {};
  if (hub?.place !== end || build.schools.wheelSize !== 'smaller') return own;
  const bead = (m: number): number => Math.round(m * 1000);
  if (hub.beadsM.some((b) => bead(b) === bead(own.beadM))) return own;
  const smaller = hub.beadsM.filter((b) => bead(b) < bead(own.beadM));
  return smaller.length === 0 ? own : { ...own, beadM: Math.max(...smaller) };
}

/** Resolves a vehicle: the donor with the parts given on it. */
export function resolveVehicle(build: Build, shelf: Shelf, parts: VehicleParts): Vehicle {
  const { survey, kind } = build.donor;
  const { kit, pack, ring, cluster, hubGear, taken } = parts;
  const { newWheels } = build.choice;
  // Merged as the price is: an arm that is planned and wanted by a remedy too is one arm.
  const fittings = mergedTakings([...plannedArms(build, kit), ...plannedWiring(build), ...taken]);
  const masses = massLines(build, shelf, parts, fittings);
  return {
    kit,
    pack,
    gearing: gearingFor(build, shelf.hubGear, kit, { ring, cluster, hubGear }),
    tyres: {
      front: newWheels.front ?? onKitWheel(build, kit, 'front', survey.frontTyre?.value ?? commonFrame[kind].frontTyre),
      rear: newWheels.rear ?? onKitWheel(build, kit, 'rear', survey.rearTyre?.value ?? commonFrame[kind].tyre),
    },
    fittings,
    brakes: brakesOf(build, parts),
    masses,
    massKg: masses.reduce((sum, line) => sum + line.kg, 0),
  };
}

/** A vehicle’s masses of some kinds together, kg. */
export function massOf(vehicle: Vehicle, ...ids: MassLine['id'][]): number {
  return vehicle.masses.reduce((sum, line) => (ids.includes(line.id) ? sum + line.kg : sum), 0);
}
