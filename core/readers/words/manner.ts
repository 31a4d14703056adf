import { traitsOf } from '../../parts/part/start'
import type { Loop } from '../../things/round/step'
import type { StitchKind } from '../../things/stitch/dictionary'
import { ordinal } from './numbers'
import type { Clause, Count, Drawing, Into, Lot, Repeating, Sentence, Sort, Working } from './sentence'
import { POST, type Speech, endingWords, named, openingWords, placesOf, skipWord } from './openingWords'

const LOOP_WORDS: Readonly<Record<Loop, string>> = {
  both: '', back: 'back loop of ', front: 'front loop of ', backAndThird: 'back and third loops of ', frontPost: '', backPost: '',
  bump: 'back bump of ', bothLayers: 'both layers at ', backAndFar: 'back loop of the near and both loops of the far layer at ',
}

function nextWords(sort: Sort, places: number, each: boolean): string {
  if (sort === 'ring') return 'ring'
  if (places === 1) return `next ${placesOf(sort, 1)}`
  return `${each ? 'each of next' : 'next'} ${places} ${placesOf(sort, places)}`
}

function eachWords(sorts: readonly Sort[], across: boolean): string {
  return `each ${sorts.map(sort => placesOf(sort, 1)).join(' and ')} ${across ? 'across' : 'around'}`
}

function gapBelowWords(nth: number, of: number): string {
  if (of === 1) return 'the skipped st one round below'
  return `the ${nth * 2 === of + 1 ? 'middle one' : ordinal(nth)} of the ${of} skipped sts one round below`
}

/** The chain or foundation stitch that a round begins in. */
function firstChainWords({ start }: Speech): string {
  return traitsOf(start).stitched ? 'foundation st made last' : `${ordinal(start.firstInto ?? (start.chains || 2))} ch from hook`
}

/** Settings for the words of a place: how many there are, and whether `each` of them must be said. */
interface PlaceWording {
  readonly places: number
  readonly each: boolean
  readonly loop: Loop
  readonly speech: Speech
}

type IntoWords = { readonly [At in Into['at']]: (into: Extract<Into, { readonly at: At }>, said: PlaceWording) => string }

const INTO_WORDS: IntoWords = {
  next: ({ sort }, { places, each }) => nextWords(sort, places, each),
  each: ({ sorts }, { speech }) => eachWords(sorts, speech.across === true), same: ({ sort }) => `same ${placesOf(sort, 1)}`,
  gap: ({ again, between }) => `${again ? 'same' : 'next'} sp between ${between}`,
  below: (_, { places }) => (places === 1 ? 'the st below next st' : `the sts below next ${places} sts`),
  gapBelow: ({ nth, of }) => gapBelowWords(nth, of),
  singleChain: (_, { places }) => (places === 1 ? 'next ch of the ch-sp' : `next ${places} chs of the ch-sp`),
  bridge: ({ chains }) => (chains === 1 ? 'the ch' : `each of the ${chains} chs`), overBridge: () => 'the ch-loop over the slot',
  thisLoop: () => 'the loop you are in', thisHalf: () => 'this half of the loop you are in',
  otherHalf: () => 'the other half of the first loop', firstChain: (_, { speech }) => firstChainWords(speech),
  foundation: () => 'nothing',
  lastChain: (_, { speech }) => (traitsOf(speech.start).stitched ? 'foundation st made first' : 'last ch'),
  firstChainAgain: (_, { speech }) => `same ${traitsOf(speech.start).stitched ? 'foundation st' : 'ch'} as the first st`,
  alongChain: (_, { speech, loop }) => `${firstChainWords(speech)} and ${loop === 'both' ? 'in' : 'of'} each ch across`,
}

function intoWords(into: Into, said: PlaceWording): string {
  return (INTO_WORDS[into.at] as (into: Into, said: PlaceWording) => string)(into, said)
}

function lotWords(lot: Lot, name: (kind: StitchKind) => string): string {
  if ('chains' in lot) return `ch ${lot.chains}`
  return lot.times === 1 ? name(lot.kind) : `${lot.times} ${name(lot.kind)}`
}

/** Name of a fan, whose rows are told among the special stitches. */
const FAN = 'fan'

function workWords(clause: Working, speech: Speech): string {
  const { what, loop, into, places, rows } = clause
  const [only] = what
  const oneEach = what.length === 1 && only !== undefined && !('chains' in only) && only.times === 1
  const long = into.at === 'below' || into.at === 'gapBelow'
  const name = (kind: StitchKind) =>
    named(kind, { loop, ...(clause.backwards ? { backwards: true } : {}), ...(long ? { long } : {}) }, speech.terms)
  const lots = what.map(lot => lotWords(lot, name)).join(', ')
  const said = rows ? FAN : what.length === 1 ? lots : `(${lots})`
  if (into.at === 'foundation' && only && !('chains' in only)) return `${places} foundation ${name(only.kind)}`
  const preposition = POST[loop] ? 'around' : 'in'
  const each = !oneEach || loop === 'bump' || into.at === 'bridge'
  return `${said} ${preposition} ${LOOP_WORDS[loop]}${intoWords(into, { places, each, loop, speech })}`
}

