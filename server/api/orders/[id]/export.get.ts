import { orders } from '../../../db/repositories'
import { asked, OrderQuery, soundWhen } from '../../../requests/requestShapes'
import { refuseUnknown } from '../../../requests/refuse'
import { sendDocument, sendFile } from '../../../requests/sendFile'
import { fileOfOrders } from '../../../jobs/fileOfOrders'

/** An order as a file: the open document, what to buy as a list or a table, its evenings as a calendar, or all of it on paper. */
export default defineEventHandler(async (event) => {
  const wish = soundWhen(asked(OrderQuery, getQuery(event)))
  const id = getRouterParam(event, 'id')!
  const { document, unreadable } = orders().find(id) ?? refuseUnknown('order')
  if (wish.as === 'order') return sendDocument(event, document)
  const file = unreadable ? undefined : await fileOfOrders(event, { ...wish, as: wish.as }, id)
  if (!file) throw createError({ statusCode: 422, message: 'This order is closed, or cannot be read: nothing of it is planned.' })
  return sendFile(event, file.name, file)
})
