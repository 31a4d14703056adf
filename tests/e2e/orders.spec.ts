import { readFileSync } from 'node:fs'
import type { APIRequestContext, Page } from '@playwright/test'
import ICAL from 'ical.js'
import { hookMinutes } from '../../core/household/plan/evenings'
import { expect, freshBag, pick, test } from './bag'
import { goOnTo, takeUp, withoutQuestions } from './hookSteps'

const gauge = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }

/** A tube of 30 stitches and a few rounds: a quarter of an hour or so. */
const tube = {
  gauge, turnUp: 'plain', rounds: { style: 'spiral', startingChainCounts: false },
  base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 30 } }, colour: 'main' },
  wall: [{ id: 'part-1', kind: 'solid', stitch: 'sc', size: { pin: { rounds: 6 } }, colour: 'main' }],
  yarns: [{ id: 'main', name: 'sorrel red cotton, DK', colour: '#8e3b32' }],
}

/** Noon of a Monday; the machine's own day, since finished bags are of that. */
const today = new Date()
const monday = new Date(Date.UTC(today.getFullYear(), today.getMonth(), today.getDate() + ((8 - today.getDay()) % 7 || 7), 12))
const day = (after: number) => new Date(monday.getTime() + after * 86_400_000).toISOString().slice(0, 10)

async function noOrders(request: APIRequestContext): Promise<void> {
  const all = await (await request.get('/api/orders')).json() as { id: string }[]
  for (const { id } of all) await request.delete(`/api/orders/${id}`)
}

/** Has the program learn from every make that other tests left: it would do so a while later, in the middle of this one. */
async function learnt(request: APIRequestContext): Promise<void> {
  const makes = await (await request.get('/api/makes')).json() as { id: string }[]
  for (const { id } of makes) await request.get(`/api/logbook/${id}`)
}

/** Minutes that one of a bag takes. */
async function minutesOf(request: APIRequestContext, bag: string, name: string): Promise<number> {
  const answer = await request.post('/api/orders/known', { data: { zone: 'UTC', on: day(0), lines: [{ bag, name }] } })
  const { bags: [known] } = await answer.json() as { bags: { work: { minutes: number } }[] }
  return known!.work.minutes
}

/** An evening whose minutes at the hook make one bag and a little. */
function eveningFor(minutes: number): number {
  let evening = 1
  while (hookMinutes(evening) < minutes + 0.01) evening++
  return evening
}

const days = (page: Page, at: string) => page.locator(`[data-day="${at}"]`)

