import type { Draft } from '../../bag/draft/draft'
import { type Casing, casingsOf } from '../../bag/draft/casing'
import { tape } from '../../things/stitch/translate'
import { ARM_SPAN_CM, type Cord, cordMaking, isWorked } from '../../parts/mouth/cords'
import type { CordWay } from '../../parts/mouth/threading'
import type { CordKind, CordsSpec } from '../../parts/part/roles'

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

/** How the ends of cords are finished. */
const ENDS: Readonly<Record<NonNullable<CordsSpec['ends']>, string>> = {
  knots: `Knot each pair of ends together, tight against the fabric, with ${tape(1)} to ${tape(1.5)} beyond; or hide the joint in a bead, `
    + `or `
    + 'turn the ends inside.',
  beads: `Draw each pair of ends through a bead, and knot them below it with ${tape(1)} to ${tape(1.5)} beyond.`,
  inside: 'Sew each pair of ends together, and draw the joint inside the casing.',
}

/** Yarn to cut for a cord before it is begun, in arm spans too, which is how it is measured without a tape. */
function yarnToCut(kind: CordKind, { yarnCm }: Cord): string[] {
  if (!isWorked(kind)) return []
  const spans = Math.ceil((2 * yarnCm) / ARM_SPAN_CM) / 2
  return [
    `Each cord takes about ${tape(Math.ceil(yarnCm / 10) * 10)} of yarn, ${spans} arm ${spans === 1 ? 'span' : 'spans'} (of about `
    + `${tape(ARM_SPAN_CM)}, fingertip to fingertip; a rule of thumb): cut it from the ball when the cord is done, or measure it off `
    + 'first.',
  ]
}

/** How many eyelets there are, and which one no cord goes through. */
function eyeletsWords(eyelets: number, passedOver: 0 | 1): string {
  return passedOver === 0
    ? `There are ${eyelets} eyelets; count them from the start of the round.`
    : `There are ${eyelets + 1} eyelets, an odd number: pass over the last one before the start of the round, and count ${eyelets} from `
      + 'there.'
}

/** Texts on cords: before they are made, and as they are made. */
interface CordTexts {
  readonly making: readonly string[]
  readonly threading: readonly string[]
}

function openingWords({ spec, opening, threading }: Casing, draft: Draft): string[] {
  if (!opening || !threading.ok) return []
  const yarn = draft.design.yarns.find(({ id }) => id === spec.openingColour)?.name
  const of = isWorked(spec.kind) && yarn ? `, of ${yarn}` : ''
  return [
    `Two opening cords besides${of}: ${cordWords(spec.kind, opening)}. Loop one around the post after eyelet `
    + `${threading.quarters[0]! + 1} and one around the post after eyelet ${threading.quarters[1]! + 1}, and knot their ends: `
    + 'pulling them opens the bag.',
  ]
}

function textsOf(casing: Casing, draft: Draft): CordTexts {
  const { spec, cord, threading, eyelets, passedOver } = casing
  const yarn = draft.design.yarns.find(({ id }) => id === spec.colour)?.name
  const of = isWorked(spec.kind) && yarn ? `, of ${yarn}` : ''
  if (!threading.ok) return { making: [], threading: [threading.why] }
  const [first, second] = threading.cords
  const lies = spec.second === 'crossed' ? 'over the posts that the first lies behind' : 'behind the same posts as the first'
  return {
    making: [...yarnToCut(spec.kind, cord), cordsWords(spec.number, cordWords(spec.kind, cord), of)],
    threading: [
      `${eyeletsWords(eyelets, passedOver)} Put a marker in `
      + `${threading.cords.map(({ start }) => start + 1).join(' and ')}${second ? `, ${eyelets / 2} apart` : ''}.`,
      runWords(first!, second ? 'First cord' : 'The cord'), ...(second ? [`${runWords(second, 'Second cord')} It lies ${lies}.`] : []),
      ...openingWords(casing, draft), `${ENDS[spec.ends ?? 'knots']} Beads and cords are not for small children.`,
    ],
  }
}

/** Texts on a bag's cords: before they are made, and on threading and finishing them. */
export function cordTexts(draft: Draft): CordTexts {
  const texts = casingsOf(draft.parts, draft.gauge).map(casing => textsOf(casing, draft))
  return { making: texts.flatMap(({ making }) => making), threading: texts.flatMap(({ threading }) => threading) }
}

/** All that is said of a bag's cords, in order. */
export function cordLines(draft: Draft): string[] {
  const { making, threading } = cordTexts(draft)
  return [...making, ...threading]
}
