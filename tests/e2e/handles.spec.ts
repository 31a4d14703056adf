import { stacked } from '../../core/bag/design/partIds'
import type { Page } from '@playwright/test'
import { expect, freshBag, idOf, pickKind, saved, tally, test, unfold } from './bag'

const label = (page: Page, name: RegExp) => page.locator('nav.labels').getByRole('button', { name: new RegExp(name.source, 'i') })
const runs = (page: Page) => page.locator('[data-code="slot-runs"]')
const gauge = { hookMm: 4.5, strands: 1, measured: { sc: { stitches: 16, rounds: 16, overCm: 10 } } }
const tube = {
  gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 64 } }, colour: 'main' }, turnUp: 'plain',
  wall: stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' }]),
}

/** The numbers of a list of runs: what lies before, between and after the slots. */
async function numbers(page: Page): Promise<number[]> {
  const [, list] = /round: (.+?)\. /.exec(await runs(page).innerText())!
  return [...list!.matchAll(/\d+/g)].map(([text]) => Number(text))
}

test('the windfall tote from what it must hold to its handles: change the base, enter a lean, drag a slot', async ({ page, request }) => {
  await page.goto(`/bags/${await freshBag(request, 'My windfall tote', { gauge })}`)
  await page.getByRole('radio', { name: 'folded cloth' }).check()
  await page.getByLabel('Weighs').fill('4')
  await page.getByRole('button', { name: 'Propose a bag for it' }).click()
  // Cloth that is folded lies on a long floor; the fresh bag has a round one.
  await expect(label(page, /^Base/)).not.toContainText('across')
  await page.getByRole('button', { name: 'Handles on top' }).click()
  await expect(runs(page)).toContainText(/slot \d+, \d+, slot \d+/)
  await expect(page.locator('[data-code="drop"]')).toContainText('with 2.0 kg in it')
  await expect(tally(page, 'With handles')).toContainText('cm')

  // The gaps between the slots are equal, whatever the base: they re-place themselves.
  const gaps = async () => {
    const [before, slot, between, other, after] = (await numbers(page)) as [number, number, number, number, number]
    expect(slot).toBe(other)
    expect(Math.abs(before + after - between)).toBeLessThanOrEqual(1)
    return { before, between, count: before + slot + between + other + after }
  }
  const first = await gaps()
  await label(page, /^Base/).click()
  await page.getByLabel('Length of the floor').fill('40')
  await label(page, /slots/i).click()
  await expect.poll(async () => (await gaps()).count).toBeGreaterThan(first.count)

  const straight = await gaps()
  await unfold(page, 'How you work')
  await page.getByRole('textbox', { name: 'The start leaned, in ten rounds' }).fill('3')
  await label(page, /slots/i).click()
  await expect.poll(async () => (await gaps()).before).toBeGreaterThan(straight.before)
  await unfold(page, 'How you work')
  await page.getByRole('textbox', { name: 'The start leaned, in ten rounds' }).fill('0')
  await label(page, /slots/i).click()
  await expect.poll(async () => (await gaps()).before).toBe(straight.before)

  const grip = page.getByRole('slider', { name: /place on the rim/ })
  const box = (await grip.locator('rect').boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(page.locator('[data-code="off-centre"]')).toContainText('from the middle of the bag')
  await expect(page.getByLabel('Moved from the middle')).not.toHaveValue('0')
  // Dragged back to within a stitch and a half it snaps to the middle.
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 4, box.y + box.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(page.getByLabel('Moved from the middle')).toHaveValue('0')

  await grip.focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await expect(grip).toHaveAttribute('aria-valuenow', '2')
  await page.keyboard.press('Home')
  await expect(page.locator('[data-code="off-centre"]')).toHaveCount(0)
  await page.keyboard.press('ArrowUp')
  await saved(page)
  await page.reload()
  await label(page, /slots/i).click()
  await expect(page.getByLabel('Moved from the middle')).toHaveValue('1')
  await page.getByRole('button', { name: 'Back to the middle' }).click()

  await saved(page)
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.locator('.pattern')).toContainText(/ch \d+, sk next \d+ sts, sc in next \d+ sts, ch \d+/)
  await expect(page.locator('.pattern')).toContainText(/sc in each of the \d+ chs/)
  await expect(page.locator('.pattern')).toContainText('With handles')
})

