import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, SEED } from '../../../tests/arbitraries/designs'
import type { Design } from './design'
import { edit, applyFix } from './edit'
import { mergedDesign } from './merge'
import { readDesign } from './read'
import { bandAbove, doubled, moved, thrownOut } from './stacking'
import { newDesign } from './starter'

const base = applyFix(newDesign('Pouch'), bandAbove(newDesign('Pouch'))).design
const change = (recipe: (design: never) => void) => edit(base, 'x', recipe as never).design
const named = change((design: { name: string }) => void (design.name = 'Mine'))
const [low, high] = base.wall.map(({ id }) => id) as [string, string]

describe('two states of a bag from one', () => {
  it('are put together where they do not touch', () => {
    const left = change((design: { hands: string }) => void (design.hands = 'left'))
    expect(mergedDesign(base, named, left)).toEqual({ ...base, name: 'Mine', hands: 'left' })
    const taller = change((design: { wall: { size: object }[] }) => void (design.wall[0]!.size = { want: { heightCm: 30 } }))
    const other = change((design: { wall: { colour: string, size: object }[] }) => void (design.wall[1]!.size = { pin: { rounds: 3 } }))
    expect(mergedDesign(base, taller, other)!.wall.map(part => 'size' in part && part.size)).toEqual([
      { want: { heightCm: 30 } }, { pin: { rounds: 3 } },
    ])
  })

  it('clash where both changed the same, or one changed what the other threw out', () => {
    const other = change((design: { name: string }) => void (design.name = 'Theirs'))
    expect(mergedDesign(base, named, other)).toBeUndefined()
    const without = applyFix(base, thrownOut(base, low)).design
    const taller = change((design: { wall: { size: object }[] }) => void (design.wall[0]!.size = { want: { heightCm: 30 } }))
    expect(mergedDesign(base, without, taller)).toBeUndefined()
    const pinned = change((design: { wall: { size: object }[] }) => void (design.wall[0]!.size = { pin: { rounds: 3 } }))
    expect(mergedDesign(base, pinned, taller)).toBeUndefined()
  })

  it('keep what each added to the wall, after what it followed there', () => {
    const mine = applyFix(base, doubled(base, low)).design
    const theirs = applyFix(base, thrownOut(base, high)).design
    expect(mergedDesign(base, mine, theirs)!.wall.map(({ id }) => id)).toEqual([low, mine.wall[1]!.id])
    const swapped = applyFix(base, moved(base, low, 1)!).design
    expect(mergedDesign(base, swapped, named)!.wall.map(({ id }) => id)).toEqual([high, low])
  })

  it('stand in the order of whoever moved a part, also where the other changed what is in it', () => {
    const moving = applyFix(base, moved(base, low, 1)!).design
    const pinned = change((design: { wall: { size: object }[] }) => void (design.wall[1]!.size = { pin: { rounds: 3 } }))
    for (const both of [mergedDesign(base, moving, pinned)!, mergedDesign(base, pinned, moving)!]) {
      expect(both.wall.map(({ id }) => id)).toEqual([high, low])
      expect(both.wall[0]).toMatchObject({ size: { pin: { rounds: 3 } } })
    }
  })

  it('that are the same as before give the other, whatever the bag; and it does not matter who is who', () => {
    const sound = anyDesign.map(design => readDesign(design)).filter(reading => reading.ok)
      .map(reading => (reading as { document: Design }).document)
    fc.assert(
      fc.property(sound, sound, (one, two) => {
        expect(mergedDesign(one, one, two)).toEqual(two)
        expect(mergedDesign(one, two, one)).toEqual(two)
        expect(mergedDesign(one, two, two)).toEqual(two)
        const [mine, theirs] = [{ ...one, note: 'mine' }, { ...one, hands: one.hands === 'left' ? 'right' : 'left' } as Design]
        expect(mergedDesign(one, mine, theirs)).toEqual({ ...one, note: 'mine', hands: theirs.hands })
        expect(mergedDesign(one, theirs, mine)).toEqual({ ...one, note: 'mine', hands: theirs.hands })
      }),
      { ...SEED, numRuns: 100 },
    )
  })
})
