import { expect, test } from './program'
import { mkdirSync } from 'node:fs'
import { setTimeout as rest } from 'node:timers/promises'
import { freshBag } from './bag'
import { logOf, takeUp } from './hookSteps'
import { OwnServer } from './ownServer'

/*
 * No tap is lost and none counts twice, whatever happens to server, page and network. A short run here; `npm run torture` makes it a
 * thousand taps in a minute (TAPS). What happens when is told by a seed.
 */

const TAPS = Number(process.env.TAPS ?? 60)
const PORT = 3179

/** Numbers by chance from a seed (mulberry32). */
function chance(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

test('every tap is kept once: server killed, page reloaded, another device without a network', async ({ browser, request }) => {
  test.setTimeout(240_000)
  mkdirSync('test-results', { recursive: true })
  const server = new OwnServer(PORT, `test-results/taps-${Date.now()}.sqlite`)
  await server.start()
  const random = chance(20261126)
  const post = (path: string, options: object) => request.post(server.address + path, options)
  const bag = await freshBag({ post } as never, 'Long tube', {
    base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 400 } }, colour: 'main' },
    wall: [{ id: 'part-1', kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' }],
  })
  const [one, two] = await Promise.all([browser.newContext(), browser.newContext()])
  // No count is asked for amid the taps.
  for (const context of [one, two])
    await context.addInitScript(() => localStorage.setItem('fair-hollow.hook', JSON.stringify({ size: 'stitch', asks: false })))
  const page = await one.newPage()
  const make = await takeUp(page, bag, server.address)
  const other = await two.newPage()
  await other.goto(`${server.address}/makes/${make}`)
  await expect(other.locator('[data-beat]')).toBeVisible()
  await other.getByRole('button', { name: 'Go on' }).click()
  await two.setOffline(true)

  let [taps, otherTaps, reloads] = [0, 0, 0]
  const killing = (async () => {
    for (let kills = 0; kills < Math.max(3, TAPS / 60); kills++) {
      await rest(300 + random() * 1500)
      await server.kill()
      await rest(200 + random() * 900)
      await server.start()
    }
  })()
  const everyReload = Math.max(8, Math.floor(TAPS / 20))
  while (taps < TAPS) {
    await page.keyboard.press('PageDown')
    taps++
    if (taps % 2 === 0 && otherTaps < Math.max(28, TAPS / 4)) {
      await other.keyboard.press('PageDown')
      otherTaps++
    }
    if (taps % everyReload === 0 && reloads < 20) {
      // Right after a tap: what was only just written down must outlive it. A server killed amid the load leaves half a page: once more.
      reloads++
      for (let up = false; !up;) {
        up = await page.reload().then(() => expect(page.locator('[data-beat]')).toBeVisible())
          .then(() => true, () => rest(150).then(() => false))
      }
      await page.getByRole('button', { name: 'Go on' }).click()
    }
  }
  await killing
  await two.setOffline(false)
  const moves = async () => (await logOf(request, make, server.address)).events.filter(event => event.do === 'moved')
  await expect.poll(async () => (await moves()).length, { timeout: 60_000 }).toBe(taps + otherTaps)
  expect(new Set((await moves()).map(({ id }) => id)).size).toBe(taps + otherTaps)

  // Both moved without knowing of each other: it says so on both, and asks where the hook is.
  for (const one of [page, other]) await expect(one.getByText('The hook moved on two devices.')).toBeVisible({ timeout: 30_000 })
  const { spots } = await logOf(request, make, server.address)
  for (const { leg, beats } of spots)
    await expect(page.getByRole('button', { name: `round ${leg.slice(1)}, after ${beats} steps` })).toBeVisible({ timeout: 30_000 })
  await page.getByRole('alert').getByRole('button').first().click()
  await expect(other.getByText('The hook moved on two devices.')).toBeHidden({ timeout: 30_000 })
  expect((await logOf(request, make, server.address)).lastMoves).toHaveLength(1)
  await server.kill()
  await Promise.all([one.close(), two.close()])
})
