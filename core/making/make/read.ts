import { documentRules, type DocumentRules } from '../../bag/design/classes'
import type { Limits } from '../../bag/design/limits'
import type { Design } from '../../bag/design/design'
import { check, isObject, MOST_PROBLEMS, type Problem, readDesign, type Reading, refuse } from '../../bag/design/read'
import type { MakeEvent } from './event'
import type { MakeDocument } from './document'
import { PLAN_DEEDS } from './deedFields'
import { EVENT_FIELDS, MAKE_FIELDS, MAKE_VERSION, MOST_EVENTS, PROGRESS_FIELDS } from './fields'
import { stateOf } from './fold'
import type { Progress } from './plan'

/** So many events at most are sent at once. */
const MOST_AT_ONCE = 500

/** A dozen values an event, and the moves that one comes after. */
const limitsFor = (events: number): Limits => ({ values: 100 * events, list: events })

const EVENTS_RULES = documentRules(EVENT_FIELDS, limitsFor(MOST_AT_ONCE))
const MAKE_RULES = documentRules(MAKE_FIELDS, limitsFor(MOST_EVENTS))
const PROGRESS_RULES = documentRules(PROGRESS_FIELDS)

/** The deeds that hold a design. */
const WITH_PLAN = new Set<unknown>(PLAN_DEEDS)

interface EventParts {
  readonly bare: readonly unknown[]
  readonly plans: ReadonlyMap<number, Design>
  readonly problems: readonly Problem[]
}

/** Events with their designs taken out and read as documents of their own. */
function parted(events: readonly unknown[]): EventParts {
  const plans = new Map<number, Design>()
  const problems: Problem[] = []
  const bare = events.map((event, i) => {
    if (!isObject(event)) {
      if (problems.length < MOST_PROBLEMS) problems.push({ field: `events.${i}`, message: 'must be an object' })
      return event
    }
    if (!WITH_PLAN.has(event.do)) return event
    const { plan, ...rest } = event
    const reading = readDesign(plan)
    if (reading.ok) plans.set(i, reading.document)
    else if (problems.length < MOST_PROBLEMS)
      problems.push(...reading.problems.map(({ field, message }) => ({ field: `events.${i}.plan.${field}`, message })))
    return rest
  })
  return { bare, plans, problems }
}

function sameIds(events: readonly MakeEvent[]): Problem[] {
  const seen = new Set<string>()
  const twice = events.findIndex(({ id }) => seen.size === seen.add(id).size)
  return twice < 0 ? [] : [{ field: `events.${twice}.id`, message: 'is used by two events; each has its own' }]
}

/** Reads a document that holds events, whose designs are read apart. */
function readWith<D extends { readonly events: readonly MakeEvent[] }>(
  input: Record<string, unknown>,
  rules: DocumentRules<D>,
  most: number,
): Reading<D> {
  if (!Array.isArray(input.events)) return refuse('events', 'must be a list of events')
  if (input.events.length > most) return refuse('events', `must hold at most ${most} events`)
  const { bare, plans, problems } = parted(input.events)
  if (problems.length > 0) return { ok: false, problems: problems.slice(0, MOST_PROBLEMS) }
  const reading = check({ ...input, events: bare }, rules, ({ events }) => sameIds(events))
  if (!reading.ok) return reading
  const events = reading.document.events.map((event, i) => {
    const plan = plans.get(i)
    return plan ? ({ ...event, plan } as MakeEvent) : event
  })
  return { ok: true, document: { ...reading.document, events } }
}

/** Reads events as a device sends them: all of them are sound, or none is taken. */
export function readEvents(events: unknown): Reading<{ readonly events: readonly MakeEvent[] }> {
  return readWith({ events }, EVENTS_RULES, MOST_AT_ONCE)
}

/** Reads a make from what a file held, already parsed from JSON. */
export function readMake(input: unknown): Reading<MakeDocument> {
  if (!isObject(input) || input.fairHollow !== 'make')
    return refuse('fairHollow', 'this is not a Fair Hollow make: its "fairHollow" field must say "make"')
  if (typeof input.version === 'number' && input.version > MAKE_VERSION)
    return refuse('version', `is ${String(input.version)}, from a later version of this program; open it there and export it anew`)
  const reading = readWith(input, MAKE_RULES, MOST_EVENTS)
  if (!reading.ok) return reading
  return stateOf(reading.document.events).plan
    ? reading
    : refuse('events', 'must hold the event that took the bag up ("do": "started"), with its plan')
}

/** Reads how far a make is. */
export function readProgress(input: unknown): Reading<Progress> {
  return isObject(input) ? check(input, PROGRESS_RULES, () => []) : refuse('progress', 'must be an object')
}
