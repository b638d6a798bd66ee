import { BATTERY_CLEARANCE_WANTED } from '../../constants.ts';
import { isProven } from '../../donor/entry.ts';
import type { SurveyItemId } from '../../donor/donor.ts';
import type { Point } from '../../donor/geometry.ts';
import { surveyItem } from '../../donor/survey.ts';
import { frameRoom, whatIsMissing, type ClearanceError, type FrameRoom, type Missing } from '../../layout/frameRoom.ts';
import { packShape, type LoadShape } from '../../layout/packShape.ts';
import { fixingWords, outlineOf, placementAt, placementsOn, type Fixing, type Placement } from '../../layout/place.ts';
import type { Mount } from '../../layout/room.ts';
import { packPlaceWords, tubePlaces, type Kit, type Pack, type PackPlace } from '../../parts/part.ts';
import type { PackMass } from '../../safety/axleLoads.ts';
import { amount, phrase, type Phrase } from '../../quantity/format.ts';
import type { Evidence, Finding, Remedy, Verdict } from '../finding.ts';
import { measureIt, partData, ruleFigure, surveyed, type FitContext, type PackRule } from '../rule.ts';

const RULE = 'pack-place';
const SOURCE =
  'Outline at rest and along its whole way off the rail, against tubes, shock, tyre and rider; 5 mm wanted all round; errors of the tape carried along, two standard errors.';

/** Where a pack would sit, how it does there, and its outline on the drawing. */
export interface PackPlacement {
  place: PackPlace;
  finding: Finding;
  /** Smallest gap, m; null where there is no such place. */
  clearanceM: number | null;
  /** Two standard errors of it, m. */
  bandM: number;
  outline: Point[];
  slidOff: Point[] | null;
  /** How it lies; null where there is no such place. */
  lies: Placement | null;
  /** Other good ways in the same place. */
  others: Placement[];
  missing: Missing | null;
}

const kept = new WeakMap<FrameRoom, Map<Pack, Map<string, PackPlacement[]>>>();

/** The pack in each place it is made for, best first. */
export function packPlacements(context: FitContext, pack: Pack, kit: Kit | null = context.kit): PackPlacement[] {
  const room = frameRoom(context.build, context.geometry, kit);
  const { brief, schools, choice } = context.build;
  // All that the answer hangs on besides room and pack; both of those are never changed in place.
  const key = JSON.stringify([
    brief.cargoKg,
    brief.panniers,
    brief.trailer,
    brief.purpose,
    schools.battery,
    choice.packPlace,
    choice.packSpot,
    choice.packId === pack.id,
    context.detail === true,
  ]);
  let packs = kept.get(room);
  if (!packs) kept.set(room, (packs = new Map()));
  let byKey = packs.get(pack);
  if (!byKey) packs.set(pack, (byKey = new Map()));
  let made = byKey.get(key);
  if (!made) byKey.set(key, (made = placeEverywhere(context, room, pack)));
  return made;
}

const verdictRank: Record<Verdict, number> = { fits: 0, measure: 1, rework: 2, stop: 3 };
/** Low and central first; what turns with the bar or hangs behind, last. */
const placeOrder: readonly PackPlace[] = [
  'downTube',
  'seatTube',
  'topTube',
  'box',
  'seatBack',
  'behindSeatTube',
  'rack',
  'underSeat',
  'underDownTube',
  'basket',
  'trailer',
];

function placeEverywhere(context: FitContext, room: FrameRoom, pack: Pack): PackPlacement[] {
  const rackFirst = context.build.schools.battery === 'rack';
  const { packId, packPlace } = context.build.choice;
  const order = (p: PackPlacement): number => (rackFirst && p.place === 'rack' ? -1 : placeOrder.indexOf(p.place));
  return pack.places
    .map((place) => placeIn(context, room, pack, place))
    .sort(
      (a, b) =>
        verdictRank[a.finding.verdict] - verdictRank[b.finding.verdict] ||
        Number(a.lies === null) - Number(b.lies === null) ||
        order(a) - order(b),
    )
    .map((p, i) =>
      context.detail === true && (i === 0 || (packId === pack.id && packPlace === p.place))
        ? withMissing(room, pack, p)
        : p,
    );
}

