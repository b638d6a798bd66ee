import type { Donor } from '../donor/donor.ts';
import { kindTraits } from '../donor/kinds.ts';
import { peopleAboard, seats, seatsFor, type Brief, type Person, type Seat } from './brief.ts';

/** Heaviest child for a seat on the rack and for one at the bar, kg. Source: EN 14344, seats of both kinds. */
export const CHILD_BEHIND_KG = 22;
export const CHILD_AHEAD_KG = 15;

/** The room a kind of seat has on a vehicle. */
export interface SeatRoom {
  /** How many can sit there; 0 where this kind of vehicle has no such seat. */
  places: number;
  /** False where the number is only usual for the kind, and could be counted on the vehicle. */
  counted: boolean;
  /** What one person there may weigh, by the seat itself, kg; null where the seat sets no limit of its own. */
  eachKg: number | null;
}

/** Room of a kind of seat: counted on the vehicle, else what is usual for its kind. */
export function seatRoom(seat: Seat, donor: Donor): SeatRoom {
  if (!seatsFor(donor.kind).includes(seat)) return { places: 0, counted: true, eachKg: null };
  switch (seat) {
    case 'main':
    case 'second':
      return { places: 1, counted: true, eachKg: null };
    case 'childAhead':
      return { places: 1, counted: true, eachKg: CHILD_AHEAD_KG };
    case 'childBehind':
      // A longtail's rack is long enough for two, one behind the other.
      return { places: donor.kind === 'longtail' ? 2 : 1, counted: true, eachKg: CHILD_BEHIND_KG };
    case 'deck':
    case 'box': {
      const counted = donor.survey.passengerPlaces?.value;
      return { places: counted ?? kindTraits[donor.kind].places, counted: counted !== undefined, eachKg: null };
    }
  }
}

/** Who sits on each kind of seat that somebody sits on, in the order of the seats. */
export function seated(brief: Brief): { seat: Seat; people: Person[] }[] {
  const people = peopleAboard(brief);
  return seats.flatMap((seat) => {
    const there = people.filter((p) => p.seat === seat);
    return there.length === 0 ? [] : [{ seat, people: there }];
  });
}
