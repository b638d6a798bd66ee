import { displayUnits, type Dimension, type UnitSystem } from './units.ts';
import { marked } from './reader.ts';
import { wordsIn } from './words.ts';

/** A number with what it measures; the reader's units are chosen when it is shown. */
export interface Amount {
  si: number;
  dimension: Dimension;
  digits?: number;
}

/** Plain words with amounts among them, so that one text serves both systems of units. */
export type Phrase = readonly (string | Amount)[];

/** Shorthand for an amount. */
export function amount(si: number, dimension: Dimension, digits?: number): Amount {
  return digits === undefined ? { si, dimension } : { si, dimension, digits };
}

/** Tagged template that keeps amounts apart from words: phrase`shell ${amount(0.068, 'size')} wide`. */
export function phrase(words: TemplateStringsArray, ...parts: readonly (string | number | Amount)[]): Phrase {
  const out: (string | Amount)[] = [];
  const push = (part: string | Amount): void => {
    const last = out.at(-1);
    // Words beside words are one text: a figure and the unit after it are read together.
    if (typeof part === 'string' && typeof last === 'string') out[out.length - 1] = last + part;
    else if (part !== '') out.push(part);
  };
  words.forEach((text, i) => {
    push(text);
    const part = parts[i];
    if (part !== undefined) push(typeof part === 'number' ? String(part) : part);
  });
  return out;
}

/** A number and its unit as shown, apart, so that the unit can be set smaller. */
export interface ShownAmount {
  number: string;
  unit: string;
}

/** Thin space between thousands, a true minus, and no trailing noise. */
function groupDigits(value: number, digits: number): string {
  const fixed = Math.abs(value).toFixed(digits);
  const [whole = '0', part] = fixed.split('.');
  const grouped = whole.length > 4 ? whole.replace(/\B(?=(\d{3})+$)/g, '\u202f') : whole;
  const isZero = Number(fixed) === 0;
  return (value < 0 && !isZero ? '−' : '') + grouped + (part === undefined ? '' : '.' + part);
}

/** Length from which a size is told in whole millimetres, m. Source: project, caliper to tape. */
const TAPE_FROM = 0.3;

/** Shows an SI number in a system's unit; sizes lose a needless ".0". Feet and inches for statures. */
export function showAmount(value: Amount, system: UnitSystem): ShownAmount {
  const { si, dimension } = value;
  if (!Number.isFinite(si)) return { number: '–', unit: '' };
  if (dimension === 'stature' && system === 'imperial') {
    const inches = Math.round(si / 0.0254);
    return { number: `${Math.floor(inches / 12)} ft ${inches % 12}`, unit: 'in' };
  }
  const unit = displayUnits[dimension][system];
  const shown = si / unit.si - (unit.offset ?? 0);
  // No tape tells tenths of a millimetre past a hand's length.
  const taped = dimension === 'size' && system === 'metric' && Math.abs(si) >= TAPE_FROM;
  const digits = value.digits ?? (taped ? 0 : unit.digits);
  let number = groupDigits(shown, digits);
  if (dimension === 'size' && value.digits === undefined && digits > 0)
    number = number.replace(/\.?0+$/, (m) => (m.startsWith('.') ? '' : m));
  return { number: marked(number), unit: unit.sign };
}

/** As one text, unit after a no-break space. */
export function amountText(value: Amount, system: UnitSystem): string {
  const { number, unit } = showAmount(value, system);
  return unit === '' ? number : `${number}\u00a0${unit}`;
}

/** A phrase in one system's units. */
export function phraseText(words: Phrase, system: UnitSystem): string {
  return words.map((part) => (typeof part === 'string' ? wordsIn(part, system) : amountText(part, system))).join('');
}

/** Words with a capital at their beginning, as a sentence has them. */
export function capital(words: string): string {
  return `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;
}
