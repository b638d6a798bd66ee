import { BATTERY_CLEARANCE_WANTED, TAPE_TOLERANCE } from '../../constants.ts';
import { hasBox } from '../../donor/kinds.ts';
import { isProven } from '../../donor/entry.ts';
import { placeInTriangle } from '../../layout/packInTriangle.ts';
import type { Point } from '../../donor/geometry.ts';
import { packPlaceWords, type Pack, type PackPlace } from '../../parts/part.ts';
import { amount, phrase } from '../../quantity/format.ts';
import { worstFirst, type Evidence, type Finding } from '../finding.ts';
import { measureIt, partData, ruleFigure, surveyed, type FitContext, type PackRule } from '../rule.ts';

const RULE = 'pack-place';
const SOURCE = 'Static outline plus slide-off travel, 5 mm wanted all round, tape good to ±3 mm a side.';

/** Where a pack would sit, how it does there, and its outline on the drawing. */
export interface PackPlacement {
  place: PackPlace;
  finding: Finding;
  /** Smallest gap, m; null where no gap decides. */
  clearanceM: number | null;
  outline: Point[];
  slidOff: Point[] | null;
}

/** The pack in each place it is made for, best first. */
export function packPlacements(context: FitContext, pack: Pack): PackPlacement[] {
  const all = pack.places.map((place) =>
    place === 'rack' ? onRack(context, pack) : place === 'box' ? inBox(context, pack) : inFrame(context, pack, place),
  );
  return worstFirst(all.map((p) => ({ ...p, verdict: p.finding.verdict })))
    .reverse()
    .map(({ place, finding, clearanceM, outline, slidOff }) => ({ place, finding, clearanceM, outline, slidOff }))
    .sort((a, b) => (a.finding.verdict === b.finding.verdict ? (b.clearanceM ?? 0) - (a.clearanceM ?? 0) : 0));
}

/** The placement the build asks for, or the best one. */
export function chosenPlacement(context: FitContext, pack: Pack): PackPlacement {
  const placements = packPlacements(context, pack);
  const wanted = placements.find((p) => p.place === context.build.choice.packPlace);
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
  uses: ['seatSide', 'topSide', 'downSide', 'seatTubeLength', 'rackLimit'],
  judge: (context, pack) => chosenPlacement(context, pack).finding,
};

const make = (evidence: Evidence[], rest: Pick<Finding, 'verdict' | 'title' | 'why' | 'remedies'>): Finding => ({
  rule: RULE,
  area: 'pack',
  evidence,
  source: SOURCE,
  ...rest,
});

function inFrame(context: FitContext, pack: Pack, place: 'downTube' | 'seatTube'): PackPlacement {
  const { triangle, bracket } = context.geometry;
  const { lengthM, heightM } = pack.outline;
  const size = [
    partData('Pack with rail', `${Math.round(lengthM * 1000)} × ${Math.round(heightM * 1000)} mm`),
    partData('Slide-off travel', amount(pack.slideOffM, 'size')),
  ];
  if (!triangle) {
    const aside = { x: bracket.x, y: bracket.y + 0.05 };
    return {
      place,
      clearanceM: null,
      outline: [
        aside,
        { x: aside.x + heightM, y: aside.y },
        { x: aside.x + heightM, y: aside.y + lengthM },
        { x: aside.x, y: aside.y + lengthM },
      ],
      slidOff: null,
      finding: make(size, {
        verdict: 'stop',
        title: 'No triangle to hold it',
        why: phrase`This frame has one low tube and no enclosed triangle; a pack of ${amount(lengthM, 'size')} has no tube to lie along.`,
        remedies: [{ text: phrase`Choose a pack for the rear rack or for a box.` }],
      }),
    };
  }
  const fit = placeInTriangle(triangle, place, lengthM, heightM, pack.slideOffM);
  const evidence: Evidence[] = [
    surveyed(context, 'seatSide'),
    surveyed(context, 'topSide'),
    surveyed(context, 'downSide'),
    ...size,
    ruleFigure(`Tightest gap, to the ${fit.tightest}`, amount(fit.clearanceM, 'size', 0)),
    ruleFigure('Gap wanted', amount(BATTERY_CLEARANCE_WANTED, 'size')),
    ruleFigure('The tape is good to ±', amount(TAPE_TOLERANCE, 'size')),
  ];
  const where = packPlaceWords[place];
  const gap = amount(Math.abs(fit.clearanceM), 'size', 0);
  const sides = ['seatSide', 'topSide', 'downSide'] as const;
  const { survey } = context.build.donor;
  const proven = sides.every((id) => isProven(survey[id]));
  const anyStated = sides.some((id) => survey[id] !== undefined);
  const sliding = fit.whenSliding ? ', when it is slid off its rail' : '';
  let finding: Finding;
  if (fit.clearanceM < -TAPE_TOLERANCE && anyStated) {
    finding = make(evidence, {
      verdict: 'stop',
      title: `Too big ${where}`,
      why: phrase`${where[0]?.toUpperCase() ?? ''}${where.slice(1)} it runs into the ${fit.tightest} by ${gap}${sliding}.`,
      remedies: [{ text: phrase`Choose a shorter or flatter pack, or another place for it.` }],
    });
  } else if (!proven) {
    finding = make(evidence, {
      verdict: 'measure',
      title: 'Inside of the frame not measured',
      why: phrase`The pack lies ${amount(lengthM, 'size')} long and ${amount(heightM, 'size')} high; with common sizes the gap would be ${amount(fit.clearanceM, 'size', 0)}, but the three inside lengths decide it.`,
      remedies: sides.filter((id) => !isProven(survey[id])).map(measureIt),
    });
  } else if (fit.clearanceM < BATTERY_CLEARANCE_WANTED - TAPE_TOLERANCE) {
    finding = make(evidence, {
      verdict: 'rework',
      title: `${Math.round(fit.clearanceM * 1000)} mm to the ${fit.tightest}`,
      why: phrase`The tightest gap ${where} is ${amount(fit.clearanceM, 'size', 0)} to the ${fit.tightest}${sliding}; ${amount(BATTERY_CLEARANCE_WANTED, 'size')} is wanted, so that nothing saws and fingers get in.`,
      remedies: [{ text: phrase`Move the lower rail boss, file the rail’s foot, or choose a flatter pack.`, cost: 12 }],
    });
  } else if (fit.clearanceM < BATTERY_CLEARANCE_WANTED + TAPE_TOLERANCE) {
    finding = make(evidence, {
      verdict: 'measure',
      title: `${Math.round(fit.clearanceM * 1000)} mm to the ${fit.tightest}, within the tape’s error`,
      why: phrase`The tightest gap ${where} comes out at ${gap} to the ${fit.tightest}${sliding}; ${amount(BATTERY_CLEARANCE_WANTED, 'size')} is wanted and the tape is only good to ${amount(TAPE_TOLERANCE, 'size')}.`,
      remedies: [
        {
          text: phrase`Cut the outline, ${amount(lengthM, 'size')} by ${amount(heightM, 'size')}, from card and hold it in the frame, slid off as well.`,
        },
      ],
    });
  } else {
    finding = make(evidence, {
      verdict: 'fits',
      title: `Sits ${where}`,
      why: phrase`${gap} to the ${fit.tightest} at the tightest, and it slides ${amount(pack.slideOffM, 'size')} off its rail.`,
      remedies: [],
    });
  }
  return { place, finding, clearanceM: fit.clearanceM, outline: fit.outline, slidOff: fit.slidOff };
}

