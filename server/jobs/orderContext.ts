import type Database from 'better-sqlite3'
import type { Design } from '../../core/bag/design/design'
import { readDesign } from '../../core/bag/design/read'
import { draft } from '../../core/bag/draft/draft'
import { isStopped } from '../../core/bag/draft/fold/draftPart'
import type { Skill } from '../../core/making/log/skill'
import { bagWork } from '../../core/household/plan/bagWork'
import type { Day } from '../../core/household/plan/days'
import type { DraftedBag, OrderContext, LineAsked } from '../../core/household/plan/draftedBags'
import { bagMeant, makesWithKeptBags } from '../../core/household/plan/keptBags'
import { readShelfYarn } from '../../core/household/shelf/read'
import type { ShelfYarn } from '../../core/household/shelf/yarn'
import { bagListIn } from '../db/bagList'
import { repository } from '../db/documents'
import { logbookIn } from '../db/logbook'
import { reportingProgress } from './progress'

/** Whose orders are looked at: their hands, their time zone, by which an evening is of this day or that, and the day it is there. */
export interface ByMaker {
  readonly hands: Skill
  readonly zone: string
  readonly today: Day
}

/** Days by a maker's clock: the Swedish way of writing them is ISO 8601's. */
function dayIn(zone: string): (at: number) => Day {
  const { format } = new Intl.DateTimeFormat('sv-SE', { timeZone: zone })
  return at => format(at)
}

/** The yarns that can be read. */
export function yarnsOf(db: Database.Database): ShelfYarn[] {
  return repository(db, 'yarns', readShelfYarn).list().flatMap(({ document, unreadable }) => (unreadable ? [] : [document]))
}

/** Time and yarn that one of a bag takes; not known of one whose pattern stops. */
function knownOfBag(bag: string, design: Design, hands: Skill, yarns: readonly ShelfYarn[]): DraftedBag {
  const drafted = draft(design)
  return drafted.parts.some(isStopped)
    ? { bag, work: null, why: 'Its pattern stops: finish it on the bench first.' }
    : { bag, work: bagWork(drafted, hands, yarns) }
}

/** Bags of some orders, and every make, for planning. */
export function knownOfOrders(db: Database.Database, asked: readonly LineAsked[], { hands, zone, today }: ByMaker): OrderContext {
  const kept = bagListIn(db).named()
  const dayOf = dayIn(zone)
  const seen = logbookIn(db).seen()
  const meant = asked.map(line => bagMeant(line, kept))
  const designs = repository(db, 'designs', readDesign)
  const yarns = yarnsOf(db)
  const works = new Map([...reportingProgress([...new Set(meant)])].flatMap((id) => {
    const found = id ? designs.find(id) : undefined
    return found && !found.unreadable ? [[id, knownOfBag(id, found.document, hands, yarns)] as const] : []
  }))
  return {
    here: kept,
    makes: makesWithKeptBags(seen.map(({ sittings: _, finished, ...make }) =>
      ({ ...make, ...(finished === undefined ? {} : { finished: dayOf(finished) }) })), kept),
    workedToday: seen.flatMap(({ sittings }) => sittings).filter(({ from }) => dayOf(from) === today)
      .reduce((sum, { minutes }) => sum + minutes, 0),
    bags: meant.map(bag => works.get(bag) ?? { bag, work: null, why: 'There is no such bag here, or it cannot be read.' }),
  }
}
