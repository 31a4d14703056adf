import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { expect, freshBag, pick, saved, test } from './bag'
import { goOnTo, takeUp, withoutQuestions } from './hookSteps'

const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const sheet = (page: Page) => page.getByRole('dialog')

/** A tube of 60 stitches, 20 rounds and the one on the chain: 2.25 m each by the plan, 47.25 m, and two ends. */
const tube = {
  gauge, turnUp: 'plain', rounds: { style: 'spiral', startingChainCounts: false },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 60 } }, colour: 'main' },
  wall: [{ id: 'part-1', kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' }],
}

test('a yarn is entered with its balls, found again, changed, thrown away and brought back', async ({ page }) => {
  await page.goto('/yarns')
  await page.getByRole('button', { name: 'Enter a yarn' }).click()
  await page.getByRole('button', { name: 'Keep this yarn' }).click()
  await expect(page.getByText('Say what you call it')).toBeVisible()
  await page.getByLabel('Name, in plain words').fill('rowan red cotton, DK')
  await page.getByLabel('Length in 100 g').fill('250')
  await page.getByLabel('Price of a ball').fill('4,5')
  await page.getByLabel('Where it lies').fill('hall chest')
  await page.getByRole('button', { name: 'Add ball' }).click()
  await page.getByRole('button', { name: 'Add ball' }).click()
  await page.getByRole('region', { name: 'Balls, 2' }).getByLabel('Weighs').fill('18.5')
  await page.getByRole('region', { name: 'Balls, 2' }).getByLabel('Dye lot').fill('R2')
  await page.getByRole('button', { name: 'Keep this yarn' }).click()
  const mine = page.getByRole('listitem').filter({ hasText: 'rowan red cotton, DK' })
  await expect(mine).toContainText('69 g, about 171 m: 1 whole, 1 begun; lot R2')
  await expect(mine).toContainText('4.50 a ball · hall chest')
  await page.reload()
  await page.getByRole('textbox', { name: 'Search' }).fill('hall R2')
  await expect(page.getByRole('listitem')).toHaveCount(1)
  await expect(mine).toContainText('4.50 a ball')
  await page.getByRole('textbox', { name: 'Search' }).fill('no such yarn')
  await expect(page.getByText('No yarn has “no such yarn”')).toBeVisible()
  await page.getByRole('textbox', { name: 'Search' }).fill('rowan')
  await page.getByRole('button', { name: 'Delete rowan red cotton, DK' }).click()
  await expect(mine).toHaveCount(0)
  await page.getByRole('button', { name: 'Restore' }).click()
  await expect(mine).toHaveCount(1)
})

test.describe('tables', () => {
  test.use({ expected: [/422/] })

  test('the shelf goes out as a table and comes in from one; what is off is told by its line, and nothing is kept', async ({ page }) => {
    await page.goto('/yarns')
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save as a table' }).click()])
    expect(readFileSync((await file.path())!, 'utf8')).toContain('leaf-worsted,"leaf green cotton, worsted",cotton,4')
    const picker = page.getByLabel('A yarn\'s file')
    const csv = (...lines: string[]) => ({ name: 'yarns.csv', mimeType: 'text/csv', buffer: Buffer.from(lines.join('\n')) })
    await picker.setInputFiles(csv('name,balls', 'sloe blue wool,50', 'quince,plenty'))
    await expect(page.getByRole('alert')).toContainText('line 3, balls.0.grams')
    await expect(page.getByRole('heading', { name: 'sloe blue wool' })).toHaveCount(0)
    await picker.setInputFiles(csv('name,balls', 'sloe blue wool,50', 'quince,20 lot Q1'))
    await expect(page.getByRole('status').filter({ hasText: '2 brought in; 0 were here already.' })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'sloe blue wool' })).toBeVisible()
    await picker.setInputFiles((await file.path())!)
    await expect(page.getByRole('status').filter({ hasText: '0 brought in' })).toBeVisible()
  })
})

