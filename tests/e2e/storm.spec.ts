import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { request as ask } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as rest } from 'node:timers/promises'
import { expect, test } from './program'
import Database from 'better-sqlite3'
import { newDesign } from '../../core/bag/design/starter'
import { Besieged } from '../siege/server'

/*
 * What happens to the records as a whole while everybody goes on: nothing that was acknowledged is lost, nobody stands still.
 */

const PORT = 3187
/** The worst documents that a search found. */
const WORST = 'tests/siege/worst'
/** More of the processor's time at one stretch than this is work that belongs elsewhere. */
const MOST_WORK_MS = 20
let folder: string
let path: string
let server: Besieged
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  path = join(folder, 'records.sqlite')
  server = new Besieged(PORT, path, { FAIR_HOLLOW_WATCH: 'close' })
})
test.afterEach(async () => {
  await server.kill()
  rmSync(folder, { recursive: true, force: true })
})

const post = (to: string, value: unknown) => server.send({ method: 'POST', path: to, body: JSON.stringify(value) })
const get = async <T>(from: string) => JSON.parse((await server.send({ method: 'GET', path: from }))!.body) as T

/** Runs a command of the program; what it said and how it ended. */
function command(file: string, ...args: string[]): Promise<{ readonly said: string, readonly code: number | null }> {
  const child = spawn('npx', ['tsx', '--tsconfig', 'cli/tsconfig.json', file, ...args], {
    env: { ...process.env, FAIR_HOLLOW_DB: path },
  })
  let said = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (said += chunk.toString()))
  return new Promise(resolve => child.once('exit', code => resolve({ said, code })))
}

function namesIn(file: string): Set<string> {
  const db = new Database(file, { readonly: true })
  try {
    return new Set(db.prepare('SELECT name FROM designs').pluck().all() as string[])
  }
  finally {
    db.close()
  }
}

test('restore beside the running program: every save that was acknowledged is in what it returned to or in the copy before', async () => {
  test.setTimeout(90_000)
  await server.start()
  await post('/api/designs', newDesign('Before all'))
  const { name } = JSON.parse((await post('/api/library/copies', {}))!.body) as { name: string }
  const acknowledged: string[] = []
  let going = true
  let n = 0
  const savers = Array.from({ length: 4 }, async () => {
    while (going) {
      const bag = `Bag ${++n}`
      const answer = await post('/api/designs', newDesign(bag))
      // Whoever is told to try again does so, as the page does.
      if (answer?.status === 201) acknowledged.push(bag)
      else await rest(20)
    }
  })
  await rest(500)
  const { said, code } = await command('cli/restore.ts', name)
  expect(code, said).toBe(0)
  await rest(1_500)
  going = false
  await Promise.all(savers)
  const kept = /What there was is kept as (.*\.sqlite)/.exec(said)![1]!
  expect(said).toContain(`returned to ${name}`)
  const [now, before] = [namesIn(path), namesIn(kept)]
  expect(acknowledged.length).toBeGreaterThan(40)
  expect(acknowledged.filter(bag => !now.has(bag) && !before.has(bag))).toEqual([])
  expect(acknowledged.some(bag => now.has(bag)) && acknowledged.some(bag => before.has(bag))).toBe(true)
  expect(now.has('Before all')).toBe(true)
})

/** A server whose disk is another than the machine's. */
function onDisk(how: Readonly<Record<string, string>>): Besieged {
  const preload = join(folder, 'disk.so')
  const compiled = spawnSync('cc', ['-shared', '-fPIC', '-O1', '-o', preload, 'tests/siege/crash/crash.c', '-ldl']).status === 0
  test.skip(!compiled, 'no compiler of C here')
  return new Besieged(PORT, path, { LD_PRELOAD: preload, CRASH_IN: folder, ...how })
}

