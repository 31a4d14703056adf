import { stacked } from '../design/partIds'
import { describe, expect, it } from 'vitest'
import appleTote from '../../../demo/apple-tote.json'
import { applyFix } from '../design/edit'
import type { Design } from '../design/design'
import { readDesign } from '../design/read'
import { newDesign } from '../design/starter'
import type { SlotsSpec } from '../../parts/handle/slotSpec'
import { yarnNeeds } from '../yarn/yarn'
import type { WallSpec } from '../../parts/wall/wall'
import { comesOut } from '../../parts/wall/wall'
import { patternOf } from '../../readers/words/pattern'
import { draft } from './draft'
import { hangingsOf } from './handles'

const gauge: Design['gauge'] = { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } }
const plain: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main' }
const slots: SlotsSpec = {
  kind: 'slots', number: 2, width: { pin: { stitches: 16 } }, chains: { pin: { chains: 52 } }, into: 'chains', corners: 1, rounds: 4,
  stitch: 'sc', nudge: 0, colour: 'main',
}
const carried = (weightKg?: number): NonNullable<Design['contents']> => ({
  kind: 'cloth', lengthCm: 6, widthCm: 5, heightCm: 6, ...(weightKg ? { weightKg } : {}),
})
/** A tube of 64 stitches, 16 cm wide lying flat and 10.5 cm tall below what is put on it. */
const bag = (wall: readonly WallSpec[], over: Partial<Design> = {}): Design => ({
  ...newDesign('Tube'), gauge, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 64 } }, colour: 'main' }, turnUp: 'plain',
  wall: stacked([plain, ...wall]), ...over,
})
const found = (design: Design, code: string) => draft(design).findings.find(finding => finding.code === code)
const hanging = (design: Design) => {
  const { parts } = draft(design)
  return hangingsOf(design, parts)[0]!
}

describe('a handle of 52 chains over 16 stitches: 26 cm over 8', () => {
  it('drops sqrt(13² - 4²) = 12.37 cm empty, and with a tenth more 13.74: by hand', () => {
    const one = hanging(bag([slots]))
    expect(one.dropCm).toBeCloseTo(12.369, 3)
    expect(one.loadedDropCm).toBeCloseTo(13.73, 2)
    expect(one.tested).toBe(false)
    expect(found(bag([slots]), 'drop')!.what).toContain('a rule of thumb, so hang a strip of your own')
  })

  it('two of them share a load: 4 kg is 2 each, 1.05 in each leg, on 2 cm', () => {
    const one = hanging(bag([slots], { contents: carried(4) }))
    expect(one.kg).toBe(2)
    expect(one.kgPerCm).toBeCloseTo(13 / 12.369 / 2, 3)
    expect(found(bag([slots], { contents: carried(4) }), 'handle-load')!.what).toContain('{2.0 kg} in each handle')
  })

  it('lengthens by the maker\'s strip once that was hung up', () => {
    const one = hanging(bag([slots], { contents: carried(4), stretch: { beforeCm: 20, afterCm: 21, kg: 1, widthCm: 2 } }))
    // The strip: 5 % at half a kilogram a centimetre; here 0.526.
    expect(one.stretch).toBeCloseTo((0.05 * 0.5255) / 0.5, 3)
    expect(one.tested).toBe(true)
  })

  it('stands above the bag: its feet at 11, its drop, and its own four rounds', () => {
    const { sizes } = draft(bag([slots]))
    expect(sizes.height.cm).toBeCloseTo(10.5 + 5 * 0.5, 9)
    expect(sizes.withHandles!.emptyCm).toBeCloseTo(11 + 12.369 + 2, 2)
    expect(draft(bag([])).sizes.withHandles).toBeUndefined()
    expect(patternOf(draft(bag([slots])), 'us').facts.find(({ name }) => name === 'With handles')!.value).toContain('25.4 cm')
  })
})

