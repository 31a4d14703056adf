import { upToDate } from '../../bag/design/migrate'
import type { MakeEvent } from './event'
import type { Progress } from './plan'

/** An event that was kept by an earlier version of the program: its plan as this version writes it; others as they are. */
export function storedEvent(event: MakeEvent): MakeEvent {
  if (!('plan' in event)) return event
  const plan = upToDate(event.plan)
  return plan === event.plan ? event : { ...event, plan }
}

/** Progress that was kept by an earlier version of the program, whose words alone said that a make was finished. */
export function storedProgress(progress: Progress | null): Progress | null {
  return progress?.words === 'Finished' ? { ...progress, finished: true } : progress
}
