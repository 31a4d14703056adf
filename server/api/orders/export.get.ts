import { asked, OrderQuery, soundWhen } from '../../requests/asked'
import { sendFile } from '../../requests/sendFile'
import { refuseProblems } from '../../requests/refuse'
import { orderFile } from '../../workshop/orderFile'

/** All open orders as a file: what to buy as a list or a table, or their evenings as a calendar. */
export default defineEventHandler(async (event) => {
  const wish = soundWhen(asked(OrderQuery, getQuery(event)))
  if (wish.as === 'order' || wish.as === 'pdf') return refuseProblems([{ field: 'as', message: 'must be one of: list, table, calendar' }])
  const file = (await orderFile(wish))!
  return sendFile(event, file.name, file)
})
