import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { draft } from '../../core/bag/draft/draft'
import { patternOf, roundLines } from '../../core/readers/words/pattern'
import { SEED } from '../arbitraries/designs'
import { against, fansIn, layingOut } from '../oracle/atWork'
import { demoDesigns, randomDesigns } from './spokenOf'

/** A line as it is worked, and how to work another in its place. */
interface Case {
  readonly words: string
  readonly comesOut: (words: string) => boolean
}

function cases(): Case[] {
  const designs = [...demoDesigns().map(({ design }) => design), ...randomDesigns(40).slice(0, 40)]
  return designs.flatMap((design) => {
    const drafted = draft(design)
    const fans = fansIn(patternOf(drafted, 'us').special)
    return roundLines(drafted, 'us').map((line, i): Case => {
      const { on, edge, round } = drafted.rounds[i]!.worked
      const below = layingOut(on, drafted.start.kind === 'foundation-sc' && on.from[0] === -1)
      return {
        words: line.words,
        comesOut: words => !('what' in against({ ...line, words }, below, edge, 'us', fans, round.inLoops === true)),
      }
    })
  })
}

/** What is said before the first stitch makes none: a chain of 2 for one of 3 cannot be counted. */
const OPENING = /^(?:[^;:]*; |beg [^:]*: )*/i

/** Words that a slip could drop, and a count would show. */
const DROPPED = /\bnext \d+ |\b\d+ (?=sc|hdc|dc|tr)|, sk next (?:\d+ )?sts?|\d+tog|, ch \d+|\] \d+ times| of next \d+|\beach of /g

/** A line with one slip in it: a number off by one, or a word dropped; nothing if there is no place for one. */
function slip(words: string, at: number, plus: boolean): string | undefined {
  const start = OPENING.exec(words)![0].length
  const end = words.lastIndexOf('; join') > 0 ? words.lastIndexOf('; join') : words.length
  const body = words.slice(start, end)
  const figures = [...body.matchAll(/\d+(?!\w*\w ch from hook)/g)].map(({ index, 0: figure }) => ({
    index, length: figure.length, put: String(Number(figure) + (plus || Number(figure) < 2 ? 1 : -1)),
  }))
  const words_ = [...body.matchAll(DROPPED)].map(({ index, 0: word }) => ({
    index, length: word.length, put: /^next/.test(word) ? 'next ' : '',
  }))
  const all = [...figures, ...words_]
  const one = all[at % Math.max(1, all.length)]
  return one && words.slice(0, start) + body.slice(0, one.index) + one.put + body.slice(one.index + one.length) + words.slice(end)
}

describe('the stranger', () => {
  it('notices at least 95 of 100 slips: a number off by one, a word dropped', () => {
    // Of plain lines nothing can be dropped; a tall random bag may have hundreds of them.
    const all = cases().filter(({ words }) => slip(words, 0, true) !== undefined)
    const picks = fc.sample(fc.tuple(fc.nat(all.length - 1), fc.nat(1000), fc.boolean()), { seed: SEED.seed, numRuns: 4000 })
    let tried = 0
    const missed: string[] = []
    for (const [which, at, plus] of picks) {
      const { words, comesOut } = all[which]!
      const slipped = slip(words, at, plus)
      if (!slipped || slipped === words || tried === 500) continue
      tried++
      expect(comesOut(words), words).toBe(true)
      if (comesOut(slipped)) missed.push(`${words}\n   -> ${slipped}`)
    }
    expect(tried).toBe(500)
    expect(missed.length / tried, missed.slice(0, 10).join('\n')).toBeLessThanOrEqual(0.05)
  }, 300_000)
})
