import { expect, freshBag, saved, tally, test } from './bag'

const swatch = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } }
const base = (page: import('@playwright/test').Page) => page.locator('nav.labels').getByRole('button', { name: /^Base/ })

test('every form of base is two clicks away, drafts, draws, is written and saved', async ({ page, request }) => {
  const id = await freshBag(request, 'Shifting pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  await base(page).click()
  const forms = [
    ['oval', /3 sc in last ch/], ['rectangle', /one round about all four sides/], ['double disc', /wrong sides inside/],
    ['boat', /nothing grows any more/], ['tube', /taking care not to twist/], ['folded piece', /fold the piece in half/],
    ['bought floor', /in each of next \d+ holes/], ['round', /adjustable ring/],
  ] as const
  for (const [form, words] of forms) {
    await page.getByRole('group', { name: 'Form' }).getByRole('radio', { name: form, exact: true }).check()
    await expect(page.locator('.panel')).toContainText(words)
    expect(await page.locator('.floor .marks path').count()).toBeGreaterThan(0)
    expect(await page.locator('.floor').innerHTML()).not.toMatch(/NaN|undefined/)
  }
  await page.getByRole('radio', { name: 'oval', exact: true }).check()
  await page.getByLabel('Length of the floor').fill('26')
  await page.getByLabel('Width of the floor').fill('9.5')
  await saved(page)
  await page.reload()
  // By hand: 9.5 / (2 * 10/21) = 9.98, so 10 rounds, 9.5 cm; (26 - 9.52) / 0.5 = 33 side stitches, 26 cm.
  await expect(tally(page, 'Floor')).toHaveText('26 × 9.5 cm')
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.locator('.pattern')).toContainText('ch 36')
  await expect(page.locator('.pattern')).toContainText('Markers in sts 2, 34, 38, 70.')
  const text = await (await request.get(`/api/designs/${id}/export?as=text&terms=uk`)).text()
  expect(text).toContain('Dc in 2nd ch from hook, dc in next 33 chs, 3 dc in last ch')
})

test('sized by its contents; warned when they outgrow it; proposed anew', async ({ page, request }) => {
  const id = await freshBag(request, 'Loaded pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  await page.getByRole('radio', { name: 'a box' }).check()
  await expect(page.locator('[data-code="contents-outgrow"]')).toBeVisible()
  await page.getByRole('button', { name: 'Propose a bag for it' }).click()
  await expect(page.locator('[data-code="contents-fit"]')).toBeVisible()
  await expect(tally(page, 'Floor')).toContainText('26 × 11')
  await expect(page.getByLabel('What it must hold, to scale')).toBeAttached()
  await page.getByLabel('Length', { exact: true }).fill('40')
  await expect(page.locator('[data-code="contents-outgrow"]')).toContainText('along the floor 40 cm is needed')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.locator('[data-code="contents-fit"]')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.locator('[data-code="contents-fit"]')).toBeVisible()
})

test('the schools compared: an oval that ripples is mended from the table, and back', async ({ page, request }) => {
  const id = await freshBag(request, 'Rippling tote', {
    gauge: swatch,
    base: {
      form: 'oval', stitch: 'sc', perEnd: 5, size: { want: { lengthCm: 24, widthCm: 10 } }, start: 'chain', placing: 'stacked',
      increaseAt: 'last', colour: 'main',
    },
  })
  await page.goto(`/bags/${id}`)
  await base(page).click()
  await expect(page.locator('[data-code="base-ruffle"]')).toBeVisible()
  await page.getByRole('button', { name: 'Use 3', exact: true }).click()
  await expect(page.locator('[data-code="base-flat"]')).toBeVisible()
  await page.keyboard.press('u')
  await page.getByRole('button', { name: 'Use 3 increases at each end' }).click()
  await expect(page.locator('[data-code="base-flat"]')).toBeVisible()
})

test('sizes that come out whole can be picked, and pin the counts', async ({ page, request }) => {
  const id = await freshBag(request, 'Picked pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  await base(page).click()
  await page.getByRole('button', { name: /11.4 cm across/ }).click()
  await expect(page.getByLabel('Rounds', { exact: true })).toHaveValue('12')
  await expect(tally(page, 'Floor')).toHaveText('11.4 ± 0.5 cm')
})

test('the finished base is measured: its counts are pinned, the gauge learns, the wall follows', async ({ page, request }) => {
  const id = await freshBag(request, 'Measured pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  await base(page).click()
  await page.getByLabel('Across, measured').fill('13.6')
  await page.getByRole('button', { name: 'Draft the rest by it' }).click()
  await expect(page.getByLabel('Rounds', { exact: true })).toHaveValue('13')
  await expect(page.locator('[data-code="gauge-refined"]')).toContainText('Plain wall takes')
  await saved(page)
  await page.reload()
  await base(page).click()
  await expect(page.locator('[data-code="gauge-refined"]')).toBeVisible()
  await page.getByLabel('Rounds', { exact: true }).fill('15')
  await expect(page.locator('[data-code="measured-unused"]')).toContainText('had 13 rounds and 78 stitches')
  await page.getByLabel('Rounds', { exact: true }).fill('13')
  await expect(page.locator('[data-code="gauge-refined"]')).toBeVisible()
  await page.getByRole('button', { name: 'Forget it' }).click()
  await expect(page.locator('[data-code="gauge-refined"]')).toHaveCount(0)
})

test('a stitch of the floor says what it is, to the pointer and to the arrow keys', async ({ page, request }) => {
  const id = await freshBag(request, 'Talking pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  const floor = page.getByLabel(/stitch by stitch/)
  const box = (await floor.boundingBox())!
  await page.mouse.move(box.x + box.width * 0.75, box.y + box.height / 2)
  await expect(page.locator('.reading')).toContainText(/Round \d+, stitch \d+ of \d+: sc/)
  await page.mouse.move(5, 300)
  await floor.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('.reading')).toContainText('Round 13, stitch 1 of 78: sc, on stitch 1 of round 12; carries a marker')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('.reading')).toContainText('Round 12, stitch 2 of 72')
})

test('contents and bases that cannot be are refused by name', async ({ request }) => {
  const sound = { fairHollow: 'design', version: 1, name: 'Odd', gauge: swatch }
  const cases: [object, RegExp][] = [
    [{ base: { form: 'oval', size: { want: { lengthCm: 20 } } } }, /base\.size\.want\.widthCm/],
    [{ base: { form: 'bought', holes: 2, lengthCm: 20, widthCm: 10 } }, /base\.holes: must be a whole number from 4/],
    [{ base: { form: 'circle', size: { want: { diameterCm: 12 } } }, contents: { kind: 'elephant' } }, /contents\.kind/],
    [{ base: [] }, /base: must be an object/],
  ]
  for (const [over, says] of cases) {
    const answer = await request.post('/api/designs', { data: { ...sound, ...over } })
    expect(answer.status()).toBe(422)
    expect(((await answer.json()) as { message: string }).message).toMatch(says)
  }
})