/** A placement that does not go, with what is missing to the millimetre among its remedies. */
function withMissing(room: FrameRoom, pack: Pack, p: PackPlacement): PackPlacement {
  const { lies, finding } = p;
  const mount = room.room.mounts.find((m) => m.place === p.place);
  if (!lies || !mount || lies.clearanceM >= BATTERY_CLEARANCE_WANTED || finding.verdict === 'measure') return p;
  const missing = whatIsMissing(room.room, mount, packShape(pack), lies.fixing);
  return { ...p, missing, finding: { ...finding, remedies: [...missingSaid(missing), ...finding.remedies] } };
}

/** The placement the build asks for, or the best one. */
export function chosenPlacement(context: FitContext, pack: Pack, kit: Kit | null = context.kit): PackPlacement {
  const placements = packPlacements(context, pack, kit);
  const { packId, packPlace } = context.build.choice;
  const wanted = packId === pack.id ? placements.find((p) => p.place === packPlace) : undefined;
  const best = wanted ?? placements[0];
  if (!best) throw new RangeError(`pack ${pack.id} names no place`);
  return best;
}

/** Battery outline with its slide-off travel in the place chosen, or in its best. */
export const packPlace: PackRule = {
  id: RULE,
  words: 'Room for the pack',
  group: 'pack',
  fitCritical: true,
  uses: [
    'seatSide',
    'topSide',
    'downSide',
    'headSide',
    'headDiagonal',
    'seatDiagonal',
    'seatDownAngle',
    'seatTopAngle',
    'seatOutside',
    'topOutside',
    'downOutside',
    'topTubeDiameter',
    'tubeSag',
    'seatTubeLength',
    'bossDown',
    'bossSeat',
    'rearTravel',
    'crankWidth',
    'kneeWidth',
    'frontCarrier',
    'rackLimit',
    'basketLimit',
  ],
  judge: (context, pack, kit) => chosenPlacement(context, pack, kit).finding,
};

const FRAME_SIDES = ['seatSide', 'topSide', 'downSide', 'headSide'] as const satisfies readonly SurveyItemId[];
/** Places with a floor of their own, where what bears it decides. */
const ON_DECKS: readonly PackPlace[] = ['rack', 'basket', 'box', 'trailer'];
const IN_FRAME: readonly PackPlace[] = ['downTube', 'seatTube', 'topTube'];
/** No tape well read is off by so much, m. */
const SURE_OF = 0.014;

type Said = Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>;

const upper = (words: string): string => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;

function placeIn(context: FitContext, room: FrameRoom, pack: Pack, place: PackPlace): PackPlacement {
  const shape = packShape(pack);
  const evidence: Evidence[] = [
    partData(
      'Pack with rail',
      `${Math.round(shape.lengthM * 1000)} × ${Math.round(shape.heightM * 1000)} mm, ${Math.round(shape.widthM * 1000)} wide`,
    ),
    ...(pack.slideOffM > 0 ? [partData('Way off its rail', amount(pack.slideOffM, 'size'))] : []),
  ];
  const make = (said: Said): Finding => ({ rule: RULE, area: 'pack', evidence, source: SOURCE, ...said });
  const mount = room.room.mounts.find((m) => m.place === place);
  if (!mount) {
    const { bracket } = context.geometry;
    const aside = { x: bracket.x, y: bracket.y + 0.05 };
    return {
      place,
      clearanceM: null,
      bandM: 0,
      lies: null,
      others: [],
      missing: null,
      outline: shape.outline.map((q) => ({ x: aside.x + q.y, y: aside.y + q.x })),
      slidOff: null,
      finding: make(noSuchPlace(place, room.enclosed)),
    };
  }
  const { chosen, others } = choose(context, room, mount, shape, pack);
  // A gap that no reading error could close or open needs no error worked out, unless somebody will read it.
  const { survey, inside } = context.build.donor;
  const proven = inside !== null || FRAME_SIDES.every((id) => isProven(survey[id]));
  const framed = room.enclosed && IN_FRAME.includes(place);
  const plain = chosen.clearanceM - BATTERY_CLEARANCE_WANTED;
  const error =
    context.detail !== true && (framed ? proven && Math.abs(plain) > SURE_OF : plain > SURE_OF)
      ? { bandM: SURE_OF / 2, worst: null, open: [] }
      : room.errorsOf(mount, shape, chosen);
  const where = packPlaceWords[place];
  evidence.push(
    ruleFigure(`Tightest gap, to ${chosen.tightest.name}`, amount(chosen.clearanceM, 'size', 0)),
    ruleFigure('Gap wanted', amount(BATTERY_CLEARANCE_WANTED, 'size')),
    ruleFigure('Give or take', amount(error.bandM, 'size', 1)),
    ...(error.worst ? [surveyed(context, error.worst)] : []),
  );
  const said =
    gapSaid(context, room, mount, pack, chosen, error) ??
    loadSaid(context, pack, place, evidence, fitsWhy(pack, chosen, error), where);
  return {
    place,
    clearanceM: chosen.clearanceM,
    bandM: error.bandM,
    lies: chosen,
    others,
    missing: null,
    outline: outlineOf(shape, chosen),
    slidOff: shape.leaving && pack.slideOffM > 0 ? outlineOf(shape, chosen, 1) : null,
    finding: make(said),
  };
}

