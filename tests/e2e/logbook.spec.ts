import { readFileSync } from 'node:fs'
import type { APIRequestContext, Page } from '@playwright/test'
import { parse } from 'csv-parse/sync'
import { expect, freshBag, pick, saved, tally, test } from './bag'
import { goOnTo, heading, logOf, takeUp, withoutQuestions } from './hookSteps'

/** A small swatch: it is only so sure, and the tape soon says more. */
const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 10, rounds: 11, overCm: 5 } } }
const yarns = [{ id: 'main', name: 'oak-apple brown cotton', colour: '#8a6a45' }]

function pouch(request: APIRequestContext, name: string): Promise<string> {
  return freshBag(request, name, {
    gauge, yarns, rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
    base: {
      form: 'circle', stitch: 'sc', increases: 6, size: { pin: { rounds: 6 } }, start: 'ring', placing: 'stacked', increaseAt: 'last',
      colour: 'main',
    },
    wall: [{ id: 'part-1', kind: 'solid', stitch: 'sc', size: { want: { heightCm: 6 } }, colour: 'main' }],
  })
}

const sheet = (page: Page) => page.getByRole('dialog')

async function tape(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'More' }).click()
  await sheet(page).getByRole('button', { name: 'Tape and scales' }).click()
}

test('bags that are still being read stand in their place once they are', async ({ page }) => {
  await page.route('/api/logbook', async (route) => {
    const listed = await (await route.fetch()).json() as Bag[]
    await route.fulfill({ json: listed.map(bag => ({ ...bag, listed: null })) })
  }, { times: 2 })
  await page.goto('/logbook')
  await expect(page.getByText('being read …').first()).toBeVisible()
  // On a machine that has much to do the first reading takes its time.
  await expect(page.getByText('being read …')).toHaveCount(0, { timeout: 60_000 })
  await expect(page.getByRole('region', { name: 'Finished' }).getByRole('link', { name: /Seed-head pouch/ }).first()).toBeVisible()
})

interface Bag {
  readonly id: string
  readonly name: string
  readonly listed: { readonly finished?: number } | null
}

/** A finished bag of the demo. */
async function bagOf(request: APIRequestContext, name: string): Promise<string> {
  const listed = async () => (await (await request.get('/api/logbook')).json()) as Bag[]
  await expect.poll(async () => (await listed()).every(bag => bag.listed !== null), { timeout: 60_000 }).toBe(true)
  return (await listed()).find(bag => bag.name === name && bag.listed?.finished)!.id
}