test('a bag points to the shelf: grams, balls and odds; at the hook the scales say how far it goes, drawn on the bag', async ({
  page, request,
}) => {
  test.slow()
  await withoutQuestions(page)
  const kept = await request.post('/api/yarns', {
    data: {
      fairHollow: 'yarn', version: 1, id: 'hazel', name: 'hazel brown cotton, DK', note: '', fibre: 'cotton', weightClass: 3,
      colour: '#8a6a45', metresPer100g: 250, ballGrams: 25, place: '', balls: [{ grams: 12 }],
      unravelled: { stitch: 'sc', stitches: 20, rowCm: 10, yarnCm: 75 },
    },
  })
  expect(kept.status()).toBe(201)
  const id = await freshBag(request, 'Short tube', tube)
  await page.goto(`/bags/${id}`)
  await pick(page.getByRole('combobox', { name: 'On the shelf it is' }), 'hazel brown cotton, DK')
  // By hand: 47.55 m of 0.4 g are 19.02 g, give or take a tenth; one ball of 25 g lasts, the 12 g there do not.
  const needed = page.locator('.needed')
  await expect(needed).toContainText('Takes about 48 m')
  await expect(needed).toContainText('by your unravelled row')
  await expect(needed).toContainText('1 ball: 99 % that it lasts')
  await expect(needed).toContainText('The 12 g on the shelf do not last')
  // What would let it last is looked for, tried out, and taken back.
  await needed.getByRole('button', { name: 'What would let it last?' }).click()
  const fixes = page.getByRole('list', { name: 'What would let it last' })
  await fixes.getByRole('button', { name: /^Plain wall: \d+ rounds instead of 20/ }).click()
  await expect(needed).toContainText('The 12 g on the shelf are probably enough: 9')
  await page.getByRole('button', { name: /^Undo: Plain wall: / }).click()
  await expect(needed).toContainText('do not last')
  await needed.getByText('Part by part').click()
  await expect(needed.getByRole('row', { name: /^Plain wall/ })).toContainText('45 m')
  await saved(page)
  await page.reload()
  await expect(needed).toContainText('by your unravelled row')

  await takeUp(page, id)
  await page.getByRole('radio', { name: 'Whole rounds' }).check()
  await goOnTo(page, /Round 4 of 21/)
  await page.getByRole('button', { name: 'More' }).click()
  await sheet(page).getByRole('button', { name: 'Tape and scales' }).click()
  await sheet(page).getByRole('button', { name: 'Scales' }).click()
  await sheet(page).getByLabel('Grams').fill('9.5')
  // 9.38 g beyond the ends are ten rounds of 0.9 g and a little: round 13.
  await expect(sheet(page).getByRole('status')).toContainText('about round 13 of 21')
  await expect(sheet(page).locator('figure')).toContainText('About here, round 13')
  await page.screenshot({ path: 'test-results/run-out.png' })
  await sheet(page).getByLabel('Grams').fill('40')
  await expect(sheet(page).getByRole('status')).toContainText('It lasts (99 %)')
  await expect(sheet(page).locator('figure')).toHaveCount(0)
})