/** The way a pack lies: as put by hand, else on its bosses where that has room enough, else however it has most. */
function choose(
  context: FitContext,
  room: FrameRoom,
  mount: Mount,
  shape: LoadShape,
  pack: Pack,
): { chosen: Placement; others: Placement[] } {
  const all = placementsOn(room.room, mount, shape);
  const { choice } = context.build;
  const spot = choice.packId === pack.id && choice.packPlace === mount.place ? choice.packSpot : null;
  const roomy = (fixing: Fixing): Placement | undefined =>
    all.find((p) => p.fixing === fixing && p.clearanceM >= BATTERY_CLEARANCE_WANTED);
  const best = roomy('bosses') ?? all[0];
  const chosen = spot ? placementAt(room.room, mount, shape, spot) : best;
  if (!chosen) {
    // Rail holes meet no bosses and nothing else holds it: shown clamped, and said so.
    return { chosen: placementAt(room.room, mount, shape, { alongM: 0, turned: false, fixing: 'clamps' }), others: [] };
  }
  return { chosen, others: all.filter((p) => p !== chosen && p.clearanceM > 0) };
}

function noSuchPlace(place: PackPlace, enclosed: boolean): Said {
  const why: Partial<Record<PackPlace, Phrase>> = {
    topTube: phrase`This frame has no enclosed triangle, so nothing hangs under an upper tube.`,
    basket: phrase`No carrier in front has been found on this vehicle.`,
    box: phrase`This pack would stand in a box, and the donor has none.`,
    trailer: phrase`The brief has no trailer.`,
    seatBack: phrase`A saddle has no back to carry it.`,
  };
  return {
    verdict: place === 'basket' || place === 'trailer' ? 'measure' : 'stop',
    title: `No place ${packPlaceWords[place].replace(/^(on|in|under|behind) the /, 'at a ')}`,
    why: why[place] ?? phrase`This vehicle has no tube of that kind for it to lie along.`,
    remedies: [
      {
        text: enclosed
          ? phrase`Choose a pack for the frame or the rack.`
          : phrase`Choose a pack for the rear rack, the seat tube or a box.`,
      },
    ],
  };
}

function fitsWhy(pack: Pack, p: Placement, error: ClearanceError): Phrase {
  const gap = amount(p.clearanceM, 'size', 0);
  const band = amount(error.bandM, 'size', 0);
  const off =
    pack.slideOffM > 0 && pack.leaves !== 'sideways'
      ? phrase` It comes ${amount(pack.slideOffM, 'size')} off its rail with room.`
      : [];
  return [
    ...phrase`${gap} to ${p.tightest.name} at the tightest, give or take ${band}; ${fixingWords[p.fixing]}.`,
    ...off,
  ];
}

