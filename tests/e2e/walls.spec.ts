import { stacked } from '../../core/bag/design/partIds'
import type { Page } from '@playwright/test'
import { expect, freshBag, pickKind, saved, tally, test, unfold } from './bag'

const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const yarns = [
  { id: 'main', name: 'undyed cotton', colour: '#dccba6' },
  { id: 'moss', name: 'moss green cotton', colour: '#71834f' },
]
const tube = (stitches: number) => ({ form: 'tube', stitch: 'sc', size: { pin: { stitches } }, colour: 'main' })
const rounds = (n: number) => ({ pin: { rounds: n } })

const label = (page: Page, name: RegExp) => page.locator('nav.labels').getByRole('button', { name: new RegExp(name.source, 'i') })
const stack = (page: Page) => page.locator('.stack .name').allTextContents()

test('five bands, a base that breaks them, and the fit that mends them', async ({ page, request }) => {
  test.slow()
  const id = await freshBag(request, 'Stacked tote', { gauge, yarns, base: tube(96), turnUp: 'plain', wall: [] })
  await page.goto(`/bags/${id}`)
  await page.getByRole('button', { name: 'Add a wall' }).click()
  for (const name of ['pairs', 'groups of three', 'open V\'s', 'boxes']) {
    await page.getByRole('button', { name: 'Band above' }).click()
    await pickKind(page, name)
    await expect(page.getByRole('heading', { level: 2 })).toContainText(name, { ignoreCase: true })
  }
  await expect(label(page, /^Boxes/)).toContainText('72 sts')
  expect(await page.locator('.drawing .band').count()).toBeGreaterThanOrEqual(5)

  await label(page, /^Base/).click()
  await page.getByLabel('Stitches around').fill('94')
  await expect(label(page, /^Groups of three.*stops it/)).toContainText('cannot be worked yet')
  await label(page, /^Groups of three/).click()
  await expect(page.locator('[data-code="does-not-divide"]')).toContainText('asks for a multiple of 4, and 94 stitches come up')
  await page.getByRole('button', { name: 'Look for counts that fit' }).click()
  const ways = page.getByRole('list', { name: 'Counts that divide' }).getByRole('button')
  await expect(ways.first()).toContainText('96 stitches, 0.5 cm wider lying flat, nothing to adjust')
  await expect(ways.nth(1)).toContainText(/94 stitches, as wanted, before Groups of three a round of 2/)

  // Looking changes the drawing and not the bag; taking is one edit.
  await ways.nth(1).hover()
  await expect(label(page, /adjusting round/i)).toBeVisible()
  await page.mouse.move(400, 780)
  await expect(label(page, /adjusting round/i)).toHaveCount(0)
  await ways.first().click()
  await expect(label(page, /^Base/)).toContainText('96 sts')
  await expect(page.locator('[data-code="does-not-divide"]')).toHaveCount(0)
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.locator('.pattern')).toContainText('[3 dc in next st, sk next 3 sts] 24 times')
  await expect(page.locator('.pattern')).toContainText('(dc, ch 2, dc) in each ch-sp around')
  await page.getByRole('button', { name: 'Undo: Counts that divide: 96 stitches' }).click()
  await expect(page.locator('.pattern')).not.toContainText('3 dc in next st, sk next 3 sts')
})

test('nothing fits: the asks that collide are named', async ({ page, request }) => {
  const id = await freshBag(request, 'Colliding tote', {
    gauge, base: tube(50), turnUp: 'plain', wall: stacked([{ kind: 'groups', size: rounds(2), colour: 'main' }]), mouth: { divides: 60 },
  })
  await page.goto(`/bags/${id}`)
  await page.getByLabel('The base may be off by').fill('1')
  await page.getByRole('group', { name: 'Adjusting rounds, at most' }).getByRole('radio', { name: 'none' }).check()
  await page.getByRole('button', { name: 'Look for counts that fit' }).click()
  await expect(page.locator('.collision')).toContainText(
    'Groups of three asks for a multiple of 4 and leaves 3 for each 4; the mouth asks for a multiple of 60',
  )
})

