import { isObject, type Loose } from './loose.ts';

/** Kinds of vehicle that were ridden upright by themselves, as they still are. */
const UPRIGHT = new Set([
  'diamond',
  'mixte',
  'stepThrough',
  'folding',
  'fullSuspension',
  'fat',
  'longtail',
  'boxBike',
  'homeBuilt',
]);

/**
 * Version 13 → 14: the posture follows the kind of vehicle unless somebody said otherwise; where what was written is what
 * the kind has by itself, nobody did. “Seat or passenger limit” is parted: it stays what the saddle bears, and where
 * others ride along the same figure stands for their places too, from memory, to be looked at.
 */
export function fromVersion13({ brief, donor, ...build }: Loose): Loose {
  const kind = isObject(donor) ? donor.kind : undefined;
  const upright = isObject(brief) && brief.posture === 'upright' && UPRIGHT.has(String(kind));
  const others: unknown[] = isObject(brief) && Array.isArray(brief.aboard) ? brief.aboard : [];
  const along = others.some((a) => isObject(a) && (a.seat === 'box' || a.seat === 'second'));
  return {
    ...build,
    version: 14,
    ...(brief === undefined ? {} : { brief: upright ? { ...brief, posture: null } : brief }),
    ...(donor === undefined ? {} : { donor: along && isObject(donor) ? withLimit(donor) : donor }),
  };
}

/** The limit that was read for the seat stands for passengers' places too, from memory. */
function withLimit(donor: Loose): Loose {
  const survey = isObject(donor.survey) ? donor.survey : {};
  const limit = survey.seatLimit;
  if (!isObject(limit)) return donor;
  const passengerLimit = { ...limit, provenance: 'recalled', note: 'Read as one limit of seat or passenger.' };
  return { ...donor, survey: { ...survey, passengerLimit } };
}
