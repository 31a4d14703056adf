import { expect, freshBag, goWithin, idOf, test } from './bag'
import { takeUp } from './hookSteps'
import { looksRight } from './layout'

/*
 * Every screen and what opens on it, at four sizes of the window (layout.ts says how each must be laid out).
 */

test('the way in: every sort of bag, and whatever it must hold', async ({ page }) => {
  for (const bag of ['tote', 'net', 'pouch', 'sling', 'basket', 'wrap', 'satchel', 'tube', 'floor']) {
    await page.goto(`/start?bag=${bag}`)
    await expect(page.locator('figcaption')).toBeVisible()
    await looksRight(page, bag)
  }
  for (const holding of ['box', 'bottle', 'balls', 'cloth']) {
    await page.goto(`/start?holds=${holding}`)
    await expect(page.locator('figcaption')).toBeVisible()
    await looksRight(page, holding)
  }
})

const BAGS = [['Windfall apple tote', 'Onion net', 'Seed-head pouch'], ['Catalogue satchel', 'Cider stall bag', 'Gooseberry net']]

for (const names of BAGS) {
  test(`the bench: every part, and the whole bag, of ${names.join(', ')}`, async ({ page, request }) => {
    test.setTimeout(240_000)
    for (const name of names) {
      const bag = await idOf(request, name)
      const { document } = await (await request.get(`/api/designs/${bag}`)).json() as { document: { wall: { id: string }[] } }
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.goto(`/bags/${bag}`)
      await expect(page.locator('.tally')).toBeVisible()
      const headings = new Set<string>()
      for (const part of [undefined, 'base', 'turnUp', ...document.wall.map(({ id }) => id)]) {
        await goWithin(page, `/bags/${bag}${part ? `?part=${part}` : ''}`)
        await page.locator('.panel details:not([open]) > summary').evaluateAll(all => all.forEach(one => (one as HTMLElement).click()))
        headings.add(await page.locator('.panel h2').first().innerText())
        // Parts are laid out alike: the widest and the narrowest window are enough for each, all four for the bag.
        await looksRight(page, `${name}, ${part ?? 'the bag'}`, part ? [[320, 640], [1280, 800]] : undefined)
      }
      // The bag, its base and every part of its wall were shown, each under its name.
      expect(headings.size).toBeGreaterThanOrEqual(2 + document.wall.length)
    }
  })
}

test('swatches, yarn, orders, the logbook, settings', async ({ page }) => {
  test.setTimeout(120_000)
  const forms = [
    ['/swatches', /new swatch|enter a swatch|add/i], ['/yarns', /new yarn|add a yarn|enter a yarn|add/i], ['/orders/new', undefined],
    ['/logbook', undefined], ['/safe', undefined],
  ] as const
  for (const [to, opens] of forms) {
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto(to)
    await expect(page.locator('h1, form').first()).toBeAttached()
    if (opens) await page.getByRole('button', { name: opens }).first().click()
    await page.waitForTimeout(300)
    await looksRight(page, to)
  }
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto('/')
  await page.getByRole('button', { name: 'Settings' }).first().click()
  await looksRight(page, 'settings')
})

test('at the hook: counts, tape, scales, seam', async ({ page, request }) => {
  await takeUp(page, await freshBag(request, 'Wide enough'))
  for (let i = 0; i < 40; i++) await page.keyboard.press('PageDown')
  const sheet = page.getByRole('dialog')
  if (await sheet.isVisible()) {
    await looksRight(page, 'the count')
    await page.keyboard.press('Escape')
  }
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('button', { name: /more/i }).first().click()
  await page.getByRole('button', { name: 'Tape and scales' }).click()
  for (const tool of ['Tape', 'Scales', 'Seam, strip']) {
    await sheet.getByRole('button', { name: tool, exact: true }).click()
    await looksRight(page, tool)
  }
})

test.describe('screens to read', () => {
  test.use({ expected: [[/404/, /Page not found/], { scope: 'test' }] })

  test('lists, patterns, makes, the logbook, where the hook goes', async ({ page, request }) => {
    test.setTimeout(180_000)
    const [pouch, net] = [await idOf(request, 'Seed-head pouch'), await idOf(request, 'Onion net')]
    const idsAt = async (path: string) => await (await request.get(path)).json() as readonly { id: string }[]
    const [makes, orders, bags] = [await idsAt('/api/makes'), await idsAt('/api/orders'), await idsAt('/api/logbook')]
    const screens = [
      ['/', '.shelf .card'], ['/start', 'h1'], [`/bags/${pouch}/pattern`, '.pattern'], [`/bags/${net}/pattern`, '.pattern'],
      ...makes.slice(0, 2).map(({ id }) => [`/makes/${id}`, '[data-beat]'] as const), ['/swatches', 'h1'], ['/yarns', 'h1'],
      ['/orders', 'h1'], ...orders.slice(0, 2).map(({ id }) => [`/orders/${id}`, 'h1'] as const), ['/logbook', 'h1'],
      ...bags.slice(0, 2).map(({ id }) => [`/logbook/${id}`, 'h1'] as const), ['/logbook/beside', 'h1'], ['/safe', 'h1'], ['/hook', 'h1'],
      ['/nowhere', 'h1'],
    ] as const
    for (const [to, wait] of screens) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.goto(to)
      await expect(page.locator(wait).first()).toBeAttached()
      await page.waitForTimeout(300)
      await looksRight(page, to)
    }
  })

  test('a bag with the longest of names, and sheets over the bench', async ({ page, request }) => {
    test.setTimeout(120_000)
    const long = await freshBag(request, `A bag of ${'windfall'.repeat(8)}`)
    for (const to of [`/bags/${long}`, `/bags/${long}/pattern`, '/']) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.goto(to)
      await expect(page.locator('h1').first()).toBeAttached()
      await page.waitForTimeout(300)
      await looksRight(page, `${to}, a long name`)
    }
    for (const [name, opened] of [['Keys', 'Keys'], ['Go to', 'Go to'], ['Change what this part is', 'What is this part?']] as const) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await page.goto(`/bags/${long}?part=part-1`)
      await page.getByRole('button', { name }).first().click()
      await expect(page.getByRole('dialog', { name: opened })).toBeVisible()
      await page.waitForTimeout(350)
      await looksRight(page, opened)
    }
  })
})
