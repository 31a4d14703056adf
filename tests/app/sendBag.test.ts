import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { StoredBag } from '~/keeping/bagStorage'
import { sendLeft, sendSave } from '~/keeping/send/sendBag'
import { newDesign } from '../../core/bag/design/starter'

/*
 * A bag left unsaved on the device is sent with every answer that the server can give. A scripted server stands for the real one.
 */

type Reply = { readonly status: number, readonly body?: object } | 'no answer'

/** The requests, in order: the method and, of a save, its body and id. */
interface SentRequest {
  readonly method: string
  readonly save?: string | undefined
  readonly body?: { readonly revision: number, readonly document: { readonly name: string } }
}
const asked: SentRequest[] = []

function script(...replies: Reply[]): void {
  vi.stubGlobal('fetch', (_: string, init?: { method?: string, body?: string, headers?: Record<string, string> }) => {
    asked.push({
      method: init?.method ?? 'GET', save: init?.headers?.['Save-Id'], ...(init?.body ? { body: JSON.parse(init.body) as never } : {}),
    })
    const reply = replies.shift()
    if (!reply) throw new Error('asked more often than the script says')
    if (reply === 'no answer') return Promise.reject(new TypeError('Failed to fetch'))
    return Promise.resolve(new Response(JSON.stringify(reply.body ?? {}), { status: reply.status }))
  })
}

const base = newDesign('Base')
const kept = (revision: number): Reply => ({ status: 200, body: { revision } })
const theirs = (revision: number, document: object): Reply => ({ status: 200, body: { revision, document } })
const save = (design: typeof base) => ({ save: 'some-id', design })
const CONFLICT: Reply = { status: 409 }
const left = (over: Partial<StoredBag> = {}): StoredBag => ({
  id: 'one', revision: 4, base, design: { ...base, name: 'Mine' }, unsaved: true, history: { past: [], future: [] }, at: 1, ...over,
})

beforeEach(() => void (asked.length = 0))

describe('a save that is sent', () => {
  it.each([
    [{ status: 200, body: { revision: 5 } }, { is: 'kept', body: { revision: 5 } }],
    [{ status: 409 }, { is: 'overtaken' }],
    [{ status: 404 }, { is: 'unknown' }], [{ status: 410 }, { is: 'gone' }],
    [{ status: 422, body: { message: 'No.' } }, { is: 'refused', words: ['No.'] }],
    [{ status: 422, body: { data: { problems: [{ field: 'name', message: 'too long' }] } } }, { is: 'refused', words: ['name: too long'] }],
    [{ status: 413, body: { message: 'Too large.' } }, { is: 'refused', words: ['Too large.'] }],
    [{ status: 503, body: { message: 'Held.' } }, { is: 'away', words: ['Held.'] }],
    [{ status: 500 }, { is: 'away', words: ['The program answered with 500.'] }],
    ['no answer', { is: 'away', words: [expect.stringContaining('does not answer')] }],
  ] as const)('comes to what was answered: %j', async (reply, answer) => {
    script(reply)
    expect(await sendSave('one', 4, save(base))).toEqual(answer)
  })
})

describe('a bag left unsaved', () => {
  it('is kept: what was sent is its base now, and nothing of it is unsaved', async () => {
    script(kept(5))
    const bag = await sendLeft(left())
    expect(bag).toMatchObject({ revision: 5, unsaved: false, base: { name: 'Mine' } })
    expect(bag.sent).toBeUndefined()
    expect(asked[0]!.body).toMatchObject({ revision: 4, document: { name: 'Mine' } })
  })

  it('is sent again by the id and the state of the save that was not answered, and then as it is now', async () => {
    script(kept(5), kept(6))
    const sent = { save: 'a'.repeat(20), design: { ...base, name: 'Sent' } }
    const bag = await sendLeft(left({ sent }))
    expect(asked.map(({ body }) => body!.document.name)).toEqual(['Sent', 'Mine'])
    expect(asked[0]!.save).toBe(sent.save)
    expect(asked[1]!.save).not.toBe(sent.save)
    expect(asked[1]!.body!.revision).toBe(5)
    expect(bag).toMatchObject({ revision: 6, unsaved: false, base: { name: 'Mine' } })
  })

  it('that was overtaken where it was not changed is put together, and what came of that is sent', async () => {
    script(CONFLICT, theirs(7, { ...base, note: 'Theirs' }), kept(8))
    const bag = await sendLeft(left())
    expect(asked.map(({ method }) => method)).toEqual(['PUT', 'GET', 'PUT'])
    expect(asked[2]!.body).toMatchObject({ revision: 7, document: { name: 'Mine', note: 'Theirs' } })
    expect(bag).toMatchObject({ revision: 8, unsaved: false, design: { name: 'Mine', note: 'Theirs' } })
    expect(bag.why).toBeUndefined()
  })

  it('that was overtaken by the same state has nothing to send', async () => {
    script(CONFLICT, theirs(7, { ...base, name: 'Mine' }))
    expect(await sendLeft(left())).toMatchObject({ revision: 7, unsaved: false, base: { name: 'Mine' } })
  })

  it('that was overtaken where both changed the same is left as it is, and says so', async () => {
    script(CONFLICT, theirs(7, { ...base, name: 'Theirs' }))
    const bag = await sendLeft(left({ sent: save({ ...base, name: 'Mine' }) }))
    expect(bag).toMatchObject({ why: 'overtaken', unsaved: true, revision: 4, design: { name: 'Mine' } })
    expect(bag.sent).toBeUndefined()
  })

  it('that was overtaken by what cannot be fetched waits as it was', async () => {
    script(CONFLICT, 'no answer')
    const waiting = left()
    expect(await sendLeft(waiting)).toEqual(waiting)
    script(CONFLICT, { status: 200, body: { revision: 7, unreadable: ['name'] } })
    expect(await sendLeft(waiting)).toEqual(waiting)
  })

  it.each([[[{ status: 404 }]], [[CONFLICT, { status: 404 }]]] as const)('that was deleted elsewhere says so: %j', async (replies) => {
    script(...replies)
    expect(await sendLeft(left())).toMatchObject({ why: 'gone', unsaved: true, design: { name: 'Mine' } })
  })

  it('that is refused says why, and what was sent is not taken for unanswered', async () => {
    script({ status: 422, body: { message: 'No.' } })
    const bag = await sendLeft(left())
    expect(bag).toMatchObject({ why: 'refused', words: ['No.'], unsaved: true })
    expect(bag.sent).toBeUndefined()
  })

  it('that is not answered keeps what was sent, to be known by its id', async () => {
    script('no answer')
    const bag = await sendLeft(left())
    expect(bag).toMatchObject({ unsaved: true, revision: 4, sent: { design: { name: 'Mine' } } })
    expect(bag.sent!.save).toBe(asked[0]!.save)
  })

  it('that is overtaken again and again is left for later', async () => {
    script(...Array.from({ length: 5 }, (_, i) => [CONFLICT, theirs(7 + i, { ...base, note: `Note ${i}` })]).flat())
    expect(await sendLeft(left())).toMatchObject({ unsaved: true, revision: 11, design: { name: 'Mine', note: 'Note 4' } })
  })
})