describe('handles too narrow for what they carry', () => {
  it('are told by how much, and a fix makes them wide enough', () => {
    const design = bag([{ ...slots, rounds: 2 }], { contents: carried(8) })
    const narrow = found(design, 'handle-narrow')!
    expect(narrow.weight).toBe('caution')
    expect(narrow.what).toContain('nothing here is rated')
    expect(narrow.what).toContain('strap under the whole bag')
    expect(found(applyFix(design, narrow.fix!).design, 'handle-narrow')).toBeUndefined()
  })

  it('are left to a woven tape where one is sewn along them', () => {
    const strap: WallSpec = {
      kind: 'sewn-straps', number: 1, worked: 'along', wide: 2, length: { pin: { count: 60 } }, inCm: 3, overlapCm: 3, lines: 2,
      reinforced: 'none', stitch: 'sc', nudge: 0, colour: 'main',
    }
    const design = bag([strap], { contents: carried(5) })
    const tape = found(design, 'handle-narrow')!.otherFixes!.find(({ label }) => label.includes('tape'))!
    expect(found(applyFix(design, tape).design, 'handle-load')!.what).toContain('The tape takes it')
  })

  it('ask for the weight where nobody said it', () => expect(found(bag([slots]), 'weight-unknown')!.weight).toBe('note'))
})

describe('a strap no longer than what it bridges', () => {
  const strap: WallSpec = {
    kind: 'grown-strap', foot: 7, wide: 7, length: { pin: { count: 9 } }, join: 'sewn', stitch: 'sc', nudge: 0, colour: 'main',
  }
  const bought: WallSpec = { kind: 'bought-handles', number: 1, holds: 'holes', lengthCm: 5, apartCm: 6, foot: 2, nudge: 0, colour: 'main' }

  it('is cautioned against, and no figure of it is without sense, even by a strip that did not give', () => {
    for (const top of [strap, bought]) {
      const design = bag([top], { contents: carried(3), stretch: { beforeCm: 20, afterCm: 20, kg: 1, widthCm: 2 } })
      expect(found(design, 'handle-short')!.weight).toBe('caution')
      for (const { what } of draft(design).findings) expect(what).not.toMatch(/NaN|Infinity/)
      expect(Number.isFinite(draft(design).sizes.withHandles!.loadedCm)).toBe(true)
    }
  })
})

describe('cautions', () => {
  it('for a child: long loops, and buttons', () => {
    expect(found(bag([slots], { forChild: true }), 'handles-for-a-child')!.what).toContain('EN 71-1')
    expect(found(bag([{ ...slots, chains: { pin: { chains: 30 } } }], { forChild: true }), 'handles-for-a-child')).toBeUndefined()
    expect(found(bag([{ kind: 'button-loop', buttonCm: 2, colour: 'main' }], { forChild: true }), 'button-for-a-child')!.weight).toBe(
      'caution',
    )
  })

  it('for a cord across the body, whoever it is for', () => {
    expect(
      found(bag([{ kind: 'cross-body', cord: 'chain', length: { want: { dropCm: 60 } }, nudge: 0, colour: 'main' }]), 'long-strap')!.what,
    ).toContain('strangle')
  })

  it('for a hand hole that no hand fits', () => {
    const design = bag([{ ...slots, width: { pin: { stitches: 10 } }, chains: { want: { hole: true } }, corners: 0 }])
    const small = found(design, 'hand-hole-small')!
    expect(small.what).toContain('{5 cm} wide')
    expect(found(applyFix(design, small.fix!).design, 'hand-hole-small')).toBeUndefined()
  })
})

