/** The place of the first figure in plain data that is no number, and what it is; null where all are. */
export function notFinite(value: unknown, path = ''): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : `${path} is ${value}`;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, v] of Object.entries(value)) {
    const found = notFinite(v, path === '' ? key : `${path}.${key}`);
    if (found) return found;
  }
  return null;
}
