import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { ESLint } from 'eslint'
import { beforeAll, describe, expect, it } from 'vitest'
import { circlesAmong } from '../../lint/circles.mjs'
import { unusedExports } from '../../lint/unusedExports.mjs'

/** Each rule of the house, tried by breaking it. */

const root = fileURLToPath(new URL('../../', import.meta.url))
const eslint = new ESLint({ cwd: root })

/** The rules that a text breaks in the place of a file. */
async function broken(filePath: string, code: string): Promise<string[]> {
  const [result] = await eslint.lintText(`${code}\n`, { filePath })
  return (result?.messages ?? []).map(({ ruleId }) => ruleId ?? 'not read')
}

/** The texts of all files in some folders, by their paths. */
function textsIn(houses: readonly string[]): Map<string, string> {
  const paths = houses.flatMap(house => (readdirSync(root + house, { recursive: true }) as string[]).map(path => `${house}/${path}`))
  return new Map(paths.filter(path => /\.(ts|vue|mjs)$/.test(path)).map(path => [path, readFileSync(root + path, 'utf8')]))
}

beforeAll(async () => void (await broken('core/things/measure/x.ts', 'export const x = 1')), 60_000)

describe('arrows', () => {
  it.each([
    ['a lower folder of core on a higher one', 'core/things/measure/x.ts', 'import \'../../bag/draft/draft\''],
    ['a nested folder of core', 'core/things/measure/deep/x.ts', 'import \'../../../bag/draft/draft\''],
    ['by the alias of the root', 'core/things/measure/x.ts', 'import \'~~/core/bag/draft/draft\''],
    ['by a type alone', 'core/things/measure/x.ts', 'export type D = import(\'../../bag/draft/draft\').Draft'],
    ['by passing it on', 'core/things/measure/x.ts', 'export { draft } from \'../../bag/draft/draft\''],
    ['a wing on a later one', 'core/bag/draft/x.ts', 'import \'../../readers/words/pattern\''],
    ['a folder on a later one of its wing', 'core/parts/part/x.ts', 'import \'../wall/wall\''],
    ['a folder of core that is in no order', 'core/things/odds/x.ts', 'export const x = 1'],
    ['a wing that is in no order', 'core/odds/draft/x.ts', 'export const x = 1'],
    ['a file right in a wing', 'core/bag/x.ts', 'export const x = 1'],
    ['a file right in core', 'core/x.ts', 'export const x = 1'], ['core on the page', 'core/readers/export/x.ts', 'import \'~/theme\''],
    ['core on the server', 'core/readers/export/x.ts', 'import \'../../../server/db/demoWorld\''],
    ['core on a package of the machine', 'core/readers/export/x.ts', 'import \'node:fs\''],
    ['core on a package that is not on its list', 'core/readers/export/x.ts', 'import \'vue\''],
    ['the page on the server', 'app/stores/x.ts', 'import \'../../server/db/demoWorld\''],
    ['the page on the server, by the alias of the root', 'app/stores/x.ts', 'import \'~~/server/db/demoWorld\''],
    ['the page on the server, while it runs', 'app/stores/x.ts', 'export const later = () => import(\'~~/server/db/demoWorld\')'],
    ['a store on a component', 'app/stores/x.ts', 'import \'~/components/bench/BagTally.vue\''],
    ['looks on a store', 'app/looks/x.ts', 'import \'~/stores/ways\''],
    ['a component on a page', 'app/components/bench/x.ts', 'import \'../../pages/swatches.vue\''],
    ['the server on the page', 'server/x.ts', 'import \'../app/theme\''],
    ['the command line on the page', 'cli/x.ts', 'import \'../app/theme\''],
  ])('forbid %s', async (_, file, code) => expect(await broken(file, code)).toContain('house/arrows'))

  it.each([
    ['core/bag/draft/x.ts', 'import \'../../things/measure/format\''], ['core/bag/design/x.ts', 'import \'immer\''],
    ['core/things/measure/x.test.ts', 'import \'../../bag/draft/draft\''], ['app/components/bench/x.ts', 'import \'~/stores/ways\''],
    ['app/stores/x.ts', 'import \'~~/core/bag/draft/draft\''], ['server/x.ts', 'import \'../core/bag/draft/draft\''],
  ])('allow %s: %s', async (file, code) => expect(await broken(file, code)).not.toContain('house/arrows'))
})

