import type { Page } from '@playwright/test'
import { expect, freshBag, pick, saved, tally, test } from './bag'

/** Counts what a newcomer does, by visible names alone. */
function counting() {
  let actions = 0
  return {
    count: () => actions,
    async do(action: Promise<unknown>): Promise<void> {
      await action
      actions++
    },
  }
}

const card = (page: Page, name: string) => page.getByRole('listitem').getByRole('button', { name: new RegExp(`^${name}`) })

/** From the first screen to the print, on a laptop and on a phone: under fourteen actions each, with no dead end. */
for (const [size, width, height] of [['a laptop', 1280, 800], ['a phone', 390, 844]] as const) {
  for (const bag of ['Tote', 'Drawstring pouch', 'Market net', 'Sling', 'Folded wrap']) {
    test(`a newcomer on ${size}: a ${bag.toLowerCase()}, from the first screen to the print`, async ({ page }) => {
      await page.addInitScript(() => {
        window.print = () => void (document.body.dataset.printed = 'yes')
      })
      await page.setViewportSize({ width, height })
      const way = counting()
      await page.goto('/')
      await way.do(page.getByRole('button', { name: 'Start a bag' }).click())
      await way.do(card(page, bag).click())
      await expect(page.getByRole('heading', { name: bag, level: 1 })).toBeVisible()
      const before = await page.locator('figcaption').innerText()
      const first = page.locator('form').getByRole('textbox').first()
      await way.do(first.fill(String(Number(await first.inputValue()) + 6)))
      // The drawing answers while it is typed.
      await expect(page.locator('figcaption')).not.toHaveText(before)
      await way.do(page.getByLabel('Its name').fill(`My ${bag} on ${size}`))
      await way.do(page.getByRole('button', { name: 'To the bench' }).click())
      await expect(tally(page, 'Rounds')).toBeVisible()
      await saved(page)
      await way.do(page.getByRole('link', { name: 'Pattern' }).first().click())
      await expect(page.locator('.pattern')).toContainText(`My ${bag} on ${size}`)
      await expect(page.locator('.pattern')).not.toContainText('Not finished')
      await way.do(page.getByRole('button', { name: 'Print' }).click())
      await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes')
      expect(way.count()).toBeLessThan(14)
    })
  }
}

test('Ctrl+Z takes back what was typed while the field has the focus, and Ctrl+Shift+Z brings it again', async ({ page, request }) => {
  await page.goto(`/bags/${await freshBag(request, 'Taken back')}`)
  await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
  const across = page.getByRole('textbox', { name: 'Across the floor' })
  await across.fill('17')
  await page.keyboard.press('Control+z')
  await expect(across).toHaveValue('12')
  await page.keyboard.press('Control+Shift+Z')
  await expect(across).toHaveValue('17')
  await across.fill('x')
  await expect(across).toHaveAttribute('aria-invalid', 'true')
  await page.goto('/bags')
  await expect(page.getByRole('heading', { name: 'Your bags' })).toBeVisible()
})

test('the drawing, the gauge and the handles answer; a swatch of one\'s own is taken', async ({ page, request }) => {
  await request.post('/api/swatches', {
    data: {
      fairHollow: 'swatch', version: 2, name: 'Start here', yarn: 'mallow pink cotton', note: '',
      gauge: { hookMm: 5, strands: 1, measured: { sc: { stitches: 14, rounds: 15, overCm: 10 } } },
    },
  })
  await page.goto('/start')
  await card(page, 'Tote').click()
  const says = page.locator('figcaption')
  const before = await says.innerText()
  await page.getByRole('radio', { name: 'two straps, sewn on' }).check()
  await expect(says).not.toHaveText(before)
  await pick(page.getByRole('combobox', { name: 'Stitches as in' }), 'My swatch: Start here')
  const bySwatch = await says.innerText()
  await pick(page.getByRole('combobox', { name: 'Stitches as in' }), 'No swatch yet: by yarn and hook')
  await expect(page.getByText('Sizes are good to a sixth until you count a swatch.')).toBeVisible()
  await expect(says).not.toHaveText(bySwatch)
  await pick(page.getByRole('combobox', { name: 'Stitches as in' }), 'My swatch: Start here')
  await page.getByRole('button', { name: 'To the bench' }).click()
  await expect(page.getByLabel('Name of yarn 1')).toHaveValue('mallow pink cotton')
  await page.goBack()
  await page.goBack()
  await expect(page.getByRole('heading', { name: 'What is it for?' })).toBeVisible()
})
