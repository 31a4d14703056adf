import { DESIGN_VERSION } from './versions'
import { readFileSync } from 'node:fs'
import Ajv from 'ajv'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDesign, SEED } from '../../../tests/arbitraries/designs'
import { readDesign, readSwatch } from './read'
import { problemLines } from './problem'
import { newDesign } from './starter'

const schema = JSON.parse(readFileSync(new URL('../../../docs/design.schema.json', import.meta.url), 'utf8')) as object
const bySchema = new Ajv({ allErrors: true, strict: false }).compile(schema)

const plain = () => JSON.parse(JSON.stringify(newDesign('Seed-head pouch'))) as Record<string, unknown>

/** A design with the value at a dotted path replaced, or left out. */
function with_(path: string, value: unknown): Record<string, unknown> {
  const design = plain()
  const keys = path.split('.')
  const last = keys.pop()!
  const holder = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, design)
  if (value === undefined) Reflect.deleteProperty(holder, last)
  else holder[last] = path === 'wall.0' && typeof value === 'object' ? { id: 'part-1', ...value } : value
  return design
}

function fields(input: unknown): string[] {
  const reading = readDesign(input)
  return reading.ok ? [] : reading.problems.map(({ field }) => field)
}

describe('reading a design', () => {
  it('gives back a sound one as it was', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        const reading = readDesign(JSON.parse(JSON.stringify(design)))
        expect(reading).toEqual({ ok: true, document: JSON.parse(JSON.stringify(design)) })
      }),
      { ...SEED, numRuns: 60 },
    )
  })

  it('fills in what a short one leaves out', () => {
    const reading = readDesign({
      fairHollow: 'design', version: 1, name: 'Short', gauge: plain().gauge, base: { form: 'circle', size: { want: { diameterCm: 12 } } },
    })
    expect(reading.ok && reading.document).toMatchObject({
      hands: 'right', units: 'cm', turnUp: 'plain', wall: [], yarns: [{ id: 'main' }],
      rounds: { style: 'joined', startingChainCounts: false }, base: { stitch: 'sc', increases: 'by-gauge', colour: 'main' },
    })
  })

  it.each([
    ['gauge.measured.sc.stitches', 0], ['gauge.measured.sc.stitches', -20], ['gauge.measured.sc.rounds', 'twenty'],
    ['gauge.measured.sc.overCm', 1e9], ['gauge.hookMm', 0], ['gauge.strands', 1.5], ['gauge.measured', {}], ['gauge', undefined],
    ['gauge', 7], ['base.size.want.diameterCm', 300], ['base.size.want.diameterCm', '12'], ['base.size.want.diameterCm', null],
    ['base.form', 'trapeze'], ['base.increases', 2.5], ['base.increases', 'many'], ['base', []], ['base.colour', 'Unknown Yarn'],
    ['wall', {}], ['wall.0.stitch', 'knit'], ['wall.0.kind', undefined], ['turnUp', 3], ['name', ''], ['name', 'x'.repeat(81)],
    ['wall.0.stripes', []], ['wall.0.stripes', [{ colour: 'main', rounds: 0 }]],
    ['wall.0', { kind: 'rib', front: 0, size: { pin: { rounds: 3 } } }], ['wall.0', { kind: 'adjust', to: { want: { divides: false } } }],
    ['wall.0', { kind: 'adjust', to: { pin: { stitches: 40, change: 2 } } }], ['wall.0', { kind: 'adjust', to: {} }],
    ['wall.0', { kind: 'taper', size: { want: { heightCm: 4 } } }], ['wall.0', 7], ['repeats', [{ id: 'own', name: 'x', lines: [] }]],
    ['repeats', [{ id: 'own', name: 'x', lines: [3] }]], ['repeats', 'sc in next'], ['mouth', { divides: 0 }], ['rounds.leanPerTen', 99],
    ['hands', 'both'], ['units', 'ell'], ['rounds.style', 'square'], ['rounds.startingChainCounts', 'yes'], ['yarns', []],
    ['yarns.0.colour', 'red'], ['version', 0],
  ] as const)('refuses %s: %j, and names the field', (path, value) => {
    const found = fields(with_(path, value))
    expect(found.length).toBeGreaterThan(0)
    expect(found.some(field => field === path || field.startsWith(path) || path.startsWith(field))).toBe(true)
    expect(bySchema(with_(path, value))).toBe(false)
  })

  it.each(['contents', 'measuredBase', 'mouth', 'stretch', 'lining', 'gauge.chain', 'forChild', 'wall.0.stripes'])(
    'refuses %s that is nothing, and may be left out: null is no answer', (path) => {
      const found = fields(with_(path, null))
      expect(found.some(field => field === path || field.startsWith(path))).toBe(true)
      expect(bySchema(with_(path, null))).toBe(false)
      expect(fields(with_(path, undefined))).toEqual([])
    })

  it('wants a size either wanted or pinned', () => {
    expect(fields(with_('base.size', { want: { diameterCm: 12 }, pin: { rounds: 3 } }))).toContain('base.size')
    expect(fields(with_('base.size', {}))).toContain('base.size')
  })

  it('checks handles and closures, each by its own kind, and says what to change', () => {
    const told = (part: object) => {
      const reading = readDesign(with_('wall', [{ id: 'part-1', ...part }]))
      return reading.ok ? reading.document.wall[0] : problemLines(reading.problems)
    }
    const slots = { kind: 'slots', width: { want: { widthCm: 12 } }, chains: { want: { hole: true } } }
    expect(told(slots)).toEqual({
      ...slots, id: 'part-1', number: 2, into: 'chains', corners: 1, rounds: 4, stitch: 'sc', nudge: 0, colour: 'main',
    })
    expect(told({ ...slots, number: 3 })).toEqual(['wall.0.number: must be 1 or 2'])
    expect(told({ ...slots, chains: { want: { hole: true, dropCm: 12 } } })).toEqual([
      'wall.0.chains.want: must hold either "dropCm" or "hole"',
    ])
    expect(told({ ...slots, width: { want: { widthCm: 12 }, pin: { stitches: 16 } } })).toEqual([
      'wall.0.width: must hold either "want" or "pin"',
    ])
    expect(told({ kind: 'knot-straps', width: { pin: { stitches: 8 } }, short: { pin: { count: 30 } } })).toEqual([
      'wall.0.long: is missing',
    ])
    expect(told({ kind: 'sewn-straps', length: { pin: { count: 60 } }, reinforced: 'wire' })).toEqual([
      'wall.0.reinforced: must be one of: none, patch, tape',
    ])
    expect(told({ kind: 'bought-handles', lengthCm: 40 })).toEqual(['wall.0.apartCm: must be a number from 1 to 100 (cm)'])
    expect(told({ kind: 'zip', colour: 'red' })).toEqual(['wall.0.colour: names a yarn "red" that is not in the list of yarns'])
  })

  it('does not believe a strip that got shorter under a weight', () => {
    expect(fields(with_('stretch', { beforeCm: 20, afterCm: 19, kg: 1, widthCm: 2 }))).toEqual(['stretch.afterCm'])
    expect(fields(with_('stretch', { beforeCm: 20, afterCm: 22, kg: 0, widthCm: 2 }))).toEqual(['stretch.kg'])
    expect(fields(with_('contents', { kind: 'bottle', acrossCm: 8, heightCm: 30, weightKg: 90 }))).toEqual(['contents.weightKg'])
  })

  it('checks what no single field can tell', () => {
    expect(fields(with_('wall.0.colour', 'plum'))).toEqual(['wall.0.colour'])
    expect(fields(with_('wall.0', { kind: 'solid', size: { pin: { rounds: 2 } }, stripes: [{ colour: 'plum', rounds: 2 }] }))).toEqual([
      'wall.0.stripes.0.colour',
    ])
    expect(fields(with_('wall.0', { kind: 'own', repeat: 'nubs', size: { pin: { rounds: 2 } } }))).toEqual(['wall.0.repeat'])
    expect(
      fields(
        with_('repeats', [
          { id: 'a', name: 'a', lines: ['sc in next'] },
          { id: 'a', name: 'b', lines: ['sc in next'] },
        ]),
      ),
    ).toEqual(['repeats.1.id'])
    expect(
      fields(
        with_('yarns', [
          { id: 'main', name: 'a', colour: '#ffffff' },
          { id: 'main', name: 'b', colour: '#000000' },
        ]),
      ),
    ).toEqual(['yarns.1.id'])
    const [part] = plain().wall as [object]
    expect(fields(with_('wall', [part, part]))).toEqual(['wall.1.id'])
    expect(fields(with_('gauge.measured.sc', { stitches: 1000, rounds: 20, overCm: 10 }))).toEqual(['gauge.measured.sc.stitches'])
  })

  it.each([
    null, 3, 'text', [], {}, { fairHollow: 'swatch' }, { fairHollow: 'design' }, { ...plain(), version: DESIGN_VERSION + 1 },
    { ...plain(), version: 0 },
    { name: 'somebody else\'s file' },
  ])('refuses %j', (input) => {
    expect(readDesign(input).ok).toBe(false)
  })

  it('refuses fields it does not know, and is not fooled by names from the language', () => {
    expect(fields(with_('sparkle', true))).toEqual(['sparkle'])
    expect(readDesign(JSON.parse(`{ "__proto__": { "polluted": true }, ${JSON.stringify(plain()).slice(1)}`)).ok).toBeDefined()
    expect(({} as Record<string, unknown>).polluted).toBeUndefined()
  })

  it('never throws, whatever it is given', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.constantFrom('base', 'wall', 'gauge', 'yarns', 'rounds', 'name'), (value, at) => {
        expect(typeof readDesign(with_(at, value)).ok).toBe('boolean')
      }),
      { ...SEED, numRuns: 300 },
    )
  })

  it('writes problems as lines', () => {
    expect(problemLines([{ field: 'base.form', message: 'must be circle' }])).toEqual(['base.form: must be circle'])
  })
})

