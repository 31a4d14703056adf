import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type Browser, type CDPSession, chromium, type Page } from '@playwright/test'
import { knowEveryKind } from '../core/bag/design/everyKind'
import { newDesign } from '../core/bag/design/starter'
import { draft } from '../core/bag/draft/draft'
import { stacked } from '../core/bag/design/partIds'
import { OwnServer } from '../tests/e2e/ownServer'
import { weigh } from '../tests/e2e/weigh'
import { CHROMIUM } from '../scripts/chromium.mjs'

/*
 * The page: from a key to what is painted, by the browser's event timing; what the first load fetches; until it can be used, beside a bare
 * page of as many bytes; frames while the pointer moves; memory over 500 edits. Needs a build.
 */

knowEveryKind()

const PORT = 3188
const BARE_PORT = 3189

function line(name: string, value: number, unit: string, goal?: number, most = true): void {
  const met = goal === undefined ? '' : `goal ${goal} ${unit}  ${(most ? value <= goal : value >= goal) ? 'met' : 'MISSED'}`
  console.log(`${name.padEnd(52)} ${value.toFixed(value < 1 ? 3 : 1).padStart(9)} ${unit.padEnd(7)} ${met}`)
}

function percentile(list: readonly number[], share: number): number {
  const sorted = [...list].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0
}

/** A round bag of about so many stitches. */
function bagOf(stitches: number) {
  const across = Math.sqrt(stitches) * 0.42
  const design = (rounds: number) => ({
    ...newDesign(`${stitches} stitches`), base: { ...newDesign('x').base, size: { want: { diameterCm: Math.min(60, across) } } },
    wall: stacked([
      { kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' },
      {
        kind: 'slots', number: 2, width: { want: { widthCm: 9 } }, chains: { want: { dropCm: 12 } }, into: 'chains', corners: 0, rounds: 3,
        nudge: 0, stitch: 'sc', colour: 'main',
      },
    ]),
  })
  let rounds = 5
  while (draft(design(rounds)).sizes.stitches < stitches) rounds += 5
  return design(rounds)
}

const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-page-'))
const server = new OwnServer(PORT, join(folder, 'records.sqlite'))
await server.start()

async function keep(document: object): Promise<string> {
  const answer = await fetch(`${server.address}/api/designs`, {
    method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(document),
  })
  return ((await answer.json()) as { id: string }).id
}

async function fresh(browser: Browser): Promise<{ page: Page, cdp: CDPSession, end: () => Promise<void> }> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' })
  // What is compiled for the bench marks names that the page does not know.
  await context.addInitScript('window.__name = one => one')
  const page = await context.newPage()
  const cdp = await context.newCDPSession(page)
  await cdp.send('Network.enable')
  return { page, cdp, end: () => context.close() }
}

/** From each key to the next paint, by the browser's event timing; keys under its threshold of 16 ms are told as 16. */
async function typing(page: Page, field: () => Promise<void>, keys: readonly string[]): Promise<number[]> {
  await page.evaluate(() => {
    const seen: number[] = []
    Object.assign(window, { seen })
    new PerformanceObserver(list => list.getEntries().forEach(({ name, duration }) => name === 'keydown' && seen.push(duration)))
      .observe({ type: 'event', durationThreshold: 16, buffered: false } as never)
  })
  await field()
  for (const key of keys) {
    await page.keyboard.press(key)
    await page.waitForTimeout(120)
  }
  const seen = await page.evaluate(() => (window as unknown as { seen: number[] }).seen)
  return [...seen, ...Array<number>(Math.max(0, keys.length - seen.length)).fill(16)]
}

/** How far what stands on a page is pushed about while it loads, by the browser's layout shifts: 0 not at all; 0.1 shows (from memory). */
async function shifted(page: Page, to: string): Promise<number> {
  await page.addInitScript(`window.shifts = 0; new PerformanceObserver(list => {
    for (const entry of list.getEntries()) window.shifts += entry.value
  }).observe({ type: 'layout-shift', buffered: true })`)
  await page.goto(`${server.address}${to}`, { waitUntil: 'networkidle' })
  return await page.evaluate(() => (window as unknown as { shifts: number }).shifts)
}

/** Frames from now on, until they are asked for. */
async function frames(page: Page, meanwhile: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const frames: number[] = []
    let last = performance.now()
    const next = (now: number) => {
      frames.push(now - last)
      last = now
      requestAnimationFrame(next)
    }
    requestAnimationFrame(next)
    Object.assign(window, { frames })
  })
  await meanwhile()
  return await page.evaluate(() => (window as unknown as { frames: number[] }).frames.slice(5))
}

async function usable(cdp: CDPSession, page: Page, to: string, ready: string): Promise<number> {
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  const from = performance.now()
  await page.goto(to)
  await page.locator(ready).first().waitFor()
  const ms = performance.now() - from
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 })
  return ms
}

