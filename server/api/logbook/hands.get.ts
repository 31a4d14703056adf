import { answerText } from '../../requests/answer'
import { cachedSkill } from '../../jobs/skillCache'

/** The maker's skill. */
export default defineEventHandler(async event => answerText(event, (await cachedSkill()).text))
