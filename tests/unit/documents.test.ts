import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Ajv from 'ajv'
import { describe, expect, it } from 'vitest'
import { baseForms } from '../../core/parts/base/base'
import { swatchUpToDate } from '../../core/bag/design/migrate'
import { readDesign, readSwatch } from '../../core/bag/design/read'
import { draft } from '../../core/bag/draft/draft'
import { inHand } from '../../core/making/make/plan'
import type { MakeEvent } from '../../core/making/make/event'
import { readMake } from '../../core/making/make/read'
import { storedEvent, storedProgress } from '../../core/making/make/storedEvent'
import { readOrder } from '../../core/household/plan/readOrder'
import { readShelfYarn } from '../../core/household/shelf/read'
import { stateOf } from '../../core/making/make/fold'
import { wallKinds } from '../../core/parts/wall/wall'
import { architectureSvg, arrowsBetween } from '../../scripts/architecture'
import { makeSchemaText, schemaText, withTables } from '../../scripts/documents'

const root = fileURLToPath(new URL('../..', import.meta.url))
const read = (path: string) => readFileSync(root + path, 'utf8')
const designFile = JSON.parse(read('docs/design.schema.json')) as object
const makeBySchema = new Ajv({ strict: false })
  .addSchema(designFile, 'design.schema.json')
  .compile(JSON.parse(read('docs/make.schema.json')) as object)
const bySchema = new Ajv({ strict: false }).compile(designFile)

const demos = readdirSync(root + 'demo').map(file => ({ file, document: JSON.parse(read(`demo/${file}`)) as Record<string, unknown> }))

describe('the picture of the folders', () => {
  it('shows the imports as they are, and every folder that there is', () => {
    expect(read('docs/architecture.svg')).toBe(architectureSvg())
    const arrows = arrowsBetween()
    expect(arrows.length).toBeGreaterThan(150)
    const names = readdirSync(`${root}core`).flatMap(wing => [wing, ...readdirSync(`${root}core/${wing}`)])
    for (const name of names) expect(read('docs/architecture.svg'), name).toContain(`>${name}</text>`)
    expect(arrows.some(({ from, to }) => from === 'core/bag/draft' && to === 'core/parts/part')).toBe(true)
    expect(arrows.filter(({ from, to }) => from.startsWith('core') && !to.startsWith('core'))).toEqual([])
  })
})

describe('the demo world', () => {
  it.each(demos.filter(({ document }) => document.fairHollow === 'design'))(
    '$file is a sound design by program and schema, and drafts clean',
    ({ document }) => {
      const reading = readDesign(document)
      expect(reading.ok).toBe(true)
      expect(bySchema(document)).toBe(true)
      if (!reading.ok) return
      const heavy = draft(reading.document).findings.filter(({ weight }) => weight === 'stop' || weight === 'caution')
      expect(heavy).toEqual([])
    },
  )

  it.each(demos.filter(({ document }) => document.fairHollow === 'yarn'))('$file is a sound yarn', ({ document }) =>
    expect(readShelfYarn(document)).toEqual({ ok: true, document }))

  it.each(demos.filter(({ document }) => document.fairHollow === 'swatch'))('$file is a sound swatch', ({ document }) =>
    expect(readSwatch(document).ok).toBe(true),
  )

  const makes = demos.filter(({ document }) => document.fairHollow === 'make')

  it.each(makes)('$file is a sound make, with a bag of the demo on the hook', (demo) => {
    const reading = readMake(demo.document)
    expect(reading.ok).toBe(true)
    expect(makeBySchema(demo.document), JSON.stringify(makeBySchema.errors)).toBe(true)
    if (!reading.ok) return
    const state = stateOf(reading.document.events)
    const plan = demos.find(({ document }) => document.name === demo.document.name && document.fairHollow === 'design')!
    expect(readDesign(plan.document)).toEqual({ ok: true, document: state.plan })
    expect(inHand(state)!.at.leg?.sort).toBe(state.finishedAt === undefined ? 'round' : undefined)
  })

  it('has a make that the schema refuses where the program does', () => {
    const [{ document }] = makes as unknown as [{ document: { events: object[] } }]
    const odd = { ...document, events: [...document.events, { id: 'x', turn: 1, at: 1, do: 'baked' }] }
    expect(makeBySchema(odd)).toBe(false)
    expect(readMake(odd).ok).toBe(false)
  })
})

