import { describe, expect, it } from 'vitest'
import { elevation } from '../../readers/chart/elevation'
import { pieceChart } from '../../readers/chart/pieces'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { liningOf } from '../../bag/draft/findings/meshFindings'
import { yarnNeeds } from '../../bag/yarn/yarn'
import { patternOf } from '../../readers/words/pattern'

/* Half a centimetre wide and half a centimetre tall a single crochet; dc twice as tall (craft 4; from memory); chains as long. */
const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const disc = { kind: 'disc', stitch: 'sc', rounds: 20, grows: 'by-gauge', colour: 'main' }
const bag = (over: object = {}, more: object = {}): Design => ({
  ...newDesign('Two'), gauge, turnUp: 'plain', wall: [],
  base: { form: 'motifs', stitch: 'sc', colour: 'main', bands: [disc], open: { pin: { stitches: 32 } }, seam: 'slip', ...over }, ...more,
}) as unknown as Design

describe('two motifs laid together (craft 5; common practice, no source)', () => {
  it('are as far across as their rounds, and the mouth goes along what both leave open: by hand', () => {
    const { parts: [base], sizes } = draft(bag())
    // Twenty rounds of half a centimetre: 20 cm across. Round 20 has 2π · 10 / 0.5 = 126 stitches, of which 32 are a quarter of the circle.
    expect(base!.rounds.at(-1)!.edge.count).toBe(126)
    expect(sizes.flatWidth.cm).toBeCloseTo(20, 9)
    expect(base!.edge.count).toBe(64)
    const half = (32 * ((2 * Math.PI * 10) / 126)) / 2 / 10
    expect(sizes.mouth.cm).toBeCloseTo(2 * 20 * half, 6)
    expect(sizes.height.cm).toBeCloseTo(10 + 10 * Math.cos(half), 6)
  })

  it('drawn straight, the mouth is as wide as its chord: so many pairs are drawn together', () => {
    const { parts: [base], sizes } = draft(bag({ straight: { rows: 2 } }))
    const half = (32 * ((2 * Math.PI * 10) / 126)) / 2 / 10
    const chord = 2 * 10 * Math.sin(half)
    const mouth = base!.pieces.find(({ id }) => id === 'mouth')!
    expect(mouth.times).toBe(2)
    expect(mouth.rows.map(({ edge }) => edge.count)).toEqual([Math.round(chord / 0.5), Math.round(chord / 0.5)])
    expect(sizes.mouth.cm).toBeCloseTo(2 * chord, 6)
    expect(base!.edge.count).toBe(2 * Math.round(chord / 0.5))
  })

  it('take the yarn of two, are both in the pattern, and drawn round', () => {
    const made = draft(bag())
    const all = made.parts[0]!.rounds.reduce((sum, { edge }) => sum + edge.count, 0)
    expect(yarnNeeds(made)[0]!.stitches).toBe(2 * all)
    const pattern = patternOf(made, 'us')
    expect(pattern.sections.map(({ title }) => title)).toContain('The other motif')
    expect(pattern.sections[0]!.advice[0]).toContain('94 in all')
    const [other] = made.parts[0]!.pieces
    expect(other!.rows.every((_, i) => pieceChart(other!, false).rounds[i]!.number === i + 1)).toBe(true)
    expect(pieceChart(other!, false).box.width).toBeCloseTo(20, 0)
    const tall = elevation(made).reduce((sum, { heightCm }) => sum + heightCm, 0)
    expect(tall).toBeCloseTo(made.sizes.height.cm, 9)
    expect(Math.max(...elevation(made).map(({ outline }) => outline.lengthCm))).toBeCloseTo(20, 0)
  })

  it('get a lining of two circles', () => {
    const made = draft(bag({}, { lining: { seamCm: 1.5 } }))
    expect(liningOf(made.design, made.parts, made.sizes)).toMatchObject([{ cut: 'circle', lengthCm: 23, times: 2 }])
  })

  it('of loops leave loops open, and what comes next goes into them', () => {
    const bands = [
      { kind: 'disc', stitch: 'dc', rounds: 1, grows: 12, colour: 'main' },
      { kind: 'net', rounds: 4, chains: 5, skip: 0, longer: 0, more: 4, colour: 'main' },
    ]
    const wall = [{ id: 'part-1', kind: 'solid', stitch: 'sc', size: { pin: { rounds: 2 } }, colour: 'main' }]
    const made = draft(bag({ bands, open: { pin: { stitches: 12 } } }, { wall }))
    expect(made.findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    expect(made.parts.at(-1)!.edge.count).toBe(24)
  })

  it('say so where there is nothing to lay together', () => {
    const net = { kind: 'net', rounds: 4, chains: 5, skip: 0, longer: 0, more: 4, colour: 'main' }
    expect(draft(bag({ bands: [net] })).findings.find(({ weight }) => weight === 'stop')!.code).toBe('motif-begins')
  })
})
