import { placeIn } from '../../db/bagList'
import { bagList } from '../../db/repositories'
import { answerText } from '../../requests/answer'
import { askedBefore, BagsQuery } from '../../requests/requestShapes'
import { refuseProblems } from '../../requests/refuse'
import { drawFirst } from '../../jobs/portraits'

const NO_PLACE = { field: 'after', message: 'must be the "next" of the stretch before' }

/** A stretch of the list of bags, with what is shown of each. */
export default defineEventHandler((event) => {
  const { find, order, from, group, after } = getQuery(event)
  const query = {
    from: Number(from ?? 0), ...(after === undefined ? {} : { after: String(after) }),
    ...(find === undefined ? {} : { find: String(find) }), ...(order ? { order } : {}), ...(group ? { group } : {}),
  }
  const { after: place, ...wanted } = askedBefore(BagsQuery, query)
  if (place !== '' && !placeIn(place)) return refuseProblems([NO_PLACE])
  const { text, undrawn } = bagList().pageText({ ...wanted, ...(place === '' ? {} : { after: place }) })
  drawFirst(undrawn)
  return answerText(event, text)
})
