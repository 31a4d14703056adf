import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { newDesign } from '../../core/bag/design/starter'
import { draft } from '../../core/bag/draft/draft'
import { EXPORTS, exportDraft } from '../../core/readers/export/exportDraft'

const root = fileURLToPath(new URL('../..', import.meta.url))
const folder = mkdtempSync(join(tmpdir(), 'fair-hollow-'))
afterAll(() => rmSync(folder, { recursive: true }))

/** The command in one file: npm and its compiler take three seconds a call, and are tried once. */
const command = join(folder, 'draft.mjs')
beforeAll(() => build({
  entryPoints: [join(root, 'cli/draft.ts')], outfile: command, bundle: true, platform: 'node', format: 'esm',
  tsconfig: join(root, 'cli/tsconfig.json'),
}))

const called = (...args: string[]) => spawnSync(process.execPath, [command, ...args], { cwd: root, encoding: 'utf8' })

function bagFile(contents: string): string {
  const file = join(folder, 'bag.json')
  writeFileSync(file, contents)
  return file
}
const draftFile = (contents: string, ...args: string[]) => called(bagFile(contents), ...args)

const design = newDesign('By command')

describe('the command line', () => {
  it('prints the same draft as the core, in every form', () => {
    for (const as of EXPORTS) {
      const { stdout, status } = draftFile(JSON.stringify(design), '--as', as, '--terms', 'uk')
      expect(status).toBe(0)
      expect(stdout).toBe(exportDraft(draft(design), as, 'uk').body)
    }
  })

  it('is called by npm', () => {
    const args = ['run', '-s', 'draft', '--', bagFile(JSON.stringify(design)), '--as', 'text']
    const { stdout, status } = spawnSync('npm', args, { cwd: root, encoding: 'utf8' })
    expect(status).toBe(0)
    expect(stdout).toBe(exportDraft(draft(design), 'text', 'us').body)
  }, 30_000)

  it('prints rounds, sizes and findings as JSON', () => {
    const record = JSON.parse(draftFile(JSON.stringify(design), '--as', 'json').stdout) as {
      rounds: object[]
      sizes: object
      findings: object[]
    }
    expect(Object.keys(record)).toEqual(['finished', 'rounds', 'pieces', 'handles', 'sizes', 'findings'])
    expect(record.rounds[4]).toEqual({
      number: 5, part: 'base', stitches: 30, spaces: 0, chains: 0,
      words: 'Ch 1; beg in same st as join: [sc in next 3 sts, 2 sc in next st] 6 times; join with sl st to first sc',
    })
  }, 30_000)

  it.each([
    [JSON.stringify({ ...design, base: { ...design.base, size: { want: { diameterCm: -1 } } } }), [], 'base.size.want.diameterCm'],
    ['{"cut', [], 'not JSON'], [JSON.stringify(design), ['--as', 'pdf'], '--as: must be one of'],
    [JSON.stringify(design), ['--terms', 'fr'], '--terms'], [JSON.stringify(design), ['--unknown'], '--unknown'],
  ] as const)(
    'refuses with exit code 2 and names what is wrong: %#',
    (contents, args, says) => {
      const { status, stderr, stdout } = draftFile(contents, ...args)
      expect(status).toBe(2)
      expect(stdout).toBe('')
      expect(stderr).toContain(says)
    },
    30_000,
  )

  it('writes a draft that stops, says so at its head and on the other channel, and ends with exit code 2', () => {
    const net = JSON.parse(readFileSync(join(root, 'demo/onion-net.json'), 'utf8')) as Record<string, unknown>
    const base = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 61 } }, colour: 'main' }
    const { status, stdout, stderr } = draftFile(JSON.stringify({ ...net, base }), '--repeats', 'asterisk')
    expect(status).toBe(2)
    expect(stdout).toContain('NOT FINISHED')
    expect(stdout).toContain('THE PATTERN STOPS HERE')
    expect(stderr).toContain('not a finished pattern')
  }, 30_000)

  it('refuses a file that is not there', () => {
    const { status, stderr } = called(join(folder, 'nowhere.json'))
    expect(status).toBe(2)
    expect(stderr).toContain('cannot be read')
  }, 30_000)
})