test('measured at the hook the rest is drafted by it; the logbook tells of the bag; the next one begins with its gauge', async ({
  page, request,
}) => {
  test.setTimeout(90_000)
  await withoutQuestions(page)
  const bag = await pouch(request, 'Conker pouch')
  const make = await takeUp(page, bag)
  await page.getByRole('radio', { name: 'Whole rounds' }).check()
  await expect(heading(page)).toContainText('The start')

  // The scales before the first stitch.
  await tape(page)
  await expect(sheet(page)).toContainText('No round is done yet')
  await sheet(page).getByRole('button', { name: 'Scales' }).click()
  await sheet(page).getByLabel('Grams').fill('-3')
  await sheet(page).getByRole('button', { name: 'Write the weight down' }).click()
  await expect(sheet(page).getByRole('alert')).toContainText('Type grams')
  await sheet(page).getByLabel('Grams').fill('60')
  await sheet(page).getByRole('button', { name: 'Write the weight down' }).click()

  await goOnTo(page, /Round 7 of 19/)
  // What cannot be is refused, what can hardly be meant is questioned: 6 rounds of 0.4545 cm are 5.45 cm across, or 2.15 in.
  await tape(page)
  await sheet(page).getByLabel('It is').fill('0')
  await sheet(page).getByRole('button', { name: 'Draft the rest by it' }).click()
  await expect(sheet(page).getByRole('alert')).toContainText('Type a length above 0')
  await sheet(page).getByLabel('It is').fill('1000')
  await expect(sheet(page).getByRole('alert')).toContainText('lay the tape on again')
  await sheet(page).getByRole('button', { name: 'Draft the rest by it' }).click()
  await expect(sheet(page).getByRole('alert')).toBeVisible()
  await sheet(page).getByLabel('It is').fill('2.3')
  await expect(sheet(page).getByRole('alert')).toContainText('did you mean inches?')
  await sheet(page).getByRole('button', { name: /^It is in inches/ }).click()
  await expect(sheet(page).getByLabel('It is')).toHaveValue('5.84 cm')
  await sheet(page).getByLabel('It is').fill('6.3')
  await expect(sheet(page).getByRole('status'))
    .toContainText('Base is 6.3 cm across after 6 rounds, not 5.5 cm: Plain wall: 12 rounds instead of 13')
  const wall = sheet(page).getByRole('row', { name: /^Plain wall / })
  await expect(wall).toContainText('13 rnds')
  await expect(wall).toContainText('12 rnds')
  await sheet(page).getByRole('button', { name: 'flat' }).click()
  await sheet(page).getByRole('button', { name: 'Draft the rest by it' }).click()
  await expect(heading(page)).toContainText('Round 7 of 18')

  // Half the wall.
  await goOnTo(page, /Round 13 of 18/)
  await tape(page)
  await sheet(page).getByLabel('It is').fill('3.4')
  await expect(sheet(page).getByRole('status')).toContainText('Plain wall: 11 rounds instead of 12')
  await sheet(page).getByRole('button', { name: 'Draft the rest by it' }).click()
  await expect(heading(page)).toContainText('Round 13 of 17')
  await tape(page)
  await sheet(page).getByLabel('Measured').selectOption('flat-width')
  await sheet(page).getByLabel('It is').fill('9.4')
  await sheet(page).getByRole('button', { name: 'Write the measure down' }).click()
  await tape(page)
  await sheet(page).getByRole('button', { name: 'Scales' }).click()
  await sheet(page).getByLabel('Grams').fill('54')
  await expect(sheet(page).getByRole('status')).toContainText('took 6 g')
  await sheet(page).getByRole('button', { name: 'Write the weight down' }).click()
  // It survives a reload: the plan is the measured one.
  await page.reload()
  await expect(heading(page)).toContainText('Round 13 of 17')

  await goOnTo(page, /All is done/)
  await page.getByRole('button', { name: 'Finish', exact: true }).click()
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  const { state } = await logOf(request, make)
  expect(state.measured.map(one => ('cm' in one ? one.cm : 0))).toEqual([6.3, 3.4, 9.4])

  // Its page in the logbook.
  await page.getByRole('button', { name: 'More' }).click()
  await sheet(page).getByRole('link', { name: 'Its page in the logbook' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Conker pouch')
  await expect.poll(() => page.locator('figure').filter({ hasText: 'Sizes: said' }).locator('svg path').count()).toBeGreaterThan(3)
  await page.locator('figure').filter({ hasText: 'Sizes: said' }).getByText('As a table').click()
  await expect(page.getByRole('row', { name: /^Base, across \(6\)/ })).toContainText('6.3 cm')
  await page.getByLabel('For whom').fill('Bracken')
  await page.getByRole('button', { name: 'Write it in' }).click()
  await expect(page.getByText('Written in the book.')).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('For whom')).toHaveValue('Bracken')

  // The next bag starts with the learnt gauge.
  const next = await freshBag(request, 'The next pouch', { yarns })
  await page.goto(`/bags/${next}`)
  await pick(page.getByRole('combobox', { name: 'From your logbook' }), 'oak-apple brown cotton, 4 mm (1 bag)')
  await expect(page.getByText('Learnt from your last bag in this yarn')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.locator('[data-code="gauge-learnt"]')).toContainText('your last bag')
  await expect(tally(page, 'Takes, by your pace')).toContainText(/h|min/)
})

test('the demo\'s logbook: every bag, what the hands have taught, side by side, and out and in again', async ({ page, request }) => {
  const tote = await bagOf(request, 'Windfall apple tote')
  await page.goto('/logbook')
  await expect(page.getByRole('region', { name: 'Finished' }).getByRole('link')).not.toHaveCount(0)
  await expect(page.getByRole('region', { name: 'What your hands have taught' })).toContainText('moss in sc')
  const over = page.getByRole('region', { name: 'Over all bags' })
  await expect.poll(() => over.locator('figure svg path').count()).toBeGreaterThan(10)
  await over.getByText('As a table').first().click()
  await expect(over.getByRole('cell', { name: 'Windfall apple tote' }).first()).toBeVisible()

  await page.getByRole('link', { name: /^Windfall apple tote/ }).click()
  await expect(page.getByRole('region', { name: 'Changed on the way' })).toContainText('ripped back to round 29')
  await pick(page.getByRole('combobox', { name: 'Beside another bag' }), 'Nutting basket')
  await expect(page.getByRole('row', { name: /^Hook/ })).toContainText('4.5 mm')
  await page.getByLabel('only what differs').uncheck()
  await expect(page.getByRole('row', { name: /^Counts that were off/ })).toBeVisible()

  const csv = await (await request.get('/api/logbook/export?as=csv')).text()
  const lines = parse(csv, { columns: true }) as { bag: string }[]
  expect(lines.map(({ bag }) => bag)).toContain('Twine tub')
  const own = parse(await (await request.get(`/api/logbook/export?as=csv&bag=${tote}`)).text(), { columns: true }) as { what: string }[]
  expect(own.map(({ what }) => what)).toContain('pace: sc')
  const all = await (await request.get('/api/logbook/export?as=json')).json() as { makes: { name: string, events: { id: string }[] }[] }
  expect(all.makes.length).toBeGreaterThan(6)
  // What is here is left as it is; a bag that is not comes in.
  const before = all.makes.find(({ name }) => name === 'Twine tub')!
  const unchained = { ...before, events: before.events.map(event => ({ ...event, id: `n${event.id}`, after: undefined })) }
  await page.goto('/logbook')
  await page.getByLabel('A logbook or make file').setInputFiles({
    name: 'book.logbook.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify({ ...all, makes: [before, unchained] })),
  })
  await expect(page.getByText('1 bag brought in; 1 here already, left as they are.')).toBeVisible()
})

test.describe('a file that is refused', () => {
  test.use({ expected: [/status of (422|404)/] })

  test('says what it should be, and brings nothing in', async ({ page }) => {
    await page.goto('/logbook')
    await page.getByLabel('A logbook or make file').setInputFiles({
      name: 'odd.json', mimeType: 'application/json', buffer: Buffer.from('{"fairHollow":"recipe"}'),
    })
    await expect(page.getByRole('alert')).toContainText('this is no Fair Hollow logbook')
  })

  test('a photo is kept small and plain, shown, and thrown away', async ({ page, request }) => {
    const id = await bagOf(request, 'Nutting basket')
    await page.goto(`/logbook/${id}`)
    await page.getByLabel('A photo of the bag').setInputFiles({ name: 'a.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') })
    await expect(page.getByRole('alert')).toContainText('no picture that the browser can read')
    await page.getByLabel('A photo of the bag').setInputFiles({
      name: 'basket.png', mimeType: 'image/png', buffer: readFileSync(new URL('../../docs/screenshots/bench.png', import.meta.url)),
    })
    await expect(page.getByRole('img', { name: 'Nutting basket, as it came out' })).toBeVisible()
    const photo = await request.get(`/api/makes/${id}/photo`)
    expect(photo.headers()['content-type']).toBe('image/jpeg')
    const bytes = await photo.body()
    expect(bytes.length).toBeLessThan(400_000)
    expect(bytes.toString('latin1')).not.toContain('Exif')
    const exported = await (await request.get(`/api/makes/${id}/export`)).json() as { photo: string }
    expect(exported.photo).toMatch(/^data:image\/jpeg;base64,/)
    const headers = { 'Content-Type': 'image/jpeg' }
    const refused = await request.put(`/api/makes/${id}/photo`, { data: Buffer.from('<svg>'.repeat(50)), headers })
    expect(refused.status()).toBe(422)
    await page.getByRole('button', { name: 'Delete the photo' }).click()
    await expect(page.getByRole('button', { name: 'Add a photo' })).toBeVisible()
    expect((await request.get(`/api/makes/${id}/photo`)).status()).toBe(404)
    await page.getByRole('button', { name: 'Restore' }).click()
    await expect(page.getByRole('img', { name: 'Nutting basket, as it came out' })).toBeVisible()
    expect((await (await request.get(`/api/makes/${id}/photo`)).body()).equals(bytes)).toBe(true)
    await page.getByRole('button', { name: 'Delete the photo' }).click()
    await expect(page.getByRole('button', { name: 'Add a photo' })).toBeVisible()
  })
})

