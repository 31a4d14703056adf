import { bagList } from '../../db/shelves'
import { answerJson } from '../../requests/answer'
import { asked, BagsQuery } from '../../requests/asked'
import { drawFirst } from '../../workshop/portraits'

/** A stretch of the list of bags, with what is shown of each. */
export default defineEventHandler((event) => {
  const { find, order, from } = getQuery(event)
  const query = { from: Number(from ?? 0), ...(find === undefined ? {} : { find: String(find) }), ...(order ? { order } : {}) }
  const page = bagList().page(asked(BagsQuery, query))
  drawFirst(page.bags.flatMap(({ id, drawn }) => (drawn ? [] : [id])))
  return answerJson(event, page)
})
