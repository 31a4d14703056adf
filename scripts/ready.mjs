import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** What `npm start` and `npm test` both need first: the packages and the build, made once and again only when something changed. */

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')

/** Runs a command in the project's folder, its output in sight; ends this program if it fails. */
export function run(command, args, environment = {}) {
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...environment } })
  if (status !== 0) process.exit(status ?? 1)
}

function hashOf(files) {
  const hash = createHash('sha256')
  for (const file of files) hash.update(file).update('\0').update(readFileSync(join(ROOT, file))).update('\0')
  return hash.digest('hex')
}

function filesBelow(folder) {
  return readdirSync(join(ROOT, folder)).sort().flatMap((name) => {
    const path = join(folder, name)
    return statSync(join(ROOT, path)).isDirectory() ? filesBelow(path) : [path]
  })
}

/** Runs `work` unless it was last done for files exactly like these and what it makes is still there. */
function once(stamp, made, files, work) {
  const path = join(ROOT, stamp)
  const now = hashOf(files)
  if (existsSync(join(ROOT, made)) && existsSync(path) && readFileSync(path, 'utf8') === now) return
  work()
  mkdirSync(dirname(path), { recursive: true })
  writeFileSync(path, now)
}

/** Installs the packages if they are missing or the lockfile changed. */
export function install() {
  once('node_modules/.fair-hollow-installed', 'node_modules/nuxt', ['package.json', 'package-lock.json'], () => {
    console.log('Installing the packages (a few minutes, the first time) ...')
    run('npm', ['ci', '--no-audit', '--no-fund'])
  })
  // What lint and types go by comes with the packages, but can be thrown away without them.
  if (!existsSync(join(ROOT, '.nuxt/eslint.config.mjs'))) run('npx', ['nuxt', 'prepare', '--logLevel', 'silent'])
}

/** What the build itself goes by. */
const SHAPES = ['nuxt.config.ts', 'package-lock.json', 'scripts/workshop.mjs', 'scripts/serviceWorker.mjs', 'scripts/sqlAsText.mjs']

/** Builds the program if its sources changed since it was last built. */
export function build() {
  const sources = ['app', 'core', 'server', 'demo', 'public', 'sw'].flatMap(filesBelow)
  once('.output/.fair-hollow-built', '.output/server/index.mjs', [...SHAPES, ...sources], () => {
    console.log('Building ...')
    run('npx', ['nuxt', 'build', '--logLevel', 'silent'])
  })
}
