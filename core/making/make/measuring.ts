import { metresOf } from '../../things/stitch/translate'
import { type Draft, draft } from '../../bag/draft/draft'
import { type Redone, redone } from '../../bag/draft/replan/refined'
import { type DraftPart, isStopped } from '../../bag/draft/fold/draftPart'
import type { Measurement } from '../../bag/draft/replan/measurements'
import { inSentence } from '../../bag/design/partNames'
import type { MeasuredPart } from '../../bag/design/measures'
import type { Fix } from '../../parts/part/finding'
import { formatCm, formatLength, type Units } from '../../things/measure/format'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { implausible, type Implausible } from './implausible'
import { expected, type ExpectedLength } from './expectedLength'
import type { InHand } from './plan'

/** A part that is still to come, as it was planned and as it would be. */
export interface Beside {
  readonly id: string
  readonly name: string
  readonly before: PartSaid
  readonly now: PartSaid
  readonly differs: boolean
}

/** Two drafts of a part side by side. */
interface PartSaid {
  readonly rounds: number
  readonly stitches: number
  /** Empty of what has none, as a floor. */
  readonly height: string
  readonly width: string
}

/** Effects of a measure, before it is taken. */
export interface Measuring {
  readonly expected: ExpectedLength | undefined
  readonly doubt: Implausible | undefined
  readonly after: Draft
  /** In a sentence or two. */
  readonly words: string
  /** The parts that are still to come, and the one in hand. */
  readonly beside: readonly Beside[]
  readonly redone: readonly Redone[]
  /** That it changes nothing but how sure the sizes are. */
  readonly same: boolean
}

function said({ rounds, edge, size }: DraftPart, units: Units): PartSaid {
  return {
    rounds: rounds.length, stitches: edge.count,
    // A floor lies flat, and adds nothing to the height.
    height: size.height.cm > 0 ? formatLength(size.height, units) : '',
    width: formatLength({ cm: size.circumference.cm / 2, plusMinusCm: size.circumference.plusMinusCm / 2 }, units),
  }
}

/** The last round done of a bag in hand; 0 before the first is. */
export function lastDone({ road, at: { index } }: InHand): number {
  return road.legs.slice(0, index).reduce((last, { sort, number }) => (sort === 'round' ? number : last), 0)
}

function placedBeside(before: Draft, after: Draft, round: number): Beside[] {
  const { units } = before.design
  return after.parts.flatMap((part): Beside[] => {
    const then = before.parts.find(({ id }) => id === part.id)
    if (!then || then.firstRound + then.rounds.length <= round || (then.rounds.length === 0 && part.rounds.length === 0)) return []
    const [was, now] = [said(then, units), said(part, units)]
    return [{ id: part.id, name: part.name, before: was, now, differs: was.rounds !== now.rounds || was.stitches !== now.stitches }]
  })
}

const OF: Readonly<Record<ExpectedLength['what'], string>> = {
  'base-length': ' long', 'base-width': ' across', 'flat-width': ' wide', 'height': ' from the floor up', 'part-height': '',
}

function foundWords({ what, length, part, rounds }: ExpectedLength, cm: number, units: Units): string {
  const same = formatCm(cm, units) === formatCm(length.cm, units)
  return `${part.name} is ${formatCm(cm, units)}${OF[what]} after ${rounds} ${rounds === 1 ? 'round' : 'rounds'}`
    + (same ? ', as planned' : `, not ${formatCm(length.cm, units)}`)
}

function handlesWords(before: Draft, after: Draft): string {
  const count = ({ parts }: Draft) => parts.flatMap(({ handles }) => handles).length
  if (count(before) === 0) return ''
  const feet = ({ parts }: Draft) => JSON.stringify(parts.flatMap(({ id, handles }) => handles.map(({ feet: at }) => [id, at])))
  return feet(before) === feet(after) ? ' The handles stay.' : ' The handles are placed anew.'
}

/** How far it reaches held up under its load, where that changes. */
function hangingWords(before: Draft, after: Draft): string {
  const [was, now] = [before, after].map(({ sizes }) => sizes.withHandles?.loadedCm)
  if (was === undefined || now === undefined || Math.abs(now - was) < 0.1) return ''
  const { units } = before.design
  return ` Held up with its load it reaches ${formatCm(now, units)}, not ${formatCm(was, units)}.`
}

function changeWords(list: readonly Redone[]): string {
  if (list.length === 0) return 'no count changes'
  return list.map(({ name, before, now }) => `${name}: ${now} rounds instead of ${before}`).join('; ')
}

function stopWords(before: Draft, after: Draft): string {
  const stopped = after.parts.find(isStopped)
  if (!stopped || before.parts.some(isStopped)) return ''
  return ` Beyond that ${inSentence(stopped.name)} would not come out: write it down and keep the plan, or change the bag on the bench.`
}

function yarnWords(before: Draft, after: Draft): string {
  const metres = (of: Draft) => yarnNeeds(of).reduce((sum, one) => sum + one.metres, 0)
  const more = Math.round(metres(after) - metres(before))
  return more === 0 ? '' : ` It takes about ${metresOf(Math.abs(more))} ${more > 0 ? 'more' : 'less'} yarn.`
}

/** Changes from one draft of a bag to another, by what was measured of it. */
export function compared(before: Draft, after: Draft, taken: Measurement): Measuring {
  const { units } = before.design
  const planned = 'what' in taken ? expected(before, taken.round, taken.what) : undefined
  const changed = redone(before.parts, after.parts)
  const found = planned && 'what' in taken ? `${foundWords(planned, taken.cm, units)}: ` : 'By this: '
  return {
    expected: planned, doubt: planned && 'what' in taken ? implausible(taken.cm, planned.length, units) : undefined, after, redone: changed,
    words: `${found}${changeWords(changed)}.${handlesWords(before, after)}${hangingWords(before, after)}`
      + `${yarnWords(before, after)}${stopWords(before, after)}`,
    beside: placedBeside(before, after, taken.round), same: changed.length === 0,
  }
}

/**
 * Effects of a measure on a bag in hand.
 *
 * @param taken what the tape says, the seam leans by, or a strip did
 */
export function measuring(hand: InHand, taken: Measurement): Measuring {
  return compared(hand.draft, draft(hand.plan, { before: hand.draft, found: hand.found, taken: [...hand.taken, taken] }), taken)
}

/** A part of a design measured, done or half done, as an edit of the design. */
export function partMeasured({ from, parts }: Draft, { part: id, rounds, what, cm }: Omit<MeasuredPart, 'stitches'>): Fix | undefined {
  const part = parts.find(one => one.id === id)
  const stitches = part && (rounds === part.rounds.length ? part.edge.count : part.rounds[rounds - 1]?.edge.count)
  if (stitches === undefined) return undefined
  const others = (from.measured ?? []).filter(one => one.part !== id || one.rounds !== rounds || one.what !== what)
  return { label: 'Measured part', changes: [{ path: ['measured'], value: [...others, { part: id, rounds, stitches, what, cm }] }] }
}
