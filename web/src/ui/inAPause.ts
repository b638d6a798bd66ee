/**
 * Does something that can wait, once nothing has been typed or pressed for a while: what the browser fetches for
 * later then never takes the processor and the store from somebody at work.
 * @param rest how long a pause is enough, ms
 * @param most done after this at the latest, ms
 * @param page where typing and pressing are heard
 */
export function inAPause(work: () => void, rest: number, most: number, page: EventTarget): void {
  const heard = ['input', 'keydown', 'pointerdown'] as const;
  const listening = new AbortController();
  let pause: ReturnType<typeof setTimeout>;
  const go = (): void => {
    clearTimeout(pause);
    clearTimeout(latest);
    listening.abort();
    work();
  };
  const again = (): void => {
    clearTimeout(pause);
    pause = setTimeout(go, rest);
  };
  const latest = setTimeout(go, most);
  for (const kind of heard) page.addEventListener(kind, again, { capture: true, signal: listening.signal });
  again();
}
