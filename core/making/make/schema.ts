import { object, type Schema } from '../../bag/design/schema'
import { PLAN_DEEDS } from './deedFields'
import { EVENT_FIELDS, MAKE_FIELDS, MAKE_VERSION } from './fields'

/*
 * The open document of a make as JSON Schema (draft 07), made from its fields; the designs inside are described by their own schema,
 * which lies beside it.
 */

const PLAN: Schema = { $ref: 'design.schema.json' }
const WITH_PLAN = new Set<string>(PLAN_DEEDS)

interface DeedSchema {
  readonly required: readonly string[]
  readonly properties: Readonly<Record<string, { readonly const?: unknown }>>
}

/** The events, those that hold a design with it. */
function events(): Schema {
  const { events: list } = object(EVENT_FIELDS).properties as { events: { items: { oneOf: readonly DeedSchema[] } } }
  const oneOf = list.items.oneOf.map(one => WITH_PLAN.has(String(one.properties.do?.const))
    ? { ...one, required: [...one.required, 'plan'], properties: { ...one.properties, plan: PLAN } }
    : one)
  return { ...list, items: { oneOf } }
}

/** The schema of a make of this version. */
export function makeSchema(): Schema {
  const own = object(MAKE_FIELDS)
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    $id: `fair-hollow-make-${MAKE_VERSION}`,
    title: `Fair Hollow make, version ${MAKE_VERSION}`,
    description: 'A bag on the hook: everything that happened to it, as events, with the design inside. Lengths are in centimetres.',
    ...own,
    properties: { ...(own.properties as object), events: events() },
  }
}
