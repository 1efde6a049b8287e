/**
 * Plimb without its server: the page itself, and what was last fetched of the record. What was
 * kept is marked as such, so that the page can say that it may be old.
 */
import { clientsClaim } from "workbox-core";
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
} from "workbox-precaching";
import { NavigationRoute, registerRoute } from "workbox-routing";
import { NetworkFirst } from "workbox-strategies";
import { DATA } from "./state/data";

declare const self: Window & {
  __WB_MANIFEST: { url: string; revision: string | null }[];
  skipWaiting(): Promise<void>;
};

const FILE = /\.(pdf|csv|json|pem)$/;

void self.skipWaiting();
clientsClaim();
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);
registerRoute(
  new NavigationRoute(createHandlerBoundToURL("/index.html"), {
    denylist: [/^\/((practice|school)\/)?api\//],
  }),
);
registerRoute(
  ({ url, request }) =>
    request.method === "GET" && url.pathname.startsWith("/api/") && !FILE.test(url.pathname),
  new NetworkFirst({
    cacheName: DATA,
    plugins: [
      {
        cacheWillUpdate: async ({ response }) => (response.status === 200 ? response : null),
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          if (!cachedResponse) return null;
          const headers = new Headers(cachedResponse.headers);
          headers.set("X-Plimb-Kept", "1");
          return new Response(await cachedResponse.blob(), { headers });
        },
      },
    ],
  }),
);
