import { describe, expect, it } from 'vitest'
import { draft } from '../../bag/draft/draft'
import { newDesign } from '../../bag/design/starter'
import { stacked } from '../../bag/design/partIds'
import { keptOf } from '../../bag/design/stacking'
import { beginPart, type WallSpec } from '../../parts/wall/wall'
import { elevation } from './elevation'
import { handleFronts } from './handles'
import { crossing, knotted, loopUp } from './knotted'
import { openingPath, rimCourse, silhouette } from './silhouette'

const plain = (rounds: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' })
function bag(form: 'round' | 'tube', ...wall: WallSpec[]) {
  const design = newDesign('Outline')
  const tube = { form: 'tube', stitch: 'sc', size: { want: { flatWidthCm: 26 } }, colour: 'main' } as const
  return draft({ ...design, ...(form === 'tube' ? { base: tube } : {}), wall: stacked(wall) })
}
const numbers = (path: string) => path.match(/-?\d+(\.\d+)?/g)!.map(Number)

describe('outlines from the front', () => {
  it('are as wide as the round on top, and stand on both feet', () => {
    const courses = elevation(bag('tube', plain(10)))
    const xs = numbers(silhouette(courses)).filter((_, i) => i % 2 === 0)
    expect(Math.max(...xs)).toBeCloseTo(13, 0)
    expect(Math.min(...xs)).toBeCloseTo(-Math.max(...xs), 6)
  })

  it('show the opening as an ellipse where the bag is round, and not at all where it lies flat', () => {
    expect(openingPath(rimCourse(elevation(bag('round', plain(10))))!)).toContain('a')
    expect(openingPath(rimCourse(elevation(bag('tube', plain(10))))!)).toBe('')
  })

  it('have their rim below straps that arch away', () => {
    const straps = beginPart('chain-straps', keptOf(newDesign('x'), plain(3), 52))
    const courses = elevation(bag('tube', plain(10), straps))
    expect(rimCourse(courses)!.part).toBe('part-1')
    expect(silhouette(courses.filter(({ part }) => part === 'part-2')).match(/M/g)!.length).toBeGreaterThan(1)
  })
})

describe('knot straps', () => {
  const [short, long] = [{ x: -6, dropCm: 10, widthCm: 3 }, { x: 6, dropCm: 24, widthCm: 3 }]

  // From 6 cm aside a strap of 10 reaches 8 up over the middle (6, 8, 10); the long one is then 10 of its 24 from its foot.
  it('cross over the middle, as far up as the short one reaches; what is left of the long one goes on to the hand', () => {
    expect(crossing(short, 0)).toEqual({ x: 0, y: -8 })
    expect(numbers(knotted(short, long, 0).long).at(-1)).toBeCloseTo(-8 - 14, 3)
  })

  it('lean as far as they reach where the short one is too short', () => {
    const knot = crossing({ ...short, dropCm: 4 }, 0)
    expect(knot.x).toBeCloseTo(-6 + 3.8, 6)
    expect(knot.y).toBeLessThan(0)
  })

  it('are loops while they lie, as tall as they reach, and go through each other when they are held', () => {
    expect(Math.min(...numbers(loopUp(long, 0)))).toBeLessThanOrEqual(-24 + 3 * 0.62)
    const drafted = bag('tube', plain(20), beginPart('knot-straps', keptOf(newDesign('x'), plain(3), 52)))
    const [first, second] = handleFronts(drafted, 'held')
    expect([first!.name, second!.name]).toEqual(['Long strap', 'Short strap'])
    expect(numbers(second!.path)[0]! * numbers(first!.path)[0]!).toBeLessThan(0)
    for (const { path } of handleFronts(drafted, 'flat')) expect(path).toContain('A')
  })
})