test('a new bag as it came out, and the same once more', async ({ page, request }) => {
  const id = await bagOf(request, 'Twine tub')
  await page.goto(`/logbook/${id}`)
  await page.getByRole('button', { name: 'A new bag, as it came out' }).click()
  await page.waitForURL(/\/bags\//)
  await expect(page.getByText('Twine tub, as it came out').first()).toBeVisible()
  await expect(tally(page, 'Rounds')).toHaveText('26')
  await page.goto(`/logbook/${id}`)
  await page.getByRole('button', { name: 'Make another' }).click()
  await page.waitForURL(/\/makes\//)
  await expect(heading(page)).toContainText('The start')
})

test('a part of the wall is measured on the bench: the rest is drafted by it, and it can be forgotten', async ({ page, request }) => {
  const bag = await pouch(request, 'Bench pouch')
  await page.goto(`/bags/${bag}`)
  await page.getByText('Plain wall', { exact: true }).first().click()
  await page.getByText('Worked some of it? Lay the tape on').click()
  const laid = page.locator('details.measured')
  await laid.getByLabel('Rounds of it worked').fill('6')
  await laid.getByLabel('It is').fill('3.4')
  await expect(laid.getByRole('status')).toContainText('Plain wall: 11 rounds instead of 13')
  await laid.getByRole('button', { name: 'Draft the rest by it' }).click()
  await expect(tally(page, 'Rounds')).toHaveText('17')
  await saved(page)
  await page.reload()
  await expect(tally(page, 'Rounds')).toHaveText('17')
  await page.getByText('Plain wall', { exact: true }).first().click()
  await page.getByText('Worked some of it? Lay the tape on').click()
  await page.getByRole('button', { name: 'Forget what was measured of it' }).click()
  await expect(tally(page, 'Rounds')).toHaveText('19')
})

test('the table goes out and comes in: a bag that is here stays, one that is not is listed with its figures', async ({ page, request }) => {
  await bagOf(request, 'Nutting basket')
  await page.goto('/logbook')
  const out = await (await request.get('/api/logbook/export?as=csv')).text()
  const file = (text: string) => ({ name: 'bags.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  const picker = page.getByLabel('A logbook or make file')
  await picker.setInputFiles(file(out))
  await expect(page.getByRole('status').filter({ hasText: '0 bags brought in;' })).toBeVisible()
  const bag = 'bag,begun,finished,minutes,hook mm,rounds,stitches\nFig bag,2025-03-01,2025-03-09,480,"4,5",61,5124'
  for (const said of ['1 bag brought in.', '0 bags brought in; 1 here already']) {
    await picker.setInputFiles(file(bag))
    await expect(page.getByRole('status').filter({ hasText: said })).toBeVisible()
  }
  await page.reload()
  await page.getByRole('link', { name: /Fig bag/ }).click()
  await expect(page.getByText('This bag came in by a table.')).toBeVisible()
  await expect(page.getByRole('definition').filter({ hasText: /^5,124$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Make another' })).toHaveCount(0)
})
