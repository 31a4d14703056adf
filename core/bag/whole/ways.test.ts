import { describe, expect, it } from 'vitest'
import { CONTENT_KINDS, type Contents, roomOf } from '../../parts/contents/contents'
import { readDesign } from '../design/read'
import { draft } from '../draft/draft'
import { isStopped } from '../draft/fold/draftPart'
import { fromPattern, readWritten } from './fromPattern'
import { holdingBag } from './holding'

const said = {
  name: 'Mine', yarn: { name: 'cotton', colour: '#dddddd' },
  gauge: { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } },
}

describe('a bag for what goes in', () => {
  it.each(CONTENT_KINDS.map(({ kind, begins }) => [kind, begins as Contents]))('holds %s, and is worked to its end', (_, contents) => {
    const design = holdingBag(contents, said)
    expect(readDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true)
    const { parts, sizes, findings } = draft(design)
    expect(parts.filter(isStopped)).toEqual([])
    expect(sizes.height.cm).toBeGreaterThanOrEqual(roomOf(contents).heightCm)
    expect(findings.filter(({ code }) => code === 'contents-too-large')).toEqual([])
  })
})

// A common way to write a small pouch (common practice, no source): six more a round to 36, then straight, then drawn in.
const POUCH = `Notes: work in a spiral.
Rnd 1: 6 sc in magic ring (6)
Rnd 2: inc around (12)
Rnd 3: [sc, inc] x 6 (18)
Rnd 4: [2 sc, inc] x 6 (24 sts)
Rounds 5-12: sc around [24]
R13: [2 sc, dec] x 6 (18)
Rnd 14 – 15: sc around (18)
Fasten off.`

describe('a pattern that somebody wrote', () => {
  it('is read round by round, whatever its lines look like', () => {
    const { rounds, left } = readWritten(POUCH)
    expect(rounds.map(({ from, to, count }) => [from, to, count]))
      .toEqual([[1, 1, 6], [2, 2, 12], [3, 3, 18], [4, 4, 24], [5, 12, 24], [13, 13, 18], [14, 15, 18]])
    expect(left).toEqual(['Notes: work in a spiral.', 'Fasten off.'])
  })

  it('becomes a bag with the same count in every round', () => {
    const { design, says, left } = fromPattern(POUCH, said)!
    expect(readDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true)
    const { rounds, parts } = draft(design)
    expect(parts.filter(isStopped)).toEqual([])
    expect(rounds.map(({ worked }) => worked.edge.count)).toEqual([6, 12, 18, 24, ...Array<number>(8).fill(24), 18, 18, 18])
    expect(says).toBe('15 rounds read: a round floor of 4 rounds, 24 stitches, then walls of 24, 18 stitches.')
    expect(left).toHaveLength(2)
    expect(design.note).toContain('magic ring')
  })

  it('that begins with no disc is a tube; one without a count is none', () => {
    expect(draft(fromPattern('Round 1: sc around (60)\nRounds 2-9: sc around (60)', said)!.design).rounds).toHaveLength(10)
    expect(fromPattern('Make a nice bag.\nRound 1: sc around', said)).toBeUndefined()
  })
})
