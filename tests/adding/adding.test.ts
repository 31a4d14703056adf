import Ajv from 'ajv'
import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { beginBase, formOf } from '../../core/parts/base/base'
import { elevation } from '../../core/readers/chart/elevation'
import { BANDS } from '../../core/parts/band/kinds'
import { FLAT_KINDS } from '../../core/parts/flat/kinds'
import { frontOf } from '../../core/readers/chart/frontView'
import { handleFronts } from '../../core/readers/chart/handles'
import { markPath } from '../../core/readers/chart/marks'
import { asSvg } from '../../core/readers/chart/svg'
import type { Design } from '../../core/bag/design/design'
import { BAG_FIELDS } from '../../core/bag/design/bagFields'
import { DESIGN_FIELDS } from '../../core/bag/design/fields'
import { mergedDesign } from '../../core/bag/design/merge'
import { readDesign } from '../../core/bag/design/read'
import { designSchema } from '../../core/bag/design/schema'
import { keptOf } from '../../core/bag/design/stacking'
import { newDesign } from '../../core/bag/design/starter'
import { formatTables } from '../../core/bag/design/tables'
import { draft } from '../../core/bag/draft/draft'
import { exportDraft } from '../../core/readers/export/exportDraft'
import { answersTo, rowsOf } from '../../core/parts/field/placedField'
import { fit } from '../../core/bag/fit/fit'
import { USUAL_WISH } from '../../core/bag/fit/wish'
import { gaugeOf } from '../../core/things/gauge/gauge'
import { readSteps } from '../../core/things/repeat/read'
import { each } from '../../core/things/round/step'
import { inStyle } from '../../core/things/round/style'
import { FABRIC_KINDS, type FabricKind, stitchName } from '../../core/things/stitch/dictionary'
import { beginPart, kindOf, type WallSpec, wallKinds } from '../../core/parts/wall/wall'
import { asText } from '../../core/readers/words/asText'
import { patternOf } from '../../core/readers/words/pattern'
import { yarnNeeds } from '../../core/bag/yarn/yarn'
import { anyDesign, SEED } from '../arbitraries/designs'
import { anyKind } from '../arbitraries/fromFields'

/*
 * What docs/adding.md promises: a new kind is one file and its line in the index. Each exercise here is put into its index, and
 * everything else has to know it.
 */

type Index = Readonly<Record<string, readonly unknown[]>>

vi.mock('../../core/parts/wall/kinds', async (original) => {
  const [{ bricks }, { ringLoop }, { pegs }] = [await import('./bricks'), await import('./ringLoop'), await import('./pegs')]
  return { WALL_KINDS: [...(await original<Index>()).WALL_KINDS!, bricks, ringLoop, pegs] }
})
vi.mock('../../core/bag/design/bagFields', async (original) => {
  const real = await original<{ BAG_FIELDS: object }>()
  return { ...real, BAG_FIELDS: { ...real.BAG_FIELDS, felted: (await import('./felted')).felted } }
})
vi.mock('../../core/parts/base/forms', async original => ({
  BASE_FORMS: [...(await original<Index>()).BASE_FORMS!, (await import('./strip')).strip],
}))
vi.mock('../../core/things/stitch/stitches', async original => ({
  STITCH_ROWS: [...(await original<Index>()).STITCH_ROWS!, (await import('./doubleTreble')).doubleTreble],
}))
vi.mock('../../core/readers/export/kinds', async original => ({
  EXPORT_KINDS: [...(await original<Index>()).EXPORT_KINDS!, (await import('./counts')).counts],
}))

const bySchema = new Ajv({ strict: false }).compile(designSchema())

const rim: WallSpec = { kind: 'solid', stitch: 'sc', size: { pin: { rounds: 4 } }, colour: 'main' }
const like = { stitch: 'sc', colour: 'main', lengthCm: 20, widthCm: 9, heightCm: 12 } as const

/** A bag on the new base, with the new band, and the new handle on top. */
function exercise(): Design {
  const design = { ...newDesign('Exercise'), base: beginBase('strip', like), turnUp: 'plain' as const }
  const [bricks, ring] = [beginPart('bricks', keptOf(design, rim, 40)), beginPart('ring-loop', keptOf(design, rim, 40))]
  const reading = readDesign(
    JSON.parse(
      JSON.stringify({
        ...design,
        wall: [
          { ...rim, id: 'part-1' }, { ...bricks, id: 'part-2' }, { ...ring, id: 'part-3' },
        ],
      }),
    ),
  )
  if (!reading.ok) throw new Error(JSON.stringify(reading.problems))
  return reading.document
}