/** What the gap says, where it does not simply fit. */
function gapSaid(
  context: FitContext,
  room: FrameRoom,
  mount: Mount,
  pack: Pack,
  p: Placement,
  error: ClearanceError,
): Said | null {
  const { survey } = context.build.donor;
  const where = packPlaceWords[mount.place];
  const gap = amount(Math.abs(p.clearanceM), 'size', 0);
  const band = amount(error.bandM, 'size', 0);
  const when = p.tightest.when === 'at rest' ? '' : `, ${p.tightest.when}`;
  const framed = room.enclosed && IN_FRAME.includes(mount.place);
  const sides = FRAME_SIDES;
  const anyStated = context.build.donor.inside !== null || sides.some((id) => survey[id] !== undefined);
  const nothingKnown = framed ? !anyStated : false;
  const ask = (): Remedy[] =>
    (error.open.length > 0 ? error.open.slice(0, 3) : error.worst ? [error.worst] : []).map(measureIt);
  const card: Remedy = {
    text: phrase`Print the outline to scale, cut it from card and hold it in the frame, coming off as well.`,
  };
  if (p.clearanceM + error.bandM < 0 && !nothingKnown)
    return {
      verdict: 'stop',
      title: `Too big ${where}`,
      why: phrase`${upper(where)} it runs into ${p.tightest.name} by ${gap}${when}, give or take ${band}.`,
      remedies: [],
    };
  if (framed && (nothingKnown || error.open.length > 0))
    return {
      verdict: 'measure',
      title: nothingKnown ? 'Inside of the frame not measured' : 'Inside of the frame not all measured',
      why: phrase`With what is known so far the tightest gap ${where} would be ${amount(p.clearanceM, 'size', 0)} to ${p.tightest.name}${when}, give or take ${band}.`,
      remedies: nothingKnown ? sides.filter((id) => !isProven(survey[id])).map(measureIt) : ask(),
    };
  const unsized = (['seatTubeLength', 'wheelbase', 'seatHeight'] as const).every((id) => !isProven(survey[id]));
  if (!framed && !ON_DECKS.includes(mount.place) && (unsized || error.open.length > 0))
    return {
      verdict: 'measure',
      title: 'Sizes round it not measured',
      why: phrase`With what is known so far the tightest gap ${where} would be ${amount(p.clearanceM, 'size', 0)} to ${p.tightest.name}${when}, give or take ${band}.`,
      remedies:
        error.open.length > 0
          ? ask()
          : [measureIt(context.geometry.seat ? 'seatHeight' : 'seatTubeLength'), measureIt('wheelbase')],
    };
  if (mount.place === 'downTube' && !room.enclosed && !lineKnown(context))
    return {
      verdict: 'measure',
      title: 'Line of the main tube not taken',
      why: phrase`Drawn as such tubes commonly run, the gap ${where} would be ${amount(p.clearanceM, 'size', 0)} to ${p.tightest.name}; where this one bends has not been taken.`,
      remedies: [
        { text: phrase`Take it from a side photo, or by points from the crank centre.` },
        ...(survey.downTubeShape ? [] : [measureIt('downTubeShape')]),
        ...(survey.downTubeShape?.value === 'curved' && !survey.tubeSag ? [measureIt('tubeSag')] : []),
      ],
    };
  if (p.clearanceM + error.bandM < BATTERY_CLEARANCE_WANTED)
    return {
      verdict: 'rework',
      title: `${Math.round(p.clearanceM * 1000)} mm to ${p.tightest.name}`,
      why: phrase`The tightest gap ${where} is ${amount(p.clearanceM, 'size', 0)} to ${p.tightest.name}${when}, give or take ${band}; ${amount(BATTERY_CLEARANCE_WANTED, 'size')} is wanted, so that nothing saws and fingers get in.`,
      remedies: [{ text: phrase`Pack the rail or file its foot, after trying the outline in card.`, cost: 12 }, card],
    };
  if (p.clearanceM - error.bandM < BATTERY_CLEARANCE_WANTED)
    return {
      verdict: 'measure',
      title: `${Math.round(p.clearanceM * 1000)} mm to ${p.tightest.name}, within the error`,
      why: phrase`The tightest gap ${where} comes out at ${amount(p.clearanceM, 'size', 0)} to ${p.tightest.name}${when}; ${amount(BATTERY_CLEARANCE_WANTED, 'size')} is wanted and the sizes are only good to ${band}${error.worst ? `, most of it from “${surveyItem(error.worst).label}”` : ''}.`,
      remedies: [...ask(), card],
    };
  const wide = widthGuess(room, mount, pack);
  if (wide) return wide;
  if (p.pose.hollowM > 0.004)
    return {
      verdict: 'rework',
      title: 'A straight rail on a bowed tube',
      why: phrase`Under the rail the tube falls away by ${amount(p.pose.hollowM, 'size', 0)}; ${gap} to ${p.tightest.name} at the tightest.`,
      remedies: [
        {
          text: phrase`Shape blocks of hard rubber or nylon to the tube, and clamp over them.`,
          cost: 14,
          minutes: 60,
          part: 'rail blocks',
        },
      ],
    };
  return null;
}

