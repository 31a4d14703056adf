import { createHash } from 'node:crypto'
import { closeShared } from '../db/connection'
import { contentPolicy } from '../door/gate'
import { begin } from '../house/begin'
import { beginChores } from '../house/chores'

/** The scripts that stand in a page, by their hashes: no other may run in it. */
function scriptsIn(page: string): string[] {
  return [...page.matchAll(/<script(?![^>]*\bsrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g)].map(
    ([, script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`,
  )
}

/** Says with every page which scripts may run in it; begins the house where the development server does not. */
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
  nitro.hooks.hook('render:response', (response) => {
    if (typeof response.body !== 'string') return
    const policy = contentPolicy(scriptsIn(response.body))
    response.headers = { ...response.headers, 'content-security-policy': policy, 'cache-control': 'no-cache' }
  })
})
