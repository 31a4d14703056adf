import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test as plain } from '@playwright/test'
import { OwnServer } from './ownServer'

/** The port of the first; every worker that runs beside it takes the one below. */
const PORT = 3177

/** A test with the program behind it: each worker has one of its own with the demo's records, which its tests share. */
export const test = plain.extend<object, { program: OwnServer }>({
  // Playwright reads from the pattern which fixtures are asked for: none.
  // eslint-disable-next-line no-empty-pattern
  program: [async ({}, use, { parallelIndex }) => {
    const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
    const program = new OwnServer(PORT - parallelIndex, join(folder, 'records.sqlite'), {
      FAIR_HOLLOW_NAMES: 'phone.test', FAIR_HOLLOW_ADDRESSES: '127.0.0.2',
    })
    await program.start()
    await use(program)
    await program.kill()
    rmSync(folder, { recursive: true })
  }, { scope: 'worker' }],
  baseURL: async ({ program }, use) => use(program.address),
})

export { expect }
