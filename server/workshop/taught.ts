import { calibrationOf } from '../../core/log/calibration'
import type { Hands } from '../../core/log/hands'
import { gaugeOffers, handsOf } from '../../core/log/handsOf'
import { overTime } from '../../core/log/overTime'
import { logbook } from '../db/shelves'
import { learnFew } from './lessons'

interface Taught {
  readonly mark: string
  readonly hands: Hands
  readonly text: string
}

let known: Taught | undefined

/** What the maker's hands have taught, from all bags, and as it is answered: reckoned anew when any of them tells something new. */
export async function taught(): Promise<Taught> {
  await learnFew()
  const mark = logbook().mark()
  if (known?.mark === mark) return known
  const bags = logbook().allFacts()
  const hands = handsOf(bags)
  known = {
    mark, hands, text: JSON.stringify({ hands, offers: gaugeOffers(hands), calibration: calibrationOf(bags), overTime: overTime(bags) }),
  }
  return known
}