const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox'] })
try {
  const [usual, large, huge] = [await keep(newDesign('Usual')), await keep(bagOf(5_000)), await keep(bagOf(20_000))]

  for (const [name, to, goals, ready] of [
    ['the list', '/', [300, 200], 'h1'], ['the bench', `/bags/${usual}`, [380, 260], '.tally'],
    ['the bench, a bag with slots', `/bags/${large}`, [380, 260], '.tally'],
  ] as const) {
    const { page, cdp, end } = await fresh(browser)
    const { requests, bytes, scripts, answers } = await weigh(cdp, page, `${server.address}${to}`)
    line(`first load to ${name}, everything, compressed`, bytes / 1024, 'kB', goals[0])
    line(`  JavaScript`, scripts / 1024, 'kB', goals[1])
    line(`  answers of the API`, answers / 1024, 'kB')
    line(`  requests`, requests, '')
    await end()
    const moved = await fresh(browser)
    line('  what stands is pushed about by', await shifted(moved.page, to), '', 0.05)
    await moved.end()
    const bare = createServer((_, answer) => {
      answer.setHeader('content-type', 'text/html')
      answer.end(`<!doctype html><p id=ready>ready</p><!--${'x'.repeat(bytes)}-->`)
    }).listen(BARE_PORT)
    const own = await fresh(browser)
    const ms = await usable(own.cdp, own.page, `${server.address}${to}`, ready)
    await own.end()
    const plain = await fresh(browser)
    const bareMs = await usable(plain.cdp, plain.page, `http://127.0.0.1:${BARE_PORT}/`, '#ready')
    await plain.end()
    bare.close()
    line(`  usable at 4x slowdown (bare page of as many bytes ${bareMs.toFixed(0)} ms)`, ms, 'ms')
  }

  const digits = ['Backspace', '3', 'Backspace', '4', 'Backspace', '2', 'Backspace', '5']
  const keys = [...digits, ...digits, ...digits, ...digits, ...digits]
  const sizeField = (page: Page) => async () => {
    await page.locator('nav.labels button').last().click()
    await page.getByRole('textbox', { name: 'Across the floor' }).click()
    await page.keyboard.press('End')
  }
  const noteField = (page: Page) => async () => {
    await page.getByRole('textbox', { name: 'Notes' }).click()
  }
  for (const [stitches, bag, goal, slow] of [[5_000, large, 50, 150], [20_000, huge, 100, undefined]] as const) {
    const { page, cdp, end } = await fresh(browser)
    await page.goto(`${server.address}/bags/${bag}`, { waitUntil: 'networkidle' })
    const note = await typing(page, noteField(page), 'a note on this bag is typed in here'.split(''))
    line(`a key of a note to its paint, ${stitches} stitches, p95`, percentile(note, 0.95), 'ms', goal)
    const size = await typing(page, sizeField(page), keys)
    line(`a key of a size to its paint, ${stitches} stitches, p95`, percentile(size, 0.95), 'ms', goal)
    if (slow) {
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 })
      const slowed = await typing(page, sizeField(page), keys)
      line(`  the same at 4x slowdown, p95`, percentile(slowed, 0.95), 'ms', slow)
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    }
    const hovering = await frames(page, async () => {
      for (let i = 0; i < 120; i++) {
        await page.mouse.move(200 + 3 * i, 300 + 60 * Math.sin(i / 9))
        await page.waitForTimeout(8)
      }
    })
    line(`frames while hovering, ${stitches} stitches, p95`, percentile(hovering, 0.95), 'ms', 17.5)
    await page.locator('nav.labels button').first().click()
    const grip = (await page.getByRole('slider', { name: /place on the rim/ }).locator('rect').boundingBox())!
    await page.mouse.move(grip.x + grip.width / 2, grip.y + grip.height / 2)
    await page.mouse.down()
    const dragging = await frames(page, async () => {
      for (let i = 0; i < 120; i++) {
        await page.mouse.move(grip.x + grip.width / 2 + 40 * Math.sin(i / 12), grip.y + grip.height / 2)
        await page.waitForTimeout(8)
      }
    })
    await page.mouse.up()
    line(`frames while dragging the handles, ${stitches} stitches, p95`, percentile(dragging, 0.95), 'ms', 17.5)
    await end()
  }

  const { page, cdp, end } = await fresh(browser)
  await page.goto(`${server.address}/bags/${usual}`, { waitUntil: 'networkidle' })
  await sizeField(page)()
  const heap = async () => {
    await cdp.send('HeapProfiler.collectGarbage')
    return ((await cdp.send('Runtime.getHeapUsage')) as { usedSize: number }).usedSize / 1024 / 1024
  }
  const edit = async (times: number) => {
    for (let i = 0; i < times; i++) await page.keyboard.press(digits[i % digits.length]!)
  }
  await edit(250)
  const before = await heap()
  await edit(500)
  line('memory after 500 further edits', (await heap()) - before, 'MB', 3)
  await end()
}
finally {
  await browser.close()
  await server.kill()
  rmSync(folder, { recursive: true, force: true })
}
