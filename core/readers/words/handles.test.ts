import { stacked } from '../../bag/design/partIds'
import { describe, expect, it } from 'vitest'
import bulbSling from '../../../demo/bulb-sling.json'
import satchel from '../../../demo/seed-catalogue-satchel.json'
import appleTote from '../../../demo/apple-tote.json'
import type { Design } from '../../bag/design/design'
import { readDesign } from '../../bag/design/read'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { exportDraft } from '../export/exportDraft'
import type { SlotsSpec } from '../../parts/handle/slotSpec'
import type { Rounds } from '../../things/round/style'
import type { WallSpec } from '../../parts/wall/wall'
import { asCsv } from './asCsv'
import { asRecord } from './asJson'
import { patternOf, roundLines } from './pattern'

const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const plain: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 4 } }, colour: 'main' }
const slots: SlotsSpec = {
  kind: 'slots', number: 2, width: { pin: { stitches: 16 } }, chains: { pin: { chains: 32 } }, into: 'chains', corners: 1, rounds: 2,
  stitch: 'sc', nudge: 0, colour: 'main',
}
const joined: Rounds = { style: 'joined', startingChainCounts: false }
const bag = (top: WallSpec, rounds: Rounds = joined): Design => ({
  ...newDesign('Tube'), gauge, rounds, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 64 } }, colour: 'main' },
  turnUp: 'plain', wall: stacked([plain, top]),
})
const lastRounds = (design: Design, terms: 'us' | 'uk' = 'us') =>
  roundLines(draft(design), terms)
    .slice(-3)
    .map(({ words, count }) => `${words} ${count}`)
const demo = (document: unknown) => {
  const reading = readDesign(document)
  if (!reading.ok) throw new Error('the demo is broken')
  return draft(reading.document)
}

describe('the rounds of slots, as makers write them', () => {
  it('joined, in US terms', () => {
    expect(lastRounds(bag(slots))).toEqual([
      'Ch 1; beg in same st as join: sc in next 8 sts, ch 32, sk next 16 sts, sc in next 16 sts, ch 32, sk next 16 sts, sc in next 8 '
      + 'sts; join with sl st to first sc (32 sts, 2 ch-32 sps)',
      'Ch 1; beg in same st as join: sc in next 8 sts, sc in each of the 32 chs, sc in next 16 sts, sc in each of the 32 chs, sc in '
      + 'next 8 sts; join with sl st to first sc (96 sts)',
      'Ch 1; beg in same st as join: sc in next 7 sts, sc2tog, sc in next 30 sts, sc2tog, sc in next 14 sts, sc2tog, sc in next 30 '
      + 'sts, sc2tog, sc in next 7 sts; join with sl st to first sc (92 sts)',
    ])
  })

  it('in a spiral and UK terms, around the chain', () => {
    expect(
      lastRounds(bag({ ...slots, number: 1, into: 'over', corners: 0 }, { style: 'spiral', startingChainCounts: false, leanPerTen: 0 }),
        'uk'),
    ).toEqual([
      'Dc in next 8 sts, ch 32, miss next 16 sts, dc in next 40 sts (48 sts, 1 ch-32 sp)',
      'Dc in next 8 sts, 32 dc in the ch-loop over the slot, dc in next 40 sts (80 sts)', 'Dc in each st around (80 sts)',
    ])
  })

  it('say the way to the new start where the old one lies in a slot, turned or not', () => {
    expect(lastRounds(bag({ ...slots, sideAt: 16 }))[0]).toMatch(
      /^Sl st in next 16 sts to the new start; ch 1; beg in same st as last of these: sc in next 8 sts, ch 32/,
    )
    expect(lastRounds(bag({ ...slots, sideAt: 16 }, { style: 'turned', startingChainCounts: false }))[0]).toMatch(
      /^Turn, sl st in next 16 sts to the new start; ch 1; beg in same st as last of these: sc in next 8 sts, ch 32/,
    )
  })

  it('count the chain that stands for a stitch within the first run', () => {
    expect(lastRounds(bag(slots, { style: 'joined', startingChainCounts: true }))[0]).toMatch(
      /^Ch 1 \(counts as first sc\); sc in next 7 sts, ch 32/,
    )
  })
})

describe('the pattern of a bag with straps', () => {
  const sling = demo(bulbSling)
  const sections = patternOf(sling, 'us').sections.filter(({ part }) => part === 'part-3')

  it('has where they go first, then each strap with its rows and how it is joined', () => {
    expect(sections.map(({ title }) => title)).toEqual(['Knot straps', 'Short strap', 'Long strap'])
    expect(sections[0]!.advice[0]).toContain('Markers, counted from the start of the last round')
    expect(sections[1]!.lines.map(({ label }) => label)).toEqual(['Row 1', 'Row 2', 'Rows 3–29', 'Row 30', 'Row 31'])
    expect(sections[1]!.lead).toContain('Right side facing')
    expect(sections[1]!.finish!.join(' ')).toMatch(/without a twist.*whip stitch there, and back.*other end goes to/)
  })

  it('says the same in text and Markdown', () => {
    for (const as of ['text', 'md'] as const) {
      const { body } = exportDraft(sling, as, 'us')
      expect(body).toContain('Rows 3–29')
      expect(body.indexOf('pass the long strap through the short one')).toBeLessThan(body.toUpperCase().indexOf('LONG STRAP\n'))
    }
  })

  it('has a line a row in the table, told apart from the bag\'s rounds', () => {
    const lines = asCsv(sling, 'us').trim().split('\r\n')
    expect(lines).toHaveLength(1 + sling.rounds.length + 31 + 82)
    expect(lines.at(-1)).toMatch(/^82,part-3\.long,12,0,0,main,wrong,/)
  })

  it('is whole in the record for other programs', () => {
    const { pieces, handles, sizes } = asRecord(sling, 'us')
    expect(pieces.map(({ part, name, times, rows }) => [part, name, times, rows.length])).toEqual([
      ['part-3', 'Short strap', 1, 31],
      ['part-3', 'Long strap', 1, 82],
    ])
    expect(handles.map(({ name, lies }) => [name, lies])).toEqual([
      ['Short strap', 'around'],
      ['Long strap', 'around'],
    ])
    expect(sizes.withHandles!.loadedCm).toBeGreaterThan(sizes.withHandles!.emptyCm)
  })

  it('explains every abbreviation that its pieces use', () => {
    expect(patternOf(sling, 'us').abbreviations.map(({ short }) => short)).toContain('sc2tog')
    expect(patternOf(demo(satchel), 'us').abbreviations.map(({ short }) => short)).toEqual(
      expect.arrayContaining(['ch', 'sl st', 'sk', 'ch-sp']),
    )
  })

  it('tells the bag\'s sizes with its handles and without', () => {
    const facts = Object.fromEntries(patternOf(demo(appleTote), 'us').facts.map(({ name, value }) => [name, value]))
    expect(facts.Standing).toContain('25.9')
    // Half of a floor 15.3 wide is folded in.
    expect(facts['Lying flat']).toContain('33.5')
    expect(facts['With handles']).toBe(
      '39.8 cm to the top of the handles, about 40.4 cm loaded (estimate); 40.9 cm held together in one hand',
    )
  })
})
