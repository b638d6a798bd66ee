import { TYRE_HEIGHT_PER_WIDTH } from '../constants.ts';
import type { Parsed } from './parse.ts';

/** A tyre by ETRTO: bead seat diameter and width, m. */
export interface TyreSize {
  beadM: number;
  widthM: number;
}

/**
 * Bead seats by the names on sidewalls, mm. Decimal inch names and fraction names of the same
 * number are different wheels. Source: ISO 5775 and the trade's own tables.
 */
const metricNames: Record<string, number> = { '700': 622, '650a': 590, '650b': 584, '650c': 571, '650': 584 };
export const beadsByInches: Readonly<Record<string, number>> = {
  '29': 622,
  '28': 622,
  '27.5': 584,
  '27': 630,
  '26': 559,
  '24': 507,
  '20': 406,
  '18': 355,
  '16': 305,
  '14': 254,
  '12': 203,
};
const fractionInchNames: Record<string, [number, number][]> = {
  // fraction width in inches → bead, mm
  '28': [
    [1.5, 635],
    [1.625, 622],
    [1.75, 622],
    [1.375, 622],
  ],
  '27': [
    [1.125, 630],
    [1.25, 630],
    [1.375, 630],
  ],
  '26': [
    [1, 571],
    [1.25, 597],
    [1.375, 590],
    [1.5, 584],
    [1.75, 571],
  ],
  '24': [
    [1.125, 540],
    [1.25, 547],
    [1.375, 540],
  ],
  '20': [
    [1.125, 451],
    [1.25, 451],
    [1.375, 451],
    [1.75, 419],
  ],
  '16': [
    [1.375, 349],
    [1.25, 349],
  ],
};

const example = 'such as 37-622, 700 x 35, 27.5 x 2.1 or 26 x 1 3/8';

/** Reads a tyre's sidewall: ETRTO "37-622", French "700 x 35C", inches "27.5 x 2.1" or "26 x 1 3/8". */
export function parseTyre(text: string): Parsed<TyreSize> {
  const clean = text
    .trim()
    .toLowerCase()
    .replace(/[×*]/g, 'x')
    .replace(/″|”|"|\bin\b|inch(es)?/g, '')
    .trim();
  const etrto = /^(\d{2,3}(?:\.\d)?)\s*[-–/]\s*(\d{3})$/.exec(clean);
  if (etrto) return checked(Number(etrto[2]), Number(etrto[1]), text);

  const french = /^(7\d\d|6\d\d)\s*([abc])?\s*x?\s*(\d{2,3})\s*([abc])?$/.exec(clean);
  if (french) {
    const name = french[1] as string;
    const letter = french[2] ?? french[4] ?? '';
    const bead = metricNames[name + letter] ?? metricNames[name];
    return bead === undefined ? unknown(text) : checked(bead, Number(french[3]), text);
  }
  const inches = /^(\d{2}(?:\.\d+)?)\s*x\s*(\d+(?:\.\d+)?|\d+\s+\d+\/\d+|\d+-\d+\/\d+)(?:\s*x\s*[\d\s/-]+)?$/.exec(
    clean,
  );
  if (!inches) return unknown(text);
  const name = String(Number(inches[1]));
  const widthText = (inches[2] as string).trim();
  const fraction = /^(\d+)[\s-]+(\d+)\/(\d+)$/.exec(widthText);
  if (fraction || widthText === '1') {
    const width = fraction ? Number(fraction[1]) + Number(fraction[2]) / Number(fraction[3]) : 1;
    const bead = (fractionInchNames[name] ?? []).find(([w]) => Math.abs(w - width) < 0.01)?.[1];
    return bead === undefined ? unknown(text) : checked(bead, width * 25.4, text);
  }
  const bead = beadsByInches[name];
  return bead === undefined ? unknown(text) : checked(bead, Number(widthText) * 25.4, text);
}

function unknown(text: string): Parsed<TyreSize> {
  return { ok: false, message: `“${text.trim()}” is not a tyre size known here; read the sidewall, ${example}.` };
}

function checked(beadMm: number, widthMm: number, text: string): Parsed<TyreSize> {
  if (beadMm < 130 || beadMm > 700 || widthMm < 18 || widthMm > 130) return unknown(text);
  return { ok: true, value: { beadM: beadMm / 1000, widthM: Math.round(widthMm * 10) / 10000 }, unit: 'ETRTO' };
}

/** ETRTO name, "37-622". */
export function tyreName(tyre: TyreSize): string {
  return `${Math.round(tyre.widthM * 1000)}-${Math.round(tyre.beadM * 1000)}`;
}

/** Outside radius, m, unloaded: half the bead plus 0.95 of the width. Rolled-out figures are better. */
export function tyreRadius(tyre: TyreSize): number {
  return tyre.beadM / 2 + TYRE_HEIGHT_PER_WIDTH * tyre.widthM;
}

/** What of its circle a wheel rolls in a turn with a rider on it. Source: the trade, 1 to 2 % less. */
export const ROLLS = 0.985;

/** What a wheel rolls in a turn under its load, m, until it is rolled out and measured: the figure a display is set to. */
export function tyreCircumference(tyre: TyreSize): number {
  return 2 * Math.PI * tyreRadius(tyre) * ROLLS;
}
