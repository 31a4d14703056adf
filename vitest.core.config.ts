import { defineConfig } from 'vitest/config'
import whole from './vitest.config'

/** The tests that are near what they test: what `npm run mutate` runs. Each file has what it loads to itself. */
export default defineConfig({
  ...whole,
  test: { testTimeout: 30_000, setupFiles: ['tests/everyKind.ts'], include: ['core/**/*.test.ts', 'tests/{app,server}/**/*.test.ts'] },
})
