import type { APIRequestContext, Page } from '@playwright/test'
import Database from 'better-sqlite3'
import { newDesign } from '../../core/bag/design/starter'
import { expect, freshBag, goWithin, saved, tally, test } from './bag'
import { OwnServer } from './ownServer'

/*
 * No edit is lost in the page: whatever ends it, whoever else saves, whatever the server says.
 */

/** Number of tabs that crash; `npm run torture` sets more. */
const CRASHES = Number(process.env.PAGE_CRASHES ?? 4)

interface Kept {
  readonly revision: number
  readonly document: { readonly name: string, readonly base: Sized, readonly wall: readonly Sized[] }
}

interface Sized {
  readonly size: object
}

async function kept(request: APIRequestContext, id: string): Promise<Kept> {
  return (await (await request.get(`/api/designs/${id}`)).json()) as Kept
}

async function across(page: Page, cm: string): Promise<void> {
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('textbox', { name: 'Across the floor' }).fill(cm)
}

/** No save gets through from here on. */
async function cutOff(page: Page): Promise<void> {
  await page.route('**/api/designs/*', route => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
}

test.describe('a page that ends', () => {
  test.use({ expected: [/Failed to load resource|crash/i] })

  test('without a word loses nothing: every edit is found again, saved, and can be undone', async ({ page, context, request }) => {
    test.setTimeout(60_000 + CRASHES * 12_000)
    let found = 0
    for (let i = 0; i < CRASHES; i++) {
      const id = await freshBag(request, `Interrupted ${i}`)
      const tab = await context.newPage()
      await tab.goto(`/bags/${id}`)
      await expect(tally(tab, 'Rounds')).toBeVisible()
      await cutOff(tab)
      await across(tab, String(20 + i))
      // The tab is gone a moment after the last keystroke, long before a save is due.
      const devtools = await context.newCDPSession(tab)
      await Promise.race([devtools.send('Page.crash').catch(() => {}), tab.waitForEvent('crash').catch(() => {})])
      await tab.close()
      await page.goto(`/bags/${id}`)
      await saved(page)
      const now = await kept(request, id)
      if (JSON.stringify(now.document.base.size) === JSON.stringify({ want: { diameterCm: 20 + i } })) found++
    }
    expect(found).toBe(CRASHES)
    await page.keyboard.press('u')
    await saved(page)
  })

  test('and is opened again can undo what was saved', async ({ page, request }) => {
    const id = await freshBag(request, 'Remembering pouch')
    await page.goto(`/bags/${id}`)
    await across(page, '19')
    await saved(page)
    await page.getByRole('button', { name: /^Plain wall/ }).first().click()
    await page.getByRole('textbox', { name: 'Height of this band' }).first().fill('9')
    await saved(page)
    await page.reload()
    await expect(tally(page, 'Rounds')).toBeVisible()
    await page.getByRole('button', { name: /^Undo/ }).click()
    await page.getByRole('button', { name: /^Undo/ }).click()
    await saved(page)
    expect((await kept(request, id)).document).toMatchObject({ base: { size: { want: { diameterCm: 12 } } },
      wall: [{ size: { want: { heightCm: 14 } } }] })
    await page.getByRole('button', { name: /^Redo/ }).click()
    await saved(page)
    expect((await kept(request, id)).document.base.size).toEqual({ want: { diameterCm: 19 } })
  })
})

test('a bag larger than what outlives a page is saved', async ({ page, request }) => {
  const repeats = Array.from({ length: 25 }, (_, i) => ({
    id: `own-${i}`, name: `Long ${i}`, lines: Array.from({ length: 24 },
      () => `sc in next, ${'sc in same st, '.repeat(14)}sk next st`.slice(0, 250)),
  }))
  const id = await freshBag(request, 'Large pouch', { repeats })
  await page.goto(`/bags/${id}`)
  await across(page, '17')
  await saved(page)
  expect((await kept(request, id)).document.base.size).toEqual({ want: { diameterCm: 17 } })
})

test.describe('going elsewhere', () => {
  test.use({ expected: [/Failed to load resource/] })

  test('while the program does not answer keeps the work, says so in the list, and sends it once it does', async ({ page, request }) => {
    const [id, next] = [await freshBag(request, 'Left pouch'), await freshBag(request, 'Next pouch')]
    await page.goto(`/bags/${id}`)
    await expect(tally(page, 'Rounds')).toBeVisible()
    await cutOff(page)
    await across(page, '21')
    await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'failed')
    await goWithin(page, `/bags/${next}`)
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Next pouch')
    await page.getByRole('link', { name: 'All bags' }).first().click()
    const left = page.getByRole('region', { name: 'Only on this device' })
    await expect(left).toContainText('Left pouch')
    await expect(left).toContainText('did not answer')
    await page.unroute('**/api/designs/*')
    await page.reload()
    await expect(left).toHaveCount(0)
    await expect.poll(async () => (await kept(request, id)).document.base.size).toEqual({ want: { diameterCm: 21 } })
  })

  test('after a clash keeps the work, and offers it as a copy', async ({ page, request }) => {
    const id = await freshBag(request, 'Clashing pouch')
    await page.goto(`/bags/${id}`)
    await expect(tally(page, 'Rounds')).toBeVisible()
    const theirs = { ...newDesign('Clashing pouch'), base: { ...newDesign('x').base, size: { want: { diameterCm: 33 } } } }
    expect((await request.put(`/api/designs/${id}`, { data: { revision: 1, document: theirs } })).status()).toBe(200)
    await across(page, '22')
    await expect(page.getByRole('alert')).toContainText('changed elsewhere')
    await page.getByRole('link', { name: 'All bags' }).first().click()
    const left = page.getByRole('region', { name: 'Only on this device' })
    await expect(left).toContainText('changed elsewhere too')
    await left.getByRole('button', { name: 'Keep as a copy' }).click()
    await expect(left).toHaveCount(0)
    await expect(page.getByRole('heading', { name: 'Clashing pouch, my copy' })).toBeVisible()
    expect((await kept(request, id)).document.base.size).toEqual({ want: { diameterCm: 33 } })
  })

  test('an answer that is lost is no conflict, however much is typed on', async ({ page, request }) => {
    const id = await freshBag(request, 'Unheard pouch')
    await page.goto(`/bags/${id}`)
    await expect(tally(page, 'Rounds')).toBeVisible()
    let lost = 0
    await page.route('**/api/designs/*', async (route) => {
      if (route.request().method() !== 'PUT' || lost++ > 0) return route.continue()
      await route.fetch()
      return route.abort()
    })
    await across(page, '23')
    await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'failed')
    await across(page, '24')
    await saved(page)
    expect(await kept(request, id)).toMatchObject({ revision: 3, document: { base: { size: { want: { diameterCm: 24 } } } } })
  })
})

