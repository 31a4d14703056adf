import { type ChildProcess, spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { request as ask } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as rest } from 'node:timers/promises'
import { expect, test } from './program'

/*
 * The phone in the same house. The second loopback address stands for the home network here: to the program it is another door.
 */

const PORT = 3185
const HOUSE = `http://127.0.0.2:${PORT}`

let folder: string
let server: ChildProcess | undefined
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
})
test.afterEach(async () => {
  if (server?.exitCode === null) {
    const gone = new Promise(resolve => server!.once('exit', resolve))
    server.kill('SIGTERM')
    await gone
  }
  rmSync(folder, { recursive: true, force: true })
})

async function start(environment: Record<string, string> = {}): Promise<void> {
  const { HOST: _, ...inherited } = process.env
  server = spawn(process.execPath, ['.output/server/index.mjs'], {
    env: {
      ...inherited, PORT: String(PORT), FAIR_HOLLOW_DB: join(folder, 'records.sqlite'), FAIR_HOLLOW_ADDRESSES: '127.0.0.2', ...environment,
    },
  })
  let said = ''
  server.stdout!.on('data', (chunk: Buffer) => (said += chunk.toString()))
  for (let tries = 0; tries < 200; tries++) {
    if (said.includes('Fair Hollow is at')) return
    await rest(50)
  }
  throw new Error(said)
}

interface Asked {
  readonly method?: string
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: string
}

/** Asks over the home network as any program could: status, headers and body. */
function over(path: string, { method = 'GET', headers = {}, body = '' }: Asked = {}) {
  return new Promise<{ status: number, cookie: string | undefined, body: string }>((resolve, reject) => {
    const asked = ask({ host: '127.0.0.2', port: PORT, path, method, headers }, (answer) => {
      let text = ''
      answer.on('data', (chunk: Buffer) => (text += chunk.toString()))
      answer.on('end', () => resolve({ status: answer.statusCode!, cookie: answer.headers['set-cookie']?.[0], body: text }))
    })
    asked.on('error', reject)
    asked.end(body)
  })
}

const form = (code: string) => ({
  method: 'POST', headers: { 'Content-Type': 'application/x-www-form-urlencoded', 'Origin': HOUSE }, body: `code=${code}&name=my+phone`,
})

test('it is closed until it is opened; then one phone is let in by the letters, works, and can be sent away', async ({ page, browser }) => {
  await start()
  await expect(over('/')).rejects.toThrow()
  await page.goto(`http://127.0.0.1:${PORT}/safe`)
  await page.getByRole('button', { name: 'Use it on my phone' }).click()
  const code = (await page.locator('[data-code]').innerText()).trim()
  expect(code).toMatch(/^[A-Z]{6}$/)
  await expect(page.getByRole('img', { name: /for its camera/ })).toBeVisible()

  // Who is not let in reads nothing and writes nothing.
  for (const path of ['/api/designs', '/api/library/parcel', '/api/library/phone', '/api/nothing']) expect((await over(path)).status,
    path).toBe(401)
  expect((await over('/api/designs', { method: 'POST', body: '{}' })).status).toBe(401)
  expect((await over('/')).status).toBe(303)
  expect((await over('/_nuxt/entry.js')).status).toBe(303)
  expect((await over('/api/designs', { headers: { Host: `127.0.0.1:${PORT}` } })).status).toBe(421)
  expect((await over('/api/designs', { headers: { Cookie: `fair-hollow=${'x'.repeat(43)}` } })).status).toBe(401)

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  // As the camera reads it: the letters come behind the sign.
  await phone.goto(`${HOUSE}/let-in#${code}`)
  await expect(phone.getByLabel('The six letters on the screen')).toHaveValue(code)
  expect(new URL(phone.url()).hash).toBe('')
  await phone.getByLabel('What to call this machine').fill('the red phone')
  await phone.getByRole('button', { name: 'Let me in' }).click()
  await expect(phone.getByRole('heading', { name: 'Your bags' })).toBeVisible()
  await expect(phone.getByRole('heading', { name: 'Seed-head pouch' })).toBeVisible()
  const [cookie] = await phone.context().cookies()
  expect(cookie).toMatchObject({ name: 'fair-hollow', httpOnly: true, sameSite: 'Strict' })

  // It edits as the laptop does, and neither opens doors nor sends others away.
  await phone.getByRole('link', { name: /^Seed-head pouch/ }).last().click()
  await phone.getByLabel('Name', { exact: true }).fill('Pouch, by phone')
  await expect(phone.locator('[data-saving]')).toHaveAttribute('data-saving', 'saved')
  expect(await phone.evaluate(() => fetch('/api/library/phone', { method: 'POST' }).then(({ status }) => status))).toBe(403)
  const told = await phone.evaluate(async () => (await (await fetch('/api/library/phone')).json()) as object)
  expect(told).not.toHaveProperty('code')

  // The letters let nobody else in.
  expect((await over('/let-in', form(code))).status).toBe(429)
  await expect(page.getByText('the red phone')).toBeVisible({ timeout: 10_000 })
  await page.getByRole('button', { name: 'Send the red phone away' }).click()
  await expect(page.getByText('the red phone')).toHaveCount(0)
  await phone.goto(`${HOUSE}/`)
  await expect(phone.getByText('has not been let in yet')).toBeVisible()

  await page.getByRole('button', { name: 'Close it' }).click()
  await expect(page.getByText('Nobody reaches the program')).toBeVisible()
  await expect.poll(() => over('/').then(() => 'open', () => 'closed')).toBe('closed')
})

