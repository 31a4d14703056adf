import { describe, expect, it } from 'vitest'
import { draft } from '../../core/bag/draft/draft'
import { placesOf } from '../../core/things/round/edge'
import type { GroupStep, Step } from '../../core/things/round/step'
import { work } from '../../core/things/round/workRound'
import type { WorkedRound } from '../../core/things/round/workedRound'
import { patternOf, roundLines } from '../../core/readers/words/pattern'
import { readRound } from '../../core/readers/words/readRound'
import { fansIn, mismatches } from '../oracle/atWork'
import { demoDesigns, MANNERS, randomDesigns } from './spokenOf'

const LONG_MS = 1_200_000
const randoms = randomDesigns(60)

describe('a stranger who works the words comes to what the draft says, stitch for stitch and space for space', () => {
  it.each(MANNERS)(
    'in %s terms with %s: every demo bag',
    (terms, repeats) => {
      for (const { name, design } of demoDesigns()) {
        const drafted = draft(design)
        const { found, rounds } = mismatches(drafted, terms, repeats, fansIn(patternOf(drafted, terms, repeats).special))
        expect(found, name).toEqual([])
        expect(rounds).toBeGreaterThan(10)
      }
    },
    LONG_MS,
  )

  it.each(MANNERS)(
    'in %s terms with %s: random bags',
    (terms, repeats) => {
      for (const design of randoms) {
        const drafted = draft(design)
        expect(mismatches(drafted, terms, repeats, fansIn(patternOf(drafted, terms, repeats).special)).found).toEqual([])
      }
    },
    LONG_MS,
  )
})

/** The fan of a round, which its words only name. */
function fanOf(steps: readonly Step[]): GroupStep | undefined {
  for (const step of steps) {
    if (step.do === 'group' && (step.rows ?? 1) > 1) return step
    const inside = step.do === 'repeat' ? fanOf(step.steps) : undefined
    if (inside) return inside
  }
  return undefined
}

/** What there is to compare of a round worked: a counting chain has no loops of its own. */
function plainly({ stitches, loops, edge, round }: WorkedRound): unknown {
  const picked = [...loops]
  if (round.begin.counts) picked[0] = 0
  return [[...stitches], picked, [...edge.kinds], [...edge.chains], [...edge.from], [...edge.to]]
}

describe('law 2: reading a round\'s words gives the round back, starts and joins included', () => {
  it.each(MANNERS)(
    'in %s terms with %s',
    (terms, repeats) => {
      for (const design of randoms) {
        const drafted = draft(design)
        roundLines(drafted, terms, repeats).forEach((line, i) => {
          const { worked } = drafted.rounds[i]!
          const { on, round } = worked
          const fan = fanOf(round.steps)
          const inChain = on.from[0] === -1 && placesOf(on, 'chain') > 0 && on.kinds[0] === 3 && drafted.start.kind !== 'foundation-sc'
          const read = readRound(line.words, terms, {
            places: on.count, spaces: placesOf(on, 'space'), across: round.join === 'open', ...(fan ? { fan } : {}),
            ...(inChain && drafted.start.firstInto ? { firstInto: drafted.start.firstInto } : {}),
          })
          if (!read.ok) throw new Error(`${line.words}: ${read.what}`)
          const { begin, join, closing } = read.round
          expect({ ...begin, join, closing }, line.words).toEqual({ ...round.begin, join: round.join, closing: round.closing })
          const again = work({ ...round, ...read.round }, on)
          expect(again.ok && plainly(again.worked), line.words).toEqual(plainly(worked))
        })
      }
    },
    LONG_MS,
  )
})
