import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { BASE_FORMS } from '../../core/parts/base/forms'
import { stacked } from '../../core/bag/design/partIds'
import { newDesign } from '../../core/bag/design/starter'
import { WALL_KINDS, type WallSpec } from '../../core/parts/wall/kinds'

/** The page as it opens: nothing is known but what every bag begins as. */
async function pageAnew() {
  vi.resetModules()
  const [kinds, bases, parts, { useDocument }, { useView }] = await Promise.all([
    import('~/kinds/fetchKinds'), import('../../core/parts/base/base'), import('../../core/parts/wall/wall'), import('~/stores/document'),
    import('~/stores/view'),
  ])
  setActivePinia(createPinia())
  return { ...kinds, ...bases, ...parts, bag: useDocument(), view: useView() }
}

const rim: WallSpec = { kind: 'rim', rim: 'slip', colour: 'main' }
const withRim = { ...newDesign('Rim'), wall: stacked([rim]) }

beforeEach(() => vi.useRealTimers())

describe('kinds that are fetched', () => {
  it('come by the word that tells them apart, each from where it lies', async () => {
    for (const { kind: band } of WALL_KINDS) {
      const page = await pageAnew()
      await page.fetchPart(band)
      expect(page.isKnownPart({ kind: band }), band).toBe(true)
    }
  })

  it('are those of the bag, and nobody waits where all are known', async () => {
    const page = await pageAnew()
    expect(page.fetchKinds(newDesign('Plain'))).toBeUndefined()
    for (const { form } of BASE_FORMS) {
      await page.fetchKinds({ base: { form } as never, wall: [] })
      expect(page.formOf({ form }).form).toBe(form)
      expect(page.fetchKinds({ base: { form } as never, wall: [] })).toBeUndefined()
    }
    expect(page.isKnownPart({ kind: 'slots' })).toBe(false)
  })

  it('come with all others where nobody has said where they lie, as one does that was just added', async () => {
    const page = await pageAnew()
    await page.fetchKinds({ base: { form: 'circle' } as never, wall: [{ kind: 'not-in-the-list' } as never] })
    expect(WALL_KINDS.every(kind => page.isKnownPart(kind))).toBe(true)
  })

  it('stand in the order they are offered once all are known, whichever came first', async () => {
    const page = await pageAnew()
    await page.fetchPart('zip')
    await page.fetchEveryKind()
    expect(page.wallKinds().map(({ kind }) => kind)).toEqual(WALL_KINDS.map(({ kind }) => kind))
    expect(page.baseForms().map(({ form }) => form)).toEqual(BASE_FORMS.map(({ form }) => form))
  })
})

describe('a change that brings a kind that is not here yet', () => {
  it('is made once it is, upon what was changed meanwhile', async () => {
    const { bag, isKnownPart } = await pageAnew()
    bag.put(newDesign('Pouch'))
    expect(bag.change('A rim', [{ path: ['wall'], value: withRim.wall }])).toBeUndefined()
    expect(bag.design.wall[0]!.kind).toBe('solid')
    bag.change('Named', [{ path: ['name'], value: 'Meanwhile' }])
    await vi.waitFor(() => expect(bag.design.wall[0]!.kind).toBe('rim'))
    expect(isKnownPart(rim)).toBe(true)
    expect(bag.design.name).toBe('Meanwhile')
    expect(bag.draft.rounds.length).toBeGreaterThan(0)
    bag.undo()
    expect(bag.design).toMatchObject({ name: 'Meanwhile', wall: [{ kind: 'solid' }] })
  })

  it('is undone and done again likewise, where the page was loaded in between', async () => {
    const before = await pageAnew()
    await before.fetchKinds(withRim)
    before.bag.put(withRim)
    before.bag.change('Plain', [{ path: ['wall'], value: newDesign('x').wall }])
    const { bag } = await pageAnew()
    bag.put(before.bag.design, before.bag.history)
    bag.undo()
    await vi.waitFor(() => expect(bag.design.wall[0]!.kind).toBe('rim'))
    expect(bag.draft.parts.at(-1)!.findings.map(({ weight }) => weight)).not.toContain('stop')
  })

  it('is looked at once it is, unless something else is looked at by then', async () => {
    const { bag, view, fetchEveryKind } = await pageAnew()
    bag.put(newDesign('Pouch'))
    view.lookAt(withRim)
    view.look()
    await fetchEveryKind()
    await Promise.resolve()
    expect(view.shown.design.wall[0]!.kind).toBe('solid')
    view.lookAt(withRim)
    expect(view.shown.design.wall[0]!.kind).toBe('rim')
  })

  it('is told where it does not come, and nothing is changed', async () => {
    vi.resetModules()
    vi.doMock('~/kinds/edgings', () => {
      throw new Error('away')
    })
    const { bag } = await pageAnew()
    bag.put(newDesign('Pouch'))
    bag.change('A rim', [{ path: ['wall'], value: withRim.wall }])
    await vi.waitFor(() => expect(bag.refused).toContain('could not be fetched'))
    expect(bag.design.wall[0]!.kind).toBe('solid')
    vi.doUnmock('~/kinds/edgings')
  })
})