test('64 stitches: 8, slot 16, 16, slot 16, 8; chains of 32 come to 96; marked anew they move', async ({ page, request }) => {
  await page.goto(`/bags/${await freshBag(request, 'Counted', tube)}`)
  await page.getByRole('button', { name: 'Handles on top' }).click()
  await page.getByRole('radio', { name: 'stitches', exact: true }).check()
  await page.getByLabel('Stitches skipped for each').fill('16')
  await page.getByRole('radio', { name: 'so many chains' }).check()
  await page.getByLabel('Chains', { exact: true }).fill('32')
  await expect(runs(page)).toContainText('8, slot 16, 16, slot 16, 8. Chains of 32 over them')
  await expect(page.locator('[data-code="rim-counts"]')).toContainText('from 64 stitches to 96, then 92')
  await page.getByRole('radio', { name: 'marked again by folding' }).check()
  await page.getByLabel('From the round\'s start to a side').fill('4')
  await expect(runs(page)).toContainText('12, slot 16, 16, slot 16, 4')
  await page.getByRole('radio', { name: 'a hand hole' }).check()
  await expect(page.locator('[data-code="rim-counts"]')).toContainText('from 64 stitches to 64')
  await page.getByLabel('Stitches skipped for each').fill('40')
  await expect(page.locator('[data-code="slots-too-wide"]')).toContainText('at most 30 leave 2 between')
  await page.getByRole('button', { name: 'Slots of 30 stitches' }).click()
  await expect(page.locator('[data-code="slots-too-wide"]')).toHaveCount(0)
})

test('the bulb sling: knot straps on a boat, longer by its drop, joined without a twist, drawn lying flat', async ({ page, request }) => {
  const document = (await (await request.get(`/api/designs/${await idOf(request, 'Bulb sling')}/export?as=design`)).json()) as {
    wall: { kind: string }[]
  }
  await page.goto(
    `/bags/${await freshBag(request, 'My bulb sling', { ...document, name: 'My bulb sling', wall: document.wall.slice(0, 2) })}`,
  )
  await label(page, /^Plain wall 2/).click()
  await page.getByRole('button', { name: 'Band above' }).click()
  await pickKind(page, 'knot straps')
  await expect(label(page, /knot straps/i)).toContainText('no round of its own')
  await expect(page.locator('.drawing .handle')).toHaveCount(2)
  await page.getByRole('textbox', { name: 'The long one: drop, rim to hand' }).fill('30')
  await expect(page.locator('[data-code="drop"]').nth(1)).toContainText(/held up it drops (29|30)/)
  await page.getByRole('textbox', { name: 'The long one: drop, rim to hand' }).fill('8')
  await expect(page.locator('[data-code="knot-too-alike"]')).toContainText('pass through the short one')
  await page.locator('[data-code="knot-too-alike"]').getByRole('button').first().click()
  await expect(page.locator('[data-code="knot-too-alike"]')).toHaveCount(0)
  await expect(page.locator('.side')).toContainText('Short strap')
  await page.getByRole('radio', { name: 'lying flat' }).check()
  await saved(page)
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.locator('.pattern')).toContainText('Lay the strap over without a twist')
  await expect(page.getByRole('img', { name: /Long strap, \d+ rows/ })).toBeVisible()
  const svg = await (await request.get(`/api/designs/${await idOf(request, 'My bulb sling')}/export?as=svg`)).text()
  expect(svg).toContain('<title>Short strap</title>')
})