function lineKnown(context: FitContext): boolean {
  const { survey, mainTubePath, freeFrame, kind } = context.build.donor;
  if (mainTubePath) return true;
  if (kind === 'folding' || kind === 'boxBike') return isProven(survey.wheelbase) && isProven(survey.seatTubeLength);
  if (kind === 'homeBuilt') return (freeFrame?.tubes.length ?? 0) > 0;
  if (survey.downTubeShape?.value === 'straight') return isProven(survey.downTubeShape);
  return isProven(survey.downTubeShape) && isProven(survey.tubeSag);
}

/** A pack that only clears cranks or knees because they were never measured. */
function widthGuess(room: FrameRoom, mount: Mount, pack: Pack): Said | null {
  if (!tubePlaces.includes(mount.place)) return null;
  const open = room.room.obstacles.filter(
    (o) =>
      o.widthItem !== undefined &&
      pack.outline.widthM > (o.beyondWidthM ?? 0) - 0.03 &&
      pack.outline.widthM <= (o.beyondWidthM ?? 0),
  );
  const item = open[0]?.widthItem;
  if (!item) return null;
  return {
    verdict: 'measure',
    title: `Room beside ${open[0]?.name ?? ''} not measured`,
    why: phrase`The pack is ${amount(pack.outline.widthM, 'size')} wide; commonly ${amount(open[0]?.beyondWidthM ?? 0, 'size')} is left there.`,
    remedies: [measureIt(item)],
  };
}

function missingSaid(m: Missing): Remedy[] {
  return [
    ...m.without.map((name): Remedy => ({ text: phrase`It would go with ${name} taken off.`, minutes: 10 })),
    ...(m.clamped
      ? [
          {
            text: phrase`It would go clamped round the tube instead of bolted to the bosses.`,
            cost: 14,
            part: 'tube clamps',
          },
        ]
      : []),
    ...(m.shorterM !== null
      ? [{ text: phrase`${amount(m.shorterM, 'size', 0)} too long: a pack that much shorter would go.` }]
      : []),
    ...(m.flatterM !== null ? [{ text: phrase`A pack ${amount(m.flatterM, 'size', 0)} flatter would go.` }] : []),
    ...(m.shorterM === null && m.flatterM === null && m.without.length === 0 && !m.clamped
      ? [{ text: phrase`No pack of this form goes there; choose another place for it.` }]
      : []),
  ];
}

