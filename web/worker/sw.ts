/// <reference lib="webworker" />
/**
 * What stands between the page and the kitchen server: the page itself lies here, so that it opens
 * without a server; what was read last stands in where the kitchen does not answer, and says so.
 */
import { clientsClaim } from 'workbox-core'
import { ExpirationPlugin } from 'workbox-expiration'
import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: string[] }

const DAYS = 24 * 60 * 60

void self.skipWaiting()
clientsClaim()
precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()

/** The page as it is now; as it was, where nobody answers. */
async function page({ request }: { request: Request }): Promise<Response> {
  try {
    const answer = await fetch(request)
    if (answer.status < 500) return answer
  } catch {
    // Nobody is there: the page that lies here opens.
  }
  return (await matchPrecache('/index.html')) ?? Response.error()
}
registerRoute(new NavigationRoute(page, { denylist: [/^\/(api|health|authority)/] }))

/** What was kept says so, and tells nothing of what others did since. */
async function asKept({ cachedResponse: kept }: { cachedResponse?: Response | undefined }) {
  if (!kept) return null
  const headers = new Headers(kept.headers)
  headers.delete('Kitchen-Version')
  headers.delete('Kitchen-Raised')
  headers.set('Kept', 'yes')
  return new Response(await kept.blob(), { status: kept.status, headers })
}

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/api/'),
  new NetworkFirst({
    cacheName: 'kitchen',
    plugins: [
      {
        // A kitchen that answers with a fault is as silent as one that is away.
        fetchDidSucceed: async ({ response, state }) => {
          if (response.status < 500) return response
          if (state) state.refused = response
          throw new Error(`answered ${response.status}`)
        },
        cachedResponseWillBeUsed: asKept,
        handlerDidError: async ({ state }) => state?.refused as Response | undefined,
      },
      new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 14 * DAYS }),
    ],
  }),
)
