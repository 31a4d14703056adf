import { defineStore } from 'pinia'
import { useEventListener } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import { NO_HISTORY } from '~~/core/bag/design/history'
import { same } from '~~/core/things/measure/same'
import { type StoredBag, storeBag, dropStoredBag, storedBag } from '~/keeping/bagStorage'
import { retryAfterMs } from '~/keeping/send/answer'
import { afterwards, type BagSending, type Happening, isUnsaved, opened, type Phase, troubleOf } from '~/keeping/send/bagSending'
import { fetchTheirs, sendUntilKept, storedSending } from '~/keeping/send/sendBag'
import { fetchKinds } from '~/kinds/fetchKinds'
import { useDocument } from './document'
import { useNews } from './news'
import { ask, type KeptRecord, refusalLines, statusOf } from './records'

/** Typing rests this long before it is saved; a failed save is tried again after a while that doubles. */
const REST_MS = 350
const FIRST_RETRY_MS = 2_000

const AT_RISK = 'What you changed is not saved, and this browser keeps nothing. It is lost if you go on. Go on?'
const UNREADABLE = 'This bag cannot be read by this program. Save it to a file as it is, or delete it.'
const NO_KINDS = 'A part of the program that this bag needs could not be fetched. Is it still running? Open the bag again.'

interface Fetched {
  readonly kept?: KeptRecord<Design>
  readonly away: boolean
  readonly words: string[]
}

async function fetchKept(wanted: string): Promise<Fetched> {
  try {
    return { kept: await ask<KeptRecord<Design>>(`/api/designs/${encodeURIComponent(wanted)}`), away: false, words: [] }
  }
  catch (error) {
    const status = statusOf(error)
    return { away: status === undefined || status >= 500, words: refusalLines(error) }
  }
}

/**
 * The bag in hand and its saves: opens it, and does what `bagSending` says comes next. From the first keystroke what is not saved is kept
 * on this device, and found again.
 */
