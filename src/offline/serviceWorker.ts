/**
 * The application without the kitchen: the program itself is kept on the device when it is first opened, and
 * what the kitchen last answered is shown while it cannot be reached. Nothing is ever sent from here.
 */
import { clientsClaim } from 'workbox-core';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { ANSWERS_STORE, OUT_OF_STORE_HEADER, TAKE_OVER } from '#contract';

declare const self: ServiceWorkerGlobalScope;
/** Written in by the build: every file of the program with a mark of its content. */
declare const PROGRAM_FILES: PrecacheEntry[];

precacheAndRoute(PROGRAM_FILES);
cleanupOutdatedCaches();
clientsClaim();

registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));

/** Streams, whole backups, papers and schemas are of use only from the kitchen itself. */
const ONLY_FRESH = /^\/api\/(?:live|backup|print|document|devices|openapi)/;
const PATIENCE_S = 4;

registerRoute(
  ({ url, request }) =>
    url.origin === self.location.origin &&
    request.method === 'GET' &&
    url.pathname.startsWith('/api/') &&
    !ONLY_FRESH.test(url.pathname),
  new NetworkFirst({
    cacheName: ANSWERS_STORE,
    networkTimeoutSeconds: PATIENCE_S,
    plugins: [
      {
        // An answer of an earlier hour says that it is one.
        cachedResponseWillBeUsed: ({ cachedResponse }) => {
          if (!cachedResponse) return Promise.resolve(null);
          const headers = new Headers(cachedResponse.headers);
          headers.set(OUT_OF_STORE_HEADER, '1');
          const { status, statusText } = cachedResponse;
          return Promise.resolve(new Response(cachedResponse.body, { status, statusText, headers }));
        },
      },
    ],
  }),
);

// A new release waits until the page says that nothing is unsent.
self.addEventListener('message', ({ data }: ExtendableMessageEvent) => {
  if (data === TAKE_OVER) void self.skipWaiting();
});
