import type { Page } from '@playwright/test'
import { expect } from './bag'

/*
 * How a screen must be laid out, whatever the window: no field narrower than what stands in it, none in a gap; no text cut or out of reach,
 * no sideways scroll; no label of the drawing over another; nothing that can be pressed under a bar once it is scrolled to.
 */

const SIZES = [[1280, 800], [768, 1024], [390, 844], [320, 640]] as const
/** Room for a cursor, in pixels; and the least that any field to type in has. */
const CURSOR_PX = 4
const LEAST_PX = 32
/** More height than what stands in it, in pixels, that the place of a field may have. */
const GAP_PX = 12

/** Fields that are narrower than their value, or than anybody can type in, by their labels. */
async function slits(page: Page): Promise<string[]> {
  return page.locator('input:visible, textarea:visible, select:visible').evaluateAll((fields, [cursor, least]) => {
    const pen = document.createElement('canvas').getContext('2d')!
    return (fields as HTMLInputElement[]).flatMap((field) => {
      if (['radio', 'checkbox', 'color', 'range', 'file', 'hidden'].includes(field.type)) return []
      const style = getComputedStyle(field)
      // A picked choice is shown beside its own, empty field.
      if (field.getAttribute('role') === 'combobox' && field.closest('.v-select')) return []
      pen.font = style.font
      const room = field.clientWidth - parseFloat(style.paddingLeft) - parseFloat(style.paddingRight)
      const spacing = (parseFloat(style.letterSpacing) || 0) * field.value.length
      const wraps = field.tagName === 'TEXTAREA' || field.tagName === 'SELECT' || field.value.length > 12
      const needs = wraps ? least! : Math.max(least!, pen.measureText(field.value).width + spacing + cursor!)
      const name = field.labels?.[0]?.textContent?.trim() || field.getAttribute('aria-label') || field.name || field.outerHTML.slice(0, 80)
      return room + 0.5 < needs ? [`${name}: ${Math.round(room)} px for "${field.value}"`] : []
    })
  }, [CURSOR_PX, LEAST_PX] as const)
}

/** Buttons and fields whose padding comes on top of their height, by their labels: they outgrow what they stand in. */
async function contentBoxes(page: Page): Promise<string[]> {
  return page.locator('button:visible, input:visible, select:visible, textarea:visible').evaluateAll(all => all.flatMap((one) => {
    const name = one.getAttribute('aria-label') ?? one.textContent?.trim().slice(0, 40)
    return getComputedStyle(one).boxSizing === 'content-box' ? [`${one.tagName.toLowerCase()} "${name}": sized without its padding`] : []
  }))
}

/** Places of fields that are taller than what stands in them, by their labels. */
async function gaps(page: Page): Promise<string[]> {
  return page.locator('.asked:visible').evaluateAll((places, most) => places.flatMap((place) => {
    const filled = Math.max(...[...place.querySelectorAll('*')].map(one => one.getBoundingClientRect().bottom))
    const empty = place.getBoundingClientRect().bottom - filled
    return empty > most ? [`${place.textContent?.trim().slice(0, 40)}: ${Math.round(empty)} px empty`] : []
  }), GAP_PX)
}

/** Shortened on purpose: what comes next at the hook is read in full when it comes, a yarn's name beside the tally in its panel. */
const SHORTENED = '.beat .then, .beat .coming, .tally .yarn dt'

/** Texts that are cut by what they stand in, or lie beside the window where nothing scrolls to them. */
async function cutTexts(page: Page): Promise<string[]> {
  return page.evaluate((shortened) => {
    const EDGE_PX = 1.5
    interface Box { left: number, right: number, top: number, bottom: number }

    function boxOf(node: Node): Box | undefined {
      const range = document.createRange()
      range.selectNodeContents(node)
      const rects = [...range.getClientRects()].filter(({ width, height }) => width > 0 && height > 0)
      if (rects.length === 0) return undefined
      const least = (side: 'left' | 'top') => Math.min(...rects.map(one => one[side]))
      const most = (side: 'right' | 'bottom') => Math.max(...rects.map(one => one[side]))
      return { left: least('left'), right: most('right'), top: least('top'), bottom: most('bottom') }
    }

    const clips = (overflow: string) => overflow === 'hidden' || overflow === 'clip'
    const scrolls = (overflow: string) => overflow === 'auto' || overflow === 'scroll'
    const outX = (at: Box, edge: Box) => at.right > edge.right + EDGE_PX || at.left < edge.left - EDGE_PX
    const outY = (at: Box, edge: Box) => at.bottom > edge.bottom + EDGE_PX || at.top < edge.top - EDGE_PX
    /** A text that lies outside altogether is left out, not cut. */
    const leftOut = (at: Box, edge: Box) => at.top >= edge.bottom - EDGE_PX || at.bottom <= edge.top + EDGE_PX

    /** Whether a box is there for readers of screens alone. */
    const isUnseen = (edge: DOMRect, { clipPath, position }: CSSStyleDeclaration) =>
      edge.width <= 1 || edge.height <= 1 || (clipPath !== 'none' && position === 'absolute')

    function troubleOf(at: Box, parent: Element): string | undefined {
      let [reachedX, reachedY] = [false, false]
      for (let box: Element | null = parent; box && box !== document.documentElement; box = box.parentElement) {
        const style = getComputedStyle(box)
        const edge = box.getBoundingClientRect()
        if (isUnseen(edge, style) || (clips(style.overflowY) && leftOut(at, edge))) return undefined
        reachedX ||= scrolls(style.overflowX)
        reachedY ||= scrolls(style.overflowY)
        if (!reachedX && clips(style.overflowX) && outX(at, edge)) return 'cut at its side'
        if (!reachedY && clips(style.overflowY) && outY(at, edge)) return 'cut above or below'
      }
      return !reachedX && outX(at, { ...at, left: 0, right: innerWidth }) ? 'beside the window' : undefined
    }

    const found = new Set<string>()
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const [parent, text] = [node.parentElement!, node.textContent!.trim()]
      const isSeen = parent.checkVisibility({ opacityProperty: true, visibilityProperty: true })
      if (!text || !isSeen || parent.closest(`svg, script, style, option, ${shortened}`)) continue
      const at = boxOf(node)
      const trouble = at && troubleOf(at, parent)
      if (trouble) found.add(`${trouble}: ${text.slice(0, 60)}`)
    }
    const sideways = document.documentElement.scrollWidth - document.documentElement.clientWidth
    return [...found, ...(sideways > 0 ? [`scrolls sideways by ${sideways} px`] : [])]
  }, SHORTENED)
}

