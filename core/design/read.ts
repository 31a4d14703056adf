import 'reflect-metadata'
import { instanceToPlain, plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { formOf } from '../base/base'
import { type Answer, answersOf } from '../field/spec'
import { FABRIC_KINDS } from '../stitch/dictionary'
import { kindOf } from '../wall/wall'
import { DesignDocument, SwatchFile } from './classes'
import type { Design, DesignGauge, SwatchDocument } from './design'
import { isFromTheFuture, migrate } from './migrate'

/** A field that cannot stay as it is: where it is, `base.size.want.diameterCm`, and what to change. */
export interface Problem {
  readonly field: string
  readonly message: string
}

export type Reading<Document>
  = { readonly ok: true, readonly document: Document } | { readonly ok: false, readonly problems: readonly Problem[] }

function problemsOf(errors: readonly ValidationError[], above = ''): Problem[] {
  return errors.flatMap((error) => {
    const field = above ? `${above}.${error.property}` : error.property
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]) =>
      rule === 'whitelistValidation' ? 'is not a field of this document; remove it' : message,
    )
    return [...own.slice(0, 1).map(message => ({ field, message })), ...problemsOf(error.children ?? [], field)]
  })
}

/** Stitches narrower or wider than this are a slip of the pen, whatever the yarn (from memory). */
const STITCH_CM = { least: 0.05, most: 12 }

function gaugeProblems(gauge: DesignGauge): Problem[] {
  const measured = FABRIC_KINDS.filter(kind => gauge.measured[kind])
  if (measured.length === 0) return [{ field: 'gauge.measured', message: 'must hold at least one measured stitch: sc, hdc, dc or tr' }]
  return [
    ...chainProblems(gauge),
    ...measured.flatMap((kind) => {
      const { stitches, rounds, overCm, tallCm } = gauge.measured[kind]!
      const sizes = { stitches: overCm / stitches, rounds: (tallCm ?? overCm) / rounds }
      return (['stitches', 'rounds'] as const)
        .filter(what => sizes[what] < STITCH_CM.least || sizes[what] > STITCH_CM.most)
        .map(what => ({
          field: `gauge.measured.${kind}.${what}`,
          message: `makes a ${kind} ${sizes[what].toPrecision(2)} cm ${what === 'stitches' ? 'wide' : 'tall'}; count again, or measure `
            + 'over another width',
        }))
    }),
  ]
}

function chainProblems({ chain }: DesignGauge): Problem[] {
  if (!chain) return []
  const cm = chain.overCm / chain.chains
  return cm < STITCH_CM.least || cm > STITCH_CM.most
    ? [{ field: 'gauge.chain.chains', message: `makes a chain ${cm.toPrecision(2)} cm long; count again, or measure over another length` }]
    : []
}

/** The first of a list whose id another one before it has. */
function sameIds(things: readonly { readonly id: string }[], field: string, what: string): Problem[] {
  const ids = things.map(({ id }) => id)
  const twice = ids.findIndex((id, i) => ids.indexOf(id) !== i)
  return twice >= 0 ? [{ field: `${field}.${twice}.id`, message: `is used by two ${what}; give each its own` }] : []
}

/** What the answers of a base or a part refer to and is not there: yarns, repeats. */
function lost(answers: readonly Answer[], field: string, design: Design): Problem[] {
  const known = { yarn: design.yarns, repeat: design.repeats }
  return answers.flatMap(({ field: { is }, path, value }) => {
    if (is !== 'yarn' && is !== 'repeat') return []
    const there = known[is].some(({ id }) => id === value)
    return there
      ? []
      : [{ field: [field, ...path].join('.'), message: `names a ${is} "${String(value)}" that is not in the list of ${is}s` }]
  })
}

function shorterStrip({ stretch }: Design): Problem[] {
  if (!stretch || stretch.afterCm >= stretch.beforeCm) return []
  return [
    {
      field: 'stretch.afterCm',
      message: `must be at least as long as before, ${stretch.beforeCm} (cm): a strip does not get shorter under a weight`,
    },
  ]
}

/** What no single field can tell. */
function designProblems(design: Design): Problem[] {
  const { yarns, wall, repeats, base } = design
  return [
    ...gaugeProblems(design.gauge), ...sameIds(yarns, 'yarns', 'yarns'), ...sameIds(wall, 'wall', 'parts'),
    ...sameIds(repeats, 'repeats', 'repeats'), ...lost(answersOf(formOf(base).fields, base), 'base', design),
    ...wall.flatMap((part, i) => lost(answersOf(kindOf(part).fields, part), `wall.${i}`, design)), ...shorterStrip(design),
  ]
}

/** Whether something read from JSON is an object. */
export function isObject(input: unknown): input is Record<string, unknown> {
  return typeof input === 'object' && input !== null && !Array.isArray(input)
}

/** A document refused for one thing. */
export function refuse<D>(field: string, message: string): Reading<D> {
  return { ok: false, problems: [{ field, message }] }
}

/** Checks a plain object against a document class; a sound one comes back plain, with the defaults filled in. */
export function check<D>(input: Record<string, unknown>, type: new () => object, further: (document: D) => Problem[]): Reading<D> {
  const instance = plainToInstance(type, input, { exposeDefaultValues: true })
  const problems = problemsOf(validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }))
  if (problems.length > 0) return { ok: false, problems }
  const document = instanceToPlain(instance, { exposeUnsetFields: false }) as D
  const more = further(document)
  return more.length > 0 ? { ok: false, problems: more } : { ok: true, document }
}

/**
 * Reads a design from what a file or a request held, already parsed from JSON.
 *
 * @returns the design with defaults filled in and brought to the current version, or every field that must change
 */
export function readDesign(input: unknown): Reading<Design> {
  if (!isObject(input) || input.fairHollow !== 'design')
    return refuse('fairHollow', 'this is not a Fair Hollow design: its "fairHollow" field must say "design"')
  if (isFromTheFuture(input))
    return refuse('version', `is ${String(input.version)}, from a later version of this program; open it there and export it anew`)
  const document = migrate(input)
  // The classes of these are chosen by what is in them, which takes an object to begin with.
  const shapeless = ['base', 'contents'].find(field => document[field] !== undefined && !isObject(document[field]))
  if (shapeless) return refuse(shapeless, 'must be an object')
  const { wall } = document
  const odd = Array.isArray(wall) ? wall.findIndex(part => !isObject(part)) : -1
  if (odd >= 0) return refuse(`wall.${odd}`, 'must be an object')
  return check<Design>(document, DesignDocument, designProblems)
}

/** Reads a swatch likewise. */
export function readSwatch(input: unknown): Reading<SwatchDocument> {
  if (!isObject(input) || input.fairHollow !== 'swatch')
    return refuse('fairHollow', 'this is not a Fair Hollow swatch: its "fairHollow" field must say "swatch"')
  return check<SwatchDocument>(input, SwatchFile, swatch => gaugeProblems(swatch.gauge))
}

/** Problems as lines for people: `base.form: must be circle`. */
export function problemLines(problems: readonly Problem[]): string[] {
  return problems.map(({ field, message }) => `${field}: ${message}`)
}
