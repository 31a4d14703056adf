import { expect, freshBag, idOf, test } from './bag'
import { weigh } from './weigh'

/** What comes over the line before a screen stands: it is the same on every machine, and creeps up if nobody looks. */

test.use({ serviceWorkers: 'block' })

const KB = 1024

test('the list and the bench come light, and a bag brings the kinds that it is made of and no others', async ({ page, request }) => {
  const id = await freshBag(request, 'Weighed')
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Network.enable')
  const list = await weigh(cdp, page, '/')
  expect(list.bytes).toBeLessThan(300 * KB)
  // It drafts nothing, and brings nothing that does: that alone would be 58 kB.
  expect(list.scripts).toBeLessThan(175 * KB)
  // What the list has fetched is fetched again: nothing is kept for the bench.
  await cdp.send('Network.setCacheDisabled', { cacheDisabled: true })
  const bench = await weigh(cdp, page, `/bags/${id}`)
  expect(bench.bytes).toBeLessThan(380 * KB)
  expect(bench.scripts).toBeLessThan(260 * KB)
  // Knot straps may be of any texture, and bring all of them along.
  const net = await weigh(cdp, page, `/bags/${await idOf(request, 'Onion net')}`)
  expect(net.scripts).toBeGreaterThan(bench.scripts + 5 * KB)
  expect(net.scripts).toBeLessThan(300 * KB)
})

test.describe('where nothing more comes', () => {
  test.use({ expected: [/ERR_FAILED/] })

  test('a kind that is not here is asked for, told, and comes once the way is free', async ({ page, request }) => {
    await page.goto(`/bags/${await freshBag(request, 'Alone')}`)
    await page.getByRole('button', { name: /^Plain/ }).first().waitFor()
    await page.route('**/_nuxt/*.js', route => route.abort())
    await page.getByRole('button', { name: 'Handles on top' }).click()
    await expect(page.getByRole('alert')).toContainText('could not be fetched')
    await page.unroute('**/_nuxt/*.js')
    await page.getByRole('button', { name: 'Handles on top' }).click()
    await expect(page.getByRole('heading', { name: /Slots/ })).toBeVisible()
    await expect(page.getByRole('alert')).toHaveCount(0)
  })
})