test('twelve pouches for the fair: two fall behind, and the plan says so; what makes it sure is taken, the list is printed', async ({
  page, request,
}) => {
  await noOrders(request)
  await request.post('/api/yarns', {
    data: {
      fairHollow: 'yarn', version: 1, id: 'sorrel', name: 'sorrel red cotton, DK', note: '', fibre: 'cotton', weightClass: 3,
      colour: '#8e3b32', metresPer100g: 250, ballGrams: 25, ballPrice: 350, place: '', balls: [{ grams: 10, lot: 'S1' }],
    },
  })
  await learnt(request)
  const bag = await freshBag(request, 'Fair pouch', tube)
  const evening = eveningFor(await minutesOf(request, bag, 'Fair pouch'))
  await page.goto('/orders')
  await expect(page.getByText('No orders. Take one')).toBeVisible()
  await page.getByRole('button', { name: 'Take an order' }).click()
  const form = page.getByRole('form', { name: 'The order' })
  await form.getByRole('button', { name: 'Keep this order' }).click()
  await expect(form.getByText('Say what it is for')).toBeVisible()
  await form.getByLabel('What it is for').fill('The fair')
  await form.getByLabel('First evening').fill(day(0))
  await form.getByLabel('Ready in the morning of').fill(day(12))
  await form.getByRole('button', { name: 'Add a bag' }).click()
  await pick(form.getByRole('combobox', { name: 'Bag' }), 'Fair pouch')
  await form.getByLabel('How many').fill('12')
  await form.getByLabel('Asked for one').fill('6,50')
  for (const name of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri']) await form.getByLabel(name, { exact: true }).fill(String(evening))
  for (const name of ['Sat', 'Sun']) await form.getByLabel(name, { exact: true }).fill('0')
  await form.getByLabel('Lost, of 100 evenings').fill('0')
  await form.getByLabel('An hour').fill('9')
  await form.getByLabel('Currency').fill('crowns')

  // One an evening on ten evenings: while it is still being entered, the plan says that two are late.
  const verdict = page.getByRole('region', { name: 'How it stands' }).getByRole('status')
  await expect(verdict).toContainText('As it goes 2 fall behind: 10 are ready by')
  await form.getByRole('button', { name: 'Keep this order' }).click()
  await expect(page.getByRole('heading', { name: 'The fair', level: 1 })).toBeVisible()
  await page.reload()
  await expect(verdict).toContainText('2 fall behind')
  await expect(page.getByRole('list', { name: 'Fair pouch' }).getByText('too late as it goes')).toHaveCount(2)
  await expect(days(page, day(0))).toContainText('Fair pouch 1, done')
  await expect(days(page, day(5))).not.toContainText('Fair pouch')
  await expect(days(page, day(12))).toContainText('The fair')
  await expect(days(page, day(15))).toContainText('Fair pouch 12, done, late')
  await page.screenshot({ path: 'test-results/order-calendar.png', fullPage: true })

  // An evening is made longer where it stands, and is kept.
  await days(page, day(5)).getByRole('button').click()
  await page.getByRole('group', { name: /Sat/ }).getByLabel('Minutes that evening').fill(String(evening))
  await expect(verdict).toContainText('As it goes 1 falls behind')
  await page.reload()
  await expect(verdict).toContainText('1 falls behind')

  await page.getByRole('button', { name: 'What would make it sure?' }).click()
  const fixes = page.getByRole('list', { name: 'What would make it sure' })
  await fixes.getByRole('button', { name: /^Leave out \d+ Fair pouch/ }).click()
  await expect(verdict).toContainText('As it goes all are ready in time')

  // The yarn it takes, what lies there, and what is to buy; a price; the list.
  const yarn = page.getByRole('region', { name: 'Yarn' })
  await expect(yarn).toContainText('sorrel red cotton, DK')
  await expect(yarn).toContainText(/Buy \d+ balls of 25 g/)
  await expect(yarn).toContainText('lot S1: 10 g')
  await expect(page.getByRole('region', { name: 'Price' })).toContainText('As asked they bring')
  const [list] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'What to buy, as a list' }).click()])
  const text = readFileSync((await list.path())!, 'utf8')
  expect(text).toMatch(/\[ \] sorrel red cotton, DK: \d+ balls of 25 g \(wanted .*, \d+\.\d\d crowns\n {4}all of one dye lot\n {4}at home lot S1: 10 g/)
  const [calendar] = await Promise.all([
    page.waitForEvent('download'), page.getByRole('link', { name: 'Evenings for your calendar' }).click(),
  ])
  const parsed = new ICAL.Component(ICAL.parse(readFileSync((await calendar.path())!, 'utf8')))
  const events = parsed.getAllSubcomponents('vevent').map(event => new ICAL.Event(event))
  expect(events.at(-1)!.summary).toContain('The fair: ')
  expect(events.at(-1)!.startDate.toString()).toBe(day(12))
  expect(events[0]!.startDate.toString()).toBe(`${day(0)}T19:00:00`)
  expect(events[0]!.duration.toSeconds()).toBe(60 * evening)
  const [paper] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'The order on paper' }).click()])
  expect(readFileSync((await paper.path())!).subarray(0, 5).toString()).toBe('%PDF-')
})

test('a bag that is finished fills its order; an order is closed, thrown away and comes back', async ({ page, request }) => {
  test.slow()
  await noOrders(request)
  await withoutQuestions(page)
  const bag = await freshBag(request, 'Quick pouch', tube)
  const order = {
    fairHollow: 'order', version: 1, name: 'Two for a friend', from: day(0), by: day(12), note: 'Blue for her, green for him.',
    // The day before: here it may be tomorrow already.
    taken: new Date(Date.now() - 86_400_000).toISOString().slice(0, 10),
    bags: [{ bag, name: 'Quick pouch', count: 2 }], week: { mon: 60, tue: 60 },
  }
  const { id } = await (await request.post('/api/orders', { data: order })).json() as { id: string }
  await page.goto(`/orders/${id}`)
  await expect(page.getByText('2 wanted: 2 to begin.')).toBeVisible()
  await takeUp(page, bag)
  await page.getByRole('radio', { name: 'Whole rounds' }).check()
  await goOnTo(page, /All is done/)
  await page.getByRole('button', { name: 'Finish' }).click()
  await expect(page.getByRole('button', { name: 'Finished', exact: true })).toBeVisible()
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  await expect.poll(async () => {
    await page.goto(`/orders/${id}`)
    return page.locator('.state').innerText()
  }).toBe('2 wanted: 1 finished, 1 to begin.')
  await page.getByRole('button', { name: 'Close it' }).click()
  await expect(page.getByText('This order is closed')).toBeVisible()
  await page.getByRole('link', { name: 'Orders' }).last().click()
  const listed = page.getByRole('listitem').filter({ hasText: 'Two for a friend' })
  await expect(listed).toContainText('Closed.')
  await expect(listed).toContainText('Blue for her, green for him.')
  expect((await (await request.get((await listed.getByRole('link', { name: 'Download' }).getAttribute('href'))!)).json() as object))
    .toMatchObject({ fairHollow: 'order', name: 'Two for a friend', stands: 'closed' })
  await page.getByRole('button', { name: 'Delete Two for a friend' }).click()
  await page.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByRole('link', { name: 'Two for a friend', exact: true })).toBeVisible()
})
