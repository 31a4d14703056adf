import type { Design } from '~~/core/bag/design/design'
import { mergedDesign, same } from '~~/core/bag/design/merge'
import { fetchKinds } from '~/kinds/fetchKinds'
import type { StoredBag, SentSave } from './bagStorage'
import { randomWord } from './newId'
import { type Refusal, refusalWords } from './refusal'

/** Result of sending a bag's state. */
export type Answer
  = | { readonly is: 'kept', readonly revision: number }
    | { readonly is: 'overtaken' | 'gone' }
    | { readonly is: 'refused' | 'away', readonly words: readonly string[] }

/** A page that is closed may still send this much (a limit that browsers set on what outlives a page). */
const OUTLIVES_PAGE_BYTES = 60_000

/** Why something was refused, in words. */
async function wordsOf(response: Response): Promise<string[]> {
  return refusalWords((await response.json().catch(() => ({}))) as Refusal, response.status)
}

/** A new save of a state: sent again it is known by its id. */
export function newSave(design: Design): SentSave {
  return { save: randomWord(20), design }
}

/** Sends a save once. */
export async function sendSave(id: string, revision: number, { save, design }: SentSave): Promise<Answer> {
  const body = JSON.stringify({ revision, document: design })
  let response: Response
  try {
    response = await fetch(`/api/designs/${encodeURIComponent(id)}`, {
      method: 'PUT', headers: { 'Content-Type': 'application/json', 'Save-Id': save }, body, keepalive: body.length < OUTLIVES_PAGE_BYTES,
    })
  }
  catch {
    return { is: 'away', words: ['The program does not answer. Is it still running?'] }
  }
  if (response.ok) return { is: 'kept', revision: ((await response.json()) as { revision: number }).revision }
  if (response.status === 409) return { is: 'overtaken' }
  if (response.status === 404) return { is: 'gone' }
  return { is: response.status === 422 || response.status === 413 ? 'refused' : 'away', words: await wordsOf(response) }
}

/** A bag as the server has it now. */
export interface Theirs {
  readonly revision: number
  readonly document: Design
}

/** Fetches what the server has, and the kinds of part in it: nothing if it does not answer, `gone` if it has no such bag. */
export async function fetchTheirs(id: string): Promise<Theirs | 'gone' | undefined> {
  try {
    const response = await fetch(`/api/designs/${encodeURIComponent(id)}`)
    if (response.status === 404) return 'gone'
    const kept = response.ok ? ((await response.json()) as Theirs & { unreadable?: unknown }) : undefined
    if (!kept || kept.unreadable) return undefined
    await fetchKinds(kept.document)
    return kept
  }
  catch {
    return undefined
  }
}

/** The state here merged with the server's; nothing where both changed the same. */
export function together({ base, design }: Pick<StoredBag, 'base' | 'design'>, theirs: Theirs): Design | undefined {
  return same(design, theirs.document) ? theirs.document : mergedDesign(base, design, theirs.document)
}

/** So often a state is put together anew with what came meanwhile; then it is left for later. */
const MOST_ROUNDS = 5

/** Sends what is left of a bag that is not in hand: what it is like here afterwards. */
export async function sendLeft(left: StoredBag): Promise<StoredBag> {
  let bag = left
  for (let i = 0; i < MOST_ROUNDS && bag.unsaved; i++) {
    const sending = bag.sent ?? newSave(bag.design)
    const answer = await sendSave(bag.id, bag.revision, sending)
    const { sent: _, ...unsent } = bag
    switch (answer.is) {
      case 'kept':
        bag = { ...unsent, revision: answer.revision, base: sending.design, unsaved: !same(sending.design, bag.design) }
        break
      case 'overtaken': {
        await fetchKinds(bag.design, bag.base)
        const theirs = await fetchTheirs(bag.id)
        if (theirs === undefined) return bag
        const design = theirs === 'gone' ? undefined : together(bag, theirs)
        if (theirs === 'gone' || !design) return { ...unsent, why: theirs === 'gone' ? 'gone' : 'overtaken' }
        bag = { ...unsent, design, base: theirs.document, revision: theirs.revision, unsaved: !same(design, theirs.document) }
        break
      }
      case 'gone':
        return { ...unsent, why: 'gone' }
      case 'refused':
        return { ...unsent, why: 'refused', words: answer.words }
      case 'away':
        return { ...bag, sent: sending }
    }
  }
  return bag
}
