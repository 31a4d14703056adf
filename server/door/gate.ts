import type { IncomingMessage } from 'node:http'
import { hostOf, isLoopback, ownNames } from './address'

/*
 * Who may ask for what. Every request passes here first, for files as for records, reading as writing: asked by a name that is not the
 * program's own, or by another site's page, it is turned away; from another machine only those are served that were let in.
 */

/** A door that the program listens at: on this machine alone, or in the home network. */
export interface Door {
  readonly inHouse: boolean
  readonly address: string
  readonly port: number
  readonly secure: boolean
}

const doors = new WeakMap<object, Door>()

/** Writes down by which door a request came in. */
export function cameBy(request: object, door: Door): void {
  doors.set(request, door)
}

/** Whether a request came over the home network, not from this machine. */
export function cameOverNetwork(request: object): boolean {
  return doors.get(request)?.inHouse ?? false
}

/** A request, as far as the gate looks at it. */
type Asking = Pick<IncomingMessage, 'method' | 'url' | 'headers'>

/** Whether a request passes, or how it is turned away. */
type Passing = { readonly passes: true } | { readonly passes: false, readonly status: 400 | 401 | 403 | 421, readonly words: string }

const PASSES: Passing = { passes: true }

function turnedAway(status: 400 | 401 | 403 | 421, words: string): Passing {
  return { passes: false, status, words }
}

/** Whether a name is one that this door is reached by. A name that somebody else gave it is not. */
function isOwn(header: string | undefined, { address, port, secure, inHouse }: Door): boolean {
  const host = hostOf(header)
  if (!host) return false
  // No stranger can make a name that means this machine alone: behind a tunnel the port may be another.
  if (!inHouse && isLoopback(host.name)) return true
  if ((host.port ?? (secure ? 443 : 80)) !== port) return false
  if (ownNames().includes(host.name)) return true
  return inHouse && (host.name === address.toLowerCase() || (isEverywhere(address) && !isName(host.name)))
}

const isEverywhere = (address: string) => address === '0.0.0.0' || address === '::'
const isName = (host: string) => !/^[\d.]+$/.test(host) && !host.includes(':')

/** Pages of other sites may link here, and no more: what they embed, fetch or send is turned away. */
function fromElsewhere({ method, headers, url }: Asking, door: Door): boolean {
  const { origin, host } = headers
  if (origin !== undefined && origin !== `${door.secure ? 'https' : 'http'}://${host}`) return true
  const site = headers['sec-fetch-site']
  if (site === undefined || site === 'same-origin' || site === 'none') return false
  const visits = headers['sec-fetch-mode'] === 'navigate' && headers['sec-fetch-dest'] === 'document'
  return !(visits && method === 'GET' && !isRecords(pathOf(url)))
}

/** Signs that stand for themselves in a path (RFC 3986, pchar and "/"): nobody writes them otherwise who has nothing to hide. */
const PLAIN = /^[\w\-.~!$&'()*+,;=:@/]$/

/**
 * The path that is asked for, decoded once, by which every rule goes; nothing of one that is written so as to be read in two ways: plain
 * signs written as others, escapes that are none, steps up, backslashes.
 */
export function pathOf(url: string | undefined): string | undefined {
  const raw = (url ?? '/').split(/[?#]/, 1)[0]!
  if (!raw.startsWith('/')) return undefined
  let decoded: string
  try {
    decoded = decodeURIComponent(raw)
  }
  catch {
    return undefined
  }
  const hidesPlain = (raw.match(/%[0-9a-f]{2}/gi) ?? []).some(escape => PLAIN.test(String.fromCharCode(Number.parseInt(escape.slice(1), 16))))
  if (hidesPlain || decoded.includes('\\') || decoded.split('/').some(step => step === '.' || step === '..')) return undefined
  return decoded
}

/** Whether a path is of records, not of the page's own files. */
export function isRecords(path: string | undefined): boolean {
  return /^\/+api(\/|$)/i.test(path ?? '')
}

/** Whether a request may be answered at all, whoever asks. */
export function passes(asking: Asking, door: Door): Passing {
  if (pathOf(asking.url) === undefined) return turnedAway(400, 'This address is written in a way that is read in two.')
  if (!isOwn(asking.headers.host, door))
    return turnedAway(421, 'This is not an address of Fair Hollow. Ask for it by the address that it was started with.')
  if (fromElsewhere(asking, door)) return turnedAway(403, 'Only this program\'s own pages may ask for its records or change them.')
  return PASSES
}

/** The token that a device shows. */
export function tokenIn({ headers: { cookie = '' } }: Pick<Asking, 'headers'>): string | undefined {
  return /(?:^|;\s*)fair-hollow=([\w-]{20,100})(?:;|$)/.exec(cookie)?.[1]
}

/** The cookie that a device is given: no script can read it, no other site's page sends it. */
export function cookieOf(token: string, { secure }: Pick<Door, 'secure'>, days: number): string {
  return `fair-hollow=${token}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${days * 86_400}${secure ? '; Secure' : ''}`
}

/** Headers of every answer on how it may be used. */
const ALWAYS: Readonly<Record<string, string>> = {
  'X-Content-Type-Options': 'nosniff', 'Referrer-Policy': 'no-referrer', 'Cross-Origin-Resource-Policy': 'same-origin',
}

/** Headers of a page besides, and of what runs by itself as a worker does. */
const OF_PAGES: Readonly<Record<string, string>> = {
  'Cross-Origin-Opener-Policy': 'same-origin', 'X-Frame-Options': 'DENY', 'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
}

/** Content that a page may load, with the hashes or nonces of the scripts that stand in it. */
export function contentPolicy(scripts: readonly string[] = []): string {
  return [
    'default-src \'self\'', ['script-src \'self\'', ...scripts].join(' '), 'style-src \'self\' \'unsafe-inline\'',
    'img-src \'self\' data: blob:', 'font-src \'self\' data:', 'connect-src \'self\'', 'worker-src \'self\' blob:', 'manifest-src \'self\'',
    'object-src \'none\'', 'frame-ancestors \'none\'', 'base-uri \'self\'', 'form-action \'self\'',
  ].join('; ')
}

const POLICY = contentPolicy()

/** The heads of an answer: what pages load of the build is ruled by the page, and says no more than it must. */
export function headsFor(url: string | undefined): Readonly<Record<string, string>> {
  const loaded = /^\/_nuxt\/[\w.-]+\.(js|css|woff2)$/.test(url ?? '') && !/worker/i.test(url ?? '')
  return loaded ? ALWAYS : { ...ALWAYS, ...OF_PAGES, 'Content-Security-Policy': POLICY }
}
