import { parseTeeth } from '@sprocket/core';
import type { PartField } from './partFields.ts';

/** A part's data sheet while it is filled in: not a part until its schema takes it. */
export type Sheet = Record<string, unknown>;

/** What stands at a dotted path; undefined where there is nothing. */
export function readAt(value: unknown, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((at, key) => (typeof at === 'object' && at !== null ? (at as Sheet)[key] : undefined), value);
}

/** The sheet with another value at a dotted path; undefined takes the field away. */
export function writeAt(value: Sheet, path: string, to: unknown): Sheet {
  const [key = '', ...rest] = path.split('.');
  if (rest.length === 0) {
    const next = { ...value };
    if (to === undefined) Reflect.deleteProperty(next, key);
    else next[key] = to;
    return next;
  }
  return { ...value, [key]: writeAt((value[key] ?? {}) as Sheet, rest.join('.'), to) };
}

/** A field's value as the person sees it: bead seats in mm, teeth by hyphens, ratios by spaces. */
export function shownValue(field: Pick<PartField, 'type'>, value: unknown): string {
  if (field.type === 'beads' && Array.isArray(value)) return value.map((b: number) => Math.round(b * 1000)).join(', ');
  if (Array.isArray(value)) return value.join(field.type === 'numbers' ? ' ' : '-');
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';
}

/** What a person typed as the sheet takes it; what does not read is left as it is, for the schema to refuse. */
export function sheetValue(field: Pick<PartField, 'type'>, text: string): unknown {
  const parts = (by: RegExp): string[] => text.split(by).filter((t) => t !== '');
  switch (field.type) {
    case 'number':
      return text.trim() === '' ? undefined : Number(text.replace(',', '.'));
    case 'teeth': {
      const read = parseTeeth(text);
      return read.ok ? read.value : text;
    }
    case 'beads':
      return parts(/[\s,;]+/).map((t) => Number(t) / 1000);
    case 'numbers':
      return parts(/[\s;]+/).map((t) => Number(t.replace(',', '.')));
    default:
      return text;
  }
}