describe('a band and a handle added in one file each', () => {
  it('are in the document: what they leave out is filled in, what they may not be is refused, the schema agrees', () => {
    const bag = JSON.parse(JSON.stringify(exercise())) as { wall: Record<string, unknown>[] }
    expect(bag.wall[1]).toMatchObject({ kind: 'bricks', long: 3 })
    expect(bySchema(bag)).toBe(true)
    const wrong = { ...bag, wall: [bag.wall[0], { ...bag.wall[1], long: 13 }] }
    const reading = readDesign(wrong)
    expect(!reading.ok && reading.problems).toEqual([{ field: 'wall.1.long', message: 'must be a whole number from 1 to 12' }])
    expect(bySchema(wrong)).toBe(false)
    expect(Object.values(formatTables()).join('')).toContain('`bricks`')
  })

  it('are worked, asked for what they ask, and told in words', () => {
    const bag = exercise()
    const drafted = draft(bag)
    const bricks = drafted.parts.find(({ id }) => id === 'part-2')!
    expect(bricks.findings.map(({ weight }) => weight)).not.toContain('stop')
    expect(bricks.rounds).toHaveLength(4)
    expect(bricks.edge.count % 4).toBe(0)
    const text = asText(patternOf(drafted, 'uk'))
    expect(text).toContain('[dc in next 3 sts, ch 1, miss next st] 20 times')
    expect(text).toContain('Sew a ring of 4 cm')
    const odd = draft({ ...bag, base: { form: 'tube', stitch: 'sc', size: { pin: { stitches: 82 } }, colour: 'main' } })
    expect(odd.findings.map(({ code }) => code)).toContain('does-not-divide')
    expect(fit(odd.design, odd.gauge, USUAL_WISH).found.length).toBeGreaterThan(0)
    expect(yarnNeeds(drafted)[0]!.metres).toBeGreaterThan(0)
  })

  it('are drawn', () => {
    const drafted = draft(exercise())
    const courses = elevation(drafted).filter(({ part }) => part === 'part-2')
    expect(courses.map(course => frontOf(course).holes).join('')).toMatch(/^M/)
    expect(handleFronts(drafted, 'held').map(({ part }) => part)).toEqual(['part-3'])
    expect(asSvg(drafted)).not.toMatch(/NaN|undefined/)
  })

  it('are offered, and asked by their fields', () => {
    expect(wallKinds().map(({ name }) => name)).toEqual(expect.arrayContaining(['bricks', 'ring']))
    const bag = exercise()
    const asked = rowsOf(kindOf({ kind: 'bricks' }).fields, bag.wall[1]!).flat()
    expect(asked.map(({ name }) => name)).toEqual(['long', 'size', 'colour', 'swatch', 'goes', 'hook'])
    const now = { gauge: gaugeOf(bag.gauge) }
    expect(answersTo(asked[1]!, bag.wall[1]!, now).map(({ name, chosen }) => [name, chosen])).toEqual([
      ['a height', false],
      ['rounds', true],
    ])
  })

  it('are among the random designs of the tests, which hold for them too', () => {
    const bands = fc.sample(
      anyKind(DESIGN_FIELDS.wall, value => value === 'bricks'),
      { ...SEED, numRuns: 20 },
    )
    expect(bands.every(({ long }) => Number(long) >= 1 && Number(long) <= 5)).toBe(true)
    const all = fc.sample(anyDesign, { ...SEED, numRuns: 400 })
    expect(all.flatMap(({ wall }) => wall.map(({ kind }) => kind as string))).toEqual(expect.arrayContaining(['bricks', 'ring-loop']))
    expect(all.map(({ base }) => base.form as string)).toContain('strip')
    for (const design of all.slice(0, 40)) expect(JSON.stringify(draft(design).findings)).not.toMatch(/NaN|undefined/)
  })
})

describe('a form of base added in one file', () => {
  it('is worked, sized, pinned, and told', () => {
    const bag: Design = { ...exercise(), wall: [] }
    const drafted = draft(bag)
    expect(formOf(bag.base).name).toBe('ring of stitches')
    expect(drafted.parts[0]!.edge.count % 2).toBe(0)
    expect(asText(patternOf(drafted, 'us'))).toContain(`ch ${drafted.parts[0]!.edge.count}`)
  })
})

