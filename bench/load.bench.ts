import { mkdtempSync, rmSync } from 'node:fs'
import { createServer, request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as rest } from 'node:timers/promises'
import { gzipSync } from 'node:zlib'
import Database from 'better-sqlite3'
import { readDesign } from '../core/design/read'
import { newDesign } from '../core/design/starter'
import tote from '../demo/apple-tote.json'
import { Besieged } from '../tests/siege/server'
import { Chance } from '../tests/siege/chance'

/*
 * The server under load: the list of 2,000 bags, opening and saving, durable saves against bare better-sqlite3 behind a bare node:http
 * server, and 300 mixed requests a second. Needs a build. `npm run bench:load -- 60` for a minute of mixed requests.
 */

const SECONDS = Number(process.argv[2] ?? 15)
const BAGS = 2_000
const PORT = 3186

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

const lists: number[] = []
let bytes = 0
for (let i = 0; i < 60; i++) {
  const answer = (await server.send({ method: 'GET', path: `/api/designs?from=${(i % 20) * 24}&find=${i % 3 === 0 ? 'Bag' : ''}` }))!
  lists.push(answer.ms)
  bytes = Math.max(bytes, answer.body.length)
  if (i === 0) line('the list, packed', gzipSync(answer.body, { level: 4 }).length / 1000, 'kB', 100)
}
line(`the list of ${BAGS} bags, a page, plain`, bytes / 1000, 'kB', 100)
line(`the list of ${BAGS} bags, slowest of 60`, Math.max(...lists), 'ms', 100)

let saves = 0
async function save(id: string): Promise<number> {
  const body = `{"revision":${revisions.get(id)},"document":${JSON.stringify({ ...newDesign('Saved'), name: `Save ${saves}` })}}`
  const headers = { 'Save-Id': `bench-save-${saves++}` }
  const answer = (await server.send({ method: 'PUT', path: `/api/designs/${id}`, body, headers }))!
  if (answer.status !== 200) throw new Error(answer.body)
  revisions.set(id, (JSON.parse(answer.body) as { revision: number }).revision)
  return answer.ms
}

async function rateOf(clients: number, ms: number, once: (client: number) => Promise<unknown>): Promise<number> {
  const until = performance.now() + ms
  let done = 0
  await Promise.all(Array.from({ length: clients }, async (_, client) => {
    while (performance.now() < until) {
      await once(client)
      done++
    }
  }))
  return done / (ms / 1000)
}

/** The same work with nothing around it: a body parsed, a row updated in a transaction of its own, an answer. */
async function bare(): Promise<{ rate: (clients: number) => Promise<number>, close: () => void }> {
  const db = new Database(join(folder, 'bare.sqlite'))
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.exec('CREATE TABLE designs (id TEXT PRIMARY KEY, document TEXT NOT NULL, revision INTEGER NOT NULL) STRICT')
  for (let i = 0; i < 16; i++) db.prepare('INSERT INTO designs VALUES (?, ?, 1)').run(String(i), text)
  const update = db.prepare('UPDATE designs SET document = ?, revision = revision + 1 WHERE id = ?')
  const own = createServer((asked, answer) => {
    const chunks: Buffer[] = []
    asked.on('data', (chunk: Buffer) => chunks.push(chunk))
    asked.on('end', () => {
      const { document: sent } = JSON.parse(Buffer.concat(chunks).toString()) as { document: object }
      update.run(JSON.stringify(sent), asked.url!.slice(1))
      answer.end('{"revision":2}')
    })
  }).listen(PORT + 1, '127.0.0.1')
  await new Promise(resolve => own.once('listening', resolve))
  const agent = new (await import('node:http')).Agent({ keepAlive: true, maxSockets: 64 })
  const body = `{"revision":1,"document":${JSON.stringify(newDesign('Saved'))}}`
  const once = (client: number) => new Promise<void>((resolve, reject) => {
    const asked = request({ host: '127.0.0.1', port: PORT + 1, method: 'PUT', path: `/${client}`, agent }, (answer) => {
      answer.resume()
      answer.on('end', resolve)
    })
    asked.on('error', reject)
    asked.end(body)
  })
  return {
    rate: clients => rateOf(clients, 3_000, once),
    close: () => {
      agent.destroy()
      own.close()
      db.close()
    },
  }
}

const other = await bare()
for (const clients of [1, 8]) {
  await rateOf(clients, 500, client => save(ids[client]!))
  const [ours, theirs] = [await rateOf(clients, 3_000, client => save(ids[client]!)), await other.rate(clients)]
  console.log(`durable saves a second, ${clients} client(s): ${ours.toFixed(0)}, bare ${theirs.toFixed(0)}`)
  line(`durable saves, ${clients} client(s), against bare`, ours / theirs, 'times', 0.5, false)
}
other.close()

const chance = new Chance(20261126)
const times: number[] = []
let errors = 0
const saving = new Set<string>()
const mixed = async () => {
  const id = chance.of(ids)
  const share = chance.share()
  // A page sends one save at a time.
  if (share < 0.3 && !saving.has(id)) {
    saving.add(id)
    return save(id).finally(() => saving.delete(id))
  }
  const path = share < 0.7 ? `/api/designs/${id}` : share < 0.9 ? `/api/designs?from=${24 * chance.below(80)}` : '/api/makes'
  const answer = (await server.send({ method: 'GET', path, headers: { 'Accept-Encoding': 'gzip' } }))!
  if (answer.status !== 200) throw new Error(String(answer.status))
  return answer.ms
}
const busy = new Set<Promise<void>>()
const from = performance.now()
for (let i = 0; performance.now() - from < SECONDS * 1000; i++) {
  const due = from + (i * 1000) / 300
  const early = due - performance.now()
  if (early > 1) await rest(early)
  const one: Promise<void> = mixed().then(ms => void times.push(ms), () => void errors++).finally(() => busy.delete(one))
  busy.add(one)
}
await Promise.all(busy)
line(`300 mixed requests a second for ${SECONDS} s, p99`, percentile(times, 0.99), 'ms', 20)
line('  the half of them within', percentile(times, 0.5), 'ms', 5)
line('  requests a second', times.length / SECONDS, '/s', 290, false)
line('  errors', errors, '', 0)
await server.kill()
rmSync(folder, { recursive: true })
