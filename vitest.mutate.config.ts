import { defineConfig } from 'vitest/config'
import whole from './vitest.config'

/** The unit tests of core, the page and the server, for `npm run mutate`. Each file is isolated. */
export default defineConfig({
  ...whole,
  test: { testTimeout: 30_000, setupFiles: ['tests/everyKind.ts'], include: ['core/**/*.test.ts', 'tests/{app,server}/**/*.test.ts'] },
})
