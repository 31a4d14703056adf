import type { Page } from '@playwright/test'
import { expect, idOf, test } from '../e2e/bag'
import { goOnTo, takeUp } from '../e2e/hookSteps'

/** Pictures of the hook's screen, several side by side in one file. */
async function sideBySide(page: Page, name: string, pictures: readonly Buffer[], width: number, height: number, columns: number) {
  await page.goto('about:blank')
  await page.setViewportSize({ width: columns * (width + 16) + 16, height: Math.ceil(pictures.length / columns) * (height + 16) + 16 })
  const images = pictures.map((picture) => {
    const from = `data:image/png;base64,${picture.toString('base64')}`
    return `<img width="${width}" height="${height}" src="${from}">`
  })
  await page.setContent(`<body style="margin:16px;display:flex;flex-wrap:wrap;gap:16px;background:#c9c0ae">${images.join('')}`)
  await page.screenshot({ path: `docs/screenshots/${name}.png` })
}

const size = (page: Page, name: string) => page.locator('footer label', { hasText: name }).click()

/** One picture of a round in work. */
async function inRound(page: Page, bag: string, round: RegExp, own: string, taps: number): Promise<Buffer> {
  await takeUp(page, bag)
  await size(page, 'Own')
  await goOnTo(page, round)
  await size(page, own)
  for (let i = 0; i < taps; i++) await page.keyboard.press('PageDown')
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  return page.screenshot()
}

async function diagnosis(page: Page, bag: string): Promise<Buffer[]> {
  await takeUp(page, bag)
  await size(page, 'Own')
  await goOnTo(page, /Round 5/)
  const sheet = page.getByRole('dialog')
  while (!(await sheet.isVisible())) await page.keyboard.press('PageDown')
  const asked = await page.screenshot()
  await sheet.getByLabel('I have').fill('31')
  await sheet.getByRole('button', { name: 'What does it mean?' }).click()
  return [asked, await page.screenshot()]
}

test.describe('without a network', () => {
  test.use({ expected: [/Failed to load resource/] })

  for (const [name, width, height] of [['at-the-hook-phone', 390, 844], ['at-the-hook', 1280, 800]] as const) {
    test(`at the hook: ${name}`, async ({ page, request }) => {
      test.setTimeout(120_000)
      await page.setViewportSize({ width, height })
      const [pouch, net, tub] = [await idOf(request, 'Seed-head pouch'), await idOf(request, 'Onion net'), await idOf(request, 'Twine tub')]
      const pictures = [
        await inRound(page, pouch, /Round 18/, 'Own', 0), await inRound(page, pouch, /Round 6/, 'Own', 2),
        await inRound(page, net, /Round 16/, 'Stitch', 9), await inRound(page, tub, /Round 24/, 'Group', 1),
        ...(await diagnosis(page, pouch)),
      ]
      await inRound(page, pouch, /Round 9/, 'Stitch', 3)
      await page.route('**/api/**', route => route.abort())
      for (let i = 0; i < 6; i++) await page.keyboard.press('PageDown')
      await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'away')
      pictures.push(await page.screenshot())
      await page.unroute('**/api/**')
      const small: readonly [number, number, number] = width > 1000 ? [800, 500, 2] : [312, 675, 4]
      await sideBySide(page, name, pictures, ...small)
    })
  }
})