describe('a bag with handles', () => {
  const rectangle: Design['base'] = {
    form: 'rectangle', stitch: 'sc', size: { pin: { stitches: 40, rows: 20 } }, rowEnds: 'one-each', corners: 'none', colour: 'main',
  }

  it('goes on above them: a firm rim has a stitch in every one, and the mouth is no wider for it', () => {
    const drafted = draft(bag([slots, { kind: 'rim', rim: 'slip', colour: 'main' }]))
    expect(drafted.parts.at(-1)!.edge.count).toBe(64 + 2 * 36 - 4)
    expect(drafted.sizes.mouth.cm).toBeCloseTo(32, 9)
  })

  it('with chain straps is told where its corners are', () => {
    const straps: WallSpec = { ...slots, kind: 'chain-straps', width: { want: { widthCm: 12 } } }
    const design = bag([straps], { base: rectangle })
    const corners = found(design, 'not-at-corners')!
    expect(corners.what).toContain('{20 cm} from corner to corner')
    expect(found(applyFix(design, corners.fix!).design, 'not-at-corners')).toBeUndefined()
  })

  it('counts on above its slots without working them: what an adjusting round below looks for', () => {
    const wall: WallSpec[] = [slots, { kind: 'shells', stitches: 4, colour: 'main' }]
    const { gauge: sizes, parts } = draft(
      bag([{ kind: 'adjust', stitch: 'sc', to: { want: { divides: true } }, mirrored: true, colour: 'main' }, ...wall]),
    )
    const below = parts.find(({ id }) => id === 'part-2')!.edge.count
    expect(comesOut(wall, { gauge: sizes, repeats: [], hook: { hookMm: 4, strands: 1 } },
      below)).toEqual({ count: parts.at(-1)!.edge.count, steadied: false })
    expect(parts.at(-1)!.findings.filter(({ weight }) => weight === 'stop')).toEqual([])
  })

  it('keeps its slots about the sides when its base changes', () => {
    const tote = readDesign(appleTote)
    if (!tote.ok) throw new Error('the demo is broken')
    const base = tote.document.base as Extract<Design['base'], { form: 'oval' }>
    for (const lengthCm of [24, 28, 36]) {
      const drafted = draft({ ...tote.document, base: { ...base, size: { want: { lengthCm, widthCm: 15 } } } })
      const { grip } = drafted.parts.find(({ id }) => id === 'part-3')!
      expect(Math.abs(grip!.before - grip!.after)).toBeLessThanOrEqual(1)
    }
  })

  it('takes over what is below when its handles are moved, and works them alone anew', () => {
    const before = draft(bag([slots, { kind: 'rim', rim: 'slip', colour: 'main' }]))
    const wall = before.design.wall.map(part => (part.kind === 'slots' ? { ...part, nudge: 2 } : part))
    const after = draft({ ...before.design, wall }, { before })
    expect(after.parts.map((part, i) => part === before.parts[i])).toEqual([true, true, true, false, false])
  })

  it('shares its load among all that hang on it', () => {
    const strap: WallSpec = {
      kind: 'grown-strap', foot: 7, wide: 7, length: { pin: { count: 60 } }, join: 'sewn', stitch: 'sc', nudge: 0, colour: 'main',
    }
    const { design, parts } = draft(bag([strap, { ...strap, nudge: 9 }], { contents: carried(6) }))
    expect(hangingsOf(design, parts).map(({ kg }) => kg)).toEqual([3, 3])
  })

  it('needs yarn for what is worked on its own: rows, chain and sewing, as often as it is made', () => {
    const metres = (wall: readonly WallSpec[]) => yarnNeeds(draft(bag(wall)))[0]!.metres
    const strap = (number: 1 | 2): WallSpec => ({
      kind: 'sewn-straps', number, worked: 'along', wide: 6, length: { pin: { count: 60 } }, inCm: 2, overlapCm: 0, lines: 1,
      reinforced: 'none', stitch: 'sc', nudge: 0, colour: 'main',
    })
    const one = metres([strap(1)]) - metres([])
    expect(metres([strap(2)]) - metres([])).toBeCloseTo(2 * one, 9)
    // 360 stitches of half a centimetre at 7.5 times their width, 61 chains and five more turning chains at 3.5, 90 cm of ends and sewing:
    // by hand.
    expect(one).toBeCloseTo((360 * 0.5 * 7.5 + 66 * 0.5 * 3.5 + 90) / 100, 9)
  })

  it('speaks in inches to those whose tape is in inches, in its pieces as well', () => {
    const strap: WallSpec = {
      kind: 'sewn-straps', number: 1, worked: 'along', wide: 4, length: { pin: { count: 60 } }, inCm: 2, overlapCm: 4, lines: 1,
      reinforced: 'none', stitch: 'sc', nudge: 0, colour: 'main',
    }
    const said = (units: 'cm' | 'in') =>
      patternOf(draft(bag([strap], { units })), 'us')
        .sections.flatMap(({ advice, finish = [] }) => [...advice, ...finish])
        .join(' ')
    expect(said('cm')).toContain('lay 4 cm of each end')
    expect(said('in')).toContain('lay 1 5/8 in of each end')
    expect(said('in')).not.toContain(' cm')
  })
})