describe('the published JSON Schema', () => {
  it('takes every design that the program takes', () => {
    fc.assert(
      fc.property(anyDesign, (design) => {
        expect(bySchema(JSON.parse(JSON.stringify(design))), JSON.stringify(bySchema.errors)).toBe(true)
      }),
      { ...SEED, numRuns: 60 },
    )
  })

  it('takes nothing that the program refuses by its shape', () => {
    fc.assert(
      fc.property(anyDesign, fc.constantFrom('base', 'turnUp', 'hands', 'units', 'rounds'), fc.jsonValue(), (design, at, value) => {
        const changed = { ...(JSON.parse(JSON.stringify(design)) as object), [at]: value }
        if (!readDesign(changed).ok) expect(bySchema(changed)).toBe(false)
      }),
      { ...SEED, numRuns: 200 },
    )
  })
})

describe('reading a swatch', () => {
  const swatch = {
    fairHollow: 'swatch', version: 2, name: 'Cone cotton',
    gauge: { hookMm: 3.5, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } },
  }
  it('fills in what it leaves out', () =>
    expect(readSwatch(swatch)).toMatchObject({ ok: true, document: { note: '', yarn: '', gauge: { strands: 1 } } }))
  it('refuses an empty count', () => expect(readSwatch({ ...swatch, gauge: { hookMm: 3.5, measured: {} } }).ok).toBe(false))
  it('refuses a design', () => expect(readSwatch(plain()).ok).toBe(false))
})

