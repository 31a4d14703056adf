import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { sqlAsText } from './scripts/sqlAsText.mjs'

export default defineConfig({
  // Rollup's and Vite's types of a plugin differ in what may be undefined.
  plugins: [sqlAsText() as never],
  resolve: { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)), '~': fileURLToPath(new URL('app', import.meta.url)) } },
  esbuild: { tsconfigRaw: JSON.stringify({ compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } }) as never },
  test: { testTimeout: 30_000, include: ['core/**/*.test.ts', 'tests/{unit,server,app,adding,pattern,legal}/**/*.test.ts'] },
})
