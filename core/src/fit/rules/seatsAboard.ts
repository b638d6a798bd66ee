import { peopleAboard, rackLoadKg, seatsFor, seatWords } from '../../build/brief.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import { planRule } from '../say.ts';
import { buy, choose, take } from '../remedies.ts';

/** Heaviest child for a seat on the rack and for one at the bar, kg. Source: EN 14344, seats of both kinds. */
const CHILD_BEHIND = 22;
const CHILD_AHEAD = 15;

/** Whether everybody aboard has a seat that this vehicle has, and that bears them. */
export const seatsAboard = planRule(
  {
    id: 'seats-aboard',
    words: 'A seat for everybody',
    group: 'aboard',
    uses: ['rackLimit'],
    source: 'EN 14344: a child’s seat on the rack to 22 kg, at the bar to 15 kg; the rack bears child and seat.',
  },
  (context, say) => {
    const { brief, donor } = context.build;
    const people = peopleAboard(brief);
    const others = people.slice(1);
    if (others.length === 0)
      return brief.purpose === 'twoUp'
        ? say.rework(
            'For two, and one is aboard',
            phrase`The brief is for two riders or a child, and only ${people[0]?.rider.name || 'one rider'} is aboard: all sums are for one.`,
            choose('second', phrase`Say in the brief who else rides, and where they sit.`),
          )
        : null;
    for (const { rider, seat } of others)
      say.because(ruleFigure(`${rider.name || 'Rider'}, ${seatWords[seat]}`, amount(rider.massKg, 'mass')));
    const nowhere = others.find(({ seat }) => !seatsFor(donor.kind).includes(seat));
    if (nowhere)
      return say.stop(
        'No such seat on this vehicle',
        phrase`${nowhere.rider.name || 'A rider'} is put down for “${seatWords[nowhere.seat]}”, which this kind of vehicle has not.`,
        choose('other-seat', phrase`Choose another seat, or another donor.`),
      );
    const child = others.find(
      ({ rider, seat }) =>
        (seat === 'childBehind' && rider.massKg > CHILD_BEHIND) ||
        (seat === 'childAhead' && rider.massKg > CHILD_AHEAD),
    );
    if (child)
      return say.stop(
        'Too heavy for a child’s seat',
        phrase`${child.rider.name || 'The child'} weighs ${amount(child.rider.massKg, 'mass')}; such a seat is made for ${amount(child.seat === 'childBehind' ? CHILD_BEHIND : CHILD_AHEAD, 'mass')} at most.`,
        choose('other-seat', phrase`A longtail’s deck, a box, or a trailer made for children.`),
      );
    const onRack = others.some(({ seat }) => seat === 'childBehind' || seat === 'deck');
    if (onRack) {
      const limit = say.need('rackLimit');
      const load = rackLoadKg(brief);
      say.because(ruleFigure('On the rack in all', amount(load, 'mass')));
      if (limit !== undefined && load > limit)
        return say.stop(
          'The rack bears less than sits on it',
          phrase`${amount(load, 'mass')} on a rack that bears ${amount(limit, 'mass')}.`,
          buy('rack', phrase`A rack stamped for it, held at three points.`, take('rear-rack', 'rack'), { work: 60 }),
          choose('elsewhere', phrase`Another seat for them.`),
        );
      if (limit === undefined)
        return say.open('What the rack bears not read', phrase`${amount(load, 'mass')} sits on it.`);
      return say.fits(
        'The rack bears who sits on it',
        phrase`${amount(load, 'mass')} of ${amount(limit, 'mass')}; feet kept out of the spokes.`,
      );
    }
    return say.fits(
      'Everybody has a seat',
      phrase`${people.length} aboard; mass, brakes, balance and range count them all.`,
    );
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
