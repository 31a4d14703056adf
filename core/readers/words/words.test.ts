import { stacked } from '../../bag/design/partIds'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, SEED } from '../../../tests/arbitraries/designs'
import type { Design } from '../../bag/design/design'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { asCsv } from './asCsv'
import { asRecord } from './asJson'
import { asMarkdown, asText } from './asText'
import { ordinal } from './numbers'
import { patternOf, roundLines } from './pattern'
import { foundation } from '../../things/round/edge'
import { chain, each, inOne, repeat, skip, together } from '../../things/round/step'
import { stepsWords } from './stepWords'

const pouch = {
  ...newDesign('Seed-head pouch'),
  base: { ...newDesign('x').base, increases: 8, size: { pin: { rounds: 6 } } },
} satisfies Design
const wordsOf = (design: Design, terms: 'us' | 'uk' = 'us') => roundLines(draft(design), terms).map(({ words }) => words)

describe('the head of a pattern', () => {
  const sizesOf = (design: Design) => patternOf(draft(design), 'us').facts.map(({ name }) => name)
    .filter(name => ['Floor', 'Standing', 'Lying flat'].includes(name))

  it('tells of a bag its floor, standing and lying flat; of a floor alone nothing but the floor', () => {
    expect(sizesOf(pouch)).toEqual(['Floor', 'Standing', 'Lying flat'])
    expect(sizesOf({ ...pouch, turnUp: 'plain', wall: [] })).toEqual(['Floor'])
  })
})

describe('round 5 of the school of 8', () => {
  it('reads as makers write it', () => {
    const line = roundLines(draft(pouch), 'us')[4]!
    expect(line.words).toContain('[sc in next 3 sts, 2 sc in next st] 8 times')
    expect(line.count).toBe('(40 sts)')
  })

  it('reads correctly in UK terms', () => {
    expect(wordsOf(pouch, 'uk')[4]).toBe(
      'Ch 1; beg in same st as join: [dc in next 3 sts, 2 dc in next st] 8 times; join with ss to first dc',
    )
  })

  it('leaves out chain and join in a spiral', () => {
    expect(wordsOf({ ...pouch, rounds: { style: 'spiral', startingChainCounts: false } })[4]).toBe(
      '[sc in next 3 sts, 2 sc in next st] 8 times',
    )
  })

  it('takes the first stitch off when the starting chain counts', () => {
    const words = wordsOf({
      ...pouch, base: { ...pouch.base, stitch: 'dc', increases: 12 }, rounds: { style: 'joined', startingChainCounts: true },
    })
    expect(words[0]).toBe('Ch 3 (counts as first dc); 11 dc in ring; join with sl st to top of beg ch')
    expect(words[1]).toContain('dc in same st, 2 dc in each of next 11 sts')
    expect(words[4]).toContain('dc in next 2 sts, 2 dc in next st, [dc in next 3 sts, 2 dc in next st] 11 times')
  })

  it('turns where the work is turned', () => {
    const words = wordsOf({ ...pouch, rounds: { style: 'turned', startingChainCounts: false } })
    expect(words[0]).not.toContain('turn')
    expect(words[1]).toBe('Ch 1, turn; beg in same st as join: 2 sc in each st around; join with sl st to first sc')
  })
})

describe('steps in words', () => {
  const speech = { terms: 'us', on: foundation('stitch', 48), start: { kind: 'ring', chains: 0 } } as const
  it.each([
    [[each('sc', 48)], 'sc in each st around'], [[each('sc', 8), together('sc')], 'sc in next 8 sts, sc2tog'],
    [[repeat(24, each('dc', 1), chain(1), skip(1))], '[dc in next st, ch 1, sk next st] 24 times'],
    [[each('hdc', 3, 'back'), inOne('hdc', 3)], 'hdc in back loop of next 3 sts, 3 hdc in next st'],
    [[{ do: 'group', steps: [each('dc', 1), chain(2), each('dc', 1)] }, skip(2)], '(dc, ch 2, dc) in next st, sk next 2 sts'],
    [[each('dc', 2, 'frontPost'), each('dc', 1, 'backPost')], 'FPdc around next 2 sts, BPdc around next st'],
    [
      [
        { do: 'stitch', kind: 'sc', times: 1, aim: 'space' },
        { do: 'stitch', kind: 'sc', times: 32, aim: 'chains', loop: 'bump' },
      ],
      'sc in next ch-sp, sc in back bump of next 32 chs of the ch-sp',
    ],
    [
      [repeat(5, inOne('sc', 2)), repeat(2, each('sc', 1), each('dc', 1))],
      '2 sc in each of next 5 sts, [sc in next st, dc in next ' + 'st] 2 times',
    ],
  ] as const)('%#', (steps, words) => expect(stepsWords(steps, speech)).toBe(words))

  it('says miss for skip in UK terms', () => {
    expect(stepsWords([skip(2), together('sc')], { ...speech, terms: 'uk' })).toBe('miss next 2 sts, dc2tog')
  })

  it('counts places in order', () => {
    expect([1, 2, 3, 4, 11, 12, 13, 21, 102].map(ordinal)).toEqual(['1st', '2nd', '3rd', '4th', '11th', '12th', '13th', '21st', '102nd'])
  })
})

