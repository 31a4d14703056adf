import { fromHereOr403 } from '../../requests/localOnly'
import { watchdog } from '../../library/watchdog'

/** How long nobody was answered at most since this was asked last, for whoever sits at the machine; and stalls, where they are watched. */
export default defineEventHandler((event) => {
  fromHereOr403(event)
  return { longestMs: watchdog.longestMs(), stalls: watchdog.stalls.splice(0) }
})
