import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { stitchChoices } from '~/composables/stitchChoices'
import { useWall } from '~/composables/useWall'
import { useWallPart } from '~/composables/useWallPart'
import { useBench } from '~/stores/bench'
import { MOST_BANDS } from '../../core/design/bounds'
import type { Design } from '../../core/design/design'
import { newDesign } from '../../core/design/starter'
import type { WallSpec } from '../../core/wall/wall'

const plain = (rounds: number): WallSpec => ({ band: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' })

async function opened(wall: readonly WallSpec[]) {
  const document: Design = { ...newDesign('Pouch'), wall }
  vi.stubGlobal('$fetch', async () => ({ id: 'bag', revision: 1, document }))
  const bench = useBench()
  await bench.open('bag')
  const roundsOf = () => bench.design!.wall.map(spec => 'size' in spec && 'pin' in spec.size ? spec.size.pin.rounds : 0)
  return { bench, wall: useWall(), roundsOf }
}

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
})

describe('the stack of a wall', () => {
  it('adds above the part in hand, and takes it in hand', async () => {
    const { bench, wall, roundsOf } = await opened([plain(1), plain(2)])
    wall.addAbove(0)
    expect(roundsOf()).toEqual([1, 0, 2])
    expect(bench.selected).toBe('wall.1')
    wall.addAbove()
    expect(bench.selected).toBe('wall.3')
  })

  it('doubles, moves and throws out, each undone in one step', async () => {
    const { bench, wall, roundsOf } = await opened([plain(1), plain(2), plain(3)])
    wall.duplicate(1)
    expect(roundsOf()).toEqual([1, 2, 2, 3])
    wall.move(3, 0)
    expect(roundsOf()).toEqual([3, 1, 2, 2])
    expect(bench.selected).toBe('wall.0')
    wall.move(0, 9)
    expect(roundsOf()).toEqual([3, 1, 2, 2])
    wall.remove(0)
    expect(roundsOf()).toEqual([1, 2, 2])
    for (let i = 0; i < 3; i++) bench.undo()
    expect(roundsOf()).toEqual([1, 2, 3])
  })

  it('puts handles on top, sized to the rim below, and lets every other kind take their place', async () => {
    const { bench, wall } = await opened([plain(12)])
    wall.addHandles()
    expect(bench.selected).toBe('wall.1')
    expect(bench.design!.wall[1]).toMatchObject({ band: 'slots', number: 2, nudge: 0 })
    expect(bench.draft!.findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    for (const band of ['chain-straps', 'grown-strap', 'knot-straps', 'sewn-straps', 'under-strap', 'cross-body', 'bought-handles'] as const) {
      wall.turnInto(1, band)
      expect(bench.draft!.findings.filter(({ weight }) => weight === 'stop'), band).toEqual([])
      expect(bench.draft!.parts.at(-1)!.handles.length, band).toBeGreaterThan(0)
    }
    for (let i = 0; i < 8; i++) bench.undo()
    expect(bench.design!.wall).toEqual([plain(12)])
  })

  it('has the bag in hand once its last part is thrown out', async () => {
    const { bench, wall } = await opened([plain(1)])
    wall.remove(0)
    expect(bench.selected).toBe('bag')
  })

  it('is full at so many parts', async () => {
    const { wall } = await opened(Array.from({ length: MOST_BANDS }, () => plain(1)))
    expect(wall.full.value).toBe(true)
  })

  it('brings a first repeat along when a part is to be of the maker\'s own', async () => {
    const { bench, wall } = await opened([plain(3)])
    wall.turnInto(0, 'own')
    expect(bench.design!.wall[0]).toMatchObject({ band: 'own', repeat: 'own-1', size: { pin: { rounds: 3 } } })
    expect(bench.design!.repeats).toHaveLength(1)
    bench.undo()
    expect(bench.design!.repeats).toHaveLength(0)
  })

  it('makes a taper that draws in from what lies below it', async () => {
    const { bench, wall } = await opened([plain(3), plain(4)])
    const around = bench.draft!.parts.find(({ id }) => id === 'wall.0')!.size.circumference.cm
    wall.turnInto(1, 'taper')
    expect(bench.design!.wall[1]).toMatchObject({ size: { want: { aroundCm: Math.round(around * 8.5) / 10 } } })
  })
})

describe('a part of the wall', () => {
  it('is changed field by field; a field set to nothing is left out; keystrokes of one field are one edit', async () => {
    const { bench, roundsOf } = await opened([{ ...plain(2), stripes: [{ colour: 'main', rounds: 2 }] } as WallSpec])
    const { part, set } = useWallPart(() => 0)
    for (const rounds of [3, 34, 5]) set('Rounds', { size: { pin: { rounds } } }, 'size')
    expect(roundsOf()).toEqual([5])
    expect(part.value!.rounds).toHaveLength(5)
    set('One yarn', { stripes: undefined })
    expect('stripes' in bench.design!.wall[0]!).toBe(false)
    bench.undo()
    bench.undo()
    expect(roundsOf()).toEqual([2])
    expect(bench.undoLabel).toBeUndefined()
  })

  it('offers stitches in the maker\'s vocabulary', () => {
    expect(stitchChoices(['sc', 'dc'], 'uk')).toEqual([{ value: 'sc', name: 'dc', does: 'double crochet' }, { value: 'dc', name: 'tr', does: 'treble' }])
  })
})
