import type { Design } from '../../core/design/design'
import { type Draft, draft } from '../../core/draft/draft'
import { countable } from '../../core/draft/countCorrection'
import type { DraftPart } from '../../core/draft/part'
import { diagnose, type WayOn } from '../../core/make/diagnosis'
import { stateOf } from '../../core/make/fold'
import { type InHand, inHand } from '../../core/make/plan'
import type { MakeState } from '../../core/make/state'

/*
 * The laboratory of miscounts: a bag is miscounted at a round by so many, and every way on that is offered is carried through to the
 * last round. The laws stand in miscounts.test.ts.
 */

/** A miscount of a bag on the hook, and what is offered. */
export interface Miscount {
  readonly planned: Draft
  readonly part: DraftPart
  /** The kind of the part: the form of a base, the turn-up, the kind of a band. */
  readonly kind: string
  readonly round: number
  readonly by: number
  readonly ways: readonly WayOn[]
}

const MANNER = { terms: 'us', repeats: 'brackets' } as const

/** A bag whose every round is done, for asking about any of them. */
export function onTheHook(plan: Design): { readonly hand: InHand, readonly state: MakeState } {
  const state = stateOf([{ do: 'started', plan, id: 'a', turn: 1, at: 0 }])
  return { hand: inHand(state)!, state }
}

function kindOfPart({ from }: DraftPart): string {
  if (from.in === 'base') return `base: ${from.spec.form}`
  return from.in === 'turnUp' ? 'turn-up' : from.spec.band
}

/** How many stitches one turn of a round's repeat makes, where it has one: what is lost where a whole repeat is. */
function repeatOf({ worked }: Draft['rounds'][number]): number | undefined {
  const turns = worked.round.steps.find(step => step.do === 'repeat' && step.times > 2)
  const each = turns?.do === 'repeat' ? countable(worked).number / turns.times : undefined
  return each && Number.isInteger(each) && each > 2 ? each : undefined
}

/** Miscounts of every round of a bag, or of every so-and-so-manieth. */
export function* miscountsOf(design: Design, everyNth = 1): Generator<Miscount> {
  const { hand, state } = onTheHook(design)
  const { draft: planned } = hand
  for (let round = 1; round <= planned.rounds.length; round += everyNth) {
    const at = planned.rounds[round - 1]!
    const part = planned.parts.find(({ id }) => id === at.part)!
    const { number } = countable(at.worked)
    const lost = repeatOf(at)
    for (const by of [-2, -1, 1, 2, ...(lost ? [-lost] : [])]) {
      if (number + by < 1) continue
      const found = diagnose(hand, state, round, number + by, MANNER)
      if (found) yield { planned, part, kind: kindOfPart(part), round, by, ways: found.ways }
    }
  }
}

/** The bag as it goes on once a way is chosen. */
export function carriedThrough({ planned }: Miscount, { counted }: WayOn): Draft | undefined {
  if (!counted) return undefined
  const { round, found, to } = counted
  return draft(planned.from, planned, [{ round, count: found, ...(to === undefined ? {} : { to }) }])
}
