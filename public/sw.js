/**
 * Lets the bench open without a network: the program's own files, and the last answer of every question that only reads. With a network the server's answer always comes first. What is entered is not
 * kept here but in the outbox.
 */
const KEPT = 'oxlip-kept-1'
/** A server that has not answered after this long counts as away, ms. */
const PATIENCE = 4000

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', event => event.waitUntil(self.clients.claim()))

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname === '/api/live' || url.pathname.startsWith('/api/photos/')) return
  // Of a list its first page is kept, not all that somebody scrolled through.
  if (url.searchParams.has('after')) return
  if (url.pathname.startsWith('/_nuxt/')) event.respondWith(keptFirst(request))
  else if (request.mode === 'navigate') event.respondWith(serverFirst(request, '/'))
  else event.respondWith(serverFirst(request, request))
})

/** Built files bear their contents in their names: what is kept is right. */
async function keptFirst(request) {
  const kept = await caches.open(KEPT)
  return await kept.match(request) ?? keep(kept, request, await fetch(request))
}

/** The server's answer; where there is none the one kept under `key`. Every page is drawn by the same first file. */
async function serverFirst(request, key) {
  const kept = await caches.open(KEPT)
  try {
    return await keep(kept, key, await fetch(request, { signal: AbortSignal.timeout(PATIENCE) }))
  } catch (error) {
    const known = await kept.match(key)
    if (known) return known
    throw error
  }
}

async function keep(kept, key, answer) {
  if (answer.ok) await kept.put(key, answer.clone())
  return answer
}
