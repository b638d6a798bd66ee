import {
  conditionsSchema,
  legalClasses,
  newBuild,
  starterShelf,
  usualLine,
  usualRider,
  usualTrailer,
  type Build,
} from '@sprocket/core';
import type { buildActions } from '../src/store/buildSlice.ts';

const AT = '2026-05-02T10:00';
const DAY = '2026-05-02';
const REASON = 'a reason of some words';
const plain = newBuild('plain', 'Plain', '2026-01-01T00:00:00.000Z');
const [ring] = starterShelf.ring;
const [law] = legalClasses;
const step = { id: 'axle', place: 'rear wheel', part: null, undoes: null, told: 30 };
const changed = (id: string) => ({
  id,
  step: 'axle',
  at: AT,
  by: 'Ada',
  reason: REASON,
  changes: [{ path: 'choice.torqueArms', was: 1, is: 2 }],
  leftOut: false,
  what: '',
});
const ridden = {
  at: [0, 0, 0, 0],
  cov: [0, 1, 2, 3].map((i) => [0, 1, 2, 3].map((j) => (i === j ? 0.01 : 0))),
  count: 3,
  last: AT,
  packId: null,
};
const road = {
  id: 'r',
  name: 'Road',
  source: 'described',
  points: [0, 500, 1000].map((distanceM) => ({ distanceM, elevationM: 10 })),
  surface: 'asphalt',
  stopsPerKm: 1,
  rawClimbM: 0,
  notes: [],
  stretches: [],
  reversed: false,
};

/** What each reducer is sent, as a screen would send it: `n` tells one from the next, `words` is a text of a person's. */
export const edits: Record<
  Exclude<keyof typeof buildActions, 'opened' | 'merged' | 'decided'>,
  (n: number, words: string) => unknown
