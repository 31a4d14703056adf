import type { Bounds, Field, Fields, Label, WaysField } from '../../parts/field/field'
import { baseForms } from '../../parts/base/base'
import { CONTENT_KINDS } from '../../parts/contents/contents'
import { FLAT_KINDS } from '../../parts/flat/kinds'
import { gaugeOf } from '../../things/gauge/gauge'
import { MOTIF_KINDS } from '../../parts/motif/kinds'
import type { Keeps, PartContext } from '../../parts/kind/kind'
import { asksWords } from '../../parts/part/asks'
import { beginPart, demandOf, wallKinds } from '../../parts/wall/wall'
import { TURN_UPS } from '../../parts/wall/turnUp'
import { BAG_FIELDS } from './bagFields'
import { firstRepeat } from '../../parts/band/own'
import { ASSUMED_GAUGE } from './starter'

/*
 * The tables of docs/formats.md, made from the declarations of what they list.
 */

function bounded({ least, most }: Bounds, unit = ''): string {
  return `${least} to ${most}${unit && ` ${unit}`}`
}

/** Values that a document may hold for a question, in words. */
function holds(field: Field): string {
  switch (field.is) {
    case 'count':
      return `${bounded(field.bounds)}${field.or ? ` or \`"${field.or}"\`` : ''}`
    case 'figure':
      return bounded(field.bounds, field.unit)
    case 'length':
      return bounded(field.bounds, 'cm')
    case 'choice':
      return field.options.map(({ value }) => `\`${value}\``).join(', ')
    case 'stitch':
      return field.kinds.map(kind => `\`${kind}\``).join(', ')
    case 'yarn':
      return 'a yarn'
    case 'repeat':
      return 'a repeat'
    case 'always':
      return `\`${field.value}\``
    case 'ways':
      return decided(field)
    case 'maybe':
    case 'group':
      return `{ ${cells(field.fields).join('; ')} }`
    case 'list':
      return `a list of { ${cells(field.of).join('; ')} }`
    case 'kinds':
      return field.list ? `a list of ${field.list.all}, told apart by \`${field.by}\`: below` : `told apart by \`${field.by}\``
    default:
      return 'text'
  }
}

function decided({ ways }: WaysField): string {
  return ways.map(({ under, fields }) => `${under} ${cells(fields).join(' and ')}`).join(', or ')
}

function cells(fields: Fields): string[] {
  return Object.entries(fields).map(([name, field]) => {
    const begins
      = 'begins' in field && ['string', 'number', 'boolean'].includes(typeof field.begins) && field.is !== 'yarn'
        ? `; left out: \`${String(field.begins)}\``
        : ''
    const left = begins || (field.optional ? '; may be left out' : '')
    return `\`${name}\` (${holds(field)}${left})`
  })
}

function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  return [head, head.map(() => '---'), ...rows].map(row => `| ${row.join(' | ')} |`).join('\n')
}

/** Names of stitches in texts, as the documents write them. */
function plain(text: string): string {
  return text.replace(/\{(\w+)(?:\.name)?\}/g, '$1')
}

function said(text: Label): string {
  return plain(typeof text === 'string' ? text : '')
}

const KEEPS: Keeps = {
  stitch: 'sc', size: { want: { heightCm: 6 } }, yarn: { colour: 'main' }, repeats: [firstRepeat('own-1')], aroundCm: 40,
}

const SEEN: PartContext = { gauge: gaugeOf(ASSUMED_GAUGE), repeats: KEEPS.repeats, hook: ASSUMED_GAUGE }

/** Demand and yield of a new part of a kind. */
function asks(band: string): string {
  const demand = demandOf(beginPart(band, KEEPS), SEEN)!
  const { multiple, plus, least = 0 } = demand.asks
  if (demand.steadies) return 'any number; what it leaves does not depend on it'
  const leaves = demand.leaves(multiple + plus) - plus
  if (multiple === 1) return least > 1 ? `at least ${least}` : 'any number'
  return `${asksWords(demand.asks)}${leaves === multiple ? '' : `; leaves ${leaves} for each ${multiple}`}`
}

/** Every table, by the name of its place in the document. */
export function formatTables(): Readonly<Record<string, string>> {
  const common = ['colour', 'stitch']
  const own = (fields: Fields, but: readonly string[]) =>
    cells(Object.fromEntries(Object.entries(fields).filter(([name]) => !but.includes(name)))).join(', ')
  return {
    bases: table(
      ['form', 'what it is', 'besides `stitch` and `colour`'],
      baseForms().map(({ form, does, fields }) => [`\`${form}\``, plain(does), own(fields, common)]),
    ),
    walls: table(
      ['kind', 'what it is', 'a new one asks for', 'besides `id` and `colour`'],
      wallKinds().map(({ kind: band, does, fields }) => [`\`${band}\``, plain(does), asks(band), own(fields, ['colour', 'stripes'])]),
    ),
    flatBands: table(
      ['kind', 'what it is', 'besides `colour` and `stripes`'],
      FLAT_KINDS.map(({ kind: band, does, fields }) => [`\`${band}\``, plain(does), own(fields, ['colour', 'stripes'])]),
    ),
    motifBands: table(
      ['kind', 'what it is', 'besides `colour`'],
      MOTIF_KINDS.map(({ kind: band, does, fields }) => [`\`${band}\``, plain(does), own(fields, ['colour'])]),
    ),
    turnUps: table(
      ['turnUp', 'what it does'],
      TURN_UPS.map(({ value, does }) => [`\`${value}\``, does]),
    ),
    contents: table(
      ['kind', 'fields'],
      CONTENT_KINDS.map(({ kind, fields }) => [`\`${kind}\``, own(fields, [])]),
    ),
    bag: table(
      ['field', 'what it may hold', 'what it is'],
      Object.entries(BAG_FIELDS).map(([name, field]) => [`\`${name}\``, holds(field), said(field.says ?? field.label)]),
    ),
  }
}
