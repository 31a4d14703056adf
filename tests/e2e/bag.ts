import type { APIRequestContext, Locator, Page } from '@playwright/test'
import { newDesign } from '../../core/bag/design/starter'
import { expect, test as plain } from './program'

/**
 * A test that also fails if the page writes an error to its console, or asks anything of another machine. Browsers
 * write a line for every answer of 400 and above; a test that provokes one says so in `expected`.
 */
export const test = plain.extend<{ expected: RegExp[] }>({
  expected: [[], { option: true }],
  page: async ({ page, baseURL, expected }, use) => {
    const wrong: string[] = []
    page.on('console', message => message.type() === 'error' && wrong.push(message.text()))
    page.on('pageerror', error => wrong.push(error.message))
    page.on('request', (request) => {
      const { origin, protocol } = new URL(request.url())
      if (origin !== baseURL && protocol !== 'data:' && protocol !== 'blob:') wrong.push(`asked ${request.url()}`)
    })
    await use(page)
    expect(wrong.filter(text => !expected.some(pattern => pattern.test(text)))).toEqual([])
  },
})

export { expect }

/** The id of a kept bag, by its name. */
export async function idOf(request: APIRequestContext, name: string): Promise<string> {
  const { bags } = await (await request.get('/api/designs', { params: { find: name } })).json() as { bags: { id: string, name: string }[] }
  return bags.find(bag => bag.name === name)!.id
}

/** A bag of one's own to change, so that tests do not meet in the demo. */
export async function freshBag(request: APIRequestContext, name: string, over: object = {}): Promise<string> {
  const answer = await request.post('/api/designs', { data: { ...newDesign(name), ...over } })
  expect(answer.status()).toBe(201)
  return ((await answer.json()) as { id: string }).id
}

/** The page's own way from screen to screen. */
interface Router {
  readonly useNuxtApp: () => { readonly $router: { readonly push: (to: string) => Promise<unknown> } }
}

/** Goes to another screen by the page's own router: an address typed begins a page anew. */
export async function goWithin(page: Page, to: string): Promise<void> {
  await page.evaluate(async to => void await (window as unknown as Router).useNuxtApp().$router.push(to), to)
}

/** One of the figures along the foot of the bench. */
export function tally(page: Page, name: string) {
  return page.locator('.tally > div').filter({ has: page.getByText(name, { exact: true }) }).locator('dd')
}

export async function saved(page: Page): Promise<void> {
  await expect(page.locator('[data-saving]')).toHaveAttribute('data-saving', 'saved')
}

/** Makes the part in hand one of another kind, from the sheet of kinds. */
export async function pickKind(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Change what this part is' }).click()
  const sheet = page.getByRole('dialog', { name: 'What is this part?' })
  await sheet.locator('button', { has: page.locator('strong').getByText(name, { exact: true }) }).click()
  await expect(sheet).toBeHidden()
}

/** Opens the questions of the whole bag that are folded away, if they are. */
export async function unfold(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: 'The whole bag' }).click()
  const block = page.locator('details').filter({ hasText: title })
  if (await block.getAttribute('open') === null) await block.locator('summary').click()
}

/** Picks from a list what is called so, or is the first to be called like it. */
export async function pick(list: Locator, called: string | RegExp): Promise<void> {
  const like = list.locator('option').filter({ hasText: called }).first()
  await list.selectOption({ label: typeof called === 'string' ? called : (await like.textContent())!.trim() })
}