> = {
  renamed: (_, words) => ({ name: words }),
  started: (n, words) => ({
    brief: { ...plain.brief, cargoKg: n % 40 },
    donor: plain.donor,
    start: { words, said: { load: 'words' } },
  }),
  briefEdited: (n) => ({ cargoKg: n % 60, cruiseMs: 4 + (n % 5) }),
  routeChosen: (n, words) => (n % 5 === 0 ? null : { ...road, name: words }),
  routeEdited: (n) => ({ stopsPerKm: n % 8, reversed: n % 2 === 0 }),
  riderEdited: (n, words) => ({ index: 0, change: { name: words, massKg: 50 + (n % 60) } }),
  riderAdded: (_, words) => ({ ...usualRider(), name: words }),
  riderRemoved: (n) => n % 3,
  riderSeated: (n) => ({ rider: n % 3, seat: (['main', 'second', null] as const)[n % 3], pedals: true }),
  trailerEdited: (n) => ({ ...usualTrailer(), loadKg: n % 40 }),
  kindChosen: (n) => (['diamond', 'mixte', 'longtail'] as const)[n % 3],
  described: (_, words) => words,
  surveyed: (n, words) => ({
    id: 'wheelbase',
    entry: n % 4 === 0 ? null : { value: 1 + (n % 9) / 100, typed: '', unit: 'm', provenance: 'measured', note: words },
  }),
  conditionMarked: (_, words) => ({ item: 'rust', entry: { grade: 'sound', note: words } }),
  assumptionsDropped: () => undefined,
  assumed: () => ({
    rearDropoutSpacing: { value: 0.135, typed: '135 mm', unit: 'mm', provenance: 'assumed', note: '' },
  }),
  worthEdited: () => ({}),
  freeFrameDrawn: () => null,
  insideTaken: () => plain.donor.inside,
  mainTubeDrawn: () => null,
  obstructionsNoted: () => [],
  weighed: (n, words) => ({
    changes: Array.from({ length: 57 + (n % 5) }, (_, i) => ({ label: `${words} ${i}`, kg: 1 })),
  }),
  chose: (n) => ({ torqueArms: n % 3, usesThrottle: n % 2 === 0 }),
  choiceTaken: (n, words) => ({
    choice: { ...plain.choice, torqueArms: n % 3 },
    keptChoices: [{ id: 'kept-0', note: words.slice(0, 120), proposed: n % 2 === 0, choice: plain.choice }],
  }),
  choiceKept: (n, words) => ({
    id: `kept-${n % 4}`,
    note: words.slice(0, 120),
    proposed: false,
    choice: { ...plain.choice, torqueArms: n % 3 },
  }),
  choiceNoted: (n, words) => ({ id: `kept-${n % 4}`, note: words.slice(0, 120) }),
  choiceDropped: (n) => `kept-${n % 4}`,
  arrivalMeasured: (n) => ({ part: 'kit', change: { axleFlatsM: n % 3 === 0 ? undefined : 0.0098 } }),
  otherAdded: (n, words) => ({
    kit: 'kit',
    other: { id: `o${n}`, what: `${words} x`, where: 'bar', stands: 'open', how: '' },
  }),
  otherJudged: (n, words) => ({ kit: 'kit', id: `o${n - 1}`, change: { stands: 'moves', how: words } }),
  otherStruck: (n) => ({ kit: 'kit', id: `o${n - 3}` }),
  nothingElseSaid: (n) => ({ kit: 'kit', nothingElse: n % 2 === 0 }),
  ownPartKept: (n, words) => ({ ...ring, id: `own-${n % 4}`, name: words }),
  schoolChosen: (n) => ({ carbon: n % 2 === 0 ? 'refuse' : 'midOnly' }),
  overridden: (n, words) => ({ rule: `r${n}`, subject: 'plan', reason: `${REASON} ${words}`, on: DAY }),
  overrideClosed: (n) => ({ rule: `r${n - 2}`, subject: 'plan' }),
  lawKept: (n, words) => ({ ...law, id: `own-${n % 3}`, name: words }),
  lawDropped: (n) => `own-${n % 3}`,
  remedyTaken: (n) => ({ rule: `f${n}`, subject: 'plan', remedy: 'a', on: DAY }),
  remedyLeft: (n) => ({ rule: `f${n - 2}`, subject: 'plan' }),
  daySet: (n) => ({ charge: (n % 10) / 10 }),
  resultKept: (n, words) => ({
    id: `res-${n}`,
    test: 'front-brake',
    at: AT,
    by: 'Ada',
    conditions: conditionsSchema.parse({}),
    readings: {},
    saw: 'holds',
    note: words,
    witness: null,
  }),
  resultTakenBack: (n) => `res-${n - 3}`,
  notTriedSaid: (n, words) => ({
    test: 'rear-brake',
    as: n % 3 === 0 ? null : { id: 'rear-brake', reason: `${REASON} ${words}`, at: AT, by: '', witness: null },
  }),
  wentPastSaid: (n, words) => ({
    result: `res-${n}`,
    as: {
      id: `res-${n}`,
      test: 'hill-hold',
      reason: `${REASON} ${words}`,
      at: AT,
      by: '',
      witness: { by: 'B', at: AT },
    },
  }),
  searchKept: (n, words) => ({
    id: `s-${n}`,
    at: AT,
    by: words,
    symptom: 'dead',
    from: null,
    answers: [],
    ended: null,
  }),
  searchForgotten: (n) => `s-${n - 2}`,
  repairKept: (n, words) => ({
    id: `rep-${n}`,
    repair: 'tape',
    words,
    how: '',
    place: 'rear wheel',
    minutes: 20,
    takes: [],
    search: null,
    at: AT,
  }),
  repairForgotten: (n) => `rep-${n - 2}`,
  // Twenty at most: a few edits from two sides reach it.
  coastKept: (_, words) => ({
    id: words,
    at: AT,
    way: 'there',
    grade: null,
    points: [
      { timeS: 0, speedMs: 8 },
      { timeS: 4, speedMs: 6 },
    ],
  }),
  coastForgotten: (n) => `word-${n - 7}-`,
  tunedTo: (n) => ({ massKg: n % 3 === 0 ? null : { by: n % 20, from: { test: 'weigh', at: AT } } }),
  entriesKept: (n, words) => [
    { kind: 'note', id: `note-${n}`, at: AT, by: '', note: words },
    {
      kind: 'charge',
      id: `charge-${n}`,
      at: AT,
      by: '',
      note: '',
      wallWh: 100,
      from: null,
      to: null,
      minutes: null,
      temperatureC: null,
    },
  ],
  entryForgotten: (n) => `charge-${n - 1}`,
  // As a table of so many columns gives them.
  mappingKept: (n, words) => ({
    heads: `heads ${n}`,
    columns: Array.from({ length: 55 + (n % 9) }, (_, i) => ({ head: `${words} ${i}`, of: '', unit: '' })),
  }),
  reviewSaid: (_, words) => ({ at: AT, by: '', again: null, answers: { hills: words }, ratings: {} }),
  handoverSaid: (_, words) => ({ owner: words }),
  // Every so often a row short, as an older tuning left it.
  riddenTo: (n) =>
    n % 4 === 0 ? { ...ridden, cov: ridden.cov.slice(1) } : n % 7 === 0 ? null : { ...ridden, count: n },
  byRidesSet: (n) => n % 2 === 0,
  leadEdited: (n) => ({ lead: 'loom', change: { stringM: 1 + (n % 9) / 10 } }),
  boxPut: (n) => ({ box: 'controller', at: n % 3 === 0 ? null : { xM: 0.4, yM: 0.5 } }),
  controlChosen: () => ({ display: 'slate-5' }),
  leverEdited: (n) => ({ side: 'left', change: { restM: (n % 5) / 1000 } }),
  sensorsEdited: (n) => ({ cadenceGapM: (n % 4) / 1000 }),
  barOrdered: () => ({ right: ['lever', 'throttle'] }),
  powerEdited: () => ({ precharge: 'precharge-22' }),
  packsJoined: () => plain.wiring.packs,
  settingPut: (n) => ({ batteryAmps: n % 5 === 0 ? undefined : 5 + (n % 20) }),
  phasesTried: () => [{ phases: 'ABC', halls: 'ABC', saw: 'growls' }],
  checkRead: (n) => ({ check: 'pack', reading: n % 3 === 0 ? null : { volts: 36 + (n % 5), on: DAY } }),
  lineEdited: (n, words) => ({ key: 'grease', change: { note: words, count: 1 + (n % 4) } }),
  linesEdited: (n) => [{ key: `line-${n % 5}`, change: { ...usualLine, state: 'ordered' } }],
  lineCleared: (n) => `line-${n % 5}`,
  billEdited: (n) => ({ chance: 0.5 + (n % 4) / 10, island: n % 2 === 0 }),
  supplierKept: (n, words) => ({
    id: `sup-${n}`,
    name: words,
    shipping: 5,
    freeFrom: null,
    lithium: true,
    islands: null,
  }),
  supplierDropped: (n) => `sup-${n - 9}`,
  offersBrought: (n, words) => ({
    suppliers: [{ id: `brought-${n}`, name: words, shipping: 5, freeFrom: 0, lithium: false, islands: null }],
    offers: [
      {
        supplier: `brought-${n}`,
        part: 'grease',
        price: 4,
        stock: 3,
        leadDays: { low: 1, likely: 2, high: 5 },
        returnDays: 14,
      },
    ],
  }),
  benchEdited: (n) => ({
    weekly: Array.from({ length: 39 + (n % 6) }, (_, i) => ({
      day: i % 7,
      from: '08:00',
      to: `09:${String(n % 60).padStart(2, '0')}`,
    })),
  }),
  stepMarked: (n, words) => ({
    step,
    as: n % 4 === 0 ? null : { at: AT, by: 'Ada', note: words, minutes: n % 60 },
    lines: [],
  }),
  readingTaken: (n) => ({
    step,
    reading: { id: 'across', what: 'Axle across its flats', path: 'arrivals.kit.axleFlatsM' },
    value: n / 1000,
    at: AT,
    by: 'Ada',
  }),
  builtOtherwise: (n) => changed(`o-${n}`),
  otherwiseTakenBack: (n) => `o-${n - 1}`,
  builtEdited: (_, words) => ({ builder: words }),
};

export type EditName = keyof typeof edits;
export const editNames = Object.keys(edits) as EditName[];

/** A build near the limits of its rows, as years of use leave it: a few edits from two sides go past them. */
export const nearLimits = (id: string): Build => ({
  ...newBuild(id, 'Alder', '2026-01-01T00:00:00.000Z'),
  bench: {
    ...plain.bench,
    away: Array.from({ length: 398 }, (_, i) => new Date(Date.UTC(2026, 0, 1 + i)).toISOString().slice(0, 10)),
  },
  proving: {
    ...plain.proving,
    coasts: Array.from({ length: 18 }, (_, i) => ({
      id: `old-${i}`,
      at: AT,
      way: 'there' as const,
      grade: null,
      points: [
        { timeS: 0, speedMs: 8 },
        { timeS: 4, speedMs: 6 },
      ],
    })),
  },
  bill: {
    ...plain.bill,
    suppliers: Array.from({ length: 11 }, (_, i) => ({
      id: `old-${i}`,
      name: `Old ${i}`,
      shipping: 5,
      freeFrom: null,
      lithium: true,
      islands: null,
    })),
  },
});
