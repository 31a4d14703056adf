import { logbook } from '../../db/repositories'
import { answerJson } from '../../requests/answer'
import { learnFew } from '../../jobs/factsQueue'

/** Every bag of the logbook, in hand and finished, the last touched first. */
export default defineEventHandler(async (event) => {
  await learnFew()
  return answerJson(event, logbook().list())
})
