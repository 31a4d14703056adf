import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import type { Design } from '../core/bag/design/design'
import { readDesign } from '../core/bag/design/read'
import { draft } from '../core/bag/draft/draft'
import { EXPORTS, exportDraft } from '../core/readers/export/exportDraft'
import { anyDesign, SEED } from '../tests/arbitraries/designs'

/*
 * Whether a change of structure changed what the program says: `npm run snapshot -- take DIR` on the commit before, then
 * `npm run snapshot -- compare DIR` on the one after. The designs are kept beside what they came to, as documents of the earlier
 * commit, so that reading and migrating them is compared as well. In JSON the ids of parts and the order of findings may differ.
 */

const COUNT = 2000

interface Shot {
  readonly name: string
  readonly document: unknown
  readonly outputs: Readonly<Record<string, string>>
}

function hash(text: string): string {
  return createHash('sha1').update(text).digest('hex')
}

function demos(): { name: string, document: unknown }[] {
  return readdirSync('demo')
    .filter(file => !/^(swatch|make|yarn|order)-/.test(file))
    .map(file => ({ name: file, document: JSON.parse(readFileSync(join('demo', file), 'utf8')) as unknown }))
}

/** What of a draft can be read from outside, small enough to keep: texts whole, pictures and tables as their hash; or that it breaks. */
function outputsOf(design: Design): Record<string, string> {
  try {
    return written(design)
  }
  catch (error) {
    return { breaks: String(error) }
  }
}

function written(design: Design): Record<string, string> {
  const drafted = draft(design)
  const outputs: Record<string, string> = {}
  for (const terms of ['us', 'uk'] as const) {
    for (const as of EXPORTS) {
      const { body } = exportDraft(drafted, as, terms)
      outputs[`${as}-${terms}`] = as === 'svg' || as === 'md' ? hash(body) : body
    }
  }
  return outputs
}

function take(folder: string): void {
  mkdirSync(folder, { recursive: true })
  const random = fc
    .sample(anyDesign, { seed: SEED.seed, numRuns: COUNT })
    .map((document, i) => ({ name: `random-${i}`, document: JSON.parse(JSON.stringify(document)) as unknown }))
  for (const { name, document } of [...demos(), ...random]) {
    const read = readDesign(document)
    if (!read.ok) throw new Error(`${name} cannot be read: ${JSON.stringify(read.problems)}`)
    const shot: Shot = { name, document, outputs: outputsOf(read.document) }
    writeFileSync(join(folder, `${name}.shot.json`), JSON.stringify(shot))
  }
}

/** Ids of a wall's parts, as places in the wall: what an earlier version called them. */
function withoutIds(text: string, ids: readonly string[]): string {
  return ids.reduce((told, id, i) => told.replaceAll(`,${id},`, `,wall.${i},`).replaceAll(`,${id}.`, `,wall.${i}.`), text)
}

/** Which findings two JSON exports do not share, by code; nothing if something else differs too. */
function findingsApart(before: string, after: string): string | undefined {
  const [a, b] = [JSON.parse(before), JSON.parse(after)] as { findings: string[] }[]
  if (JSON.stringify({ ...a, findings: [] }) !== JSON.stringify({ ...b, findings: [] })) return undefined
  const apart = [...a!.findings.filter(one => !b!.findings.includes(one)), ...b!.findings.filter(one => !a!.findings.includes(one))]
  return `findings: ${[...new Set(apart.map(one => (JSON.parse(one) as { code: string }).code))].sort().join(', ')}`
}

