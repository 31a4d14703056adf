import { createPinia, setActivePinia } from 'pinia'
import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useDocument } from '~/stores/document'
import { newDesign } from '../../core/bag/design/starter'

/** What drafting does when the program makes a mistake: a bag of a certain name breaks it. */
vi.mock('../../core/bag/draft/draft', async (original) => {
  const real: { draft: (design: { name: string }, options?: object) => unknown } = await original()
  return {
    ...real,
    draft: (design: { name: string }, options?: object) => {
      if (design.name === 'Breaks') throw new TypeError('a mistake')
      return real.draft(design, options)
    },
  }
})

beforeEach(() => {
  setActivePinia(createPinia())
  vi.spyOn(console, 'error').mockImplementation(() => {})
})

describe('a draft that throws', () => {
  it('is told, leaves the bag drawn as it was, and is over once the bag is another', async () => {
    const bag = useDocument()
    bag.put(newDesign('Sound'))
    const before = bag.draft
    bag.change('Name and hand', [{ path: ['name'], value: 'Breaks' }, { path: ['hands'], value: 'left' }])
    expect(bag.draft).toBe(before)
    await nextTick()
    expect(bag.mistaken).toBe(true)
    bag.undo()
    expect(bag.draft.design.name).toBe('Sound')
    await nextTick()
    expect(bag.mistaken).toBe(false)
  })

  it('does not keep a bag from being opened', async () => {
    const bag = useDocument()
    bag.put(newDesign('Breaks'))
    expect(bag.draft.design.name).toBe('No bag')
    await nextTick()
    expect(bag.mistaken).toBe(true)
  })
})
