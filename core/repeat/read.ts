import { type Aim, type ChainStep, type GroupStep, type Loop, repeat, type Step, type StitchStep } from '../round/step'
import { STITCH_KINDS, type StitchKind, STITCHES, type Terms } from '../stitch/dictionary'

/*
 * Reading steps from the abbreviations that the words are written in (core/words): the other way about, in both
 * vocabularies. Items are parted by commas; square brackets hold what is repeated, round ones what goes into one place.
 *
 *     sc in next 3, 2 sc in next          [dc in next, ch 1, sk next st] four times
 *     (dc, ch 2, dc) in next ch-sp        FPdc around next 2, BPdc around next
 */

/** Steps read, or what could not be: where in the text, and what to write instead. */
export type Read
  = | { readonly ok: true, readonly steps: Step[] }
    | { readonly ok: false, readonly at: number, readonly length: number, readonly what: string }

/** Thrown within this file alone, and turned into a `Read` at its border. */
class Unreadable extends Error {
  constructor(
    readonly what: string,
    readonly at: number,
    readonly length: number,
  ) {
    super(what)
  }
}

/** A piece of the text, and where in the whole it stands. */
interface Piece {
  readonly text: string
  readonly at: number
}

const NUMBERS = [
  'once', 'twice', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen',
  'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty',
]
const TIMES = new RegExp(`^(once|twice|(?:${NUMBERS.slice(2).join('|')}|\\d+) times)$`, 'i')
const OPEN = '[('
const CLOSE = '])'

function howOften(text: string): number {
  const word = text.toLowerCase().replace(' times', '')
  const named = NUMBERS.indexOf(word)
  return named >= 0 ? named + 1 : Number(word)
}

function trimmed({ text, at }: Piece): Piece {
  const lead = text.length - text.trimStart().length
  return { text: text.trim(), at: at + lead }
}

/** The text cut at its commas and semicolons, those in brackets left alone. */
function items(piece: Piece): Piece[] {
  const found: Piece[] = []
  const open: number[] = []
  let from = 0
  const cut = (to: number) => found.push(trimmed({ text: piece.text.slice(from, to), at: piece.at + from }))
  for (let i = 0; i < piece.text.length; i++) {
    const sign = piece.text[i]!
    if (OPEN.includes(sign)) open.push(i)
    if (CLOSE.includes(sign)) {
      const opened = open.pop()
      if (opened === undefined || OPEN.indexOf(piece.text[opened]!) !== CLOSE.indexOf(sign))
        throw new Unreadable('this bracket closes nothing', piece.at + i, 1)
    }
    if (open.length === 0 && (sign === ',' || sign === ';')) {
      cut(i)
      from = i + 1
    }
  }
  if (open.length > 0) throw new Unreadable('this bracket is never closed', piece.at + open[0]!, 1)
  cut(piece.text.length)
  return found
}

/** A stitch by its abbreviation in the maker's vocabulary. */
function stitchOf(abbreviation: string, terms: Terms, at: number): StitchKind {
  const name = abbreviation.toLowerCase()
  const kind = STITCH_KINDS.find(one => STITCHES[one][terms].abbreviation === name)
  if (kind && !STITCHES[kind].inRuns) return kind
  const other: Terms = terms === 'us' ? 'uk' : 'us'
  const there = STITCH_KINDS.find(one => STITCHES[one][other].abbreviation === name)
  const hint = there
    ? `${abbreviation} is a ${other.toUpperCase()} abbreviation; write ${STITCHES[there][terms].abbreviation}`
    : `${abbreviation} is not a stitch known here; write ${STITCH_KINDS.slice(2)
      .map(one => STITCHES[one][terms].abbreviation)
      .join(', ')} or ch`
  throw new Unreadable(hint, at, abbreviation.length)
}

interface Place {
  readonly aim?: Aim
  readonly loop?: Loop
  readonly count: number
  /** `each of next 3`, as against `next 3`. */
  readonly each: boolean
}

const LOOP_WORDS: readonly [RegExp, Loop][] = [
  [/^back and third loops? of /i, 'backAndThird'], [/^back loop of /i, 'back'], [/^front loop of /i, 'front'],
  [/^back bump of /i, 'bump'], [/^both layers at /i, 'bothLayers'],
]

const PLACES: readonly [RegExp, Aim | undefined][] = [
  [/^(?:same st|same)$/i, 'same'], [/^(?:next|each of next (\d+)) ch-sps?$/i, 'space'],
  [/^(?:next ch|each of next (\d+) chs)$/i, 'chains'], [/^gap between sts$/i, 'gap'], [/^skipped st of the round below$/i, 'gapBelow'],
  [/^st below (?:next|each of next (\d+))(?: sts?)?$/i, 'below'], [/^(?:next(?: (\d+))?|each of next (\d+))(?: sts?)?$/i, undefined],
]

function placeOf({ text, at }: Piece): Place {
  const loop = LOOP_WORDS.find(([words]) => words.test(text))
  const rest = loop ? text.replace(loop[0], '') : text
  for (const [words, aim] of PLACES) {
    const found = words.exec(rest)
    if (found)
      return {
        ...(aim ? { aim } : {}), ...(loop ? { loop: loop[1] } : {}), count: Number(found[1] ?? found[2] ?? 1),
        each: /each of/i.test(rest),
      }
  }
  throw new Unreadable(
    `"${text}" is not a place; write next, next 3, next ch-sp, same st, gap between sts, st below next or skipped st of the round below`,
    at,
    text.length,
  )
}

