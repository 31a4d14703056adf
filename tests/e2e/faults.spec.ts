import { type ChildProcess, spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as rest } from 'node:timers/promises'
import { expect, test } from './program'
import Database from 'better-sqlite3'
import { newDesign } from '../../core/bag/design/starter'

/*
 * Faults of the machine, on real files: each is told in a sentence that says what is safe and what to do, and never with a stack of calls.
 */

const PORT = 3182
const ADDRESS = `http://127.0.0.1:${PORT}`

let folder: string
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
})
const all: Running[] = []
test.afterEach(async () => {
  for (const { child, ended } of all.splice(0)) {
    child.kill('SIGKILL')
    await ended
  }
  rmSync(folder, { recursive: true, force: true })
})

interface Running {
  readonly child: ChildProcess
  readonly said: () => string
  readonly ended: Promise<number | null>
}

function run(environment: Record<string, string> = {}): Running {
  const { HOST: _, ...inherited } = process.env
  const child = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: { ...inherited, PORT: String(PORT), FAIR_HOLLOW_DB: join(folder, 'records.sqlite'), ...environment },
  })
  let said = ''
  child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()))
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()))
  const running = { child, said: () => said, ended: new Promise<number | null>(resolve => child.once('exit', resolve)) }
  all.push(running)
  return running
}

async function up(running: Running): Promise<void> {
  for (let tries = 0; tries < 600; tries++) {
    if (running.said().includes('Fair Hollow is at')) return
    await rest(50)
  }
  throw new Error(`the server did not start: ${running.said()}`)
}

async function stop({ child, ended }: Running): Promise<number | null> {
  child.kill('SIGTERM')
  return ended
}

const post = (name: string) =>
  fetch(`${ADDRESS}/api/designs`, {
    method: 'POST', body: JSON.stringify(newDesign(name)), headers: { 'Content-Type': 'application/json' },
  })
async function names(): Promise<string[]> {
  const { bags } = (await (await fetch(`${ADDRESS}/api/designs`)).json()) as { bags: { name: string }[] }
  return bags.map(({ name }) => name)
}

/** What is said before the program ends by itself, and that it ends with another code than 0. */
async function given(environment: Record<string, string>): Promise<string> {
  const running = run(environment)
  expect(await running.ended).toBe(1)
  const said = running.said()
  expect(said).not.toMatch(/^\s+at /m)
  expect(said).not.toContain('Error')
  return said
}

test('what it is asked to do and cannot: a bad port or host, a port in use, open to the network without a passphrase', async () => {
  expect(await given({ PORT: '99999' })).toContain('PORT is "99999": it must be a whole number from 1 to 65535')
  expect(await given({ PORT: 'three' })).toContain('Nothing was started')
  expect(await given({ HOST: 'not a host' })).toContain('HOST is "not a host"')
  expect(await given({ HOST: '203.0.113.7', FAIR_HOLLOW_PASSPHRASE: 'long enough' })).toContain('not an address of this machine')
  expect(await given({ HOST: '0.0.0.0' })).toContain('FAIR_HOLLOW_PASSPHRASE')
  expect(await given({ HOST: '0.0.0.0', FAIR_HOLLOW_PASSPHRASE: 'short' })).toContain('at least 8 characters')
  expect(await given({ FAIR_HOLLOW_CERT: join(folder, 'none.pem'), FAIR_HOLLOW_KEY: join(folder,
    'none.key') })).toContain('none.pem cannot be read')
  const other = createServer().listen(PORT, '127.0.0.1')
  expect(await given({})).toContain(`PORT=${PORT + 1}`)
  await new Promise(resolve => other.close(resolve))
})

test('records that are none, of a later version, or in a folder that cannot be made', async () => {
  const wrong = join(folder, 'letter.sqlite')
  writeFileSync(wrong, 'Dear Ada, '.repeat(500))
  const before = readFileSync(wrong)
  expect(await given({ FAIR_HOLLOW_DB: wrong })).toContain('is not a file of Fair Hollow\'s records. It was left as it is.')
  expect(readFileSync(wrong).equals(before)).toBe(true)
  const other = new Database(join(folder, 'recipes.sqlite'))
  other.exec('CREATE TABLE recipes (a)')
  other.close()
  expect(await given({ FAIR_HOLLOW_DB: join(folder, 'recipes.sqlite') })).toContain('is not a file of Fair Hollow')
  writeFileSync(join(folder, 'file'), '')
  expect(await given({ FAIR_HOLLOW_DB: join(folder, 'file', 'deep', 'records.sqlite') })).toContain('cannot be made or written to')
  mkdirSync(join(folder, 'directory.sqlite'))
  expect(await given({ FAIR_HOLLOW_DB: join(folder, 'directory.sqlite') })).toContain('cannot be opened')
  const running = run()
  await up(running)
  expect(await stop(running)).toBe(0)
  const later = new Database(join(folder, 'records.sqlite'))
  later.pragma('user_version = 99')
  later.close()
  expect(await given({})).toContain('later version')
})

