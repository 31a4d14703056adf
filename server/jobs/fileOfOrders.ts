import type { H3Event } from 'h3'
import { databasePath } from '../db/connection'
import { paperFonts } from '../paper/fonts'
import type { OrderQuery } from '../requests/requestShapes'
import { waitedFor } from '../requests/jobProgress'
import type { OrderFile, OrderFileWish } from './orderFile'
import { cachedSkill } from './skillCache'
import { runJob } from './workerPool'

/** An order as a file, or all open ones, written out by a worker; nothing of an order that is not planned. */
export async function fileOfOrders(
  event: H3Event, { as, paper, large, units, zone, on }: OrderQuery & Pick<OrderFileWish, 'as'>, id?: string,
): Promise<OrderFile | undefined> {
  const wish: OrderFileWish = {
    as, paper, large: large === 'yes', units, ...(id === undefined ? {} : { id }), ...(as === 'pdf' ? { fonts: await paperFonts() } : {}),
  }
  const { hands } = await cachedSkill()
  return runJob('order', { path: databasePath(), wish, maker: { hands, zone, today: on } }, waitedFor(event))
}
