import { asked, OrderQuery, soundWhen } from '../../requests/requestShapes'
import { sendFile } from '../../requests/sendFile'
import { refuseProblems } from '../../requests/refuse'
import { fileOfOrders } from '../../jobs/fileOfOrders'

/** All open orders as a file: what to buy as a list or a table, or their evenings as a calendar. */
export default defineEventHandler(async (event) => {
  const wish = soundWhen(asked(OrderQuery, getQuery(event)))
  if (wish.as === 'order' || wish.as === 'pdf') return refuseProblems([{ field: 'as', message: 'must be one of: list, table, calendar' }])
  const file = (await fileOfOrders(event, { ...wish, as: wish.as }))!
  return sendFile(event, file.name, file)
})
