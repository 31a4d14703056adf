import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import { expect, freshBag, idOf, test } from './bag'

/*
 * WCAG 2.2 AA, as far as a machine can tell (axe-core's rules for 2.0 to 2.2, A and AA), and by hand what it cannot: reflow at 320 pixels
 * (1.4.10), text of 200 % (1.4.4), text spacing (1.4.12), forced colours, reduced motion, keyboard alone.
 */

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']

interface Axe {
  run: (of: Document, wish: object) => Promise<{ violations: { id: string, nodes: { html: string, failureSummary: string }[] }[] }>
}

async function violations(page: Page): Promise<string[]> {
  await page.evaluate(AXE)
  return page.evaluate(async (tags) => {
    const { axe } = window as unknown as { axe: Axe }
    const found = await axe.run(document, { runOnly: { type: 'tag', values: tags }, resultTypes: ['violations'] })
    return found.violations.map(({ id, nodes }) => `${id}: ${nodes.slice(0, 3).map(({ html, failureSummary }) =>
      `${html.slice(0, 160)} (${failureSummary.split('\n').slice(1, 2).join('').trim()})`).join(' | ')}`)
  }, TAGS)
}

/** Words of a screen that are written like names of types: renaming code can hit a sentence. */
async function codeWords(page: Page): Promise<readonly string[]> {
  return (await page.locator('body').innerText()).match(/(?<![-/.\w])(?:[A-Z][a-z]{2,}){2,}\b/g) ?? []
}

const SCREENS: readonly { readonly name: string, readonly to: (bag: string) => string, readonly wait: string }[] = [
  { name: 'all bags', to: () => '/', wait: '.shelf .card' },
  { name: 'start', to: () => '/start', wait: 'h1' },
  { name: 'start a tote', to: () => '/start?bag=tote', wait: 'figcaption' },
  { name: 'the bench', to: bag => `/bags/${bag}`, wait: '.tally' },
  { name: 'a part on the bench', to: bag => `/bags/${bag}?part=part-2`, wait: '.kind' },
  { name: 'the pattern', to: bag => `/bags/${bag}/pattern`, wait: '.pattern' },
  { name: 'swatches', to: () => '/swatches', wait: 'h1' },
  { name: 'yarn', to: () => '/yarns', wait: 'h1' },
  { name: 'orders', to: () => '/orders', wait: 'h1' },
  { name: 'logbook', to: () => '/logbook', wait: 'h1' },
  { name: 'kept safe', to: () => '/safe', wait: 'h1' },
  { name: 'where the hook goes', to: () => '/hook', wait: 'h1' },
  { name: 'an address that leads nowhere', to: () => '/nowhere', wait: 'h1' },
]

test.use({ expected: [[/404/, /Page not found/], { scope: 'test' }] })

for (const [size, width, height] of [['a laptop', 1280, 800], ['a phone', 390, 844]] as const) {
  test(`every screen on ${size} passes the rules of WCAG 2.2 AA`, async ({ page, request }) => {
    test.setTimeout(240_000)
    await page.setViewportSize({ width, height })
    const bag = await idOf(request, 'Seed-head pouch')
    for (const { name, to, wait } of SCREENS) {
      await page.goto(to(bag))
      await expect(page.locator(wait).first()).toBeVisible()
      await page.waitForTimeout(250)
      expect.soft(await violations(page), name).toEqual([])
      expect.soft(await codeWords(page), `${name}: names of code among its words`).toEqual([])
    }
  })
}

test('sheets and dialogs pass them too, and give the focus back', async ({ page, request }) => {
  test.setTimeout(120_000)
  const bag = await freshBag(request, 'Asked about')
  await page.goto(`/bags/${bag}?part=part-1`)
  await expect(page.getByRole('heading', { name: 'Plain wall', exact: true })).toBeVisible()
  const sheets = [
    ['Settings', 'Settings'], ['Keys', 'Keys'], ['Go to', 'Go to'], ['Change what this part is', 'What is this part?'],
  ] as const
  for (const [name, opened] of sheets) {
    const button = page.getByRole('button', { name }).first()
    await button.click()
    await expect(page.getByRole('dialog', { name: opened })).toBeVisible()
    await page.waitForTimeout(350)
    expect.soft(await violations(page), name).toEqual([])
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(button).toBeFocused()
  }
})

