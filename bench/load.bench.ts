import { fork } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as rest } from 'node:timers/promises'
import { gzipSync } from 'node:zlib'
import Database from 'better-sqlite3'
import { readDesign } from '../core/bag/design/read'
import { newDesign } from '../core/bag/design/starter'
import tote from '../demo/apple-tote.json'
import { bagListIn } from '../server/db/bagList'
import { Besieged } from '../tests/siege/server'
import { Chance } from '../tests/siege/seededDraws'

/*
 * The server under load: the list of 5,000 bags with 3,000 makes and 300 orders, durable saves against bare better-sqlite3 behind a bare
 * node:http server, and 300 mixed requests a second against a bare server that answers the same bytes. Needs a build.
 * `npm run bench:load -- 60` for a minute of mixed requests.
 */

const SECONDS = Number(process.argv[2] ?? 16)
/** So many are begun by asking; the others are written into the records. */
const BAGS = 240
/** So many there are under mixed load, and so many where lists are asked for. */
const LOADED = { bags: 2_000, makes: 0, orders: 0 }
const MANY = { bags: 5_000, makes: 3_000, orders: 300 }
const PORT = 3186
/** The worst documents that a search found. */
const WORST = 'tests/siege/worst'

function line(name: string, value: number, unit: string, goal: number, most = true): void {
  const met = most ? value <= goal : value >= goal
  console.log(`${name.padEnd(46)} ${value.toFixed(2).padStart(9)} ${unit.padEnd(7)} goal ${goal} ${unit}  ${met ? 'met' : 'MISSED'}`)
}

function percentile(list: readonly number[], share: number): number {
  const sorted = [...list].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0
}

const reading = readDesign(tote)
if (!reading.ok) throw new Error('the demo cannot be read')
const document = reading.document

function timesOf(work: () => unknown, runs: number): number {
  for (let i = 0; i < runs; i++) work()
  const from = performance.now()
  for (let i = 0; i < runs; i++) work()
  return (performance.now() - from) / runs
}

const text = JSON.stringify(document)
line('checking a usual bag', timesOf(() => readDesign(JSON.parse(text)), 2_000) - timesOf(() => JSON.parse(text), 2_000), 'ms', 1)

const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-load-'))
const server = new Besieged(PORT, join(folder, 'records.sqlite'))
await server.start()

const ids: string[] = []
const revisions = new Map<string, number>()
async function begin(i: number): Promise<void> {
  const body = JSON.stringify({ ...document, name: `Bag ${String(i).padStart(4, '0')}` })
  const { id } = JSON.parse((await server.send({ method: 'POST', path: '/api/designs', body }))!.body) as { id: string }
  ids.push(id)
  revisions.set(id, 1)
}
for (let i = 0; i < BAGS; i += 20) await Promise.all(Array.from({ length: 20 }, (_, j) => begin(i + j)))
for (let undrawn = true; undrawn; await rest(500)) {
  const db = new Database(join(folder, 'records.sqlite'), { readonly: true })
  undrawn = db.prepare('SELECT count(*) FROM designs WHERE portrait_of < revision').pluck().get() !== 0
  db.close()
}

