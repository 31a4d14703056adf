import type { Design } from '~~/core/bag/design/design'
import { fetchKinds } from '~/kinds/fetchKinds'
import type { SentSave, StoredBag } from '../bagStorage'
import { randomWord } from '../newId'
import { type Answer, send } from './answer'
import { afterwards, type BagSending, type Happening, isUnsaved, nextStep, opened, type Theirs } from './bagSending'

/** Sends a save once. */
export function sendSave(id: string, revision: number, { save, design }: SentSave): Promise<Answer<{ readonly revision: number }>> {
  return send(`/api/designs/${encodeURIComponent(id)}`, {
    method: 'PUT', body: { revision, document: design }, headers: { 'Save-Id': save }, outlivesPage: true,
  })
}

/** Fetches what the server has, and the kinds of part in it: nothing if it does not answer, `gone` if it has no such bag. */
export async function fetchTheirs(id: string, ...besides: readonly Design[]): Promise<Theirs | 'gone' | undefined> {
  try {
    const response = await fetch(`/api/designs/${encodeURIComponent(id)}`)
    if (response.status === 404) return 'gone'
    const kept = response.ok ? ((await response.json()) as Theirs & { unreadable?: unknown }) : undefined
    if (!kept || kept.unreadable) return undefined
    await fetchKinds(kept.document, ...besides)
    return kept
  }
  catch {
    return undefined
  }
}

/** A bag that is being sent, wherever it is held. */
export interface HeldBag {
  readonly id: string
  readonly state: () => BagSending
  readonly happen: (happened: Happening) => void
  /** Whether it is still wanted: an answer to one that was let go is not heard. */
  readonly isHeld: () => boolean
}

async function ask({ id, state, happen }: HeldBag, step: 'send' | 'fetch'): Promise<Happening> {
  const { sent, design, base, revision } = state()
  if (step === 'fetch') return { is: 'theirs', theirs: await fetchTheirs(id, design, base) }
  const save = sent ?? { save: randomWord(20), design }
  happen({ is: 'sending', save })
  return { is: 'answered', answer: await sendSave(id, revision, save) }
}

/** Sends a bag until the server has it, or something stands in the way; so many steps at most. */
export async function sendUntilKept(bag: HeldBag, most = Infinity): Promise<void> {
  for (let i = 0; i < most; i++) {
    const step = nextStep(bag.state())
    if (!step) return
    const happened = await ask(bag, step)
    if (!bag.isHeld()) return
    bag.happen(happened)
    if (bag.state().phase === 'failed') return
  }
}

/** So many steps a bag is sent with in one go; if it is overtaken again and again, the rest is left for later. */
const MOST_STEPS = 10

/** Sends what is left of a bag that is not in hand: what it is like here afterwards. */
export async function sendLeft(left: StoredBag): Promise<StoredBag> {
  let state = opened(left)
  const happen = (happened: Happening) => (state = afterwards(state, happened))
  await sendUntilKept({ id: left.id, state: () => state, happen, isHeld: () => true }, MOST_STEPS)
  return { id: left.id, history: left.history, at: left.at, ...storedSending(state) }
}

/** The part of a bag's state with the server that is written down. */
export function storedSending(state: BagSending): Omit<StoredBag, 'id' | 'history' | 'at'> {
  const { revision, base, design, sent, why, words } = state
  return { revision, base, design, unsaved: isUnsaved(state), ...(sent ? { sent } : {}), ...(why ? { why, words } : {}) }
}
