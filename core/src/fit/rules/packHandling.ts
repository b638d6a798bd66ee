import { amount, phrase } from '../../quantity/format.ts';
import { ruleFigure } from '../rule.ts';
import type { Remedy } from '../../build/remedy.ts';
import { chosenPlacement, packPlacements } from '../../layout/packPlacement.ts';
import { packPlaceWords, tubePlaces, type Pack } from '../../parts/pack.ts';
import type { PlanContext } from '../../vehicle/context.ts';
import { packRule } from '../say.ts';
import { choose } from '../remedies.ts';

/** The frame as a way out only where this pack goes there; else a pack that would. */
function inFrame(context: PlanContext, pack: Pack): Remedy[] {
  const there = packPlacements(context, pack).find(
    (p) => tubePlaces.includes(p.place) && p.lies !== null && p.verdict !== 'stop',
  );
  return there
    ? [choose('in-frame', phrase`Put it ${packPlaceWords[there.place]}.`, { packPlace: there.place })]
    : [choose('frame-pack', phrase`A pack that goes in the frame: this one does not.`)];
}

/** Where the pack sits by school, and what that does to handling. */
export const packHandling = packRule(
  {
    id: 'pack-handling',
    words: 'Frame or rack',
    group: 'pack',
    uses: [],
    source: 'Two schools: low and central steers as before; a rack comes off easily and bounces.',
    school: 'battery',
  },
  (context, pack, _kit, say) => {
    const { build, geometry } = context;
    const { place } = chosenPlacement(context, pack);
    // On the bar it turns with it: that is said of its place, and low and central it is not.
    if (place === 'bar') return null;
    const onRack = place === 'rack';
    say.because(
      ruleFigure('School', build.schools.battery === 'frame' ? 'in the frame' : 'on the rack'),
      ruleFigure('Triangle', geometry.triangle ? 'there is one' : 'none'),
    );
    if (onRack && geometry.triangle && build.schools.battery === 'frame')
      return say.rework(
        'On the rack, against your school',
        phrase`${amount(pack.massKg, 'mass')} high and behind: it wags at low speed and bounces off-road.`,
        ...inFrame(context, pack),
      );
    if (onRack && build.brief.purpose === 'trail')
      return say.rework(
        'A pack on the rack on trails',
        phrase`It bounces, and breaks the rack’s struts.`,
        ...inFrame(context, pack),
        choose('soft-bag', phrase`Choose a pack in a bag, strapped in the frame.`),
      );
    if (place === 'behindSeatTube' || place === 'seatBack' || place === 'underSeat')
      return say.fits(
        'Central, a little high',
        phrase`Between the wheels, above the axles: little changes in the steering.`,
      );
    if (place === 'box' || place === 'trailer' || place === 'basket')
      return say.fits('Out of the frame', phrase`Strap it so that it stays when the vehicle falls over.`);
    return say.fits(
      onRack ? 'On the rack' : 'Low and central',
      onRack ? phrase`Strap it as well as locking it.` : phrase`Handling stays much as it was.`,
    );
  },
);