/** As a household of many years has them: written straight into the records, which keep what lists show by themselves. */
function fill(from: typeof MANY, to: typeof MANY): void {
  const db = new Database(join(folder, 'records.sqlite'))
  const [bag] = db.prepare('SELECT document, portrait FROM designs LIMIT 1').all() as [{ document: string, portrait: string }]
  const [design, make, order] = [
    'INSERT INTO designs (id, name, document, portrait, portrait_of, created_at, updated_at) VALUES (?, ?, ?, ?, 1, ?, ?)',
    'INSERT INTO makes (id, name, bag, progress, created_at, updated_at) VALUES (?, ?, ?, ?, ?, ?)',
    'INSERT INTO orders (id, name, document, created_at, updated_at) VALUES (?, ?, ?, ?, ?)',
  ].map(sql => db.prepare(sql))
  const at = (i: number) => new Date(Date.UTC(2020, 0, 1) + i * 60_000).toISOString()
  db.transaction(() => {
    for (let i = from.bags; i < to.bags; i++) design!.run(`many-${i}`, `Bag ${i}`, bag.document, bag.portrait, at(i), at(i))
    for (let i = from.makes; i < to.makes; i++) {
      const words = i % 3 === 0 ? 'Finished' : 'Round 3 of 9'
      const progress = JSON.stringify({ round: 3, of: 9, share: 0.3, words })
      make!.run(`make-${i}`, `Bag ${BAGS + i}`, i % 2 === 0 ? `many-${BAGS + i}` : null, progress, at(i), at(i))
    }
    for (let i = from.orders; i < to.orders; i++) {
      const bags = Array.from({ length: 8 }, (_, n) => ({ bag: `many-${BAGS + (i * 8 + n) % 3_000}`, name: 'x', count: 2 }))
      order!.run(`order-${i}`, `Order ${i}`, JSON.stringify({ bags }), at(i), at(i))
    }
  })()
  db.close()
}
async function filled(from: typeof MANY, to: typeof MANY): Promise<void> {
  await server.kill()
  fill(from, to)
  await server.start()
}
await filled({ bags: BAGS, makes: 0, orders: 0 }, LOADED)

let saves = 0
async function save(id: string, saved: object = newDesign('Saved')): Promise<number> {
  const body = `{"revision":${revisions.get(id)},"document":${JSON.stringify({ ...saved, note: `Save ${saves}` })}}`
  const headers = { 'Save-Id': `bench-save-${saves++}` }
  const answer = (await server.send({ method: 'PUT', path: `/api/designs/${id}`, body, headers }))!
  if (answer.status !== 200) throw new Error(answer.body)
  revisions.set(id, (JSON.parse(answer.body) as { revision: number }).revision)
  return answer.ms
}

async function rateOf(clients: number, ms: number, work: (client: number) => Promise<unknown>): Promise<number> {
  const until = performance.now() + ms
  let done = 0
  await Promise.all(Array.from({ length: clients }, async (_, client) => {
    while (performance.now() < until) {
      await work(client)
      done++
    }
  }))
  return done / (ms / 1000)
}

const bareProcess = fork('bench/bareServers.ts', [join(folder, 'bare.sqlite'), text, String(PORT + 1), String(PORT + 2)])
await once(bareProcess, 'message')
const bareSaves = new Besieged(PORT + 1, '')
const bareBody = `{"revision":1,"document":${JSON.stringify(newDesign('Saved'))}}`
const saveBare = (client: number) => bareSaves.send({ method: 'PUT', path: `/${client}`, body: bareBody })

/** Each measures by short turns with the other, so that both meet the same minute of the machine. */
const TURNS = 5
for (const clients of [1, 8]) {
  let [ours, theirs] = [0, 0]
  await rateOf(clients, 2_000, client => save(ids[client]!))
  await rateOf(clients, 1_000, saveBare)
  for (let turn = 0; turn < TURNS; turn++) {
    ours += await rateOf(clients, 1_000, client => save(ids[client]!)) / TURNS
    theirs += await rateOf(clients, 1_000, saveBare) / TURNS
  }
  console.log(`durable saves a second, ${clients} client(s): ${ours.toFixed(0)}, bare ${theirs.toFixed(0)}`)
  line(`durable saves, ${clients} client(s), against bare`, ours / theirs, 'times', 0.25, false)
}

const GROUPS = ['all', 'hand', 'drafts', 'finished', 'orders']
const chance = new Chance(20261126)
const saving = new Set<string>()
const usual = ids.slice(8)

/** The next request: nine of ten times a bag; lists, saves and patterns as a household asks for them. */
function nextAsked(): { readonly path: string, readonly save?: string } {
  const id = chance.of(usual)
  const share = chance.share()
  if (share < 0.05 && !saving.has(id)) return { path: '', save: id }
  if (share < 0.07) return { path: `/api/designs?group=${chance.of(GROUPS)}` }
  return { path: share < 0.08 ? `/api/designs/${id}/export?as=text` : `/api/designs/${id}` }
}