test.describe('both at once', () => {
  // Whichever tab is second is told so, and sends again what both said.
  test.use({ expected: [[/status of 409/], { scope: 'test' }] })

  test('two tabs on one bag see each other\'s edits, and both may edit at once', async ({ page, context, request }) => {
    const id = await freshBag(request, 'Shared pouch')
    await page.goto(`/bags/${id}`)
    const other = await context.newPage()
    await other.goto(`/bags/${id}`)
    await expect(tally(other, 'Rounds')).toBeVisible()
    await across(page, '25')
    await saved(page)
    await other.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
    await expect(other.getByRole('textbox', { name: 'Across the floor' })).toHaveValue('25')
    await other.getByRole('button', { name: /^Plain wall/ }).first().click()
    await other.getByRole('textbox', { name: 'Height of this band' }).first().fill('8')
    await page.getByRole('textbox', { name: 'Across the floor' }).fill('26')
    await saved(page)
    await saved(other)
    await expect.poll(async () => (await kept(request, id)).document).toMatchObject({
      base: { size: { want: { diameterCm: 26 } } }, wall: [{ size: { want: { heightCm: 8 } } }],
    })
    await expect(tally(page, 'Rounds')).toHaveText(await tally(other, 'Rounds').innerText())
  })
})

test('what the page lets one type the program takes: a swatch over 1 cm is told in its field, and what comes later is saved',
  async ({ page, request }) => {
    const id = await freshBag(request, 'Typed pouch')
    await page.goto(`/bags/${id}`)
    const over = page.getByRole('textbox', { name: 'Counted over', exact: true }).first()
    await over.fill('1')
    await expect(page.locator('.v-messages').filter({ hasText: 'count again' })).toBeVisible()
    await page.getByLabel('Name', { exact: true }).fill('Typed pouch, renamed')
    await saved(page)
    expect((await kept(request, id)).document.name).toBe('Typed pouch, renamed')
    await over.fill('12.5')
    await saved(page)
    expect((await kept(request, id)).document).toMatchObject({ gauge: { measured: { sc: { overCm: 12.5 } } } })
  })

