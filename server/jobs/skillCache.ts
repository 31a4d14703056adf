import { databasePath } from '../db/connection'
import { logbook } from '../db/repositories'
import { learnFew } from './factsQueue'
import type { SkillAnswer } from './logbookJobs'
import { runJob } from './workerPool'

let known: (SkillAnswer & { readonly mark: string }) | undefined

/** The maker's skill from all bags, as it is answered: reckoned anew when any of them tells something new. */
export async function cachedSkill(): Promise<SkillAnswer> {
  await learnFew()
  const mark = logbook().mark()
  if (known?.mark !== mark) known = { mark, ...await runJob('taught', { path: databasePath() }) }
  return known
}
