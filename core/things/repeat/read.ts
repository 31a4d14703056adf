import { type Aim, type ChainStep, type GroupStep, type Loop, repeat, type SkipStep, type Step, type StitchStep } from '../round/step'
import { STITCH_KINDS, type StitchKind, STITCHES, type Terms } from '../stitch/dictionary'
import { type Piece, Unreadable } from './piece'
import { type Around, placeOf } from './places'

export type { Around } from './places'

/*
 * Reading steps from the abbreviations that the words are written in (core/readers/words): the other way about, in both vocabularies,
 * and in shorter forms that makers write. Items are parted by commas; square or curly brackets hold what is repeated, or an asterisk
 * marks where it begins; round brackets hold what goes into one place.
 *
 *     sc in next 3 sts, 2 sc in next st          [dc in next st, ch 1, sk next st] 4 times
 *     (dc, ch 2, dc) in next ch-sp               FPdc around next 2 sts, BPdc around next st
 *     *sc in next st, ch 1, sk next st; rep from * 3 more times
 */

/** Steps read, or what could not be: where in the text, and what to write instead. */
export type StepsReading
  = | { readonly ok: true, readonly steps: Step[] }
    | { readonly ok: false, readonly at: number, readonly length: number, readonly what: string }

const NUMBERS = [
  'once', 'twice', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen',
  'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty',
]
const TIMES = new RegExp(`^(once|twice|(?:${NUMBERS.slice(2).join('|')}|\\d+) times)$`, 'i')
const OPEN = '[({'
const CLOSE = '])}'

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

const STITCH = /^(?:(\d+) )?(long |reverse )?(FP|BP)?([a-z]+(?: st)?) (in|around) (.+)$/i
const LOOPS_TOGETHER: Readonly<Record<string, Loop>> = { 'back': 'back', 'front': 'front', 'back and third': 'backAndThird' }
const TOGETHER = /^(FP|BP)?([a-z]+?)(\d+)tog(?: in (back|front|back and third) loops)?(?: over ((?:next|last ch of the handle and) .+))?$/i
const FOUNDATION = /^(\d+) foundation ([a-z]+)$/i
const LAST_CHAIN = /^last ch of the handle/i
const FIRST_CHAIN = /first ch of the handle$/i
/** Spaces that are passed over; of loops the stitches between them are passed too. */
function skippedSpaces(sort: string | undefined): Partial<SkipStep> {
  if (!sort) return {}
  return /^loop/i.test(sort) ? { of: 'loop', aim: 'space' } : { of: 'space' }
}

const SKIP
  = /^(?:sk|skip|miss)(?: next)?(?: (\d+))?(?: (?:sts?|chs?(?: along the underside of the ch)?|(ch-sps?|loops?)|row ends?|holes?))?$/i
const CHAIN = /^ch (\d+)$/i
const GROUP = /^\((.*)\) (?:in|around) (.+)$/i
const REPEAT = /^[[{](.*)[\]}] (.+)$/i
const FAN = /^fan in (.+)$/i
const STARRED = /^\*(.*)$/i
const AGAIN = /^rep from \* (?:(around|across)|(once more)|(\d+) more times)$/i

/** Keeps a slip of the keyboard from making a round of millions; a round that was written by the program may be longer. */
const MOST = 500
const MOST_AROUND = 200_000

/** Places that take all that is said to go into them, however much that is. */
const ONE_PLACE: readonly Aim[] = ['gap', 'gapBelow', 'same', 'start']

/** Reads a line: its terms, and what it is read on. */
class Reader {
  constructor(
    private readonly terms: Terms,
    private readonly around: Around | undefined,
  ) {}

  /** A number of a line, which must not be beyond what one can mean. */
  private within(n: number, { text, at }: Piece): number {
    const most = this.around ? MOST_AROUND : MOST
    if (n >= 1 && n <= most) return n
    throw new Unreadable(`numbers go from 1 to ${most}`, at, text.length)
  }

  steps(piece: Piece): Step[] {
    const all = items(piece)
    const last = all.at(-1)!
    if (all.length > 1 && TIMES.test(last.text))
      return [repeat(this.within(howOften(last.text), last), ...all.slice(0, -1).flatMap(item => this.step(item)))]
    return this.starred(all)
  }

