import { describe, expect, it } from 'vitest'
import { demoDesigns } from '../../../tests/pattern/spokenOf'
import { draft } from '../../bag/draft/draft'
import { hookWindow } from './hookWindow'
import { planOf } from './plan'
import { unrolled } from './unrolled'

/** A spot of the chart as the window shows it. */
function shown(transform: string, x: number, y: number): { readonly x: number, readonly y: number } {
  const [a, b, c, d, e, f] = transform.slice(7, -1).split(' ').map(Number) as [number, number, number, number, number, number]
  return { x: a * x + c * y + e, y: b * x + d * y + f }
}

describe('the window around the hook', () => {
  it('has the place to work into in its middle, the edge on top, the work going to the hook\'s own side', () => {
    let turned = 0
    for (const { name, design } of demoDesigns()) {
      for (const hands of ['right', 'left'] as const) {
        for (const style of ['joined', 'turned'] as const) {
          const drafted = draft({ ...design, hands, rounds: { style, startingChainCounts: false } })
          for (const [stacked, chart] of [[false, planOf(drafted)], [true, unrolled(drafted)]] as const) {
            chart.rounds.forEach((round, index) => {
              const { worked } = drafted.rounds.find(({ number }) => number === round.number)!
              if (round.to - round.from < 40 || !worked.edge.closed) return
              const made = 20
              const mirrored = worked.round.facing === 'wrong'
              const { transform, goesOn } = hookWindow(chart, index, made, { stacked, mirrored })
              const at = (i: number, of: 'foot' | 'head') => {
                const [x, y] = of === 'foot' ? [chart.footX, chart.footY] : [chart.headX, chart.headY]
                return shown(transform, x[round.from + i]!, y[round.from + i]!)
              }
              const where = `${name} ${hands} ${style} round ${round.number}`
              expect(goesOn).toBe(true)
              const place = at(made, 'foot')
              expect(Math.hypot(place.x, place.y), where).toBeLessThan(0.001)
              if (!worked.round.inLoops) expect(at(made, 'head').y, where).toBeLessThan(0.05)
              // Six things further on lies to the left for right hands, also when the work is turned.
              const ahead = at(made + 6, 'head').x - at(made, 'head').x
              expect(Math.sign(ahead), where).toBe(hands === 'right' ? -1 : 1)
              if (mirrored) turned++
            })
          }
        }
      }
    }
    expect(turned).toBeGreaterThan(100)
  })

  it('goes on over the cut of a wall that was laid open: what lies beyond it is shown beside the place', () => {
    let cut = 0
    for (const { name, design } of demoDesigns()) {
      const drafted = draft(design)
      const chart = unrolled(drafted)
      const cutCm = chart.box.width
      chart.rounds.forEach((round, index) => {
        const { worked } = drafted.rounds.find(({ number }) => number === round.number)!
        if (!worked.edge.closed) return
        for (const made of [1, round.to - round.from - 2].filter(one => one > 0)) {
          const { pieces } = hookWindow(chart, index, made, { stacked: true, mirrored: false, cutCm })
          if (pieces.length < 2) continue
          cut++
          const x = chart.footX[round.from + made]!
          // The far edge, moved by what the second piece is moved, lies at the near one.
          const farCm = -Math.sign(x) * (cutCm / 2) + pieces[1]!.shiftCm
          expect(Math.abs(farCm - x), `${name}, round ${round.number}`).toBeLessThan(cutCm / 4)
          expect(pieces.map(({ shiftCm }) => Math.abs(shiftCm))).toEqual([0, cutCm])
        }
      })
    }
    expect(cut).toBeGreaterThan(100)
  })
})
