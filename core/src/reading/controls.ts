/** Signs that no person types and no paper shows; a line's end and a tab are none. Source: Unicode, category Cc, and the two separators that break a line. */
const CONTROLS = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u2028\u2029]/;
const ALL = new RegExp(CONTROLS, 'g');

/** A text without control characters, its lines ended by a line feed alone. */
export function plainText(text: string): string {
  const lines = text.includes('\r') ? text.replace(/\r\n?/g, '\n') : text;
  return CONTROLS.test(lines) ? lines.replace(ALL, '') : lines;
}

/** Plain data with every text in it, names of fields too, without control characters; what has none is the very same. */
export function withoutControls<T>(value: T): T {
  return cleaned(value) as T;
}

function cleaned(value: unknown): unknown {
  if (typeof value === 'string') return plainText(value);
  if (Array.isArray(value)) {
    const next = value.map(cleaned);
    return next.some((v, i) => v !== value[i]) ? next : value;
  }
  // Plain data alone: a blob or a date is as it is.
  if (typeof value !== 'object' || value === null || !isPlain(value)) return value;
  let changed = false;
  const entries = Object.entries(value).map(([key, v]): [string, unknown] => {
    const name = plainText(key);
    const next = cleaned(v);
    changed ||= name !== key || !Object.is(next, v);
    return [name, next];
  });
  return changed ? Object.fromEntries(entries) : value;
}

const isPlain = (value: object): boolean => {
  const proto: unknown = Object.getPrototypeOf(value);
  return proto === Object.prototype || proto === null;
};