/** What bears the pack, once there is room for it. */
function loadSaid(
  context: FitContext,
  pack: Pack,
  place: PackPlace,
  evidence: Evidence[],
  why: Phrase,
  where: string,
): Said {
  const fits: Said = { verdict: 'fits', title: `Sits ${where}`, why, remedies: [] };
  const { brief } = context.build;
  if (place === 'rack') {
    const load = pack.massKg + (brief.panniers ? brief.cargoKg : 0);
    return bearing(context, 'rackLimit', 'rack', load, pack, evidence, {
      ...fits,
      title: 'Sits on the rack',
      why: [
        ...phrase`${amount(load, 'mass')} of pack and bags. It sits high and behind: expect a livelier tail. `,
        ...why,
      ],
    });
  }
  if (place === 'basket') {
    if (pack.massKg > 3.5)
      return {
        verdict: 'rework',
        title: 'Heavy on the steering',
        why: phrase`${amount(pack.massKg, 'mass')} over the front wheel swings with the bar, and falls with it when parked.`,
        remedies: [{ text: phrase`A lighter pack, a carrier fixed to the frame, or another place.`, cost: 45 }],
      };
    return bearing(context, 'basketLimit', 'front carrier', pack.massKg, pack, evidence, fits);
  }
  if (place === 'underSeat' && !context.geometry.seat && pack.massKg > 2)
    return {
      verdict: 'rework',
      title: 'Too heavy for saddle rails',
      why: phrase`${amount(pack.massKg, 'mass')} on the saddle’s rails bends them and swings; 2 kg is usual.`,
      remedies: [{ text: phrase`Another place, or a bracket to the seat post and tube.`, cost: 20 }],
    };
  if (place === 'seatBack' || (place === 'underSeat' && context.geometry.seat))
    return {
      ...fits,
      why: [...phrase`Held by a bracket of flat stock, to be made to measure. `, ...why],
    };
  if (place === 'box')
    return {
      ...fits,
      title: 'Strapped down in the box',
      why: [...phrase`On the floor: strapped, padded and covered from rain. `, ...why],
    };
  if (place === 'trailer')
    return {
      verdict: 'rework',
      title: 'On the trailer: a hitch, two disconnects, a restraint',
      why: phrase`${amount(pack.massKg, 'mass')} behind a hitch: the lead must part before it pulls, at the hitch and at the pack, and the pack must stay if the trailer turns over.`,
      remedies: [
        {
          text: phrase`Two touch-proof plugs that part under pull, a fuse at the pack, two straps.`,
          cost: 36,
          minutes: 60,
          part: 'trailer lead with disconnects',
        },
      ],
    };
  if (place === 'underDownTube')
    return {
      ...fits,
      title: 'Hangs under the tube',
      why: [...phrase`It takes spray and stones there: a guard and an upward plug. `, ...why],
    };
  return fits;
}

function bearing(
  context: FitContext,
  item: 'rackLimit' | 'basketLimit',
  name: string,
  load: number,
  pack: Pack,
  evidence: Evidence[],
  fits: Said,
): Said {
  const limit = context.build.donor.survey[item];
  evidence.unshift(
    surveyed(context, item),
    partData('Pack', amount(pack.massKg, 'mass')),
    ruleFigure('Load on it in all', amount(load, 'mass')),
  );
  if (!limit)
    return {
      verdict: 'measure',
      title: `${upper(name)} limit not known`,
      why: phrase`The pack weighs ${amount(pack.massKg, 'mass')}; what the ${name} bears is stamped on it and has not been read.`,
      remedies: [
        measureIt(item),
        {
          text: phrase`None there: add one stamped for ${amount(Math.ceil(load / 5) * 5, 'mass', 0)} or more.`,
          cost: 38,
        },
      ],
    };
  if (load > limit.value)
    return {
      verdict: 'stop',
      title: `Over the ${name}’s limit`,
      why: phrase`Pack and bags come to ${amount(load, 'mass')}; the ${name} bears ${amount(limit.value, 'mass')}.`,
      remedies: [
        { text: phrase`Fit a stronger one, or carry ${amount(load - limit.value, 'mass')} less on it.`, cost: 38 },
      ],
    };
  if (!isProven(limit))
    return {
      verdict: 'measure',
      title: `${upper(name)} limit not proven`,
      why: phrase`${amount(limit.value, 'mass')} would bear the ${amount(load, 'mass')}; read the stamp.`,
      remedies: [measureIt(item)],
    };
  return fits;
}

/** Mass of a pack where none is chosen yet, kg: a common one. Source: project. */
const COMMON_PACK_KG = 3;

/** The chosen pack's mass with the middle of where it lies; a common one's where none is chosen. */
export function packMass(context: FitContext): PackMass {
  const { pack } = context;
  if (!pack) return { kg: COMMON_PACK_KG, at: null };
  // Where a motor hangs does not move the pack by more than a hand; the same place serves for all kits.
  const { outline } = chosenPlacement(context, pack, null);
  return { kg: pack.massKg, at: middleOf(outline) };
}

/** Middle of an outline's corners, m. */
export function middleOf(outline: readonly Point[]): Point {
  return {
    x: outline.reduce((sum, p) => sum + p.x, 0) / outline.length,
    y: outline.reduce((sum, p) => sum + p.y, 0) / outline.length,
  };
}
