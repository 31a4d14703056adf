import type { H3Event } from 'h3'
import { databasePath } from '../db/connection'
import { paperFonts } from '../paper/fonts'
import type { OrderQuery } from '../requests/asked'
import { waitedFor } from '../requests/waitedFor'
import type { OrderFile, OrderFileWish } from './orderFile'
import { taught } from './taught'
import { inWorkshop } from './workshop'

/** An order as a file, or all open ones, written out in the workshop; nothing of an order that is not planned. */
export async function fileOfOrders(
  event: H3Event, { as, paper, large, units, zone, on }: OrderQuery & Pick<OrderFileWish, 'as'>, id?: string,
): Promise<OrderFile | undefined> {
  const wish: OrderFileWish = {
    as, paper, large: large === 'yes', units, ...(id === undefined ? {} : { id }), ...(as === 'pdf' ? { fonts: await paperFonts() } : {}),
  }
  const { hands } = await taught()
  return inWorkshop('order', { path: databasePath(), wish, maker: { hands, zone, today: on } }, waitedFor(event))
}
