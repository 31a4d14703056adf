import { readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { designSchema } from '../core/design/schema'
import { formatTables } from '../core/design/tables'

/** `npm run documents`: writes what the documentation says of the declarations: the schema, and the tables of the formats. */

const docs = (file: string) => fileURLToPath(new URL(`../docs/${file}`, import.meta.url))

/** A text with each generated table in its place, between its two marks. */
export function withTables(text: string): string {
  return Object.entries(formatTables()).reduce((all, [name, table]) =>
    all.replace(new RegExp(`(<!-- ${name} -->\\n)[\\s\\S]*?(<!-- /${name} -->)`), (_, open: string, close: string) => `${open}${table}\n${close}`), text)
}

/** The schema as it stands in the file. */
export function schemaText(): string {
  return JSON.stringify(designSchema(), null, 2) + '\n'
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  writeFileSync(docs('design.schema.json'), schemaText())
  writeFileSync(docs('formats.md'), withTables(readFileSync(docs('formats.md'), 'utf8')))
}
