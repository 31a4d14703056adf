import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useAnswers } from '~/composables/useAnswers'
import { useStack } from '~/composables/useStack'
import { useDocument } from '~/stores/document'
import { useView } from '~/stores/view'
import { MOST_BANDS } from '../../core/bag/design/documentFields'
import { stacked } from '../../core/bag/design/partIds'
import { newDesign } from '../../core/bag/design/starter'
import type { WallSpec } from '../../core/parts/wall/wall'

const plain = (rounds: number): WallSpec => ({ kind: 'solid', stitch: 'sc', size: { pin: { rounds } }, colour: 'main' })

function opened(...wall: readonly WallSpec[]) {
  const bag = useDocument()
  bag.put({ ...newDesign('Pouch'), wall: stacked(wall) })
  const roundsOf = () =>
    bag.design.wall.map(spec => ('size' in spec && 'pin' in spec.size ? (spec.size.pin as { rounds: number }).rounds : 0))
  const idAt = (place: number) => bag.design.wall[place]!.id
  return { bag, view: useView(), wall: useStack(), roundsOf, idAt }
}

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
})

describe('the stack of a wall', () => {
  it('adds above the part in hand, and takes it in hand', () => {
    const { view, wall, roundsOf, idAt } = opened(plain(1), plain(2))
    wall.addAbove(idAt(0))
    expect(roundsOf()).toEqual([1, 0, 2])
    expect(view.selected).toBe(idAt(1))
    wall.addAbove()
    expect(view.selected).toBe(idAt(3))
  })

  it('doubles, moves and throws out, each undone in one step', () => {
    const { bag, view, wall, roundsOf, idAt } = opened(plain(1), plain(2), plain(3))
    wall.duplicate(idAt(1))
    expect(roundsOf()).toEqual([1, 2, 2, 3])
    wall.move(idAt(3), -3)
    expect(roundsOf()).toEqual([3, 1, 2, 2])
    // The double is in hand, and stays so while another is moved.
    expect(view.selected).toBe(idAt(3))
    wall.move(idAt(0), 9)
    wall.move(idAt(0), -1)
    expect(roundsOf()).toEqual([3, 1, 2, 2])
    wall.remove(idAt(0))
    expect(roundsOf()).toEqual([1, 2, 2])
    for (let i = 0; i < 3; i++) bag.undo()
    expect(roundsOf()).toEqual([1, 2, 3])
  })

  it('keeps each part\'s id wherever it is moved, so that what is in hand stays in hand', () => {
    const { bag, view, wall, idAt } = opened(plain(1), plain(2), plain(3))
    const [low, , high] = [idAt(0), idAt(1), idAt(2)]
    view.selected = high!
    wall.move(low!, 2)
    expect(bag.design.wall.find(({ id }) => id === high)).toMatchObject({ size: { pin: { rounds: 3 } } })
    expect(bag.draft.parts.map(({ id }) => id)).toEqual(['base', 'turnUp', 'part-2', 'part-3', 'part-1'])
  })

  it('puts handles on top, sized to the rim below, and lets every other kind take their place', async () => {
    const { bag, view, wall, idAt } = opened(plain(12))
    await wall.addHandles()
    expect(view.selected).toBe(idAt(1))
    expect(bag.design.wall[1]).toMatchObject({ kind: 'slots', number: 2, nudge: 0 })
    expect(bag.draft.findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    for (const band of ['chain-straps', 'grown-strap', 'knot-straps', 'sewn-straps', 'under-strap', 'cross-body', 'bought-handles']) {
      await wall.turnInto(idAt(1), band)
      expect(
        bag.draft.findings.filter(({ weight }) => weight === 'stop'),
        band,
      ).toEqual([])
      expect(bag.draft.parts.at(-1)!.handles.length, band).toBeGreaterThan(0)
    }
    for (let i = 0; i < 8; i++) bag.undo()
    expect(bag.design.wall).toEqual(stacked([plain(12)]))
  })

  it('has the bag in hand once its last part is thrown out', () => {
    const { view, wall, idAt } = opened(plain(1))
    wall.remove(idAt(0))
    expect(view.selected).toBe('bag')
  })

  it('is full at so many parts', () => {
    const { wall } = opened(...Array.from({ length: MOST_BANDS }, () => plain(1)))
    expect(wall.full.value).toBe(true)
  })

  it('brings a first repeat along when a part is to be of the maker\'s own', async () => {
    const { bag, wall, idAt } = opened(plain(3))
    await wall.turnInto(idAt(0), 'own')
    expect(bag.design.wall[0]).toMatchObject({ kind: 'own', repeat: 'own-1', size: { pin: { rounds: 3 } } })
    expect(bag.design.repeats).toHaveLength(1)
    bag.undo()
    expect(bag.design.repeats).toHaveLength(0)
  })

  it('makes a taper that draws in from what lies below it', async () => {
    const { bag, wall, idAt } = opened(plain(3), plain(4))
    const around = bag.draft.parts.find(({ id }) => id === idAt(0))!.size.circumference.cm
    await wall.turnInto(idAt(1), 'taper')
    expect(bag.design.wall[1]).toMatchObject({ size: { want: { aroundCm: Math.round(around * 8.5) / 10 } } })
  })
})

describe('a part that is asked', () => {
  it('is changed answer by answer; one set to nothing is left out; keystrokes of one field are one edit, named by it', () => {
    const { bag, roundsOf, idAt } = opened({ ...plain(2), stripes: [{ colour: 'main', rounds: 2 }] } as WallSpec)
    const asking = useAnswers(
      () => ['wall', idAt(0)],
      () => bag.design.wall[0]!,
      () => bag.draft.parts.at(-1),
    )
    for (const rounds of [3, 34, 5]) asking.value.answer('Rounds of {sc}', [{ path: ['size'], value: { pin: { rounds } } }], 'size')
    expect(roundsOf()).toEqual([5])
    expect(bag.undoLabel).toBe('Rounds of sc')
    expect(asking.value.now.part!.rounds).toHaveLength(5)
    asking.value.answer('One yarn', [{ path: ['stripes'], value: undefined }])
    expect('stripes' in bag.design.wall[0]!).toBe(false)
    bag.undo()
    bag.undo()
    expect(roundsOf()).toEqual([2])
    expect(bag.undoLabel).toBeUndefined()
  })
})
