import { expect, type APIRequestContext, type Page } from '@playwright/test'
import { MakeLog } from '../../core/making/make/fold'
import type { MakeEvent } from '../../core/making/make/event'

/** Opens a bag on the bench and takes it up; the make's id. */
export async function takeUp(page: Page, bag: string, address = ''): Promise<string> {
  await page.goto(`${address}/bags/${bag}`)
  await page.getByRole('button', { name: 'Take it up' }).click()
  await page.waitForURL(/\/makes\//)
  await expect(page.locator('[data-beat]')).toBeVisible()
  return page.url().split('/').at(-1)!
}

/** Nothing is asked while taps are counted. */
export async function withoutQuestions(page: Page): Promise<void> {
  await page.addInitScript(() => localStorage.setItem('fair-hollow.hook', JSON.stringify({ asks: false })))
}

/** Which leg is in hand, as the screen says. */
export function heading(page: Page) {
  return page.getByRole('heading', { level: 1 })
}

/** Goes on with the space bar until the screen says so; counts that are asked for are as planned. */
export async function goOnTo(page: Page, wanted: RegExp, most = 600): Promise<void> {
  for (let i = 0; i < most; i++) {
    const sheet = page.getByRole('button', { name: /^As planned/ })
    if (await sheet.isVisible()) await sheet.click()
    if (wanted.test(await heading(page).innerText())) return
    await page.keyboard.press('PageDown')
  }
  throw new Error(`never came to ${wanted}: stands at ${await heading(page).innerText()}`)
}

/** What the server has of a make. */
export async function logOf(request: APIRequestContext, make: string, address = ''): Promise<MakeLog> {
  const log = new MakeLog()
  for (let upTo = 0, more = true; more;) {
    const answer = await request.get(`${address}/api/makes/${make}?after=${upTo}`)
    const { events, upTo: next } = (await answer.json()) as { events: MakeEvent[], upTo: number }
    log.add(events)
    more = next > upTo
    upTo = next
  }
  return log
}