describe('a document of an earlier version', () => {
  const kept = 'tests/kept/version-1'
  const files = readdirSync(root + kept).filter(file => !file.startsWith('swatch'))

  it('is there to be read, of every demo of then', () => expect(files.length).toBeGreaterThan(8))

  it.each(files)('%s comes to the design of today, its parts numbered from the floor up', (file) => {
    const before = JSON.parse(read(`${kept}/${file}`)) as Record<string, unknown>
    expect(before.version).toBe(1)
    const reading = readDesign(before)
    expect(reading).toEqual(readDesign(JSON.parse(read(`demo/${file}`))))
    if (reading.ok) expect(reading.document.wall.map(({ id }) => id)).toEqual(reading.document.wall.map((_, i) => `part-${i + 1}`))
    // Reading leaves what was read as it was.
    expect(before.version).toBe(1)
  })

  const before = (file: string) => JSON.parse(read(`tests/kept/version-3/${file}`)) as Record<string, unknown>
  const now = (file: string) => JSON.parse(read(`demo/${file}`)) as Record<string, unknown>

  it.each(['gooseberry-net.json', 'grafting-bag.json'])('%s of version 3 says `kind` now wherever it said `band`', (file) => {
    expect(JSON.stringify(before(file))).toContain('"band"')
    const reading = readDesign(before(file))
    expect(reading).toEqual(readDesign(now(file)))
    expect(JSON.stringify(reading)).not.toContain('"band"')
  })

  it('is a swatch of a texture, which says so too', () => {
    const reading = readSwatch(before('swatch-sprigs.json'))
    expect(reading).toEqual(readSwatch(now('swatch-sprigs.json')))
    expect(reading.ok && swatchUpToDate(before('swatch-sprigs.json') as never)).toEqual(reading.ok && reading.document)
  })

  it.each(['make-onion-net.json', 'make-seed-head-pouch-done.json'])('%s: its events hold the plan as it is written now', (file) => {
    expect(readMake(before(file))).toEqual(readMake(now(file)))
    const events = (document: Record<string, unknown>) => document.events as readonly MakeEvent[]
    expect(events(before(file)).map(storedEvent)).toEqual(events(now(file)))
    // What needs nothing stays the very same.
    expect(events(now(file)).every(event => storedEvent(event) === event)).toBe(true)
  })

  it('said by its words alone that a make was finished', () => {
    const progress = { round: 9, of: 9, share: 1, words: 'Finished' }
    expect(storedProgress(progress)).toEqual({ ...progress, finished: true })
    for (const other of [null, { ...progress, words: 'Round 9 of 9' }]) expect(storedProgress(other)).toBe(other)
  })

  it('leaves a part that says both, and a band that is none, to the judge', () => {
    const both = { ...before('gooseberry-net.json'), wall: [{ id: 'part-1', band: 'solid', kind: 'rim' }] }
    expect(readDesign(both)).toMatchObject({ ok: false })
    const odd = { ...before('gooseberry-net.json'), wall: [{ id: 'part-1', band: 3 }] }
    expect(readDesign(odd)).toMatchObject({ ok: false })
  })

  it('means what it meant then where it leaves something out', () => {
    const bag = {
      fairHollow: 'design', name: 'Then', gauge: demos[0]!.document.gauge,
      base: { form: 'rectangle', size: { pin: { stitches: 20, rows: 9 } } },
    }
    const of = (version: number, part: object) => {
      const reading = readDesign({
        ...bag, gauge: { hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 22, overCm: 10 } } }, version,
        wall: [version === 1 ? part : { id: 'part-1', ...part }],
      })
      return reading.ok ? ({ base: reading.document.base, ...reading.document.wall[0]! } as Record<string, unknown>) : reading.problems
    }
    const slots = { band: 'slots', width: { want: { widthCm: 12 } }, chains: { want: { hole: true } } }
    expect(of(1, slots)).toMatchObject({ rounds: 3 })
    expect(of(2, slots)).toMatchObject({ rounds: 4 })
    expect(of(1, { ...slots, rounds: 6 })).toMatchObject({ rounds: 6 })
  })
})