/** Keeps a slip of the keyboard from making a round of millions. */
const MOST = 500

function within(n: number, { text, at }: Piece): number {
  if (n >= 1 && n <= MOST) return n
  throw new Unreadable(`numbers go from 1 to ${MOST}`, at, text.length)
}

const STITCH = /^(?:(\d+) )?(FP|BP)?([a-z]+(?: st)?) (in|around) (.+)$/i
const TOGETHER = /^(FP|BP)?([a-z]+?)(\d+)tog$/i
const SKIP = /^(?:sk|skip|miss)(?: next)?(?: (\d+))?(?: (?:sts?|chs?|ch-sps?))?$/i
const CHAIN = /^ch (\d+)$/i
const GROUP = /^\((.*)\) in (.+)$/i
const REPEAT = /^\[(.*)\] (.+)$/i

function stitchItem(piece: Piece, terms: Terms, found: RegExpExecArray): Step {
  const [, by, post, name, , where] = found as unknown as [string, string | undefined, string | undefined, string, string, string]
  const kind = stitchOf(name, terms, piece.at + piece.text.indexOf(name))
  const { count, each, loop: picked, ...aim } = placeOf({ text: where, at: piece.at + piece.text.length - where.length })
  const loop: Loop | undefined = post ? (post.toUpperCase() === 'FP' ? 'frontPost' : 'backPost') : picked
  const more = { ...aim, ...(loop ? { loop } : {}) }
  const times = within(Number(by ?? 1), piece)
  within(count, piece)
  if (times === 1) return { do: 'stitch', kind, times: count, ...more }
  if (['gap', 'gapBelow', 'same'].includes(aim.aim ?? 'next') && aim.aim !== 'gap') return { do: 'stitch', kind, times, ...more }
  const group: GroupStep = { do: 'group', steps: [{ do: 'stitch', kind, times }], ...more }
  return each ? repeat(count, group) : group
}

function groupItem(piece: Piece, terms: Terms, found: RegExpExecArray): Step {
  const [, inside, where] = found as unknown as [string, string, string]
  const steps = items({ text: inside, at: piece.at + 1 }).map((part): StitchStep | ChainStep => {
    const chain = CHAIN.exec(part.text)
    if (chain) return { do: 'chain', chains: within(Number(chain[1]), part) }
    const stitch = /^(?:(\d+) )?([a-z]+(?: st)?)$/i.exec(part.text)
    if (!stitch)
      throw new Unreadable(
        'within round brackets write stitches and chains alone, such as (dc, ch 2, dc)',
        part.at,
        Math.max(1, part.text.length),
      )
    return { do: 'stitch', kind: stitchOf(stitch[2]!, terms, part.at), times: within(Number(stitch[1] ?? 1), part) }
  })
  const { count, each, ...more } = placeOf({ text: where, at: piece.at + piece.text.length - where.length })
  const group: GroupStep = { do: 'group', steps, ...more }
  return each ? repeat(within(count, piece), group) : group
}

function repeatItem(piece: Piece, terms: Terms, found: RegExpExecArray): Step {
  const [, inside, often] = found as unknown as [string, string, string]
  if (!TIMES.test(often))
    throw new Unreadable('say how often, such as twice or four times', piece.at + piece.text.length - often.length, often.length)
  return repeat(within(howOften(often), piece), ...stepsOf({ text: inside, at: piece.at + 1 }, terms))
}

function stepOf(piece: Piece, terms: Terms): Step {
  const { text, at } = piece
  const bracketed = REPEAT.exec(text)
  if (bracketed) return repeatItem(piece, terms, bracketed)
  const group = GROUP.exec(text)
  if (group) return groupItem(piece, terms, group)
  const chain = CHAIN.exec(text)
  if (chain) return { do: 'chain', chains: within(Number(chain[1]), piece) }
  const skip = SKIP.exec(text)
  if (skip) return { do: 'skip', places: within(Number(skip[1] ?? 1), piece) }
  const together = TOGETHER.exec(text)
  if (together)
    return {
      do: 'together', kind: stitchOf(together[2]!, terms, at + (together[1]?.length ?? 0)), over: within(Number(together[3]), piece),
    }
  const stitch = STITCH.exec(text)
  if (stitch) return stitchItem(piece, terms, stitch)
  throw new Unreadable(
    text
      ? `"${text}" cannot be read; write it like ${terms === 'us' ? 'sc in next 3, sk next st' : 'dc in next 3, miss next st'} or `
      + `(${STITCHES.dc[terms].abbreviation}, ch 2, ${STITCHES.dc[terms].abbreviation}) in next`
      : 'something is missing here',
    at,
    Math.max(1, text.length),
  )
}

function stepsOf(piece: Piece, terms: Terms): Step[] {
  const all = items(piece)
  const last = all.at(-1)!
  if (all.length > 1 && TIMES.test(last.text))
    return [repeat(within(howOften(last.text), last), ...all.slice(0, -1).map(item => stepOf(item, terms)))]
  return all.map(item => stepOf(item, terms))
}

/** Reads steps from a line of abbreviations. */
export function readSteps(text: string, terms: Terms): Read {
  try {
    return { ok: true, steps: stepsOf({ text: text.replace(/\.\s*$/, ''), at: 0 }, terms) }
  }
  catch (error) {
    if (!(error instanceof Unreadable)) throw error
    return { ok: false, at: error.at, length: error.length, what: error.what }
  }
}
