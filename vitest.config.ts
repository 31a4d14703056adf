import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { sqlAsText } from './scripts/sqlAsText.mjs'

export default defineConfig({
  plugins: [sqlAsText()],
  resolve: { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)), '~': fileURLToPath(new URL('app', import.meta.url)) } },
  esbuild: { tsconfigRaw: JSON.stringify({ compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } }) as never },
  test: { testTimeout: 30_000, include: ['core/**/*.test.ts', 'tests/unit/**/*.test.ts', 'tests/server/**/*.test.ts', 'tests/app/**/*.test.ts'] },
})