/** Answers of a kind, by milliseconds. Patterns that are written out count by themselves: the worker pool drafts the bag for each. */
type Kind = 'bag' | 'save' | 'list' | 'pattern'
const KINDS: readonly Kind[] = ['bag', 'save', 'list', 'pattern']
interface Load { readonly ms: Readonly<Record<Kind, number[]>>, errors: number }

function kindOf({ path, save }: ReturnType<typeof nextAsked>): Kind {
  if (save !== undefined) return 'save'
  return path.includes('export') ? 'pattern' : path.includes('?') ? 'list' : 'bag'
}

const timesIn = ({ ms }: Load) => [...ms.bag, ...ms.save, ...ms.list]

/** Asks 300 times a second, whatever the answers take. */
async function load(seconds: number, ask: (asked: ReturnType<typeof nextAsked>) => Promise<number>, told: Load): Promise<void> {
  const busy = new Set<Promise<void>>()
  const from = performance.now()
  for (let i = 0; performance.now() - from < seconds * 1000; i++) {
    const early = from + (i * 1000) / 300 - performance.now()
    if (early > 1) await rest(early)
    const next = nextAsked()
    const one: Promise<void> = ask(next)
      .then(ms => void told.ms[kindOf(next)].push(ms), () => void told.errors++)
      .finally(() => busy.delete(one))
    busy.add(one)
  }
  await Promise.all(busy)
}

/** The paths whose answers the bare server was taught, byte for byte. */
const known = new Set<string>()
const plainAsked = new Besieged(PORT + 2, '')
const gzip = { 'Accept-Encoding': 'gzip' }
async function asked({ path, save: id }: ReturnType<typeof nextAsked>): Promise<number> {
  if (id !== undefined) {
    saving.add(id)
    return save(id, document).finally(() => saving.delete(id))
  }
  const answer = (await server.send({ method: 'GET', path, headers: gzip }))!
  if (answer.status !== 200) throw new Error(String(answer.status))
  if (!known.has(path)) {
    known.add(path)
    await plainAsked.send({ method: 'POST', path, body: answer.bytes })
  }
  return answer.ms
}

/** The same bytes from a server that does nothing but answer. */
const bareAsked = async ({ path, save: id }: ReturnType<typeof nextAsked>) => id === undefined
  ? (await plainAsked.send({ method: 'GET', path, headers: gzip }))!.ms
  : (await plainAsked.send({ method: 'PUT', path: `/api/designs/${id}`, body: text }))!.ms

/** The same number of requests for a route with nothing behind it: what the house's frame takes by itself. */
const frameAsked = async () => (await server.send({ method: 'GET', path: '/api/library/watch' }))!.ms

const none = (): Load => ({ ms: { bag: [], save: [], list: [], pattern: [] }, errors: 0 })
const [ours, theirs] = [none(), none()]
const [p99s, frame99s]: [number[], number[]] = [[], []]
for (const warming of [asked, bareAsked]) await load(3, warming, none())
const TURN_SECONDS = 2
for (let turn = 0; turn < SECONDS / TURN_SECONDS; turn++) {
  const [here, there, frame] = [none(), none(), none()]
  await load(TURN_SECONDS, asked, here)
  await load(TURN_SECONDS, bareAsked, there)
  await load(TURN_SECONDS, frameAsked, frame)
  const bareP99 = percentile(timesIn(there), 0.99)
  p99s.push(percentile(timesIn(here), 0.99) / bareP99)
  frame99s.push(percentile(timesIn(frame), 0.99) / bareP99)
  for (const [all, turns] of [[ours, here], [theirs, there]] as const) {
    for (const kind of KINDS) all.ms[kind].push(...turns.ms[kind])
    all.errors += turns.errors
  }
}
bareProcess.kill()
const [own, other300] = [timesIn(ours), timesIn(theirs)]
const at = (list: readonly number[], share: number) => percentile(list, share).toFixed(1)
console.log(`300 mixed requests a second: p50 ${at(own, 0.5)} ms, bare ${at(other300, 0.5)}; `
  + `p99 ${at(own, 0.99)} ms, bare ${at(other300, 0.99)}`)