test('a pouch that will run out at the hook: a fix is taken there; what is worked stays, and the plan goes on changed', async ({
  page, request,
}) => {
  test.slow()
  await withoutQuestions(page)
  await request.post('/api/yarns', {
    data: {
      fairHollow: 'yarn', version: 1, id: 'sloe', name: 'sloe blue cotton, DK', note: '', fibre: 'cotton', weightClass: 3,
      colour: '#39496b', metresPer100g: 250, ballGrams: 25, place: '', balls: [{ grams: 20 }],
      unravelled: { stitch: 'sc', stitches: 20, rowCm: 10, yarnCm: 75 },
    },
  })
  const id = await freshBag(request, 'Short pouch', {
    ...tube, yarns: [{ id: 'main', name: 'sloe blue cotton, DK', colour: '#39496b', shelf: 'sloe' }],
  })
  await takeUp(page, id)
  await page.getByRole('radio', { name: 'Whole rounds' }).check()
  await goOnTo(page, /Round 4 of 21/)
  await page.getByRole('button', { name: 'More' }).click()
  await sheet(page).getByRole('button', { name: 'Tape and scales' }).click()
  await sheet(page).getByRole('button', { name: 'Scales' }).click()
  // The weight is read off the scales, which settle first.
  await sheet(page).getByRole('button', { name: 'Read the scales' }).click()
  await sheet(page).getByLabel('What lies on the stand-in').fill('12')
  await sheet(page).getByRole('button', { name: 'Take 12 g' }).click()
  await expect(sheet(page).getByLabel('Grams')).toHaveValue('12')
  await expect(sheet(page).getByRole('status')).toContainText('It goes as far as about round 16 of 21')
  await sheet(page).getByRole('button', { name: 'What would let it last?' }).click()
  const fixes = sheet(page).getByRole('list', { name: 'What would let it last' })
  const fix = fixes.getByRole('button', { name: /^Plain wall: 1\d rounds instead of 20/ })
  const rounds = Number(/Plain wall: (\d+) rounds/.exec(await fix.innerText())![1])
  await page.screenshot({ path: 'test-results/fix-at-hook.png' })
  await fix.click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`Round 4 of ${rounds + 1}`)
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`Round 4 of ${rounds + 1}`)
})

test('a band uses a part ball up, which the pattern says; another yarn is tried on and taken; balls have an order', async ({
  page, request,
}) => {
  for (const [id, metresPer100g, balls] of [
    ['teasel', 250, [{ grams: 22, lot: 'T1' }, { grams: 9, lot: 'T2' }]], ['bramble', 125, [{ grams: 200 }]],
  ] as const) {
    const kept = await request.post('/api/yarns', {
      data: {
        fairHollow: 'yarn', version: 1, id, name: `${id} cotton`, note: '', fibre: 'cotton', weightClass: 3, colour: '#8a7f9d',
        metresPer100g, ballGrams: 50, place: '', balls, unravelled: { stitch: 'sc', stitches: 20, rowCm: 10, yarnCm: 75 },
      },
    })
    expect(kept.status()).toBe(201)
  }
  const bag = await freshBag(request, 'Using up', {
    ...tube, yarns: [{ id: 'main', name: 'teasel cotton', colour: '#8a7f9d', shelf: 'teasel' }],
  })
  await page.goto(`/bags/${bag}`)
  const needed = page.locator('.needed')
  await needed.getByText('Which ball for what').click()
  await expect(needed.getByRole('listitem').first()).toContainText('lot T')
  await needed.getByRole('button', { name: 'Use it up' }).click()
  await needed.getByLabel('Leave over').fill('4')
  // By hand: 27 g to use are surely 26 rounds or so of 0.9 g, as expected 29.
  await expect(needed.getByRole('status')).toContainText(/^2\d rounds: 9\d % that 4 g are left; as expected 2\d rounds/)
  await needed.getByRole('button', { name: /^Plain wall: 2\d rounds instead of 20/ }).click()
  await expect(needed).toContainText('Plain wall, in rounds: uses it up until 4 g are left.')
  await saved(page)
  await page.reload()
  await expect(needed).toContainText('uses it up until 4 g are left')
  await page.getByRole('link', { name: 'Pattern' }).first().click()
  await expect(page.getByText('This part uses its yarn up: written so that about 4 g of teasel cotton are left.')).toBeVisible()
  await page.goBack()

  await needed.getByText('Another yarn instead').click()
  await pick(needed.getByRole('combobox', { name: 'From the shelf' }), 'bramble cotton, 125 m in 100 g')
  await expect(needed).toContainText('41 % thicker')
  await expect(needed).toContainText('20 stitches of sc by 20 rounds on the 5.75 mm')
  await needed.getByRole('button', { name: 'Draft it in bramble cotton' }).click()
  await expect(page.getByRole('button', { name: 'Undo: bramble cotton instead of teasel cotton' })).toBeVisible()
  await expect(page.getByLabel('Name of yarn 1')).toHaveValue('bramble cotton')
  await saved(page)
})