test('bands are moved by dragging, by keyboard and by button, doubled and thrown out', async ({ page, request }) => {
  const wall = [
    { kind: 'solid', stitch: 'sc', size: rounds(4), colour: 'main' }, { kind: 'boxes', size: rounds(3), colour: 'moss' },
    { kind: 'moss', size: rounds(4), colour: 'main' },
  ]
  const id = await freshBag(request, 'Shuffled tote', { gauge, yarns, base: tube(48), turnUp: 'plain', wall: stacked(wall as never) })
  await page.goto(`/bags/${id}`)
  await expect.poll(() => stack(page)).toEqual(['Moss', 'Boxes', 'Plain in undyed cotton', 'Turn-up', 'Base'])
  const handles = page.locator('.stack .handle')
  const [from, to] = [(await handles.nth(2).boundingBox())!, (await handles.nth(0).boundingBox())!]
  await page.mouse.move(from.x + 8, from.y + 8)
  await expect(page.locator('.stack ol.drags')).toBeVisible()
  await page.mouse.down()
  await page.mouse.move(from.x + 8, from.y - 10, { steps: 4 })
  await page.mouse.move(to.x + 8, to.y + 4, { steps: 8 })
  // A hand rests a moment: while the others still make room, what is over them is not yet looked at.
  await page.waitForTimeout(300)
  await page.mouse.move(to.x + 8, to.y + 2, { steps: 3 })
  await page.mouse.up()
  await expect.poll(() => stack(page)).toEqual(['Plain in undyed cotton', 'Moss', 'Boxes', 'Turn-up', 'Base'])
  await page
    .locator('.stack')
    .getByRole('button', { name: /^Boxes/ })
    .focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect.poll(() => stack(page)).toEqual(['Plain in undyed cotton', 'Boxes', 'Moss', 'Turn-up', 'Base'])
  await expect(page.locator('.stack').getByRole('button', { name: /^Boxes/ })).toBeFocused()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: /^Parts/ }).click()
  await page.getByRole('button', { name: 'Move Boxes up' }).click()
  await page.getByRole('button', { name: 'Double Boxes' }).click()
  await expect.poll(() => stack(page)).toEqual(['Boxes 2', 'Boxes', 'Plain in undyed cotton', 'Moss', 'Turn-up', 'Base'])
  await page.getByRole('button', { name: 'Remove Boxes 2' }).click()
  await saved(page)
  await page.reload()
  await expect.poll(() => stack(page)).toEqual(['Boxes', 'Plain in undyed cotton', 'Moss', 'Turn-up', 'Base'])
})

