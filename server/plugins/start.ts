import { database } from '../db/connection'
import { layOutDemoWorld } from '../db/demoWorld'

/** Before the first request: stay on this machine unless told otherwise, open the records, lay out the demo world. */
export default defineNitroPlugin((nitro) => {
  process.env.NITRO_HOST ||= process.env.HOST || '127.0.0.1'
  const db = database()
  if (process.env.FAIR_HOLLOW_DEMO !== 'no') layOutDemoWorld(db)
  nitro.hooks.hook('close', () => {
    db.close()
  })
})
