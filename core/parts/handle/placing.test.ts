import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SEED } from '../../../tests/arbitraries/designs'
import { type Edge, foundation, withSides } from '../../things/round/edge'
import { boundaryAt, type SpanCentre, markedAnew, nudgeRoom, placed, placesNear, stitchesBefore, within } from './placing'

const rim = (count: number, sides?: readonly [number, number], start = 0): Edge => ({
  ...(sides ? withSides(foundation('stitch', count), sides) : foundation('stitch', count)),
  start,
})

/** A rim of any count that folds in half anywhere, its round starting anywhere, and spans of any width. */
const anyPlacing = fc.integer({ min: 6, max: 260 }).chain(count =>
  fc.record({
    count: fc.constant(count), side: fc.nat(count - 1), start: fc.nat(count - 1), off: fc.constantFrom(0, 0, 1),
    places: fc.integer({ min: 1, max: Math.floor(count / 2) }), centred: fc.constantFrom<SpanCentre>('faces', 'sides'),
  }),
)
type Any = typeof anyPlacing extends fc.Arbitrary<infer T> ? T : never
const edgeOf = ({ count, side, start, off }: Any) => rim(count, [side, side + Math.floor(count / 2) + off], start)

/** A placing's spans by hand: which of them each place of the edge belongs to. */
function owners(count: number, { firsts, places }: ReturnType<typeof placed>): number[] {
  const of = Array<number>(count).fill(0)
  firsts.forEach((first, i) => {
    for (let k = 0; k < places; k++) of[(first + k) % count]! += i + 1
  })
  return of
}

describe('two spans opposite each other', () => {
  it('on 64: 8, slot 16, 16, slot 16, 8 (craft 10; common practice, no source)', () => {
    expect(placed(rim(64), 16, 'faces')).toEqual({ firsts: [8, 40], places: 16, gaps: [16, 16], offSides: 0, room: 8 })
  })

  it('seven stitches a foot on 120: 53 between the feet on each side (craft 10; common practice, no source)', () => {
    expect(placed(rim(120), 7, 'sides').gaps).toEqual([53, 53])
  })

  it('add up to the rim, with gaps that differ by the odd stitch alone, whatever the rim, the width and the sides', () => {
    fc.assert(
      fc.property(anyPlacing, (any) => {
        const { places, centred } = any
        const edge = edgeOf(any)
        const found = placed(edge, places, centred)
        const [a, b] = found.gaps
        expect(a + b + 2 * places).toBe(edge.count)
        expect(Math.abs(a - b)).toBe(edge.count % 2)
        // Counted place by place: nothing belongs to both, and what is free lies in two runs as long as the gaps.
        const of = owners(edge.count, found)
        expect(of.filter(one => one === 1)).toHaveLength(places)
        expect(of.filter(one => one === 2)).toHaveLength(places)
        expect(within(found.firsts[1] - found.firsts[0] - places, edge.count)).toBe(a)
      }),
      { ...SEED, numRuns: 400 },
    )
  })

  it('are mirror images about an axis, which is at most half a stitch off the sides', () => {
    fc.assert(
      fc.property(anyPlacing, (any) => {
        const { places, centred } = any
        const edge = edgeOf(any)
        const of = owners(edge.count, placed(edge, places, centred))
        const {
          count,
          sides: [s0, s1],
        } = edge
        const opposite = s0 + (within(s1 - s0, count) - count / 2) / 2 + (centred === 'sides' ? count / 4 : 0)
        // Turned over about some axis, every place of one span falls on one of the other.
        const mirrors = Array.from({ length: 2 * count }, (_, axis) => axis).filter(axis =>
          of.every((one, place) => of[within(axis - 1 - place, count)] === (one === 0 ? 0 : 3 - one)),
        )
        const off = mirrors.map((axis) => {
          const apart = within(axis / 2 - opposite, count / 2)
          return Math.min(apart, count / 2 - apart)
        })
        expect(Math.min(...off)).toBeCloseTo(placed(edge, places, centred).offSides, 9)
        expect(Math.min(...off)).toBeLessThanOrEqual(0.5)
      }),
      { ...SEED, numRuns: 150 },
    )
  })

  it('move on as mirror images when they are nudged, as far as there is room', () => {
    fc.assert(
      fc.property(anyPlacing, fc.integer({ min: -20, max: 20 }), (any, by) => {
        const { places, centred } = any
        const edge = edgeOf(any)
        const room = nudgeRoom(edge, places)
        const nudge = Math.min(room, Math.max(-room, by)) + 0
        const [still, moved] = [placed(edge, places, centred), placed(edge, places, centred, nudge)]
        expect(within(moved.firsts[0] - still.firsts[0], edge.count)).toBe(within(nudge, edge.count))
        expect(within(still.firsts[1] - moved.firsts[1], edge.count)).toBe(within(nudge, edge.count))
        expect(moved.gaps.every(gap => gap >= 0)).toBe(true)
        expect(moved.gaps[1]).toBe(still.gaps[1] + 2 * nudge)
      }),
      { ...SEED, numRuns: 200 },
    )
  })

  it('take the width nearest to a wanted one that lies true to opposite sides', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 200 }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.constantFrom<SpanCentre>('faces', 'sides'),
        (count, wanted, centred) => {
          const found = placesNear(count, wanted, centred)
          fc.pre(2 * found <= count)
          if (count % 2 === 0) expect(placed(rim(count), found, centred).offSides).toBe(0)
          expect(Math.abs(found - wanted)).toBeLessThanOrEqual(count % 2 === 1 ? 0.5 : 1 + (wanted < 2 ? 1 : 0))
        },
      ),
      { ...SEED, numRuns: 200 },
    )
  })
})

describe('where a round meets them', () => {
  it('is counted from its start, whichever way it goes: met place by place', () => {
    fc.assert(
      fc.property(anyPlacing, fc.boolean(), (any, turn) => {
        const { places } = any
        const edge = edgeOf(any)
        const { firsts } = placed(edge, places, 'faces')
        const inOrder = Array.from({ length: edge.count }, (_, reading) =>
          within(turn ? edge.start - reading : edge.start + reading, edge.count),
        )
        const own = new Set(Array.from({ length: places }, (_, k) => within(firsts[0] + k, edge.count)))
        // The reading at which the span begins: the one whose place is its own and whose predecessor's is not.
        const begins = inOrder.findIndex((place, i) => own.has(place) && !own.has(inOrder[(i + edge.count - 1) % edge.count]!))
        expect(stitchesBefore(edge, turn, firsts[0], places)).toBe(begins)
      }),
      { ...SEED, numRuns: 200 },
    )
  })

  it('is told by a side that the maker marked anew', () => {
    const edge = rim(60, [10, 40], 3)
    expect(markedAnew(edge, false, undefined).sides).toEqual([10, 40])
    expect(markedAnew(edge, false, 15).sides).toEqual([18, 48])
    expect(markedAnew(edge, true, 15).sides).toEqual([49, 19])
    expect(boundaryAt(edge, true, 0)).toBe(4)
  })
})
