import type { Material } from '../donor/options.ts';
import type { VehicleKind } from '../donor/kinds.ts';
import { legalClasses } from '../parts/law.ts';
import { beadsByInches, parseTyre } from '../quantity/tyre.ts';

/** What a line of free words says, as far as it is understood; SI. Absent: it says nothing of that. */
export interface Understood {
  kind?: VehicleKind;
  material?: Material;
  /** Bead seat, and the tyre’s width where it is told, m. */
  wheels?: { beadM: number; widthM: number | null };
  rider?: { massKg: number };
  children?: { count: number; massKg: number | null };
  load?: { massKg: number };
  /** One way, m. */
  way?: { lengthM: number };
  /** So many climbs of a grade or height; of the flat, none. */
  hill?: { count: number; grade: number | null; lengthM: number | null; heightM: number | null };
  /** Between two charges, m. */
  range?: { lengthM: number };
  budget?: { amount: number };
  rules?: { classId: string };
}

/** A line read: what it says, and the words of it that nothing was made of. */
export interface WordsRead {
  says: Understood;
  left: string[];
}

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const num = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));

const MASS: Readonly<Record<string, number>> = {
  kg: 1,
  kilo: 1,
  kilos: 1,
  lb: 0.45359237,
  lbs: 0.45359237,
  st: 6.35029318,
  stone: 6.35029318,
};
const MASS_UNIT = String.raw`\s*(kg|kilos?|lbs?|st|stone)\b`;
const WAY_UNIT = String.raw`\s*(km|kilomet(?:re|er)s?|mi|miles?)\b`;
const wayOf = (n: string | undefined, unit: string | undefined): number =>
  num(n) * (unit?.startsWith('mi') ? 1609.344 : 1000);

/** Kinds by the words they go by, the more particular first. */
const KINDS: readonly (readonly [RegExp, VehicleKind])[] = [
  [/\bvelomobile\b/, 'velomobile'],
  [/\btandem[ -]?(?:trike|tricycle)\b/, 'tandemTrike'],
  [/\b(?:box|cargo|load)[ -]?(?:trike|tricycle)\b|\b(?:trike|tricycle) with (?:a |the )?box\b/, 'boxTrike'],
  [/\b(?:tadpole|two wheels (?:in )?front)\b/, 'tadpoleTrike'],
  [/\brecumbent (?:delta|trike (?:with )?two wheels behind)\b|\bdelta recumbent\b/, 'recumbentDelta'],
  [/\brecumbent (?:trike|tricycle)\b|\btrike recumbent\b/, 'tadpoleTrike'],
  [/\b(?:delta|adult|upright|shopping)?[ -]?(?:trike|tricycle)\b/, 'deltaTrike'],
  [/\brecumbent\b/, 'recumbent'],
  [/\btandem\b/, 'tandem'],
  [/\blong[ -]?tail\b/, 'longtail'],
  [/\b(?:box|cargo)[ -]?(?:bike|bicycle)\b/, 'boxBike'],
  [/\bfat[ -]?(?:bike|tyres?|tires?)\b/, 'fat'],
  [/\bfull[ -]?(?:suspension|suss?(?:er|y)?)\b|\bfully\b|\bsprung frame\b/, 'fullSuspension'],
  [/\bfold(?:ing(?: bike)?|er|able)\b/, 'folding'],
  [/\bmixte\b/, 'mixte'],
  [/\bstep[ -]?(?:through|thru)\b|\blow[ -]?step\b|\bladies'? (?:bike|frame)\b|\bwave frame\b/, 'stepThrough'],
  [/\bhome[ -]?(?:built|made|brew)\b|\bself[ -]?built\b/, 'homeBuilt'],
  [
    /\b(?:diamond(?: frame)?|road[ -]?bike|racer|mountain[ -]?bike|mtb|hard[ -]?tail|gravel(?: bike)?|touring bike|trekking bike|city bike|gents'? (?:bike|frame)|men's bike|ten[ -]?speed)\b/,
    'diamond',
  ],
];

const MATERIALS: readonly (readonly [RegExp, Material])[] = [
  [/\b(?:steel|cro-?mo(?:ly)?|chromoly)\b/, 'steel'],
  [/\b(?:alumini?um|alu|alloy)\b/, 'aluminium'],
  [/\b(?:carbon)\b/, 'carbon'],
  [/\b(?:titanium|ti)\b/, 'titanium'],
];

const COUNTS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  several: 3,
  some: 2,
  '': 1,
};
const COUNT_WORD = String.raw`(?:(a|an|one|two|three|four|several|some|\d)\s+)?`;
const countOf = (word: string | undefined): number => COUNTS[word ?? ''] ?? Math.max(1, Math.round(num(word)));

