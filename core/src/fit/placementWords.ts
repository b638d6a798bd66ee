import { BATTERY_CLEARANCE_WANTED } from '../constants.ts';
import { surveyItem } from '../donor/survey.ts';
import type { PackPlacement } from '../layout/packPlacement.ts';
import type { BearingItem, PlacementReason } from '../layout/packStanding.ts';
import { packShape } from '../layout/packShape.ts';
import { fixingWords } from '../layout/place.ts';
import { packPlaceWords, type Pack, type PackPlace } from '../parts/pack.ts';
import { amount, capital, phrase, type Phrase } from '../quantity/format.ts';
import type { PlanContext } from '../vehicle/context.ts';
import type { Finding } from './finding.ts';
import { missingSaid } from './missingWords.ts';
import { buy, choose, look, measureIt, take, work } from './remedies.ts';
import { partData, ruleFigure, surveyed } from './rule.ts';
import type { Say } from './say.ts';

/** A placement in words: how it does there, and what would mend it. */
export function sayPlacement(context: PlanContext, pack: Pack, placed: PackPlacement, say: Say): Finding {
  const { place, lies } = placed;
  const shape = packShape(pack);
  if (placed.reason.kind === 'bearing') sayBearing(context, pack, placed.reason, say);
  say.because(
    partData(
      'Pack with rail',
      `${Math.round(shape.lengthM * 1000)} × ${Math.round(shape.heightM * 1000)} mm, ${Math.round(shape.widthM * 1000)} wide`,
    ),
    ...(pack.slideOffM > 0 ? [partData('Way off its rail', amount(pack.slideOffM, 'size'))] : []),
  );
  if (placed.reason.kind === 'onTheBack') return sayOnTheBack(pack, say);
  if (!lies || placed.reason.kind === 'noPlace') return sayNoPlace(place, placed, say);
  say.because(
    ruleFigure(`Tightest gap, to ${lies.tightest.name}`, amount(lies.clearanceM, 'size', 0)),
    ruleFigure('Gap wanted', amount(BATTERY_CLEARANCE_WANTED, 'size')),
    ruleFigure('Give or take', amount(placed.bandM, 'size', 1)),
    ...(placed.worst ? [surveyed(context, placed.worst)] : []),
  );
  return sayReason(context, pack, placed, say);
}

const noSuchPlace: Partial<Record<PackPlace, Phrase>> = {
  topTube: phrase`This frame has no enclosed triangle, so nothing hangs under an upper tube.`,
  basket: phrase`There is no carrier in front on this vehicle.`,
  box: phrase`This pack would stand in a box, and the donor has none.`,
  trailer: phrase`The brief has no trailer.`,
  seatBack: phrase`A saddle has no back to carry it.`,
};

/** A pack on the rider's back, refused whatever it weighs. */
function sayOnTheBack(pack: Pack, say: Say): Finding {
  return say.stop(
    'Not on anybody’s back',
    phrase`${amount(pack.massKg, 'mass')} of cells between the shoulders: in a fall it lands on the spine, in a fault it burns there, and its lead ties the rider to the vehicle.`,
    choose('on-vehicle', phrase`A place on the vehicle: in the frame, on the rack or in a bag on it.`),
  );
}

function sayNoPlace(place: PackPlace, placed: PackPlacement, say: Say): Finding {
  const title = `No place ${packPlaceWords[place].replace(/^(on|in|under|behind) the /, 'at a ')}`;
  const why = noSuchPlace[place] ?? phrase`This vehicle has no tube of that kind for it to lie along.`;
  const enclosed = placed.reason.kind === 'noPlace' && placed.reason.enclosed;
  const otherwise = choose(
    'other-place',
    enclosed
      ? phrase`Choose a pack for the frame or the rack.`
      : phrase`Choose a pack for the rear rack, the seat tube or a box.`,
  );
  if (placed.verdict === 'measure')
    return say.open(
      'Carrier in front not looked at',
      phrase`Whether there is a carrier over the front wheel has not been looked at.`,
      measureIt('frontCarrier'),
      otherwise,
    );
  if (place !== 'basket') return say.stop(title, why, otherwise);
  return say.stop(
    title,
    why,
    buy('carrier', phrase`A carrier fixed to the frame.`, take('front-carrier', 'front carrier')),
    otherwise,
  );
}

