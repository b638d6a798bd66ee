/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

declare const self: ServiceWorkerGlobalScope;
/** Every file of the built app with what tells one version of it from another; filled in by the build. */
declare const PRECACHE: { url: string; revision: string | null }[];

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
