import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'
import { useView } from '~/stores/view'
import type { Design } from '../../core/bag/design/design'
import { newDesign } from '../../core/bag/design/starter'

interface Put {
  revision: number
  document: Design
}

/** A server of one bag: answers as the real one does, as fast or as wrongly as a test asks. */
function serverOf(design: Design) {
  const server = { revision: 1, document: design, saves: [] as Put[], status: 200, delayMs: 0, losesAnswer: false }
  const answered = new Map<string, number>()
  const kept = () => ({ id: 'bag', revision: server.revision, document: server.document })
  vi.stubGlobal('$fetch', async () => {
    if (server.delayMs > 0) await new Promise(done => setTimeout(done, server.delayMs))
    return kept()
  })
  vi.stubGlobal('fetch', async (_: string, options?: { method: string, body: string, headers: { 'Save-Id': string } }) => {
    if (server.delayMs > 0) await new Promise(done => setTimeout(done, server.delayMs))
    if (!options) return Response.json(kept())
    const [save, body] = [options.headers['Save-Id'], JSON.parse(options.body) as Put]
    if (server.status === 0) throw new Error('no answer')
    if (server.status !== 200) return Response.json({ message: 'refused' }, { status: server.status })
    const before = answered.get(save)
    if (before !== undefined) return Response.json({ revision: before })
    if (body.revision !== server.revision) return Response.json({ message: 'changed elsewhere' }, { status: 409 })
    server.saves.push(body)
    server.document = body.document
    answered.set(save, ++server.revision)
    if (server.losesAnswer) throw new Error('lost on the way')
    return Response.json({ revision: server.revision })
  })
  return server
}

const widen = (diameterCm: number) => (design: { base: unknown }) => {
  design.base = { ...newDesign('x').base, size: { want: { diameterCm } } }
}

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function opened(design = newDesign('Pouch')) {
  const server = serverOf(design)
  const [bag, saving, view] = [useDocument(), useSaving(), useView()]
  await saving.open('bag')
  return { server, bag, saving, view }
}

