import { answerText } from '../../requests/answer'
import { cachedSkill } from '../../jobs/skillCache'

/** What the maker's hands have taught. */
export default defineEventHandler(async event => answerText(event, (await cachedSkill()).text))
