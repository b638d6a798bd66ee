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
export function fromVersion13(build: Loose): Loose {
  const donor = isObject(build.donor) ? build.donor : {};
  const survey = isObject(donor.survey) ? donor.survey : {};
  const brief = isObject(build.brief) ? build.brief : {};
  const aboard: unknown[] = Array.isArray(brief.aboard) ? brief.aboard : [];
  const along = aboard.some((a) => isObject(a) && (a.seat === 'box' || a.seat === 'second'));
  const limit = survey.seatLimit;
  const ridden = brief.posture === 'upright' && UPRIGHT.has(String(donor.kind)) ? null : brief.posture;
  return {
    ...build,
    version: 14,
    brief: brief.posture === undefined ? brief : { ...brief, posture: ridden },
    donor: {
      ...donor,
      survey:
        along && isObject(limit)
          ? {
              ...survey,
              passengerLimit: { ...limit, provenance: 'recalled', note: 'Read as one limit of seat or passenger.' },
            }
          : survey,
    },
  };
}