export const useSaving = defineStore('saving', () => {
  const bag = useDocument()
  const id = ref<string>()
  const sending = shallowRef<BagSending>()
  /** Why the bag could not be opened. */
  const notOpened = ref<readonly string[]>([])
  /** Whether the bag is there and cannot be read: it can be saved to a file. */
  const unreadable = ref(false)
  /** Whether the browser keeps what is not saved. */
  const keptHere = ref(true)
  const state = computed<Phase>(() => sending.value?.phase ?? 'saved')
  const trouble = computed(() => (sending.value ? troubleOf(sending.value, keptHere.value) : notOpened.value))

  let timer: ReturnType<typeof setTimeout> | undefined
  let flushing: Promise<void> | undefined
  /** Counts how often a bag was let go: what was asked for an earlier one is not heard. */
  let opening = 0

  const news = useNews(({ bag: of, revision, design: document }) => void hear(of, revision, document))

  /** Another window of this browser has saved. */
  async function hear(of: string, revision: number, document: Design): Promise<void> {
    const isNew = () => of === id.value && sending.value !== undefined && revision > sending.value.revision
    if (!isNew()) return
    await fetchKinds(document)
    if (isNew()) happen({ is: 'theirs', theirs: { revision, document } })
  }

  /** Writes down how the bag is here. */
  async function keep(): Promise<void> {
    if (id.value && sending.value)
      keptHere.value = await storeBag({ id: id.value, ...storedSending(sending.value), history: bag.history, at: Date.now() })
  }

  function happen(happened: Happening): void {
    const before = sending.value!
    sending.value = afterwards(before, happened)
    if (sending.value.design !== bag.design) bag.adopt(sending.value.design)
    void keep()
    if (happened.is === 'answered' && happened.answer.is === 'kept')
      news.tell({ bag: id.value!, revision: sending.value.revision, design: before.sent!.design })
    else if (state.value === 'waiting') later(REST_MS)
    else if (state.value === 'failed') later(retryAfterMs(sending.value.failures, FIRST_RETRY_MS))
  }

  function later(ms: number): void {
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), ms)
  }

  watch(() => bag.design, (design) => {
    if (bag.isOpen && sending.value && sending.value.design !== design) happen({ is: 'edited', design })
  }, { flush: 'sync' })

  /** Saves what is not saved yet, one save after the other, until nothing is left or one fails. */
  function flush(): Promise<void> {
    clearTimeout(timer)
    if (!id.value || !sending.value) return Promise.resolve()
    // Whoever asks while saves are under way waits for those: they go on until the latest state is kept.
    return (flushing ??= flushNow(id.value))
  }

  async function flushNow(of: string): Promise<void> {
    const mine = opening
    const isHeld = () => opening === mine
    await sendUntilKept({ id: of, state: () => sending.value!, happen, isHeld })
    if (isHeld()) flushing = undefined
  }

  /** Whether leaving the page would lose something: the server does not have it, and the browser keeps nothing. */
  const isAtRisk = () => !keptHere.value && sending.value !== undefined && isUnsaved(sending.value)
  if (typeof window !== 'undefined') {
    useEventListener('beforeunload', (event) => {
      if (isAtRisk()) event.preventDefault()
    })
    useRouter().beforeEach((to, from) => to.path === from.path || !isAtRisk() || window.confirm(AT_RISK))
  }

  async function open(wanted: string): Promise<void> {
    if (id.value === wanted && bag.isOpen) return
    await leave()
    id.value = wanted
    const [desk, server] = await Promise.all([storedBag(wanted), fetchKept(wanted)])
    if (id.value !== wanted) return
    if (server.kept?.unreadable) {
      unreadable.value = true
      notOpened.value = [UNREADABLE, ...server.kept.unreadable]
      return
    }
    const known = await fetchedKinds(desk, server.kept?.document)
    if (id.value !== wanted) return
    if (!known) refuse([NO_KINDS])
    else if (desk && (desk.unsaved || server.away)) takeUp(desk, server.kept)
    else if (server.kept) begin(server.kept, desk)
    else refuse(server.words)
  }

  function refuse(words: readonly string[]): void {
    id.value = undefined
    notOpened.value = words
  }

  /** Whether the kinds of part are here that a bag is made of. */
  async function fetchedKinds(desk: StoredBag | undefined, kept: Design | undefined): Promise<boolean> {
    try {
      await fetchKinds(...(desk ? [desk.base, desk.design] : []), ...(kept ? [kept] : []))
      return true
    }
    catch {
      return false
    }
  }

  /** A bag as the server has it; what was undone and done here can go on being so, if nothing came between. */
  function begin({ revision, document }: KeptRecord<Design>, desk: StoredBag | undefined): void {
    sending.value = opened({ revision, base: document, design: document })
    bag.put(document, desk && desk.revision === revision && same(desk.design, document) ? desk.history : NO_HISTORY)
    void keep()
  }

  /** Takes up what was left here: it is saved, merged with what came meanwhile, or offered as a copy. */
  function takeUp(desk: StoredBag, kept: KeptRecord<Design> | undefined): void {
    // What the server is said to have here it had; that it is away is said by the first thing that is to be saved.
    sending.value = opened(desk.unsaved ? desk : { ...desk, base: desk.design })
    bag.put(desk.design, desk.history)
    if (kept && kept.revision > desk.revision) happen({ is: 'theirs', theirs: kept })
    else if (state.value === 'waiting') later(REST_MS)
  }

  /** Looks whether the bag was saved elsewhere meanwhile. */
  async function look(): Promise<void> {
    const of = id.value
    if (!of || state.value !== 'saved' || !sending.value) return
    const theirs = await fetchTheirs(of)
    if (theirs && theirs !== 'gone') await hear(of, theirs.revision, theirs.document)
  }

  /** Leaves the bag: what the server does not take stays on this device, and is told in the list. */
  async function leave(): Promise<void> {
    await flush()
    await keep()
    close()
  }

  /** Lets go of the bag: what was changed elsewhere can then be opened afresh. */
  function close(): void {
    clearTimeout(timer)
    opening++
    flushing = undefined
    id.value = sending.value = undefined
    bag.close()
    notOpened.value = []
    unreadable.value = false
  }

  /** Gives up what is only here. */
  async function giveUp(): Promise<void> {
    const of = id.value
    close()
    if (of) await dropStoredBag(of)
  }

  /** Gives up what is only here, and takes what the server has. */
  async function openAnew(): Promise<void> {
    const of = id.value
    await giveUp()
    if (of) await open(of)
  }

  return { id, state, trouble, unreadable, open, flush, leave, close, giveUp, openAnew, look }
})
