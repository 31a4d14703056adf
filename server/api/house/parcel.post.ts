import { randomUUID } from 'node:crypto'
import { database, databasePath } from '../../db/connection'
import { designs, keepMake, orders, swatches, yarns } from '../../db/shelves'
import { bytesOf } from '../../requests/body'
import { learnMissing } from '../../workshop/lessons'
import { drawMissing } from '../../workshop/portraits'
import type { Content } from '../../workshop/unpackHouse'
import { inWorkshop } from '../../workshop/workshop'

/** As large as a parcel of many years. */
const MOST_PARCEL_BYTES = 60_000_000

function keep(content: Content): void {
  const { sort, document } = content
  if (sort === 'design') designs().add(document)
  else if (sort === 'swatch') swatches().add(document)
  else if (sort === 'yarn') yarns().add(document)
  else if (sort === 'order') orders().add(document)
  else keepMake(randomUUID(), document, content.progress)
}

/**
 * Reads a parcel: without `take` it says what is in it and what of that is here already; with `take` it keeps the files whose numbers are
 * named, with commas between. All of them are kept, or none.
 */
export default defineEventHandler(async (event) => {
  const { take } = getQuery(event)
  const bytes = await bytesOf(event, MOST_PARCEL_BYTES)
  const unpacked = await inWorkshop('unpack', { path: databasePath(), bytes: new Uint8Array(bytes) })
  if (!unpacked.ok) throw createError({ statusCode: 422, message: unpacked.why })
  const told = unpacked.files.map(one => ({
    file: one.file, name: one.name,
    ...(one.sound ? { sort: one.content.sort, there: one.there } : { why: one.why }),
  }))
  if (take === undefined) return { files: told }
  const chosen = new Set(String(take).split(',').map(Number))
  const taken = unpacked.files.filter((one, i) => one.sound && chosen.has(i))
  database().transaction(() => {
    for (const one of taken) if (one.sound) keep(one.content)
  })()
  drawMissing()
  learnMissing()
  return { files: told, taken: taken.length }
})
