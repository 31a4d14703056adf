import type { Design } from '../../core/design/design'
import type { Day } from '../../core/plan/days'
import { bagMeant, settledMakes } from '../../core/plan/settle'
import type { KnownOfOrders, LineAsked } from '../../core/plan/known'
import { bagList, designs, logbook, yarns } from '../db/shelves'
import { taught } from './taught'
import { inWorkshop } from './workshop'

/** Days by a maker's clock: the Swedish way of writing them is ISO 8601's. */
function dayIn(zone: string): (at: number) => Day {
  const { format } = new Intl.DateTimeFormat('sv-SE', { timeZone: zone })
  return at => format(at)
}

/**
 * What is known of the bags of some orders, and of every make.
 *
 * @param zone the maker's time zone, by which an evening is of this day or that
 */
export async function knownOfOrders(asked: readonly LineAsked[], zone: string, today: Day): Promise<KnownOfOrders> {
  const { hands } = await taught()
  const kept = bagList().named()
  const dayOf = dayIn(zone)
  const seen = logbook().seen()
  const meant = asked.map(line => bagMeant(line, kept))
  const wanted = [...new Set(meant)].flatMap((id) => {
    const found = id ? designs().find(id) : undefined
    return found && !found.unreadable ? [{ id, design: found.document as Design }] : []
  })
  const shelf = yarns().list().flatMap(({ document, unreadable }) => (unreadable ? [] : [document]))
  const works = await inWorkshop('works', { designs: wanted.map(({ design }) => design), hands, yarns: shelf })
  const workOf = new Map(wanted.map(({ id }, i) => [id, works[i]!]))
  return {
    here: kept,
    makes: settledMakes(seen.map(({ sittings: _, finished, ...make }) =>
      ({ ...make, ...(finished === undefined ? {} : { finished: dayOf(finished) }) })), kept),
    workedToday: seen.flatMap(({ sittings }) => sittings).filter(({ from }) => dayOf(from) === today)
      .reduce((sum, { minutes }) => sum + minutes, 0),
    bags: meant.map((bag) => {
      const work = workOf.get(bag)
      if (!work) return { bag, work: null, why: 'There is no such bag here, or it cannot be read.' }
      return work.unfinished ? { bag, work: null, why: work.unfinished } : { bag, work: work.takes! }
    }),
  }
}
