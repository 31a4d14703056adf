import { JOB_NAME } from '../../../requests/jobProgress'
import { jobStatus } from '../../../jobs/workerPool'

/** How a job stands that a page waits for: how many are before it, or how much of it is done; nothing of one that is done, or not begun. */
export default defineEventHandler((event) => {
  const name = getRouterParam(event, 'name')!
  return { standing: (JOB_NAME.test(name) ? jobStatus(name) : undefined) ?? null }
})
