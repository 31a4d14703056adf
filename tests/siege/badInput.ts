import { newDesign } from '../../core/bag/design/starter'
import type { Chance } from './seededDraws'
import type { Sent } from './server'

/*
 * What should never be sent, seeded: documents with one thing out of place or a thousand, cut short, far too deep, foreign; addresses and
 * questions that nobody asks; files that are none. And legal documents that ask for far too much.
 */

const ODD: readonly unknown[] = [
  null, true, -1, 0, 1e308, -1e308, 0.1, '', 'x', '__proto__', 'constructor', '\u0000', '\ud800', '🧶'.repeat(50), [], {}, [[]], [null],
  { constructor: 1 }, { toString: 1 }, { then: 1 }, 'x'.repeat(5_000), Array(300).fill(1), { a: { b: { c: {} } } },
]

const REPEATS = [
  '[[[sc in next st] 999 times] 999 times] 999 times', '(999 dc) in next st', 'ch 999, sk next 999 sts', '[ch 1] 999 times', 'sc in nxt',
  '[[[[[[[[sc in next]]]]]]]]', '*sc in next; rep from * around',
]

type Loose = Record<string, unknown>

function placesIn(value: unknown, above: readonly string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inside]) => [[...above, key], ...placesIn(inside, [...above, key])])
}

function spoilt(chance: Chance): unknown {
  const document = structuredClone(newDesign(`Bad ${chance.below(1e9)}`)) as unknown as Loose
  for (let n = 1 + chance.below(3); n > 0; n--) {
    const place = chance.of(placesIn(document))
    let holder: Loose = document
    for (const key of place.slice(0, -1)) if (typeof holder[key] === 'object' && holder[key] !== null) holder = holder[key] as Loose
    holder[chance.share() < 0.8 ? place.at(-1)! : `extra${chance.below(99)}`] = structuredClone(chance.of(ODD))
  }
  return document
}

function heavy(chance: Chance): unknown {
  const part = (i: number) => chance.of<object>([
    { id: `part-${i}`, kind: 'solid', stitch: 'sc', size: { pin: { rounds: 1_000 } }, colour: 'main' },
    { id: `part-${i}`, kind: 'own', repeat: 'own', size: { pin: { rounds: 500 } }, colour: 'main' },
    { id: `part-${i}`, kind: 'adjust', to: { pin: { change: 1000 } }, stitch: 'sc', mirrored: true, colour: 'main' },
  ])
  return {
    ...newDesign('Heavy'), repeats: [{ id: 'own', name: 'own', lines: [chance.of(REPEATS), chance.of(REPEATS)] }],
    base: { ...newDesign('x').base, increases: 48, size: { pin: { rounds: 60 + chance.below(40) } } },
    wall: Array.from({ length: chance.of([1, 4, 40]) }, (_, i) => part(i)),
  }
}

function deep(chance: Chance): string {
  const levels = chance.of([30, 500, 40_000])
  return chance.share() < 0.5 ? '['.repeat(levels) + ']'.repeat(levels) : `${'{"a":'.repeat(levels)}1${'}'.repeat(levels)}`
}

function manyKeys(chance: Chance): string {
  const document = newDesign('Many') as unknown as Loose
  for (let i = chance.of([70, 5_000, 20_000]); i > 0; i--) document[`key${i}`] = i
  return JSON.stringify(document)
}

function manyBands(chance: Chance): string {
  return JSON.stringify({ ...newDesign('Bands'), wall: Array(chance.of([41, 3_000, 10_000])).fill({ kind: 'solid', x: 1 }) })
}

function noise(chance: Chance): Buffer {
  return Buffer.from(Array.from({ length: chance.below(400) }, () => chance.below(256)))
}

function bodyOf(chance: Chance): string | Buffer {
  const kind = chance.share()
  if (kind < 0.6) return JSON.stringify(spoilt(chance))
  if (kind < 0.75) return JSON.stringify(newDesign('Cut')).slice(0, chance.below(500))
  if (kind < 0.85) return noise(chance)
  if (kind < 0.9) return JSON.stringify(chance.of(ODD))
  if (kind < 0.915) return JSON.stringify(heavy(chance))
  if (kind < 0.93) return manyKeys(chance)
  if (kind < 0.945) return manyBands(chance)
  if (kind < 0.96) return deep(chance)
  return JSON.stringify({ fairHollow: chance.of(['design', 'swatch', 'make', 'x', 1]), version: chance.of([1, 2, 3, 1e9, 'x', null]),
    events: chance.of(ODD) })
}

const IDS = [
  'none', '%00', '..', '%2e%2e%2f', 'a'.repeat(3_000), '\'%20OR%201=1--', '%F0%9F%A7%B6', '%', '%zz', '__proto__', 'constructor', ' ',
  '*', 'null',
]

const PATHS = [
  '/api/designs', '/api/designs/ID', '/api/designs/ID/export', '/api/designs/ID/copy', '/api/designs/ID/versions',
  '/api/designs/ID/versions/7',
  '/api/swatches', '/api/swatches/ID', '/api/swatches/ID/export', '/api/makes', '/api/makes/ID', '/api/makes/ID/events',
  '/api/makes/ID/export',
  '/api/trash', '/api/trash/designs/ID', '/api/trash/ID/ID', '/api/library/copies/ID', '/api/library/devices/ID', '/api/library/salvage',
  '/api/ID',
  '/api/library/parcel', '/ID', '/_nuxt/ID', '/bags/ID', '//api/designs', '/api//designs',
]

const QUERIES = [
  '', '', '', '?from=-1', '?from=1e9', '?from=x', '?order=__proto__', '?order[]=a', '?find=%00', '?find=%', `?find=${'x'.repeat(2_000)}`,
  '?as=odt',
  '?as=pdf&paper=a7', '?terms=fr', '?take=1,2,x', '?after=x', '?after=-1', '?find=a&find=b', '?__proto__=1',
]

const HEADERS: readonly Readonly<Record<string, string>>[] = [
  {}, {}, {}, {}, {}, { 'Save-Id': 'x' }, { 'Save-Id': 'a'.repeat(500) }, { 'Content-Type': 'text/plain' },
  { 'Content-Type': 'multipart/form-data' },
  { Origin: 'http://evil.example' }, { Host: 'evil.example' }, { Host: '' }, { 'Accept-Encoding': 'br;q=x, gzip' },
  { 'If-None-Match': '*' },
  { Cookie: 'fair-hollow=; x=%' }, { 'Sec-Fetch-Site': 'cross-site' }, { 'Transfer-Encoding': 'gzip' }, { Range: 'bytes=9-1' },
]

/** The next request that should not have been sent. */
export function badRequest(chance: Chance, knownIds: readonly string[]): Sent {
  const id = () => (chance.share() < 0.4 && knownIds.length > 0 ? chance.of(knownIds) : chance.of(IDS))
  const method = chance.of(['GET', 'POST', 'POST', 'PUT', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS'])
  const path = chance.of(PATHS).replaceAll('ID', id).replaceAll(' ', '%20') + chance.of(QUERIES)
  const headers = chance.of(HEADERS)
  if (method === 'GET' || method === 'HEAD') return { method, path, headers }
  const body = bodyOf(chance)
  const saves = method === 'PUT' && chance.share() < 0.6 && typeof body === 'string'
  return {
    method, path, headers,
    body: saves ? `{"revision":${chance.of(['1', '0', '-1', 'null', '1e99', '"1"'])},"document":${body || 'null'}}` : body }
}
