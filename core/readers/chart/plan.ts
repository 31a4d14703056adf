import type { Draft, DraftPart } from '../../bag/draft/draft'
import type { Spot } from '../../parts/part/layOut'
import type { WorkedRound } from '../../things/round/workedRound'
import { blank, type Chart, type ChartRound, markOf, shapes, stationOf } from './chart'

/** How far a head stays inside the line that its round reaches, towards its foot. */
const HEAD = 0.08

/** The spot that a stitch of a floor's round stands on: on the round below, or of what the round is worked into. */
function footOf(base: LaidOut, round: number, worked: WorkedRound, made: number, head: Spot): Spot {
  const below = base.rounds[round - 1]
  const { from, to } = worked.edge
  if (below && worked.on.count === below.edge.count && worked.on.from[0] !== -1) {
    const first = base.layOut!(round - 1, stationOf(from[made]!, worked.on.count, below))
    const last = base.layOut!(round - 1, stationOf(to[made]!, worked.on.count, below))
    return { x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 }
  }
  if (round === 0 || worked.on.count === 1) return base.layOut!(-1, stationOf(from[made]!, worked.on.count, worked))
  return towardsMiddle(base, head)
}

/** The nearest spot on the worked rows, for a round that goes about them. */
function towardsMiddle(base: LaidOut, head: Spot): Spot {
  const floor = base.size.floor!
  const within = (value: number, half: number) => Math.max(-half, Math.min(half, value))
  return { x: within(head.x, floor.length.cm / 2), y: within(head.y, floor.width.cm / 2) }
}

/** The smallest box about every head, at least as large as the floor. */
function boxOf(chart: Omit<Chart, 'rounds' | 'box'>, base: LaidOut): Chart['box'] {
  const floor = base.size.floor
  let x = (floor?.length.cm ?? 0) / 2
  let y = (floor?.width.cm ?? 0) / 2
  for (let i = 0; i < chart.headX.length; i++) {
    x = Math.max(x, Math.abs(chart.headX[i]!))
    y = Math.max(y, Math.abs(chart.headY[i]!))
  }
  return { left: -x, top: -y, width: 2 * x, height: 2 * y }
}

/**
 * The floor seen from above, its middle at (0, 0), to scale. Right-handed work runs against the clock, left-handed
 * with it.
 */
export function planOf(draft: Draft): Chart {
  return planOfRounds(draft.parts[0]!, draft.design.hands === 'left')
}

/** The view from above: rounds, and where their stitches lie. */
type LaidOut = Pick<DraftPart, 'id' | 'rounds' | 'firstRound' | 'size' | 'layOut'>

/** The last view from above: a floor that stays as it was is looked at once, however the wall changes. */
const seen = new WeakMap<LaidOut, { left?: Chart, right?: Chart }>()

/** Rounds seen from above. */
export function planOfRounds(base: LaidOut, leftHanded: boolean): Chart {
  const known = seen.get(base) ?? {}
  seen.set(base, known)
  return (known[leftHanded ? 'left' : 'right'] ??= lookDown(base, leftHanded))
}

function lookDown(base: LaidOut, leftHanded: boolean): Chart {
  const chart = blank(base.rounds.reduce((sum, worked) => sum + worked.edge.count, 0))
  const rounds: ChartRound[] = []
  const side = leftHanded ? -1 : 1
  let at = 0
  base.rounds.forEach((worked, r) => {
    const from = at
    const shaping = worked.on.count > 1 && shapes(worked)
    for (let made = 0; made < worked.edge.count; made++, at++) {
      const head = base.layOut!(r, stationOf(made, worked.edge.count, worked))
      const foot = footOf(base, r, worked, made, head)
      chart.kinds[at] = worked.stitches[made]!
      chart.marks[at] = shaping ? markOf(worked, made) : 0
      chart.headX[at] = side * (head.x + (foot.x - head.x) * HEAD)
      chart.headY[at] = head.y + (foot.y - head.y) * HEAD
      chart.footX[at] = side * foot.x
      chart.footY[at] = foot.y
    }
    const [first, last] = [base.layOut!(r, 0), base.layOut!(r, worked.edge.count - 1)]
    const start = worked.round.join === 'open' ? first : { x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 }
    rounds.push({
      number: base.firstRound + r, part: base.id, from, to: at, colour: worked.round.colour, startX: side * start.x, startY: start.y,
    })
  })
  return { ...chart, rounds, box: boxOf(chart, base) }
}
