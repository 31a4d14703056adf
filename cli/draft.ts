import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { EXPORTS, type ExportAs, exportDraft } from '../core/readers/export/exportDraft'
import { readDesign } from '../core/bag/design/read'
import { problemLines } from '../core/bag/design/problem'
import { draft } from '../core/bag/draft/draft'
import { translate } from '../core/things/stitch/translate'
import { REPEAT_STYLES, type RepeatStyle } from '../core/readers/words/openingWords'

const USAGE = `usage: npm run -s draft -- FILE.json [--as ${EXPORTS.join('|')}] [--terms us|uk] [--repeats ${REPEAT_STYLES.join('|')}]`

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
      options: {
        as: { type: 'string', default: 'text' }, terms: { type: 'string', default: 'us' },
        repeats: { type: 'string', default: 'brackets' },
      },
    })
  }
  catch (error) {
    return refuse((error as Error).message, USAGE)
  }
}

const {
  positionals: [file],
  values: { as, terms, repeats },
} = asked()
if (!file) refuse(USAGE)
if (!EXPORTS.includes(as as ExportAs)) refuse(`--as: must be one of: ${EXPORTS.join(', ')}`, USAGE)
if (!REPEAT_STYLES.includes(repeats as RepeatStyle)) refuse(`--repeats: must be one of: ${REPEAT_STYLES.join(', ')}`, USAGE)
if (terms !== 'us' && terms !== 'uk') refuse('--terms: must be us or uk', USAGE)

const reading = readDesign(parsed(contents(file), file))
if (!reading.ok) refuse(`${file}: this design cannot be drafted yet`, ...problemLines(reading.problems).map(line => `  ${line}`))
const drafted = draft(reading.document)
process.stdout.write(exportDraft(drafted, as as ExportAs, terms, repeats as RepeatStyle).body)
const stops = drafted.findings.filter(({ weight }) => weight === 'stop')
if (stops.length > 0) {
  process.stderr.write(
    [
      `${file}: not a finished pattern`, ...stops.map(({ what }) => `  ${translate(what, { terms, units: reading.document.units })}`), '',
    ].join(
      '\n',
    ),
  )
  process.exitCode = 2
}
