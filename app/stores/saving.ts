import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { Design } from '~~/core/bag/design/design'
import { NO_HISTORY } from '~~/core/bag/design/history'
import { same } from '~~/core/bag/design/merge'
import { type StoredBag, type Hindrance, storeBag, dropStoredBag, storedBag, type SentSave } from '~/keeping/bagStorage'
import { fetchTheirs, newSave, sendSave, type Theirs, together } from '~/keeping/sendBag'
import { fetchKinds } from '~/kinds/fetchKinds'
import { useDocument } from './document'
import { useNews } from './news'
import { ask, type KeptRecord, refusalLines, statusOf } from './records'

/** How a bag's latest state stands with the server. */
export type Saving = 'saved' | 'waiting' | 'saving' | 'failed' | 'overtaken' | 'refused'

/** Typing rests this long before it is saved; a failed save is tried again after a while that doubles. */
const REST_MS = 350
const RETRY_MS = 2_000
const LAST_RETRY_MS = 30_000

const SAID: Readonly<Record<Exclude<Hindrance, 'refused'>, string>> = {
  overtaken: 'This bag was changed elsewhere, where you changed it too. Yours is kept here: keep it as a copy, or open the other.',
  gone: 'This bag was thrown away elsewhere. Yours is kept here: keep it as a copy, or bring the bag back.',
}

const HERE = 'What you changed is kept here.'
const NOT_HERE = 'This browser keeps nothing: what you changed is on this page alone. Leave it open, or save the bag to a file.'
const AT_RISK = 'What you changed is not saved, and this browser keeps nothing. It is lost if you go on. Go on?'

/**
 * Whether the bag in hand is saved: fetches it, sends what changed, and says what stands in the way. From the first keystroke what is not
 * saved is kept on this device, and found again.
 */
