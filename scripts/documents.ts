import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { designSchema } from '../core/bag/design/schema'
import { makeSchema } from '../core/making/make/schema'
import { readDesign } from '../core/bag/design/read'
import { formatTables } from '../core/bag/design/tables'
import { everyAnswer } from '../tests/kept/everyAnswer'
import { architectureSvg } from './architecture'
import { keptDraft } from '../tests/kept/keptDraft'

/**
 * `npm run documents`: writes what the documentation says of the declarations: the schema, and the tables of the formats; and what the
 * demo bags come to, which a test compares, so that a change of theirs is seen in the review.
 */

const docs = (file: string) => fileURLToPath(new URL(`../docs/${file}`, import.meta.url))

/** A text with each generated table in its place, between its two marks. */
export function withTables(text: string): string {
  return Object.entries(formatTables()).reduce(
    (all, [name, table]) =>
      all.replace(
        new RegExp(`(<!-- ${name} -->\\n)[\\s\\S]*?(<!-- /${name} -->)`),
        (_, open: string, close: string) => `${open}${table}\n${close}`,
      ),
    text,
  )
}

/** The schema as it stands in the file. */
export function schemaText(): string {
  return JSON.stringify(designSchema(), null, 2) + '\n'
}

/** The schema of a make likewise. */
export function makeSchemaText(): string {
  return JSON.stringify(makeSchema(), null, 2) + '\n'
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  writeFileSync(docs('architecture.svg'), architectureSvg())
  writeFileSync(docs('design.schema.json'), schemaText())
  writeFileSync(docs('make.schema.json'), makeSchemaText())
  writeFileSync(docs('formats.md'), withTables(readFileSync(docs('formats.md'), 'utf8')))
  const root = fileURLToPath(new URL('..', import.meta.url))
  mkdirSync(`${root}tests/kept/drafts`, { recursive: true })
  writeFileSync(`${root}tests/kept/every-answer.txt`, everyAnswer())
  for (const file of readdirSync(`${root}demo`)) {
    const reading = readDesign(JSON.parse(readFileSync(`${root}demo/${file}`, 'utf8')))
    if (reading.ok) writeFileSync(`${root}tests/kept/drafts/${file.replace('.json', '.txt')}`, keptDraft(reading.document))
  }
}
