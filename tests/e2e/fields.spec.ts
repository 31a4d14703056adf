import type { Page } from '@playwright/test'
import { expect, freshBag, idOf, test } from './bag'
import { takeUp } from './hookSteps'

/*
 * Every field of every screen is at least as wide as what stands in it, whatever the window: nobody types into a slit. Nor does one stand
 * in a gap: its place in a form is as tall as what is in it.
 */

const WIDTHS = [1280, 768, 390, 320] as const
/** Room for a cursor, in pixels; and the least that any field to type in has. */
const CURSOR_PX = 4
const LEAST_PX = 32

/** Fields that are narrower than their value, or than anybody can type in, by their labels. */
async function slits(page: Page): Promise<string[]> {
  return page.locator('input:visible, textarea:visible, select:visible').evaluateAll((fields, [cursor, least]) => {
    const pen = document.createElement('canvas').getContext('2d')!
    return (fields as HTMLInputElement[]).flatMap((field) => {
      if (['radio', 'checkbox', 'color', 'range', 'file', 'hidden'].includes(field.type)) return []
      const style = getComputedStyle(field)
      // A picked choice is shown beside its own, empty field.
      if (field.getAttribute('role') === 'combobox' && field.closest('.v-select')) return []
      pen.font = style.font
      const room = field.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight)
      const spacing = (parseFloat(style.letterSpacing) || 0) * field.value.length
      const wraps = field.tagName === 'TEXTAREA' || field.tagName === 'SELECT' || field.value.length > 12
      const needs = wraps ? least! : Math.max(least!, pen.measureText(field.value).width + spacing + cursor!)
      const name = field.labels?.[0]?.textContent?.trim() || field.getAttribute('aria-label') || field.name || field.outerHTML.slice(0, 80)
      return room + 0.5 < needs ? [`${name}: ${Math.round(room)} px for "${field.value}"`] : []
    })
  }, [CURSOR_PX, LEAST_PX] as const)
}

/** More height than what stands in it, in pixels, that the place of a field may have. */
const GAP_PX = 12

/** Places of fields that are taller than what stands in them, by their labels. */
async function gaps(page: Page): Promise<string[]> {
  return page.locator('.asked:visible').evaluateAll((places, most) => places.flatMap((place) => {
    const filled = Math.max(...[...place.querySelectorAll('*')].map(one => one.getBoundingClientRect().bottom))
    const empty = place.getBoundingClientRect().bottom - filled
    return empty > most ? [`${place.textContent?.trim().slice(0, 40)}: ${Math.round(empty)} px empty`] : []
  }), GAP_PX)
}

async function holds(page: Page, where: string): Promise<void> {
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 900 })
    // Laid out anew, and painted.
    await page.evaluate(() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done))))
    expect.soft(await slits(page), `${where} at ${width}`).toEqual([])
    expect.soft(await gaps(page), `${where} at ${width}, below its fields`).toEqual([])
  }
}

test('the way in: every sort of bag, and whatever it must hold', async ({ page }) => {
  for (const bag of ['tote', 'net', 'pouch', 'sling', 'basket', 'wrap', 'satchel', 'tube', 'floor']) {
    await page.goto(`/start?bag=${bag}`)
    await expect(page.locator('figcaption')).toBeVisible()
    await holds(page, bag)
  }
  for (const holding of ['box', 'bottle', 'balls', 'cloth']) {
    await page.goto(`/start?holds=${holding}`)
    await expect(page.locator('figcaption')).toBeVisible()
    await holds(page, holding)
  }
})

test('the bench: every part of every kind of demo bag, and the whole bag', async ({ page, request }) => {
  test.setTimeout(180_000)
  for (const name of ['Windfall apple tote', 'Onion net', 'Seed-head pouch', 'Catalogue satchel', 'Cider stall bag', 'Gooseberry net']) {
    const bag = await idOf(request, name)
    await page.goto(`/bags/${bag}`)
    await expect(page.locator('.tally')).toBeVisible()
    await page.locator('details:not([open]) > summary').evaluateAll(all => all.forEach(one => (one as HTMLElement).click()))
    await holds(page, name)
    const ids = ['base', 'turnUp', 'part-1', 'part-2', 'part-3', 'part-4', 'part-5', 'part-6']
    for (const part of ids) {
      await page.setViewportSize({ width: 1280, height: 900 })
      await page.goto(`/bags/${bag}?part=${part}`)
      await expect(page.locator('.tally')).toBeVisible()
      if (!await page.locator('.panel h2').first().isVisible()) continue
      await page.locator('.panel details:not([open]) > summary').evaluateAll(all => all.forEach(one => (one as HTMLElement).click()))
      await holds(page, `${name}, ${part}`)
    }
  }
})

test('swatches, yarn, orders, the logbook, settings', async ({ page }) => {
  test.setTimeout(120_000)
  const forms = [
    ['/swatches', /new swatch|enter a swatch|add/i], ['/yarns', /new yarn|add a yarn|enter a yarn|add/i], ['/orders/new', undefined],
    ['/logbook', undefined], ['/safe', undefined],
  ] as const
  for (const [to, opens] of forms) {
    await page.setViewportSize({ width: 1280, height: 900 })
    await page.goto(to)
    await expect(page.locator('h1, form').first()).toBeAttached()
    if (opens) await page.getByRole('button', { name: opens }).first().click()
    await page.waitForTimeout(300)
    await holds(page, to)
  }
  await page.setViewportSize({ width: 1280, height: 900 })
  await page.goto('/')
  await page.getByRole('button', { name: 'Settings' }).first().click()
  await holds(page, 'settings')
})

test('at the hook: counts, tape, scales, seam', async ({ page, request }) => {
  await takeUp(page, await freshBag(request, 'Wide enough'))
  for (let i = 0; i < 40; i++) await page.keyboard.press('PageDown')
  const sheet = page.getByRole('dialog')
  if (await sheet.isVisible()) {
    await holds(page, 'the count')
    await page.keyboard.press('Escape')
  }
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('button', { name: /more/i }).first().click()
  await page.getByRole('button', { name: 'Tape and scales' }).click()
  for (const tool of ['Tape', 'Scales', 'Seam, strip']) {
    await sheet.getByRole('button', { name: tool, exact: true }).click()
    await holds(page, tool)
  }
})