test('guessing is slow and ends soon; the door stays as it was left when the program is started again', async ({ page }) => {
  await start()
  await page.goto(`http://127.0.0.1:${PORT}/safe`)
  await page.getByRole('button', { name: 'Use it on my phone' }).click()
  await expect(page.locator('[data-code]')).toBeVisible()
  const from = Date.now()
  const statuses: number[] = []
  for (let i = 0; i < 6; i++) statuses.push((await over('/let-in', form('AAAAAA'))).status)
  expect(statuses).toEqual([403, 403, 403, 403, 429, 429])
  expect(Date.now() - from).toBeGreaterThan(3_000)
  expect((await over('/let-in', { ...form('AAAAAA'), headers: { Origin: 'http://evil.example' } })).status).toBe(403)
  const gone = new Promise(resolve => server!.once('exit', resolve))
  server!.kill('SIGTERM')
  await gone
  await start()
  // The door for the house opens a moment after the program answers its own machine.
  await expect.poll(() => over('/').then(({ status }) => status, () => 0)).toBe(303)
})

test('opened by hand it asks everybody for the passphrase', async () => {
  await start({ HOST: '0.0.0.0', FAIR_HOLLOW_PASSPHRASE: 'orchard gate' })
  expect((await over('/api/designs')).status).toBe(401)
  expect((await over('/let-in', form('orchard+fence'))).status).toBe(403)
  const { status, cookie } = await over('/let-in', form('orchard+gate'))
  expect(status).toBe(303)
  const [token] = cookie!.split(';')
  expect((await over('/api/designs', { headers: { Cookie: token! } })).status).toBe(200)
  expect((await over('/api/library/phone', { method: 'POST', headers: { Cookie: token!, Origin: HOUSE } })).status).toBe(403)
})

test('with a certificate of the maker\'s it is https, its cookie secure', async ({ browser }) => {
  const made = spawnSync('openssl', [
    'req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-subj', '/CN=fair-hollow.test', '-keyout', join(folder, 'key.pem'),
    '-out', join(folder, 'cert.pem'),
  ])
  test.skip(made.status !== 0, 'this machine has no openssl to make a certificate with')
  await start({ FAIR_HOLLOW_CERT: join(folder, 'cert.pem'), FAIR_HOLLOW_KEY: join(folder, 'key.pem') })
  const context = await browser.newContext({ ignoreHTTPSErrors: true })
  const page = await context.newPage()
  await page.goto(`https://127.0.0.1:${PORT}/safe`)
  await page.getByRole('button', { name: 'Use it on my phone' }).click()
  const code = (await page.locator('[data-code]').innerText()).trim()
  await expect(page.getByText(`https://127.0.0.2:${PORT}`)).toBeVisible()
  const phone = await context.newPage()
  await phone.goto(`https://127.0.0.2:${PORT}/let-in#${code}`)
  await phone.getByRole('button', { name: 'Let me in' }).click()
  await expect(phone.getByRole('heading', { name: 'Your bags' })).toBeVisible()
  expect((await context.cookies()).find(({ name }) => name === 'fair-hollow')).toMatchObject({ secure: true, httpOnly: true })
  expect(await phone.evaluate(() => isSecureContext)).toBe(true)
})