test('a repeat of one\'s own: a wrong one points at the stitch, a sound one is worked, saved, and read in UK terms', async ({
  page,
  request,
}) => {
  const id = await freshBag(request, 'Own tote', {
    gauge, base: tube(60), turnUp: 'plain', wall: stacked([{ kind: 'solid', stitch: 'sc', size: rounds(4), colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  await label(page, /^Plain/).click()
  await pickKind(page, 'a repeat of your own')
  const lines = page.getByLabel('One repeat, a line a round')
  await lines.fill('sc in next 2, dc in nxt, sk next st')
  await expect(page.locator('.wrong')).toContainText('Line 1: "nxt" is not a place')
  await expect(page.locator('.wrong mark')).toHaveText('nxt')
  await lines.fill('sc in next 2, ch 1, sk next st\nsc in next 4')
  await expect(page.locator('.wrong')).toContainText('Line 2: ran out of stitches after stitch 6')
  await lines.fill('sc in next 2, ch 1, sk next st\n2 sc in next ch-sp, hdc in next')
  await expect(page.locator('.wrong')).toContainText('Line 2')
  await lines.fill('hdc in next 2, ch 1, sk next st\nhdc in next 3')
  await expect(page.locator('.sound')).toContainText('It works: it asks for a multiple of 3')
  await page.getByLabel('What you call it').fill('Gate rails')
  await expect(page.locator('.words')).toContainText('[hdc in next 2 sts, ch 1, sk next st] 20 times', { ignoreCase: true })
  await saved(page)
  await page.reload()
  await label(page, /Gate rails/).click()
  await page.keyboard.press('Escape')
  await page.locator('body').click({ position: { x: 500, y: 790 } })
  await page.keyboard.press('t')
  await expect(lines).toHaveValue('htr in next 2 sts, ch 1, miss next st\nhtr in next 3 sts')
  const document = (await (await request.get(`/api/designs/${id}/export?as=design`)).json()) as { repeats: unknown }
  expect(document.repeats).toEqual([
    { id: 'own-1', name: 'Gate rails', lines: ['hdc in next 2 sts, ch 1, sk next st', 'hdc in next 3 sts'] },
  ])
})

test('a count that came out otherwise: what it does, and putting it right', async ({ page, request }) => {
  const id = await freshBag(request, 'Miscounted tote', {
    gauge, base: tube(116), turnUp: 'plain', wall: stacked([{ kind: 'solid', stitch: 'sc', size: rounds(20), colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  await label(page, /^Plain/).click()
  await page.getByText('Counted something else?').click()
  await page.getByLabel('In round').fill('11')
  await page.getByLabel('Stitches you really have').fill('118')
  await expect(page.locator('.told')).toContainText('the mouth comes out 0.5 cm wider lying flat')
  await expect(page.locator('.told')).toContainText('[sc in next 57 sts, sc2tog] 2 times')
  await page.getByRole('button', { name: 'Put it right in round 12' }).click()
  await expect(label(page, /as counted/)).toContainText('118 sts')
  await expect(tally(page, 'Lies flat')).toContainText('29 ×')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(label(page, /as counted/)).toHaveCount(0)
})

test('a taper, stripes with their ends, and a seam that leans', async ({ page, request }) => {
  const id = await freshBag(request, 'Tapered tote', {
    gauge, yarns, base: tube(100), turnUp: 'plain', wall: stacked([{ kind: 'solid', stitch: 'sc', size: rounds(6), colour: 'main' }]),
  })
  await page.goto(`/bags/${id}`)
  await page.getByRole('button', { name: 'Band on top' }).click()
  await pickKind(page, 'taper')
  await page.getByLabel('Around its top').fill('40')
  await page.getByLabel('Height of the taper').fill('10')
  // By hand: 40 cm of 0.5 cm stitches are 80, in 20 rounds of 0.5 cm.
  await expect(label(page, /^Taper/)).toContainText('20 rounds · 80 sts · 10 cm')
  await expect(page.locator('.words')).toContainText('sc2tog')
  await label(page, /^Plain/).click()
  await page.getByRole('radio', { name: 'stripes' }).check()
  await expect(page.locator('.words')).toContainText(
    'At the end of Round 3 change to moss green cotton on the last pull-through. Carry undyed cotton up inside, slack.',
  )
  await unfold(page, 'How you work')
  await expect(page.locator('[data-code="yarn-changes"]')).toContainText('ends to weave in')
  await page.getByRole('textbox', { name: 'The start leaned, in ten rounds' }).fill('4')
  await saved(page)
  await page.getByRole('link', { name: 'Pattern' }).click()
  await expect(page.locator('.chart')).toContainText('which the leaning seam leaves behind')
  expect(await page.locator('.wall .side').count()).toBe(2)
})

test('walls that cannot be are refused by name', async ({ request }) => {
  const sound = { fairHollow: 'design', version: 1, name: 'Odd', gauge, base: tube(48) }
  const cases: [object, RegExp][] = [
    [{ wall: [{ kind: 'tartan' }] }, /wall\.0\.kind: must be one of/],
    [{ wall: [{ kind: 'own', repeat: 'none', size: rounds(2) }] }, /wall\.0\.repeat: names a repeat "none"/],
    [{ wall: [{ kind: 'rib', size: rounds(2), front: 0 }] }, /wall\.0\.front/], [{ wall: ['boxes'] }, /wall\.0: must be an object/],
    [{ repeats: [{ id: 'x', name: 'x', lines: 'sc' }] }, /repeats\.0\.lines/], [{ mouth: { divides: 1.5 } }, /mouth\.divides/],
  ]
  for (const [over, says] of cases) {
    const answer = await request.post('/api/designs', { data: { ...sound, ...over } })
    expect(answer.status(), JSON.stringify(over)).toBe(422)
    expect(((await answer.json()) as { message: string }).message).toMatch(says)
  }
})
