import { describe, expect, it } from 'vitest'
import type { BaseSpec } from '../../parts/base/base'
import { beginBase } from '../../parts/base/base'
import type { Design } from '../../bag/design/design'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { draft } from '../../bag/draft/draft'
import { exactly } from '../../things/measure/length'
import { each, inOne, repeat, together } from '../../things/round/step'
import { floorShort, floorWords } from './floorWords'
import { patternOf, roundLines } from './pattern'
import { withoutFirstStitch } from './withoutFirstStitch'
import { stitchWords } from './stitchWords'
import { hookLabel } from '../../things/stitch/hooks'

const like = { stitch: 'sc', colour: 'main', lengthCm: 20, widthCm: 8, heightCm: 12 } as const
const bag = (base: BaseSpec, over: Partial<Design> = {}): Design => ({ ...newDesign('Pouch'), base, turnUp: 'plain', ...over })
const oval = { ...beginBase('oval', like), perEnd: 3, size: { pin: { sideStitches: 10, rounds: 3 } } } as BaseSpec
const rectangle = { ...beginBase('rectangle', like), rowEnds: 'one-each', size: { pin: { stitches: 20, rows: 3 } } } as BaseSpec

describe('the hooks in the head of a pattern', () => {
  const hooks = (design: Design) => patternOf(draft(design), 'us').facts.find(({ name }) => name === 'Hook')!.value
  const wall = stacked([{ kind: 'solid', stitch: 'sc', size: { pin: { rounds: 4 } }, colour: 'main', hook: { hookMm: 5, strands: 2 } }])

  it('are the bag\'s, and each that a part has of its own, the base\'s too', () => {
    const base = { ...beginBase('circle', like), hook: { hookMm: 4, strands: 1 } } as BaseSpec
    const own = bag(base, { wall: wall.map(part => ({ ...part, called: 'Thick band' })) })
    expect(hooks({ ...own, gauge: { ...own.gauge, hookMm: 3.5, strands: 1 } }))
      .toBe(`${hookLabel(3.5)}; Base: ${hookLabel(4)}; Thick band: ${hookLabel(5)}, 2 strands`)
  })

  it('are not said again of a turn-up, which goes as the wall on it does', () => {
    expect(hooks(bag(beginBase('circle', like), { turnUp: 'post', wall }))).not.toContain('Turn-up')
  })
})

describe('the words of a base', () => {
  const words = (base: BaseSpec, over?: Partial<Design>) => roundLines(draft(bag(base, over)), 'us')

  it('go along a chain, round its end, and back along its underside', () => {
    const [first, second, third] = words(oval)
    expect(first!.words).toBe(
      'Sc in 2nd ch from hook, sc in next 10 chs, 3 sc in last ch, sc in next 10 chs along the underside of the ch, 2 sc in same ch '
      + 'as the first st; join with sl st to first sc',
    )
    expect(second!.words).toBe(
      'Ch 1; beg in same st as join: 2 sc in next st, sc in next 10 sts, 2 sc in each of next 3 sts, sc in next 10 sts, 2 sc in each '
      + 'of next 2 sts; join with sl st to first sc',
    )
    expect(third!.words).toContain('[sc in next st, 2 sc in next st] 3 times')
  })

  it('carry the marker plan, counted from the round\'s first stitch', () => {
    expect(
      words(oval)
        .slice(0, 3)
        .map(({ note }) => note),
    ).toEqual(['Markers in sts 2, 11, 15, 24.', 'Markers in sts 3, 12, 19, 28.', 'Markers in sts 4, 13, 23, 32.'])
  })

  it('skip the chains that stand for the first stitch', () => {
    const [first] = words({ ...oval, stitch: 'dc' } as BaseSpec, { rounds: { style: 'joined', startingChainCounts: true } })
    expect(first!.words).toContain('Sk 4 chs (count as first dc); dc in next 10 chs')
  })

  it('work rows as rows, and the round about them by their ends', () => {
    const lines = words(rectangle)
    expect(lines.slice(0, 4).map(({ label }) => label)).toEqual(['Row 1', 'Row 2', 'Row 3', 'Round 4'])
    expect(lines[0]!.words).toBe('Sc in 2nd ch from hook and in each ch across')
    expect(lines[1]!.words).toBe('Ch 1, turn; sc in each st across')
    expect(lines[3]!.words).toContain('sc in next 20 sts, sc in next 3 row ends, sc in next 20 chs along the underside of the ch')
  })

  it('gather rows with rows and rounds with rounds', () => {
    const labels = patternOf(draft(bag(rectangle)), 'us').sections.flatMap(({ lines }) => lines.map(({ label }) => label))
    expect(labels).toEqual(['Row 1', 'Rows 2–3', 'Round 4', expect.stringMatching(/^Rounds 5–/)])
    const deeper = { ...rectangle, size: { pin: { stitches: 20, rows: 9 } } } as BaseSpec
    expect(patternOf(draft(bag(deeper)), 'us').sections[0]!.lines.map(({ label }) => label)).toEqual(['Row 1', 'Rows 2–9', 'Round 10'])
  })

  it('say how each form starts, with a chain a little longer than it will be', () => {
    const lead = (base: BaseSpec) => patternOf(draft(bag(base)), 'uk').sections[0]!.lead!
    // 12 working chains and one to turn; 12 of 0.5 cm, and 1 cm more on every 26.
    expect(lead(oval)).toContain('ch 13 (about 6.2 cm long before you work into it')
    expect(lead({ ...oval, start: 'foundation-sc' } as BaseSpec)).toContain('work 12 foundation dc')
    expect(lead(beginBase('tube', like))).toContain('join with ss to first ch, taking care not to twist it')
    expect(lead(beginBase('bought', like))).toContain('holes')
  })

  it('give advice that steps cannot', () => {
    const advice = (base: BaseSpec) => patternOf(draft(bag(base)), 'us').sections[0]!.advice.join(' ')
    expect(advice(oval)).toContain('move them up every round')
    expect(advice(beginBase('double-disc', like))).toContain('wrong sides inside')
    expect(advice(beginBase('tube', like))).toContain('close its lower edge')
    expect(advice(beginBase('folded', like))).toContain('repeats of 6, and 1')
    expect(advice({ ...beginBase('folded', like), edgeStitches: -2 } as BaseSpec)).toContain('less 2')
  })

  it('turn up in five ways', () => {
    const turn = (turnUp: Design['turnUp']) => words(oval, { turnUp })[3]!.words
    expect(turn('back-loop')).toContain('sc in back loop of each st around')
    expect(turn('back-and-third-loop')).toContain('sc in back and third loops of each st around')
    expect(turn('post')).toContain('BPsc around each st around')
    expect(turn('plain')).toContain('sc in each st around')
    expect(words(beginBase('double-disc', like)).some(({ words: text }) => text.includes('in both layers at each st around'))).toBe(true)
  })
})

