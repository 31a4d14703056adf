import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useDocument } from '~/stores/document'
import { useSaving } from '~/stores/saving'
import { newDesign } from '../../core/bag/design/starter'

/*
 * The bag in hand and its server: what is sent when, what is said meanwhile, and what stands afterwards, for every order of answers.
 */

const FRESH = newDesign('Fresh')
interface Save { readonly revision: number, readonly document: typeof FRESH }
type Reply = { readonly status: number, readonly body?: object } | 'no answer'
let saves: (Save & { readonly id: string })[]
/** Answers to saves and to questions; a save that none is left for is kept. */
let replies: Reply[]
let questions: Reply[]
let kept: { revision: number, document: typeof FRESH }

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  saves = []
  replies = []
  questions = []
  kept = { revision: 1, document: FRESH }
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} })
  vi.stubGlobal('BroadcastChannel', undefined)
  vi.stubGlobal('$fetch', () => Promise.resolve({ ...kept, document: structuredClone(kept.document) }))
  vi.stubGlobal('fetch', async (_: string, init?: { body: string, headers: Record<string, string> }) => {
    await new Promise(resolve => setTimeout(resolve, 10))
    const reply = init
      ? replies.shift() ?? { status: 200, body: { revision: (JSON.parse(init.body) as Save).revision + 1 } }
      : questions.shift() ?? { status: 200, body: kept }
    if (init) saves.push({ ...JSON.parse(init.body) as Save, id: init.headers['Save-Id']! })
    if (reply === 'no answer') throw new TypeError('Failed to fetch')
    return new Response(JSON.stringify(reply.body ?? {}), { status: reply.status })
  })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function opened() {
  const [bag, saving] = [useDocument(), useSaving()]
  const opening = saving.open('one')
  await vi.advanceTimersByTimeAsync(50)
  await opening
  return { bag, saving, rename: (name: string) => bag.change('Name', [{ path: ['name'], value: name }]) }
}
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)

describe('an edit', () => {
  it('is sent once typing rests, with the revision that it was made from', async () => {
    const { saving, rename } = await opened()
    for (const name of ['A', 'Ap', 'Apple']) {
      rename(name)
      await pass(300)
    }
    expect(saves).toEqual([])
    expect(saving.state).toBe('waiting')
    await pass(100)
    expect(saves.map(({ revision, document }) => [revision, document.name])).toEqual([[1, 'Apple']])
    expect(saving.state).toBe('saved')
  })

  it('made while another is on its way follows it', async () => {
    const { saving, rename } = await opened()
    rename('One')
    await pass(355)
    expect(saving.state).toBe('sending')
    rename('Two')
    await pass(1_000)
    expect(saves.map(({ revision, document }) => [revision, document.name])).toEqual([[1, 'One'], [2, 'Two']])
    expect(saving.state).toBe('saved')
  })

  it('that is taken back while an earlier one is not answered is sent after that one', async () => {
    const { bag, saving, rename } = await opened()
    replies = ['no answer']
    rename('One')
    await pass(365)
    bag.undo()
    expect(saving.state).toBe('waiting')
    await pass(400)
    expect(saves.map(({ document }) => document.name)).toEqual(['One', 'One', 'Fresh'])
    expect(saving.state).toBe('saved')
  })

  it('that is undone before it is sent is not sent', async () => {
    const { bag, saving, rename } = await opened()
    rename('One')
    bag.undo()
    expect(saving.state).toBe('saved')
    await pass(1_000)
    expect(saves).toEqual([])
  })
})

