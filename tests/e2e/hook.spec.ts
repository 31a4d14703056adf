import type { Locator, Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { expect, freshBag, test } from './bag'
import { goOnTo, heading, logOf, takeUp } from './hookSteps'

const beat = (page: Page) => page.locator('[data-beat]')
const sheet = (page: Page) => page.getByRole('dialog')
const size = (page: Page, name: string) => page.locator('footer label', { hasText: name }).click()

/** Presses Tab until something is in focus. */
async function tabTo(page: Page, wanted: Locator): Promise<void> {
  for (let i = 0; i < 30; i++) {
    if (await wanted.evaluate(one => one === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error('never came into focus')
}

type Request = Parameters<typeof freshBag>[0]

/** The seed-head pouch of the demo world, as a bag of the test's own. */
function demoPouch(request: Request, over: object = {}): Promise<string> {
  return freshBag(request, 'Pouch', { ...(JSON.parse(readFileSync('demo/seed-head-pouch.json', 'utf8')) as object), ...over })
}

/** The seed-head pouch with a stripe, a net and slots besides: something of everything. */
async function pouch(request: Request): Promise<string> {
  const document = JSON.parse(readFileSync('demo/seed-head-pouch.json', 'utf8')) as { wall: object[] }
  const solid = (id: string, rounds: number, colour: string) => ({ id, kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour })
  return freshBag(request, 'Pouch', {
    ...document, name: 'Pouch with everything',
    wall: [
      solid('part-1a', 6, 'main'), solid('part-1b', 3, 'moss'),
      {
        id: 'part-1c', kind: 'loops', skip: 1, first: 5, hold: { pin: { chains: 5 } }, size: { pin: { rounds: 3 } }, ends: 'closed',
        finish: { inLoop: 2, inStitch: 0 }, colour: 'moss',
      },
      solid('part-1d', 2, 'main'),
      {
        id: 'part-1e', kind: 'slots', number: 2, width: { want: { widthCm: 6 } }, chains: { want: { hole: true } }, into: 'chains',
        corners: 0, rounds: 2, stitch: 'sc', nudge: 0, colour: 'main',
      },
      solid('part-1f', 1, 'main'), ...document.wall.slice(3),
    ],
  })
}

test('a pouch from the ring to the last end: a miscount, ripping back, a stripe, a net, slots, cords', async ({ page, request }) => {
  test.setTimeout(120_000)
  const make = await takeUp(page, await pouch(request))
  await expect(beat(page)).toContainText(/Take .* hook/)
  await page.keyboard.press(' ')
  await expect(beat(page)).toContainText(/make an adjustable ring/i)
  await page.keyboard.press(' ')
  await expect(heading(page)).toContainText('Round 1 of 37')

  // The floor is done: 80 are counted where 78 were planned, and lived with.
  await goOnTo(page, /Round 13/)
  await page.keyboard.press(' ')
  while (!(await sheet(page).isVisible())) await page.keyboard.press(' ')
  await expect(sheet(page)).toContainText('everything above stands on this count')
  await sheet(page).getByLabel('I have').fill('80')
  await sheet(page).getByRole('button', { name: 'What does it mean?' }).click()
  await expect(sheet(page)).toContainText('so the mistake lies in round 13')
  await expect(sheet(page)).toContainText('wider lying flat')
  await sheet(page).getByRole('button', { name: 'Live with it' }).click()
  await expect(heading(page)).toContainText('Round 14')
  await expect(page.getByText('80 sts when done')).toBeVisible()

  // Ripped back two rounds; it says what is lost and how the round is known.
  await goOnTo(page, /Round 18/)
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: 'I have to rip back' }).click()
  await sheet(page).getByLabel('Back to the end of round').fill('15')
  await expect(sheet(page)).toContainText('2 rounds, 160 stitches')
  await expect(sheet(page)).toContainText('Round 15 has 80 stitches')
  await sheet(page).getByRole('button', { name: 'I ripped back to round 15' }).click()
  await expect(heading(page)).toContainText('Round 16')

  // The change of yarn is told before it comes.
  await goOnTo(page, /Round 20/)
  await expect(beat(page)).toContainText('change to moss green cotton')
  await goOnTo(page, /Round 24/)
  await expect(heading(page)).toContainText('Net')
  await size(page, 'Group')
  for (let i = 0; i < 39; i++) await page.keyboard.press('PageDown')
  await expect(beat(page)).toContainText('closed by a taller stitch')
  await expect(beat(page)).toContainText('dc in first sc to close the last loop')

  // Left in the middle: it says where one was.
  await page.reload()
  await expect(page.getByText(/You were in round 24, group 40 of 4\d\. Find the marker\./)).toBeVisible()
  await page.getByRole('button', { name: 'Go on' }).click()
  await size(page, 'Own')
  await goOnTo(page, /Round 30/)
  await size(page, 'Round')
  await expect(beat(page)).toContainText(/ch \d+, sk next \d+ sts/)
  await goOnTo(page, /Step\s+Cords/)
  await expect(beat(page)).toContainText('Each cord takes about')
  await page.keyboard.press('PageDown')
  await expect(beat(page)).toContainText('Two cords')
  await size(page, 'Group')
  for (let i = 0; i < 3; i++) await page.keyboard.press('PageDown')
  await size(page, 'Own')
  await goOnTo(page, /All is done/)
  await page.getByRole('button', { name: 'Finish' }).click()
  await expect(page.getByRole('button', { name: 'Finished', exact: true })).toBeVisible()

  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  const { state } = await logOf(request, make)
  expect(state.finishedAt).toBeDefined()
  expect(state.counts.filter(({ choice }) => choice === 'live-with-it')).toMatchObject([{ round: 13, planned: 78, found: 80 }])
  expect(state.ripped).toMatchObject({ times: 1, rounds: 2 })
  await page.getByRole('link', { name: 'All bags' }).click()
  // What is finished stands in the logbook.
  await page.getByRole('link', { name: 'Logbook' }).click()
  const done = page.getByRole('region', { name: 'Finished' }).getByRole('link', { name: /Pouch with everything/ })
  await expect(done).toBeVisible({ timeout: 30_000 })
})

test('back by a held tap, by a swipe, by a key; further with a pedal; Enter on other buttons is theirs', async ({ page, request }) => {
  await takeUp(page, await demoPouch(request))
  await goOnTo(page, /Round 1\b/)
  await size(page, 'Stitch')
  for (const key of [' ', 'Enter', 'PageDown']) await page.keyboard.press(key)
  await beat(page).click()
  await expect(beat(page)).toContainText('4 of 6')
  await page.keyboard.press('Backspace')
  await expect(beat(page)).toContainText('3 of 6')
  const box = (await beat(page).boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.waitForTimeout(700)
  await page.mouse.up()
  await expect(beat(page)).toContainText('2 of 6')
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - 120, box.y + box.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(beat(page)).toContainText('1 of 6')
  await page.getByRole('button', { name: 'More' }).focus()
  await page.keyboard.press('Enter')
  await expect(sheet(page)).toBeVisible()
  await page.keyboard.press(' ')
  await page.keyboard.press('Escape')
  await expect(sheet(page)).toBeHidden()
  await expect(beat(page)).toContainText('1 of 6')
})

test('a count short in the next round, and what a wrong number says', async ({ page, request }) => {
  const make = await takeUp(page, await demoPouch(request))
  await goOnTo(page, /Round 4/)
  while (!(await sheet(page).isVisible())) await page.keyboard.press(' ')
  await sheet(page).getByLabel('I have').fill('many')
  await sheet(page).getByRole('button', { name: 'What does it mean?' }).click()
  await expect(sheet(page).getByRole('alert')).toContainText('a whole number above 0')
  await sheet(page).getByLabel('I have').fill('25')
  await page.keyboard.press('Enter')
  await expect(sheet(page)).toContainText('Round 3 was counted and right, so the mistake lies in round 4.')
  await sheet(page).getByRole('button', { name: 'Put it right next round' }).click()
  await size(page, 'Round')
  await expect(page.getByText('30 sts when done')).toBeVisible()
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  expect((await logOf(request, make)).state.counts.at(-1)).toMatchObject({ round: 4, planned: 24, found: 25, choice: 'next-round', to: 24 })
})

test('by screen reader names, with notes, tape, scales and looks', async ({ page, request }) => {
  const make = await takeUp(page, await demoPouch(request))
  await page.getByRole('button', { name: /^Done: Take undyed cotton/ }).click()
  await goOnTo(page, /Round 5/)
  await page.getByRole('button', { name: 'Is it meant to look like this?' }).click()
  await expect(sheet(page)).toContainText(/A disc about \d/)
  await sheet(page).getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'More' }).click()
  await sheet(page).getByRole('button', { name: 'A note or a marker' }).click()
  await sheet(page).getByLabel('Note').fill('Dropped a stitch here')
  await sheet(page).getByLabel('A marker is in the stitch just made').check()
  await sheet(page).getByRole('button', { name: 'Keep the note' }).click()
  await page.getByRole('button', { name: 'More' }).click()
  await sheet(page).getByRole('button', { name: 'Tape and scales' }).click()
  await sheet(page).getByLabel('It is').fill('4.5')
  await expect(sheet(page)).toContainText('after 4 rounds')
  await sheet(page).getByRole('button', { name: 'Write it down, keep the plan' }).click()
  await page.getByRole('button', { name: 'More' }).click()
  await sheet(page).getByRole('button', { name: 'Tape and scales' }).click()
  await sheet(page).getByRole('button', { name: 'Scales' }).click()
  await sheet(page).getByLabel('Grams').fill('87.5')
  await sheet(page).getByRole('button', { name: 'Write the weight down' }).click()
  await expect(page.locator('[data-post]')).toHaveAttribute('data-post', 'sent')
  const { state } = await logOf(request, make)
  expect(state.notes).toMatchObject([{ text: 'Dropped a stitch here', marker: true }])
  expect(state.measured).toMatchObject([{ what: 'base-width', cm: 4.5 }])
  expect(state.weighed).toMatchObject([{ yarn: 'main', grams: 87.5, of: 'left', round: 4 }])
})

test('a weight without its point is questioned, mended and taken back', async ({ page, request }) => {
  await page.addInitScript(() => localStorage.setItem('fair-hollow.hook', JSON.stringify({ asks: false })))
  const make = await takeUp(page, await demoPouch(request))
  const weigh = async (grams: string) => {
    await page.getByRole('button', { name: 'More' }).click()
    await sheet(page).getByRole('button', { name: 'Tape and scales' }).click()
    await sheet(page).getByRole('button', { name: 'Scales' }).click()
    await sheet(page).getByLabel('Grams').fill(grams)
  }
  await weigh('100')
  await sheet(page).getByRole('button', { name: 'Write the weight down' }).click()
  await goOnTo(page, /Round 20/)
  await weigh('880')
  await expect(sheet(page).getByRole('alert')).toContainText('more than the 100 g there were')
  // It is not written down before the question is answered.
  await sheet(page).getByRole('button', { name: 'Write the weight down' }).click()
  await expect(sheet(page)).toBeVisible()
  await sheet(page).getByRole('button', { name: 'Ten times less: 88 g' }).click()
  await expect(sheet(page).getByRole('alert')).toHaveCount(0)
  await sheet(page).getByRole('button', { name: 'Write the weight down' }).click()
  await expect(sheet(page)).toBeHidden()
  const weights = async () => (await logOf(request, make)).state.weighed.map(({ grams }) => grams)
  await expect.poll(weights).toEqual([100, 88])
  await page.getByRole('button', { name: /^Undo the weight/ }).click()
  await expect(page.getByText(/^Undone: the weight/)).toBeVisible()
  await expect.poll(weights).toEqual([100])
})

test('by the keyboard alone, from the bench through a miscount to ripping back', async ({ page, request }) => {
  const id = await demoPouch(request)
  await page.goto(`/bags/${id}`)
  await expect(page.getByRole('button', { name: 'Take it up' })).toBeVisible()
  await page.keyboard.press('h')
  await page.waitForURL(/makes/)
  await expect(beat(page)).toBeVisible()
  for (let i = 0; i < 60 && !(await sheet(page).isVisible()); i++) await page.keyboard.press(' ')
  // What is usual is in focus; the number to type comes next.
  await expect(sheet(page).getByRole('button', { name: 'As planned: 18' })).toBeFocused()
  await page.keyboard.press('Tab')
  await page.keyboard.type('20')
  await page.keyboard.press('Enter')
  await expect(sheet(page)).toContainText('planned 18 stitches')
  await tabTo(page, sheet(page).getByRole('button', { name: 'Live with it' }))
  await page.keyboard.press('Enter')
  await expect(sheet(page)).toBeHidden()
  await expect(heading(page)).toContainText('Round 4')
  await tabTo(page, page.getByRole('button', { name: 'More' }))
  await page.keyboard.press('Enter')
  await tabTo(page, sheet(page).getByRole('button', { name: 'I have to rip back' }))
  await page.keyboard.press('Enter')
  await expect(sheet(page).getByLabel('Back to the end of round')).toBeFocused()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('1')
  await tabTo(page, sheet(page).getByRole('button', { name: 'I ripped back to round 1' }))
  await page.keyboard.press('Enter')
  await expect(heading(page)).toContainText('Round 2')
})

test('the screen stays lit, beats are said aloud once asked, and what must not be missed is felt', async ({ page, request }) => {
  await page.addInitScript(() => {
    const heard: string[] = []
    Object.assign(window, { heard, buzzed: 0, lit: 0 })
    const counts = window as unknown as { buzzed: number, lit: number }
    Object.defineProperty(navigator, 'vibrate', { value: () => ++counts.buzzed > 0 })
    const request = () => {
      counts.lit++
      return Promise.resolve(new EventTarget())
    }
    Object.defineProperty(navigator, 'wakeLock', { value: { request } })
    speechSynthesis.getVoices = () => [{ name: 'a voice' } as SpeechSynthesisVoice]
    speechSynthesis.speak = ({ text }) => void heard.push(text)
  })
  await takeUp(page, await demoPouch(request))
  const felt = () => page.evaluate(() => {
    const { heard, buzzed, lit } = window as unknown as { heard: string[], buzzed: number, lit: number }
    return { heard, buzzed, lit }
  })
  expect(await felt()).toMatchObject({ heard: [], lit: 1 })
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: /How I am followed/ }).click()
  await expect(sheet(page)).toContainText('The screen stays on')
  await sheet(page).getByLabel('Say each beat aloud').check()
  await sheet(page).getByRole('button', { name: 'Close' }).click()
  await goOnTo(page, /Round 6/)
  await page.keyboard.press('PageDown')
  await page.keyboard.press('PageDown')
  expect((await felt()).heard.at(-1)).toContain('single crochet in next')
  const { buzzed } = await felt()
  await goOnTo(page, /Round 33/)
  expect((await felt()).buzzed).toBeGreaterThan(buzzed)
})

