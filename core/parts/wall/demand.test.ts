import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DESIGN_FIELDS } from '../../bag/design/fields'
import { anyKind } from '../../../tests/arbitraries/fromFields'
import { REPEATS, SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf } from '../../things/gauge/gauge'
import { divides } from '../part/asks'
import { foundation, halves, withSides } from '../../things/round/edge'
import type { RoundStyle } from '../../things/round/style'
import { demandOf, kindOf, looksUp, wallKinds, type WallSpec, workWall } from './wall'

const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } })
const seen = { gauge, repeats: REPEATS, hook: { hookMm: 4, strands: 1 } }
const styles = fc.constantFrom<RoundStyle>('spiral', 'joined', 'turned')

/** A count that a part can be worked on, near to one. */
function near(spec: WallSpec, count: number): number | undefined {
  const demand = demandOf(spec, seen)
  if (!demand) return undefined
  const { asks } = demand
  for (let by = 0; by < 200; by++) if (count + by >= 3 && divides(count + by, asks)) return count + by
  return undefined
}

describe('what a part leaves of a count', () => {
  it.each(wallKinds().map(({ kind }) => kind))('of %s is what working it comes to', (band) => {
    const specs = anyKind(DESIGN_FIELDS.wall, value => value === band) as unknown as fc.Arbitrary<WallSpec>
    let worked = 0
    fc.assert(fc.property(specs, fc.integer({ min: 24, max: 160 }), styles, fc.boolean(), (spec, wish, style, startingChainCounts) => {
      const count = near(spec, wish)
      if (count === undefined) return
      const edge = withSides(foundation('stitch', count), halves(count))
      const { edge: top, findings } = workWall(spec, edge, {
        gauge, rounds: { style, startingChainCounts }, index: 1, turns: 1, belowCm: count / 2, repeats: REPEATS, hook: { hookMm: 4,
          strands: 1 }, accepts: () => true,
      })
      if (findings.some(({ weight }) => weight === 'stop')) return
      worked++
      expect(demandOf(spec, seen)!.leaves(count), JSON.stringify([spec, count, style])).toBe(top.count)
    }), { ...SEED, numRuns: 60 })
    expect(worked, `${band} was never worked`).toBeGreaterThan(5)
  })

  it('does not look up but where it says so', () => {
    const spec: WallSpec = { kind: 'adjust', stitch: 'sc', to: { want: { divides: true } }, mirrored: true, colour: 'main' }
    expect(looksUp(spec)).toBe(true)
    expect(wallKinds().filter(({ looksUp: up }) => up).map(({ kind }) => kind)).toEqual(['adjust'])
    expect(kindOf(spec).main(spec, seen)).toBe('sc')
  })
})
