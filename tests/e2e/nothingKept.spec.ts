import type { Page } from '@playwright/test'
import { expect, freshBag, saved, tally, test } from './bag'
import { heading, logOf, takeUp, withoutQuestions } from './hookSteps'

/*
 * Browsers that keep little or nothing: no database, no room beside it. What is done reaches the server all the same; what does not is
 * told as it is.
 */

/** A browser without a database, and without room to write anything down if asked for. */
async function keepsNothing(page: Page, withRoom: boolean): Promise<void> {
  await page.addInitScript((room) => {
    Object.defineProperty(window, 'indexedDB', { value: { open: () => {
      throw new DOMException('no database here', 'InvalidStateError')
    } } })
    if (room) return
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  }, withRoom)
}

for (const withRoom of [true, false]) {
  const room = withRoom ? '' : ' and without room'
  test(`without a database${room} a bag is taken up, and every tap reaches the server`, async ({ page, request }) => {
    await withoutQuestions(page)
    await keepsNothing(page, withRoom)
    const make = await takeUp(page, await freshBag(request, `Forgetful ${String(withRoom)}`))
    const before = await heading(page).innerText()
    for (let i = 0; i < 5; i++) await page.keyboard.press('PageDown')
    await expect(heading(page)).not.toHaveText(before)
    await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
    expect((await logOf(request, make)).events.filter(event => event.do === 'moved')).toHaveLength(5)
    // What waited when the page was closed is sent by the next opening, if it could be written down.
    await page.reload()
    await expect(page.locator('[data-beat]')).toBeVisible()
  })
}

test.describe('the server away', () => {
  test.use({ expected: [/Failed to load resource/i] })

  test('a tap that is written down nowhere else is sent by the next opening', async ({ page, request }) => {
    await withoutQuestions(page)
    await keepsNothing(page, true)
    const make = await takeUp(page, await freshBag(request, 'Half forgetful'))
    await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
    await page.route('**/events', route => route.abort())
    for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown')
    await expect(page.getByText('3 kept here')).toBeVisible()
    await page.unroute('**/events')
    await page.reload()
    await expect.poll(async () => (await logOf(request, make)).events.filter(event => event.do === 'moved').length).toBe(3)
  })

  test('what nothing keeps is told as that: at the hook, in the bag, and before it is left', async ({ page, request }) => {
    await withoutQuestions(page)
    await keepsNothing(page, false)
    const bag = await freshBag(request, 'Forgotten')
    await takeUp(page, bag)
    await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
    await page.route('**/events', route => route.abort())
    await page.keyboard.press('PageDown')
    await expect(page.getByText('1 not kept')).toBeVisible()
    await page.unroute('**/events')
    await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent', { timeout: 20_000 })

    await page.goto(`/bags/${bag}`)
    await expect(tally(page, 'Rounds')).toBeVisible()
    await page.route('**/api/designs/*', route => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
    await page.getByLabel('Name', { exact: true }).fill('Changed')
    await expect(page.getByText('on this page alone').first()).toBeVisible()
    const asked: string[] = []
    page.on('dialog', (dialog) => {
      asked.push(dialog.type())
      void dialog.dismiss()
    })
    await page.getByRole('link', { name: 'All bags' }).first().click()
    await expect.poll(() => asked).toContain('confirm')
    expect(page.url()).toContain(bag)
    await page.close({ runBeforeUnload: true })
    await expect.poll(() => asked).toContain('beforeunload')
    await page.unroute('**/api/designs/*')
    await saved(page)
  })
})

test('an order and a yarn that are being entered are found again after a reload, and not once they were left', async ({ page }) => {
  await page.goto('/orders/new')
  await page.getByLabel('What it is for').fill('Half entered fair')
  await page.reload()
  await expect(page.getByLabel('What it is for')).toHaveValue('Half entered fair')
  await page.getByRole('button', { name: 'Cancel' }).click()
  await page.goto('/orders/new')
  await expect(page.getByLabel('What it is for')).toHaveValue('')
  await page.goto('/yarns')
  await page.getByRole('button', { name: 'Enter a yarn' }).click()
  await page.getByLabel('Name, in plain words').fill('Half entered cone')
  await page.reload()
  await expect(page.getByLabel('Name, in plain words')).toHaveValue('Half entered cone')
})
