import { DESIGN_VERSION } from '../../core/bag/design/versions'
import { mkdtempSync, rmSync } from 'node:fs'
import { networkInterfaces, tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from './program'
import { newDesign } from '../../core/bag/design/starter'
import { OwnServer } from './ownServer'

const sound = newDesign('Over the wire')

test('what is off is answered with what to change, and never with a 500', async ({ request }) => {
  const post = (data: string) => request.post('/api/designs', { data: Buffer.from(data), headers: { 'Content-Type': 'application/json' } })
  const cases: [string, number, RegExp][] = [
    ['{"cut', 400, /not JSON/], ['', 400, /not JSON/], ['[]', 422, /not a Fair Hollow design/], ['null', 422, /not a Fair Hollow design/],
    [JSON.stringify({ ...sound, version: DESIGN_VERSION + 1 }), 422, /later version/],
    [
      JSON.stringify({ ...sound, gauge: { ...sound.gauge, measured: { sc: { stitches: -3, rounds: 20, overCm: 10 } } } }), 422,
      /gauge\.measured\.sc\.stitches/,
    ],
    [
      JSON.stringify({ ...sound, base: { ...sound.base, size: { want: { diameterCm: 300 } } } }), 422,
      /base\.size\.want\.diameterCm: must be a number from 1 to 150/,
    ],
    ['{"a":'.repeat(50_000), 400, /not JSON/],
  ]
  for (const [body, status, says] of cases) {
    const answer = await post(body)
    expect(answer.status(), body.slice(0, 80)).toBe(status)
    expect(((await answer.json()) as { message: string }).message).toMatch(says)
  }
})

test('a body of 50 MB is refused, and the server goes on', async ({ request }) => {
  const answer = await request.post('/api/designs', {
    data: Buffer.alloc(50_000_000, 0x20),
    headers: { 'Content-Type': 'application/json' },
  })
  expect(answer.status()).toBe(413)
  expect(((await answer.json()) as { message: string }).message).toContain('at most 1 MB')
  expect((await request.get('/api/designs')).status()).toBe(200)
})

test('what is unknown is a 404, a stale save a 409, an odd question a 422', async ({ request }) => {
  for (const path of ['/api/designs/none', '/api/designs/none/export', '/api/swatches/none', '/api/designs/%00']) {
    expect((await request.get(path)).status(), path).toBe(404)
  }
  expect((await request.delete('/api/designs/none')).status()).toBe(404)
  expect((await request.put('/api/designs/none', { data: { revision: 1, document: sound } })).status()).toBe(404)
  const { id } = (await (await request.post('/api/designs', { data: sound })).json()) as { id: string }
  expect((await request.put(`/api/designs/${id}`, { data: { revision: 1, document: sound } })).status()).toBe(200)
  expect((await request.put(`/api/designs/${id}`, { data: { revision: 1, document: sound } })).status()).toBe(409)
  expect((await request.put(`/api/designs/${id}`, { data: { revision: 'x', document: sound } })).status()).toBe(422)
  expect((await request.get(`/api/designs/${id}/export?as=odt`)).status()).toBe(422)
  expect((await request.get(`/api/designs/${id}/export?as=pdf&paper=a7`)).status()).toBe(422)
  expect((await request.get(`/api/designs/${id}/export?repeats=dots`)).status()).toBe(422)
  expect((await request.get(`/api/designs/${id}/export?terms=fr`)).status()).toBe(422)
})

test('a bag leaves in every form, under its own name', async ({ request }) => {
  const { id } = (await (await request.post('/api/designs', { data: { ...sound, name: 'Påse, röd / "1"' } })).json()) as { id: string }
  for (const [as, type, holds] of [
    ['text', 'text/plain', 'Round 5'], ['md', 'text/markdown', '## Base'], ['csv', 'text/csv', 'round,part'],
    ['json', 'application/json', '"rounds"'], ['svg', 'image/svg+xml', '<svg'], ['design', 'application/json', '"fairHollow"'],
  ] as const) {
    const answer = await request.get(`/api/designs/${id}/export?as=${as}&terms=uk`)
    expect(answer.headers()['content-type']).toContain(type)
    expect(answer.headers()['content-disposition']).toContain('filename="pa-se-ro-d-1.')
    expect(await answer.text()).toContain(holds)
  }
  for (const [as, type, begins] of [
    ['pdf', 'application/pdf', '%PDF-'],
    ['zip', 'application/zip', 'PK'],
  ] as const) {
    const answer = await request.get(`/api/designs/${id}/export?as=${as}&paper=letter&large=yes&repeats=asterisk`)
    expect(answer.headers()['content-type']).toBe(type)
    expect((await answer.body()).subarray(0, begins.length).toString()).toBe(begins)
  }
})

test('other people\'s pages cannot write here', async ({ request }) => {
  const headers = { 'Origin': 'http://elsewhere.example', 'Content-Type': 'text/plain' }
  expect((await request.post('/api/designs', { data: JSON.stringify(sound), headers })).status()).toBe(403)
  expect((await request.delete('/api/designs/none', { headers })).status()).toBe(403)
})

const PORT = 3178

async function started(folder: string): Promise<OwnServer> {
  const server = new OwnServer(PORT, join(folder, 'records.sqlite'))
  await server.start()
  return server
}

test('killed amid a hundred saves, it has every save that it acknowledged', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  const api = `http://127.0.0.1:${PORT}/api/designs`
  const send = (path: string, method: string, body: object) =>
    fetch(api + path, { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } })
  const server = await started(folder)
  const acknowledged = new Map<string, { revision: number, name: string }>()
  const ids = await Promise.all(
    Array.from({ length: 10 }, async () => ((await (await send('', 'POST', sound)).json()) as { id: string }).id),
  )
  const saving = ids.map(async (id, bag) => {
    for (let revision = 1; revision <= 10; revision++) {
      const name = `Bag ${bag}, save ${revision}`
      const answer = await send(`/${id}`, 'PUT', { revision, document: { ...sound, name } }).catch(() => undefined)
      if (!answer?.ok) return
      acknowledged.set(id, { revision: revision + 1, name })
      if ([...acknowledged.values()].reduce((sum, { revision: n }) => sum + n - 1, 0) === 50) await server.kill()
    }
  })
  await Promise.all(saving)
  const count = [...acknowledged.values()].reduce((sum, { revision }) => sum + revision - 1, 0)
  expect(count).toBeGreaterThanOrEqual(50)
  expect(count).toBeLessThan(100)

  await server.start()
  for (const [id, { revision, name }] of acknowledged) {
    const kept = (await (await fetch(`${api}/${id}`)).json()) as { revision: number, document: { name: string } }
    // A save may have been written and its answer lost; none that was answered may be missing.
    expect(kept.revision).toBeGreaterThanOrEqual(revision)
    if (kept.revision === revision) expect(kept.document.name).toBe(name)
  }
  await server.kill()
  rmSync(folder, { recursive: true })
})

test('it listens on the loopback address alone unless told otherwise', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
  const server = await started(folder)
  const others = Object.values(networkInterfaces())
    .flat()
    .filter(one => one && !one.internal && one.family === 'IPv4')
    .map(one => one!.address)
  for (const address of others) {
    expect(
      await fetch(`http://${address}:${PORT}/api/designs`, { signal: AbortSignal.timeout(2000) }).then(
        () => 'answered',
        () => 'silent',
      ),
    ).toBe('silent')
  }
  await server.kill()
  rmSync(folder, { recursive: true })
})
