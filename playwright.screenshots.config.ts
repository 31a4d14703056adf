import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import everyday from './playwright.config'

const records = join(mkdtempSync(join(tmpdir(), 'fair-hollow-')), 'bags.sqlite')

/** `npm run screenshots`: one current picture of each main view, from the demo world, into docs/screenshots/. */
export default {
  ...everyday, testDir: 'tests/screenshots', reporter: 'list' as const,
  webServer: { ...everyday.webServer, env: { ...(everyday.webServer as { env: object }).env, FAIR_HOLLOW_DB: records } },
}
