import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { build } from 'esbuild'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sqlAsTextOfWorker } from '../../../scripts/jobWorker.mjs'
import { open } from '../../../server/db/connection'
import { clearIncoming } from '../../../server/db/incoming'
import { checkCopy, clearUnfinished, copiesFolder } from '../../../server/library/copies'
import { claim } from '../../../server/library/owner'
import { copiesIn, mend, stateOf } from './steps'

/*
 * The crash laboratory: a program that saves, throws away, copies, returns, migrates, salvages, brings in, keeps a photo and pairs is ended
 * at its n-th call to the disk, by a kill, by a kill in the middle of a write, or by a power cut that takes what was not synced. What it
 * said is done must be there, what it was doing must be there whole or not at all. `npm run torture` ends it at every call in every way.
 */

const POINTS = Number(process.env.CRASHES ?? 5)
const WAYS = { 'a kill': {}, 'a kill amid a write': { CRASH_TORN: '1' }, 'a power cut': { CRASH_LOSES: '1' } } as const

const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-crash-'))
const [preload, program] = [join(folder, 'crash.so'), resolve('test-results/crash-scenario.cjs')]
let compiled = false

beforeAll(async () => {
  compiled = spawnSync('cc', ['-shared', '-fPIC', '-O1', '-o', preload, 'tests/siege/crash/crash.c', '-ldl']).status === 0
  mkdirSync('test-results', { recursive: true })
  await build({
    entryPoints: ['tests/siege/crash/scenario.ts'], outfile: program, bundle: true, platform: 'node', format: 'cjs', target: 'node20',
    external: ['better-sqlite3'], plugins: [sqlAsTextOfWorker], logLevel: 'error',
    banner: { js: 'const __here = require("node:url").pathToFileURL(__filename).href' }, define: { 'import.meta.url': '__here' },
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true, useDefineForClassFields: true } },
  })
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

interface Run {
  readonly path: string
  readonly states: readonly string[]
  readonly calls: number
  readonly killed: boolean
}

let runs = 0
function run(environment: Record<string, string>): Run {
  const own = join(folder, `run-${++runs}`)
  mkdirSync(own)
  const path = join(own, 'records.sqlite')
  const counted = join(folder, 'count')
  const { stdout, signal, status, stderr } = spawnSync(process.execPath, [program, path], {
    encoding: 'utf8', env: { ...process.env, LD_PRELOAD: preload, CRASH_IN: own, CRASH_COUNT: counted, ...environment },
  })
  if (signal === null && status !== 0) throw new Error(stderr)
  const states = stdout.split('\n').filter(Boolean).map(line => (JSON.parse(line) as [number, string])[1])
  return { path, states, killed: signal !== null, calls: Number(existsSync(counted) ? readFileSync(counted, 'utf8') : 0) }
}

/** What stands in the records after they were opened anew, as the program does it. */
function reopened(path: string): string {
  const claimed = claim(path, { pid: process.pid, address: null })
  if (!claimed.granted) throw new Error('the lock of a program that was killed is held')
  try {
    clearUnfinished(path)
    const db = open(path)
    clearIncoming(db)
    db.close()
    return stateOf(path)
  }
  catch (error) {
    if (String((error as Error).message).includes('lock')) throw error
    return 'damaged'
  }
  finally {
    claimed.release()
  }
}

/** What is wrong after a program was ended: nothing, mostly. */
function wrong({ path, states }: Run, expected: readonly string[]): string[] {
  const done = states.length - 1
  const trouble: string[] = []
  const [before, after] = [done < 0 ? undefined : expected[done], expected[done + 1]]
  let now = reopened(path)
  if (now === 'damaged' && before === 'damaged') {
    mend(path)
    now = reopened(path)
  }
  const isNothing = done < 0 && now === JSON.stringify([[], [], [], [], []])
  if (!isNothing && now !== before && now !== after) trouble.push(`after step ${done}: ${now.slice(0, 300)}`)
  for (const copy of copiesIn(path)) checkCopy(copy)
  const left = existsSync(copiesFolder(path)) ? readdirSync(copiesFolder(path)).filter(name => !name.endsWith('.sqlite')) : []
  if (left.length > 0 || existsSync(`${path}.part`)) trouble.push(`left behind after step ${done}: ${left.join()}`)
  return trouble
}

describe('records, the program ended at any of its calls to the disk', () => {
  it.each(Object.entries(WAYS))('by %s, hold what was acknowledged, and nothing by half', (_, environment) => {
    if (!compiled) return expect(spawnSync('cc', ['--version']).status).not.toBe(0)
    const whole = run({ CRASH_AT: '1000000000' })
    expect(whole.states).toHaveLength(19)
    expect(new Set(whole.states).size).toBeGreaterThan(12)
    expect(whole.calls).toBeGreaterThan(200)
    const points = Math.min(POINTS, whole.calls)
    const at = Array.from({ length: points }, (_, i) => 1 + Math.floor((i * whole.calls) / points))
    const found = at.flatMap((n) => {
      const killed = run({ CRASH_AT: String(n), ...environment })
      expect(killed.killed).toBe(true)
      const trouble = wrong(killed, whole.states).map(text => `call ${n}, ${text}`)
      rmSync(join(killed.path, '..'), { recursive: true, force: true })
      return trouble
    })
    if (process.env.CRASHES) console.log(`${points} of ${whole.calls} calls`)
    expect(found).toEqual([])
  }, 3_600_000)
})