function standing(from: Point, lengthM: number, heightM: number): Point[] {
  return [
    from,
    { x: from.x + lengthM, y: from.y },
    { x: from.x + lengthM, y: from.y + heightM },
    { x: from.x, y: from.y + heightM },
  ];
}

function onRack(context: FitContext, pack: Pack): PackPlacement {
  const { rackDeck } = context.geometry;
  const { lengthM, heightM } = pack.outline;
  const limit = context.build.donor.survey.rackLimit;
  const evidence: Evidence[] = [
    surveyed(context, 'rackLimit'),
    partData('Pack', amount(pack.massKg, 'mass')),
    ruleFigure('Other load behind', amount(context.build.brief.panniers ? context.build.brief.cargoKg : 0, 'mass')),
  ];
  const load = pack.massKg + (context.build.brief.panniers ? context.build.brief.cargoKg : 0);
  let finding: Finding;
  if (!limit) {
    finding = make(evidence, {
      verdict: 'measure',
      title: 'Rack limit not known',
      why: phrase`The pack weighs ${amount(pack.massKg, 'mass')}; what the rack bears is stamped on it and has not been read.`,
      remedies: [
        measureIt('rackLimit'),
        { text: phrase`No rack: add one stamped for ${amount(Math.ceil(load / 5) * 5, 'mass', 0)} or more.`, cost: 38 },
      ],
    });
  } else if (load > limit.value) {
    finding = make(evidence, {
      verdict: 'stop',
      title: 'Over the rack’s limit',
      why: phrase`Pack and bags come to ${amount(load, 'mass')}; the rack bears ${amount(limit.value, 'mass')}.`,
      remedies: [
        { text: phrase`Fit a stronger rack, or carry ${amount(load - limit.value, 'mass')} less on it.`, cost: 38 },
      ],
    });
  } else if (!isProven(limit)) {
    finding = make(evidence, {
      verdict: 'measure',
      title: 'Rack limit not proven',
      why: phrase`${amount(limit.value, 'mass')} would bear the ${amount(load, 'mass')}; read the stamp.`,
      remedies: [measureIt('rackLimit')],
    });
  } else {
    finding = make(evidence, {
      verdict: 'fits',
      title: 'Sits on the rack',
      why: phrase`${amount(load, 'mass')} on a rack for ${amount(limit.value, 'mass')}. It sits high and behind: expect a livelier tail.`,
      remedies: [],
    });
  }
  return {
    place: 'rack',
    finding,
    clearanceM: null,
    outline: standing({ x: rackDeck.from.x + 0.02, y: rackDeck.from.y + 0.008 }, lengthM, heightM),
    slidOff: null,
  };
}

function inBox(context: FitContext, pack: Pack): PackPlacement {
  const { box } = context.geometry;
  const { lengthM, heightM } = pack.outline;
  const evidence: Evidence[] = [partData('Pack', `${Math.round(lengthM * 1000)} × ${Math.round(heightM * 1000)} mm`)];
  const floor = box?.[1] ?? { x: 0, y: 0.4 };
  const finding = hasBox(context.build.donor.kind)
    ? make(evidence, {
        verdict: 'fits',
        title: 'Strapped down in the box',
        why: phrase`${amount(lengthM, 'size')} by ${amount(heightM, 'size')} on the floor of the box: strapped, padded and covered from rain.`,
        remedies: [],
      })
    : make(evidence, {
        verdict: 'stop',
        title: 'No box on this vehicle',
        why: phrase`This pack is made to stand in a box, and the donor has none.`,
        remedies: [{ text: phrase`Choose a pack for the frame or the rack.` }],
      });
  return {
    place: 'box',
    finding,
    clearanceM: null,
    outline: standing({ x: floor.x + 0.03, y: floor.y + 0.012 }, lengthM, heightM),
    slidOff: null,
  };
}
