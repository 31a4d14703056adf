import { readFileSync } from 'node:fs'
import { expect, freshBag, idOf, pick, saved, tally, test } from './bag'

const swatch = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } }

test('a demo bag: change its diameter, and drawing, counts and words change at once; undo; reload', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('link', { name: 'Seed-head pouch', exact: true }).click()
  await expect(tally(page, 'Rounds')).toHaveText('43')
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  const plan = page.locator('.floor .marks')
  await expect(plan).toHaveCount(13)
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('16')
  // By hand: 16 / (2 * 10/21) = 16.8 rounds, so 17; 17 * 6 = 102 stitches; 16.2 cm; 2.4 % by the count, 3.3 % by uneven stitches.
  await expect(plan).toHaveCount(17)
  await expect(tally(page, 'Floor')).toHaveText('16.2 ± 0.7 cm')
  await expect(page.locator('.words')).toContainText('[sc in next 15 sts, 2 sc in next st] 6 times')
  await expect(page.locator('.words')).toContainText('(102 sts)')
  await page.getByRole('button', { name: 'Undo: Across the floor' }).click()
  await expect(plan).toHaveCount(13)
  await expect(page.getByRole('textbox', { name: 'Across the floor' })).toHaveValue('12')
  await page.getByRole('button', { name: 'Redo: Across the floor' }).click()
  await expect(plan).toHaveCount(17)
  await saved(page)
  await page.reload()
  await expect(tally(page, 'Floor')).toHaveText('16.2 ± 0.7 cm')
})

test('a new bag, from nothing to its pattern, in under a minute of clicks', async ({ page }) => {
  const from = Date.now()
  await page.goto('/')
  await page.getByRole('button', { name: 'Start a bag' }).click()
  await page.getByRole('button', { name: 'no questions' }).click()
  await expect(page.locator('[data-code="gauge-assumed"]')).toBeVisible()
  await page.getByLabel('Stitches').fill('18')
  await page.getByLabel('Rounds', { exact: true }).fill('19')
  await expect(page.locator('[data-code="gauge-assumed"]')).toHaveCount(0)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('15')
  await page.locator('nav.labels').getByRole('button', { name: /^Plain wall/ }).click()
  await page.getByLabel('Height of this band').fill('20')
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.getByRole('heading', { name: 'New bag' })).toBeVisible()
  // By hand: 2 pi * 19ths / 18ths of 10 cm gives 5.95, so 6 a round; 15 / (2 * 10/19) = 14.25, so 14 rounds, 84 stitches.
  await expect(page.locator('.pattern')).toContainText('Round 14')
  await expect(page.locator('.pattern')).toContainText('(84 sts)')
  expect(Date.now() - from).toBeLessThan(60_000)
})

test('export, delete, bring in again: the same draft', async ({ page, request }) => {
  const id = await freshBag(request, 'Travelling pouch', { gauge: swatch, note: 'There and back.' })
  const before = await (await request.get(`/api/designs/${id}/export?as=json`)).text()
  await page.goto(`/bags/${id}/pattern`)
  await page.getByRole('button', { name: 'Download' }).click()
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByText('The bag itself').click()])
  expect(file.suggestedFilename()).toBe('travelling-pouch.design.json')
  await expect(page.getByRole('status').filter({ hasText: 'Saved: The bag itself' })).toBeVisible()
  const path = await file.path()
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({ fairHollow: 'design', version: 4, name: 'Travelling pouch' })

  await page.goto('/')
  await page.getByRole('button', { name: 'Delete Travelling pouch' }).click()
  await expect(page.getByRole('heading', { name: 'Travelling pouch' })).toHaveCount(0)
  expect((await request.get(`/api/designs/${id}`)).status()).toBe(404)

  await page
    .getByLabel('A bag\'s file')
    .setInputFiles({ name: 'travelling-pouch.design.json', mimeType: 'application/json', buffer: readFileSync(path) })
  await expect(page).toHaveURL(/\/bags\//)
  const again = await idOf(request, 'Travelling pouch')
  expect(again).not.toBe(id)
  expect(await (await request.get(`/api/designs/${again}/export?as=json`)).text()).toBe(before)
})