test('on a slow disk a save is answered once it is on it, and nobody else waits for that', async () => {
  const SLOW_MS = 250
  server = onDisk({ CRASH_SLOW_MS: String(SLOW_MS) })
  await server.start()
  // The first save begins the file written ahead.
  await post('/api/designs', newDesign('First'))
  const saving = Array.from({ length: 4 }, (_, i) => post('/api/designs', newDesign(`Slow ${i}`)))
  await rest(50)
  const reads = await Promise.all(Array.from({ length: 6 }, () => server.send({ method: 'GET', path: '/api/designs' })))
  const saves = await Promise.all(saving)
  expect(saves.map(answer => answer!.status)).toEqual([201, 201, 201, 201])
  expect(Math.min(...saves.map(answer => answer!.ms))).toBeGreaterThanOrEqual(SLOW_MS)
  // All four wait for one sync, or for two where the first had begun.
  expect(Math.max(...saves.map(answer => answer!.ms))).toBeLessThan(3 * SLOW_MS)
  expect(Math.max(...reads.map(answer => answer!.ms))).toBeLessThan(SLOW_MS)
})

test('what the disk would not take is not said to be kept, and is kept once it does', async () => {
  server = onDisk({})
  await server.start()
  const save = (name: string) => server.send({
    method: 'POST', path: '/api/designs', body: JSON.stringify(newDesign(name)), headers: { 'Save-Id': `save-${name}` },
  })
  expect((await save('before'))!.status).toBe(201)
  writeFileSync(join(folder, 'disk-fails'), '')
  const refused = (await save('meanwhile'))!
  expect(refused.status).toBe(503)
  const message = expect.stringContaining('The disk failed') as unknown
  expect(JSON.parse(refused.body)).toMatchObject({ data: { trouble: 'io' }, message })
  // Sent again it is known, and not kept all the same.
  expect((await save('meanwhile'))!.status).toBe(503)
  rmSync(join(folder, 'disk-fails'))
  expect((await save('meanwhile'))!.status).toBe(201)
  await server.kill()
  expect([...namesIn(path)].sort()).toEqual(['before', 'meanwhile'])
})

test('a second program on the same records says who has them; killed, the next has them at once', async () => {
  await server.start()
  const second = new Besieged(PORT + 1, path)
  await expect(second.start()).rejects.toThrow(new RegExp(`Another Fair Hollow is running.*http://127\\.0\\.0\\.1:${PORT}`, 's'))
  await server.kill()
  await second.start()
  await second.kill()
})

test('another file in the place of the records: what was acknowledged is kept as a copy, nothing goes into the old one', async () => {
  await server.start()
  await post('/api/designs', newDesign('In the old one'))
  const other = join(folder, 'other.sqlite')
  const db = new Database(path, { readonly: true })
  db.prepare('VACUUM INTO ?').run(other)
  db.close()
  await post('/api/designs', newDesign('Acknowledged last'))
  for (const tail of ['-wal', '-shm']) rmSync(path + tail, { force: true })
  writeFileSync(path + '.new', readFileSync(other))
  rmSync(path)
  writeFileSync(path, readFileSync(other))
  expect((await post('/api/designs', newDesign('In the new one')))!.status).toBe(201)
  await server.kill()
  expect([...namesIn(path)].sort()).toEqual(['In the new one', 'In the old one'])
  const copy = readdirSync(`${path}.copies`).find(one => one.includes('before-restore'))!
  expect(namesIn(join(`${path}.copies`, copy)).has('Acknowledged last')).toBe(true)
})

/** How a job stood until it was done: the places that it had in the queue, and how much of it was done. */
async function followed(job: string, done: Promise<unknown>): Promise<{ readonly before: number[], readonly shares: number[] }> {
  const [before, shares]: [number[], number[]] = [[], []]
  let isDone = false
  void done.then(() => (isDone = true))
  while (!isDone) {
    const { standing } = await get<{ standing: { before?: number, share?: number | null } | null }>(`/api/library/jobs/${job}`)
    if (standing?.before !== undefined) before.push(standing.before)
    if (standing && typeof standing.share === 'number') shares.push(standing.share)
    await rest(50)
  }
  return { before, shares }
}

