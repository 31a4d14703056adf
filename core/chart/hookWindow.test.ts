import { describe, expect, it } from 'vitest'
import { demoDesigns } from '../../tests/pattern/spokenOf'
import { draft } from '../draft/draft'
import { hookWindow } from './hookWindow'
import { planOf } from './plan'
import { unrolled } from './unrolled'

describe('the window around the hook', () => {
  it('has the place to work into in its middle, the edge on top, the work going to the hook\'s own side', () => {
    for (const { name, design } of demoDesigns()) {
      for (const hands of ['right', 'left'] as const) {
        const drafted = draft({ ...design, hands })
        for (const chart of [planOf(drafted), unrolled(drafted)]) {
          chart.rounds.forEach((round, index) => {
            const { worked } = drafted.rounds.find(({ number }) => number === round.number)!
            if (round.to - round.from < 24 || worked.round.inLoops) return
            const made = 10
            const window = hookWindow(chart, index, made, worked.round.facing === 'wrong')
            expect(window.place, name).toEqual({ x: expect.closeTo(0, 5), y: expect.closeTo(0, 5) })
            expect(window.head!.y, `${name} ${round.number}`).toBeLessThan(0.01)
            expect(window.made.length).toBeGreaterThan(0)
          })
        }
      }
    }
  })

  it('goes to the left for right hands and to the right for left ones, turned rounds too', () => {
    for (const style of ['joined', 'turned'] as const) {
      const { design } = demoDesigns().find(({ name }) => name === 'twine-tub.json')!
      for (const hands of ['right', 'left'] as const) {
        const drafted = draft({ ...design, hands, rounds: { style, startingChainCounts: false } })
        const chart = planOf(drafted)
        const index = chart.rounds.length - 1
        const { worked } = drafted.rounds[index]!
        const coming = hookWindow(chart, index, 10, worked.round.facing === 'wrong').coming
        const xs = [...coming.matchAll(/M(-?[\d.]+) /g)].map(([, x]) => Number(x)).filter(x => Math.abs(x) < 1.2)
        const mean = xs.reduce((sum, x) => sum + x, 0) / xs.length
        expect(Math.sign(mean), `${style} ${hands} ${worked.round.facing}`).toBe(hands === 'right' ? -1 : 1)
      }
    }
  })
})