test('a deleted bag can be brought back', async ({ page, request }) => {
  await freshBag(request, 'Regretted pouch')
  await page.goto('/')
  await page.getByRole('button', { name: 'Delete Regretted pouch' }).click()
  await page.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByRole('heading', { name: 'Regretted pouch' })).toBeVisible()
})

test('switch to UK terms: words, abbreviations and files follow, and the choice stays', async ({ page, request }) => {
  const id = await freshBag(request, 'Bilingual pouch', { gauge: swatch })
  await page.goto(`/bags/${id}/pattern`)
  await expect(page.locator('.pattern')).toContainText('[sc in next 3 sts, 2 sc in next st] 6 times; join with sl st to first sc')
  await page.getByRole('radio', { name: 'UK' }).check()
  await expect(page.locator('.pattern')).toContainText('[dc in next 3 sts, 2 dc in next st] 6 times; join with ss to first dc')
  await expect(page.locator('.pattern')).not.toContainText('sl st')
  await page.reload()
  await expect(page.locator('.pattern')).toContainText('Written in UK terms')
  await page.getByRole('button', { name: 'Copy' }).click()
  await expect(page.getByText('Copied')).toBeVisible()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
    'Round 5: Ch 1; beg in same st as join: [dc in next 3 ' + 'sts, 2 dc in next st] 6 times',
  )
})

test('the print sheet leaves the screen\'s tools out and fits on paper', async ({ page, request }) => {
  const id = await freshBag(request, 'Printed pouch', { gauge: swatch })
  await page.goto(`/bags/${id}/pattern`)
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  await expect(page.getByRole('link', { name: 'All bags' })).toBeHidden()
  await expect(page.getByRole('heading', { name: 'Printed pouch' })).toBeVisible()
  const paper = await page.pdf({ format: 'A4' })
  expect(paper.subarray(0, 5).toString()).toBe('%PDF-')
  expect(paper.toString('latin1').match(/\/Type\s*\/Page\b/g)!.length).toBeLessThanOrEqual(4)
})

test('a base that ruffles is seen, mended by one click, and the mending undone', async ({ page, request }) => {
  const id = await freshBag(request, 'Ruffled pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('radio', { name: '8', exact: true }).check()
  await expect(page.locator('[data-code="base-ruffle"]')).toBeVisible()
  await page.getByRole('button', { name: 'Use 6 increases a round' }).click()
  await expect(page.locator('[data-code="base-flat"]')).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.locator('[data-code="base-ruffle"]')).toBeVisible()
})

test('bands: add, give another stitch and yarn, remove, by hand and back', async ({ page, request }) => {
  const id = await freshBag(request, 'Banded pouch', {
    gauge: swatch,
    yarns: [
      { id: 'main', name: 'undyed cotton', colour: '#dccba6' },
      { id: 'moss', name: 'moss green cotton', colour: '#71834f' },
    ],
  })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Plain wall/ }).click()
  await page.getByRole('button', { name: 'Band above' }).click()
  await expect(page.getByRole('heading', { name: 'Plain wall 2' })).toBeVisible()
  await page.getByRole('radio', { name: 'rounds' }).check()
  await page.getByLabel('Rounds', { exact: true }).fill('4')
  await page.getByRole('radio', { name: 'dc', exact: true }).check()
  await expect(page.locator('.words')).toContainText('dc in each st around')
  await pick(page.getByRole('combobox', { name: 'Yarn' }), 'moss green cotton')
  await expect(page.locator('.tally')).toContainText('moss green cotton')
  await page.getByRole('button', { name: 'Remove Plain in moss green cotton' }).click()
  await expect(page.locator('.tally')).not.toContainText('moss green cotton')
  await page.keyboard.press('u')
  await expect(page.locator('.tally')).toContainText('moss green cotton')
})

test('fields refuse what cannot be, say what can, and change nothing', async ({ page, request }) => {
  const id = await freshBag(request, 'Stubborn pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  for (const [typed, says] of [
    ['abc', 'Type a number from 1 to 1000'], ['0', 'Type a number from 1 to 1000'], ['-20', 'Type a number from 1 to 1000'],
  ] as const) {
    await page.getByLabel('Stitches').fill(typed)
    await expect(page.getByText(says)).toBeVisible()
  }
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('300')
  await expect(page.getByText('From 1 cm to 150 cm')).toBeVisible()
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('wide')
  await expect(page.getByText('Type a length, such as 12.5')).toBeVisible()
  await expect(tally(page, 'Rounds')).toHaveText('43')
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('4 3/4"')
  await expect(tally(page, 'Floor')).toHaveText('12.4 ± 0.6 cm')
  await page.reload()
  await expect(tally(page, 'Rounds')).toHaveText('43')
})

