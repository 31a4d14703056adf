import { expect, test } from './program'
import { CHROMIUM } from '../../scripts/chromium.mjs'
import { freshBag } from './bag'
import { logOf, takeUp, withoutQuestions } from './hookSteps'

/** A name that leads to this machine, but that browsers trust as little as any on the home network. */
test.use({
  launchOptions: {
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu', '--host-resolver-rules=MAP phone.test 127.0.0.1'],
  },
})

test('everything but the worker and the lit screen works, and it says what is missing', async ({ page, request, baseURL }) => {
  const address = baseURL!.replace('127.0.0.1', 'phone.test')
  await withoutQuestions(page)
  const bag = await freshBag(request, 'By phone')
  const make = await takeUp(page, bag, address)
  expect(await page.evaluate(() => isSecureContext)).toBe(false)
  for (let i = 0; i < 4; i++) await page.keyboard.press('PageDown')
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  expect((await logOf(request, make)).events.filter(event => event.do === 'moved').length).toBe(4)
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: /How I am followed/ }).click()
  await expect(page.getByRole('dialog')).toContainText('lets the screen go dark here')
  await expect(page.getByRole('dialog')).toContainText('cannot be opened while the program is away')
})
