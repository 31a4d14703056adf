import { randomUUID } from 'node:crypto'
import { sameBag } from '../../../core/log/fromTable'
import type { MakeDocument } from '../../../core/make/document'
import { database } from '../../db/connection'
import { keepMake, logbook, makes } from '../../db/shelves'
import { bytesOf, MOST_MAKE_BYTES } from '../../requests/body'
import { soundOr422 } from '../../requests/refuse'
import { learnMissing } from '../../workshop/lessons'
import { readLogbookText } from '../../workshop/readLogbookText'
import { inWorkshop } from '../../workshop/workshop'

/**
 * Bags that are not here yet: known by the event they were taken up with, and those of a table, which has no such thing, by their name and
 * the minute they were begun.
 */
function withoutThoseHere(brought: readonly MakeDocument[]): MakeDocument[] {
  const listed = new Set(logbook().allFacts().map(({ name, begun }) => sameBag(name, begun)))
  return brought.filter(({ name, events }) => {
    const started = events.find(({ do: what }) => what === 'started')
    const isFromTable = events.some(one => one.do === 'wrote' && one.kept)
    return !(started && (makes().hasEvent(started.id) || (isFromTable && listed.has(sameBag(name, started.at)))))
  })
}

/** Keeps the bags of a logbook brought in from a file; those that are here already are left alone. All of them, or none. */
export default defineEventHandler(async (event) => {
  const text = (await bytesOf(event, MOST_MAKE_BYTES)).toString('utf8')
  const { makes: brought } = soundOr422(readLogbookText(text, () => randomUUID()))
  const fresh = withoutThoseHere(brought)
  const progress = await inWorkshop('progress', { makes: fresh.map(({ events }) => events) })
  database().transaction(() => fresh.forEach((make, i) => keepMake(randomUUID(), make, progress[i])))()
  learnMissing()
  setResponseStatus(event, 201)
  return { taken: fresh.length, there: brought.length - fresh.length }
})
