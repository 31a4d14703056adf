import { type Start, traitsOf } from '../../parts/part/start'
import { tape } from '../../things/stitch/translate'
import { capitalised } from '../words/numbers'
import { type Beat, CHAINS_TO_MARKER, tellings } from './beat'
import { foundationBeats } from './foundationBeats'
import type { Leg } from './leg'

/** Worked out when first asked for, then remembered. */
export function once<T>(make: () => T): () => T {
  let known: { readonly value: T } | undefined
  return () => (known ??= { value: make() }).value
}

export interface RoadTitle {
  readonly id: string
  readonly part: string
  readonly title: string
  readonly start: Start
}

export function steps({ id, part, title, start }: RoadTitle, texts: readonly string[]): Leg[] {
  if (texts.length === 0) return []
  const beats = tellings(texts)
  return [
    {
      id, sort: 'steps', part, title, number: 1, of: 1, worked: undefined, start, line: () => undefined, lead: undefined,
      beats: () => beats,
    },
  ]
}

/** The start of a bag or a piece: yarn and hook, chains up to each marker, and how they are closed. */
export function startLeg({ id, part, title, start }: RoadTitle, taken: string, lead: string): Leg {
  const { stitched, looped, ringed, holed } = traitsOf(start)
  const chained = start.chains > 0 && !holed
  const long = start.beforeCm ? [`It should be about ${tape(start.beforeCm)} long before you work into it.`] : []
  const close = looped || ringed
    ? [`Join with {slst} to the first {ch}${looped ? '; take care that the chain is not twisted' : ', to form a ring'}.`]
    : []
  const beats = chained
    ? [
        ...tellings([taken]), ...foundationBeats(start.chains, stitched ? number => `${number} foundation {sc}` : undefined),
        ...tellings([...long, ...close]),
      ]
    : tellings([taken, capitalised(lead)])
  return {
    id, sort: 'start', part, title, number: 0, of: 0, worked: undefined, start, line: () => undefined, lead: undefined,
    beats: once(() => regrouped(beats)),
  }
}

/** A long chain that is no foundation: a cord, with a marker in every so-and-so-manieth. */
export function chainLeg(told: RoadTitle, chains: number): Leg[] {
  if (chains <= CHAINS_TO_MARKER) return []
  return [
    {
      ...told, sort: 'start', number: 0, of: 0, worked: undefined, line: () => undefined, lead: undefined,
      beats: once(() => foundationBeats(chains)),
    },
  ]
}

/** Beats from several hands with their groups numbered through. */
function regrouped(beats: readonly Beat[]): Beat[] {
  return beats.map((beat, group) => ({ ...beat, group }))
}
