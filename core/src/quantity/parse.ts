import { displayUnits, typedUnits, unitFamily, type Dimension, type UnitSystem } from './units.ts';

/** What typed text comes to: an SI number with the unit it was typed in, or what is wrong, in words. */
export type Parsed<T> = { ok: true; value: T; unit: string } | { ok: false; message: string };

const numberPattern = /^(?:(\d+)\s+(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+)|(\d+(?:[.,]\d+)?|[.,]\d+))/;
/** The space between thousands, as it is shown or typed; the space of “1 1/8” is none. */
const THOUSANDS = /(?<=^[-+]?\d{1,3}(?:[ \u2009\u00a0\u202f]\d{3})*)[ \u2009\u00a0\u202f](?=\d{3}(?!\d|\s*\/))/g;
/** Unit that a bare number after this one is in: 5 ft 2 → inches, 8 st 4 → pounds, 1 m 62 → cm. */
const lesserUnit: Record<string, [string, number]> = {
  ft: ['in', 0.0254],
  foot: ['in', 0.0254],
  feet: ['in', 0.0254],
  "'": ['in', 0.0254],
  '′': ['in', 0.0254],
  '’': ['in', 0.0254],
  st: ['lb', 0.45359237],
  stone: ['lb', 0.45359237],
  lb: ['oz', 0.45359237 / 16],
  m: ['cm', 0.01],
};

const examples: Partial<Record<Dimension, string>> = {
  size: '135 mm or 5 5/16 in',
  stature: '162 cm or 5ft 4',
  way: '24 km or 15 mi',
  height: '120 m or 400 ft',
  mass: '68 kg or 150 lb',
  speed: '22 km/h or 14 mph',
  temperature: '8 °C or 46 °F',
  grade: '9 % or 1 in 11',
};

/**
 * Reads what a person types: "5ft 2", "26 lb", "1 1/8 in", "12,5". Units of either system are
 * taken; a bare number is in the shown system's unit. Negative only for grades, temperatures and
 * volts: a meter whose probes are crossed shows a minus.
 */
export function parseQuantity(text: string, dimension: Dimension, system: UnitSystem): Parsed<number> {
  const read = quantityIn(text, dimension, system);
  return read.ok && !Number.isFinite(read.value)
    ? { ok: false, message: `“${text.trim().slice(0, 30)}” is past any size there is.` }
    : read;
}

function quantityIn(text: string, dimension: Dimension, system: UnitSystem): Parsed<number> {
  const example = examples[dimension];
  const hint = example === undefined ? '' : `, such as ${example}`;
  let rest = text
    .trim()
    .toLowerCase()
    .replace(/\u2212/g, '-')
    .replace(THOUSANDS, '');
  if (rest === '') return { ok: false, message: `Type a number${hint}.` };

  let sign = 1;
  if (/^[-+]/.test(rest)) {
    sign = rest.startsWith('-') ? -1 : 1;
    rest = rest.slice(1).trimStart();
    if (sign < 0 && dimension !== 'grade' && dimension !== 'temperature' && dimension !== 'voltage') {
      return { ok: false, message: `This cannot be below zero; type a number${hint}.` };
    }
  }
  if (dimension === 'grade') {
    const slope = /^1\s*(?:in|:)\s*(\d+(?:[.,]\d+)?)$/.exec(rest);
    if (slope) return { ok: true, value: sign / Number((slope[1] as string).replace(',', '.')), unit: '1 in' };
  }

  // “3 a km”, “3 per km” and “3/km” are one: what counts is the way.
  if (dimension === 'perWay') rest = rest.replace(/(?:\/|\bper\b|\ba\b)\s*(km|mi|mile)$/, ' $1');

  const family = unitFamily[dimension];
  const units = typedUnits[family ?? 'plain'] ?? {};
  const home = displayUnits[dimension][system];
  let total = 0;
  let firstUnit: string | undefined;
  let lesser: [string, number] | undefined;
  let any = false;
  while (rest !== '') {
    const match = numberPattern.exec(rest);
    if (!match) {
      return {
        ok: false,
        message: any
          ? `“${rest}” was left over; type a number and a unit${hint}.`
          : `“${text.trim()}” is not a number; type one${hint}.`,
      };
    }
    const value = numberFrom(match);
    if (!Number.isFinite(value)) return { ok: false, message: 'A fraction cannot be over zero.' };
    rest = rest.slice(match[0].length).trimStart();
    const unit = /^(?:[a-zµω°%‰#][a-zω/·-]*|["'″”′’]+)/.exec(rest)?.[0];
    if (unit === undefined) {
      if (any) {
        if (lesser === undefined) return { ok: false, message: `Two numbers with no unit between; type one${hint}.` };
        total += value * lesser[1];
      } else if (family === 'temperature') {
        total = (value * sign + (home.offset ?? 0)) * home.si;
        return rest === ''
          ? { ok: true, value: total, unit: home.sign }
          : { ok: false, message: `“${rest}” was left over.` };
      } else if (/^[\d.,]/.test(rest)) {
        return { ok: false, message: `Two numbers with no unit between; type one${hint}.` };
      } else {
        total += value * home.si;
        firstUnit = home.sign;
      }
      any = true;
      if (rest !== '' && lesser !== undefined) lesser = undefined;
      continue;
    }
    const factor = units[unit];
    if (factor === undefined) return { ok: false, message: wrongUnit(unit, hint) };
    rest = rest.slice(unit.length).trimStart();
    if (family === 'temperature') {
      const offset = unit.includes('f') ? -32 : 0;
      return rest === ''
        ? { ok: true, value: (value * sign + offset) * factor, unit }
        : { ok: false, message: `“${rest}” was left over.` };
    }
    total += value * factor;
    firstUnit ??= unit;
    lesser = lesserUnit[unit];
    any = true;
  }
  return { ok: true, value: total * sign, unit: firstUnit ?? home.sign };
}

function numberFrom(match: RegExpExecArray): number {
  const [, whole, top, under, alone, below, plain] = match;
  if (whole !== undefined) return Number(whole) + Number(top) / Number(under);
  if (alone !== undefined) return Number(alone) / Number(below);
  return Number((plain as string).replace(',', '.'));
}

function wrongUnit(unit: string, hint: string): string {
  for (const [family, units] of Object.entries(typedUnits)) {
    if (unit in units) return `${unit} is a unit of ${family}; this wants another${hint}.`;
  }
  return `“${unit}” is not a unit known here; type a number and a unit${hint}.`;
}

/** Reads a list of teeth: "11-13-15-18", "32, 22" or "42/32/22"; whole numbers from 6 to 80. */
export function parseTeeth(text: string): Parsed<number[]> {
  const parts = text
    .trim()
    .split(/[^\d.]+/)
    .filter((part) => part !== '');
  if (parts.length === 0) return { ok: false, message: 'Type the teeth, such as 14-16-18-21-24-28.' };
  const teeth = parts.map(Number);
  const odd = teeth.find((n) => !Number.isInteger(n) || n < 6 || n > 80);
  if (odd !== undefined) return { ok: false, message: `${odd} teeth is not likely; count again (6 to 80).` };
  return { ok: true, value: teeth, unit: 'teeth' };
}
