/** How browsers say that a part of a page's code, or its styles, did not come. */
const SAID =
  /dynamically imported module|importing a module script failed|unable to preload|failed to load module|loading (css )?chunk|worker did not load/i;

/** Whether an error is a part of the app that did not load: it was updated meanwhile, or nobody answers. */
export const isLostChunk = (error: unknown): boolean =>
  SAID.test(error instanceof Error ? error.message : typeof error === 'string' ? error : '');

const TRIED = 'loaded-anew-at';
/** Loading twice within so long means that what is kept here lacks a part itself, ms. */
const AGAIN = 120_000;

/**
 * Loads the page anew. Where that was tried just now and did not help, what the browser keeps of the app is cleared first,
 * if its server answers: builds are kept elsewhere and stay.
 */
export async function loadAnew(): Promise<void> {
  const last = Number(sessionStorage.getItem(TRIED) ?? 0);
  sessionStorage.setItem(TRIED, String(Date.now()));
  if (Date.now() - last < AGAIN && (await serverAnswers())) {
    const kept = await navigator.serviceWorker?.getRegistrations?.().catch(() => []);
    for (const registration of kept ?? []) await registration.unregister();
    // A page that is not served securely has no such store, and nothing kept in it.
    if ('caches' in window) for (const name of await caches.keys()) await caches.delete(name);
  }
  location.reload();
}

async function serverAnswers(): Promise<boolean> {
  try {
    const answer = await fetch('/health', { cache: 'no-store' });
    return answer.ok && ((await answer.json()) as { ok?: unknown }).ok === true;
  } catch {
    return false;
  }
}
