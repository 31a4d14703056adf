import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import Ajv from 'ajv'
import { describe, expect, it } from 'vitest'
import { BASE_FORMS } from '../../core/base/base'
import { readDesign, readSwatch } from '../../core/design/read'
import { draft } from '../../core/draft/draft'
import { WALL_KINDS } from '../../core/wall/wall'

const root = fileURLToPath(new URL('../..', import.meta.url))
const read = (path: string) => readFileSync(root + path, 'utf8')
const bySchema = new Ajv({ strict: false }).compile(JSON.parse(read('docs/design.schema.json')) as object)

const demos = readdirSync(root + 'demo').map(file => ({ file, document: JSON.parse(read(`demo/${file}`)) as Record<string, unknown> }))

describe('the demo world', () => {
  it.each(demos.filter(({ document }) => document.fairHollow === 'design'))('$file is a sound design by program and schema, and drafts clean', ({ document }) => {
    const reading = readDesign(document)
    expect(reading.ok).toBe(true)
    expect(bySchema(document)).toBe(true)
    if (!reading.ok) return
    const heavy = draft(reading.document).findings.filter(({ weight }) => weight === 'stop' || weight === 'caution')
    expect(heavy).toEqual([])
  })

  it.each(demos.filter(({ document }) => document.fairHollow === 'swatch'))('$file is a sound swatch', ({ document }) => expect(readSwatch(document).ok).toBe(true))
})

describe('the documentation', () => {
  it('shows documents that the program takes', () => {
    const blocks = [...read('docs/formats.md').matchAll(/```json\n([\s\S]*?)```/g)].map(([, text]) => JSON.parse(text!) as { fairHollow: string })
    expect(blocks.map(({ fairHollow }) => fairHollow)).toEqual(['design', 'swatch'])
    for (const block of blocks) expect((block.fairHollow === 'design' ? readDesign(block) : readSwatch(block)).ok).toBe(true)
  })

  it('names every form of base and every kind of wall', () => {
    const formats = read('docs/formats.md')
    for (const form of [...BASE_FORMS, ...WALL_KINDS]) expect(formats).toContain(`\`${form}\``)
  })

  it('links only to what is there, and to every picture', () => {
    const readme = read('README.md')
    const links = [...readme.matchAll(/\]\(([^)]+)\)/g)].map(([, link]) => link!)
    for (const link of links) expect(existsSync(root + link), link).toBe(true)
    for (const picture of readdirSync(root + 'docs/screenshots')) expect(readme).toContain(picture)
    expect(readdirSync(root + 'docs/screenshots').length).toBeLessThan(20)
  })

  it('names commands that exist', () => {
    const scripts = (JSON.parse(read('package.json')) as { scripts: Record<string, string> }).scripts
    for (const [, name] of read('README.md').matchAll(/npm run (?:-s )?([a-z0-9]+)/g)) expect(scripts, name).toHaveProperty(name!)
  })
})
