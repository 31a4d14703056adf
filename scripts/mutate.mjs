import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Stryker } from '@stryker-mutator/core'

/*
 * `npm run mutate -- [LINES] [SEED]`: breaks the program in so many places, one at a time, and tells which breaks no test notices. The
 * places are drawn by a seed from the folders that count; words are left alone, since what they say is compared as a whole.
 */

const FOLDERS = ['core', 'server', 'app/keeping', 'app/stores', 'app/reading']
const [lines = 40, seed = 20261126] = process.argv.slice(2).map(Number)
const root = fileURLToPath(new URL('..', import.meta.url))

/** Numbers from 0 to 1 drawn by a seed (mulberry32, a generator in the public domain; from memory). */
function drawn(state) {
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const files = FOLDERS.flatMap(folder =>
  readdirSync(root + folder, { recursive: true, encoding: 'utf8' })
    .filter(name => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .map(name => `${folder}/${name}`),
).sort()
/** Lines that do something: not those of imports, comments, types and brackets alone. */
const places = files.flatMap(file =>
  readFileSync(root + file, 'utf8')
    .split('\n')
    .flatMap((text, i) =>
      /^\s*(import|export type|\/?\*|\/\/|readonly|interface|[})\]]*,?$)/.test(text) ? [] : [`${file}:${i + 1}-${i + 1}`],
    ),
)

const random = drawn(seed)
const chosen = Array.from({ length: lines }, () => places[Math.floor(random() * places.length)])

const results = await new Stryker({
  mutate: [...new Set(chosen)], mutator: { excludedMutations: ['StringLiteral'] }, testRunner: 'vitest',
  vitest: { configFile: 'vitest.mutate.config.ts', related: false }, coverageAnalysis: 'perTest', ignoreStatic: true, concurrency: 2,
  timeoutMS: 20_000, dryRunTimeoutMinutes: 30, reporters: ['clear-text', 'progress-append-only'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false }, tempDirName: '.stryker-tmp', cleanTempDir: 'always',
  disableTypeChecks: false, ignorePatterns: ['.output', 'data', 'test-results', 'public'],
  allowConsoleColors: false,
}).runMutationTest()

const caught = results.filter(({ status }) => status === 'Killed' || status === 'Timeout').length
const tried = results.filter(({ status }) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(status)).length
console.log(`${caught} of ${tried} mutants caught, ${((100 * caught) / tried).toFixed(0)} %; ${lines} lines, seed ${seed}`)
