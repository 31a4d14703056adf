import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { build, install, ROOT, run } from './ready.mjs'

/** `npm test`: everything, on any machine: installs, lint, types, unit tests, the build, and the tests in a browser. */

/** Debian's Chromium, which the browser tests drive. */
function chromium() {
  if (existsSync('/usr/bin/chromium')) return
  console.log('Installing Chromium from Debian\'s packages ...')
  const root = process.getuid?.() === 0 ? [] : ['sudo']
  for (const args of [
    ['apt-get', 'update', '-qq'],
    ['apt-get', 'install', '-y', '-qq', '--no-install-recommends', 'chromium'],
  ]) {
    const [command, ...rest] = [...root, ...args]
    const { status } = spawnSync(command, rest, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
    if (status !== 0) {
      console.error('Chromium could not be installed. Install Debian\'s package chromium by hand and run npm test again.')
      process.exit(1)
    }
  }
}

function step(name, work) {
  const from = Date.now()
  console.log(`\n== ${name}`)
  work()
  console.log(`== ${name}: ${((Date.now() - from) / 1000).toFixed(0)} s`)
}

/** What uses one core each runs side by side; all of it is heard before it is left. */
async function together(name, ...commands) {
  const from = Date.now()
  console.log(`\n== ${name}`)
  const ends = await Promise.all(commands.map(([command, ...args]) => new Promise((resolve) => {
    spawn(command, args, { cwd: ROOT, stdio: 'inherit' }).on('close', resolve).on('error', () => resolve(1))
  })))
  if (ends.some(status => status !== 0)) process.exit(1)
  console.log(`== ${name}: ${((Date.now() - from) / 1000).toFixed(0)} s`)
}

const report = name => join(ROOT, 'test-results', name)

step('packages', () => install(true))
step('Chromium', chromium)
mkdirSync(join(ROOT, 'test-results'), { recursive: true })
await together('lint and types', ['npx', 'eslint', '.', '--max-warnings', '0'], ['npx', 'nuxt', 'typecheck'])
step('types of the service worker', () => run('npx', ['tsc', '-p', 'sw']))
step('unit tests', () => run('npx', ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${report('unit.json')}`]))
step('build', build)
step('browser tests', () => run('npx', ['playwright', 'test']))

const unit = JSON.parse(readFileSync(report('unit.json'), 'utf8'))
const browser = JSON.parse(readFileSync(report('browser.json'), 'utf8')).stats
console.log(`\n${unit.numPassedTests + browser.expected} passed, ${unit.numFailedTests + browser.unexpected} failed`)
