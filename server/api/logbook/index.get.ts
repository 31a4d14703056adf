import { logbook } from '../../db/shelves'
import { answerJson } from '../../requests/answer'
import { learnFew } from '../../workshop/lessons'

/** Every bag of the logbook, in hand and finished, the last touched first. */
export default defineEventHandler(async (event) => {
  await learnFew()
  return answerJson(event, logbook().list())
})
