import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { doneAfter, ownSize, type BeatSize } from '~~/core/readers/beats/size'
import type { Leg } from '~~/core/readers/beats/leg'
import type { Design } from '~~/core/bag/design/design'
import type {
  CountDeed, Deed, LeanDeed, LookDeed, MakeEvent, MeasureDeed, Spot, StretchDeed, WeighDeed, LogbookDeed,
} from '~~/core/making/make/event'
import { afterAll, eventOf, MakeLog } from '~~/core/making/make/fold'
import { roundName } from '~~/core/bag/draft/roundName'
import { type InHand, inHand, type Progress, progressOf } from '~~/core/making/make/plan'
import { makeDocument } from '~~/core/making/make/document'
import type { MakeState } from '~~/core/making/make/makeState'
import { deedWords, undoing } from '~~/core/making/make/undo'
import { keepMake, keptEvents, keptMake } from '~/keeping/makeJournal'
import { nextEventId, randomWord } from '~/keeping/newId'
import { usePost } from './post'
import { useHookSettings } from './hookSettings'

/** A remark on the work beside what the hook does. */
export type Telling = MeasureDeed | LeanDeed | StretchDeed | WeighDeed | LookDeed | LogbookDeed

/** Why a make is not there. */
export type MakeTrouble = 'looking' | 'not-here' | 'gone'

/**
 * The bag on the hook: its log, what that comes to, and the verbs of the hands. The log is plain; what is shown of it are values that
 * are replaced whole.
 */
export const useMake = defineStore('make', () => {
  const post = usePost()
  const hookSettings = useHookSettings()
  const id = ref<string>()
  const trouble = ref<MakeTrouble>()
  const state = shallowRef<MakeState>()
  const hand = shallowRef<InHand>()
  /** Where else the hook was left, by a device that did not know of this one. */
  const elsewhere = shallowRef<readonly Spot[]>([])
  /** The leg that was done last, until what is asked about it is answered. */
  const justDone = shallowRef<Leg>()
  /** Looked at again after a while: where the hook is has to be said. */
  const resumed = ref(false)

  let log = new MakeLog()
  let deaf: (() => void) | undefined

  function show(): void {
    state.value = log.state
    hand.value = inHand(log.state, hand.value)
    elsewhere.value = log.lastMoves.length > 1 ? log.spots : []
  }

  function progress(): Progress | undefined {
    return hand.value && progressOf(hand.value, log.state.finishedAt !== undefined)
  }

  function hear(events: readonly MakeEvent[]): void {
    if (log.add(events) === 0) return
    justDone.value = undefined
    if (hand.value === undefined) resumed.value = true
    show()
    if (trouble.value === 'looking' && hand.value) trouble.value = undefined
  }

  /** Thrown away elsewhere. */
  function lost(): void {
    trouble.value = 'gone'
    hand.value = undefined
  }

  function close(): void {
    if (id.value && hand.value) void remember(id.value, hand.value.plan.name, progress())
    deaf?.()
    deaf = undefined
    id.value = state.value = hand.value = justDone.value = undefined
    elsewhere.value = []
    resumed.value = false
    log = new MakeLog()
  }

  /** Takes a make in hand: what this device knows at once, what the server knows as soon as it answers. */
  async function open(wanted: string): Promise<void> {
    if (id.value === wanted && hand.value) return
    close()
    id.value = wanted
    trouble.value = 'looking'
    deaf = post.listen(wanted, { events: hear, gone: lost, progress })
    const known = await keptEvents(wanted).catch(() => [])
    if (id.value !== wanted) return
    hear(known)
    await post.now(wanted)
    if (id.value === wanted && !hand.value && trouble.value === 'looking') trouble.value = 'not-here'
    if (id.value === wanted && hand.value) await remember(wanted, hand.value.plan.name, progress())
  }

  /** Keeps how far a make is, for the list where the server is away. */
  async function remember(of: string, name: string, far: Progress | undefined): Promise<void> {
    const before = await keptMake(of)
    await keepMake({ id: of, name, progress: far ?? null, upTo: before?.upTo ?? 0, updatedAt: new Date().toISOString() })
  }

  function write(deed: Deed): void {
    const event = eventOf(log, deed, { id: nextEventId(), at: Date.now() })
    log.add([event])
    show()
    void post.write(id.value!, event)
  }

  /** Takes a bag up: its design as it stands is the plan. Returns the make's id. */
  async function takeUp(plan: Design, bag?: string): Promise<string> {
    close()
    id.value = randomWord(16)
    deaf = post.listen(id.value, { events: hear, gone: lost, progress })
    trouble.value = undefined
    write({ do: 'started', plan, ...(bag ? { bag } : {}) })
    await remember(id.value, plan.name, progress())
    return id.value
  }

  /** The size of beats in hand: the maker's, or the one that the leg wants by itself. */
  const size = computed<BeatSize>(() => {
    const leg = hand.value?.at.leg
    // Steps that are told are read one by one.
    if (leg?.sort === 'steps') return 'group'
    if (hookSettings.size !== 'own') return hookSettings.size
    return leg && leg.worked ? ownSize(leg.beats()) : 'group'
  })

  function moveTo(spot: Spot): void {
    resumed.value = false
    write({ do: 'moved', to: spot, ...afterAll(log) })
  }

  /** Does what is at the hook. */
  function tap(): void {
    const at = hand.value?.at
    if (!at?.leg) return
    const beats = at.leg.beats()
    const done = doneAfter(beats, at.done, size.value)
    const whole = done >= beats.length
    moveTo({ leg: at.leg.id, beats: whole ? 'all' : done })
    justDone.value = whole ? at.leg : undefined
  }

  /** A round by its number, as the bag in hand calls it. */
  const nameOfRound = (round: number) => (hand.value ? roundName(hand.value.draft, round) : `round ${round}`)

  /** Takes back what was done or told last; what that was, in words. */
  function back(): string | undefined {
    const { lastDeed, plan } = log.state
    const undo = undoing(log)
    justDone.value = undefined
    resumed.value = false
    if (!undo || !lastDeed) return undefined
    write(undo)
    return deedWords(lastDeed, plan?.units ?? 'cm', nameOfRound)
  }

  function counted(count: Omit<CountDeed, 'do'>): void {
    write({ do: 'counted', ...count })
    justDone.value = undefined
  }

  function ripTo(round: number): void {
    justDone.value = undefined
    resumed.value = false
    write({ do: 'ripped', toRound: round, ...afterAll(log) })
  }

  function note(text: string, marker: boolean): void {
    write({ do: 'noted', text, marker, where: log.state.spot })
  }

  return {
    id, trouble, state, hand, elsewhere, justDone, resumed, size, open, close, takeUp, tap, back, nameOfRound, moveTo, counted, ripTo, note,
    /** Tells what was measured, weighed or seen, or written of the bag. */
    tell: (deed: Telling) => write(deed),
    replan: (plan: Design, why: string) => write({ do: 'replanned', plan, why }), pause: () => write({ do: 'paused' }),
    goOn: () => {
      resumed.value = false
      if (log.state.paused) write({ do: 'goneOn' })
    },
    finish: () => write({ do: 'finished' }),
    /** Sends what was done, and waits for the answer. */
    sent: () => post.now(id.value),
    takeBack: (event: string) => write({ do: 'undone', of: event }),
    /** Everything that happened, as the open document. */
    document: () => makeDocument(hand.value?.plan.name ?? 'Bag', log.events),
  }
})
