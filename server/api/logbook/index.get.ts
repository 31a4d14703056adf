import { logbook } from '../../db/shelves'
import { answerJson } from '../../requests/answer'
import { learnMissing } from '../../workshop/lessons'

/** Every bag of the logbook, in hand and finished, the last touched first. */
export default defineEventHandler((event) => {
  const bags = logbook().list()
  if (bags.some(({ listed }) => listed === null)) learnMissing()
  return answerJson(event, bags)
})
