import type { Chart } from '../../core/readers/chart/chart'
import { loopNumbers } from '../../core/readers/chart/loopNumbers'
import { roundPaths } from '../../core/readers/chart/marks'
import { pieceChart } from '../../core/readers/chart/pieces'
import { planOf } from '../../core/readers/chart/plan'
import { unrolled } from '../../core/readers/chart/unrolled'
import { cardOf } from '../../core/things/entry/cards'
import type { Draft } from '../../core/bag/draft/draft'
import { translate } from '../../core/things/stitch/translate'
import type { Pattern, PatternLine, PatternSection } from '../../core/readers/words/pattern'
import { piecesOf } from '../../core/readers/words/pattern'
import { ACCENT, type Fonts, type PaperWish, type Pen, Sheet } from './sheet'

/*
 * A pattern on paper: the head, the rounds part by part with boxes to tick and the chart of the part after them, the finishing. Between
 * sections the server gets to answer others.
 */

/** Where a round's words begin, beside its number. */
const WORDS_AT = 78

const otherAnswers = () => new Promise(resolve => setImmediate(resolve))

function line(sheet: Sheet, { label, words, count, note, from, to }: PatternLine): void {
  const said = `${words}. ${count}${note ? ` ${note}` : ''}`
  sheet.round(label, said, to - from + 1, WORDS_AT)
}

/** The rounds of a chart that belong to a part, at their place. */
function drawRounds(pen: Pen, chart: Chart, belongs: (part: string) => boolean): void {
  chart.rounds.forEach((round, i) => {
    if (!belongs(round.part)) return
    const { plain, shaped } = roundPaths(chart, round)
    if (plain) pen.path(plain)
    if (shaped) pen.path(shaped, ACCENT)
    const last = i === chart.rounds.length - 1
    if (i === 0 || last || round.number % 5 === 0) pen.label(String(round.number), round.startX, round.startY, 0.32)
  })
}

/** Room of a part's rounds on a chart. */
function boxOf(chart: Chart, part: string): Chart['box'] | undefined {
  const rounds = chart.rounds.filter(round => round.part === part)
  if (rounds.length === 0) return undefined
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const { from, to } of rounds) {
    for (let i = from; i < to; i++) {
      left = Math.min(left, chart.headX[i]!, chart.footX[i]!)
      right = Math.max(right, chart.headX[i]!, chart.footX[i]!)
      top = Math.min(top, chart.headY[i]!, chart.footY[i]!)
      bottom = Math.max(bottom, chart.headY[i]!, chart.footY[i]!)
    }
  }
  return { left: left - 0.6, top: top - 0.4, width: right - left + 1.2, height: bottom - top + 0.8 }
}

/** The chart of a part: the floor from above, or its stretch of the wall laid flat. */
function chartOf(sheet: Sheet, chart: Chart, { part, title }: PatternSection, seen: string): void {
  const box = boxOf(chart, part)
  // One round of a wall is a line that shows nothing.
  if (!box || chart.rounds.filter(round => round.part === part).length < 2) return
  sheet.drawing(
    box,
    sheet.page * 0.6,
    (pen) => {
      drawRounds(pen, chart, one => one === part)
      const own = chart.rounds.filter(round => round.part === part)
      for (const { x, y, sizeCm, chains } of loopNumbers({ ...chart, rounds: own })) pen.label(String(chains), x, y, sizeCm)
    },
    `${title}: ${seen}`,
  )
}

function sectionHead(sheet: Sheet, section: PatternSection): void {
  sheet.heading(section.title)
  for (const text of [...(section.lead ? [section.lead] : []), ...section.advice]) sheet.text(text)
}

function sectionFoot(sheet: Sheet, { finish = [], check, looks, stop }: PatternSection): void {
  if (check) sheet.text(check, { face: 'bold' })
  if (looks) sheet.text(looks)
  for (const text of finish) sheet.text(text)
  if (stop) sheet.text(`The pattern stops here: ${stop}`, { face: 'bold', colour: ACCENT })
}

/** A piece's chart, lying along the page. */
function pieceOf(sheet: Sheet, draft: Draft, section: PatternSection): void {
  const owner = draft.parts.find(({ id }) => id === section.part)
  const piece = owner && piecesOf(draft).find(one => one.id === section.piece && owner.pieces.includes(one))
  if (!piece || piece.rows.length === 0) return
  const chart = pieceChart(piece, draft.design.hands === 'left')
  sheet.drawing(
    { ...chart.box, left: chart.box.left - 0.5, width: chart.box.width + 1 },
    sheet.page * 0.5,
    pen => drawRounds(pen, chart, () => true),
    `${section.title}: as it lies, ` + 'the first ' + 'row below',
  )
}

function list(sheet: Sheet, title: string, lines: readonly string[], numbered = false): void {
  if (lines.length === 0) return
  sheet.heading(title)
  lines.forEach((text, i) => sheet.pair(numbered ? `${i + 1}.` : '–', text, 16))
}

/** An appendix: where the hook goes, for every way that this pattern uses. */
function cards(sheet: Sheet, { design }: Draft, { cards: ids, terms }: Pattern): void {
  if (ids.length === 0) return
  sheet.heading('Where the hook goes', 130)
  sheet.text('The lit thread is the one to pick up; the arrow is the hook\'s way, dotted where it runs behind the work.')
  const told = { terms, units: design.units }
  const figures = ids.map(cardOf).map(({ name, says, picture }) => ({ name: translate(name, told), says: translate(says, told), picture }))
  sheet.figures(figures, design.hands === 'left')
}

function head(sheet: Sheet, pattern: Pattern): void {
  sheet.text(pattern.title, { face: 'heading', size: 24, after: 8 })
  if (pattern.unfinished.length > 0) {
    sheet.text('Not finished: this is no pattern yet', { face: 'bold', size: 12, colour: ACCENT })
    for (const text of pattern.unfinished) sheet.text(text, { colour: ACCENT })
  }
  for (const { name, value } of pattern.facts) sheet.pair(name, value)
  list(sheet, 'Notes', pattern.notes)
  sheet.heading('Abbreviations')
  for (const { short, long } of pattern.abbreviations) sheet.pair(short, long, 60)
  if (pattern.special.length > 0) sheet.heading('Special stitches')
  for (const { short, long } of pattern.special) sheet.pair(short, long, 60)
}

/** Writes a pattern as a PDF. */
export async function patternPdf(draft: Draft, pattern: Pattern, wish: PaperWish, fonts: Fonts): Promise<Buffer> {
  const sheet = new Sheet(pattern.title, wish, fonts)
  const charts: (readonly [Chart, string])[] = [
    [planOf(draft), 'from above; coloured marks are increases'],
    [unrolled(draft), 'cut open at the start of the rounds, seen ' + 'from outside'],
  ]
  head(sheet, pattern)
  for (const section of pattern.sections) {
    await otherAnswers()
    sectionHead(sheet, section)
    for (const one of section.lines) line(sheet, one)
    sectionFoot(sheet, section)
    if (section.piece) pieceOf(sheet, draft, section)
    else for (const [chart, seen] of charts) chartOf(sheet, chart, section, seen)
  }
  list(sheet, 'Finishing', pattern.finishing, true)
  list(sheet, 'Take care', pattern.care)
  await otherAnswers()
  cards(sheet, draft, pattern)
  await otherAnswers()
  return sheet.finished()
}
