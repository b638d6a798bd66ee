import type { ReadResult } from '@sprocket/core';

/** Somebody who reads files, and how to send them away in the middle of it. */
export interface Reader<W> {
  work: W;
  end: () => void;
}

/**
 * Reads files off the page with a limit of time: one that is not done by then is ended where it is, told of, and
 * replaced for the next. No file, whatever it holds, takes the app with it, and none waits behind another: who comes
 * while all readers are busy gets one of their own.
 * @param longestMs the limit of one reading
 * @param make a reader, made when none is free
 */
export function limited<W>(
  longestMs: number,
  make: () => Reader<W>,
): <T>(ask: (work: W) => Promise<ReadResult<T>>) => Promise<ReadResult<T>> {
  let idle: Reader<W> | null = null;
  return async (ask) => {
    const mine = idle ?? make();
    idle = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<'late'>((done) => (timer = setTimeout(() => done('late'), longestMs)));
    let sound = false;
    try {
      const found = await Promise.race([ask(mine.work), late]);
      sound = found !== 'late';
      if (found !== 'late') return found;
      const message = `is not read after ${longestMs / 1000} s, longer than any sound file takes; it was given up`;
      return { ok: false, problems: [{ path: '(document)', message }] };
    } finally {
      clearTimeout(timer);
      // One is kept for the next; one that was late, or fell, is not trusted with it.
      if (sound && idle === null) idle = mine;
      else mine.end();
    }
  };
}
