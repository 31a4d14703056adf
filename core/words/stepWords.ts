import { type Start, traitsOf } from '../part/start'
import { type Edge, PLACE_KINDS } from '../round/edge'
import type { ChainStep, GroupStep, Landmark, Loop, Step, StitchStep } from '../round/step'
import { type StitchKind, stitchName, STITCHES, type Terms } from '../stitch/dictionary'
import { ordinal, timesInWords } from './numbers'

/** What the words of a step depend on besides the step. */
export interface Speech {
  readonly terms: Terms
  /** The edge that the round is worked on. */
  readonly on: Edge
  /** What the bag starts from, and so what its landmarks are called. */
  readonly start: Start
  /** A row: it goes across, not around. */
  readonly across?: boolean
}

const IN_LOOP: Record<Loop, string> = {
  both: '', back: 'back loop of ', front: 'front loop of ', backAndThird: 'back and third loops of ', frontPost: '', backPost: '',
  bump: 'back bump of ', bothLayers: 'both layers at ',
}

const POST: Partial<Record<Loop, string>> = { frontPost: 'FP', backPost: 'BP' }

function named(kind: StitchKind, loop: Loop | undefined, terms: Terms): string {
  return `${POST[loop ?? 'both'] ?? ''}${stitchName(kind, terms).abbreviation}`
}

/** `next`, `next 3`, `next ch-sp`, `each of next 2 chs`: where a run of plain stitches goes. */
function places(step: StitchStep): string {
  const n = step.times
  switch (step.aim ?? 'next') {
    case 'space':
      return n === 1 ? 'next ch-sp' : `each of next ${n} ch-sps`
    case 'chains':
      return n === 1 ? 'next ch' : `each of next ${n} chs`
    case 'gap':
      return 'gap between sts'
    case 'gapBelow':
      return 'skipped st of the round below'
    case 'same':
      return 'same st'
    case 'below':
      return n === 1 ? 'st below next' : `st below each of next ${n}`
    case 'next':
      return n === 1 ? 'next' : `next ${n}`
  }
}

type Called = (n: number, speech: Speech) => string

const ofSc = ({ start }: Speech) => traitsOf(start).stitched === true
/** `next row end`, `each of next 3 row ends`. */
const several
  = (what: string): Called =>
    n =>
      n === 1 ? `next ${what}` : `each of next ${n} ${what}s`

/** What landmarks are called: along a plain chain, or along a foundation of single crochet. */
const LANDMARK_WORDS: Readonly<Record<Landmark, Called>> = {
  firstChain: (_, speech) => (ofSc(speech) ? 'first foundation st' : `${ordinal(speech.start.firstInto ?? 2)} ch from hook`),
  chains: (n, speech) => alongChain(n, speech, ofSc(speech)), lastChain: (_, speech) => (ofSc(speech) ? 'last foundation st' : 'last ch'),
  underside: n => `${n === 1 ? 'next' : `each of next ${n}`} along the underside`,
  firstChainAgain: (_, speech) => (ofSc(speech) ? 'first foundation st again' : 'the ch you began in'), rowEnds: several('row end'),
  holes: several('hole'), bridge: n => (n === 1 ? 'the ch' : `each of the ${n} chs`), overBridge: () => 'the ch-loop over the slot',
  loop: several('loop'), thisLoop: () => 'the loop you are in',
}

function landmarkPlaces(landmark: Landmark, n: number, speech: Speech): string {
  return LANDMARK_WORDS[landmark](n, speech)
}

function alongChain(n: number, { start, on }: Speech, sc: boolean): string {
  if (n === on.count && traitsOf(start).looped) return 'each ch around'
  if (n === on.count) return `${ordinal(start.firstInto ?? 2)} ch from hook and in each ch across`
  const what = sc ? 'st' : 'ch'
  return n === 1 ? `next ${what}` : `each of next ${n} ${what}s`
}

function preposition(loop: Loop | undefined): string {
  return POST[loop ?? 'both'] ? 'around' : 'in'
}

function stitchWords(step: StitchStep, speech: Speech): string {
  const name = named(step.kind, step.loop, speech.terms)
  const wholeRound = (step.aim ?? 'next') === 'next' && step.times === speech.on.count && step.times > 1
  const all = speech.across ? 'each st across' : 'each st around'
  const where = step.landmark ? landmarkPlaces(step.landmark, step.times, speech) : wholeRound ? all : places(step)
  const count = step.times > 1 && ['gap', 'gapBelow', 'same'].includes(step.aim ?? 'next') ? `${step.times} ` : ''
  return `${count}${name} ${preposition(step.loop)} ${IN_LOOP[step.loop ?? 'both']}${where}`
}