/** A JSON export with its keys in order, ids as places, findings sorted. */
function plainJson(text: string, ids: readonly string[]): string {
  const tidy = (value: unknown, key = ''): unknown => {
    if (Array.isArray(value)) {
      const list = value.map(one => tidy(one, key))
      return key === 'path' ? list.map(one => (ids.includes(String(one)) ? ids.indexOf(String(one)) : one)) : list
    }
    if (typeof value === 'string' && key === 'part') {
      const [id, ...more] = value.split('.')
      return ids.includes(id!) ? [`wall.${ids.indexOf(id!)}`, ...more].join('.') : value
    }
    if (typeof value !== 'object' || value === null) return value
    const entries = Object.entries(value)
      .filter(([name]) => !(ids.length > 0 && name === 'id' && 'kind' in value))
      .map(([name, one]): [string, unknown] => [name === 'band' ? 'kind' : name, one])
      .sort(([a], [b]) => (a < b ? -1 : 1))
    return Object.fromEntries(entries.map(([name, one]) => [name, tidy(one, name)]))
  }
  const record = tidy(JSON.parse(text)) as { findings: object[] }
  record.findings = record.findings.map(finding => JSON.stringify(finding)).sort() as never
  return JSON.stringify(record, null, 1)
}

/** How one output of a design is apart from what it was; nothing if it is not. */
interface Apart {
  readonly output: string
  /** Where only findings differ: which were added, which are gone. */
  readonly findings?: string
  readonly before: string
  readonly after: string
}

function apart(output: string, then: string, now: string, ids: readonly string[]): Apart | undefined {
  const isJson = output.startsWith('json')
  const before = isJson ? plainJson(then, []) : then
  const after = isJson ? plainJson(now, ids) : output.startsWith('csv') ? withoutIds(now, ids) : now
  if (before === after) return undefined
  const findings = isJson ? findingsApart(before, after) : undefined
  return { output, before, after, ...(findings ? { findings } : {}) }
}

/** What became of a design since its shot was taken: how its outputs differ, or why nothing can be compared. */
function since(shot: Shot): readonly Apart[] | string {
  const read = readDesign(shot.document)
  if (!read.ok) return `cannot be read: ${JSON.stringify(read.problems)}`
  const now = outputsOf(read.document)
  if ('breaks' in shot.outputs || 'breaks' in now) return `breaks: before ${shot.outputs.breaks ?? 'not'}, now ${now.breaks ?? 'not'}`
  const { version } = shot.document as { version: number }
  // Version 1 had no ids.
  const ids = version > 1 ? [] : read.document.wall.map(({ id }) => id)
  return Object.entries(shot.outputs).flatMap(([output, then]) => apart(output, then, now[output]!, ids) ?? [])
}

function firstLine({ output, before, after }: Apart): string {
  const [then, now] = [before.split('\n'), after.split('\n')]
  const odd = then.findIndex((line, i) => line !== now[i])
  return `${output}, line ${odd + 1}\n    - ${then[odd]?.slice(0, 400)}\n    + ${now[odd]?.slice(0, 400)}`
}

function compare(folder: string): void {
  const shots = readdirSync(folder)
    .filter(file => file.endsWith('.shot.json'))
    .map(file => JSON.parse(readFileSync(join(folder, file), 'utf8')) as Shot)
  const told = shots.map(shot => ({ name: shot.name, since: since(shot) }))
  const differ = told.filter(({ since }) => typeof since !== 'string' && since.some(({ findings }) => !findings))
  const noticed = told.flatMap(({ name, since }) =>
    typeof since === 'string' ? [] : since.filter(one => one.findings).map(one => ({ name, ...one })),
  )
  console.log(`${shots.length} designs compared, ${differ.length} differ in more than findings`)
  for (const { name, since } of told) if (typeof since === 'string') console.log(`${name} ${since}`)
  for (const what of new Set(noticed.map(({ findings }) => findings))) {
    const names = [...new Set(noticed.filter(({ findings }) => findings === what).map(({ name }) => name))]
    console.log(`  ${names.length} by ${what}: ${names.slice(0, 3).join(', ')}`)
  }
  for (const { name, since } of differ.slice(0, 12)) console.log(`${name}\n  ${(since as Apart[]).slice(0, 3).map(firstLine).join('\n  ')}`)
  if (differ.length > 0) process.exitCode = 1
}

const [verb, folder] = process.argv.slice(2)
if (verb === 'take' && folder) take(folder)
else if (verb === 'compare' && folder && existsSync(folder)) compare(folder)
else console.log('usage: npm run snapshot -- take|compare DIR')