describe('a server that does not answer', () => {
  it('is tried again by the same id, after a while that doubles up to half a minute and begins anew after an answer', async () => {
    const { saving, rename } = await opened()
    replies = Array.from({ length: 7 }, () => 'no answer' as const)
    rename('One')
    await pass(365)
    for (const [i, waitMs] of [2_000, 4_000, 8_000, 16_000, 30_000, 30_000].entries()) {
      expect(saves.length).toBe(1 + i)
      expect(saving.state).toBe('failed')
      expect(saving.trouble.join(' ')).toContain('does not answer')
      await pass(waitMs - 1)
      expect(saves.length).toBe(1 + i)
      await pass(12)
    }
    expect(new Set(saves.map(({ id }) => id)).size).toBe(1)
    await pass(30_020)
    expect(saving.state).toBe('saved')
    expect(saving.trouble).toEqual([])
    replies = ['no answer']
    rename('Two')
    await pass(365)
    const before = saves.length
    await pass(2_020)
    expect(saves.length).toBe(before + 1)
    expect(saves.at(-1)!.id).not.toBe(saves[0]!.id)
  })

  it('gets what was not answered first, as it was, and then what came since', async () => {
    const { rename } = await opened()
    replies = ['no answer']
    rename('One')
    await pass(365)
    rename('Two')
    await pass(400)
    expect(saves.map(({ revision, document }) => [revision, document.name])).toEqual([[1, 'One'], [1, 'One'], [2, 'Two']])
    expect(saves[1]!.id).toBe(saves[0]!.id)
    expect(saves[2]!.id).not.toBe(saves[0]!.id)
  })
})

describe('a bag that was saved elsewhere', () => {
  const overtake = (over: object) => {
    replies = [{ status: 409 }]
    kept = { revision: 5, document: { ...FRESH, ...over } }
  }

  it('is put together with what was changed here, and sent on', async () => {
    const { bag, saving, rename } = await opened()
    overtake({ note: 'Theirs' })
    rename('Mine')
    await pass(1_000)
    expect(saves.map(({ revision }) => revision)).toEqual([1, 5])
    expect(bag.design).toMatchObject({ name: 'Mine', note: 'Theirs' })
    expect(saving.state).toBe('saved')
  })

  it('where it was changed here too is told, and nothing more is sent', async () => {
    const { bag, saving, rename } = await opened()
    overtake({ name: 'Theirs' })
    rename('Mine')
    await pass(1_000)
    expect(saving.state).toBe('overtaken')
    expect(saving.trouble[0]).toContain('changed elsewhere')
    rename('Mine still')
    await pass(60_000)
    expect(saves.length).toBe(1)
    expect(bag.design.name).toBe('Mine still')
    await saving.openAnew()
    expect(bag.design.name).toBe('Theirs')
    expect(saving.state).toBe('saved')
  })

  it('and cannot be fetched is tried again', async () => {
    const { bag, saving, rename } = await opened()
    overtake({ note: 'Theirs' })
    questions = ['no answer']
    rename('Mine')
    await pass(1_000)
    expect(saving.state).toBe('failed')
    await pass(3_000)
    expect(saving.state).toBe('saved')
    expect(bag.design.name).toBe('Mine')
  })

  it('is taken as it is where nothing was changed here', async () => {
    const { bag, saving } = await opened()
    kept = { revision: 5, document: { ...FRESH, name: 'Theirs' } }
    const looking = saving.look()
    await pass(50)
    await looking
    expect(bag.design.name).toBe('Theirs')
    expect(saves).toEqual([])
  })

  it('and deleted there says so', async () => {
    const { saving, rename } = await opened()
    replies = [{ status: 404 }]
    rename('Mine')
    await pass(1_000)
    expect(saving.state).toBe('overtaken')
    expect(saving.trouble[0]).toContain('deleted elsewhere')
  })
})

it('what is refused says why, and is sent again once it is changed', async () => {
  const { saving, rename } = await opened()
  replies = [{ status: 422, body: { message: 'Too long.' } }]
  rename('One')
  await pass(1_000)
  expect([saving.state, saving.trouble]).toEqual(['refused', ['Too long.']])
  await pass(60_000)
  expect(saves.length).toBe(1)
  rename('Two')
  await pass(1_000)
  expect(saves.map(({ revision, document }) => [revision, document.name])).toEqual([[1, 'One'], [1, 'Two']])
  expect(saving.state).toBe('saved')
})
