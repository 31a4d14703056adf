import { createHash } from 'node:crypto'
import { closeShared, synced } from '../db/connection'
import { contentPolicy } from '../door/gate'
import { unsyncedOf } from '../error'
import { begin } from '../library/startRecords'
import { beginChores } from '../library/chores'

/** The scripts that stand in a page, by their hashes: no other may run in it. */
function scriptsIn(page: string): string[] {
  return [...page.matchAll(/<script(?![^>]*\bsrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g)].map(
    ([, script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`,
  )
}

const ONLY_READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Says with every page which scripts may run in it, and of nothing that it is kept before it is on the disk. */
export default defineNitroPlugin((nitro) => {
  // The built program has begun before it listens; the development server begins here.
  if (import.meta.dev) {
    begin('the development server')
    const endChores = beginChores()
    nitro.hooks.hook('close', () => {
      endChores()
      closeShared()
    })
  }
  nitro.hooks.hook('beforeResponse', async (event, response) => {
    if (ONLY_READS.has(event.method)) return
    try {
      await synced()
    }
    catch (error) {
      setResponseStatus(event, 503)
      response.body = unsyncedOf(error)
    }
  })
  nitro.hooks.hook('render:response', (response) => {
    if (typeof response.body !== 'string') return
    const policy = contentPolicy(scriptsIn(response.body))
    response.headers = { ...response.headers, 'content-security-policy': policy, 'cache-control': 'no-cache' }
  })
})