/** A file system of its own, where this machine lets tests have one. */
function mounted(options: string): string | undefined {
  const at = join(folder, 'disk')
  mkdirSync(at)
  return spawnSync('mount', ['-t', 'tmpfs', '-o', options, 'tmpfs', at]).status === 0 ? at : undefined
}

test('a disk that is full: saves are refused in words, what was saved is there, and saving goes on once there is room', async () => {
  const disk = mounted('size=8M')
  test.skip(!disk, 'this machine lets no test have a small disk of its own')
  const running = run({ FAIR_HOLLOW_DB: join(disk!, 'records.sqlite'), FAIR_HOLLOW_DEMO: 'no' })
  try {
    await up(running)
    const saved: string[] = []
    let full: Response | undefined
    for (let i = 0; i < 4_000 && !full; i++) {
      const answer = await post(`Bag ${i}`)
      if (answer.ok) saved.push(`Bag ${i}`)
      else full = answer
      if (i === 20) writeFileSync(join(disk!, 'filler'), Buffer.alloc(4_500_000))
    }
    expect(full?.status).toBe(503)
    const { message, data } = (await full!.json()) as { message: string, data: { trouble: string } }
    expect(message).toContain('is full. What was saved is safe')
    expect(data.trouble).toBe('full')
    expect((await names())[0]).toBe(saved.at(-1))
    rmSync(join(disk!, 'filler'))
    expect((await post('After')).status).toBe(201)
    expect((await names())[0]).toBe('After')
  }
  finally {
    await stop(running)
    spawnSync('umount', [disk!])
  }
})

test('a disk that is full at the start: what is there can be read, that nothing is saved is said, and saving goes on once there is room',
  async () => {
    const disk = mounted('size=8M')
    test.skip(!disk, 'this machine lets no test have a small disk of its own')
    const FAIR_HOLLOW_DB = join(disk!, 'records.sqlite')
    const first = run({ FAIR_HOLLOW_DB, FAIR_HOLLOW_DEMO: 'no' })
    await up(first)
    for (let i = 0; i < 20; i++) await post(`Bag ${i}`)
    await stop(first)
    spawnSync('sh', ['-c', `cat /dev/zero > ${join(disk!, 'filler')}`])
    const again = run({ FAIR_HOLLOW_DB, FAIR_HOLLOW_DEMO: 'no' })
    try {
      await up(again)
      expect((await names())[0]).toBe('Bag 19')
      const refused = await post('No room')
      expect(refused.status).toBe(503)
      expect(((await refused.json()) as { message: string }).message).toContain('is full. What was saved is safe')
      rmSync(join(disk!, 'filler'))
      await expect.poll(async () => (await post('Room again')).status, { timeout: 10_000 }).toBe(201)
      expect((await names())[0]).toBe('Room again')
      await expect.poll(async () => (await fetch(`${ADDRESS}/api/library/parcel`)).status, { timeout: 10_000 }).toBe(200)
    }
    finally {
      await stop(again)
      spawnSync('umount', [disk!])
    }
  })

test('records that can only be read are told at the start', async () => {
  const disk = mounted('size=8M')
  test.skip(!disk, 'this machine lets no test have a disk of its own')
  const FAIR_HOLLOW_DB = join(disk!, 'records.sqlite')
  const running = run({ FAIR_HOLLOW_DB })
  await up(running)
  await stop(running)
  expect(spawnSync('mount', ['-o', 'remount,ro', disk!]).status).toBe(0)
  try {
    expect(await given({ FAIR_HOLLOW_DB })).toMatch(/can be read but not written|cannot be opened|cannot be made or written to/)
  }
  finally {
    spawnSync('umount', [disk!])
  }
})

test('records that another program holds: short waits and a 503 in words, and on it goes when that lets go', async () => {
  const running = run()
  await up(running)
  const other = new Database(join(folder, 'records.sqlite'))
  // What looks at a bag before it is kept is there by then.
  await post('First')
  other.exec('BEGIN EXCLUSIVE')
  const from = Date.now()
  const answer = await post('Held up')
  expect(answer.status).toBe(503)
  expect(Date.now() - from).toBeLessThan(1_000)
  expect(((await answer.json()) as { message: string }).message).toContain('Another program holds')
  other.exec('COMMIT')
  other.close()
  expect((await post('Let go')).status).toBe(201)
  await stop(running)
})

