import { stacked } from '../../core/bag/design/partIds'
import type { Page } from '@playwright/test'
import { expect, freshBag, idOf, pickKind, saved, test, unfold } from './bag'

const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const tube = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 48 } }, colour: 'main' }
const label = (page: Page, name: RegExp) => page.locator('nav.labels').getByRole('button', { name: new RegExp(name.source, 'i') })

test('the onion net: small things added, the holes too large, the loops shortened', async ({ page, request }) => {
  const document = (await (await request.get(`/api/designs/${await idOf(request, 'Onion net')}/export?as=design`)).json()) as object
  const id = await freshBag(request, 'My onion net', document)
  await page.goto(`/bags/${id}`)
  await expect(page.locator('.drawing .net').first()).toBeAttached()
  await page.getByLabel('Across', { exact: true }).fill('2.5')
  await label(page, /net/).click()
  await expect(page.locator('[data-code="holes-too-large"]')).toContainText('A ball of 2.5 cm can leave by them')
  await page.getByRole('button', { name: /^Loops of at most \d+ chains$/ }).click()
  await expect(page.locator('[data-code="holes-too-large"]')).toHaveCount(0)
  await expect(page.locator('[data-code="holes"]')).toContainText('stays in')
  await expect(page.locator('.words')).toContainText('(30 loops)')
  await expect(page.locator('.words')).toContainText('Marker in the closing stitch.')
  await saved(page)
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.locator('.pattern')).toContainText('to close the last loop')
  await expect(page.locator('.chart')).toContainText('the heavy stitch closes the round')
  // The closing stitches are drawn heavy, and every loop carries its chains.
  expect(await page.locator('.chart .wall .shaped').count()).toBeGreaterThan(8)
  expect(await page.locator('.chart .wall .loop').count()).toBeGreaterThan(200)
  await page.getByRole('radio', { name: 'UK' }).check()
  await expect(page.locator('.pattern')).toContainText('htr in first dc to close the last loop')
})

test('a net from nothing: loops, a narrowing mouth, fans, a solid round, a chain counted, a lining', async ({ page, request }) => {
  const id = await freshBag(request, 'New net', {
    gauge, base: tube, turnUp: 'plain', wall: stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 2 } }, colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  await label(page, /^Plain/).click()
  await pickKind(page, 'net')
  await expect(page.locator('.words')).toContainText('(24 loops)')
  await page.getByLabel('Rounds of loops').fill('10')
  await page.getByLabel('Chains of a full loop').fill('7')
  await expect(page.locator('.words')).toContainText('ch 3, tr in first sc to close the last loop')
  await page.getByRole('radio', { name: 'get shorter' }).check()
  await page.getByLabel('Chains at the mouth').fill('5')
  await page.getByLabel('In each loop').fill('4')
  await expect(label(page, /net/)).toContainText('120 sts')
  await page.getByRole('radio', { name: 'in some loops' }).check()
  await expect(page.locator('.words')).toContainText('Count the loops before the fans: there must be 24, a multiple of 4')
  await page.getByRole('textbox', { name: 'Loops between' }).fill('4')
  await expect(page.locator('[data-code="does-not-divide"]')).toContainText('asks for a multiple of 10')
  await page.getByRole('textbox', { name: 'Loops between' }).fill('3')
  await unfold(page, 'Mouth, lining')
  await page.getByRole('button', { name: 'Also measured chain' }).click()
  await page.getByLabel('Chains', { exact: true }).fill('22')
  await page.getByRole('radio', { name: 'lined', exact: true }).check()
  await expect(page.locator('[data-code="lining"]')).toContainText('front and back: 2 of')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Chains', { exact: true })).toHaveValue('22')
  const text = await (await request.get(`/api/designs/${id}/export?as=text&terms=us`)).text()
  expect(text).toContain('Lining: front and back')
  expect(text).toContain('4 dc in the loop, then [turn, ch 3 (counts as first dc), dc in next 3 sts] 2 times')
})

test('nets that cannot be are refused by name', async ({ request }) => {
  const sound = { fairHollow: 'design', version: 1, name: 'Odd', gauge, base: tube }
  const net = { kind: 'loops', hold: { pin: { chains: 6 } }, size: { pin: { rounds: 4 } } }
  const cases: [object, RegExp][] = [
    [{ wall: [{ ...net, hold: {} }] }, /wall\.0\.hold: must hold either "want" or "pin"/],
    [{ wall: [{ ...net, first: 1 }] }, /wall\.0\.first: must be a whole number from 2/],
    [{ wall: [{ ...net, motif: { rows: 0 } }] }, /wall\.0\.motif\.rows/], [{ lining: { seamCm: 40 } }, /lining\.seamCm/],
    [{ gauge: { ...gauge, chain: { chains: 1000, overCm: 10 } } }, /gauge\.chain\.chains: makes a chain 0\.010 cm long/],
  ]
  for (const [over, says] of cases) {
    const answer = await request.post('/api/designs', { data: { ...sound, ...over } })
    expect(answer.status(), JSON.stringify(over)).toBe(422)
    expect(((await answer.json()) as { message: string }).message).toMatch(says)
  }
})
