/// <reference lib="webworker" />
import { addPlugins, cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { asBuilt } from './ourPage.ts';

declare const self: ServiceWorkerGlobalScope;
/**
 * Every file of the built app with what tells one version of it from another, and its checksum; filled in by the build.
 * The page, which is served with a nonce of its own each time, has its checksum apart.
 */
declare const PRECACHE: { url: string; revision: string | null; integrity?: string }[];
declare const PAGE_SHA256: string;

async function isOurPage(response: Response): Promise<boolean> {
  const bytes = new TextEncoder().encode(asBuilt(await response.text()));
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  return [...sum].map((b) => b.toString(16).padStart(2, '0')).join('') === PAGE_SHA256;
}

// Whoever answers for the server (a hotel's sign-in, a proxy's fault) is not kept as the app: files carry checksums, and
// the page is looked at. What does not agree ends the whole step, and the version that is kept stays.
addPlugins([
  {
    cacheWillUpdate: async ({ request, response }) => {
      if (response.status !== 200) return null;
      const isPage = new URL(request.url).pathname === '/';
      return !isPage || (await isOurPage(response.clone())) ? response : null;
    },
  },
]);
// The app whole, so that every stage opens without the server; one version's files are never mixed with another's.
precacheAndRoute(PRECACHE);
cleanupOutdatedCaches();
// Addresses of the app have no ending; whatever has one is a file.
registerRoute(new NavigationRoute(createHandlerBoundToURL('/'), { denylist: [/^\/health$/, /\.[a-z0-9]+$/i] }));

self.addEventListener('message', (event) => {
  // A new version waits until the person says so: nothing changes under a hand that writes.
  const { type } = (event.data ?? {}) as { type?: unknown };
  if (type === 'take over') void self.skipWaiting();
});