test('straps sewn on, too narrow for their load, and what makers do about it; a strip hung up', async ({ page, request }) => {
  await page.goto(
    `/bags/${await freshBag(request, 'Loaded', {
      ...tube,
      contents: { kind: 'cloth', lengthCm: 8, widthCm: 6, heightCm: 8, weightKg: 9 },
    })}`,
  )
  await page.getByRole('button', { name: 'Handles on top' }).click()
  await pickKind(page, 'sewn straps')
  await page.getByLabel('Rows side by side').fill('2')
  await expect(page.locator('[data-code="handle-narrow"]')).toContainText('nothing here is rated')
  await page.getByRole('button', { name: 'A woven tape along the back' }).click()
  await expect(page.locator('[data-code="handle-load"]')).toContainText('The tape takes it')
  await page.getByRole('button', { name: 'The whole bag' }).click()
  await page.getByRole('radio', { name: 'I hung a strip' }).check()
  await page.getByRole('textbox', { name: 'With the weight' }).fill('23')
  await expect(page.locator('[data-code="drop"]').first()).toContainText('by your strip it lengthens')
  await page.getByRole('textbox', { name: 'With the weight' }).fill('18')
  await expect(page.getByLabel('Strip before')).toHaveValue('18')
})

test('a tab, a loop and a zip, each with its words and its place', async ({ page, request }) => {
  await page.goto(`/bags/${await freshBag(request, 'Closed', tube)}`)
  await page.getByRole('button', { name: 'Band on top' }).click()
  await pickKind(page, 'tab')
  await expect(page.locator('[data-code="closure-place"]')).toContainText('grows from the middle of the back')
  await expect(page.locator('.side')).toContainText(/ch \d+, sk next \d+ sts/)
  await pickKind(page, 'button and loop')
  await page.getByLabel('The button, across').fill('3')
  await expect(page.locator('[data-code="closure-place"]')).toContainText('go over a button of 3 cm')
  await pickKind(page, 'zip')
  await expect(page.locator('.side')).toContainText('Zip facings: make 2')
  await expect(page.locator('.drawing .closure')).toHaveCount(1)
})

test('a newcomer, from the first screen to the printed tote pattern in twenty ordinary actions', async ({ page }) => {
  await page.addInitScript(() => {
    window.print = () => void (document.body.dataset.printed = 'yes')
  })
  let actions = 0
  const done = async (action: Promise<unknown>) => {
    await action
    actions++
  }
  await page.goto('/')
  await done(page.getByRole('button', { name: 'Start a bag' }).click())
  await done(page.getByRole('button', { name: 'no questions' }).click())
  await done(page.getByLabel('Name', { exact: true }).fill('First tote'))
  await done(page.getByRole('radio', { name: 'folded cloth' }).check())
  await done(page.getByLabel('Weighs').fill('3'))
  await done(page.getByRole('button', { name: 'Propose a bag for it' }).click())
  await done(page.getByLabel('Stitches', { exact: true }).first().fill('16'))
  await done(page.getByLabel('Rounds', { exact: true }).first().fill('17'))
  await done(page.getByRole('button', { name: 'Handles on top' }).click())
  await done(page.getByRole('button', { name: /over the shoulder/ }).click())
  await expect(page.locator('[data-code="drop"]')).toContainText(/drops 2[78]/)
  await done(page.getByRole('link', { name: 'Pattern' }).click())
  await expect(page.locator('.pattern')).toContainText('First tote')
  await expect(page.locator('.pattern')).toContainText(/Slots/)
  await done(page.getByRole('button', { name: 'Print' }).click())
  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes')
  expect(actions).toBeLessThanOrEqual(20)
})

test('every demo bag with handles opens at its part, says its drop and its feet, and gives them to other programs', async ({
  page,
  request,
}) => {
  const kinds: [string, RegExp, string][] = [
    ['Windfall apple tote', /slots/, 'slot-runs'], ['Twine tub', /slots/, 'slot-runs'], ['Loaf bag', /chain straps/, 'slot-runs'],
    ['Onion net', /grown strap/, 'strap-runs'], ['Bulb sling', /knot straps/, 'strap-runs'],
    ['Cider stall bag', /sewn straps/, 'strap-runs'], ['Root sack', /strap under the bag/, 'strap-runs'],
    ['Catalogue satchel', /cross-body cord/, 'strap-runs'], ['Nutting basket', /bought handles/, 'strap-runs'],
  ]
  for (const [name, part, code] of kinds) {
    const id = await idOf(request, name)
    await page.goto(`/bags/${id}`)
    await label(page, part).click()
    await expect(page.locator(`[data-code="${code}"]`), name).toHaveCount(1)
    const record = (await (await request.get(`/api/designs/${id}/export?as=json`)).json()) as { handles: { lengthCm: number }[] }
    // Hand holes are no handles: nothing hangs.
    if (name === 'Twine tub') await expect(page.locator('.drawing .handle')).toHaveCount(0)
    else await expect(page.locator('[data-code="drop"]').first(), name).toContainText('held up it drops')
    expect(record.handles.length > 0, name).toBe(name !== 'Twine tub')
  }
})

