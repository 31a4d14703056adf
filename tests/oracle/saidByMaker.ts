import { type Edge, foundation } from '../../core/round/edge'

/** An edge of plain stitches, for speaking about. */
export function edgeFor(count: number): Edge {
  return foundation('stitch', count)
}

const NUMBERS = [
  '', '', 'twice', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen',
  'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty',
]

interface Said {
  made: number
  used: number
}

/** Places that have a name, and hold one lot of stitches. */
const ONE_PLACE = /^(ring|the loop you are in|last ch|the ch you began in|(first|last) foundation st( again)?|\d+\w\w ch from hook)$/
const ALL = /^(each (st|ch) (around|across)|\d+\w\w ch from hook and in each ch across)$/

/** The chain over a slot or a buttonhole, in its chains or as a whole: one place, whatever is worked into it. */
const BRIDGE = /^(?:each of the (\d+) chs|the ch|the ch-loop over the slot)$/

const CLOSING = /in first (sc|dc) to close the last loop$/

function timesOf(word: string): number {
  const n = NUMBERS.indexOf(word.replace(' times', ''))
  return n > 0 ? n : Number(word.replace(' times', ''))
}

/** What is in one place: `dc, ch 2, dc` is three things, a run of chains being one space. */
function inOnePlace(text: string): number {
  return text.split(', ').reduce((sum, part) => sum + (/^ch \d+$/.test(part) ? 1 : Number(/^(\d+) /.exec(part)?.[1] ?? 1)), 0)
}

/** Places that use nothing up. */
const NOTHING = /^(same st|gap between sts|skipped st of the round below)$/

/**
 * One instruction as a maker takes it: how many stitches it makes and how many of the round below it uses; no number if it goes into chain
 * spaces.
 */
function one(text: string, below: number): Said {
  if (/^ch \d+$/i.test(text)) return { made: 1, used: 0 }
  const skipped = /^(?:sk|miss) next(?: (\d+))? sts?$/i.exec(text)
  if (skipped) return { made: 0, used: Number(skipped[1] ?? 1) }
  if (/^(?:sk|miss) next ch-sp$/i.test(text)) return { made: 0, used: 1 }
  const drawn = /^(?:sc|hdc|dc|tr|htr|dtr)(\d+)tog$/i.exec(text)
  if (drawn) return { made: 1, used: Number(drawn[1]) }
  const match
    = /^(?:(\d+) )?(?:\((.*)\)|(?:[FB]P)?(?:sc|hdc|dc|tr|htr|dtr|sl st|ss)) (?:in|around) (?:back and third loops of |back loop of |back bump of |both layers at )?(.+)$/i.exec(
      text,
    )
  if (!match) throw new Error(`cannot read "${text}"`)
  const by = match[2] === undefined ? Number(match[1] ?? 1) : inOnePlace(match[2])
  return into(match[3]!, by, below)
}

/** So many stitches in each of some places. */
function into(where: string, by: number, below: number): Said {
  if (ONE_PLACE.test(where)) return { made: by, used: where.includes('loop') ? NaN : 1 }
  const bridge = BRIDGE.exec(where)
  if (bridge) return { made: by * Number(bridge[1] ?? 1), used: 1 }
  if (NOTHING.test(where)) return { made: by, used: 0 }
  if (ALL.test(where)) return { made: by * below, used: below }
  const n = Number(
    /(?:each of )?next(?: (\d+))?(?: (?:chs?|sts?|ch-sps?|loops?|holes?|row ends?|along the underside))?$/.exec(where)![1] ?? 1,
  )
  return { made: by * n, used: /ch-sp|loop/.test(where) ? NaN : n }
}

/** A list cut at its commas, round brackets left whole. */
function items(text: string): string[] {
  return text.split(/, (?![^(]*\))/)
}

/** Repeats in square brackets, innermost first: each is worked out and stands as `#0`, `#1`, ... in what is left. */
function body(text: string, below: number): Said {
  const done: Said[] = []
  const counted = (inside: string) =>
    items(inside)
      .map(item => (item.startsWith('#') ? done[Number(item.slice(1))]! : one(item, below)))
      .reduce((a, b) => ({ made: a.made + b.made, used: a.used + b.used }))
  const overAgain = ({ made, used }: Said, times: number) => ({ made: made * times, used: used * times })
  const innermost = /\[([^[\]]*)\] (twice|\w+ times)/
  let left = text
  for (let found = innermost.exec(left); found; found = innermost.exec(left)) {
    done.push(overAgain(counted(found[1]!), timesOf(found[2]!)))
    left = left.replace(found[0], `#${done.length - 1}`)
  }
  const whole = done.length === 0 ? /^(.*), (twice|\w+ times)$/.exec(left) : undefined
  return whole ? overAgain(counted(whole[1]!), timesOf(whole[2]!)) : counted(left)
}

/**
 * Reads a round's words the way a maker does, knowing nothing of steps: a check on the words from outside, for tests.
 * A counting starting chain is a stitch of its own, standing on the first place.
 */
export function said(words: string, below: number): Said {
  // A fan worked back and forth is met again by its last row alone; a closing makes one loop more.
  const clauses = words.replace(/\((\d+ \w+ in next loop), then \[[^\]]*\] [\w ]+?\)/g, '$1').split('; ')
  const closings = clauses.filter(clause => CLOSING.test(clause)).length
  const counts = clauses.some(clause => /counts? as first/.test(clause))
  const steps = clauses.filter(
    clause =>
      !CLOSING.test(clause)
      && !/to the new start$/.test(clause)
      && !/^(ch \d+( \(.*\))?(, turn)?$|skipped chs|(sk|miss) \d+ chs|join with)/i.test(clause),
  )
  const sum = steps.length > 0 ? body(steps.join('; '), below) : { made: 0, used: 0 }
  const intoFoundation = below === 1
  return { made: sum.made + closings + (counts ? 1 : 0), used: sum.used + (counts && !intoFoundation ? 1 : 0) }
}