/** How sure, and to what: the numbers of a placement as its sentences want them. */
function wordsOf(pack: Pack, placed: PackPlacement) {
  const { lies } = placed;
  if (!lies) throw new RangeError('nothing lies there');
  const { tightest } = lies;
  const gap = amount(lies.clearanceM, 'size', 0);
  const band = amount(placed.bandM, 'size', 0);
  const off =
    pack.slideOffM > 0 && pack.leaves !== 'sideways'
      ? phrase` It comes ${amount(pack.slideOffM, 'size')} off its rail with room.`
      : [];
  return {
    where: packPlaceWords[placed.place],
    to: tightest.name,
    when: tightest.when === 'at rest' ? '' : `, ${tightest.when}`,
    gap,
    into: amount(Math.abs(lies.clearanceM), 'size', 0),
    band,
    mm: Math.round(lies.clearanceM * 1000),
    fits: [
      ...phrase`${gap} to ${tightest.name} at the tightest, give or take ${band}; ${fixingWords[lies.fixing]}.`,
      ...off,
    ],
  };
}

const card = look(
  'card',
  phrase`Print the outline to scale, cut it from card and hold it in the frame, coming off as well.`,
);

function sayReason(context: PlanContext, pack: Pack, placed: PackPlacement, say: Say): Finding {
  const { reason } = placed;
  const { where, to, when, gap, into, band, mm, fits } = wordsOf(pack, placed);
  const missing = placed.missing ? missingSaid(placed.missing) : [];
  const soFar = phrase`With what is known so far the tightest gap ${where} would be ${gap} to ${to}${when}, give or take ${band}.`;
  const mass = amount(pack.massKg, 'mass');
  switch (reason.kind) {
    case 'collides':
      return say.stop(
        `Too big ${where}`,
        phrase`${capital(where)} it runs into ${to} by ${into}${when}, give or take ${band}.`,
        ...missing,
      );
    case 'insideUnmeasured':
      return say.open(
        reason.all ? 'Inside of the frame not measured' : 'Inside of the frame not all measured',
        soFar,
        ...reason.ask.map(measureIt),
      );
    case 'aroundUnmeasured':
      return say.open('Sizes round it not measured', soFar, ...reason.ask.map(measureIt));
    case 'lineNotTaken':
      return say.open(
        'Line of the main tube not taken',
        phrase`Drawn as such tubes commonly run, the gap ${where} would be ${gap} to ${to}; where this one bends has not been taken.`,
        look('trace', phrase`Take it from a side photo, or by points from the crank centre.`),
        ...reason.ask.map(measureIt),
      );
    case 'tight':
      return say.rework(
        `${mm} mm to ${to}`,
        phrase`The tightest gap ${where} is ${gap} to ${to}${when}, give or take ${band}; ${amount(BATTERY_CLEARANCE_WANTED, 'size')} is wanted, so that nothing saws and fingers get in.`,
        ...missing,
        buy('pack-rail', phrase`Pack the rail up, after trying the outline in card.`, take('rail-packing', 'pack'), {
          work: 40,
        }),
        work('file-foot', phrase`File the rail’s foot, after trying the outline in card.`, 40, {
          tools: ['flat-file'],
        }),
        card,
      );
    case 'withinError':
      return say.open(
        `${mm} mm to ${to}, within the error`,
        phrase`The tightest gap ${where} comes out at ${gap} to ${to}${when}; ${amount(BATTERY_CLEARANCE_WANTED, 'size')} is wanted and the sizes are only good to ${band}${placed.worst ? `, most of it from “${surveyItem(placed.worst).label}”` : ''}.`,
        ...reason.ask.map(measureIt),
        card,
      );
    case 'widthUnmeasured':
      return say.open(
        `Room beside ${reason.beside} not measured`,
        phrase`The pack is ${amount(pack.outline.widthM, 'size')} wide; commonly ${amount(reason.usualM, 'size')} is left there.`,
        measureIt(reason.item),
      );
    case 'hollow':
      return say.rework(
        'A straight rail on a bowed tube',
        phrase`Under the rail the tube falls away by ${amount(reason.hollowM, 'size', 0)}; ${into} to ${to} at the tightest.`,
        work('blocks', phrase`Shape blocks of hard rubber or nylon to the tube, and clamp over them.`, 60, {
          takes: take('rail-blocks', 'pack'),
        }),
      );
    case 'bearing':
      return bearingSaid(context, pack, reason, fits, say);
    case 'onSteering':
      return say.rework(
        'Heavy on the steering',
        phrase`${mass} over the front wheel swings with the bar, and falls with it when parked.`,
        choose('lighter-pack', phrase`A lighter pack.`),
        buy('carrier', phrase`A carrier fixed to the frame.`, take('front-carrier', 'front carrier')),
        choose('other-place', phrase`Another place for it.`),
      );
    case 'onRails':
      return say.rework(
        'Too heavy for saddle rails',
        phrase`${mass} on the saddle’s rails bends them and swings; 2 kg is usual.`,
        choose('other-place', phrase`Another place for it.`),
        buy('bracket', phrase`A bracket to the seat post and tube.`, take('seat-bracket', 'seat')),
      );
    case 'trailed':
      return say.rework(
        'On the trailer: a hitch, two disconnects, a restraint',
        phrase`${mass} behind a hitch: the lead must part before it pulls, at the hitch and at the pack, and the pack must stay if the trailer turns over.`,
        buy(
          'trailer-lead',
          phrase`Two touch-proof plugs that part under pull, a fuse at the pack, two straps.`,
          take('trailer-lead', 'pack'),
          { work: 60 },
        ),
      );
    case 'bracketed':
      return say.fits(`Sits ${where}`, [...phrase`Held by a bracket of flat stock, to be made to measure. `, ...fits]);
    case 'boxed':
      return say.fits('Strapped down in the box', [
        ...phrase`On the floor: strapped, padded and covered from rain. `,
        ...fits,
      ]);
    case 'slung':
      return say.fits('Hangs under the tube', [
        ...phrase`It takes spray and stones there: a guard and an upward plug. `,
        ...fits,
      ]);
    case 'bagged':
      return bagSaid(reason, fits, say);
    case 'onTheBar':
      return say.rework(
        'In a bag on the bar',
        phrase`${mass} swings with the steering and lies high; up to 2.5 kg is ridden so on short ways. It must not press on cables or lamp.`,
        work(
          'bar-strap',
          phrase`Strap the bag’s foot to the head tube so that it does not swing, and lead the cable with slack for full lock.`,
          20,
          {
            takes: take('pack-strap', 'pack'),
          },
        ),
        choose('other-place', phrase`Another place for it.`),
      );
    case 'onTheBack':
      return sayOnTheBack(pack, say);
    case 'noPlace':
    case 'sits':
      return say.fits(`Sits ${where}`, fits);
  }
}