describe('the documentation', () => {
  it('shows documents that the program takes', () => {
    const blocks = [...read('docs/formats.md').matchAll(/```json\n([\s\S]*?)```/g)].map(
      ([, text]) => JSON.parse(text!) as { fairHollow: string },
    )
    const readers: Record<string, (input: unknown) => { readonly ok: boolean }> = {
      design: readDesign, swatch: readSwatch, yarn: readShelfYarn, order: readOrder, make: readMake,
    }
    expect(blocks.map(({ fairHollow }) => fairHollow)).toEqual(['design', 'swatch', 'swatch', 'yarn', 'order', 'make'])
    for (const block of blocks) expect(readers[block.fairHollow]!(block), block.fairHollow).toMatchObject({ ok: true })
  })

  it('names every form of base and every kind of wall', () => {
    const formats = read('docs/formats.md')
    for (const name of [...baseForms().map(({ form }) => form), ...wallKinds().map(({ kind }) => kind)])
      expect(formats).toContain(`\`${name}\``)
  })

  it('says of the document what the declarations say: `npm run documents` writes it anew', () => {
    expect(read('docs/design.schema.json')).toBe(schemaText())
    expect(read('docs/make.schema.json')).toBe(makeSchemaText())
    expect(withTables(read('docs/formats.md'))).toBe(read('docs/formats.md'))
  })

  /** The papers that a newcomer reads. */
  const papers = [
    'README.md', 'CONTRIBUTING.md', ...readdirSync(root + 'docs').filter(name => name.endsWith('.md')).map(name => `docs/${name}`),
  ]

  it('links only to what is there, and to every picture', () => {
    for (const paper of papers) for (const [, link] of read(paper).matchAll(/\]\(([^)#]+)[^)]*\)/g))
      expect(existsSync(join(root, paper, '..', link!)), `${paper}: ${link}`).toBe(true)
    const readme = read('README.md')
    expect(readme.split('\n').length).toBeLessThanOrEqual(120)
    for (const picture of readdirSync(root + 'docs/screenshots')) expect(readme).toContain(picture)
    expect(readdirSync(root + 'docs/screenshots').length).toBeLessThan(20)
  })

  it('is of lines that can be read beside the code', () => {
    for (const paper of papers) {
      const prose = read(paper).replace(/```[\s\S]*?```/g, '').split('\n').filter(line => !/^(\||!|<| {4})/.test(line))
      expect(prose.filter(line => line.length > 120), paper).toEqual([])
    }
  })

  it('names files and things of the code that are there', () => {
    const houses = ['core', 'app', 'server', 'cli', 'tests', 'lint', 'scripts', 'bench', 'sw']
    const paths = houses.flatMap(house => (readdirSync(root + house, { recursive: true }) as string[]).map(path => `${house}/${path}`))
      .filter(path => /\.(ts|vue|mjs)$/.test(path))
    const names = new Set([...paths.map(path => path.split('/').at(-1)!), 'nuxt.config.ts', 'playwright.config.ts', 'vitest.config.ts'])
    // A component is called as its file.
    const code = new Set(paths.flatMap(path => [path.split('/').at(-1)!.split('.')[0]!, ...(read(path).match(/[A-Za-z_]\w*/g) ?? [])]))
    const papers = ['docs', 'docs/decisions'].flatMap(folder =>
      readdirSync(root + folder).filter(file => file.endsWith('.md')).map(file => `${folder}/${file}`))
    const gone = [...papers, 'CONTRIBUTING.md'].flatMap((paper) => {
      const words = [...read(paper).matchAll(/`([A-Za-z]\w*(?:\.ts)?)(?:\([^`]*\))?`/g)].map(([, word]) => word!)
      const isName = (word: string) => word.endsWith('.ts') || /^\w+[A-Z]/.test(word)
      return words.filter(word => isName(word) && !(word.endsWith('.ts') ? names : code).has(word)).map(word => `${paper}: ${word}`)
    })
    expect(gone).toEqual([])
    const named = /^\s*(?:\/?\*|\/\/).*?\b((?!test\b|spec\b|config\b)[a-zA-Z]{3,}\.ts)\b/gm
    const lost = paths.flatMap(path =>
      [...read(path).matchAll(named)].filter(([, file]) => !names.has(file!)).map(([, file]) => `${path}: ${file}`))
    expect(lost).toEqual([])
  })

  it('has for every word the name that is declared where it says', () => {
    const rows = [...read('docs/words.md').matchAll(/\| `(\w+)` \| (\S+) \|/g)]
    expect(rows.length).toBeGreaterThan(30)
    for (const [, name, file] of rows)
      expect(read(file!), `${name} in ${file}`).toMatch(new RegExp(`^(export )?(interface|type|class) ${name}\\b`, 'm'))
  })

  it('names commands that exist', () => {
    const scripts = (JSON.parse(read('package.json')) as { scripts: Record<string, string> }).scripts
    for (const paper of papers) for (const [, name] of read(paper).matchAll(/npm run (?:-s )?([a-z0-9:]+)/g))
      expect(Object.keys(scripts), `${paper}: ${name}`).toContain(name)
  })
})
