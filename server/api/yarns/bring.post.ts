import { randomUUID } from 'node:crypto'
import { readShelfText } from '../../workshop/readShelf'
import { database } from '../../db/connection'
import { yarns } from '../../db/shelves'
import { bytesOf } from '../../requests/body'
import { refuseProblems } from '../../requests/refuse'

/** As large as a shelf of a thousand yarns. */
const MOST_SHELF_BYTES = 5_000_000

/** Brings yarns in from a file: a table, one yarn, or a whole shelf. All of them, or none; those that are here already stay as they are. */
export default defineEventHandler(async (event) => {
  const text = (await bytesOf(event, MOST_SHELF_BYTES)).toString('utf8')
  const read = readShelfText(text, () => randomUUID().slice(0, 13))
  if (!read.ok) return refuseProblems(read.problems)
  const here = new Set(yarns().list().map(({ document }) => document.id))
  const fresh = read.yarns.filter(({ id }, i) => !here.has(id) && read.yarns.findIndex(other => other.id === id) === i)
  database().transaction(() => fresh.forEach(yarn => yarns().add(yarn)))()
  return { brought: fresh.length, there: read.yarns.length - fresh.length }
})
