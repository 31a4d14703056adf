import { stacked } from '../../core/bag/design/partIds'
import type { Page } from '@playwright/test'
import { expect, freshBag, idOf, pickKind, saved, tally, test, unfold } from './bag'

const label = (page: Page, name: RegExp) => page.locator('nav.labels').getByRole('button', { name: new RegExp(name.source, 'i') })
const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }

test('the seed-head pouch, from swatch to cords: break the parity, take the fix, scrub the closing, mark it for a child', async ({
  page,
  request,
}) => {
  const document = (await (await request.get(`/api/designs/${await idOf(request, 'Seed-head pouch')}/export?as=design`)).json()) as {
    wall: { kind: string }[]
  }
  // Without its adjusting round the count has to be even of itself.
  const id = await freshBag(request, 'My seed-head pouch', {
    ...document, wall: document.wall.filter(({ kind }) => kind !== 'adjust'),
    base: { form: 'circle', increases: 6, size: { pin: { rounds: 14 } } },
  })
  await page.goto(`/bags/${id}`)
  await label(page, /casing/).click()
  await expect(label(page, /casing/)).toContainText('84 sts')
  await expect(page.locator('.drawing .cord')).toHaveCount(2)

  await label(page, /^Base/).click()
  await page.getByLabel('Rounds', { exact: true }).fill('13')
  await expect(label(page, /casing.*stops it/)).toBeVisible()
  await label(page, /casing/).click()
  await expect(page.locator('[data-code="does-not-divide"]')).toContainText('A cord needs an even number of eyelets')
  await expect(page.getByRole('button', { name: /Skip a stitch more here and there/ })).toBeVisible()
  await page.getByRole('button', { name: /2 more in a round below: 80/ }).click()
  await expect(page.locator('[data-code="does-not-divide"]')).toHaveCount(0)
  await label(page, /casing/).click()

  const closing = page.getByLabel('Pull the cords')
  await closing.fill('1')
  await expect(page.locator('.pull')).toContainText('12 cm round')
  await expect(page.locator('.drawing .cord')).toHaveCount(2)
  await closing.fill('0')
  await expect(page.locator('.pull')).toContainText('40 cm round')
  await page.getByLabel('How far the cords are threaded').fill('0.0125')
  await expect(page.locator('.threading')).toContainText('Cord 1: in through eyelet 1, behind the post.')
  await page.getByRole('button', { name: 'Thread step by step' }).click()
  await expect(page.locator('.threading')).toContainText(/Cord 1: (in|out) through eyelet [4-9]/)
  await page.getByRole('button', { name: 'Stop' }).click()

  await unfold(page, 'Mouth, lining')
  await page.getByRole('radio', { name: 'a child' }).check()
  await expect(page.locator('[data-code="cords-for-a-child"]')).toContainText('never on a cot or a young child\'s bag')
  await saved(page)
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.locator('.pattern')).toContainText('Put a marker in 1 and 21, 20 apart.')
  await expect(page.locator('.pattern')).toContainText('sl st in the back bump of each ch')
  await expect(page.locator('.pattern')).toContainText('Your local safety law decides')
})

test('cords and edgings from nothing; one more skipped here and there, and shown for what it is', async ({ page, request }) => {
  const id = await freshBag(request, 'Corded pouch', {
    gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 50 } }, colour: 'main' }, turnUp: 'plain',
    wall: stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 10 } }, colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  const before = await tally(page, 'undyed cotton, DK').innerText()
  await page.getByRole('button', { name: 'Band on top' }).click()
  await pickKind(page, 'casing')
  // 50 do not divide by 4: the casing brings a round that adjusts. Without it, eyelets are told to be uneven.
  await label(page, /^Adjusting round/).click()
  await page.getByRole('button', { name: 'Remove Adjusting round' }).click()
  await label(page, /^Casing/).click()
  await page.getByRole('button', { name: /Skip a stitch more here and there/ }).click()
  await expect(page.locator('[data-code="eyelets-uneven"]')).toContainText('2 eyelets skip a stitch more')
  await page.getByRole('radio', { name: 'one', exact: true }).check()
  await page.getByLabel('Each end, bag open').fill('12')
  await expect(page.locator('[data-code="cord-length"]')).toContainText('48 cm long, 2.0 times round the mouth')
  expect(parseInt(await tally(page, 'undyed cotton, DK').innerText())).toBeGreaterThan(parseInt(before))
  await page.getByRole('button', { name: 'Band above' }).click()
  await pickKind(page, 'ruffle')
  await expect(page.locator('[data-code="edging-fullness"]')).toContainText('2.00 times')
  await expect(page.locator('.words')).toContainText('3 sc in each ch-sp around')
  await pickKind(page, 'shells')
  await expect(page.locator('.words')).toContainText(
    '[sc in next st, sk next ch-sp, sk next st, 4 dc in next ch-sp, sk next st, sk ' + 'next ch-sp] 8 times',
  )
  await saved(page)
  await page.reload()
  await expect(label(page, /shells/)).toContainText('40 sts')
})
