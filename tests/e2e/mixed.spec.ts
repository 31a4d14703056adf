import type { Locator, Page } from '@playwright/test'
import { stacked } from '../../core/bag/design/partIds'
import { expect, freshBag, idOf, pickKind, saved, tally, test } from './bag'

const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const tube = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' }
/** The pattern of the bag in hand, as it was saved. */
async function patternAfterReload(page: Page): Promise<Locator> {
  await saved(page)
  await page.reload()
  await page.getByRole('link', { name: 'Pattern' }).click()
  return page.locator('.pattern')
}

const rounds = (n: number) => ({ pin: { rounds: n } })

test('a wall goes on in a spiral over a joined floor, on a thicker hook in two strands, and is so after a reload', async ({ page,
  request }) => {
  const id = await freshBag(request, 'Mixed tote', {
    gauge, base: tube, turnUp: 'plain', wall: stacked([{ kind: 'solid', stitch: 'sc', size: rounds(10), colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Plain/ }).click()
  // The tube's own round lies below the ten.
  await expect(tally(page, 'Lies flat')).toContainText('15 × 5.5')
  await page.getByRole('group', { name: 'Its rounds go' }).getByRole('radio', { name: 'in a spiral' }).check()
  await page.getByRole('group', { name: 'Its hook' }).getByRole('radio', { name: 'another, or other strands' }).check()
  await page.getByLabel('Hook', { exact: true }).fill('5')
  await page.getByRole('textbox', { name: 'Strands' }).fill('2')
  // A quarter larger: 18.75 cm wide, 6.25 tall on top of the tube's half a centimetre.
  await expect(tally(page, 'Lies flat')).toContainText(/18\.[78] × 6\.[78]/)
  const pattern = await patternAfterReload(page)
  await expect(pattern).toContainText('From here on work in a spiral: do not join')
  await expect(pattern).toContainText('Change to the 5 mm (US H-8, UK 6) hook.')
  await expect(pattern).toContainText('Go on with 2 strands held together.')
  await expect(pattern).toContainText('Beg in same st as join: sc in each st around')
})

test('a texture is estimated until a swatch of it is counted: then the sizes are the swatch\'s', async ({ page, request }) => {
  const id = await freshBag(request, 'Sprigged tote', {
    gauge, base: tube, turnUp: 'plain', wall: stacked([{ kind: 'sprigs', seamStitch: false, size: rounds(10), colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  await expect(page.locator('[data-code="texture-estimated"]')).toContainText('nobody measured this pattern')
  await page.locator('nav.labels').getByRole('button', { name: /sprigs/i }).click()
  await page.getByRole('group', { name: 'A swatch of it' }).getByRole('radio', { name: 'counted' }).check()
  await page.getByLabel('Rounds', { exact: true }).last().fill('10')
  await page.getByLabel(/^Tall/).fill('9.5')
  await expect(page.locator('nav.labels').getByRole('button', { name: /sprigs/i })).toContainText('9.5 cm')
  await expect(page.locator('[data-code="texture-estimated"]')).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(page.locator('nav.labels').getByRole('button', { name: /sprigs/i })).toContainText('9.5 cm')
})

test('rounds written freely: a wrong one says where, a sound one is worked, saved and in the pattern', async ({ page, request }) => {
  const id = await freshBag(request, 'Written tote', {
    gauge, base: tube, turnUp: 'plain', wall: stacked([{ kind: 'solid', stitch: 'sc', size: rounds(4), colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Plain/ }).click()
  await page.getByRole('button', { name: 'Band above' }).click()
  await pickKind(page, 'rounds written out')
  const lines = page.getByLabel('Whole rounds, a line each')
  await lines.fill('2 sc in next st, sc in next 20 sts')
  await expect(page.getByRole('alert')).toContainText('39 of 60 stitches of the round below left unworked')
  await lines.fill('sc in next st, *sc in next 28 sts, 2 sc in next st; rep from * around, sc in next st')
  await expect(page.getByText('They come out: 62 are left. Kept.')).toBeVisible()
  await expect(await patternAfterReload(page)).toContainText('(62 sts)')
})

test('the demo of mixed rounds: spiral, joined and spiral again, in words', async ({ page, request }) => {
  await page.goto(`/bags/${await idOf(request, 'Pear basket')}/pattern`)
  const pattern = page.locator('.pattern')
  await expect(pattern).toContainText('Sl st in next st to even the step; ch 4 (counts as first dc and ch 1)')
  await expect(pattern).toContainText('It lies over the posts that the first lies behind')
  await expect(pattern).toContainText('repeats of sprigs')
})

test('from nothing to a striped lunch wrap: waves, folded at one side, its seams told row end by row end', async ({ page, request }) => {
  const yarns = [{ id: 'main', name: 'straw cotton', colour: '#d9b65a' }, { id: 'plum', name: 'plum cotton', colour: '#6b3a55' }]
  const id = await freshBag(request, 'Little wrap', { gauge, yarns, turnUp: 'plain' })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('group', { name: 'Form' }).getByRole('radio', { name: 'folded piece' }).check()
  await page.getByRole('group', { name: 'Its rows are' }).getByRole('radio', { name: 'waves' }).check()
  await page.getByRole('group', { name: 'Its seams are' }).getByRole('radio', { name: 'sc through both' }).check()
  await page.getByRole('group', { name: 'Worked in' }).getByRole('radio', { name: 'stripes' }).check()
  const pattern = await patternAfterReload(page)
  await expect(pattern).toContainText('1, 1, 1, 3 into the row ends of each 4 rows')
  await expect(pattern).toContainText('tr in next st, dc in next st, hdc in next st, sc in next st')
  await expect(pattern).toContainText('Change to plum cotton')
  await page.getByRole('link', { name: 'Bench' }).click()
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('group', { name: 'Folded' }).getByRole('radio', { name: 'at one side' }).check()
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(pattern).toContainText('fold the piece in half along its rows')
})
