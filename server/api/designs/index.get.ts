import { bagList } from '../../db/shelves'
import { answerText } from '../../requests/answer'
import { asked, BagsQuery } from '../../requests/asked'
import { drawFirst } from '../../workshop/portraits'

/** A stretch of the list of bags, with what is shown of each. */
export default defineEventHandler((event) => {
  const { find, order, from, group } = getQuery(event)
  const query = {
    from: Number(from ?? 0),
    ...(find === undefined ? {} : { find: String(find) }), ...(order ? { order } : {}), ...(group ? { group } : {}),
  }
  const { text, undrawn } = bagList().pageText(asked(BagsQuery, query))
  drawFirst(undrawn)
  return answerText(event, text)
})
