import type { Draft } from '../draft/draft'
import { type Casing, casingsOf } from '../draft/casing'
import { tape } from '../stitch/tell'
import { type Cord, cordMaking, isWorked } from '../mouth/cords'
import type { CordWay } from '../mouth/threading'
import type { CordKind } from '../part/roles'

function cordWords(kind: CordKind, { chains, lengthCm }: Cord): string {
  const long = `${tape(lengthCm)} long once it is knotted`
  return `${cordMaking(kind).made(chains)}${isWorked(kind) ? ':' : ','} ${long}`
}

/** `Two cords of 90 {ch} each`. */
function cordsWords(number: 1 | 2, made: string, of: string): string {
  return `${number === 2 ? `Two cords${of}, each made so` : `One cord${of}`}: ${made}.`
}

/** How a cord runs, eyelet by eyelet; eyelets are counted from 1 at the start of the round. */
function runWords({ start, direction, passes }: CordWay, which: string): string {
  const [a, b, c] = passes.slice(0, 3).map(({ eyelet }) => eyelet + 1)
  const last = passes.at(-1)!.eyelet + 1
  return (
    `${which}: begin outside at eyelet ${start + 1}; in through ${a}, behind the post, out through ${b}, over the post, in `
    + `through ${c}, and so on ${direction === 1 ? 'round' : 'the other way round'}, to come out of ${last} and over to where it `
    + 'began. Both ends hang there.'
  )
}

function casingLines(casing: Casing, draft: Draft): string[] {
  const { spec, cord, opening, threading, eyelets } = casing
  const yarn = draft.design.yarns.find(({ id }) => id === spec.colour)?.name
  const of = isWorked(spec.kind) && yarn ? `, of ${yarn}` : ''
  if (!threading.ok) return [threading.why]
  const [first, second] = threading.cords
  return [
    `${cordsWords(spec.number, cordWords(spec.kind, cord), of)}`,
    `There are ${eyelets} eyelets; count them from the start of the round. Put a marker in `
    + `${threading.cords.map(({ start }) => start + 1).join(' and ')}${second ? `, ${eyelets / 2} apart` : ''}.`,
    runWords(first!, second ? 'First cord' : 'The cord'),
    ...(second ? [`${runWords(second, 'Second cord')} It lies behind the same posts as the first.`] : []),
    ...(opening
      ? [
          `Two opening cords besides: ${cordWords(spec.kind, opening)}. Loop one around the post after eyelet `
          + `${threading.quarters[0]! + 1} and one around the post after eyelet ${threading.quarters[1]! + 1}, and knot their ends: `
          + 'pulling them opens the bag.',
        ]
      : []),
    `Knot each pair of ends together, tight against the fabric, with ${tape(1)} to ${tape(1.5)} beyond; or hide the joint in a bead, or `
    + 'turn the ends inside. Beads and cords are not for small children.',
  ]
}

/** What is said of a bag's cords: how to make them, how to thread them, how to finish them. */
export function cordLines(draft: Draft): string[] {
  return casingsOf(draft.parts, draft.gauge).flatMap(casing => casingLines(casing, draft))
}