test('records whose beginning is lost: the copies beside them are offered, and what the rest holds is brought over', async () => {
  const running = run({ FAIR_HOLLOW_DEMO: 'no' })
  await up(running)
  await post('In the copy')
  expect((await fetch(`${ADDRESS}/api/library/copies`, { method: 'POST' })).status).toBe(201)
  await post('After the copy')
  await stop(running)
  const path = join(folder, 'records.sqlite')
  // What a server that ended in a hurry left in the log beside would mend the beginning.
  const settled = new Database(path)
  settled.pragma('wal_checkpoint(TRUNCATE)')
  settled.close()
  const bytes = readFileSync(path)
  writeFileSync(path, bytes.fill(0, 0, 100))
  const broken = run({ FAIR_HOLLOW_DEMO: 'no' })
  await up(broken)
  await expect.poll(broken.said).toContain('is damaged')
  const salvaged = await fetch(`${ADDRESS}/api/library/salvage`, { method: 'POST' })
  expect(await salvaged.json()).toMatchObject({ lost: 0, copy: expect.stringContaining('asked') as unknown })
  expect(await names()).toEqual(['After the copy', 'In the copy'])
  await stop(broken)
})

test('a text that is cut short: it is named, and all else is served', async ({ page }) => {
  const running = run({ FAIR_HOLLOW_DEMO: 'no' })
  await up(running)
  await post('Sound')
  await post('Cut short')
  await stop(running)
  const db = new Database(join(folder, 'records.sqlite'))
  db.exec('DROP TRIGGER designs_changed')
  db.pragma('ignore_check_constraints = ON')
  db.exec('UPDATE designs SET document = substr(document, 1, 99) WHERE name = \'Cut short\'')
  db.close()
  const again = run({ FAIR_HOLLOW_DEMO: 'no' })
  await up(again)
  expect(await names()).toEqual(['Cut short', 'Sound'])
  for (const address of ['designs', 'makes', 'orders', 'logbook', 'library/parcel'])
    expect((await fetch(`${ADDRESS}/api/${address}`)).status, address).toBe(200)
  await page.goto(`${ADDRESS}/safe`)
  await expect(page.getByRole('note').filter({ hasText: 'could not be read' })).toContainText('Cut short')
  await stop(again)
})

test('a file that is deleted while the program runs is written anew, with all that was in it', async () => {
  const running = run()
  await up(running)
  await post('Before')
  for (const tail of ['', '-wal', '-shm']) rmSync(join(folder, `records.sqlite${tail}`), { force: true })
  await post('Between')
  await expect.poll(() => existsSync(join(folder, 'records.sqlite')), { timeout: 8_000 }).toBe(true)
  await expect.poll(running.said).toContain('written anew, whole')
  await post('After')
  await stop(running)
  const again = run()
  await up(again)
  expect((await names()).slice(0, 3)).toEqual(['After', 'Between', 'Before'])
  await stop(again)
})

test('damaged records: the page says so and starts from the last good copy if the maker agrees; what can be read is brought over',
  async ({ page }) => {
    const running = run()
    await up(running)
    for (let i = 0; i < 300; i++) await post(`Bag ${i}`)
    expect((await fetch(`${ADDRESS}/api/library/copies`, { method: 'POST' })).status).toBe(201)
    await post('After the copy')
    await stop(running)
    const path = join(folder, 'records.sqlite')
    const bytes = readFileSync(path)
    bytes.fill(0xa7, Math.floor(bytes.length / 2 / 4096) * 4096, Math.floor(bytes.length / 2 / 4096) * 4096 + 12_288)
    writeFileSync(path, bytes)
    truncateSync(`${path}`, statSync(path).size)

    const broken = run()
    await up(broken)
    await expect.poll(broken.said).toContain('is damaged')
    const answer = await fetch(`${ADDRESS}/api/designs`)
    expect(answer.status).toBe(503)
    expect(((await answer.json()) as { message: string }).message).toContain('is damaged. It is kept as it is')
    await page.goto(`${ADDRESS}/`)
    await expect(page.getByRole('alert').first()).toContainText('is damaged')
    await page.goto(`${ADDRESS}/safe`)
    await page.getByRole('button', { name: 'Start from the last good copy' }).click()
    await expect(page.getByRole('status').filter({ hasText: 'The last good copy is in place' })).toBeVisible()
    expect((await names())[0]).toBe('After the copy')
    const demoBags = readdirSync('demo').filter(file => !/^(make|swatch|yarn|order)-/.test(file)).length
    expect(((await (await fetch(`${ADDRESS}/api/designs`)).json()) as { total: number }).total).toBe(301 + demoBags)
    await stop(broken)
  })
