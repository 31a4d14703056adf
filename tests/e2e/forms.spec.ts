import type { Locator } from '@playwright/test'
import { expect, freshBag, pick, test } from './bag'

/*
 * A form with an error is not kept: its field keeps what was typed, and says what to change.
 */

async function isHeldBack(form: Locator, field: Locator, typed: string, says: RegExp, keep: string): Promise<void> {
  await field.fill(typed)
  // As long as a hand presses: what is told of the field that was left must not move the button away meanwhile.
  await form.getByRole('button', { name: keep }).click({ delay: 150 })
  await expect(form.getByText(says)).toBeVisible()
  await expect(field).toHaveValue(typed)
  await expect(field).toBeFocused()
  await expect(form).toBeVisible()
}

test('an order of 600 bags or 900 minutes is not kept as another', async ({ page, request }) => {
  const bag = await freshBag(request, 'Counted pouch')
  const orders = async () => ((await (await request.get('/api/orders')).json()) as unknown[]).length
  const before = await orders()
  await page.goto('/orders/new')
  const form = page.getByRole('form', { name: 'The order' })
  await form.getByLabel('What it is for').fill('The fair')
  await form.getByRole('button', { name: 'Add a bag' }).click()
  await pick(form.getByRole('combobox', { name: 'Bag' }), 'Counted pouch')
  await isHeldBack(form, form.getByLabel('How many'), '600', /^Type a whole number from 1 to \d+/, 'Keep this order')
  await form.getByLabel('How many').fill('2')
  await isHeldBack(form, form.getByLabel('Mon', { exact: true }), '900', /^Type a whole number from 0 to \d+ minutes/, 'Keep this order')
  expect(await orders()).toBe(before)
  await form.getByLabel('Mon', { exact: true }).fill('90')
  await form.getByRole('button', { name: 'Keep this order' }).click()
  await expect(page.getByRole('heading', { name: 'The fair', level: 1 })).toBeVisible()
  expect(await orders()).toBe(before + 1)
  expect(bag).toBeTruthy()
})

test('a ball of 99,999 g is not kept as one of 50', async ({ page, request }) => {
  await page.goto('/yarns')
  await page.getByRole('button', { name: 'Enter a yarn' }).click()
  const form = page.locator('form').filter({ has: page.getByRole('button', { name: 'Keep this yarn' }) })
  await form.getByLabel('Name, in plain words').fill('heavy ball of wool')
  await isHeldBack(form, form.getByLabel('A whole ball'), '99,999', /^Type .* g$/, 'Keep this yarn')
  const names = (await (await request.get('/api/yarns')).json() as { name: string }[]).map(({ name }) => name)
  expect(names).not.toContain('heavy ball of wool')
})
