import { expect, idOf, test } from '../e2e/bag'
import { goOnTo, takeUp, withoutQuestions } from '../e2e/hookSteps'

const shot = (name: string) => ({ path: `docs/screenshots/${name}.png` })

/* Taken before any other bag is on the hook. */
test('the list of bags', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Seed-head pouch' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'On the hook' })).toBeVisible()
  await page.screenshot(shot('bags'))
})

test('an order, evening by evening, on a laptop and on a phone', async ({ page }) => {
  await page.goto('/orders')
  await page.getByRole('link', { name: 'Harvest fair', exact: true }).click()
  await expect(page.locator('[data-day]').first()).toBeVisible()
  await page.setViewportSize({ width: 1280, height: 1000 })
  await page.screenshot(shot('orders'))
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('heading', { name: 'Evenings' }).scrollIntoViewIfNeeded()
  await page.mouse.wheel(0, 500)
  await page.waitForTimeout(300)
  await page.screenshot(shot('orders-phone'))
})

test('the logbook, a bag of it, and a half wall under the tape', async ({ page, request }) => {
  const listed = async () => (await (await request.get('/api/logbook')).json()) as { id: string, name: string, listed: unknown }[]
  await expect.poll(async () => (await listed()).every(bag => bag.listed !== null), { timeout: 20_000 }).toBe(true)
  await page.setViewportSize({ width: 1280, height: 1180 })
  await page.goto('/logbook')
  await expect(page.getByRole('region', { name: 'What your hands have taught' })).toBeVisible()
  await page.screenshot(shot('logbook'))
  await page.getByRole('link', { name: /^Harvest-week market bag/ }).click()
  await expect(page.getByRole('heading', { name: 'Harvest-week market bag', level: 1 })).toBeVisible()
  await expect.poll(() => page.locator('figure svg path').count()).toBeGreaterThan(20)
  await page.screenshot(shot('logbook-bag'))
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/logbook')
  await page.getByRole('region', { name: 'In hand' }).getByRole('link', { name: /^Seed-head pouch/ }).click()
  await page.getByRole('link', { name: 'Back to the hook' }).click()
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: 'Tape and scales' }).click()
  await page.getByLabel('It is').fill('2.2')
  await expect(page.getByRole('status').filter({ hasText: 'after 4 rounds' })).toBeVisible()
  await page.screenshot(shot('tape-phone'))
})

test('at the scales: where the yarn runs out', async ({ page, request }) => {
  await withoutQuestions(page)
  await page.setViewportSize({ width: 390, height: 844 })
  await takeUp(page, await idOf(request, 'Pear basket'))
  await page.getByRole('radio', { name: 'Whole rounds' }).check()
  await goOnTo(page, /Round 12 of/)
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: 'Tape and scales' }).click()
  await page.getByRole('button', { name: 'Scales' }).click()
  await page.getByLabel('Grams').fill('22')
  await expect(page.locator('figure')).toContainText('About here')
  await page.screenshot(shot('run-out-phone'))
})
