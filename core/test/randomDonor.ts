import { newBuild, type Build } from '../src/build/build.ts';
import type { Survey, SurveyItemId } from '../src/donor/donor.ts';
import type { Entry, Provenance } from '../src/donor/entry.ts';
import type { SurveyItem } from '../src/donor/items/item.ts';
import { vehicleKinds } from '../src/donor/kinds.ts';
import { itemsFor } from '../src/donor/survey.ts';

/** Numbers from a seed, 0 up to 1 (mulberry32): the same donors on every machine. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const TYRES = [
  { beadM: 0.622, widthM: 0.037 },
  { beadM: 0.622, widthM: 0.032 },
  { beadM: 0.584, widthM: 0.054 },
  { beadM: 0.559, widthM: 0.05 },
  { beadM: 0.559, widthM: 0.1 },
  { beadM: 0.507, widthM: 0.047 },
  { beadM: 0.406, widthM: 0.047 },
  { beadM: 0.349, widthM: 0.035 },
];
const COGS = [[28, 24, 21, 18, 16, 14], [19], [20], [34, 30, 26, 23, 20, 17, 15, 13, 11], [42, 36, 32, 28, 24, 21, 18]];
const RINGS = [[42], [38], [46, 34], [48, 38, 28], [52]];

function valueOf(item: SurveyItem, next: () => number): unknown {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)] as T;
  if (item.type === 'choice') return pick(item.options).value;
  if (item.type === 'tyre') return pick(TYRES);
  if (item.type === 'teeth') return pick(item.id === 'ringTeeth' ? RINGS : COGS);
  // Mostly what is common; now and then anything that might be.
  if (item.common.length > 0 && next() < 0.75) return pick(item.common);
  const value = item.low + next() * (item.high - item.low);
  return item.dimension === 'count' ? Math.round(value) : Math.round(value * 1e4) / 1e4;
}

/**
 * A vehicle nobody thought of: any kind, each item of its survey anything plausible, measured, remembered, guessed or not
 * looked at, whatever else was said; so that contradictions are among them.
 */
export function randomDonor(seed: number): Build {
  const next = seeded(seed);
  const build = newBuild(`donor-${seed}`, `Donor ${seed}`, '2026-01-01T00:00:00.000Z');
  build.donor.kind = vehicleKinds[Math.floor(next() * vehicleKinds.length)] ?? 'diamond';
  // Some were walked round with care, some with hardly a look.
  const left = next() < 0.4 ? 0.02 : next() * 0.5;
  const survey = build.donor.survey as Record<string, unknown>;
  const decided = new Set<SurveyItemId>();
  // What was found decides what else is asked.
  for (let pass = 0; pass < 3; pass++)
    for (const item of itemsFor(build.donor)) {
      if (decided.has(item.id)) continue;
      decided.add(item.id);
      if (next() < left) continue;
      const drawn = next();
      const provenance: Provenance =
        drawn < 0.86 ? 'measured' : drawn < 0.92 ? 'recalled' : drawn < 0.96 ? 'assumed' : 'dataSheet';
      survey[item.id] = { value: valueOf(item, next), typed: '', unit: '', provenance, note: '' };
    }
  build.choice.torqueArms = Math.floor(next() * 3);
  build.choice.usesThrottle = next() < 0.4;
  const [rider] = build.brief.riders;
  if (rider) rider.ageYears = next() < 0.2 ? null : 12 + Math.floor(next() * 70);
  return build;
}

/** The same vehicle in other words: items in another order, typed in other units, with notes, from a data sheet. */
export function inOtherWords(build: Build, seed: number): Build {
  const next = seeded(seed);
  const entries = Object.entries(build.donor.survey as Record<string, Entry<unknown>>)
    .map((entry) => ({ entry, at: next() }))
    .sort((a, b) => a.at - b.at)
    .map(({ entry: [id, found] }) => [
      id,
      {
        ...found,
        typed: 'in other words',
        unit: 'in',
        note: 'looked at twice',
        provenance:
          found.provenance === 'measured'
            ? 'dataSheet'
            : found.provenance === 'dataSheet'
              ? 'measured'
              : found.provenance,
      },
    ]);
  return {
    ...build,
    name: 'The same',
    donor: { ...build.donor, description: 'told by somebody else', survey: Object.fromEntries(entries) as Survey },
  };
}