describe('the pattern', () => {
  const striped = {
    ...pouch, yarns: [...pouch.yarns, { id: 'moss', name: 'moss green cotton', colour: '#71834f' }],
    wall: stacked([pouch.wall[0]!, { ...pouch.wall[0]!, colour: 'moss', size: { pin: { rounds: 4 } } }]),
  }

  it('gathers rounds that read alike, and never loses one', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const drafted = draft(design)
        let next = 1
        for (const { lines, piece } of patternOf(drafted, 'us').sections) {
          // Pieces number their rows for themselves.
          if (piece) {
            expect(lines[0]?.from ?? 1).toBe(1)
            continue
          }
          for (const line of lines) {
            expect(line.from).toBe(next)
            next = line.to + 1
          }
        }
        expect(next).toBe(drafted.rounds.length + 1)
      }),
      { ...SEED, numRuns: 40 },
    )
  })

  it('says where the yarn changes', () => {
    const noted = patternOf(draft(striped), 'us')
      .sections.flatMap(({ lines }) => lines)
      .filter(({ note }) => note)
    expect(noted.map(({ note }) => note)).toEqual([
      'At the end of Round 38 change to moss green cotton on the last pull-through. Cut undyed cotton, DK.',
    ])
  })

  it('lists the stitches it uses, and no others', () => {
    const shorts = (terms: 'us' | 'uk') => patternOf(draft(pouch), terms).abbreviations.map(({ short }) => short)
    expect(shorts('us')).toEqual(['ch', 'sl st', 'sc', 'beg', 'st, sts'])
    expect(shorts('uk')).toEqual(['ch', 'ss', 'dc', 'beg', 'st, sts'])
  })

  it('says how it starts', () => {
    const lead = (start: 'ring' | 'chain-ring' | 'chain') =>
      patternOf(draft({ ...pouch, base: { ...pouch.base, start } }), 'us').sections[0]!.lead
    expect(lead('ring')).toContain('adjustable ring')
    expect(lead('chain-ring')).toContain('ch 4, join with sl st')
    expect(lead('chain')).toContain('ch 2.')
    expect(wordsOf({ ...pouch, base: { ...pouch.base, start: 'chain' } })[0]).toBe('8 sc in 2nd ch from hook; join with sl st to first sc')
  })

  it('goes out as text, Markdown, a table and a record', () => {
    const drafted = draft({ ...striped, name: '=2+2 *bold*' })
    expect(asText(patternOf(drafted, 'us'))).toContain('Round 5: Ch 1')
    expect(asMarkdown(patternOf(drafted, 'us'))).toContain('# \\=2+2 \\*bold\\*')
    const rows = asCsv(drafted, 'us').trimEnd().split('\r\n')
    expect(rows).toHaveLength(drafted.rounds.length + 1)
    expect(rows[5]).toBe(
      '5,base,40,0,0,main,right,"Ch 1; beg in same st as join: [sc in next 3 sts, 2 sc in next st] 8 times; join with sl st to first sc",',
    )
    const record = asRecord(drafted, 'us')
    expect(record.rounds[4]).toMatchObject({ number: 5, part: 'base', stitches: 40, spaces: 0, chains: 0 })
  })

  it('keeps a table from running formulas', () => {
    const rows = asCsv(draft({ ...striped, yarns: [{ ...striped.yarns[0]! }, { id: 'moss', name: '=cmd()', colour: '#71834f' }] }), 'us')
    expect(rows).toContain('Change to =cmd()')
    expect(rows).not.toMatch(/(^|,)"?=/m)
  })
})

describe('the abbreviations of textures', () => {
  const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } } as const
  const size = { pin: { rounds: 2 } } as const
  const bag: Design = {
    ...newDesign('Bag'), gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 48 } }, colour: 'main' }, turnUp: 'plain',
    wall: stacked([
      { kind: 'rib', stitch: 'dc', front: 1, back: 1, size, colour: 'main' }, { kind: 'vees', size, colour: 'main' },
      { kind: 'adjust', stitch: 'sc', to: { pin: { change: -4 } }, mirrored: false, colour: 'main' },
    ]),
  }
  const shorts = (terms: 'us' | 'uk') => patternOf(draft(bag), terms).abbreviations.map(({ short }) => short)

  it('are listed where the words use them, and only there', () => {
    expect(shorts('us')).toEqual(expect.arrayContaining(['sc2tog', 'ch-sp']))
    expect(shorts('uk')).toEqual(expect.arrayContaining(['dc2tog', 'ch-sp']))
    expect(patternOf(draft(pouch), 'us').abbreviations.map(({ short }) => short)).not.toContain('sk')
    expect(patternOf(draft(bag), 'us').special.map(({ short }) => short)).toEqual(['FPdc', 'BPdc'])
    expect(patternOf(draft(bag), 'uk').special.find(({ short }) => short === 'FPtr')!.long).toContain('treble around the post')
  })

  it('are written by makers\' words for an adjusting round', () => {
    expect(roundLines(draft(bag), 'us').at(-1)!.words).toBe(
      'Ch 1; beg in same st as join: [sc in next st, sc in next ch-sp, sc in next 2 sts, sc in next ch-sp, sc in next 2 sts, sc '
      + 'in next ch-sp, sc in next 2 sts, sc2tog over next ch-sp and st] 4 times; join with sl st to first sc',
    )
  })
})
