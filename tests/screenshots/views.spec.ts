import type { Page } from '@playwright/test'
import { expect, idOf, tally, test } from '../e2e/bag'

/** A picture of a view; what is fetched once it is wanted stands there by then. */
async function take(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(800)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
}

test('kept safe: copies, what was thrown away, a parcel, a phone let in', async ({ page, request }) => {
  const copy = await request.post(`/api/designs/${await idOf(request, 'Twine tub')}/copy`)
  await request.delete(`/api/designs/${((await copy.json()) as { id: string }).id}`)
  await page.setViewportSize({ width: 1280, height: 1080 })
  await page.goto('/safe')
  await page.getByRole('button', { name: 'Copy everything now' }).click()
  await expect(page.getByText('Everything is copied.')).toBeVisible()
  await page.getByRole('button', { name: 'Use it on my phone' }).click()
  await expect(page.locator('[data-code]')).toBeVisible()
  await take(page, 'safe')
  await request.delete('/api/library/phone')
})

test('the bench', async ({ page, request }) => {
  await page.goto(`/bags/${await idOf(request, 'Seed-head pouch')}`)
  await expect(tally(page, 'Rounds')).toBeVisible()
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await take(page, 'bench')
})

test('the pattern', async ({ page, request }) => {
  await page.goto(`/bags/${await idOf(request, 'Seed-head pouch')}/pattern`)
  await expect(page.getByText('Round 13')).toBeVisible()
  await take(page, 'pattern')
})

test('where the hook goes', async ({ page }) => {
  await page.goto('/hook')
  await expect(page.getByText('Back and third loops', { exact: true })).toBeVisible()
  await take(page, 'hook')
})

test('entering a swatch', async ({ page }) => {
  await page.goto('/swatches')
  await page.getByRole('button', { name: 'Enter a swatch' }).click()
  await page.getByLabel('Name').fill('Barn twine')
  await take(page, 'swatch')
})

test('the yarn shelf', async ({ page }) => {
  await page.goto('/yarns')
  await page.getByRole('button', { name: 'Change undyed cotton, DK, cone' }).click()
  await expect(page.getByLabel('Name, in plain words')).toHaveValue('undyed cotton, DK, cone')
  await take(page, 'yarn')
})

test('the bench on a phone', async ({ page, request }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/bags/${await idOf(request, 'Loaf bag')}`)
  await expect(tally(page, 'Rounds')).toBeVisible()
  await page.locator('button.pick', { hasText: 'Base' }).click()
  await take(page, 'bench-phone')
})

test('an onion net, hanging', async ({ page, request }) => {
  await page.goto(`/bags/${await idOf(request, 'Onion net')}`)
  await expect(tally(page, 'Rounds')).toBeVisible()
  await page.locator('nav.labels').getByRole('button', { name: /^Net/ }).click()
  await take(page, 'bench-net')
})

test('what is it for: whole bags to begin with', async ({ page }) => {
  await page.goto('/start')
  await expect(page.getByRole('button', { name: /^Satchel/ })).toBeVisible()
  await take(page, 'start')
})

test('handles over the slots of a tote', async ({ page, request }) => {
  await page.goto(`/bags/${await idOf(request, 'Windfall apple tote')}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Slots/ }).click()
  await expect(page.getByRole('slider', { name: /place on the rim/ })).toBeVisible()
  await take(page, 'bench-handles')
})
