import { isObject } from '../../../core/bag/design/read'
import type { LineAsked } from '../../../core/household/plan/draftedBags'
import { databasePath } from '../../db/connection'
import { answerText } from '../../requests/answer'
import { asked, KnownRequest, soundWhen } from '../../requests/requestShapes'
import { waitedFor } from '../../requests/jobProgress'
import { jsonBody } from '../../requests/body'
import { refuseProblems } from '../../requests/refuse'
import { cachedSkill } from '../../jobs/skillCache'
import { runJob } from '../../jobs/workerPool'

/** Nobody has more orders than these lines are of. */
const MOST_LINES = 2000

function isLine(line: unknown): line is LineAsked {
  return isObject(line) && typeof line.bag === 'string' && typeof line.name === 'string'
}

/** Context of some orders: the work of one of each bag, and how far those on the hook are. */
export default defineEventHandler(async (event) => {
  const { zone, on, lines } = soundWhen(asked(KnownRequest, await jsonBody(event)))
  if (!Array.isArray(lines) || lines.length > MOST_LINES || !lines.every(isLine))
    return refuseProblems([{ field: 'lines', message: `must be a list of at most ${MOST_LINES} bags, each with "bag" and "name"` }])
  const wanted = { path: databasePath(), lines, zone, today: on, hands: (await cachedSkill()).hands }
  return answerText(event, await runJob('known', wanted, waitedFor(event)))
})
