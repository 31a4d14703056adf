import { expect, freshBag, saved, tally, test } from './bag'

/** What whoever uses it daily leans on: whole sizes, settings once for all, the list in groups, ways in, looking closer. */

const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const tube = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 80 } }, colour: 'main' }

test('how tall and how wide it is in all is typed, and kept; what cannot be is said', async ({ page, request }) => {
  const id = await freshBag(request, 'Sized in all', { gauge, base: tube, turnUp: 'plain' })
  await page.goto(`/bags/${id}`)
  // 20 stitches and 20 rounds in 10 cm: 30 cm are 60 rounds, one of them the tube's own.
  await page.getByRole('textbox', { name: 'Tall in all' }).fill('30')
  await expect(tally(page, 'Rounds')).toHaveText('60')
  await page.getByRole('textbox', { name: 'Wide, lying flat' }).fill('25')
  await expect(tally(page, 'Lies flat')).toContainText('25 × 30')
  await page.getByRole('textbox', { name: 'Tall in all' }).fill('11 3/4 in')
  await expect(tally(page, 'Lies flat')).toContainText('25 × 30')
  await saved(page)
  await page.reload()
  await expect(tally(page, 'Rounds')).toHaveText('60')
  await expect(page.getByRole('textbox', { name: 'Wide, lying flat' })).toHaveValue('25')
})