  /** Items one after the other; from an asterisk to `rep from *` they are one repeat. */
  private starred(all: readonly Piece[]): Step[] {
    const found: Step[] = []
    let from: Step[] | undefined
    for (const item of all) {
      const star = STARRED.exec(item.text)
      const again = AGAIN.exec(item.text)
      if (star) from = this.step({ text: star[1]!, at: item.at + 1 })
      else if (!again) (from ?? found).push(...this.step(item))
      else {
        if (!from) throw new Unreadable('there is no * before this to repeat from', item.at, item.text.length)
        found.push(this.again(from, again, item))
        from = undefined
      }
    }
    if (from)
      throw new Unreadable(
        'say how often this comes again, such as "rep from * 3 ' + 'more times"',
        all.at(-1)!.at,
        all.at(-1)!.text.length,
      )
    return found
  }

  private again(steps: readonly Step[], [, around, once, more]: RegExpExecArray, piece: Piece): Step {
    if (once) return repeat(2, ...steps)
    if (more) return repeat(this.within(Number(more) + 1, piece), ...steps)
    if (!this.around) throw new Unreadable(`write a number of times instead of "${around}"`, piece.at, piece.text.length)
    return repeat(roundsOf(steps, this.around), ...steps)
  }

  private step(piece: Piece): Step[] {
    const { text, at } = piece
    const bracketed = REPEAT.exec(text)
    if (bracketed) return [this.repeatItem(piece, bracketed)]
    const group = GROUP.exec(text)
    if (group) return [this.groupItem(piece, group)]
    const fan = FAN.exec(text)
    if (fan && this.around?.fan) return [{ ...this.around.fan }]
    const foundation = FOUNDATION.exec(text)
    if (foundation) return [this.foundationItem(piece, foundation)]
    const chain = CHAIN.exec(text)
    if (chain) return [{ do: 'chain', chains: this.within(Number(chain[1]), piece) }]
    const skip = SKIP.exec(text)
    if (skip) return [{ do: 'skip', places: this.within(Number(skip[1] ?? 1), piece), ...skippedSpaces(skip[2]) }]
    const together = TOGETHER.exec(text)
    if (together) return [this.togetherItem(piece, together)]
    const stitch = STITCH.exec(text)
    if (stitch) return [this.stitchItem(piece, stitch)]
    throw new Unreadable(this.unreadable(text), at, Math.max(1, text.length))
  }

  private unreadable(text: string): string {
    const { terms } = this
    const { abbreviation } = STITCHES.dc[terms]
    if (!text) return 'something is missing here'
    return (
      `"${text}" cannot be read; write it like `
      + `${terms === 'us' ? 'sc in next 3 sts, sk next st' : 'dc in next 3 sts, miss next st'} or `
      + `(${abbreviation}, ch 2, ${abbreviation}) in next st`
    )
  }

  private foundationItem(piece: Piece, [, times, name]: RegExpExecArray): Step {
    const kind = stitchOf(name!, this.terms, piece.at + piece.text.indexOf(name!))
    return { do: 'stitch', kind, times: this.within(Number(times), piece), landmark: 'foundation' }
  }

  private togetherItem(piece: Piece, [, post, name, over, loops, places = '']: RegExpExecArray): Step {
    const loop = postLoop(post) ?? (loops ? LOOPS_TOGETHER[loops.toLowerCase()] : undefined)
    const ends = [LAST_CHAIN.test(places) ? 'last' : '', FIRST_CHAIN.test(places) ? 'first' : ''].filter(Boolean)
    const chain = ends.length === 2 ? 'both' : (ends[0] as 'first' | 'last' | undefined)
    return {
      do: 'together', kind: stitchOf(name!, this.terms, piece.at + (post?.length ?? 0)), over: this.within(Number(over), piece),
      ...(loop ? { loop } : {}), ...(chain ? { chain } : {}),
    }
  }