test('nobody stands still: an order of 20,000 bags, a logbook of 200,000 taps, everything packed, copied, returned to', async () => {
  test.setTimeout(180_000)
  server = new Besieged(PORT, path, { FAIR_HOLLOW_WATCH: 'close', FAIR_HOLLOW_DEMO: 'yes' })
  await server.start()
  // What is done once after the start, and the machine's own warming up, are not looked at.
  await rest(3_000)
  await get('/api/library/watch')
  const stood: string[] = []
  let slowest = 0
  let going = true
  const others = (async () => {
    while (going) {
      const answer = await server.send({ method: 'GET', path: '/api/designs' })
      if (answer?.status === 200) slowest = Math.max(slowest, answer.ms)
      await rest(10)
    }
  })()
  const stalls = async () => {
    const { stalls: all } = await get<{ stalls: { ms: number, workMs?: number, during: string[] }[] }>('/api/library/watch')
    // Work alone counts, where the system tells it: another program's share of the machine is no fault of this one.
    return all.filter(({ workMs = 0 }) => workMs > MOST_WORK_MS)
  }
  /**
   * Does something, up to three times while the thread stands still: memory is collected when it is, and a machine that lends us half a
   * processor counts its own pauses as our work; work of ours is there each time.
   */
  const step = async (what: string, work: () => Promise<unknown>) => {
    let found: Awaited<ReturnType<typeof stalls>> = []
    for (let i = 0; i < 3; i++) {
      await work()
      found = await stalls()
      if (found.length === 0) return
    }
    for (const { ms, workMs, during } of found) stood.push(`${what}: ${workMs!.toFixed(0)} of ${ms.toFixed(0)} ms, ${during.join()}`)
  }
  const [{ document: order }] = await get<[{ document: { bags: object[] } }]>('/api/orders')
  const huge = { ...order, name: 'Huge', bags: Array.from({ length: 40 }, () => ({ ...order.bags[0], count: 500 })) }
  const { id } = JSON.parse((await post('/api/orders', huge))!.body) as { id: string }
  for (const as of ['list', 'calendar', 'pdf']) {
    await step(`order as ${as}`, async () => {
      const answer = await server.send({ method: 'GET', path: `/api/orders/${id}/export?as=${as}&on=2026-12-01&zone=UTC` })
      expect(answer!.status).toBe(200)
    })
  }
  const events = (make: number) => [
    { do: 'started', plan: newDesign('Sack'), id: `m${make}.0`, turn: 1, at: 0 },
    ...Array.from({ length: 9_999 }, (_, n) => ({ do: 'paused', id: `m${make}.${n + 1}`, turn: n + 2, at: n * 1000 })),
  ]
  const makes = Array.from({ length: 20 }, (_, make) => ({ fairHollow: 'make', version: 1, name: 'Sack', events: events(make) }))
  const bring = (job: string, logbook: object) => server.send({
    method: 'POST', path: '/api/logbook', body: JSON.stringify(logbook), headers: { 'Job-Name': job },
  })
  const many = { fairHollow: 'logbook', version: 1, name: 'Logbook', makes }
  let taken = 20
  await step('logbook brought in', async () => {
    const bringing = bring('the-first-job', many)
    const { shares } = await followed('the-first-job', bringing)
    const brought = await bringing
    expect([brought!.status, JSON.parse(brought!.body)]).toEqual([201, { taken, there: 20 - taken }])
    // How far it is is told as it goes, and never less than before.
    if (taken > 0) expect(shares.filter(share => share > 0 && share < 1).length).toBeGreaterThan(1)
    expect([...shares].sort((a, b) => a - b)).toEqual(shares)
    taken = 0
  })
  await step('logbooks in a queue', async () => {
    const again = Array.from({ length: 4 }, (_, i) => bring(`job-number-${i}`, { ...many, makes: makes.slice(0, 5) }))
    const { before } = await followed('job-number-3', again[3]!)
    expect(before[0]).toBeGreaterThan(0)
    expect([...before].sort((a, b) => b - a)).toEqual(before)
    expect((await Promise.all(again)).map(answer => JSON.parse(answer!.body) as unknown)).toEqual(again.map(() => ({ taken: 0, there: 5 })))
  })
  for (const heavy of ['/api/library/parcel', '/api/logbook/export?as=json', '/api/logbook/export?as=csv', '/api/logbook/hands'])
    await step(heavy, async () => expect((await server.send({ method: 'GET', path: heavy }))!.status).toBe(200))
  let name = ''
  await step('copy', async () => ({ name } = JSON.parse((await post('/api/library/copies', {}))!.body) as { name: string }))
  await step('returned to the copy', async () => expect((await post(`/api/library/copies/${name}`, {}))!.status).toBe(200))
  going = false
  await others
  console.log(`slowest list ${slowest.toFixed(0)} ms`)
  expect(stood).toEqual([])
  expect(await get<unknown[]>('/api/makes')).toHaveLength(27)
})

