import type { Draft } from '../../bag/draft/draft'
import { figure } from '../../things/measure/format'
import type { Chart } from './chart'
import { loopNumbers } from './loopNumbers'
import { roundPaths } from './marks'
import { pieceChart } from './pieces'
import { inXml } from '../words/ownWords'
import { planOf } from './plan'
import { unrolled } from './unrolled'

const INK = '#2b2a28'
const ACCENT = '#7c1f4e'
const MARGIN_CM = 1

/** Numbers where rounds start: all of them in a small chart, every fifth in a large one. */
function labels(chart: Chart): string {
  const every = chart.rounds.length > 20 ? 5 : 1
  return chart.rounds
    .filter((round, i) => i === 0 || round.number % every === 0)
    .map(round => `<text x="${round.startX.toFixed(2)}" y="${round.startY.toFixed(2)}">${round.number}</text>`)
    .join('')
}

/** A diamond at each marker of the floor's last round, and a dashed line through the starts of its rounds. */
function floorSigns(draft: Draft, plan: Chart): string {
  const last = plan.rounds[plan.rounds.length - 1]
  if (!last) return ''
  const markers = draft.parts[0]!.markers?.[plan.rounds.length - 1] ?? []
  const diamonds = markers.map(
    made =>
      `<path d="M${plan.headX[last.from + made]!.toFixed(2)} ${(plan.headY[last.from + made]! - 0.25).toFixed(2)}l0.2 0.25l-0.2 `
      + '0.25l-0.2 -0.25z" fill="#f2b632"/>',
  )
  const starts = plan.rounds.map(({ startX, startY }, i) => `${i === 0 ? 'M' : 'L'}${startX.toFixed(2)} ${startY.toFixed(2)}`).join('')
  return `<path d="${starts}" stroke-dasharray="0.15 0.15"/>${diamonds.join('')}`
}

function group(chart: Chart, x: number, y: number, title: string, signs = ''): string {
  const rounds = chart.rounds.map((round) => {
    const { plain, shaped } = roundPaths(chart, round)
    return (plain && `<path d="${plain}"/>`) + (shaped && `<path d="${shaped}" stroke="${ACCENT}" stroke-width="0.05"/>`)
  })
  const chains = loopNumbers(chart).map(
    one =>
      `<text x="${one.x.toFixed(2)}" y="${one.y.toFixed(2)}" font-size="${one.sizeCm.toFixed(2)}" fill-opacity="0.7">${one.chains}</text>`,
  )
  return (
    `<g transform="translate(${x.toFixed(2)} ${y.toFixed(2)})"><title>${inXml(title)}</title>${rounds.join('')}${signs}`
    + `<g fill="${INK}" stroke="none" font-family="sans-serif" font-size="0.32" text-anchor="middle" `
    + `dominant-baseline="middle">${chains.join('')}${labels(chart)}</g></g>`
  )
}

/** A piece lying along the page, whichever way its rows run. */
interface Lying {
  readonly name: string
  readonly chart: Chart
  readonly turned: boolean
  readonly longCm: number
  readonly wideCm: number
}

function lyingPieces({ design, parts }: Draft): Lying[] {
  return parts.flatMap(({ pieces }) =>
    pieces
      .filter(({ rows }) => rows.length > 0)
      .map((piece): Lying => {
        const chart = pieceChart(piece, design.hands === 'left')
        const { width, height } = chart.box
        const turned = height > width
        return {
          name: piece.times > 1 ? `${piece.name}, ${piece.times} times` : piece.name, chart, turned, longCm: turned ? height : width,
          wideCm: turned ? width : height,
        }
      }),
  )
}

function piecesBelow(pieces: readonly Lying[], middleX: number, belowCm: number): string {
  let y = belowCm
  return pieces
    .map(({ name, chart, turned, longCm, wideCm }) => {
      y += wideCm + MARGIN_CM
      const place = turned
        ? `<g transform="translate(${(middleX - longCm / 2).toFixed(2)} ${(y - MARGIN_CM - wideCm / 2).toFixed(2)}) rotate(90)">`
        : `<g transform="translate(${middleX.toFixed(2)} ${(y - MARGIN_CM).toFixed(2)})">`
      return `${place}${group(chart, 0, 0, name)}</g>`
    })
    .join('')
}

/** The whole chart as one SVG picture, to scale: the floor from above, the wall unrolled below it, what is worked on its own below that. */
export function asSvg(draft: Draft): string {
  const plan = planOf(draft)
  const wall = unrolled(draft)
  const pieces = lyingPieces(draft)
  const width = Math.max(plan.box.width, wall.box.width, ...pieces.map(({ longCm }) => longCm)) + 2 * MARGIN_CM
  const bagCm = plan.box.height + wall.box.height + 3 * MARGIN_CM
  const height = pieces.reduce((sum, { wideCm }) => sum + wideCm + MARGIN_CM, bagCm)
  const about = `${draft.design.name}: floor ${figure(plan.box.width, draft.design.units)} by `
    + `${figure(plan.box.height, draft.design.units)} ${draft.design.units}, ${draft.rounds.length} rounds`
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(2)}cm" height="${height.toFixed(2)}cm" viewBox="0 0 `
    + `${width.toFixed(2)} ${height.toFixed(2)}" role="img">`
    + `<title>${inXml(about)}</title><g fill="none" stroke="${INK}" stroke-width="0.04" stroke-linecap="round">`
    + group(plan, width / 2, MARGIN_CM + plan.box.height / 2, 'Floor, from above', floorSigns(draft, plan))
    + group(wall, width / 2, bagCm - MARGIN_CM, 'Wall, unrolled, from outside')
    + piecesBelow(pieces, width / 2, bagCm)
    + '</g></svg>\n'
  )
}