for (const kind of KINDS) {
  console.log(`  ${kind.padEnd(8)} p50 ${at(ours.ms[kind], 0.5)}, p99 ${at(ours.ms[kind], 0.99)}; `
    + `bare ${at(theirs.ms[kind], 0.5)}, ${at(theirs.ms[kind], 0.99)} ms`)
}
// Other programs of the machine fall into one turn or the other: the turn in the middle is not theirs.
line('  p99 against bare, the middle one of the turns', percentile(p99s, 0.5), 'times', 3)
console.log(`  of a route with nothing behind it, likewise: ${percentile(frame99s, 0.5).toFixed(2)} times`)
console.log(`  of ${p99s.length} turns: ${p99s.map(times => times.toFixed(1)).sort((a, b) => Number(a) - Number(b)).join(', ')}`)
line('  patterns written out, the half of them within', percentile(ours.ms.pattern, 0.5), 'ms', 500)
line('  requests a second', (own.length + ours.ms.pattern.length) / SECONDS, '/s', 290, false)
line('  errors', ours.errors, '', 0)
await filled(LOADED, MANY)
const lists: number[] = []
let bytes = 0
for (let i = 0; i < 90; i++) {
  const order = ['changed', 'name', 'begun', 'tall'][i % 4]!
  const path = `/api/designs?order=${order}&group=${GROUPS[i % 5]!}&find=${i % 3 === 0 ? 'Bag%203' : ''}`
  const answer = (await server.send({ method: 'GET', path }))!
  if (i >= 30) lists.push(answer.ms)
  bytes = Math.max(bytes, answer.body.length)
  if (i === 0) line('the list, packed', gzipSync(answer.body, { level: 4 }).length / 1000, 'kB', 100)
}
const where = `${MANY.bags} bags, ${MANY.makes} makes, ${MANY.orders} orders`
line('a page of the list, plain', bytes / 1000, 'kB', 100)
{
  const db = new Database(join(folder, 'records.sqlite'), { readonly: true })
  const list = bagListIn(db)
  const before = process.cpuUsage()
  const pages = 200
  for (let i = 0; i < pages; i++)
    list.pageText({ find: i % 3 === 0 ? 'Bag 3' : '', order: 'changed', from: 0, group: GROUPS[i % 5] as 'all' })
  const { user, system } = process.cpuUsage(before)
  line(`a list, search or group of ${where}`, (user + system) / 1000 / pages, 'ms', 20)
  db.close()
}
line('  the slowest of 60 over the wire', Math.max(...lists), 'ms', 100)

/** How long everybody else waits while the worst that is allowed is written out, as often as the worker pool can. */
async function besideTheWorst(): Promise<number[]> {
  const worst = readdirSync(WORST).filter(file => file.endsWith('.json'))
  await server.kill()
  const db = new Database(join(folder, 'records.sqlite'))
  const add = db.prepare('INSERT INTO designs (id, name, document, created_at, updated_at) VALUES (?, ?, ?, \'1\', \'1\')')
  for (const file of worst) add.run(file, file, readFileSync(join(WORST, file), 'utf8'))
  db.close()
  await server.start()
  const until = performance.now() + 8_000
  const answers = new Set<number>()
  const writing = [0, 1, 2].map(async (nth) => {
    for (let i = nth; performance.now() < until; i++) {
      const path = `/api/designs/${worst[i % worst.length]}/export?as=${i % 2 ? 'text' : 'pdf'}`
      answers.add((await server.send({ method: 'GET', path }))!.status)
    }
  })
  const others: number[] = []
  for (; performance.now() < until; await rest(5)) others.push((await server.send({ method: 'GET', path: `/api/designs/${ids[0]}` }))!.ms)
  await Promise.all(writing)
  if ([...answers].join() !== '200') throw new Error(`the worst was answered with ${[...answers].join()}`)
  return others
}
line('others beside the worst that is allowed, p99', percentile(await besideTheWorst(), 0.99), 'ms', 50)

await server.kill()
rmSync(folder, { recursive: true })
process.exit(0)