describe('a stitch added as a row', () => {
  const kind = 'dtr' as FabricKind

  it('has its names, its height, its yarn, its starting chain and its mark', () => {
    expect(FABRIC_KINDS).toContain(kind)
    expect(stitchName(kind, 'uk').abbreviation).toBe('trtr')
    const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } })
    expect(gauge[kind].height.cm).toBeCloseTo(0.5 * 3.6, 9)
    expect(inStyle({ rounds: { style: 'joined', startingChainCounts: true }, turns: 0 }, 0, kind, 'main', [each(kind,
      12)]).begin.chains).toBe(5)
    expect(markPath(kind, 0, 1, 0, 0, 1).match(/M/g)).toHaveLength(5)
  })

  it('is measured on a swatch, and read in a repeat of one\'s own', () => {
    const bag = { ...newDesign('Tall'), gauge: { hookMm: 4, strands: 1, measured: { dtr: { stitches: 18, rounds: 5, overCm: 10 } } } }
    expect(readDesign(JSON.parse(JSON.stringify(bag))).ok).toBe(true)
    expect(readSteps('trtr in next 2', 'uk')).toMatchObject({ ok: true, steps: [{ do: 'stitch', kind: 'dtr', times: 2 }] })
  })
})

describe('an export added in one file', () => {
  it('is written', () => {
    const { body, extension } = exportDraft(draft(newDesign('Pouch')), 'counts' as never, 'us')
    expect(extension).toBe('counts.txt')
    expect(body).toMatch(/^1\t6\n2\t12\n/)
  })
})

describe('a band that goes in rows', () => {
  it('is a band of flat pieces too, by saying how', () => {
    expect(FLAT_KINDS.map(({ kind }) => kind)).toEqual(expect.arrayContaining(BANDS.filter(band => band.inRows).map(({ kind }) => kind)))
    expect(FLAT_KINDS.map(({ kind }) => kind as string)).not.toContain('groups')
  })
})

describe('an edging added in one file', () => {
  it('is worked on a mouth, asked for what it asks, and told in words', () => {
    const bag = exercise()
    const edging = beginPart('pegs', keptOf(bag, rim, 40))
    const drafted = draft({ ...bag, wall: [...bag.wall.slice(0, 1), { ...edging, id: 'part-4' }] })
    expect(drafted.findings.filter(({ weight }) => weight === 'stop')).toEqual([])
    expect(asText(patternOf(drafted, 'us'))).toMatch(/\[sc in next 3 sts, ch 5, sk next st\] \d+ times/)
  })
})

describe('a field of the bag added as one declaration', () => {
  const felted = { ...exercise(), felted: { shrinksPercent: 30 } } as Design

  it('is kept, left out, refused where it is wrong, described, and asked', () => {
    const reading = readDesign(JSON.parse(JSON.stringify(felted)))
    expect(reading).toMatchObject({ ok: true, document: { felted: { shrinksPercent: 30 } } })
    expect(readDesign(exercise())).toMatchObject({ ok: true })
    const wrong = readDesign({ ...felted, felted: { shrinksPercent: 61 } })
    expect(!wrong.ok && wrong.problems).toEqual([{ field: 'felted.shrinksPercent', message: 'must be a whole number from 1 to 60' }])
    expect([bySchema(JSON.parse(JSON.stringify(felted))), bySchema({ ...felted, felted: { shrinksPercent: 61 } })]).toEqual([true, false])
    expect(Object.values(formatTables()).join('')).toContain('`felted`')
    const asked = rowsOf(BAG_FIELDS, felted).flat().find(({ name }) => name === 'felted')!
    const now = { gauge: gaugeOf(felted.gauge) }
    expect(answersTo(asked, felted, now).map(({ name, chosen }) => [name, chosen])).toEqual([['left as it is', false], ['felted', true]])
  })

  it('is among the random designs of the tests, and is put together like any other', () => {
    expect(fc.sample(anyDesign, { ...SEED, numRuns: 60 }).some(design => 'felted' in design)).toBe(true)
    const base = exercise()
    expect(mergedDesign(base, felted, { ...base, name: 'Theirs' })).toMatchObject({ name: 'Theirs', felted: { shrinksPercent: 30 } })
  })
})
