import { spawn } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { request as ask } from 'node:http'
import { join } from 'node:path'
import { setTimeout as rest } from 'node:timers/promises'
import Database from 'better-sqlite3'
import { expect, test } from './program'
import { newDesign } from '../../core/bag/design/starter'
import { Besieged } from '../siege/server'
import { OwnRecords } from './ownRecords'

/*
 * Restoring, replacing and exporting records while the server runs: no acknowledged save is lost.
 */

const PORT = 3185
const own = new OwnRecords(PORT)
/** The worst documents that a search found. */
const WORST = 'tests/siege/worst'

/** Runs a command-line script on the records; returns its output and exit code. */
function command(file: string, ...args: string[]): Promise<{ readonly said: string, readonly code: number | null }> {
  const child = spawn('npx', ['tsx', '--tsconfig', 'cli/tsconfig.json', file, ...args], {
    env: { ...process.env, FAIR_HOLLOW_DB: own.path },
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
  await own.server.start()
  await own.post('/api/designs', newDesign('Before all'))
  const { name } = JSON.parse((await own.post('/api/library/copies', {}))!.body) as { name: string }
  const acknowledged: string[] = []
  let going = true
  let n = 0
  const savers = Array.from({ length: 4 }, async () => {
    while (going) {
      const bag = `Bag ${++n}`
      const answer = await own.post('/api/designs', newDesign(bag))
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
  const [now, before] = [namesIn(own.path), namesIn(kept)]
  expect(acknowledged.length).toBeGreaterThan(40)
  expect(acknowledged.filter(bag => !now.has(bag) && !before.has(bag))).toEqual([])
  expect(acknowledged.some(bag => now.has(bag)) && acknowledged.some(bag => before.has(bag))).toBe(true)
  expect(now.has('Before all')).toBe(true)
})

test('what the disk would not take is not said to be kept, and is kept once it does', async () => {
  own.serveOnDisk({})
  await own.server.start()
  const save = (name: string) => own.server.send({
    method: 'POST', path: '/api/designs', body: JSON.stringify(newDesign(name)), headers: { 'Save-Id': `save-${name}` },
  })
  expect((await save('before'))!.status).toBe(201)
  writeFileSync(join(own.folder, 'disk-fails'), '')
  const refused = (await save('meanwhile'))!
  expect(refused.status).toBe(503)
  const message = expect.stringContaining('The disk failed') as unknown
  expect(JSON.parse(refused.body)).toMatchObject({ data: { trouble: 'io' }, message })
  // Sent again it is known, and not kept all the same.
  expect((await save('meanwhile'))!.status).toBe(503)
  rmSync(join(own.folder, 'disk-fails'))
  expect((await save('meanwhile'))!.status).toBe(201)
  await own.server.kill()
  expect([...namesIn(own.path)].sort()).toEqual(['before', 'meanwhile'])
})

test('a second program on the same records says who has them; killed, the next has them at once', async () => {
  await own.server.start()
  const second = new Besieged(PORT + 1, own.path)
  await expect(second.start()).rejects.toThrow(new RegExp(`Another Fair Hollow is running.*http://127\\.0\\.0\\.1:${PORT}`, 's'))
  await own.server.kill()
  await second.start()
  await second.kill()
})

test('another file in the place of the records: what was acknowledged is kept as a copy, nothing goes into the old one', async () => {
  await own.server.start()
  await own.post('/api/designs', newDesign('In the old one'))
  const other = join(own.folder, 'other.sqlite')
  const db = new Database(own.path, { readonly: true })
  db.prepare('VACUUM INTO ?').run(other)
  db.close()
  await own.post('/api/designs', newDesign('Acknowledged last'))
  for (const tail of ['-wal', '-shm']) rmSync(own.path + tail, { force: true })
  writeFileSync(own.path + '.new', readFileSync(other))
  rmSync(own.path)
  writeFileSync(own.path, readFileSync(other))
  expect((await own.post('/api/designs', newDesign('In the new one')))!.status).toBe(201)
  await own.server.kill()
  expect([...namesIn(own.path)].sort()).toEqual(['In the new one', 'In the old one'])
  const copy = readdirSync(`${own.path}.copies`).find(one => one.includes('before-restore'))!
  expect(namesIn(join(`${own.path}.copies`, copy)).has('Acknowledged last')).toBe(true)
})

test('the worst that is allowed is written out within the memory there is for it', async () => {
  test.setTimeout(300_000)
  await own.server.start()
  await own.server.kill()
  // What cannot be made at all is refused when it begins; it may be in the records all the same.
  const db = new Database(own.path)
  const add = db.prepare('INSERT INTO designs (id, name, document, created_at, updated_at) VALUES (?, ?, ?, \'1\', \'1\')')
  const files = readdirSync(WORST).filter(file => file.endsWith('.json'))
  for (const file of files) add.run(file, file, readFileSync(join(WORST, file), 'utf8'))
  db.close()
  await own.server.start()
  expect(files.length).toBeGreaterThan(0)
  for (const file of files) {
    for (const as of ['text', 'zip'])
      expect((await own.server.send({ method: 'GET', path: `/api/designs/${file}/export?as=${as}` }))!.status, `${file} as ${as}`).toBe(200)
  }
  expect(own.server.said).not.toContain('too-much')
})

test('a path written in another way passes no gate, and a passphrase is slowed down and never shut', async () => {
  test.setTimeout(60_000)
  own.serve({ HOST: '0.0.0.0', FAIR_HOLLOW_PASSPHRASE: 'a long passphrase' })
  await own.server.start()
  for (const way of ['/%61pi/designs', '/a%70i/designs', '/x/../api/designs', '/%2e/api/designs'])
    expect((await own.server.send({ method: 'GET', path: way }))!.status, way).toBe(400)
  expect((await own.server.send({ method: 'GET', path: '/api/designs' }))!.status).toBe(401)
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
  await own.server.start()
  await own.post('/api/library/copies', {})
  await own.server.kill()
  const left = [`${own.path}.part`, join(`${own.path}.copies`, '2026-01-01T00-00-00-000.daily.sqlite.part')]
  for (const file of left) writeFileSync(file, Buffer.alloc(1_000_000))
  await own.server.start()
  expect(left.filter(file => existsSync(file))).toEqual([])
})
