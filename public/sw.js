/*
 * What stands in for the server while it cannot be reached: the program's files, the visits that were opened on this device,
 * their decks and photos. It answers with what the server says wherever that says anything, and never keeps a change: those
 * lie on the shelf (src/ui/record/shelf.ts). Registered with the build it belongs to, as ?build=…
 */
/* global self, caches, setTimeout, Response, Request, URL */

const BUILD = new URL(self.location.href).searchParams.get('build') ?? 'none'
const SHELL = `shell-${BUILD}`
// Named by what is in them, so they never change.
const STEADY = 'steady'
const VERSION = '/offline-version'
const PAUSE_MS = 50
// So long nothing was asked for by a page, then nobody is at work.
const QUIET_MS = 1500
const visitCache = (visitId) => `visit-${visitId}`

self.addEventListener('install', (event) => {
  event.waitUntil(
    fetch('/api/offline/shell')
      .then((answer) => answer.json())
      .then(async ({ files }) => (await caches.open(SHELL)).addAll(files))
      .then(() => self.skipWaiting()),
  )
})

self.addEventListener('activate', (event) => {
  event.waitUntil(dropOldShells().then(() => self.clients.claim()))
})

/** Pages of before name files of before: the shell before this one stays until the next. */
async function dropOldShells() {
  const shells = (await caches.keys()).filter((name) => name.startsWith('shell-') && name !== SHELL)
  for (const name of shells.slice(0, -1)) await caches.delete(name)
}

let lastAsked = 0

/** Whoever is at work comes first: the server makes one page after another, and a change has to wait for it. */
async function untilNobodyWorks() {
  do await new Promise((next) => setTimeout(next, PAUSE_MS))
  while (Date.now() - lastAsked < QUIET_MS)
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  // Every few seconds each page asks what others did: that is no work.
  if (!url.pathname.includes('/since/')) lastAsked = Date.now()
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (/^\/(_next\/static|icons)\//.test(url.pathname)) event.respondWith(steady(request, SHELL))
  else if (/^\/api\/(photos\/|decks\/[^/]+\/(colours|reflectances)$)/.test(url.pathname))
    event.respondWith(steady(request, STEADY))
  else if (request.mode === 'navigate' || /^\/api\/visits\/.*\/inside$/.test(url.pathname))
    event.respondWith(page(request))
})

/** What never changes: from here where it is here. */
async function steady(request, into) {
  const kept = await caches.match(request)
  if (kept) return asAsked(request, kept)
  const answer = await fetch(request)
  if (answer.ok) (await caches.open(into)).put(request, answer.clone()).catch(() => undefined)
  return answer
}

/**
 * A worker is told what it is by the end of its address (#…), which a kept answer has lost: without an address of its own the
 * answer takes that of the question.
 */
const asAsked = (request, kept) =>
  request.destination === 'worker'
    ? new Response(kept.body, { status: kept.status, headers: kept.headers })
    : kept

/** A page: as the server makes it now, or as it made it last. */
async function page(request) {
  try {
    return await fetch(request)
  } catch (error) {
    const kept = await caches.match(request, { ignoreSearch: true, ignoreVary: true })
    if (kept) return kept
    const words = await caches.match('/offline')
    if (words) return words
    throw error
  }
}

self.addEventListener('message', (event) => {
  const { visitId, version, pages, steadies } = event.data
  if (visitId) event.waitUntil(takeAlong(visitId, version, pages, steadies, event.ports[0]))
})

/** Takes a visit along as the server has it now, unless it is here just so. It counts once all of it is here. */
async function takeAlong(visitId, version, pages, steadies, port) {
  const name = visitCache(visitId)
  const said = await (await caches.open(name)).match(VERSION)
  try {
    if ((await said?.text()) !== version) {
      for (const address of steadies) await steady(new Request(address), STEADY)
      const aside = await caches.open(`${name}-new`)
      for (const address of pages) {
        await untilNobodyWorks()
        const answer = await fetch(address, { headers: { accept: 'text/html' } })
        if (!answer.ok || answer.redirected) throw new Error(`${address}: ${answer.status}`)
        await aside.put(address, answer)
      }
      const cache = await caches.open(name)
      for (const request of await aside.keys()) await cache.put(request, await aside.match(request))
      await cache.put(VERSION, new Response(version))
    }
    port?.postMessage({ taken: true })
  } catch (error) {
    port?.postMessage({ taken: false, words: String(error) })
  } finally {
    await caches.delete(`${name}-new`)
  }
}