test('a base too large to work stops, says so, and can be undone', async ({ page, request }) => {
  const id = await freshBag(request, 'Enormous pouch', {
    gauge: { ...swatch, measured: { sc: { stitches: 150, rounds: 150, overCm: 10 } } },
  })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('150')
  await expect(page.locator('[data-code="base-too-big"]')).toContainText('Ask for a smaller base')
  await page.getByRole('textbox', { name: 'Across the floor' }).fill('10')
  await expect(page.locator('[data-code="base-too-big"]')).toHaveCount(0)
})

test('keys do what the list of keys says', async ({ page, request }) => {
  const id = await freshBag(request, 'Keyed pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  await expect(tally(page, 'Rounds')).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('Switch between US and UK terms')
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press(']')
  await expect(page.getByRole('heading', { name: 'Base', exact: true })).toBeVisible()
  await page.keyboard.press('[')
  await page.keyboard.press('w')
  await expect(page).toHaveURL(/pattern$/)
  await page.keyboard.press('t')
  await expect(page.locator('.pattern')).toContainText('UK terms')
  await page.keyboard.press('s')
  await expect(page).toHaveURL(/swatches$/)
})

test('on a phone everything is there, and nothing sticks out sideways', async ({ page, request }) => {
  const id = await freshBag(request, 'Pocket pouch', { gauge: swatch })
  await page.setViewportSize({ width: 390, height: 844 })
  for (const path of [`/bags/${id}`, `/bags/${id}/pattern`, '/', '/swatches']) {
    await page.goto(path)
    await expect(page.locator('h1').first()).toBeAttached()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  }
})

test('a swatch leaves as a file and comes back', async ({ page }) => {
  await page.goto('/swatches')
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download Cone cotton, firm' }).click()])
  expect(file.suggestedFilename()).toBe('cone-cotton-firm.swatch.json')
  const before = await page.getByRole('heading', { name: 'Cone cotton, firm' }).count()
  await page
    .getByLabel('A swatch\'s file')
    .setInputFiles({ name: 'cone.swatch.json', mimeType: 'application/json', buffer: readFileSync(await file.path()) })
  await expect(page.getByRole('heading', { name: 'Cone cotton, firm' })).toHaveCount(before + 1)
})

test('a swatch entered is kept, and a bag can take it', async ({ page, request }) => {
  await page.goto('/swatches')
  await page.getByRole('button', { name: 'Enter a swatch' }).click()
  await page.getByLabel('Name').fill('Barn twine')
  await page.getByLabel('Stitches').fill('12')
  await page.getByLabel('Rounds', { exact: true }).fill('13')
  await page.getByRole('button', { name: 'Keep this swatch' }).click()
  await expect(page.getByRole('heading', { name: 'Barn twine' })).toBeVisible()
  const id = await freshBag(request, 'Twine pouch')
  await page.goto(`/bags/${id}`)
  await pick(page.getByRole('combobox', { name: 'Take a kept swatch' }), 'Barn twine')
  await expect(page.getByLabel('Stitches')).toHaveValue('12')
  await expect(page.locator('[data-code="gauge-assumed"]')).toHaveCount(0)
})

test('a swatch of a texture is entered, kept and taken; a band\'s own is kept for further bags', async ({ page, request }) => {
  await page.goto('/swatches')
  await page.getByRole('button', { name: 'Enter a swatch' }).click()
  await page.getByLabel('Name').fill('Pairs, firm')
  await pick(page.getByRole('combobox', { name: 'A swatch of' }), 'pairs')
  await page.getByLabel('Counted across').fill('10')
  await page.getByLabel('Tall', { exact: true }).first().fill('7.5')
  await page.reload()
  await expect(page.getByLabel('Counted across')).toHaveValue('10')
  await page.getByRole('button', { name: 'Keep this swatch' }).click()
  await expect(page.getByText('10 repeats in 10 cm × 10 rounds in 7.5 cm')).toBeVisible()
  const id = await freshBag(request, 'Pairs pouch', {
    gauge: swatch, turnUp: 'plain',
    wall: [{ id: 'part-1', kind: 'pairs', size: { pin: { rounds: 20 } }, colour: 'main' }],
  })
  await page.goto(`/bags/${id}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Pairs/ }).click()
  await pick(page.getByRole('combobox', { name: 'Take a kept swatch of it' }), /^Pairs, firm/)
  // Ten rounds are 7.5 cm: twenty are 15.
  await expect(page.locator('nav.labels').getByRole('button', { name: /^Pairs/ })).toContainText('15 cm')
  await saved(page)
  await page.reload()
  await expect(page.locator('nav.labels').getByRole('button', { name: /^Pairs/ })).toContainText('15 cm')
  await page.locator('nav.labels').getByRole('button', { name: /^Pairs/ }).click()
  await page.getByRole('button', { name: 'Keep this swatch for further bags' }).click()
  await expect(page.getByText('Kept as “Pairs pouch: pairs”')).toBeVisible()
  await page.goto('/swatches')
  await expect(page.getByRole('heading', { name: 'Pairs pouch: pairs' })).toBeVisible()
})

test('what is found leads to where it is asked, from the whole bag to the field', async ({ page, request }) => {
  const id = await freshBag(request, 'Narrow holes', {
    wall: [
      { id: 'part-1', kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' },
      {
        id: 'part-2', kind: 'slots', number: 2, width: { want: { widthCm: 4 } }, chains: { want: { hole: true } }, into: 'chains',
        corners: 0, rounds: 2, stitch: 'sc', nudge: 0, colour: 'main',
      },
    ],
  })
  await page.goto(`/bags/${id}`)
  const narrow = page.locator('[data-code="hand-hole-small"]')
  await narrow.getByRole('button', { name: 'Set it by hand' }).click()
  await expect(page.getByRole('heading', { name: /^Slots/ })).toBeVisible()
  await expect(page.locator('[data-asks^="wall.part-2.width"] :focus')).toBeVisible()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('10')
  await expect(narrow).toBeHidden()
})

test('the drawing: closer about the pointer, moved by a drag that picks no part, and whole again', async ({ page, request }) => {
  const id = await freshBag(request, 'Looked at pouch', { gauge: swatch })
  await page.goto(`/bags/${id}`)
  const canvas = page.locator('.canvas')
  const floor = canvas.locator('svg > g.floor')
  const spot = async () => {
    const [, x, y, scale] = /translate\((.+?) (.+?)\) scale\((.+?)\)/.exec((await floor.getAttribute('transform'))!)!
    return { x: Number(x), y: Number(y), scale: Number(scale) }
  }
  const box = (await canvas.boundingBox())!
  const whole = await spot()
  // The middle of the floor stays under the pointer.
  await page.mouse.move(box.x + whole.x, box.y + whole.y)
  // What enlarges it is fetched when the pointer comes.
  await expect(async () => {
    await page.mouse.wheel(0, -400)
    expect((await spot()).scale / whole.scale).toBeGreaterThan(1.5)
  }).toPass()
  const near = await spot()
  expect(near.x).toBeCloseTo(whole.x, 0)
  expect(near.y).toBeCloseTo(whole.y, 0)

  await page.mouse.down()
  await page.mouse.move(box.x + whole.x + 40, box.y + whole.y + 30, { steps: 4 })
  await page.mouse.up()
  const moved = await spot()
  expect(moved.x).toBeCloseTo(near.x + 40, 0)
  expect(moved.y).toBeCloseTo(near.y + 30, 0)
  await expect(page.locator('nav.labels [aria-pressed=true]')).toHaveCount(0)

  // However far it is dragged, its edge stays at the box's.
  await page.mouse.move(box.x + moved.x, box.y + 20)
  await page.mouse.down()
  await page.mouse.move(box.x + moved.x, box.y + box.height - 10, { steps: 4 })
  await page.mouse.up()
  expect((await spot()).y).toBeCloseTo(whole.y * moved.scale / whole.scale, 0)
  await page.getByRole('button', { name: 'The whole drawing' }).click()
  expect(await spot()).toEqual(whole)
})
