import { setTimeout as rest } from 'node:timers/promises'
import { expect, test } from './program'
import { newDesign } from '../../core/bag/design/starter'
import { OwnRecords } from './ownRecords'

/*
 * Large requests and a slow disk keep nobody else waiting. These tests measure time, so they run alone.
 */

const own = new OwnRecords(3187)
/** More of the processor's time at one stretch than this is work that belongs elsewhere. */
const MOST_WORK_MS = 20

test('on a slow disk a save is answered once it is on it, and nobody else waits for that', async () => {
  const SLOW_MS = 250
  own.serveOnDisk({ CRASH_SLOW_MS: String(SLOW_MS) })
  await own.server.start()
  // The first save begins the file written ahead.
  await own.post('/api/designs', newDesign('First'))
  const saving = Array.from({ length: 4 }, (_, i) => own.post('/api/designs', newDesign(`Slow ${i}`)))
  await rest(50)
  const reads = await Promise.all(Array.from({ length: 6 }, () => own.server.send({ method: 'GET', path: '/api/designs' })))
  const saves = await Promise.all(saving)
  expect(saves.map(answer => answer!.status)).toEqual([201, 201, 201, 201])
  expect(Math.min(...saves.map(answer => answer!.ms))).toBeGreaterThanOrEqual(SLOW_MS)
  // All four wait for one sync, or for two where the first had begun.
  expect(Math.max(...saves.map(answer => answer!.ms))).toBeLessThan(3 * SLOW_MS)
  expect(Math.max(...reads.map(answer => answer!.ms))).toBeLessThan(SLOW_MS)
})

/** How a job stood until it was done: the places that it had in the queue, and how much of it was done. */
async function followed(job: string, done: Promise<unknown>): Promise<{ readonly before: number[], readonly shares: number[] }> {
  const [before, shares]: [number[], number[]] = [[], []]
  let isDone = false
  void done.then(() => (isDone = true))
  while (!isDone) {
    const { standing } = await own.get<{ standing: { before?: number, share?: number | null } | null }>(`/api/library/jobs/${job}`)
    if (standing?.before !== undefined) before.push(standing.before)
    if (standing && typeof standing.share === 'number') shares.push(standing.share)
    await rest(50)
  }
  return { before, shares }
}

test('nobody stands still: an order of 20,000 bags, a logbook of 200,000 taps, everything packed, copied, returned to', async () => {
  test.setTimeout(180_000)
  own.serve({ FAIR_HOLLOW_WATCH: 'close', FAIR_HOLLOW_DEMO: 'yes' })
  await own.server.start()
  // What is done once after the start, and the machine's own warming up, are not looked at.
  await rest(3_000)
  await own.get('/api/library/watch')
  const stood: string[] = []
  let slowest = 0
  let going = true
  const others = (async () => {
    while (going) {
      const answer = await own.server.send({ method: 'GET', path: '/api/designs' })
      if (answer?.status === 200) slowest = Math.max(slowest, answer.ms)
      await rest(10)
    }
  })()
  const stalls = async () => {
    const { stalls: all } = await own.get<{ stalls: { ms: number, workMs?: number, during: string[] }[] }>('/api/library/watch')
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
  const [{ document: order }] = await own.get<[{ document: { bags: object[] } }]>('/api/orders')
  const huge = { ...order, name: 'Huge', bags: Array.from({ length: 40 }, () => ({ ...order.bags[0], count: 500 })) }
  const { id } = JSON.parse((await own.post('/api/orders', huge))!.body) as { id: string }
  for (const as of ['list', 'calendar', 'pdf']) {
    await step(`order as ${as}`, async () => {
      const answer = await own.server.send({ method: 'GET', path: `/api/orders/${id}/export?as=${as}&on=2026-12-01&zone=UTC` })
      expect(answer!.status).toBe(200)
    })
  }
  const events = (make: number) => [
    { do: 'started', plan: newDesign('Sack'), id: `m${make}.0`, turn: 1, at: 0 },
    ...Array.from({ length: 9_999 }, (_, n) => ({ do: 'paused', id: `m${make}.${n + 1}`, turn: n + 2, at: n * 1000 })),
  ]
  const makes = Array.from({ length: 20 }, (_, make) => ({ fairHollow: 'make', version: 1, name: 'Sack', events: events(make) }))
  const bring = (job: string, logbook: object) => own.server.send({
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
    await step(heavy, async () => expect((await own.server.send({ method: 'GET', path: heavy }))!.status).toBe(200))
  let name = ''
  await step('copy', async () => ({ name } = JSON.parse((await own.post('/api/library/copies', {}))!.body) as { name: string }))
  await step('returned to the copy', async () => expect((await own.post(`/api/library/copies/${name}`, {}))!.status).toBe(200))
  going = false
  await others
  console.log(`slowest list ${slowest.toFixed(0)} ms`)
  expect(stood).toEqual([])
  expect(await own.get<unknown[]>('/api/makes')).toHaveLength(27)
})
