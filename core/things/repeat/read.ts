import { type ChainStep, type GroupStep, type Loop, repeat, type Step, type StitchStep } from '../round/step'
import { STITCH_KINDS, type StitchKind, STITCHES, type Terms } from '../stitch/dictionary'
import { type Piece, Unreadable } from './piece'
import { type Around, placeOf } from './places'
import { TIMES, howOften, items } from './readItems'
import { ONE_PLACE, roundsOf, skippedSpaces } from './placesTaken'

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
