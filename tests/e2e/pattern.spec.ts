import { expect, idOf, test } from './bag'

test('repeats in brackets or after an asterisk: chosen once, kept, and in what is downloaded', async ({ page, request }) => {
  await page.goto(`/bags/${await idOf(request, 'Nutting basket')}/pattern`)
  const pattern = page.locator('.pattern')
  await expect(pattern).toContainText('[sc in next 3 sts, 2 sc in next st] 6 times')
  await expect(pattern).toContainText('Rep Rounds 23–24, 11 more times')
  await page.getByRole('radio', { name: '* rep from *' }).check()
  await expect(pattern).toContainText('*sc in next 3 sts, 2 sc in next st; rep from * around')
  await page.reload()
  await expect(pattern).toContainText('*sc in next 3 sts, 2 sc in next st; rep from * around')
  await page.getByRole('button', { name: 'Download' }).click()
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByText('Pattern on paper, A4').click()])
  expect(file.suggestedFilename()).toBe('nutting-basket.pdf')
  await expect(pattern).toContainText('Finishing')
})

test('where the hook goes is a click away from the words, and can be browsed', async ({ page, request }) => {
  await page.goto(`/bags/${await idOf(request, 'Nutting basket')}/pattern`)
  const round = page.locator('.pattern li', { hasText: 'Round 21' }).first()
  await round.getByText('Where the hook goes').click()
  await expect(round.getByRole('img', { name: 'Around the post, from the back' })).toBeVisible()
  await page.getByRole('link', { name: 'Where the hook goes' }).click()
  await expect(page.getByRole('img', { name: 'The adjustable ring' })).toBeVisible()
  await page.getByRole('radio', { name: 'left-handed' }).check()
  await expect(page.locator('figure g[transform*="scale(-1 1)"]').first()).toBeVisible()
})

test('a draft that stops says at its head and at the place that it is no pattern', async ({ page, request }) => {
  const kept = await request.get(`/api/designs/${await idOf(request, 'Onion net')}`)
  const net = ((await kept.json()) as { document: Record<string, unknown> }).document
  const base = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 61 } }, colour: 'main' }
  const { id } = (await (await request.post('/api/designs', { data: { ...net, name: 'Odd net', base } })).json()) as { id: string }
  await page.goto(`/bags/${id}/pattern`)
  await expect(page.getByRole('alert').filter({ hasText: 'Not finished' })).toContainText('61 stitches come up from below')
  await expect(page.locator('.pattern')).toContainText('The pattern stops here.')
  await expect(page.locator('.pattern')).not.toContainText('Finishing')
})
