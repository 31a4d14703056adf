import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useBench } from '~/stores/bench'
import type { Design } from '../../core/design/design'
import { newDesign } from '../../core/design/starter'

interface Put { revision: number, document: Design }

/** A server of one bag: answers as the real one does, as fast or as wrongly as a test asks. */
function serverOf(design: Design) {
  const server = { revision: 1, document: design, saves: [] as Put[], status: 200, delayMs: 0 }
  vi.stubGlobal('$fetch', async (_: string, options?: { method?: string, body?: Put }) => {
    if (server.delayMs > 0) await new Promise(done => setTimeout(done, server.delayMs))
    if (options?.method !== 'PUT') return { id: 'bag', revision: server.revision, document: server.document }
    const body = options.body!
    if (server.status === 0) throw new Error('no answer')
    if (server.status !== 200) throw Object.assign(new Error('refused'), { statusCode: server.status, data: { message: 'refused' } })
    if (body.revision !== server.revision) throw Object.assign(new Error('overtaken'), { statusCode: 409, data: { message: 'changed elsewhere' } })
    server.saves.push(body)
    server.document = body.document
    return { revision: ++server.revision }
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
  const bench = useBench()
  await bench.open('bag')
  return { server, bench }
}

describe('the bench', () => {
  it('redrafts at once, and saves when typing rests', async () => {
    const { server, bench } = await opened()
    const before = bench.draft!.sizes.rounds
    for (const cm of [1, 15, 16]) bench.edit('Diameter', widen(cm), 'size')
    expect(bench.draft!.sizes.rounds).not.toBe(before)
    expect(bench.saving).toBe('waiting')
    expect(server.saves).toHaveLength(0)
    await vi.advanceTimersByTimeAsync(400)
    expect(server.saves).toHaveLength(1)
    expect(bench.saving).toBe('saved')
  })

  it('undoes keystrokes of one field together, and saves that too', async () => {
    const { server, bench } = await opened()
    const start = bench.design
    for (const cm of [1, 15, 16]) bench.edit('Diameter', widen(cm), 'size')
    expect(bench.undoLabel).toBe('Diameter')
    bench.undo()
    expect(bench.design).toEqual(start)
    expect(bench.undoLabel).toBeUndefined()
    expect(bench.redoLabel).toBe('Diameter')
    bench.redo()
    bench.undo()
    await vi.advanceTimersByTimeAsync(400)
    expect(server.document).toEqual(start)
  })

  it('sends one save at a time, and what changed meanwhile after it', async () => {
    const { server, bench } = await opened()
    server.delayMs = 1000
    bench.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(400)
    bench.edit('b', widen(18))
    await vi.advanceTimersByTimeAsync(5000)
    expect(server.saves.map(({ revision }) => revision)).toEqual([1, 2])
    expect(server.document.base).toMatchObject({ size: { want: { diameterCm: 18 } } })
    expect(bench.saving).toBe('saved')
  })

  it('keeps an edit that could not be saved, and tries again', async () => {
    const { server, bench } = await opened()
    server.status = 0
    bench.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(400)
    expect(bench.saving).toBe('failed')
    expect(bench.trouble[0]).toContain('does not answer')
    server.status = 200
    await vi.advanceTimersByTimeAsync(3500)
    expect(bench.saving).toBe('saved')
    expect(bench.trouble).toEqual([])
    expect(server.saves).toHaveLength(1)
  })

  it('stops saving once it is overtaken, and loses nothing', async () => {
    const { server, bench } = await opened()
    server.revision = 7
    bench.edit('a', widen(14))
    await vi.advanceTimersByTimeAsync(400)
    expect(bench.saving).toBe('overtaken')
    bench.edit('b', widen(18))
    await vi.advanceTimersByTimeAsync(5000)
    expect(server.saves).toHaveLength(0)
    expect(bench.design!.base).toMatchObject({ size: { want: { diameterCm: 18 } } })
  })

  it('makes no edit of nothing', async () => {
    const { server, bench } = await opened()
    bench.edit('nothing', () => undefined)
    await vi.advanceTimersByTimeAsync(1000)
    expect(bench.undoLabel).toBeUndefined()
    expect(server.saves).toHaveLength(0)
  })

  it('applies a finding\'s fix as one edit', async () => {
    const { bench } = await opened({ ...newDesign('Ruffled'), base: { ...newDesign('x').base, increases: 9 } })
    const { fix } = bench.draft!.findings.find(({ code }) => code === 'base-ruffle')!
    bench.applyFix(fix!)
    expect(bench.draft!.findings.map(({ code }) => code)).toContain('base-flat')
    bench.undo()
    expect(bench.draft!.findings.map(({ code }) => code)).toContain('base-ruffle')
  })
})

describe('looking before taking', () => {
  const fix = { label: 'Turn-up', changes: [{ path: ['turnUp'], value: 'plain' }] }

  it('shows what a fix would do, saves nothing, and shows the bag again when it is let go', async () => {
    const { server, bench } = await opened()
    bench.look(fix)
    expect(bench.shown!.design.turnUp).toBe('plain')
    expect(bench.design!.turnUp).toBe('back-and-third-loop')
    await vi.advanceTimersByTimeAsync(1000)
    expect(server.saves).toHaveLength(0)
    bench.look()
    expect(bench.shown).toBe(bench.draft)
  })

  it('is over once something is taken', async () => {
    const { bench } = await opened()
    bench.look(fix)
    bench.applyFix(fix)
    expect(bench.shown).toBe(bench.draft)
    expect(bench.undoLabel).toBe('Turn-up')
  })

  it('takes over from the draft before what an edit leaves as it was', async () => {
    const { bench } = await opened()
    const [base] = bench.draft!.parts
    bench.edit('Taller', design => void Object.assign(design.wall[0]!, { size: { pin: { rounds: 4 } } }))
    expect(bench.draft!.parts[0]).toBe(base)
    expect(bench.draft!.parts.at(-1)!.rounds).toHaveLength(4)
  })
})