/** Which loops are drawn together, where not both of each stitch. */
const TOGETHER_IN: Partial<Record<Loop, string>> = {
  back: ' in back loops', front: ' in front loops', backAndThird: ' in back and third loops',
}

const AT_HANDLE = { firstChain: 'first ch of the handle', lastChain: 'last ch of the handle' } as const

/** Name of one of the places that a stitch is drawn together over. */
function drawnOver(sort: Drawing['over'][number]): string {
  return sort === 'firstChain' || sort === 'lastChain' ? AT_HANDLE[sort] : placesOf(sort, 1)
}

/** `sc2tog` over stitches; over anything else it is said over what. */
function togetherWords({ kind, loop, over }: Drawing, speech: Speech): string {
  const stitch = `${named(kind, { loop }, speech.terms)}${over.length}tog${TOGETHER_IN[loop] ?? ''}`
  if (over.every(sort => sort === 'st')) return stitch
  if (over.some(sort => sort in AT_HANDLE))
    return `${stitch} over ${over.map(sort => (sort in AT_HANDLE ? drawnOver(sort) : `next ${drawnOver(sort)}`)).join(' and ')}`
  const same = over.every(sort => sort === over[0])
  const places = same ? `${over.length} ${placesOf(over[0] as Sort, over.length)}` : over.map(drawnOver).join(' and ')
  return `${stitch} over next ${places}`
}

/** Brackets of a repeat: those inside are square, those around others curly, so that it is seen which close which. */
function bracketed({ clauses, times }: Repeating, speech: Speech): string {
  const inside = clausesWords(clauses, speech)
  const [open, close] = clauses.some(({ say }) => say === 'repeat') ? '{}' : '[]'
  return `${open}${inside}${close} ${times} times`
}

function clauseWords(clause: Clause, speech: Speech): string {
  switch (clause.say) {
    case 'work':
      return workWords(clause, speech)
    case 'together':
      return togetherWords(clause, speech)
    case 'skip':
      return `${skipWord(speech.terms)} ${nextWords(clause.sort, clause.places, false)}`
    case 'chain':
      return `ch ${clause.chains}`
    case 'repeat':
      return bracketed(clause, speech)
  }
}

/** Clauses one after the other, repeats in brackets. */
function clausesWords(clauses: readonly Clause[], speech: Speech): string {
  return clauses.map(clause => clauseWords(clause, speech)).join(', ')
}

/** Clauses in the other school: what comes again stands after an asterisk; `around` if nothing else is in the round. */
function asteriskWords(clauses: readonly Clause[], speech: Speech): string {
  const alone = clauses.length === 1
  let said = ''
  clauses.forEach((clause, i) => {
    const before = i === 0 ? '' : said.endsWith('more times') || said.endsWith('once more') ? '; ' : ', '
    if (clause.say !== 'repeat') said += before + clauseWords(clause, speech)
    else said += `${before}*${clausesWords(clause.clauses, speech)}; rep from * ${alone ? '' : moreTimes(clause.times - 1)}`
    if (clause.say === 'repeat' && alone) said += `${speech.across ? 'across' : 'around'}`
  })
  return said
}

function moreTimes(times: number): string {
  return times === 1 ? 'once more' : `${times} more times`
}

/** A maker's own line, or a suggestion: clauses in brackets, without start or end. */
export function sayClauses(clauses: readonly Clause[], speech: Speech): string {
  return speech.repeats === 'asterisk' ? asteriskWords(clauses, speech) : clausesWords(clauses, speech)
}

/** A sentence in words, without its number and count. */
export function saySentence({ opening, clauses, ending }: Sentence, speech: Speech): string {
  const body = sayClauses(clauses, speech)
  return `${openingWords(opening, speech)}${body}${endingWords(ending, speech)}`
}

/** Yield of a round, as makers count it: `(40 sts)`, `(32 sts, 2 ch-32 sps)`, `(30 loops)`. */
export function sayCount({ stitches, spaces, inLoops }: Count): string {
  const number = spaces.reduce((sum, one) => sum + one.number, 0)
  if (inLoops) return `(${number} ${placesOf('loop', number)})`
  const said = [
    ...(stitches > 0 || number === 0 ? [`${stitches} ${placesOf('st', stitches)}`] : []),
    ...spaces.map(one => `${one.number} ch-${one.chains} ${one.number === 1 ? 'sp' : 'sps'}`),
  ]
  return `(${said.join(', ')})`
}
