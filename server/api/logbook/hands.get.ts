import { answerText } from '../../requests/answer'
import { taught } from '../../jobs/skillCache'

/** What the maker's hands have taught. */
export default defineEventHandler(async event => answerText(event, (await taught()).text))