/** Words that say nothing by themselves. */
const FILLERS = new Set(
  'a an and as at back bike bicycle but by can carry charge cost costs cycle day each electric euro euros every for from go going have hill hills i in is it like long make max maximum me motor my need of old on once one or over per please range ride riders ride riding rider so that the there this to turn up want wants way weigh weighing weighs wheel wheels with work'.split(
    ' ',
  ),
);

/** Reads a text and strikes out what it has read. */
class Reader {
  private text: string;
  constructor(text: string) {
    // Numbers in thousands as they are shown and typed.
    this.text = text
      .toLowerCase()
      .replace(/(?<=\d)[\u2009\u00a0\u202f ](?=\d{3}\b)/g, '')
      .replace(/[’′]/g, "'");
  }
  take(pattern: RegExp): RegExpExecArray | null {
    const found = pattern.exec(this.text);
    if (found) this.text = this.text.slice(0, found.index) + ' | ' + this.text.slice(found.index + found[0].length);
    return found;
  }
  get left(): string[] {
    return [...new Set(this.text.match(/[\p{L}\p{N}][\p{L}\p{N}.,'%-]*/gu) ?? [])]
      .map((word) => word.replace(/[.,'-]+$/, ''))
      .filter((word) => word !== '' && !FILLERS.has(word));
  }
}

const re = (source: string): RegExp => new RegExp(source);

function rulesIn(r: Reader): Understood['rules'] {
  const own = r.take(/\b(?:private (?:ground|land|road)|off[ -]road only|own land)\b/);
  if (own) return { classId: 'private' };
  const watts = r.take(/\b(\d{3,4})\s*w(?:atts?)?\b/);
  const speed = r.take(/\b(?:to |up to )?(\d\d)\s*(km\/h|kmh|kph|mph)\b/);
  const named = r.take(/\b(?:pedelec|epac|pedal assist)\b/);
  const throttle = r.take(/\b(?:with (?:a )?)?throttle\b/);
  if (!watts && !speed && !named && !throttle) return undefined;
  const ms = speed ? (num(speed[1]) * (speed[2] === 'mph' ? 1609.344 : 1000)) / 3600 : null;
  const fits = legalClasses.filter(
    (c) =>
      (!watts || c.ratedW === num(watts[1])) &&
      (ms === null || (c.assistMs !== null && Math.abs(c.assistMs - ms) < 0.3)) &&
      (!throttle || c.throttle !== 'none beyond walking help'),
  );
  const [first] = watts || ms !== null || throttle ? fits : legalClasses;
  return first && { classId: first.id };
}

const CURRENCY = String.raw`(?:€|eur(?:os?)?\b|\$|£|dollars?\b|pounds?\b)`;
function budgetIn(r: Reader): Understood['budget'] {
  const found =
    r.take(
      re(
        String.raw`\b(?:up to|under|below|at most|max(?:imum)?(?: of)?|no more than|within|budget(?: of| is)?|costs?(?: at most| up to)?)\s*${CURRENCY}?\s*(\d{2,6})(?![.,]?\d)\s*${CURRENCY}?(?!\s*(?:kg|kilo|km|k\b|mi\b|mile|lb|st\b|%|per|w\b|watt|in\b|"|mm|m\b))`,
      ),
    ) ??
    r.take(re(String.raw`[€$£]\s*(\d{2,6})\b`)) ??
    r.take(re(String.raw`\b(\d{2,6})\s*(?:€|\$|£|euros?\b|eur\b|dollars\b)`));
  return found ? { amount: num(found[1]) } : undefined;
}

const LOADS = 'load|cargo|luggage|shopping|bags?|groceries|panniers?|tools?|freight|parcels?|baggage';
function massesIn(r: Reader): Pick<Understood, 'children' | 'load' | 'rider'> {
  const out: Pick<Understood, 'children' | 'load' | 'rider'> = {};
  const child =
    r.take(
      re(
        String.raw`\b${COUNT_WORD}(?:child(?:ren)?|kids?|toddlers?)(?:\s*(?:of|at|,|weighing)?\s*${NUMBER}${MASS_UNIT})?`,
      ),
    ) ?? null;
  if (child)
    out.children = {
      count: countOf(child[1]),
      massKg: child[2] ? num(child[2]) * (MASS[child[3] ?? 'kg'] ?? 1) : null,
    };
  const load =
    r.take(re(String.raw`${NUMBER}${MASS_UNIT}\s*(?:of\s+)?(?:${LOADS})\b`)) ??
    r.take(re(String.raw`\b(?:${LOADS}|carrying|carries|plus)\s*(?:of\s+|up to\s+)?${NUMBER}${MASS_UNIT}`));
  if (load) out.load = { massKg: num(load[1]) * (MASS[load[2] ?? 'kg'] ?? 1) };
  const rider = r.take(
    re(
      String.raw`(?:\b(?:i am|i'm|i weigh|rider(?: of)?|weigh(?:s|ing)?|me)\s*)?${NUMBER}${MASS_UNIT}(?:\s*(\d+)\s*(?:lbs?)\b)?`,
    ),
  );
  if (rider) out.rider = { massKg: num(rider[1]) * (MASS[rider[2] ?? 'kg'] ?? 1) + num(rider[3] ?? '0') * 0.45359237 };
  return out;
}

/** Steepness of a hill of which only its kind is told. Source: project. */
const STEEP = { hilly: 0.06, steep: 0.12 };
function hillIn(r: Reader): Understood['hill'] {
  const length = String.raw`(?:\s*(?:,|for|over)?\s*${NUMBER}\s*(m|km)\b(?:\s*long)?)?`;
  const graded =
    r.take(
      re(
        String.raw`\b${COUNT_WORD}(?:steep |short |long )?(?:hills?|climbs?|slopes?|ramps?)?\s*(?:of|up to|at|with)?\s*${NUMBER}\s*(?:%|per ?cent\b)(?:\s*(?:hills?|climbs?|slopes?|ramps?))?${length}`,
      ),
    ) ?? null;
  if (graded)
    return {
      count: countOf(graded[1]),
      grade: num(graded[2]) / 100,
      lengthM: graded[3] ? num(graded[3]) * (graded[4] === 'km' ? 1000 : 1) : null,
      heightM: null,
    };
  const oneIn = r.take(/\b(?:hills?|climbs?)?\s*(?:of\s*)?(?:1|one) in (\d+)\b(?:\s*(?:hills?|climbs?))?/);
  if (oneIn) return { count: 1, grade: 1 / num(oneIn[1]), lengthM: null, heightM: null };
  const high = r.take(
    re(
      String.raw`\b(?:climbs? of |climbing |up )?${NUMBER}\s*m\s*(?:of )?(?:climb(?:ing)?|up(?:hill)?|high|height|ascent)\b`,
    ),
  );
  if (high) return { count: 1, grade: null, lengthM: null, heightM: num(high[1]) };
  if (r.take(/\b(?:flat|level|no hills?)\b(?: (?:road|country|town))?/))
    return { count: 0, grade: null, lengthM: null, heightM: null };
  if (r.take(/\b(?:steep(?: hills?)?|very hilly|mountain(?:s|ous))\b/))
    return { count: 1, grade: STEEP.steep, lengthM: null, heightM: null };
  if (r.take(/\b(?:hilly|(?:some |many )?hills|rolling)\b/))
    return { count: 2, grade: STEEP.hilly, lengthM: null, heightM: null };
  return undefined;
}

function waysIn(r: Reader): Pick<Understood, 'way' | 'range'> {
  const out: Pick<Understood, 'way' | 'range'> = {};
  const one = r.take(
    re(
      String.raw`${NUMBER}${WAY_UNIT}\s*(?:each way|one way|there(?! and)|a way|to (?:work|school|town|the \w+)|uphill)`,
    ),
  );
  if (one) out.way = { lengthM: wayOf(one[1], one[2]) };
  const both = r.take(
    re(String.raw`${NUMBER}${WAY_UNIT}\s*(?:there and back|(?:round|return) trip|return|both ways|in all)`),
  );
  if (both) {
    const lengthM = wayOf(both[1], both[2]);
    out.range = { lengthM };
    out.way ??= { lengthM: lengthM / 2 };
  }
  const range =
    r.take(re(String.raw`\b(?:range(?: of)?|between charges)\s*${NUMBER}${WAY_UNIT}`)) ??
    r.take(
      re(
        String.raw`${NUMBER}${WAY_UNIT}(?:\s*(?:of )?(?:range|a day|per day|daily|a charge|per charge|between charges))?`,
      ),
    );
  if (range) out.range = { lengthM: wayOf(range[1], range[2]) };
  return out;
}

function wheelsIn(r: Reader): Understood['wheels'] {
  const etrto = r.take(/\b\d{2,3}\s?-\s?\d{3}\b/) ?? r.take(/\b\d{2}(?:\.\d+)?\s*x\s*\d(?:\.\d+)?(?:\s*(?:"|in\b))?/);
  const read = etrto && parseTyre(etrto[0]);
  if (read?.ok) return read.value;
  const inches =
    r.take(/\b(\d{2}(?:\.5)?)\s*(?:-?\s?inch(?:es)?\b|in(?:\b|(?=,))|"|″|”|''|er\b)(?:\s*wheels?)?/) ??
    r.take(/\b(\d{2}(?:\.5)?)\s*wheels\b/);
  const bead = inches
    ? beadsByInches[String(num(inches[1]))]
    : r.take(/\b700\s*c\b/)
      ? 622
      : r.take(/\b650\s*b\b/)
        ? 584
        : undefined;
  return bead === undefined ? undefined : { beadM: bead / 1000, widthM: null };
}

const first = <T>(r: Reader, list: readonly (readonly [RegExp, T])[]): T | undefined =>
  list.find(([pattern]) => r.take(pattern))?.[1];

/**
 * Reads a line such as “steel mixte 28in, 82 kg, 12 km each way, one hill of 10 %, up to 900”. What it does not say is
 * absent; what it says and is not understood is left over by its words. Never throws.
 */
export function readWords(text: string): WordsRead {
  const r = new Reader(text);
  const kind = first(r, KINDS);
  const material = first(r, MATERIALS);
  const wheels = wheelsIn(r);
  const rules = rulesIn(r);
  const hill = hillIn(r);
  const ways = waysIn(r);
  const masses = massesIn(r);
  const budget = budgetIn(r);
  const says = { kind, material, wheels, rules, hill, ...ways, ...masses, budget };
  return {
    says: Object.fromEntries(Object.entries(says).filter(([, value]) => value !== undefined)) as Understood,
    left: r.left,
  };
}
