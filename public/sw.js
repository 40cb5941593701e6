// The stage opens again without a network, once it was opened with one: the application, the lesson that is taught, its
// steps, pictures and motions. Everything is asked of the network first; what is kept answers only when nothing does.
// What a device keeps ends when somebody signs out (resources/ts/offline.ts).
const SHELL = 'cathedra-shell'
const DATA = 'cathedra-data'
const PAGES = /^\/lessons\/\d+\/(teach|wall)$/
const ANSWERS = /^\/api\/(me|folds|lessons\/\d+|models(\/.*)?)$/
const MOST = 400

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (url.pathname.startsWith('/build/')) event.respondWith(keptFirst(request))
  else if (request.mode === 'navigate' && PAGES.test(url.pathname)) event.respondWith(page(request))
  else if (ANSWERS.test(url.pathname)) event.respondWith(networkFirst(request, DATA))
})

/** Files of the build carry their content in their names: what is kept is right for ever. */
async function keptFirst(request) {
  const cache = await caches.open(SHELL)
  const kept = await cache.match(request)
  if (kept) return kept
  const answer = await fetch(request)
  if (answer.ok) await cache.put(request, answer.clone())
  return answer
}

async function networkFirst(request, name) {
  const cache = await caches.open(name)
  try {
    const answer = await fetch(request)
    if (answer.ok) {
      await cache.put(request, answer.clone())
      if (name === DATA) void trim(cache)
    }
    return answer
  } catch (problem) {
    const kept = await cache.match(request)
    if (kept) return kept
    throw problem
  }
}

/** Every page is the same application: without a network any that is kept opens any other. */
async function page(request) {
  try {
    return await networkFirst(request, SHELL)
  } catch (problem) {
    const cache = await caches.open(SHELL)
    const kept = (await cache.keys()).find((one) => PAGES.test(new URL(one.url).pathname))
    if (kept) return cache.match(kept)
    throw problem
  }
}

/** The oldest answers give way. */
async function trim(cache) {
  const keys = await cache.keys()
  for (const key of keys.slice(0, Math.max(0, keys.length - MOST))) await cache.delete(key)
}