test('the worst that is allowed is written out within the memory there is for it', async () => {
  test.setTimeout(300_000)
  await server.start()
  await server.kill()
  // What cannot be made at all is refused when it begins; it may be in the records all the same.
  const db = new Database(path)
  const add = db.prepare('INSERT INTO designs (id, name, document, created_at, updated_at) VALUES (?, ?, ?, \'1\', \'1\')')
  const files = readdirSync(WORST).filter(file => file.endsWith('.json'))
  for (const file of files) add.run(file, file, readFileSync(join(WORST, file), 'utf8'))
  db.close()
  await server.start()
  expect(files.length).toBeGreaterThan(0)
  for (const file of files) {
    for (const as of ['text', 'zip'])
      expect((await server.send({ method: 'GET', path: `/api/designs/${file}/export?as=${as}` }))!.status, `${file} as ${as}`).toBe(200)
  }
  expect(server.said).not.toContain('too-much')
})

test('a path written in another way passes no gate, and a passphrase is slowed down and never shut', async () => {
  test.setTimeout(60_000)
  server = new Besieged(PORT, path, { HOST: '0.0.0.0', FAIR_HOLLOW_PASSPHRASE: 'a long passphrase' })
  await server.start()
  for (const way of ['/%61pi/designs', '/a%70i/designs', '/x/../api/designs', '/%2e/api/designs'])
    expect((await server.send({ method: 'GET', path: way }))!.status, way).toBe(400)
  expect((await server.send({ method: 'GET', path: '/api/designs' }))!.status).toBe(401)
  // Each machine of a house's network has an address of its own.
  const tried = (code: string, from: string) => new Promise<{ status: number, text: string }>((resolve) => {
    const asked = ask({
      host: '127.0.0.1', port: PORT, path: '/let-in', method: 'POST', localAddress: from,
      headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
    }, (answer) => {
      let text = ''
      answer.on('data', (chunk: Buffer) => (text += chunk.toString()))
      answer.on('end', () => resolve({ status: answer.statusCode!, text }))
    })
    asked.end(`code=${encodeURIComponent(code)}&name=x`)
  })
  const wrong = await Promise.all(Array.from({ length: 60 }, (_, i) => tried(`guess ${i}`, '127.0.0.2')))
  expect(wrong.filter(({ status }) => status === 403)).toHaveLength(3)
  expect(wrong.find(({ status }) => status === 429)!.text).toMatch(/Wait \d+ seconds?, and try again/)
  expect((await tried('a long passphrase', '127.0.0.3')).status).toBe(303)
  await rest(1_200)
  expect((await tried('a long passphrase', '127.0.0.2')).status).toBe(303)
})

test('what a program that was killed left unfinished is gone when it begins again', async () => {
  await server.start()
  await post('/api/library/copies', {})
  await server.kill()
  const left = [`${path}.part`, join(`${path}.copies`, '2026-01-01T00-00-00-000.daily.sqlite.part')]
  for (const file of left) writeFileSync(file, Buffer.alloc(1_000_000))
  await server.start()
  expect(left.filter(file => existsSync(file))).toEqual([])
})
