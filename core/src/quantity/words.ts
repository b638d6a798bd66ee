import { inManner, isBare, isPlain } from './reader.ts';
import { displayUnits, type Dimension, type UnitSystem } from './units.ts';

/** Units of the metric system as texts of the trade write them: what each measures, and how many SI units it is. */
const WRITTEN: Readonly<Record<string, readonly [dimension: Dimension, si: number]>> = {
  mm: ['size', 0.001],
  cm: ['size', 0.01],
  m: ['height', 1],
  km: ['way', 1000],
  kg: ['mass', 1],
  'km/h': ['speed', 1 / 3.6],
  'm/s': ['speed', 1],
  '°C': ['temperature', 1],
  'N·m': ['torque', 1],
  'Wh/km': ['energyPerWay', 1 / 1000],
};

/** Units no display of its own stands for: what they become, and how many of that one is. */
const OTHERS: Readonly<Record<string, readonly [sign: string, times: number]>> = {
  'm/s²': ['ft/s²', 1 / 0.3048],
  bar: ['psi', 14.503774],
  g: ['oz', 1 / 28.349523],
};

const NUMBER = String.raw`[−-]?\d[\d\u202f]*(?:\.\d+)?`;
const SIGNS = [...Object.keys(WRITTEN), ...Object.keys(OTHERS)].toSorted((a, b) => b.length - a.length);
/** One number or several in a row, with the unit they share: "14 to 26 mm", "340 × 92 mm", "622, 584 mm". */
const MEASURED = new RegExp(
  String.raw`(?<![\w.,])(${NUMBER}(?:(?: to | and | or | by | × |–|, )${NUMBER})*)([ \u00a0])(${SIGNS.join('|')})(?![\p{L}\p{N}²³/·])`,
  'gu',
);
/** What a text has at least that tells a measure. */
const MAYBE = /\d[ \u00a0](?:[ck]?m|kg|°C|N·m|Wh|bar|g)/;

/** Digits that say something: 150 has two, 0.10 two, 22.2 three. */
function significant(written: string): number {
  const digits = written.replace(/[^\d.]/g, '').replace(/^0*\.?0*/, '');
  return (digits.includes('.') || written.includes('.') ? digits : digits.replace(/0+$/, '')).replace('.', '').length;
}

/** A number as it was written, told as exactly in another unit. */
function told(value: number, written: string): string {
  if (value === 0) return '0';
  const places = Math.max(2, significant(written)) - 1 - Math.floor(Math.log10(Math.abs(value)));
  const shown =
    places >= 0 ? value.toFixed(Math.min(places, 4)) : String(Math.round(value / 10 ** -places) * 10 ** -places);
  return shown.replace('-', '−');
}

/**
 * A text of the trade in a reader's units and manner of writing: what it measures in metric units is told in theirs, as
 * exactly as it was written. Texts are written in metric units, and this stands where they are shown, so that none has to think of it.
 */
export function wordsIn(text: string, system: UnitSystem): string {
  return inManner(inUnits(text, system));
}

function inUnits(text: string, system: UnitSystem): string {
  if (system === 'metric' || !MAYBE.test(text)) return text;
  return text.replace(MEASURED, (_, numbers: string, space: string, sign: string) => {
    const unitOf = WRITTEN[sign];
    const other = OTHERS[sign];
    const unit = unitOf && displayUnits[unitOf[0]][system];
    const shown = numbers.replace(new RegExp(NUMBER, 'gu'), (written) => {
      const value = Number(written.replace('−', '-').replace(/\u202f/g, ''));
      if (other) return told(value * other[1], written);
      if (!unitOf || !unit) return written;
      const there = (value * unitOf[1]) / unit.si - (unit.offset ?? 0);
      return unitOf[0] === 'temperature' ? String(Math.round(there)).replace('-', '−') : told(there, written);
    });
    return `${shown}${space}${unit?.sign ?? other?.[0] ?? sign}`;
  });
}

/** What data came to, by system: a plan made anew shares most of its objects with the one before. */
const known: Record<UnitSystem, WeakMap<object, unknown>> = { metric: new WeakMap(), imperial: new WeakMap() };

/** Plain data with every text in it but names in a reader's units; the same data, object by object, where nothing changes. */
export function textsIn<T>(data: T, system: UnitSystem): T {
  return system === 'metric' && isPlain() ? data : (walked(data, system) as T);
}

function walked(data: unknown, system: UnitSystem): unknown {
  if (typeof data === 'string') return isBare(data) ? data : wordsIn(data, system);
  if (typeof data !== 'object' || data === null) return data;
  const before = known[system].get(data);
  if (before !== undefined) return before;
  const made = Array.isArray(data) ? walkedRow(data, system) : walkedObject(data, system);
  known[system].set(data, made);
  return made;
}

function walkedRow(row: readonly unknown[], system: UnitSystem): readonly unknown[] {
  const made = row.map((value) => walked(value, system));
  return made.some((value, i) => value !== row[i]) ? made : row;
}

function walkedObject(data: object, system: UnitSystem): object {
  if (Object.getPrototypeOf(data) !== Object.prototype) return data;
  let made: Record<string, unknown> | null = null;
  for (const [key, value] of Object.entries(data)) {
    // A name is what it is called: a part by its seller, a road by whoever rides it.
    const there = key === 'name' ? value : walked(value, system);
    if (there !== value) (made ??= { ...data })[key] = there;
  }
  return made ?? data;
}