test('inches are said once: new bags, yards and the names of hooks go with them', async ({ page }) => {
  await page.goto('/start')
  await page.getByRole('radio', { name: 'inches' }).check()
  await page.getByRole('button', { name: 'That is how I work' }).click()
  await page.getByRole('button', { name: 'no questions' }).click()
  await expect(tally(page, 'Lies flat')).toContainText('in')
  await expect(page.locator('.tally .yarn').first()).toContainText('yd')
  const hook = page.getByRole('textbox', { name: /^Hook/ })
  await hook.fill('H-8')
  await expect(page.getByRole('textbox', { name: /5 mm \(US H-8/ })).toBeVisible()
  await saved(page)
  await page.goto('/yarns')
  await expect(page.locator('main')).toContainText(/\d lb/)
  await expect(page.locator('main')).toContainText(/\d+ yd in 1 oz · balls of [\d.]+ oz/)
  await page.goto('/start')
  await expect(page.getByRole('heading', { name: 'How do you work?' })).toHaveCount(0)
})

test('a bag begins from what goes in, and from a pattern that somebody wrote', async ({ page }) => {
  await page.goto('/start')
  await page.getByRole('link', { name: 'apples, balls' }).click()
  await page.getByLabel('How many').fill('3')
  await expect(page.locator('figcaption')).toContainText('rounds')
  await page.getByRole('button', { name: 'To the bench' }).click()
  await expect(page.locator('.ghost').first()).toBeAttached()
  await page.goto('/start?pattern=')
  await expect(page.getByRole('button', { name: 'To the bench' })).toBeDisabled()
  const lines = ['Rnd 1: 6 sc in ring (6)', 'Rnd 2: inc around (12)', 'Rnd 3: [sc, inc] x 6 (18)', 'Rnds 4-9: sc around (18)', 'Off.']
  await page.getByLabel('The pattern', { exact: true }).fill(lines.join('\n'))
  await expect(page.getByText('9 rounds read')).toBeVisible()
  await page.getByRole('button', { name: 'To the bench' }).click()
  await expect(tally(page, 'Rounds')).toHaveText('9')
})

test('the list sorts by what is done with a bag, finds by tags, and takes a file dropped on it', async ({ page, request }) => {
  const id = await freshBag(request, 'Tagged pouch')
  await page.goto(`/bags/${id}`)
  await page.getByLabel('Tags, between commas').fill('for Wren, market')
  await saved(page)
  await page.goto('/')
  await page.getByRole('textbox', { name: 'Find a bag' }).fill('wren')
  await expect(page.locator('.shelf .card')).toHaveCount(1)
  await expect(page.locator('.shelf .card')).toContainText('market')
  await page.getByRole('textbox', { name: 'Find a bag' }).fill('')
  await expect(page.locator('.shelf .card')).not.toHaveCount(1)
  await page.getByRole('button', { name: 'for Wren' }).click()
  await expect(page.getByRole('textbox', { name: 'Find a bag' })).toHaveValue('for Wren')
  await expect(page.locator('.shelf .card')).toHaveCount(1)
  await page.getByRole('textbox', { name: 'Find a bag' }).fill('')
  await page.getByRole('radio', { name: 'on the hook' }).check()
  await expect(page.locator('.shelf .card').filter({ hasText: 'Seed-head pouch' })).toContainText('On the hook: Round')
  await expect(page.locator('.shelf .card').filter({ hasText: 'Tagged pouch' })).toHaveCount(0)
  const file = await (await request.get(`/api/designs/${id}/export?as=design`)).text()
  await page.evaluate((text) => {
    const dropped = new DataTransfer()
    dropped.items.add(new File([text], 'tagged.design.json', { type: 'application/json' }))
    window.dispatchEvent(new DragEvent('drop', { dataTransfer: dropped, bubbles: true, cancelable: true }))
  }, file)
  await expect(page).toHaveURL(/\/bags\//)
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Tagged pouch')
})

test('the drawing is enlarged and fitted again; the tour is left, letter keys are switched off', async ({ page, request }) => {
  await page.goto(`/bags/${await freshBag(request, 'Looked at closely', { gauge })}`)
  await page.getByRole('button', { name: 'Show me' }).click()
  await expect(page.getByText('1 of 5.')).toBeVisible()
  await page.getByRole('button', { name: 'Leave the tour' }).click()
  await expect(page.getByText('1 of 5.')).toHaveCount(0)
  const wide = async () => (await page.locator('.drawing .band').first().boundingBox())!.width
  const before = await wide()
  await page.keyboard.press('+')
  await page.keyboard.press('+')
  expect(await wide()).toBeGreaterThan(before * 1.4)
  await page.getByRole('button', { name: 'The whole drawing' }).click()
  expect(Math.abs(await wide() - before)).toBeLessThan(2)
  await page.getByRole('button', { name: 'Settings' }).click()
  await page.getByRole('checkbox', { name: /^Single letters/ }).uncheck()
  await page.getByRole('button', { name: 'Done' }).click()
  await page.keyboard.press('l')
  await page.waitForTimeout(200)
  await expect(page).toHaveURL(/\/bags\//)
  await page.reload()
  await expect(page.getByRole('button', { name: 'Show me' })).toHaveCount(0)
})

test.describe('what takes long', () => {
  test.use({ expected: [/422/] })

  test('a look through a parcel says that it goes on, and can be called off', async ({ page }) => {
    await page.goto('/safe')
    await page.route('**/api/library/parcel', () => new Promise(() => {}))
    let standing: object = { before: 2 }
    await page.route('**/api/library/jobs/*', route => route.fulfill({ json: { standing } }))
    const file = { name: 'years.zip', mimeType: 'application/zip', buffer: Buffer.from('PK') }
    await page.locator('input[type=file]').setInputFiles(file)
    const work = page.getByRole('status').filter({ hasText: 'years.zip is being looked through.' })
    await expect(work).toBeVisible()
    await expect(page.getByRole('progressbar')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Read such a file' })).toBeDisabled()
    // How it stands is told: who is before it, then how much of it is done.
    await expect(work).toContainText('2 things are done before it.')
    standing = { share: 0.4 }
    await expect(work).toContainText('40 %')
    await expect(page.getByRole('progressbar')).toHaveAttribute('value', '0.4')
    await page.getByRole('button', { name: 'Call it off' }).click()
    await expect(page.getByRole('status').filter({ hasText: 'Called off. Nothing is changed.' })).toBeVisible()
    await page.unrouteAll({ behavior: 'ignoreErrors' })
    await page.locator('input[type=file]').setInputFiles(file)
    await expect(page.getByRole('alert')).toContainText('That did not work')
  })
})
