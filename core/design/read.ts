import 'reflect-metadata'
import { instanceToPlain, plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { formOf } from '../base/base'
import { type Answer, answersOf } from '../field/spec'
import { FABRIC_KINDS } from '../stitch/dictionary'
import { kindOf } from '../wall/wall'
import { DESIGN_RULES, type DocumentRules, SWATCH_RULES } from './classes'
import { DESIGN_VERSION, type Design, type DesignGauge, type SwatchDocument } from './design'
import { beyondLimits, NO_FIELD } from './limits'
import { isFromTheFuture, migrate } from './migrate'

/** A field that cannot stay as it is: where it is, `base.size.want.diameterCm`, and what to change. */
export interface Problem {
  readonly field: string
  readonly message: string
}

export type Reading<Document>
  = { readonly ok: true, readonly document: Document } | { readonly ok: false, readonly problems: readonly Problem[] }

/** More than this nobody reads: the rest is told when these are mended. */
export const MOST_PROBLEMS = 50

/** Adds what errors say to the problems found, as far as there is room for them. */
function tellErrors(errors: readonly ValidationError[], problems: Problem[], above = ''): Problem[] {
  for (const { property, constraints = {}, children = [] } of errors) {
    if (problems.length >= MOST_PROBLEMS) break
    const field = above ? `${above}.${property}` : property
    const [first] = Object.entries(constraints)
    if (first) problems.push({ field, message: first[0] === 'whitelistValidation' ? NO_FIELD : first[1] })
    tellErrors(children, problems, field)
  }
  return problems
}

/** Stitches narrower or wider than this are a slip of the pen, whatever the yarn (from memory). */
const STITCH_CM = { least: 0.05, most: 12 }

/** What no stitch of a gauge could be: too narrow, too wide, or none at all. */
export function gaugeProblems(gauge: DesignGauge): Problem[] {
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

/** What is too large, too deep or too odd to be looked at closely. */
function oversized(input: Record<string, unknown>, { lists, limits }: DocumentRules): Problem | undefined {
  for (const { name, most, all } of lists) {
    const list = input[name]
    if (Array.isArray(list) && list.length > most) return { field: name, message: `must hold at most ${most} ${all}` }
  }
  return beyondLimits(input, limits)
}

/** Checks a plain object against the rules of a document; a sound one comes back plain, with the defaults filled in. */
export function check<D>(input: Record<string, unknown>, rules: DocumentRules, further: (document: D) => Problem[]): Reading<D> {
  if (rules.isSound(input)) return checkedFurther(input as D, further)
  const trouble = oversized(input, rules)
  if (trouble) return { ok: false, problems: [trouble] }
  const instance = plainToInstance(rules.type, input, { exposeDefaultValues: true })
  const problems = tellErrors(validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }), [])
  if (problems.length > 0) return { ok: false, problems }
  return checkedFurther(instanceToPlain(instance, { exposeUnsetFields: false }) as D, further)
}

function checkedFurther<D>(document: D, further: (document: D) => Problem[]): Reading<D> {
  const problems = further(document)
  return problems.length > 0 ? { ok: false, problems: problems.slice(0, MOST_PROBLEMS) } : { ok: true, document }
}

/**
 * Reads a design from what a file or a request held, already parsed from JSON.
 *
 * @returns the design with defaults filled in and brought to the current version, or the fields that must change, the first fifty of them
 */
export function readDesign(input: unknown): Reading<Design> {
  if (!isObject(input) || input.fairHollow !== 'design')
    return refuse('fairHollow', 'this is not a Fair Hollow design: its "fairHollow" field must say "design"')
  if (isFromTheFuture(input))
    return refuse('version', `is ${String(input.version)}, from a later version of this program; open it there and export it anew`)
  if (DESIGN_RULES.isSound(input) && input.version === DESIGN_VERSION) return check<Design>(input, DESIGN_RULES, designProblems)
  const trouble = oversized(input, DESIGN_RULES)
  if (trouble) return { ok: false, problems: [trouble] }
  const document = migrate(input)
  // The classes of these are chosen by what is in them, which takes an object to begin with.
  const shapeless = ['base', 'contents'].find(field => document[field] !== undefined && !isObject(document[field]))
  if (shapeless) return refuse(shapeless, 'must be an object')
  const { wall } = document
  const odd = Array.isArray(wall) ? wall.findIndex(part => !isObject(part)) : -1
  if (odd >= 0) return refuse(`wall.${odd}`, 'must be an object')
  return check<Design>(document, DESIGN_RULES, designProblems)
}

/** Reads a swatch likewise. */
export function readSwatch(input: unknown): Reading<SwatchDocument> {
  if (!isObject(input) || input.fairHollow !== 'swatch')
    return refuse('fairHollow', 'this is not a Fair Hollow swatch: its "fairHollow" field must say "swatch"')
  return check<SwatchDocument>(input, SWATCH_RULES, swatch => gaugeProblems(swatch.gauge))
}

/** Problems as lines for people: `base.form: must be circle`. */
export function problemLines(problems: readonly Problem[]): string[] {
  return problems.map(({ field, message }) => `${field}: ${message}`)
}