test('a bag that cannot be read hides no other, and can be saved to a file or thrown away', async ({ page, request }) => {
  // Written past the program, as a file mended by hand would be.
  const id = await freshBag(request, 'Broken pouch')
  await page.route(`**/api/designs/${id}`, async (route) => {
    if (route.request().method() !== 'GET') return route.continue()
    const answer = await (await route.fetch()).json() as object
    return route.fulfill({ json: { ...answer, unreadable: ['base.form: must be one of: circle'] } })
  })
  await page.goto(`/bags/${id}`)
  await expect(page.getByRole('alert')).toContainText('cannot be read')
  await expect(page.getByRole('link', { name: 'Save it to a file' })).toHaveAttribute('href', `/api/designs/${id}/export?as=design`)
  await page.getByRole('button', { name: 'Delete this bag' }).click()
  await expect(page).toHaveURL('/')
  expect((await request.get(`/api/designs/${id}`)).status()).toBe(404)
})

test.describe('an address that leads nowhere', () => {
  test.use({ expected: [/Page not found|Failed to load resource/] })

  test('says so, and leads back', async ({ page }) => {
    await page.goto('/nowhere/at/all')
    await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible()
    await page.getByRole('link', { name: 'All bags' }).click()
    await expect(page.getByRole('heading', { name: 'Your bags' })).toBeVisible()
  })
})

test.describe('earlier states', () => {
  test.use({ expected: [/^asked http:\/\/127\.0\.0\.1:3187/] })

  test('are listed, looked at on the bench, and gone back to', async ({ page, request }) => {
    const records = `test-results/versions-${Date.now()}.sqlite`
    const server = new OwnServer(3187, records)
    await server.start()
    const pouch = newDesign('Remembered pouch')
    const sized = (diameterCm: number) => ({ ...pouch, base: { ...pouch.base, size: { want: { diameterCm } } } })
    const api = `${server.address}/api/designs`
    const { id } = (await (await request.post(api, { data: sized(12) })).json()) as { id: string }
    // As if the maker had got up from it long ago.
    const db = new Database(records)
    db.prepare('UPDATE designs SET updated_at = ? WHERE id = ?').run('2026-01-05T19:30:00.000Z', id)
    db.close()
    expect((await request.put(`${api}/${id}`, { data: { revision: 1, document: sized(30) } })).status()).toBe(200)

    await page.goto(`${server.address}/bags/${id}`)
    const now = await tally(page, 'Rounds').innerText()
    await page.getByRole('button', { name: 'Earlier states of the bag' }).click()
    await page.getByRole('button', { name: /^Look at/ }).click()
    await expect(tally(page, 'Rounds')).not.toHaveText(now)
    await page.getByRole('button', { name: 'Close' }).click()
    await expect(tally(page, 'Rounds')).toHaveText(now)
    await page.getByRole('button', { name: 'Earlier states of the bag' }).click()
    await page.getByRole('button', { name: /^Go back to/ }).click()
    await expect(tally(page, 'Rounds')).not.toHaveText(now)
    const kept = (await (await request.get(`${api}/${id}`)).json()) as Kept
    expect(kept).toMatchObject({ revision: 3, document: { base: { size: { want: { diameterCm: 12 } } } } })
    // What was left is kept in its turn.
    const versions = (await (await request.get(`${api}/${id}/versions`)).json()) as { revision: number }[]
    expect(versions.map(({ revision }) => revision)).toEqual([2, 1])
    await server.kill()
  })
})