describe('core is pure', () => {
  it.each([
    'export const now = Date.now()', 'export const now = new Date()', 'export const now = globalThis.performance.now()',
    'export const id = crypto.randomUUID()', 'export const at = () => setTimeout(() => undefined, 3)',
    'export const answer = fetch(\'/\')', 'export const wide = window.innerWidth', 'export const env = process.env',
  ])('no clock, no machine: %s', async code => expect(await broken('core/bag/fit/x.ts', code)).toContain('no-restricted-globals'))

  it.each([
    'export const chance = Math.random()', 'export const chance = Math[\'random\']()',
    'const { random } = Math\nexport const chance = random()', 'const M = Math\nexport const chance = M.random()',
    'export const dice = [Math]',
  ])('no chance: %s', async code => expect(await broken('core/bag/fit/x.ts', code)).toContain('no-restricted-syntax'))

  it('but sums', async () => expect(await broken('core/bag/fit/x.ts', 'export const two = Math.max(1, 2)')).toEqual([]))
})

describe('roles, not kinds', () => {
  it.each([
    'export const is = (spec: { kind: string }) => spec.kind === \'slots\'',
    'const ZIP = \'zip\'\nexport const is = (spec: { kind: string }) => spec.kind === ZIP',
    'export const is = ({ form }: { form: string }) => \'oval\' !== form',
    'export const is = (size: { floor: { shape: string } }) => size.floor.shape !== \'none\'',
    'export const is = (kind: string) => [\'dc\', \'tr\'].includes(kind)',
    'export function is(spec: { kind: string }): number {\n  switch (spec.kind) {\n    case \'slots\': return 1\n    default: return '
    + '0\n  }\n}',
  ])('%s', async code => expect(await broken('core/bag/draft/x.ts', code)).toContain('house/roles'))

  it('a lookup by whatever kind it is, is none', async () => {
    expect(
      await broken('core/bag/draft/x.ts', 'export const of = (all: { kind: string }[], b: string) => all.find(one => one.kind === b)'),
    ).toEqual([])
  })
})

describe('circles', () => {
  it('are found, those of types alone too, and through files in between', () => {
    const files = new Map([
      ['core/a/one.ts', 'import { two } from \'./two\'\nexport const one = 1'],
      ['core/a/two.ts', 'import {\n  type Three,\n} from \'~~/core/b/three\''],
      ['core/b/three.ts', 'export type { One } from \'../a/one\''], ['core/b/four.ts', 'import \'./three\''],
    ])
    expect(circlesAmong(files)).toEqual([['core/a/one.ts', 'core/a/two.ts', 'core/b/three.ts', 'core/a/one.ts']])
  })

  it('there are none', () => {
    const files = textsIn(['core', 'app', 'server', 'cli'])
    expect(files.size).toBeGreaterThan(200)
    expect(circlesAmong(files)).toEqual([])
  })
})

describe('exports that nobody imports', () => {
  it('are found; what is passed on, taken whole, or taken by another name is imported', () => {
    const files = new Map([
      ['core/a.ts', 'export const one = 1\nexport interface Two {}\nexport function three() {}\nexport type Four = 4'],
      ['core/b.ts', 'import { one as first, type Two } from \'./a\'\nexport const own = first'], ['core/c.ts', 'export const far = 1'],
      ['app/d.vue', '<script>const later = () => import(\'~~/core/c\')</script>'], ['core/e.ts', 'export { three } from \'./a\''],
    ])
    expect(unusedExports(files)).toEqual(['core/a.ts Four', 'core/b.ts own'])
  })

  it('there are none', () => {
    const files = textsIn(['core', 'app', 'server', 'cli', 'bench', 'scripts', 'tests', 'sw'])
    expect(unusedExports(files).filter(one => /^(core|app|server|cli)/.test(one))).toEqual([])
  })
})

describe('styles', () => {
  it('change with the window at sizes that have a name, and every name is used', () => {
    const texts = [...textsIn(['app']), ['main.css', readFileSync(`${root}app/assets/main.css`, 'utf8')] as const]
    const asked = texts.flatMap(([file, text]) => [...text.matchAll(/@media ([^{]*)/g)].map(([, of]) => ({ file, of: of! })))
    expect(asked.length).toBeGreaterThan(50)
    expect(asked.filter(({ of }) => /\dpx|rem/.test(of))).toEqual([])
    const used = new Set(asked.flatMap(({ of }) => of.match(/--[\w-]+/g) ?? []))
    const named = [...readFileSync(`${root}app/assets/breakpoints.css`, 'utf8').matchAll(/@custom-media (--[\w-]+)/g)].map(([, name]) => name)
    expect([...used].sort()).toEqual(named.sort())
  })
})
