import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { EXPORTS, type ExportAs, exportDraft } from '../core/export/exportDraft'
import { problemLines, readDesign } from '../core/design/read'
import { draft } from '../core/draft/draft'

const USAGE = `usage: npm run -s draft -- FILE.json [--as ${EXPORTS.join('|')}] [--terms us|uk]`

/** Ends the command with a message for the person who called it. */
function refuse(...lines: string[]): never {
  process.stderr.write(lines.join('\n') + '\n')
  process.exit(2)
}

function parsed(text: string, file: string): unknown {
  try {
    return JSON.parse(text)
  }
  catch (error) {
    return refuse(`${file}: this is not JSON (${(error as Error).message})`)
  }
}

function contents(file: string): string {
  try {
    return readFileSync(file, 'utf8')
  }
  catch (error) {
    return refuse(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? String(error)})`)
  }
}

function asked() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: { as: { type: 'string', default: 'text' }, terms: { type: 'string', default: 'us' } },
    })
  }
  catch (error) {
    return refuse((error as Error).message, USAGE)
  }
}

const {
  positionals: [file],
  values: { as, terms },
} = asked()
if (!file) refuse(USAGE)
if (!EXPORTS.includes(as as ExportAs)) refuse(`--as: must be one of: ${EXPORTS.join(', ')}`, USAGE)
if (terms !== 'us' && terms !== 'uk') refuse('--terms: must be us or uk', USAGE)

const reading = readDesign(parsed(contents(file), file))
if (!reading.ok) refuse(`${file}: this design cannot be drafted yet`, ...problemLines(reading.problems).map(line => `  ${line}`))
process.stdout.write(exportDraft(draft(reading.document), as as ExportAs, terms).body)