test('on a phone: straps from corner to corner, moved by a finger, shown with the load in', async ({ page, request }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const document = (await (await request.get(`/api/designs/${await idOf(request, 'Loaf bag')}/export?as=design`)).json()) as object
  await page.goto(`/bags/${await freshBag(request, 'Pocket loaf bag', { ...document, name: 'Pocket loaf bag' })}`)
  // The list of parts is the menu of the whole bag; with a part in hand a row beside the drawing is, the part in hand in sight.
  await expect(page.locator('nav.labels')).toHaveCount(0)
  await page.locator('button.pick', { hasText: 'Base' }).click()
  await expect(label(page, /^Base/)).toBeInViewport({ ratio: 1 })
  await label(page, /chain straps/).click()
  const width = page.getByLabel('From corner to corner', { exact: true })
  await width.fill('16')
  await expect(page.locator('[data-code="not-at-corners"]')).toContainText('from corner to corner')
  const grip = page.getByRole('slider', { name: /place on the rim/ })
  await grip.scrollIntoViewIfNeeded()
  const box = (await grip.locator('rect').boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - 20, box.y + box.height / 2, { steps: 5 })
  await page.mouse.up()
  await expect(grip).not.toHaveAttribute('aria-valuenow', '0')
  await page.locator('[data-code="not-at-corners"]').getByRole('button', { name: 'From corner to corner' }).click()
  await expect(page.locator('[data-code="not-at-corners"]')).toHaveCount(0)
  const held = await page.locator('.drawing .handle path').first().getAttribute('d')
  await page.getByRole('radio', { name: 'with the load in' }).check()
  await expect(page.locator('.drawing .handle path').first()).not.toHaveAttribute('d', held!)
  // Undone and done again by hand: a drag is one step.
  await saved(page)
  await page.reload()
  await label(page, /chain straps/).click()
  await expect(grip).not.toHaveAttribute('aria-valuenow', '0')
})

test('what cannot be is told where it is asked, and nothing is lost', async ({ page, request }) => {
  await page.goto(
    `/bags/${await freshBag(request, 'Impossible', {
      ...tube,
      wall: [...tube.wall, { id: 'part-9', kind: 'slots', width: { pin: { stitches: 16 } }, chains: { pin: { chains: 8 } } }],
    })}`,
  )
  await label(page, /slots/i).click()
  await expect(page.locator('[data-code="slot-chain-short"]')).toContainText('Give it at least 16')
  await page.getByRole('button', { name: 'A chain of 16' }).click()
  await expect(page.locator('[data-code="slot-chain-short"]')).toHaveCount(0)
  await page.getByLabel('Stitches skipped for each').fill('none')
  await expect(page.getByText('Type a whole number from 1 to 600')).toBeVisible()
  await expect(runs(page)).toContainText('slot 16')
  await page.getByLabel('Stitches skipped for each').fill('14')
  await page.getByRole('button', { name: 'Band above' }).click()
  await pickKind(page, 'sewn straps')
  await expect(page.locator('[data-code="on-handles"]')).toContainText('Move this part below them')
  await page.getByRole('button', { name: /^Move Sewn straps down/ }).click()
  await expect(page.locator('[data-code="on-handles"]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await label(page, /sewn straps/i).click()
  await expect(page.locator('[data-code="on-handles"]')).toHaveCount(1)
})
