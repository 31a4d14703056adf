import { swatches } from '../../db/shelves'
import { answerJson } from '../../requests/answer'

/** Every swatch, the last changed first. */
export default defineEventHandler(event => answerJson(event, swatches().list()))