describe('a floor in words', () => {
  const floor = (shape: 'disc' | 'stadium' | 'none') => ({ shape, length: exactly(26), width: exactly(9.5) })
  it('says how long and how wide, or that there is none', () => {
    expect([floorWords(floor('disc'), 'cm'), floorWords(floor('stadium'), 'cm'), floorWords(floor('none'), 'cm')]).toEqual([
      '26 cm across', '26 cm by 9.5 cm', 'none: it lies flat',
    ])
    expect([floorShort(floor('disc'), 'in'), floorShort(floor('stadium'), 'cm'), floorShort(floor('none'), 'cm')]).toEqual([
      '10 1/4 in across', '26 × 9.5 cm', 'no floor',
    ])
  })
})

describe('one stitch in words', () => {
  const { rounds } = draft(bag({ ...beginBase('circle', like), increases: 6, size: { pin: { rounds: 4 } } } as BaseSpec))
  it('says where it is, what it is and what it stands on', () => {
    expect(stitchWords(rounds[0]!, 2, 'us', false)).toBe('Round 1, stitch 3 of 6: sc, in the ring')
    expect(stitchWords(rounds[3]!, 0, 'uk', true)).toBe('Round 4, stitch 1 of 24: dc, on stitch 1 of round 3; carries a marker')
    expect(stitchWords(rounds[3]!, 2, 'us', false)).toContain('with the next one an increase, on stitch 3')
    expect(stitchWords(rounds[3]!, 3, 'us', false)).toContain('with the one before it an increase, on stitch 3')
  })

  it('knows rows, row ends and undersides', () => {
    const rows = draft(bag(rectangle)).rounds
    expect(stitchWords(rows[1]!, 0, 'us', false)).toBe('Row 2, stitch 1 of 20: sc, on stitch 20 of round 1')
    expect(stitchWords(rows[3]!, 21, 'us', false)).toContain('in the end of a row')
    expect(stitchWords(rows[3]!, 30, 'us', false)).toContain('in the underside of the starting chain')
  })
})

describe('taking off the stitch that a starting chain stands for', () => {
  it.each([
    [[each('dc', 5)], [each('dc', 4)]], [[each('dc', 1), inOne('dc', 2)], [inOne('dc', 2)]],
    [[repeat(3, each('dc', 1), inOne('dc', 2))], [inOne('dc', 2), repeat(2, each('dc', 1), inOne('dc', 2))]],
    [[repeat(1, each('dc', 2))], [each('dc', 1)]], [[], []], [[together('dc')], [together('dc')]],
  ] as const)('%#', (steps, left) => expect(withoutFirstStitch(steps, false)).toEqual(left))

  it('leaves the rest of an increase in the same stitch, but the rest of a ring in the ring', () => {
    expect(withoutFirstStitch([inOne('dc', 2)], false)).toMatchObject([{ aim: 'same', steps: [{ times: 1 }] }])
    expect(withoutFirstStitch([inOne('dc', 12)], true)).toMatchObject([{ aim: 'next', steps: [{ times: 11 }] }])
  })
})
