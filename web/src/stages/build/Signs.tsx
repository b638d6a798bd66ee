import type { Standing } from './useBench.ts';

export const standingWords: Record<Standing, string> = {
  done: 'done',
  now: 'can be begun',
  held: 'waits',
  later: 'comes later',
};

const shapes: Record<Standing, string> = {
  done: 'M2 8.5l4.2 4.3L14 3.6',
  now: 'M4 2.5v11l9 -5.5z',
  held: 'M3 2h10L3 14h10z',
  later: 'M8 8m-4.6 0a4.6 4.6 0 1 0 9.2 0a4.6 4.6 0 1 0 -9.2 0',
};

/** How a step stands, told by shape and colour; its word stands beside it for readers. */
export function StandingSign({ standing }: { standing: Standing }) {
  return (
    <svg viewBox="0 0 16 16" width="17" height="17" className={`standing standing-${standing}`} aria-hidden="true">
      <path d={shapes[standing]} />
    </svg>
  );
}