function bagSaid({ item, short }: Extract<PlacementReason, { kind: 'bagged' }>, fits: Phrase, say: Say): Finding {
  if (item !== null && short === null)
    return say.open(
      'The bag not measured inside',
      phrase`A pack in a bag lies where the bag lets it.`,
      measureIt(item),
    );
  if (short !== null)
    return say.stop(
      `Too small inside: its ${short}`,
      phrase`The pack with its foam is more than the bag is inside.`,
      buy('frame-bag', phrase`A larger frame bag, if the frame has room for one.`, take('frame-bag', 'pack')),
      choose('other-place', phrase`Another place for it.`),
    );
  return say.fits('Lies in the frame bag', [...phrase`Padded, its plug upward and a drip hole below. `, ...fits]);
}

const bearers: Record<BearingItem, string> = { rackLimit: 'rack', basketLimit: 'front carrier' };

type Bearing = Extract<PlacementReason, { kind: 'bearing' }>;

function sayBearing(context: PlanContext, pack: Pack, { item, loadKg }: Bearing, say: Say): void {
  say.because(
    surveyed(context, item),
    partData('Pack', amount(pack.massKg, 'mass')),
    ruleFigure('Load on it in all', amount(loadKg, 'mass')),
  );
}

function bearingSaid(context: PlanContext, pack: Pack, reason: Bearing, fits: Phrase, say: Say): Finding {
  const { item, loadKg, state } = reason;
  const name = bearers[item];
  const limit = context.build.donor.survey[item]?.value ?? 0;
  const load = amount(loadKg, 'mass');
  const place = item === 'rackLimit' ? 'rack' : 'front carrier';
  const stronger = take(item === 'rackLimit' ? 'rear-rack' : 'front-carrier', place);
  switch (state) {
    case 'unread':
      return say.open(
        `${capital(name)} limit not known`,
        phrase`The pack weighs ${amount(pack.massKg, 'mass')}; what the ${name} bears is stamped on it and has not been read.`,
        measureIt(item),
        buy(
          'add-one',
          phrase`None there: add one stamped for ${amount(Math.ceil(loadKg / 5) * 5, 'mass', 0)} or more.`,
          stronger,
        ),
      );
    case 'over':
      return say.stop(
        `Over the ${name}’s limit`,
        phrase`Pack and bags come to ${load}; the ${name} bears ${amount(limit, 'mass')}.`,
        buy('stronger', phrase`Fit a stronger one.`, stronger),
        choose('less-on-it', phrase`Carry ${amount(loadKg - limit, 'mass')} less on it.`),
      );
    case 'unproven':
      return say.open(
        `${capital(name)} limit not proven`,
        phrase`${amount(limit, 'mass')} would bear the ${load}; read the stamp.`,
        measureIt(item),
      );
    case 'bears':
      return item === 'rackLimit'
        ? say.fits('Sits on the rack', [
            ...phrase`${load} of pack and bags. It sits high and behind: expect a livelier tail. `,
            ...fits,
          ])
        : say.fits(`Sits ${packPlaceWords.basket}`, fits);
  }
}