test('at 320 pixels, with text of 200 % and with wide spacing nothing is cut or scrolls sideways', async ({ page, request }) => {
  test.setTimeout(120_000)
  const long = await freshBag(request, `A bag with a very long name ${'x'.repeat(52)}`)
  await page.setViewportSize({ width: 320, height: 640 })
  const sideways = () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
  const screens = [
    '/', '/start', '/start?bag=tote', `/bags/${long}`, `/bags/${long}/pattern`, '/swatches', '/yarns', '/orders', '/logbook', '/safe',
  ]
  for (const to of screens) {
    await page.goto(to)
    await expect(page.locator('h1').first()).toBeAttached()
    await page.waitForTimeout(250)
    expect.soft(await sideways(), to).toBeLessThanOrEqual(0)
  }
  await page.setViewportSize({ width: 1280, height: 800 })
  const spaced = '* { letter-spacing: 0.12em !important; word-spacing: 0.16em !important; line-height: 1.5 !important }'
  for (const css of ['html { font-size: 200% !important }', spaced]) {
    await page.goto(`/bags/${long}?part=part-1`)
    await expect(page.locator('.tally')).toBeVisible()
    await page.addStyleTag({ content: css })
    expect.soft(await sideways(), css).toBeLessThanOrEqual(0)
    const cut = await page.locator('.panel button, .panel h2, .panel legend').evaluateAll(all => all
      .filter(one => one.scrollWidth > one.clientWidth + 2 && getComputedStyle(one).overflow === 'hidden')
      .map(one => one.outerHTML.slice(0, 120)))
    expect.soft(cut, css).toEqual([])
  }
})

test('forced colours and reduced motion: what is chosen is seen, nothing moves', async ({ page, request }) => {
  await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' })
  await page.goto(`/bags/${await freshBag(request, 'Few colours')}?part=base`)
  const [chosen, other] = await Promise.all(['.choice label.chosen', '.choice label:not(.chosen)'].map(which =>
    page.locator(which).first().evaluate((one) => {
      const { outlineStyle, outlineColor, borderColor, backgroundColor, color } = getComputedStyle(one)
      return [outlineStyle, outlineColor, borderColor, backgroundColor, color].join()
    })))
  expect(chosen).not.toBe(other)
  const moving = await page.evaluate(() => document.getAnimations().filter(({ playState }) => playState === 'running').length)
  expect(moving).toBe(0)
})

test('by keyboard alone: from the list to a band moved, renamed, made another kind, undone', async ({ page, request }) => {
  const bag = await freshBag(request, 'No mouse at all')
  await page.goto(`/bags/${bag}`)
  await expect(page.locator('.tally')).toBeVisible()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Go to' }).waitFor()
  await page.keyboard.type('plain wall')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 2, name: 'Plain wall' })).toBeVisible()
  await expect(page).toHaveURL(/part=part-1/)
  await page.getByRole('button', { name: 'Rename Plain wall' }).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('Belly')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 2, name: 'Belly' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Rename Belly' })).toBeFocused()
  await page.getByRole('button', { name: 'Change what this part is' }).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('textbox', { name: 'Find a kind' }).waitFor()
  await expect(page.getByRole('textbox', { name: 'Find a kind' })).toBeFocused()
  await page.keyboard.type('moss')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /Change what this part is, now moss/ })).toBeFocused()
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Undone: Band: moss')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { level: 2, name: 'Belly' })).toBeVisible()
  // What is pressed goes with what stood there: the heading of what is in hand has the focus then.
  await page.getByRole('button', { name: 'The whole bag' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 2, name: 'The whole bag' })).toBeFocused()
  await page.locator('button.pick', { hasText: 'Belly' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 2, name: 'Belly' })).toBeFocused()
})
