/** How a reader writes what is the same in every unit: the mark before decimals, and a day. */
export interface ReaderManner {
  mark: '.' | ',';
  /** A day or a month in words. @param iso year, month and, for a day, its number: `2026-03-07`, `2026-03` */
  day: (iso: string) => string;
}

const PLAIN: ReaderManner = { mark: '.', day: (iso) => iso };
let manner = PLAIN;

/**
 * Says how whoever reads writes numbers and days; without it a point and the standard's own days (ISO 8601), as files
 * have them. It is for where texts are shown, and is called once, before the first.
 */
export function readAs(how: Partial<ReaderManner>): void {
  manner = { ...PLAIN, ...how };
}

/** Whether texts stand as they are. */
export const isPlain = (): boolean => manner === PLAIN || (manner.mark === '.' && manner.day === PLAIN.day);

/** A number with so many decimals as the reader writes it, without groups. */
export const decimals = (value: number, digits: number): string => marked(value.toFixed(digits));

/** A number, or the digits of one, with the reader's mark. */
export const marked = (digits: string): string => (manner.mark === '.' ? digits : digits.replace('.', manner.mark));

const DECIMAL = /(?<![\w.,])([−-]?\d[\d\u202f]*)\.(\d+)(?![\w.])/g;
const DAY = /(?<![\w-])(?:19|20)\d\d-(?:0[1-9]|1[0-2])(?:-[0-3]\d)?(?![\w-]|T\d)/g;
/** Outlines and rows of points are no words: figures, and the letters that draw. */
const DRAWN = /^(?:[Mm][\d\s.,eMmLlHhVvCcSsQqTtAaZz-]*\d[\d\s.,eMmLlHhVvCcSsQqTtAaZz-]*|[\d\s.,-]*)$/;
const LONE = /^[−-]?\d[\d\u202f]*\.\d+$/;
const WHOLLY_DAY = /^\d{4}-\d\d(?:-\d\d)?$/;

/** Whether a text is a figure or a day by itself: data as likely as words, so whoever shows it says so. */
export const isBare = (text: string): boolean => LONE.test(text) || WHOLLY_DAY.test(text);

/** A text with its numbers and days as the reader writes them. */
export function inManner(text: string): string {
  if (isPlain() || !/\d/.test(text)) return text;
  const dated = text.replace(DAY, (iso) => manner.day(iso));
  if (manner.mark === '.' || (DRAWN.test(text) && !LONE.test(text))) return dated;
  return dated.replace(DECIMAL, `$1${manner.mark}$2`);
}
