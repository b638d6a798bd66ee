/** A watch that runs by the clock: asleep, reloaded or away, it goes on. Milliseconds. */
export interface Stopwatch {
  /** What it is held at. */
  of: string;
  /** When it was last set going, since 1970; null while it stands. */
  since: number | null;
  /** What had run before. */
  ran: number;
}

/** What a watch shows at a moment; a clock put back takes nothing off. */
export const elapsed = ({ since, ran }: Stopwatch, now: number): number =>
  ran + (since === null ? 0 : Math.max(0, now - since));

/** Set going, or stopped. */
export const turned = (watch: Stopwatch, now: number): Stopwatch =>
  watch.since === null ? { ...watch, since: now } : { ...watch, since: null, ran: elapsed(watch, now) };

/** Minutes to write down: to the half minute, none for a few seconds. */
export const minutesRun = (watch: Stopwatch, now: number): number | null => {
  const half = Math.round(elapsed(watch, now) / 30_000) / 2;
  return half > 0 ? half : null;
};

/** What it shows, as a clock does: 3:07, 1:02:09. */
export function watchWords(ms: number): string {
  const s = Math.floor(ms / 1000);
  const two = (n: number): string => String(n).padStart(2, '0');
  const [h, m] = [Math.floor(s / 3600), Math.floor(s / 60) % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s % 60)}` : `${m}:${two(s % 60)}`;
}

/** A kept watch read again; what is broken or of something else is none. */
export function readWatch(text: string | null, of: string): Stopwatch {
  const none = { of, since: null, ran: 0 };
  try {
    const kept = JSON.parse(text ?? 'null') as Partial<Stopwatch> | null;
    if (kept?.of !== of) return none;
    const { since, ran } = kept;
    const sound = typeof ran === 'number' && ran >= 0 && (since === null || (typeof since === 'number' && since >= 0));
    return sound ? { of, since, ran } : none;
  } catch {
    return none;
  }
}
