/**
 * Lets every page open without a network: the program's own files, all of them, and the last answer of every question that only reads.
 * With a network the server's answer always comes first; a kept one is marked. What is entered is not kept here but in the outbox.
 */
importScripts('/program.js')
const { build, files } = self.PROGRAM

/** The files of this build, and answers; caches of earlier builds are dropped. */
const PROGRAM = `oxlip-program-${build}`
const ANSWERS = 'oxlip-answers'
/** A server that has not answered after this long counts as away where an answer is kept, ms. */
const PATIENCE = 4000
const KEPT_MARK = 'x-oxlip-kept'

self.addEventListener('install', event => event.waitUntil(takeProgram().then(() => self.skipWaiting())))
self.addEventListener('activate', event => event.waitUntil(dropOld().then(() => self.clients.claim())))
self.addEventListener('message', event => event.waitUntil(keepAnswers(event.data?.keep ?? [])))

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (request.mode === 'navigate') event.respondWith(serverFirst(request, '/', PROGRAM))
  else if (url.pathname.startsWith('/api/')) isKept(url) && event.respondWith(serverFirst(request, request.url))
  else if (url.pathname.startsWith('/_nuxt/')) event.respondWith(keptFirst(request))
  else event.respondWith(serverFirst(request, url.pathname, PROGRAM))
})

/** Asks anew what a page was answered before this worker was there, one after another, and keeps it. */
async function keepAnswers(addresses) {
  for (const address of addresses) if (isKept(new URL(address))) await serverFirst(new Request(address), address).catch(() => undefined)
}

/**
 * Of a list its first page is kept, not all that somebody scrolled through; of pictures, the live connection and whether the server is
 * there nothing.
 */
const isKept = ({ pathname, searchParams }) =>
  pathname.startsWith('/api/') && pathname !== '/api/live' && pathname !== '/api/health' && !pathname.startsWith('/api/photos/') && !searchParams.has('after')

/** Takes all files of the program in; those that an earlier build has as well are not fetched again, since their names bear their contents. */
async function takeProgram() {
  const program = await caches.open(PROGRAM)
  for (const file of files) {
    const known = file.startsWith('/_nuxt/') ? await caches.match(file) : undefined
    const answer = known ?? await fetch(file, { cache: 'no-cache' })
    if (!answer.ok) throw new Error(`${file} is not there.`)
    await program.put(file, answer)
  }
}

async function dropOld() {
  for (const name of await caches.keys()) if (name.startsWith('oxlip-') && name !== PROGRAM && name !== ANSWERS) await caches.delete(name)
}

/** Built files bear their contents in their names: what is kept is right. */
async function keptFirst(request) {
  return await caches.match(request, { ignoreVary: true }) ?? fetch(request)
}

/**
 * The server's answer; where there is none in time, or its database is away, the one kept under `key`, marked. Where nothing is kept a
 * slow answer is waited for. Every page is drawn by the same first file.
 */
async function serverFirst(request, key, where = ANSWERS) {
  const kept = await caches.open(where)
  const patience = new AbortController()
  const asked = fetch(request, { signal: patience.signal })
  const inTime = await Promise.race([asked.catch(() => undefined), new Promise(resolve => setTimeout(resolve, PATIENCE))])
  if (!inTime || inTime.status >= 500) {
    const known = marked(await kept.match(key, { ignoreVary: true }))
    // What nobody waits for any longer stands in nobody's way.
    if (known) patience.abort()
    if (known) return known
  }
  const answer = await asked
  if (answer.ok) await kept.put(key, answer.clone())
  return answer
}

function marked(answer) {
  if (!answer) return undefined
  const headers = new Headers(answer.headers)
  headers.set(KEPT_MARK, '1')
  return new Response(answer.body, { status: answer.status, headers })
}
