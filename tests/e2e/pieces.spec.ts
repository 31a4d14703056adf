import type { Page } from '@playwright/test'
import { stacked } from '../../core/bag/design/partIds'
import { expect, freshBag, pickKind, saved, tally, test, unfold } from './bag'

const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const tube = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 64 } }, colour: 'main' }
const bought = {
  form: 'bought', stitch: 'sc', shape: 'oblong', lengthCm: 18, widthCm: 6, holes: 48, perHole: 2, doubledHoles: 0, colour: 'main',
}
const plain = stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 2 } }, colour: 'main' }])

/** The pattern of the bag in hand, as it was saved. */
async function patternAfterReload(page: Page) {
  await saved(page)
  await page.reload()
  await page.getByRole('link', { name: 'Pattern' }).click()
  return page.locator('.pattern')
}

/** Turns a band of a stack into one of another kind. */
async function turnBand(page: Page, number: number, kind: string): Promise<void> {
  await page.getByLabel(`What band ${number} is`).first().selectOption(kind)
}

test('a folded piece is stacked from bands, edged, and is in the pattern row by row after a reload', async ({ page, request }) => {
  const id = await freshBag(request, 'Stacked wrap', { gauge, base: tube, turnUp: 'plain', wall: plain })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('radio', { name: 'folded piece' }).check()
  await page.getByRole('radio', { name: 'bands, one upon the other' }).check()
  await page.getByRole('button', { name: 'Add a band' }).click()
  await page.getByRole('region', { name: 'Band 1' }).getByRole('radio', { name: 'rounds' }).check()
  await page.getByRole('button', { name: 'Another band above' }).click()
  await turnBand(page, 2, 'boxes')
  await page.getByLabel('Rows of sc along its sides').fill('1')
  const pattern = await patternAfterReload(page)
  await expect(pattern).toContainText('Edging along a side: make 2')
  await expect(pattern).toContainText('ch 1, sk next st, dc in next st')
  await expect(pattern).toContainText('fold the piece in half across its rows')
})

test('four panels stand on a bought floor: shared out, seamed row end by row end, and joined', async ({ page, request }) => {
  const id = await freshBag(request, 'Panels', { gauge, base: bought, turnUp: 'plain', wall: plain })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Plain/ }).click()
  await pickKind(page, 'panels')
  await page.getByRole('radio', { name: 'panels of so many stitches' }).check()
  await expect(page.locator('nav.labels').getByRole('button', { name: /panels/i })).toContainText('96 sts')
  await turnBand(page, 1, 'narrower or wider')
  const pattern = await patternAfterReload(page)
  await expect(pattern).toContainText('Front and back: make 2')
  await expect(pattern).toContainText('Side panels: make 2')
  await expect(pattern).toContainText('close the four edges where a side panel meets front or back')
})

test('two motifs are laid together from nothing, their mouth drawn straight, and a lining is cut for them', async ({ page, request }) => {
  const id = await freshBag(request, 'Two motifs', { gauge, base: tube, turnUp: 'plain', wall: plain })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('radio', { name: 'two motifs' }).check()
  await expect(tally(page, 'Floor')).toContainText('none')
  await page.getByRole('radio', { name: 'drawn straight' }).check()
  await page.getByRole('region', { name: 'Band 2' }).getByLabel('More by').fill('6')
  await unfold(page, 'Mouth, lining')
  await page.getByRole('radio', { name: 'lined', exact: true }).check()
  const pattern = await patternAfterReload(page)
  await expect(pattern).toContainText('The other motif')
  await expect(pattern).toContainText('Mouth of each motif: make 2')
  await expect(pattern).toContainText('sc in same ch-sp')
  await expect(pattern).toContainText(/2 of a circle .* cm across/)
})

test('straps are worked in a texture, edged, sewn on as the maker likes', async ({ page, request }) => {
  const id = await freshBag(request, 'Textured straps', { gauge, base: tube, turnUp: 'plain', wall: plain })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Plain/ }).click()
  await page.getByRole('button', { name: 'Band above' }).click()
  await pickKind(page, 'sewn straps')
  await page.getByRole('radio', { name: 'across, in a texture' }).check()
  await page.getByRole('button', { name: 'Add a band' }).click()
  await turnBand(page, 1, 'moss')
  await page.getByRole('group', { name: 'An edging about it' }).getByRole('radio', { name: 'of sc' }).check()
  await page.getByRole('radio', { name: 'whip stitch' }).check()
  const pattern = await patternAfterReload(page)
  await expect(pattern).toContainText('Edging of the straps: make 2')
  await expect(pattern).toContainText('long dc in the st below next st')
  await expect(pattern).toContainText('with whip stitch, there and back')
})

test('corners are drawn in the round that works the chains', async ({ page, request }) => {
  const id = await freshBag(request, 'Corners', { gauge, base: tube, turnUp: 'plain', wall: plain })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Plain/ }).click()
  await page.getByRole('button', { name: 'Band above' }).click()
  await pickKind(page, 'slots')
  await page.getByRole('radio', { name: 'the round that works the chains' }).check()
  // 64 stitches of half a centimetre: three centimetres from the side are six of them.
  await page.getByLabel('From the side of the bag to it').fill('3')
  await expect(page.locator('[data-code="slot-runs"]')).toContainText('From the start of the round: 6, slot')
  await expect(await patternAfterReload(page)).toContainText('sc2tog over next st and first ch of the handle')
})

test('an oval is begun in doubles, and both its rounds and its size follow, after a reload too', async ({ page, request }) => {
  const id = await freshBag(request, 'Two stitches', { gauge, base: tube, turnUp: 'plain', wall: plain })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('radio', { name: 'oval', exact: true }).check()
  await page.getByRole('button', { name: 'Add rounds in another stitch' }).click()
  const first = page.getByRole('region', { name: 'First rounds in other stitches, 1' })
  await expect(first.getByRole('radio', { name: 'dc', exact: true })).toBeChecked()
  await first.getByLabel('Rounds', { exact: true }).fill('2')
  const pattern = await patternAfterReload(page)
  await expect(pattern).toContainText('Dc in 3rd ch from hook')
  await expect(pattern).toContainText('2 sc in next st')
})
