import { peopleAboard, rackLoadKg, seatWords, type Person, type Seat } from '../../build/brief.ts';
import { seated, seatRoom } from '../../build/seatRoom.ts';
import { vehicleKindWords } from '../../donor/kinds.ts';
import { amount, phrase } from '../../quantity/format.ts';
import type { Finding } from '../finding.ts';
import { ruleFigure } from '../rule.ts';
import { planRule, type Say } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

const sum = (people: readonly Person[]): number => people.reduce((kg, { rider }) => kg + rider.massKg, 0);
const elsewhere = choose(
  'other-seat',
  phrase`Another seat for somebody, a trailer made for children, or a second ride.`,
);

/** Whether one kind of seat has room for who sits there, by number and by each one’s weight; null where it has. */
function roomFor(
  seat: Seat,
  people: readonly Person[],
  donor: Parameters<typeof seatRoom>[1],
  say: Say,
): Finding | null {
  const room = seatRoom(seat, donor);
  if (room.places === 0)
    return say.stop(
      'No such seat on this vehicle',
      phrase`${people[0]?.rider.name || 'A rider'} is put down for “${seatWords[seat]}”; a vehicle of the kind “${vehicleKindWords[donor.kind]}” has none.`,
      choose('other-seat', phrase`Choose another seat, or another kind of vehicle on the Donor stage.`),
    );
  const { eachKg } = room;
  const heavy = eachKg === null ? undefined : people.find(({ rider }) => rider.massKg > eachKg);
  if (heavy && eachKg !== null)
    return say.stop(
      'Too heavy for a child’s seat',
      phrase`${heavy.rider.name || 'The child'} weighs ${amount(heavy.rider.massKg, 'mass')}; such a seat is made for ${amount(eachKg, 'mass')} at most.`,
      choose('other-seat', phrase`A longtail’s deck, a box, or a trailer made for children.`),
    );
  if (people.length > room.places && room.counted)
    return say.stop(
      'More people than places',
      phrase`${people.length} are put down for “${seatWords[seat]}”, which has ${room.places} ${room.places === 1 ? 'place' : 'places'}: ${people.map((p) => p.rider.name || 'a rider').join(', ')}.`,
      elsewhere,
    );
  return null;
}