export const useSaving = defineStore('saving', () => {
  const bag = useDocument()
  const id = ref<string>()
  const state = ref<Saving>('saved')
  const trouble = ref<string[]>([])
  /** Why the bag cannot be read, where it is there and broken: it can be saved to a file. */
  const unreadable = ref(false)

  /** Whether the browser keeps what is not saved. */
  const keptHere = ref(true)

  let revision = 0
  let onServer: Design | undefined
  let sent: SentSave | undefined
  let why: Hindrance | undefined
  let retryMs = RETRY_MS
  let timer: ReturnType<typeof setTimeout> | undefined
  let flushing: Promise<void> | undefined

  const isUnsaved = () => bag.isOpen && onServer !== undefined && bag.design !== onServer

  const news = useNews((told) => {
    void hear({ revision: told.revision, document: told.design }, told.bag)
  })

  /** Another window of this browser has saved. */
  async function hear(theirs: Theirs, of: string): Promise<void> {
    const news = () => of === id.value && theirs.revision > revision && bag.isOpen
    if (!news()) return
    await fetchKinds(theirs.document)
    if (news()) meet(theirs)
  }

  /** Writes down how the bag is here. */
  function keep(): Promise<void> {
    if (!id.value || !bag.isOpen || !onServer) return Promise.resolve()
    const kept: StoredBag = {
      id: id.value, revision, base: onServer, design: bag.design, unsaved: isUnsaved() || sent !== undefined, history: bag.history,
      at: Date.now(), ...(sent ? { sent } : {}), ...(why ? { why, words: trouble.value } : {}),
    }
    return storeBag(kept).then((isKept) => {
      keptHere.value = isKept
    })
  }

  /** Whether leaving the page would lose something: the server does not have it, and the browser keeps nothing. */
  const isAtRisk = () => !keptHere.value && isUnsaved()
  if (typeof window !== 'undefined') {
    window.addEventListener('beforeunload', (event) => {
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
      trouble.value = ['This bag cannot be read by this program. Save it to a file as it is, or throw it away.', ...server.kept.unreadable]
      return
    }
    if (!(await fetchedKinds(desk, server.kept?.document)) || id.value !== wanted) return
    if (desk?.unsaved || (desk && server.away)) takeUp(desk, server.kept)
    else if (server.kept) begin(server.kept, desk)
    else {
      id.value = undefined
      trouble.value = server.words
    }
  }

  /** Whether the kinds of part are here that a bag is made of; that they are not is told. */
  async function fetchedKinds(desk: StoredBag | undefined, kept: Design | undefined): Promise<boolean> {
    try {
      await fetchKinds(...(desk ? [desk.base, desk.design] : []), ...(kept ? [kept] : []))
      return true
    }
    catch {
      id.value = undefined
      trouble.value = ['A part of the program that this bag needs could not be fetched. Is it still running? Open the bag again.']
      return false
    }
  }

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

  /** A bag as the server has it; what was undone and done here can go on being so, if nothing came between. */
  function begin(kept: KeptRecord<Design>, desk: StoredBag | undefined): void {
    revision = kept.revision
    onServer = kept.document
    bag.put(kept.document, desk && desk.revision === kept.revision && same(desk.design, kept.document) ? desk.history : NO_HISTORY)
    void keep()
  }

  /** Takes up what was left here: it is saved, put together with what came meanwhile, or offered as a copy. */
  function takeUp(desk: StoredBag, kept: KeptRecord<Design> | undefined): void {
    revision = desk.revision
    onServer = desk.base
    sent = desk.sent
    bag.put(desk.design, desk.history)
    if (!desk.unsaved) {
      // What is here is what the server had; that it is away is said by the first thing that is to be saved.
      onServer = bag.design
      return
    }
    if (kept && kept.revision > revision && !sent) meet(kept)
    else onChange()
  }

  /** Another window or device has saved: what is here is put together with that. */
  function meet(theirs: Theirs): void {
    const before = bag.design
    const design = isUnsaved() ? together({ base: onServer!, design: before }, theirs) : theirs.document
    if (!design) return hinder('overtaken')
    revision = theirs.revision
    onServer = theirs.document
    sent = undefined
    bag.adopt(same(design, theirs.document) ? theirs.document : design)
    if (isUnsaved()) onChange()
    else settle()
  }

  function hinder(hindrance: Hindrance, words?: readonly string[]): void {
    why = hindrance
    state.value = hindrance === 'refused' ? 'refused' : 'overtaken'
    trouble.value = words ? [...words] : [SAID[hindrance as 'gone']]
    void keep()
  }

  /** All is saved. */
  function settle(): void {
    why = undefined
    retryMs = RETRY_MS
    trouble.value = []
    state.value = 'saved'
    void keep()
  }

  function onChange(): void {
    // An edit that was taken back leaves a bag that says the same, and is another object.
    if (onServer && same(bag.design, onServer)) onServer = bag.design
    if (!isUnsaved() && !sent) {
      if (bag.isOpen && state.value === 'waiting') settle()
      return
    }
    void keep()
    if (state.value === 'overtaken') return
    state.value = 'waiting'
    clearTimeout(timer)
    timer = setTimeout(() => void flush(), REST_MS)
  }
  watch(() => bag.design, onChange, { flush: 'sync' })

  async function sendNow(): Promise<void> {
    const of = id.value!
    state.value = 'saving'
    // A save that was not answered is sent again first, as it was: it may have been kept.
    const sending = (sent ??= newSave(bag.design))
    const kept = keep()
    const answer = await sendSave(of, revision, sending)
    if (id.value !== of) return
    if (answer.is === 'away') {
      await kept
      trouble.value = [...answer.words, keptHere.value ? HERE : NOT_HERE]
      state.value = 'failed'
      timer = setTimeout(() => void flush(), retryMs)
      retryMs = Math.min(LAST_RETRY_MS, retryMs * 2)
      return
    }
    sent = undefined
    if (answer.is === 'kept') {
      revision = answer.revision
      onServer = sending.design
      news.tell({ bag: of, revision, design: sending.design })
      if (same(bag.design, sending.design)) {
        onServer = bag.design
        settle()
      }
      else {
        state.value = 'waiting'
        void keep()
      }
    }
    else if (answer.is === 'refused') hinder('refused', answer.words)
    else if (answer.is === 'gone') hinder('gone')
    else await overtaken(of)
  }

  async function overtaken(of: string): Promise<void> {
    const theirs = await fetchTheirs(of)
    if (id.value !== of) return
    if (theirs === 'gone') return hinder('gone')
    if (theirs) return meet(theirs)
    state.value = 'failed'
    timer = setTimeout(() => void flush(), retryMs)
  }

  /** Saves what is not saved yet, one save after the other, until nothing is left or one fails. */
  function flush(): Promise<void> {
    clearTimeout(timer)
    // Whoever asks while saves are under way waits for those: they go on until the latest state is kept.
    return (flushing ??= saveUntilKept().finally(() => (flushing = undefined)))
  }

  async function saveUntilKept(): Promise<void> {
    while ((isUnsaved() || sent) && state.value !== 'overtaken') {
      await sendNow()
      if (state.value !== 'saved' && state.value !== 'waiting') return
    }
  }

  /** Looks whether the bag was saved elsewhere meanwhile. */
  async function look(): Promise<void> {
    const of = id.value
    if (!of || !bag.isOpen || state.value !== 'saved') return
    const theirs = await fetchTheirs(of)
    if (id.value === of && theirs && theirs !== 'gone' && theirs.revision > revision) meet(theirs)
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
    id.value = undefined
    onServer = sent = why = undefined
    retryMs = RETRY_MS
    bag.close()
    state.value = 'saved'
    trouble.value = []
    unreadable.value = false
  }

  /** Throws away what is only here. */
  async function giveUp(): Promise<void> {
    const of = id.value
    close()
    if (of) await dropStoredBag(of)
  }

  /** Throws away what is only here, and takes what the server has. */
  async function openAnew(): Promise<void> {
    const of = id.value
    await giveUp()
    if (of) await open(of)
  }

  return { id, state, trouble, unreadable, open, flush, leave, close, giveUp, openAnew, look }
})
