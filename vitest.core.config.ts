import { defineConfig } from 'vitest/config'
import whole from './vitest.config'

/** The tests of core alone: what `npm run mutate` runs. */
export default defineConfig({
  ...whole, test: { testTimeout: 30_000, setupFiles: ['tests/everyKind.ts'], include: ['core/**/*.test.ts'] },
})
