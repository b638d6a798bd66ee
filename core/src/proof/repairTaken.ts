import type { RepairTaken } from '../build/proving.ts';
import type { RemedyPlace } from '../build/remedy.ts';
import { partById } from '../parts/part.ts';
import type { PlanContext } from '../vehicle/context.ts';
import { wiringOf } from '../wiring/wiring.ts';
import { repairOf } from './faults/data.ts';
import { proofFacts } from './proofFacts.ts';

/** Chargers and fuses go by the battery and its lead; a kit or battery that goes back to its maker is not bought. */
function partsFor(context: PlanContext, part: string): string[] {
  const { pack, shelf, build } = context;
  if (part === 'kit' || part === 'pack') return [];
  if (part === 'charger') {
    const fit = pack ? shelf.charger.filter((c) => c.chemistry === pack.chemistry && c.series === pack.series) : [];
    const cheapest = [...fit].sort((a, b) => a.price - b.price)[0];
    return cheapest ? [cheapest.id] : [];
  }
  if (part.startsWith('fuse-')) {
    const amps = build.wiring.power.fuseA ?? wiringOf(context)?.power?.fuseA;
    const own = amps ? `fuse-${String(amps).replace('.', '-')}` : part;
    return partById(shelf, own) ? [own] : [];
  }
  if (part === 'torque-arm' && (context.kit?.hub?.axleDiameterM ?? 0) > 0.0141) return ['torque-arm-16'];
  return partById(shelf, part) ? [part] : [];
}

/** Rear or front: where this vehicle has its motor. */
function placeFor(place: RemedyPlace, context: PlanContext): RemedyPlace {
  const driven = proofFacts(context)?.driven ?? 'rear';
  if (driven === 'rear') return place;
  return place === 'rear wheel' ? 'front wheel' : place === 'rear axle' ? 'front axle' : place;
}

/** A repair decided on, with its parts for this vehicle; null where there is no such repair. */
export function repairTaken(
  context: PlanContext,
  repairId: string,
  id: string,
  at: string,
  search: string | null,
): RepairTaken | null {
  const repair = repairOf(repairId);
  if (!repair) return null;
  const motors =
    /^(turn-wheel|seat-wheel|true-wheel|tighten-axle|axle-again|as-made|dry-motor|ease-motor|mend-clutch|mend-gears)$/;
  const place = motors.test(repairId) ? placeFor(repair.place, context) : repair.place;
  return {
    id,
    repair: repairId,
    words: repair.words,
    how: repair.how,
    place,
    minutes: repair.minutes,
    takes: repair.parts.flatMap((part) => partsFor(context, part)).map((part) => ({ part, count: 1, place })),
    search,
    at,
  };
}