  private stitchItem(piece: Piece, [, by, how, post, name, , where]: RegExpExecArray): Step {
    const kind = stitchOf(name!, this.terms, piece.at + piece.text.indexOf(name!))
    const { count, loop: picked, ...place } = placeOf({ text: where!, at: piece.at + piece.text.length - where!.length }, this.around)
    const loop = postLoop(post) ?? picked
    const more = { ...place, ...(loop ? { loop } : {}), ...(/reverse/i.test(how ?? '') ? { backwards: true as const } : {}) }
    const times = this.within(Number(by ?? 1), piece)
    this.within(count, piece)
    if (times === 1) return { do: 'stitch', kind, times: count, ...more }
    if (place.aim && ONE_PLACE.includes(place.aim) && place.aim !== 'gap') return { do: 'stitch', kind, times, ...more }
    const { backwards: _, ...grouped } = { backwards: undefined, ...more }
    const group: GroupStep = { do: 'group', steps: [{ do: 'stitch', kind, times }], ...grouped }
    return count > 1 ? repeat(count, group) : group
  }

  private groupItem(piece: Piece, [, inside, where]: RegExpExecArray): Step {
    let loop: Loop | undefined
    const steps = items({ text: inside!, at: piece.at + 1 }).map((part): StitchStep | ChainStep => {
      const chain = CHAIN.exec(part.text)
      if (chain) return { do: 'chain', chains: this.within(Number(chain[1]), part) }
      const stitch = /^(?:(\d+) )?(FP|BP)?([a-z]+(?: st)?)$/i.exec(part.text)
      if (!stitch)
        throw new Unreadable(
          'within round brackets write stitches and chains alone, such as (dc, ch 2, dc)',
          part.at,
          Math.max(1, part.text.length),
        )
      loop ??= postLoop(stitch[2])
      return { do: 'stitch', kind: stitchOf(stitch[3]!, this.terms, part.at), times: this.within(Number(stitch[1] ?? 1), part) }
    })
    const { count, ...more } = placeOf({ text: where!, at: piece.at + piece.text.length - where!.length }, this.around)
    const group: GroupStep = { do: 'group', steps, ...more, ...(loop ? { loop } : {}) }
    return count > 1 ? repeat(this.within(count, piece), group) : group
  }

  private repeatItem(piece: Piece, [, inside, often]: RegExpExecArray): Step {
    if (!TIMES.test(often!))
      throw new Unreadable('say how often, such as 2 times or 4 times', piece.at + piece.text.length - often!.length, often!.length)
    return repeat(this.within(howOften(often!), piece), ...this.steps({ text: inside!, at: piece.at + 1 }))
  }
}

function postLoop(post: string | undefined): Loop | undefined {
  if (!post) return undefined
  return post.toUpperCase() === 'FP' ? 'frontPost' : 'backPost'
}

/** How often steps go round: by the places they use up, or the spaces if they go into those. */
function roundsOf(steps: readonly Step[], { places, spaces }: Around): number {
  const used = usedBy(steps)
  return used.spaces > 0 && used.places === 0 ? spaces / used.spaces : places / Math.max(1, used.places + used.spaces)
}

/** Places and spaces that steps use up. */
function usedBy(steps: readonly Step[]): { readonly places: number, readonly spaces: number } {
  let places = 0
  let spaces = 0
  for (const step of steps) {
    if (step.do === 'chain') continue
    if (step.do === 'skip') places += step.places
    else if (step.do === 'together') places += step.over - (step.chain === 'both' ? 2 : step.chain ? 1 : 0)
    else if (step.do === 'repeat') {
      const inside = usedBy(step.steps)
      places += step.times * inside.places
      spaces += step.times * inside.spaces
    }
    else if (step.aim === 'space') spaces += step.do === 'stitch' ? step.times : 1
    else if (step.aim === 'chains') places += step.landmark === 'bridge' ? 1 : 0
    else if (!step.aim || !ONE_PLACE.includes(step.aim)) places += step.do === 'stitch' ? step.times : 1
  }
  return { places, spaces }
}

/** Reads steps from a line of abbreviations; `around` says what it is read on, where it may speak of all there is. */
export function readSteps(text: string, terms: Terms, around?: Around): StepsReading {
  try {
    return { ok: true, steps: new Reader(terms, around).steps({ text: text.replace(/\.\s*$/, ''), at: 0 }) }
  }
  catch (error) {
    if (!(error instanceof Unreadable)) throw error
    return { ok: false, at: error.at, length: error.length, what: error.what }
  }
}