describe('a document of version 2', () => {
  const read = (rounds: object) => {
    const reading = readDesign({ ...plain(), version: 2, rounds: { ...(plain().rounds as object), ...rounds } })
    if (!reading.ok) throw new Error(problemLines(reading.problems).join())
    return reading.document.rounds
  }

  it('has a spiral that stands straight, unless it said itself how its start leans', () => {
    expect(read({ style: 'spiral' })).toMatchObject({ style: 'spiral', leanPerTen: 0 })
    expect(read({ style: 'spiral', leanPerTen: 1.5 })).toMatchObject({ style: 'spiral', leanPerTen: 1.5 })
    expect(read({ style: 'joined' })).not.toHaveProperty('leanPerTen')
  })
})

describe('a swatch that cannot be', () => {
  it('has rounds as tall as they were measured, over their own height where they have one', () => {
    const rounds = (sc: object) => fields(with_('gauge', { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, overCm: 10, ...sc } } }))
    expect(rounds({ rounds: 10, tallCm: 10 })).toEqual([])
    // Two rounds over 50 cm: each 25 cm tall; over the 10 cm of the width they would be 5.
    expect(rounds({ rounds: 2, tallCm: 50 })).toEqual(['gauge.measured.sc.rounds'])
    expect(rounds({ rounds: 2 })).toEqual([])
  })
})
