import { calibrationOf } from '../../../core/log/calibration'
import { gaugeOffers, handsOf } from '../../../core/log/hands'
import { overTime } from '../../../core/log/overTime'
import { logbook } from '../../db/shelves'
import { answerText } from '../../requests/answer'
import { learnFew } from '../../workshop/lessons'

let known: { readonly mark: string, readonly text: string } | undefined

/** What the maker's hands have taught, from all bags: reckoned anew when any of them tells something new. */
export default defineEventHandler(async (event) => {
  await learnFew()
  const mark = logbook().mark()
  if (known?.mark !== mark) {
    const bags = logbook().allFacts()
    const hands = handsOf(bags)
    known = {
      mark, text: JSON.stringify({ hands, offers: gaugeOffers(hands), calibration: calibrationOf(bags), overTime: overTime(bags) }),
    }
  }
  return answerText(event, known.text)
})
