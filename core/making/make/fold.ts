import { type Deed, inOrder, type MakeEvent, type Spot } from './event'
import { type Folding, happen, legOf } from './state'
import { type MakeState, NOTHING_YET } from './makeState'

/*
 * The fold over a make's events
 * =============================
 *
 * The events are put in order (event.ts), those taken back are left out, and the rest are gone through one by one. An undoing comes
 * after what it takes back, so going from the last to the first one knows of each whether it still holds: an undoing that is itself
 * undone takes nothing back.
 *
 * The state is kept after every so many events, so that what comes last, as nearly everything does, costs one step, and taking back the
 * last move no more than the steps since then.
 *
 * Two devices that moved the hook without knowing of each other leave two last moves: moves that no other came after. The log then
 * says that both moved; the next move comes after both and settles it.
 */

/** The moves that no other came after. */
class LastMoves {
  private readonly followed = new Set<string>()
  private readonly last = new Map<string, MakeEvent>()

  constructor(events: readonly MakeEvent[]) {
    for (const event of events) this.take(event)
  }

  get list(): readonly MakeEvent[] {
    return [...this.last.values()].sort(inOrder)
  }

  /** Takes one more in; what arrives before what it came after does no harm. */
  take(event: MakeEvent): void {
    if (event.do !== 'moved' && event.do !== 'ripped' && (event.do !== 'undone' || !event.after)) return
    for (const id of event.after ?? []) {
      this.followed.add(id)
      this.last.delete(id)
    }
    if (!this.followed.has(event.id)) this.last.set(event.id, event)
  }
}

/** The state is kept after so many events each. */
const APART = 64

/** All that happened to a bag on the hook, in order, and what has become of it. */
export class MakeLog {
  private readonly list: MakeEvent[] = []
  private readonly ids = new Map<string, MakeEvent>()
  /** The state before the event at every multiple of `APART`; and after the last one. */
  private readonly kept: MakeState[] = [NOTHING_YET]
  private current: MakeState = NOTHING_YET
  private folded = 0
  private voided = new Set<string>()
  /** Which moves another came after; worked out when it is first asked for. */
  private moves: LastMoves | undefined

  constructor(events: readonly MakeEvent[] = []) {
    this.add(events)
  }

  /** Every event, in order. */
  get events(): readonly MakeEvent[] {
    return this.list
  }

  /** The events that still hold, in order: without those taken back, and the taking back. */
  get holding(): readonly MakeEvent[] {
    return this.list.filter(({ id, do: what }) => what !== 'undone' && !this.voided.has(id))
  }

  get state(): MakeState {
    return this.current
  }

  /** The turn that the next event of this device has. */
  get nextTurn(): number {
    return (this.list.at(-1)?.turn ?? 0) + 1
  }

  /** The last moves: more than one if two devices moved the hook without knowing of each other. */
  get lastMoves(): readonly MakeEvent[] {
    return (this.moves ??= new LastMoves(this.list)).list
  }

  /** Where each of the last moves left the hook. */
  get spots(): readonly Spot[] {
    return this.lastMoves.map(event => this.spotAfter(event))
  }

  /** Where a move left the hook; of one that was taken back, where the move before it did. */
  private spotAfter(event: MakeEvent | undefined): Spot {
    for (let at = event; at; at = 'after' in at && at.after?.[0] ? this.ids.get(at.after[0]) : undefined) {
      if (this.voided.has(at.id)) continue
      if (at.do === 'moved') return at.to
      if (at.do === 'ripped') return { leg: legOf(at.toRound), beats: at.toRound === 0 ? 0 : 'all' }
    }
    return NOTHING_YET.spot
  }

  /** Takes events in, whatever order they come in; those known already change nothing. Returns how many were new. */
  add(events: readonly MakeEvent[]): number {
    const fresh = events.filter(event => !this.ids.has(event.id) && this.ids.set(event.id, event))
    if (fresh.length === 0) return 0
    for (const event of fresh) this.moves?.take(event)
    const inTurn = areInOrder(fresh) ? fresh : [...fresh].sort(inOrder)
    const isLast = this.list.length === 0 || inOrder(this.list.at(-1)!, inTurn[0]!) < 0
    for (const event of inTurn) this.list.push(event)
    if (!isLast) this.list.sort(inOrder)
    if (isLast && !inTurn.some(event => event.do === 'undone')) this.unfold(this.list.length - inTurn.length)
    else if (!isLast || !this.takeBack(inTurn)) this.again(inTurn)
    return fresh.length
  }

  /** The usual undoing, of something near the end: whether it was one. */
  private takeBack([only, ...more]: readonly MakeEvent[]): boolean {
    const target = only?.do === 'undone' && more.length === 0 ? this.ids.get(only.of) : undefined
    if (!target || target.do === 'undone' || this.voided.has(target.id)) return false
    this.voided.add(target.id)
    this.unfold(this.list.lastIndexOf(target))
    return true
  }

  /** Works out anew what is taken back, and all that follows from the first event that this concerns. */
  private again(fresh: readonly MakeEvent[]): void {
    const before = this.voided
    this.voided = voidedIn(this.list, this.ids)
    const changed = (id: string) => before.has(id) !== this.voided.has(id)
    const isNew = new Set(fresh.map(({ id }) => id))
    const from = this.list.findIndex(({ id }) => isNew.has(id) || changed(id))
    this.unfold(Math.min(from, this.folded))
  }

  private unfold(from: number): void {
    const goesOn = from === this.folded
    const first = goesOn ? from : from - (from % APART)
    const state: Folding = { ...(goesOn ? this.current : this.kept[first / APART]!) }
    for (let i = first; i < this.list.length; i++) {
      if (i % APART === 0) this.kept[i / APART] = { ...state }
      const event = this.list[i]!
      if (!this.voided.has(event.id)) happen(state, event)
    }
    this.folded = this.list.length
    this.current = state
  }
}

function areInOrder(events: readonly MakeEvent[]): boolean {
  for (let i = 1; i < events.length; i++) if (inOrder(events[i - 1]!, events[i]!) > 0) return false
  return true
}

/** The ids of events that are taken back by an undoing that holds; one that did not know of its event yet takes nothing back. */
function voidedIn(events: readonly MakeEvent[], known: ReadonlyMap<string, MakeEvent>): Set<string> {
  const voided = new Set<string>()
  for (let i = events.length - 1; i >= 0; i--) {
    const event = events[i]!
    if (event.do !== 'undone' || voided.has(event.id)) continue
    const target = known.get(event.of)
    if (target && inOrder(target, event) < 0) voided.add(target.id)
  }
  return voided
}

/** State of a bag on the hook, folded from all that happened to it, in whatever order that is told. */
export function stateOf(events: readonly MakeEvent[]): MakeState {
  return new MakeLog(events).state
}

/** A deed as the next event of a log: known by `id`, done at `at`. */
export function eventOf(log: MakeLog, deed: Deed, { id, at }: { readonly id: string, readonly at: number }): MakeEvent {
  return { id, turn: log.nextTurn, at, ...deed }
}

/** The ids of a log's last moves, which the next move comes after; nothing before the first. */
export function afterAll(log: MakeLog): { readonly after?: readonly string[] } {
  const after = log.lastMoves.map(({ id }) => id)
  return after.length > 0 ? { after } : {}
}
