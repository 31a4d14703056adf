import { expect, freshBag, saved, tally, test } from './bag'

test.describe('when the program does not answer', () => {
  test.use({ expected: [/Failed to load resource/] })

  test('an edit is kept on the page, said to be unsaved, and saved once it answers again', async ({ page, request }) => {
    const id = await freshBag(request, 'Patient pouch')
    await page.goto(`/bags/${id}`)
    await expect(tally(page, 'Rounds')).toBeVisible()
    await page.route('**/api/designs/**', route => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
    await page.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
    await page.getByRole('textbox', { name: 'Across the floor' }).fill('20')
    await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'failed')
    await expect(page.getByRole('alert')).toContainText('does not answer')
    await page.unroute('**/api/designs/**')
    await saved(page)
    const kept = (await (await request.get(`/api/designs/${id}`)).json()) as { document: { base: { size: object } } }
    expect(kept.document.base.size).toEqual({ want: { diameterCm: 20 } })
  })

  test('two machines do not write over each other: the second is told and keeps its work as a copy', async ({ page, browser, request }) => {
    const id = await freshBag(request, 'Contested pouch')
    await page.goto(`/bags/${id}`)
    const other = await (await browser.newContext()).newPage()
    await other.goto(`/bags/${id}`)
    for (const [window, diameter] of [
      [page, '14'],
      [other, '18'],
    ] as const) {
      await window.locator('nav.labels').getByRole('button', { name: /^Base/ }).click()
      await window.getByRole('textbox', { name: 'Across the floor' }).fill(diameter)
      if (window === page) await saved(page)
    }
    await expect(other.getByRole('alert')).toContainText('changed elsewhere')
    await other.getByRole('button', { name: 'Keep mine as a copy' }).click()
    await expect(other.getByLabel('Name', { exact: true })).toHaveValue('Contested pouch, my copy')
    const sizes = await Promise.all(
      [id, new URL(other.url()).pathname.split('/')[2]!].map(
        async one =>
          ((await (await request.get(`/api/designs/${one}`)).json()) as { document: { base: { size: object } } }).document.base.size,
      ),
    )
    expect(sizes).toEqual([{ want: { diameterCm: 14 } }, { want: { diameterCm: 18 } }])
  })

  test('an unknown bag, a broken file and a stranger\'s file are told plainly', async ({ page }) => {
    await page.goto('/bags/nowhere')
    await expect(page.getByRole('alert')).toContainText('There is no such design here')
    await page.getByRole('link', { name: 'All bags' }).last().click()
    const picker = page.getByLabel('A bag\'s file')
    await picker.setInputFiles({ name: 'cut.json', mimeType: 'application/json', buffer: Buffer.from('{"fairHollow": "des') })
    await expect(page.getByRole('alert')).toContainText('cut.json is not JSON')
    await picker.setInputFiles({ name: 'other.json', mimeType: 'application/json', buffer: Buffer.from('{"rows": 3}') })
    await expect(page.getByRole('alert')).toContainText('not a Fair Hollow design')
    await picker.setInputFiles({
      name: 'odd.json', mimeType: 'application/json',
      buffer: Buffer.from(
        '{"fairHollow":"design","version":1,"name":"Odd","gauge":{"hookMm":3,"measured":{"sc":{"stitches":0,"rounds":20,"overCm":10}}},'
        + '"base":{"form":"circle","size":{"want":{"diameterCm":12}}}}',
      ),
    })
    await expect(page.getByRole('alert')).toContainText('gauge.measured.sc.stitches: must be a number from 1 to 1000')
  })
})