/** Whether everybody aboard has a seat that this vehicle has, and that bears them. */
export const seatsAboard = planRule(
  {
    id: 'seats-aboard',
    words: 'A seat for everybody',
    group: 'aboard',
    uses: ['rackLimit', 'passengerPlaces', 'passengerLimit'],
    source: 'EN 14344: a child’s seat on the rack to 22 kg, at the bar to 15 kg; the rack bears child and seat.',
  },
  (context, say) => {
    const { brief, donor } = context.build;
    const people = peopleAboard(brief);
    if (people.length === 1)
      return brief.purpose === 'twoUp'
        ? say.rework(
            'For two, and one is aboard',
            phrase`The brief is for two riders or a child, and only ${people[0]?.rider.name || 'one rider'} is aboard: all sums are for one.`,
            choose('second', phrase`Say in the brief who else rides, and where they sit.`),
          )
        : null;
    const taken = seated(brief).filter(({ seat }) => seat !== 'main');
    for (const { seat, people: there } of taken)
      for (const { rider } of there)
        say.because(ruleFigure(`${rider.name || 'Rider'}, ${seatWords[seat]}`, amount(rider.massKg, 'mass')));
    for (const { seat, people: there } of taken) {
      const full = roomFor(seat, there, donor, say);
      if (full) return full;
    }
    const on = (seat: Seat): Person[] => taken.find((t) => t.seat === seat)?.people ?? [];
    const rack = rackLoadKg(brief);
    const onRack = on('childBehind').length + on('deck').length > 0;
    const rackLimit = onRack ? say.need('rackLimit') : undefined;
    if (onRack) say.because(ruleFigure('On the rack in all', amount(rack, 'mass')));
    if (rackLimit !== undefined && rack > rackLimit)
      return say.stop(
        'The rack bears less than sits on it',
        phrase`${amount(rack, 'mass')} on a rack that bears ${amount(rackLimit, 'mass')}.`,
        buy('rack', phrase`A rack stamped for it, held at three points.`, take('rear-rack', 'rack'), { work: 60 }),
        choose('elsewhere', phrase`Another seat for them.`),
      );
    const inBox = on('box').length > 0;
    // A box bears what is carried in it besides; panniers hang on the rack.
    const box = sum(on('box')) + (brief.panniers ? 0 : brief.cargoKg);
    const boxLimit = inBox ? say.need('passengerLimit') : undefined;
    if (inBox) say.because(ruleFigure('In the box in all', amount(box, 'mass')));
    if (boxLimit !== undefined && box > boxLimit)
      return say.stop(
        'The box bears less than is in it',
        phrase`${amount(box, 'mass')} with the load in a box that bears ${amount(boxLimit, 'mass')}.`,
        choose('less-load', phrase`Carry less in the box.`),
        elsewhere,
      );
    const second = sum(on('second'));
    const secondLimit = second > 0 ? donor.survey.passengerLimit?.value : undefined;
    if (secondLimit !== undefined && second > secondLimit)
      return say.stop(
        'The second saddle bears less than its rider',
        phrase`${amount(second, 'mass')} on a seat that bears ${amount(secondLimit, 'mass')}.`,
        buy('strong-seat', phrase`A seat made for more.`, take('strong-seat', 'seat')),
      );
    const open = [
      ...(onRack && rackLimit === undefined ? [phrase`${amount(rack, 'mass')} sits on the rack. `] : []),
      ...(inBox && boxLimit === undefined ? [phrase`${amount(box, 'mass')} is in the box. `] : []),
    ].flat();
    if (open.length > 0)
      return say.open(
        inBox && boxLimit === undefined ? 'What the box bears not read' : 'What the rack bears not read',
        [...open, ...phrase`The maker’s plate or manual says what it bears.`],
      );
    for (const seat of ['box', 'deck'] as const)
      if (on(seat).length > 1 && say.need('passengerPlaces') === undefined)
        return say.open(
          'Places not counted',
          phrase`${on(seat).length} are put down for “${seatWords[seat]}”; whether it has a belt or a grip and room for each has not been looked at.`,
        );
    const borne = [
      ...(onRack && rackLimit !== undefined
        ? [phrase`On the rack ${amount(rack, 'mass')} of ${amount(rackLimit, 'mass')}; feet kept out of the spokes. `]
        : []),
      ...(inBox && boxLimit !== undefined
        ? [phrase`In the box ${amount(box, 'mass')} of ${amount(boxLimit, 'mass')}. `]
        : []),
    ].flat();
    return say.fits('Everybody has a seat', [
      ...borne,
      ...phrase`${people.length} aboard; mass, brakes, balance and range count them all.`,
    ]);
  },
);

/** Somebody in a child's seat or on the deck, and a pack wanting the same rack. */
export const rackShared = planRule(
  {
    id: 'rack-shared',
    words: 'Rack shared with a seat',
    group: 'aboard',
    uses: [],
    source: 'A child’s seat and a battery cannot both bolt to one rack, and feet do not belong on a pack.',
  },
  (context, say) => {
    const seat = peopleAboard(context.build.brief).find((p) => p.seat === 'childBehind');
    const { pack } = context;
    if (!seat || !pack || context.packPlace !== 'rack') return null;
    return say.stop(
      'Seat and battery want one rack',
      phrase`${seat.rider.name || 'The child'} sits where ${pack.name} would go.`,
      choose('frame-pack', phrase`A battery in the frame, or under the down tube.`),
      choose('other-seat', phrase`A seat at the bar, a box or a trailer for the child.`),
    );
  },
);
