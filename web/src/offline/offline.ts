import type { Workbox } from 'workbox-window';

let worker: Workbox | undefined;

/**
 * Keeps the app in the browser, so that it opens without its server.
 * @param onNewVersion told when another version has been fetched and waits to be taken
 */
export async function startOffline(onNewVersion: () => void): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  const { Workbox } = await import('workbox-window');
  worker = new Workbox('/sw.js');
  worker.addEventListener('waiting', onNewVersion);
  await worker.register();
}

/** Takes the new version: the page is loaded anew with it. All that was typed is to be kept before. */
export function takeNewVersion(): void {
  worker?.addEventListener('controlling', () => location.reload());
  worker?.messageSW({ type: 'take over' }).catch(() => undefined);
}