/** The one place that a group is worked into. */
function groupPlace(step: GroupStep, speech: Speech): string {
  if (step.landmark) return landmarkPlaces(step.landmark, 1, speech)
  if (step.aim === 'same') return 'same st'
  if (step.aim === 'space') return 'next ch-sp'
  if (step.aim === 'gap') return 'gap between sts'
  const foundation = speech.on.count === 1 ? PLACE_KINDS[speech.on.kinds[0]!] : undefined
  if (foundation === 'ring') return 'ring'
  if (foundation === 'chain') return `${ordinal(speech.start.firstInto ?? speech.start.chains)} ch from hook`
  return 'next'
}

function groupPart(part: StitchStep | ChainStep, terms: Terms): string {
  if (part.do === 'chain') return `ch ${part.chains}`
  const name = stitchName(part.kind, terms).abbreviation
  return part.times === 1 ? name : `${part.times} ${name}`
}

/** A group worked back and forth: its rows over its own stitches, each begun with a chain as tall. */
function rowsWords({ steps, rows = 1 }: GroupStep, terms: Terms): string {
  const [first] = steps
  if (rows < 2 || first?.do !== 'stitch') return ''
  const name = stitchName(first.kind, terms).abbreviation
  return `, then [turn, ch ${STITCHES[first.kind].heightChains}, ${first.times === 2 ? name : `${name} in next ${first.times - 1}`}] `
    + `${timesInWords(rows - 1)}`
}

function groupWords(step: GroupStep, speech: Speech, where = groupPlace(step, speech)): string {
  const parts = step.steps.map(part => groupPart(part, speech.terms))
  const rows = rowsWords(step, speech.terms)
  if (rows) return `(${parts.join(', ')} in ${where}${rows})`
  const what = parts.length === 1 ? parts[0]! : `(${parts.join(', ')})`
  return `${what} ${preposition(step.loop)} ${IN_LOOP[step.loop ?? 'both']}${where}`
}

/** A group repeated on its own is said in one breath: `2 sc in each st around`, `2 sc in each of next 5`. */
function repeatedGroup(group: GroupStep, times: number, speech: Speech): string | undefined {
  if ((group.aim ?? 'next') !== 'next' || speech.on.count === 1) return undefined
  if (group.landmark) return groupWords(group, speech, landmarkPlaces(group.landmark, times, speech))
  if (times === speech.on.count) return groupWords(group, speech, speech.across ? 'each st across' : 'each st around')
  return groupWords(group, speech, times === 1 ? 'next' : `each of next ${times}`)
}

function repeatWords(steps: readonly Step[], times: number, speech: Speech, alone: boolean): string {
  const only = steps.length === 1 ? steps[0]! : undefined
  const inOneBreath = only?.do === 'group' ? repeatedGroup(only, times, speech) : undefined
  if (inOneBreath) return inOneBreath
  const inside = stepsWords(steps, speech)
  if (times === 1) return inside
  // With brackets inside, how often would be taken to be said of the last of them.
  return alone && !inside.includes('[') ? `${inside}, ${timesInWords(times)}` : `[${inside}] ${timesInWords(times)}`
}

function stepWords(step: Step, speech: Speech, alone: boolean): string {
  switch (step.do) {
    case 'stitch':
      return stitchWords(step, speech)
    case 'group':
      return groupWords(step, speech)
    case 'together':
      return `${named(step.kind, step.loop, speech.terms)}${step.over}tog`
    case 'skip':
      return `${speech.terms === 'us' ? 'sk' : 'miss'} ${step.places === 1 ? 'next st' : `next ${step.places} sts`}`
    case 'chain':
      return `ch ${step.chains}`
    case 'repeat':
      return repeatWords(step.steps, step.times, speech, alone)
  }
}

/**
 * Steps in the published abbreviations, in order. A round that is one repeat from end to end needs no brackets:
 * `sc in next 3, 2 sc in next, eight times`; within other steps a repeat stands in square ones.
 */
export function stepsWords(steps: readonly Step[], speech: Speech): string {
  return steps.map(step => stepWords(step, speech, steps.length === 1)).join(', ')
}
