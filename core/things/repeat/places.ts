import type { Aim, GroupStep, Landmark, Loop } from '../round/step'
import { type Piece, Unreadable } from './piece'

/** Edge that a line is read on, where it speaks of all there is: how many places, how many of them spaces, and what a fan is. */
export interface Around {
  readonly places: number
  readonly spaces: number
  readonly fan?: GroupStep
}

/** Where a line says that something goes, and in how many such places. */
interface Place {
  readonly aim?: Aim
  readonly loop?: Loop
  readonly landmark?: Landmark
  readonly count: number
}

const LOOP_WORDS: readonly [RegExp, Loop][] = [
  [/^back loop of the near and both loops of the far layer at /i, 'backAndFar'],
  [/^back and third loops? of /i, 'backAndThird'], [/^back loop of /i, 'back'], [/^front loop of /i, 'front'],
  [/^back bump of /i, 'bump'], [/^both layers at /i, 'bothLayers'],
]

interface PlaceWords {
  readonly words: RegExp
  readonly aim?: Aim
  readonly landmark?: Landmark
}

/** How places are called; a number among the words is how many there are, one each. */
const PLACES: readonly PlaceWords[] = [
  { words: /^same (?:st|ch-sp|ch|loop|ring|row end|hole)$|^same$/i, aim: 'same' },
  { words: /^(?:each of )?(?:next|the) (?:(\d+) )?chs? of the ch-sp$/i, aim: 'chains' },
  { words: /^(?:each of )?next (?:(\d+) )?ch-sps?$/i, aim: 'space' },
  { words: /^(?:each of )?next (?:(\d+) )?loops?$/i, aim: 'space', landmark: 'loop' },
  { words: /^(?:next|same) sp between (?:sts|groups)$|^gap between sts$/i, aim: 'gap' },
  { words: /^the (?:skipped st|middle one of the \d+ skipped sts|\d+\w\w of the \d+ skipped sts) one round below$/i, aim: 'gapBelow' },
  { words: /^skipped st of the round below$/i, aim: 'gapBelow' },
  { words: /^(?:the )?sts? below (?:each of )?next(?: (\d+))?(?: sts?)?$/i, aim: 'below' },
  { words: /^(?:each of )?next(?: (\d+))?(?: (?:sts?|row ends?|holes?|chs?(?: along the underside of the ch)?))?$/i },
  { words: /^the (?:ch|\d+ chs)$|^each of the (\d+) chs$/i, aim: 'chains', landmark: 'bridge' },
  { words: /^the ch-loop over the slot$/i, landmark: 'overBridge' },
  { words: /^the loop you are in$/i, aim: 'space', landmark: 'thisLoop' },
  { words: /^this half of the loop you are in$/i, landmark: 'thisHalf' },
  { words: /^the other half of the first loop$/i, aim: 'start', landmark: 'otherHalf' },
  { words: /^ring$|^last ch$|^\d+\w\w ch from hook$|^foundation st made (?:last|first)$|^same (?:ch|foundation st) as the first st$/i },
]

/** Words for all there is: `each st around`, and which of it. */
const ALL = /^each ((?:st|ch-sp|ch|loop|hole)(?: and ch-sp| and st)?) (?:around|across)$|^\d+\w\w ch from hook and (?:in|of) each ch across$/i

function allOf(found: RegExpExecArray, { places, spaces }: Around): Place {
  return found[1]?.toLowerCase() === 'ch-sp' || found[1]?.toLowerCase() === 'loop' ? { aim: 'space', count: spaces } : { count: places }
}

/** Reads the words of a place; `around` says what there is, where a line speaks of all of it. */
export function placeOf({ text, at }: Piece, around: Around | undefined): Place {
  const loop = LOOP_WORDS.find(([words]) => words.test(text))
  const rest = loop ? text.replace(loop[0], '') : text
  const picked = loop ? { loop: loop[1] } : {}
  const all = around && ALL.exec(rest)
  if (all) return { ...allOf(all, around), ...picked }
  for (const { words, aim, landmark } of PLACES) {
    const found = words.exec(rest)
    if (found) return { ...(aim ? { aim } : {}), ...picked, ...(landmark ? { landmark } : {}), count: Number(found[1] ?? 1) }
  }
  throw new Unreadable(
    `"${text}" is not a place; write next st, next 3 sts, next ch-sp, same st, next sp between sts, the st below next st or the skipped st `
    + 'one round below',
    at,
    text.length,
  )
}
