import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { CHROMIUM_PACKAGES } from './chromium.mjs'
import { build, compileDatabase, install, ROOT, run, runBeside } from './ready.mjs'

/** `npm test`: everything, on any machine: installs, lint, types, unit tests, the build, and the tests in a browser. */

function installed(name) {
  return existsSync(`/usr/bin/${name}`)
}

function apt(...args) {
  const [command, ...rest] = [...(process.getuid?.() === 0 ? [] : ['sudo']), 'apt-get', ...args]
  const { status } = spawnSync(command, rest, {
    stdio: ['ignore', 'ignore', 'inherit'], env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  })
  return status === 0
}

/** Debian's Chromium, which the browser tests drive. */
function chromium() {
  if (installed(CHROMIUM_PACKAGES[0])) return
  console.log('Installing Chromium from Debian\'s packages ...')
  apt('update', '-qq')
  const came = CHROMIUM_PACKAGES.some(name => installed(name) || apt('install', '-y', '-qq', '--no-install-recommends', name))
  if (came) return
  console.error('Chromium could not be installed. Install Debian\'s package chromium by hand and run npm test again.')
  process.exit(1)
}

/** Works through a step of several commands side by side, each of which uses one core; all of it is heard before it is left. */
async function step(name, ...works) {
  const from = Date.now()
  console.log(`\n== ${name}`)
  const ends = await Promise.all(works.map(work => work()))
  if (ends.some(status => status)) process.exit(1)
  console.log(`== ${name}: ${((Date.now() - from) / 1000).toFixed(0)} s`)
}

const report = name => join(ROOT, 'test-results', name)

await step('packages', () => install(true))
await step('Chromium', chromium)
mkdirSync(join(ROOT, 'test-results'), { recursive: true })
await step(
  'lint, types and the database', () => runBeside('npx', ['eslint', '.', '--max-warnings', '0']),
  () => runBeside('npx', ['nuxt', 'typecheck']), compileDatabase,
)
await step('types of the service worker', () => run('npx', ['tsc', '-p', 'sw']))
await step(
  'unit tests', () => run('npx', ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${report('unit.json')}`]),
)
await step('build', build)
await step('browser tests', () => run('npx', ['playwright', 'test']))

const unit = JSON.parse(readFileSync(report('unit.json'), 'utf8'))
const browser = JSON.parse(readFileSync(report('browser.json'), 'utf8')).stats
console.log(`\n${unit.numPassedTests + browser.expected} passed, ${unit.numFailedTests + browser.unexpected} failed`)
