import { STITCH_KINDS, STITCHES, type StitchKind } from '../../things/stitch/dictionary'
import { type Chart, type ChartRound, INCREASED } from './chart'

/*
 * The drawing marks of stitches, after the published chart symbols of the craft (Craft Yarn Council, "Crochet Chart
 * Symbols", from memory): a cross for sc, a T for hdc, a T with one bar for dc, with two for tr, an oval for ch, a dot
 * for sl st. Each is drawn along the line from its foot to its head, so that it leans as its stitch does.
 */

/** Half a bar's length as a share of the room a stitch has to its sides. */
const HALF_BAR = 0.36

function n(value: number): string {
  return String(Math.round(value * 1000) / 1000)
}

function segment(x: number, y: number, dx: number, dy: number): string {
  return `M${n(x - dx)} ${n(y - dy)}L${n(x + dx)} ${n(y + dy)}`
}

function oval(x: number, y: number, wide: number, tall: number): string {
  return `M${n(x - wide)} ${n(y)}a${n(wide)} ${n(tall)} 0 1 0 ${n(2 * wide)} 0a${n(wide)} ${n(tall)} 0 1 0 ${n(-2 * wide)} 0`
}

/** The path of one stitch's mark, from its foot to its head, with `roomCm` of width to itself. */
export function markPath(kind: StitchKind, footX: number, footY: number, headX: number, headY: number, roomCm: number): string {
  const stemX = headX - footX
  const stemY = headY - footY
  const length = Math.hypot(stemX, stemY) || 1
  const { mark } = STITCHES[kind]
  if (mark.is === 'oval') return oval((headX + footX) / 2, (headY + footY) / 2, roomCm * 0.4, length * 0.25)
  if (mark.is === 'dot') return oval(footX, footY, roomCm * 0.12, roomCm * 0.12)
  const reach = HALF_BAR * roomCm
  const acrossX = (-stemY / length) * reach
  const acrossY = (stemX / length) * reach
  const slantX = acrossX * 0.7 + (stemX / length) * reach * 0.4
  const slantY = acrossY * 0.7 + (stemY / length) * reach * 0.4
  const stem = `M${n(footX)} ${n(footY)}L${n(headX)} ${n(headY)}`
  return (
    stem
    + mark.across.map(t => segment(footX + stemX * t, footY + stemY * t, acrossX, acrossY)).join('')
    + mark.slanted.map(t => segment(footX + stemX * t, footY + stemY * t, slantX, slantY)).join('')
  )
}

/**
 * A loop of a net, from its left knot over its top to its right one. One that a taller stitch closes is chains up to its
 * top, and the stitch's own mark down to the round's first knot.
 */
function loopMark(
  kind: StitchKind,
  knotX: number,
  otherX: number,
  knotY: number,
  topX: number,
  topY: number,
  roomCm: number,
): { readonly loop: string, readonly closing: string } {
  const arm = (x: number) =>
    `Q${n((x + topX) / 2 + (x - topX) * 0.12)} ${n((knotY + topY) / 2 + (topY - knotY) * 0.22)} ${n(topX)} ${n(topY)}`
  const left = `M${n(knotX)} ${n(knotY)}${arm(knotX)}`
  if (STITCHES[kind].heightInSc === 0) return { loop: `${left}M${n(otherX)} ${n(knotY)}${arm(otherX)}`, closing: '' }
  return { loop: left, closing: markPath(kind, otherX, knotY, topX, topY, roomCm) }
}

/**
 * How far a loop's two knots lie apart, from its left knot to its right one: what most neighbours say, since one loop lies across the cut.
 */
function knotsApart(chart: Chart, { from, to }: ChartRound): number {
  const loops = Array.from({ length: to - from }, (_, i) => from + i).filter(i => chart.footX[i] !== chart.headX[i])
  const steps = loops
    .slice(1)
    .map((i, k) => chart.footX[i]! - chart.footX[loops[k]!]!)
    .sort((a, b) => a - b)
  return steps[steps.length >> 1] ?? 2 * (chart.headX[from]! - chart.footX[from]!)
}

/** Which stitches of a chart are wanted. */
type Within = (i: number) => boolean

/** A round of loops as two paths: loops and knots, and the stitch that closes the last loop. */
function loopPaths(chart: Chart, round: ChartRound, within: Within): { plain: string, shaped: string } {
  let plain = ''
  let shaped = ''
  const room = roomOf(chart, round)
  const wide = knotsApart(chart, round)
  for (let i = round.from; i < round.to; i++) {
    if (!within(i)) continue
    const kind = STITCH_KINDS[chart.kinds[i]!]!
    const [footX, footY, headX, headY] = [chart.footX[i]!, chart.footY[i]!, chart.headX[i]!, chart.headY[i]!]
    if (footX === headX) plain += markPath(kind, footX, footY, headX, headY, room * 0.7)
    else {
      const { loop, closing } = loopMark(kind, footX, footX + wide, footY, headX, headY, room * 0.8)
      plain += loop
      shaped += closing
    }
  }
  return { plain, shaped }
}

/** A round's marks as two paths: its plain stitches, and those that make an increase or a decrease; all of it, or what is wanted. */
export function roundPaths(chart: Chart, round: ChartRound, within: Within = () => true): { plain: string, shaped: string } {
  if (round.loopChains !== undefined) return loopPaths(chart, round, within)
  const plain: string[] = []
  const shaped: string[] = []
  const room = roomOf(chart, round)
  for (let i = round.from; i < round.to; i++) {
    if (!within(i)) continue
    const path = markPath(
      STITCH_KINDS[chart.kinds[i]!]!,
      chart.footX[i]!,
      chart.footY[i]!,
      chart.headX[i]!,
      chart.headY[i]!,
      round.roomsCm?.[i - round.from] ?? room,
    )
    const doubled = chart.marks[i] !== 0 || (i + 1 < round.to && chart.marks[i + 1] === INCREASED)
    ;(doubled ? shaped : plain).push(path)
  }
  return { plain: plain.join(''), shaped: shaped.join('') }
}

/** The width that one stitch of a round has to itself: the distance between two heads, or a share of a small ring. */
function roomOf(chart: Chart, round: ChartRound): number {
  if (round.roomCm !== undefined) return round.roomCm
  if (round.to - round.from < 2) return 0.5
  const first = round.from
  return Math.hypot(chart.headX[first + 1]! - chart.headX[first]!, chart.headY[first + 1]! - chart.headY[first]!)
}
