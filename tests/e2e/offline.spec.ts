import { expect, test } from './program'
import { freshBag } from './bag'
import { heading, logOf, takeUp, withoutQuestions } from './hookSteps'
import { OwnServer } from './ownServer'

test.use({ serviceWorkers: 'allow' })

test('the page opens without a network, goes on, and sends what was tapped when the server is back', async ({ page, request }) => {
  test.setTimeout(90_000)
  const server = new OwnServer(3180, `test-results/offline-${Date.now()}.sqlite`)
  await server.start()
  await withoutQuestions(page)
  const post = (path: string, options: object) => request.post(server.address + path, options)
  const bag = await freshBag({ post } as never, 'Away from home')
  const make = await takeUp(page, bag, server.address)
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  // Visited once: everything is kept when the worker has taken over.
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null), { timeout: 20_000 }).toBe(true)
  await server.kill()

  await page.reload()
  await expect(page.getByText('You were in')).toBeVisible()
  await page.getByRole('button', { name: 'Go on' }).click()
  for (let i = 0; i < 5; i++) await page.keyboard.press('PageDown')
  const stands = await heading(page).innerText()
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'away')
  await expect(page.getByText('5 kept here')).toBeVisible()

  // The list is there too, with the bag on the hook.
  await page.getByRole('link', { name: 'All bags' }).click()
  await page.getByRole('region', { name: 'On the hook' }).getByRole('link', { name: /New bag|Away from home/ }).click()
  await expect(heading(page)).toHaveText(stands, { useInnerText: true })

  await server.start()
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent', { timeout: 40_000 })
  const log = await logOf(request, make, server.address)
  expect(log.events.filter(event => event.do === 'moved')).toHaveLength(5)

  // Taken up without a server: it is begun there when that is back.
  await page.goto(`${server.address}/bags/${bag}`)
  await expect(page.getByRole('button', { name: 'Take it up' })).toBeVisible()
  await server.kill()
  await page.getByRole('button', { name: 'Take it up' }).click()
  await expect(page.locator('[data-beat]')).toBeVisible()
  const second = page.url().split('/').at(-1)!
  await page.keyboard.press('PageDown')
  await server.start()
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent', { timeout: 40_000 })
  expect((await logOf(request, second, server.address)).state.plan?.name).toBe('Away from home')
  await server.kill()
})

test('a bag that was opened here opens without a network, and is saved when the server is back', async ({ page, request }) => {
  test.setTimeout(90_000)
  const server = new OwnServer(3180, `test-results/offline-bag-${Date.now()}.sqlite`)
  await server.start()
  const post = (path: string, options: object) => request.post(server.address + path, options)
  const bag = await freshBag({ post } as never, 'Worked on away')
  await page.goto(`${server.address}/bags/${bag}`)
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Worked on away')
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null), { timeout: 20_000 }).toBe(true)
  await server.kill()

  await page.reload()
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('27')
  await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'failed')
  await page.getByRole('link', { name: 'All bags' }).first().click()
  await expect(page.getByRole('alert').filter({ hasText: 'does not answer' })).toBeVisible()
  await page.getByRole('region', { name: 'Only on this device' }).getByRole('link', { name: 'Open' }).click()
  await expect(page.locator('nav.labels').getByRole('button', { name: /^Base/ }).first()).toBeVisible()

  await server.start()
  await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'saved', { timeout: 40_000 })
  const kept = (await (await request.get(`${server.address}/api/designs/${bag}`)).json()) as { document: { base: { size: object } } }
  expect(kept.document.base.size).toEqual({ want: { diameterCm: 27 } })
  await server.kill()
})

test('a server that has lost everything gets it from the device; what was thrown away stays away', async ({ page, request }) => {
  test.setTimeout(60_000)
  const [first, second] = [1, 2].map(n => new OwnServer(3181, `test-results/lost-${n}-${Date.now()}.sqlite`)) as [OwnServer, OwnServer]
  await first.start()
  await withoutQuestions(page)
  const post = (path: string, options: object) => request.post(first.address + path, options)
  const make = await takeUp(page, await freshBag({ post } as never, 'Twice kept'), first.address)
  for (let i = 0; i < 4; i++) await page.keyboard.press('PageDown')
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  await first.kill()
  await second.start()
  await page.keyboard.press('PageDown')
  await expect.poll(async () => (await request.get(`${second.address}/api/makes/${make}`)).status(), { timeout: 40_000 }).toBe(200)
  await expect.poll(async () => (await logOf(request, make, second.address)).events.filter(event => event.do === 'moved').length).toBe(5)

  expect((await request.delete(`${second.address}/api/makes/${make}`)).status()).toBe(204)
  await page.keyboard.press('PageDown')
  await expect(page.getByText('This bag was thrown off the hook')).toBeVisible({ timeout: 40_000 })
  expect((await request.get(`${second.address}/api/makes/${make}`)).status()).toBe(404)
  await page.goto(second.address)
  await expect(page.getByRole('link', { name: /Twice kept Round/ })).toHaveCount(0)
  await second.kill()
})

test('what the page needs to be installed is there', async ({ page, request }) => {
  await page.goto('/')
  const manifest = (await (await request.get('/app.webmanifest')).json()) as { icons: { src: string, sizes: string }[] }
  for (const { src, sizes } of manifest.icons) {
    const size = await page.evaluate(async (from) => {
      const image = new Image()
      image.src = from
      await image.decode()
      return `${image.naturalWidth}x${image.naturalHeight}`
    }, src)
    expect(size, src).toBe(sizes)
  }
  expect((await request.get('/sw.js')).headers()['cache-control']).toBe('no-cache')
})
