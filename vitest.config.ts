import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { sqlAsText } from './scripts/sqlAsText.mjs'

/** The core keeps nothing between calls: its tests share what they load, which takes half the time. */
const SHARED = ['core/**/*.test.ts', 'tests/{unit,pattern,legal}/**/*.test.ts']
/** Tests that put something of their own into what they load: each has its own. */
const ALONE = ['tests/{adding,app,server}/**/*.test.ts']

export default defineConfig({
  // Rollup's and Vite's types of a plugin differ in what may be undefined.
  plugins: [sqlAsText() as never],
  resolve: { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)), '~': fileURLToPath(new URL('app', import.meta.url)) } },
  esbuild: { tsconfigRaw: JSON.stringify({ compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } }) as never },
  test: {
    testTimeout: 30_000,
    maxWorkers: 2,
    setupFiles: [fileURLToPath(new URL('tests/everyKind.ts', import.meta.url))],
    projects: [
      { extends: true, test: { name: 'shared', isolate: false, include: SHARED } },
      { extends: true, test: { name: 'alone', include: ALONE } },
    ],
  },
})