describe('the bag in hand', () => {
  it('is another one once another is opened, with nothing to undo and the whole of it in hand', async () => {
    const { bag, saving, view } = await opened()
    bag.edit('a', widen(14))
    view.selected = 'base'
    view.pulled = 0.5
    await saving.flush()
    const other = serverOf(newDesign('Another'))
    await saving.open('other')
    expect(bag.design).toEqual(other.document)
    expect([bag.undoLabel, view.selected, view.pulled, saving.state]).toEqual([undefined, 'bag', 0, 'saved'])
    expect(other.saves).toHaveLength(0)
  })

  it('is not there if the server has none of that name, and nothing is saved then', async () => {
    const { server, bag, saving } = await opened()
    vi.stubGlobal('$fetch', () => Promise.reject(Object.assign(new Error('none'), { statusCode: 404, data: { message: 'No such bag.' } })))
    await saving.open('none')
    expect(bag.isOpen).toBe(false)
    expect(saving.trouble).toEqual(['No such bag.'])
    bag.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.saves).toHaveLength(0)
    expect(bag.undoLabel).toBeUndefined()
  })

  it('redrafts at once, and saves when typing rests', async () => {
    const { server, bag, saving } = await opened()
    const before = bag.draft.sizes.rounds
    for (const cm of [1, 15, 16]) bag.edit('Diameter', widen(cm), 'size')
    expect(bag.draft.sizes.rounds).not.toBe(before)
    expect(saving.state).toBe('waiting')
    expect(server.saves).toHaveLength(0)
    await vi.advanceTimersByTimeAsync(400)
    expect(server.saves).toHaveLength(1)
    expect(saving.state).toBe('saved')
  })

  it('undoes keystrokes of one field together, and saves that too', async () => {
    const { server, bag } = await opened()
    const start = bag.design
    for (const cm of [1, 15, 16]) bag.edit('Diameter', widen(cm), 'size')
    expect(bag.undoLabel).toBe('Diameter')
    bag.undo()
    expect(bag.design).toEqual(start)
    expect(bag.undoLabel).toBeUndefined()
    expect(bag.redoLabel).toBe('Diameter')
    bag.redo()
    bag.undo()
    await vi.advanceTimersByTimeAsync(400)
    expect(server.document).toEqual(start)
  })

  it('sends one save at a time, and what changed meanwhile after it', async () => {
    const { server, bag, saving } = await opened()
    server.delayMs = 1000
    bag.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(400)
    bag.edit('b', widen(18))
    await vi.advanceTimersByTimeAsync(5000)
    expect(server.saves.map(({ revision }) => revision)).toEqual([1, 2])
    expect(server.document.base).toMatchObject({ size: { want: { diameterCm: 18 } } })
    expect(saving.state).toBe('saved')
  })

  it('keeps an edit that could not be saved, and tries again', async () => {
    const { server, bag, saving } = await opened()
    server.status = 0
    bag.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(400)
    expect(saving.state).toBe('failed')
    expect(saving.trouble[0]).toContain('does not answer')
    server.status = 200
    await vi.advanceTimersByTimeAsync(3500)
    expect(saving.state).toBe('saved')
    expect(saving.trouble).toEqual([])
    expect(server.saves).toHaveLength(1)
  })

  it('sends a save again whose answer was lost, and what was typed meanwhile after it', async () => {
    const { server, bag, saving } = await opened()
    server.losesAnswer = true
    bag.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(400)
    expect(saving.state).toBe('failed')
    server.losesAnswer = false
    bag.edit('b', widen(18))
    await vi.advanceTimersByTimeAsync(3500)
    expect(saving.state).toBe('saved')
    expect([server.revision, server.saves.length]).toEqual([3, 2])
  })

  it('puts together what was changed here and elsewhere, where it does not touch', async () => {
    const { server, bag, saving } = await opened()
    server.revision = 7
    server.document = { ...server.document, name: 'Named elsewhere' }
    bag.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(1000)
    expect(saving.state).toBe('saved')
    expect(server.document).toMatchObject({ name: 'Named elsewhere', base: { size: { want: { diameterCm: 14 } } } })
    expect(bag.design).toEqual(server.document)
    // What was done here can still be undone: nothing moved that it stands on.
    bag.undo()
    expect(bag.design).toMatchObject({ name: 'Named elsewhere', base: { size: { want: { diameterCm: 12 } } } })
  })

  it('takes no edit that could not be kept, says why, and saves what comes later', async () => {
    const { server, bag, saving } = await opened()
    const why = bag.change('Over', [{ path: ['gauge', 'measured', 'sc', 'overCm'], value: 0.5 }])
    expect(why).toBeTruthy()
    expect(bag.change('Over', [{ path: ['gauge', 'measured', 'sc', 'overCm'], value: 1 }])).toContain('count again')
    expect(bag.undoLabel).toBeUndefined()
    expect(bag.change('Name', [{ path: ['name'], value: 'Renamed' }])).toBeUndefined()
    await vi.advanceTimersByTimeAsync(400)
    expect([saving.state, server.document.name]).toEqual(['saved', 'Renamed'])
  })

  it('stops saving once it is overtaken, and loses nothing', async () => {
    const { server, bag, saving } = await opened()
    server.revision = 7
    server.document = { ...server.document, base: { ...newDesign('x').base, size: { want: { diameterCm: 40 } } } }
    bag.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(400)
    expect(saving.state).toBe('overtaken')
    bag.edit('b', widen(18))
    await vi.advanceTimersByTimeAsync(5000)
    expect(server.saves).toHaveLength(0)
    expect(bag.design.base).toMatchObject({ size: { want: { diameterCm: 18 } } })
  })

  it('makes no edit of nothing', async () => {
    const { server, bag } = await opened()
    bag.edit('nothing', () => undefined)
    await vi.advanceTimersByTimeAsync(1000)
    expect(bag.undoLabel).toBeUndefined()
    expect(server.saves).toHaveLength(0)
  })

  it('applies a finding\'s fix as one edit', async () => {
    const { bag } = await opened({ ...newDesign('Ruffled'), base: { ...newDesign('x').base, increases: 9 } })
    const { fix } = bag.draft.findings.find(({ code }) => code === 'base-ruffle')!
    bag.applyFix(fix!)
    expect(bag.draft.findings.map(({ code }) => code)).toContain('base-flat')
    bag.undo()
    expect(bag.draft.findings.map(({ code }) => code)).toContain('base-ruffle')
  })
})

describe('looking before taking', () => {
  const fix = { label: 'Turn-up', changes: [{ path: ['turnUp'], value: 'plain' }] }

  it('shows what a fix would do, saves nothing, and shows the bag again when it is let go', async () => {
    const { server, bag, view } = await opened()
    view.look(fix)
    expect(view.shown.design.turnUp).toBe('plain')
    expect(bag.design.turnUp).toBe('back-and-third-loop')
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.saves).toHaveLength(0)
    view.look()
    expect(view.shown).toBe(bag.draft)
  })

  it('is over once something is taken', async () => {
    const { bag, view } = await opened()
    view.look(fix)
    bag.applyFix(fix)
    expect(view.shown).toBe(bag.draft)
    expect(bag.undoLabel).toBe('Turn-up')
  })

  it('takes over from the draft before what an edit leaves as it was', async () => {
    const { bag } = await opened()
    const [base] = bag.draft.parts
    bag.edit('Taller', design => void Object.assign(design.wall[0]!, { size: { pin: { rounds: 4 } } }))
    expect(bag.draft.parts[0]).toBe(base)
    expect(bag.draft.parts.at(-1)!.rounds).toHaveLength(4)
  })
})