/** Labels of the drawing that lie over one another: those of parts, and figures within a picture. */
async function overlaps(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const EDGE_PX = 1
    // The box of a figure has room above and below its digits.
    const LEADING_PX = 4
    const groups = [
      [...document.querySelectorAll('.labels .label')],
      ...[...document.querySelectorAll('.drawing svg')].map(svg => [...svg.querySelectorAll('text')]),
    ]
    return groups.flatMap((group) => {
      const boxes = group
        .filter(one => one.checkVisibility())
        .map(one => ({ text: one.textContent?.trim() ?? '', at: one.getBoundingClientRect() }))
      return boxes.flatMap((a, i) => boxes.slice(i + 1).flatMap((b) => {
        const over = Math.min(a.at.right, b.at.right) - Math.max(a.at.left, b.at.left) > EDGE_PX
          && Math.min(a.at.bottom, b.at.bottom) - Math.max(a.at.top, b.at.top) > (group[0]!.closest('svg') ? LEADING_PX : EDGE_PX)
        return over && a.text && b.text ? [`"${a.text.slice(0, 30)}" over "${b.text.slice(0, 30)}"`] : []
      }))
    })
  })
}

/** Things to press that lie under something else once they are scrolled to, as the focus scrolls to them. */
async function covered(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const dialog = [...document.querySelectorAll('[role=dialog]')].findLast(one => one.checkVisibility())
    const isThere = (one: HTMLElement) =>
      one.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && !one.matches(':disabled') && !one.closest('svg')
    const nameOf = (one: Element) => one.getAttribute('aria-label') ?? (one.textContent?.trim().slice(0, 40) || one.outerHTML.slice(0, 60))
    /** Whether what is met at a spot is the thing itself, what it stands in, or the label or field that it belongs to. */
    const belongs = (one: Element, hit: Element) =>
      one.contains(hit) || hit.contains(one) || hit.closest('label')?.contains(one) || one.closest('label, .v-input')?.contains(hit)

    const [x, y] = [scrollX, scrollY]
    const things = [...(dialog ?? document.body).querySelectorAll<HTMLElement>('a[href], button, input, select, textarea, summary')]
    const found = things.filter(isThere).flatMap((one) => {
      one.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' })
      const { left, top, width, height } = one.getBoundingClientRect()
      if (width < 2 || height < 2) return []
      const hit = document.elementFromPoint(left + width / 2, top + height / 2)
      const over = hit ? `${hit.tagName.toLowerCase()}.${hit.getAttribute('class') ?? ''}`.slice(0, 60) : 'the edge of the window'
      return hit && belongs(one, hit) ? [] : [`${one.tagName.toLowerCase()} "${nameOf(one)}" under ${over}`]
    })
    scrollTo(x, y)
    return found
  })
}

/** Looks at a screen, as it stands, in every size or in some. */
export async function looksRight(page: Page, where: string, sizes: readonly (readonly [number, number])[] = SIZES): Promise<void> {
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height })
    // Laid out anew, and painted; what comes and goes has come.
    await page.evaluate(() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done))))
    await page.waitForFunction(() => document.getAnimations().every(({ playState }) => playState !== 'running'))
    const found: string[] = []
    for (const look of [slits, contentBoxes, gaps, cutTexts, overlaps, covered]) found.push(...await look(page))
    expect.soft(found, `${where} at ${width} by ${height}`).toEqual([])
  }
}
