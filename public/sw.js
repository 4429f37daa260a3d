// Lets the boards of a session open without a network after they were opened once, and nothing else. What is kept is
// the page as it was last read, and the files it is made of; all of it goes when the session is over.
const cacheName = 'islands-session'
/** Files of builds gone by are let go when there are more than this. */
const mostFiles = 150
/** A board is kept for so long at the most. */
const longestKeptMs = 12 * 3_600_000

const isBoard = ({ pathname }) => pathname === '/here' || /^\/c\/[^/]+\/run$/.test(pathname)
const isFile = ({ pathname }) => pathname.startsWith('/_next/static/')

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  // A worker finds what it is to run behind # in its own address, and loses that where its file comes from here.
  if (request.destination === 'worker') return
  if (isFile(url)) event.respondWith(fileOf(request))
  else if (request.mode === 'navigate' && isBoard(url)) event.respondWith(boardOf(request))
})

self.addEventListener('message', (event) => {
  const { keep, files, forget } = event.data ?? {}
  if (forget) event.waitUntil(caches.delete(cacheName))
  else if (keep) event.waitUntil(keepBoard(keep, files ?? []))
})

/** Named by what is in it: as it was kept, or from the server. */
async function fileOf(request) {
  const kept = await caches.match(request)
  return kept ?? fetch(request)
}

/** As the server says; as it was last read, where there is no server. */
async function boardOf(request) {
  try {
    const response = await fetch(request)
    if (response.status < 500) return response
  } catch {
    // No network.
  }
  const path = new URL(request.url).pathname
  const kept = await caches.match(path)
  if (kept && Date.now() - Date.parse(kept.headers.get('date') ?? '') < longestKeptMs) return kept
  // No session lasts so long: names of children do not stay on a device.
  await (await caches.open(cacheName)).delete(path)
  return Response.error()
}

async function keepBoard(path, files) {
  const cache = await caches.open(cacheName)
  const response = await fetch(path, { credentials: 'same-origin' }).catch(() => null)
  if (response?.ok && !response.redirected) await cache.put(path, response)
  for (const file of files) {
    if (!isFile(new URL(file)) || (await cache.match(file))) continue
    await cache.add(file).catch(() => undefined)
  }
  const all = (await cache.keys()).filter(({ url }) => isFile(new URL(url)))
  const still = new Set(files)
  const old = all.filter(({ url }) => !still.has(url))
  for (const request of all.length > mostFiles ? old : []) await cache.delete(request)
}
