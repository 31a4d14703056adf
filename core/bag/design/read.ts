import 'reflect-metadata'
import { instanceToPlain, plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { DESIGN_RULES, type DocumentRules, SWATCH_RULES } from './classes'
import type { Design, SwatchDocument } from './design'
import { DESIGN_VERSION } from './versions'
import { cleaned } from './cleanText'
import { beyondLimits, NO_FIELD } from './limits'
import { isFromTheFuture, migrate, migrateSwatch } from './migrate'
import type { Problem } from './problem'
import { designProblems } from './consistency'
import { swatchProblems } from './swatchSense'

export type { Problem } from './problem'

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

/** Whether something read from JSON is an object. */
export function isObject(input: unknown): input is Record<string, unknown> {
  return typeof input === 'object' && input !== null && !Array.isArray(input)
}

/** A document refused for one thing. */
export function refuse<D>(field: string, message: string): Reading<D> {
  return { ok: false, problems: [{ field, message }] }
}

/** The trouble with a document that is too large, too deep or too odd to be looked at closely. */
function oversized(
  { lists, limits }: Pick<DocumentRules<unknown>, 'lists' | 'limits'>, input: Record<string, unknown>,
): Problem | undefined {
  for (const { name, most, all } of lists) {
    const list = input[name]
    if (Array.isArray(list) && list.length > most) return { field: name, message: `must hold at most ${most} ${all}` }
  }
  return beyondLimits(input, limits)
}

/** Checks a plain object against the rules of a document; a sound one comes back plain, with the defaults filled in. */
export function check<D extends object>(
  input: Record<string, unknown>, rules: DocumentRules<D>, further: (document: D) => Problem[],
): Reading<D> {
  if (rules.isSound(input)) return checkedFurther(input, further)
  const trouble = oversized(rules, input)
  if (trouble) return { ok: false, problems: [trouble] }
  const instance = plainToInstance(rules.type, input, { exposeDefaultValues: true })
  const problems = tellErrors(validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }), [])
  if (problems.length > 0) return { ok: false, problems }
  return checkedFurther(plainOf(instance), further)
}

/** An instance as a plain object; class-transformer's types forget what it was an instance of. */
function plainOf<D extends object>(instance: D): D {
  return instanceToPlain(instance, { exposeUnsetFields: false }) as D
}

function checkedFurther<D>(document: D, further: (document: D) => Problem[]): Reading<D> {
  const problems = further(document)
  return problems.length > 0 ? { ok: false, problems: problems.slice(0, MOST_PROBLEMS) } : { ok: true, document: cleaned(document) }
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
  if (DESIGN_RULES.isSound(input) && input.version === DESIGN_VERSION) return check(input, DESIGN_RULES, designProblems)
  const trouble = oversized(DESIGN_RULES, input)
  if (trouble) return { ok: false, problems: [trouble] }
  const document = migrate(input)
  // The classes of these are chosen by what is in them, which takes an object to begin with.
  const shapeless = ['base', 'contents'].find(field => document[field] !== undefined && !isObject(document[field]))
  if (shapeless) return refuse(shapeless, 'must be an object')
  const { wall } = document
  const odd = Array.isArray(wall) ? wall.findIndex(part => !isObject(part)) : -1
  if (odd >= 0) return refuse(`wall.${odd}`, 'must be an object')
  return check(document, DESIGN_RULES, designProblems)
}

/** Reads a swatch likewise. */
export function readSwatch(input: unknown): Reading<SwatchDocument> {
  if (!isObject(input) || input.fairHollow !== 'swatch')
    return refuse('fairHollow', 'this is not a Fair Hollow swatch: its "fairHollow" field must say "swatch"')
  const trouble = oversized(SWATCH_RULES, input)
  if (trouble) return { ok: false, problems: [trouble] }
  return check(migrateSwatch(input), SWATCH_RULES, swatchProblems)
}
