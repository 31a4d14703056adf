import { makes } from '../../db/repositories'
import { answerJson } from '../../requests/answer'

/** Every bag on the hook, the last touched first. */
export default defineEventHandler(event => answerJson(event, makes().list()))
