import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { MakeEvent } from '~~/core/making/make/event'
import type { Listener } from '~/stores/post'
import { useMake } from '~/stores/make'
import { newDesign } from '../../core/bag/design/starter'

/** The post as the store meets it: what is written, and who listens. */
const post = vi.hoisted(() => ({ written: [] as MakeEvent[], listener: undefined as Listener | undefined, known: [] as MakeEvent[] }))
vi.mock('~/stores/post', () => ({
  usePost: () => ({
    write: (_: string, event: MakeEvent) => post.written.push(event), now: () => Promise.resolve(),
    listen: (_: string, listener: Listener) => {
      post.listener = listener
      return () => (post.listener = undefined)
    },
  }),
}))
vi.mock('~/keeping/makeJournal', () => ({
  keepMake: () => Promise.resolve(), keptMake: () => Promise.resolve(undefined), keptEvents: () => Promise.resolve(post.known),
}))

beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {}, removeItem: () => {} })
  Object.assign(post, { written: [], listener: undefined, known: [] })
})

async function atTheHook() {
  const make = useMake()
  await make.takeUp(newDesign('Bag'), 'bag-1')
  return make
}

/** Taps until a leg is done. */
function tapALeg(make: ReturnType<typeof useMake>): void {
  make.tap()
  for (let i = 0; i < 200 && !make.justDone; i++) make.tap()
  expect(make.justDone).toBeDefined()
}

describe('the make in hand', () => {
  it('writes down what is tapped, one event a tap, in order', async () => {
    const make = await atTheHook()
    for (let i = 0; i < 3; i++) make.tap()
    expect(post.written.map(event => event.do)).toEqual(['started', 'moved', 'moved', 'moved'])
    expect(new Set(post.written.map(({ id }) => id)).size).toBe(4)
    expect(post.written.map(({ turn }) => turn)).toEqual([...post.written.map(({ turn }) => turn)].sort((a, b) => a - b))
  })

  it('asks about the leg that was done until something new comes; what is here already is nothing new', async () => {
    const make = await atTheHook()
    tapALeg(make)
    const done = make.justDone
    post.listener!.events(post.written)
    expect(make.justDone).toBe(done)
    const news = { ...post.written.at(-1)!, do: 'paused', id: 'elsewhere.1', turn: 10_000 } as MakeEvent
    post.listener!.events([news])
    expect(make.justDone).toBeUndefined()
    expect(make.state!.paused).toBe(true)
  })

  it('asks no longer once it was counted, taken back or ripped', async () => {
    const make = await atTheHook()
    for (const act of [
      () => make.counted({ round: 1, planned: 6, found: 6, choice: 'as-planned' }), () => make.back(), () => make.ripTo(0),
    ]) {
      tapALeg(make)
      act()
      expect(make.justDone).toBeUndefined()
    }
  })

  it('is let go of when it was deleted elsewhere', async () => {
    const make = await atTheHook()
    post.listener!.gone()
    expect(make.trouble).toBe('gone')
    expect(make.hand).toBeUndefined()
  })

  it('is found again from what this device kept, where it was left; where the hook is must be said then', async () => {
    const make = await atTheHook()
    for (let i = 0; i < 5; i++) make.tap()
    const left = make.state!.spot
    post.known = [...post.written]
    const id = make.id!
    make.close()
    expect(post.listener).toBeUndefined()
    await make.open(id)
    expect(make.state!.spot).toEqual(left)
    expect(make.resumed).toBe(true)
    make.tap()
    expect(make.resumed).toBe(false)
  })

  it('of which nobody knows anything is not here', async () => {
    const make = useMake()
    await make.open('nobody-knows')
    expect(make.trouble).toBe('not-here')
  })
})