test('left-handed, the round goes round the other way', async ({ page, request }) => {
  const way = async (name: string, over: object) => {
    await takeUp(page, await demoPouch(request, { name, ...over }))
    const [, from, , to] = /^M([\d.]+) ([\d.]+)L([\d.]+)/.exec((await page.locator('.panel svg .way').getAttribute('d'))!)!
    return Number(to) - Number(from)
  }
  expect(await way('Right', { hands: 'right' })).toBeGreaterThan(0)
  expect(await way('Left', { hands: 'left' })).toBeLessThan(0)
})

test('nothing scrolls, whatever the window, with text of 100 % and of 200 %', async ({ page, request }) => {
  const windows = [[390, 844, 1], [360, 640, 1], [844, 390, 1], [390, 844, 2], [360, 640, 2], [1280, 800, 2]] as const
  await takeUp(page, await demoPouch(request))
  for (const round of [/Round 1 /, /Round 6/, /Round 41/, /Step\s+Cords/]) {
    await goOnTo(page, round)
    for (const own of ['Stitch', 'Round', 'Own']) {
      await size(page, own)
      for (const [width, height, text] of windows) {
        await page.setViewportSize({ width, height })
        const sizes = await page.evaluate(async (text) => {
          document.documentElement.style.setProperty('font-size', `${16 * text}px`, 'important')
          // Laid out anew, by what watches the size of the window too.
          await new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))
          return {
            tall: document.documentElement.scrollHeight, wide: document.documentElement.scrollWidth,
            clipped: [...document.querySelectorAll<HTMLElement>('[data-beat], footer button, h1')].filter(one =>
              one.scrollHeight > one.clientHeight + 1 || one.scrollWidth > one.clientWidth + 1).map(one => one.className || one.tagName),
            outside: [...document.querySelectorAll('[data-beat], footer, header, .panel')].filter((one) => {
              const { left, top, right, bottom } = one.getBoundingClientRect()
              return left < -0.5 || top < -0.5 || right > innerWidth + 0.5 || bottom > innerHeight + 0.5
            }).map(one => one.className || one.tagName),
          }
        }, text)
        expect(sizes, `${String(round)} ${own} at ${width}x${height}, text at ${100 * text} %`)
          .toEqual({ tall: height, wide: width, clipped: [], outside: [] })
      }
      await page.evaluate(() => document.documentElement.style.removeProperty('font-size'))
    }
  }
})
