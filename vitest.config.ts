import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { sqlAsText } from './scripts/sqlAsText.mjs'

/** The core keeps nothing between calls: its tests share what they load, which takes half the time. */
const SHARED = ['core/**/*.test.ts', 'tests/{unit,pattern,legal,laboratory}/**/*.test.ts']
/** Tests that put something of their own into what they load: each has its own. */
const ALONE = ['tests/{app,server,siege}/**/*.test.ts']
/** Tests that put kinds of their own into the lists, before anything has read them. */
const ADDING = ['tests/adding/**/*.test.ts']
/** Tests draft bags of every kind, whether they read documents or not. */
const KNOWING = [fileURLToPath(new URL('tests/everyKind.ts', import.meta.url))]

export default defineConfig({
  // Rollup's and Vite's types of a plugin differ in what may be undefined.
  plugins: [sqlAsText() as never],
  resolve: { alias: { '~~': fileURLToPath(new URL('.', import.meta.url)), '~': fileURLToPath(new URL('app', import.meta.url)) } },
  esbuild: { tsconfigRaw: JSON.stringify({ compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } }) as never },
  test: {
    // The longest laws take 16 s on a machine of their own; on one that stands still by half, forty.
    testTimeout: 90_000,
    maxWorkers: 2,
    projects: [
      { extends: true, test: { name: 'shared', isolate: false, include: SHARED, setupFiles: KNOWING } },
      { extends: true, test: { name: 'alone', include: ALONE, setupFiles: KNOWING } },
      { extends: true, test: { name: 'adding', include: ADDING } },
    ],
  },
})
