/*
 * The page without a network
 * ==========================
 *
 * What the page is made of is kept on the device when it is first visited. Pages are asked of the server first, so that what is seen
 * always fits a server that answers; where it does not answer in time, the kept page is shown. What a page that is still open was made
 * of is kept for one build longer. Records never pass through here: the page keeps those itself.
 */

declare const __HELD__: { readonly version: string, readonly build: string, readonly files: readonly string[] }
declare const self: ServiceWorkerGlobalScope

const HELD = __HELD__
const CACHE = `page-${HELD.version}`
const SHELL = '/__shell'
const PATIENCE_MS = 2_500

/** The caches of this program, the oldest first. */
async function pageCaches(): Promise<string[]> {
  return (await caches.keys()).filter(name => name.startsWith('page-'))
}

async function install(): Promise<void> {
  const page = await fetch('/', { cache: 'no-store' })
  const html = await page.clone().text()
  // A server of another build: its own worker will be fetched in a moment.
  if (!page.ok || !html.includes(HELD.build)) throw new Error('the page is of another build')
  const cache = await caches.open(CACHE)
  await Promise.all(HELD.files.map(async (file) => {
    const kept = file.startsWith('/_nuxt/') ? await caches.match(file) : undefined
    const answer = kept ?? await fetch(file, { cache: 'no-cache' })
    if (!answer.ok) throw new Error(`${file} is not there`)
    await cache.put(file, answer)
  }))
  await cache.put(SHELL, page)
  await self.skipWaiting()
}

async function activate(): Promise<void> {
  const others = (await pageCaches()).filter(name => name !== CACHE)
  await Promise.all(others.slice(0, -1).map(name => caches.delete(name)))
  await self.clients.claim()
}

async function page(request: Request): Promise<Response> {
  const shell = async () => (await (await caches.open(CACHE)).match(SHELL)) ?? Response.error()
  const late = new Promise<Response>((resolve) => {
    setTimeout(() => void shell().then(resolve), PATIENCE_MS)
  })
  return Promise.race([fetch(request).catch(shell), late])
}

self.addEventListener('install', event => event.waitUntil(install()))
self.addEventListener('activate', event => event.waitUntil(activate()))
self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return
  if (request.mode === 'navigate') event.respondWith(page(request))
  else event.respondWith(caches.match(request).then(kept => kept ?? fetch(request)))
})

export {}
