import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** What `npm start` and `npm test` both need first: the packages and the build, made once and again only when something changed. */

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..')

/** Runs a command in the project's folder, its output in sight; ends this program if it fails. */
export function run(command, args, environment = {}) {
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...environment } })
  if (status !== 0) process.exit(status ?? 1)
}

/** The same beside others: resolves with its exit code. */
export function runBeside(command, args, environment = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...environment } })
    child.on('close', resolve).on('error', () => resolve(1))
  })
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

/** Says which packages are installed: for running alone, or for testing too. */
const STAMP = 'node_modules/.fair-hollow-installed'

/**
 * Installs the packages if they are missing or the lockfile changed.
 *
 * @param all also what tests, lint and types need, which running does without
 */
export function install(all) {
  const now = hashOf(['package.json', 'package-lock.json'])
  const path = join(ROOT, STAMP)
  const stamp = existsSync(path) && existsSync(join(ROOT, 'node_modules/nuxt')) ? readFileSync(path, 'utf8') : ''
  if (stamp !== `${now} all` && (all || stamp !== `${now} running`)) {
    console.log(`Installing the packages for ${all ? 'running and testing' : 'running'}, the first time (about a minute) ...`)
    // The one package that must be compiled is compiled beside what comes next.
    run('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts', ...(all ? [] : ['--omit=dev'])])
    writeFileSync(path, `${now} ${all ? 'all' : 'running'}`)
  }
  // What lint and types go by comes with the packages, but can be thrown away without them.
  if (all && !existsSync(join(ROOT, '.nuxt/eslint.config.mjs'))) run('npx', ['nuxt', 'prepare', '--logLevel', 'silent'])
}

const DATABASE = 'node_modules/better-sqlite3/build/Release/better_sqlite3.node'

/** Compiles the database, if it is not: optimized a step less than usual, which takes a quarter less time. Resolves with an exit code. */
export async function compileDatabase() {
  if (existsSync(join(ROOT, DATABASE))) return 0
  console.log('Compiling the database beside this ...')
  return runBeside('npm', ['rebuild', 'better-sqlite3'], { CFLAGS: '-O2', CXXFLAGS: '-O2' })
}

/** Puts the database into the build, which takes along what was compiled when it looked. */
export function putDatabaseIn() {
  const built = join(ROOT, '.output/server', DATABASE)
  if (existsSync(built)) return
  mkdirSync(dirname(built), { recursive: true })
  copyFileSync(join(ROOT, DATABASE), built)
}

/** What the build itself goes by. */
const SHAPES = ['nuxt.config.ts', 'package-lock.json', 'scripts/jobWorker.mjs', 'scripts/serviceWorker.mjs', 'scripts/sqlAsText.mjs']

/** Builds the program if its sources changed since it was last built; resolves with an exit code. */
export async function build() {
  const sources = ['app', 'core', 'server', 'demo', 'public', 'sw'].flatMap(filesBelow)
  const [path, now] = [join(ROOT, '.output/.fair-hollow-built'), hashOf([...SHAPES, ...sources])]
  if (existsSync(path) && readFileSync(path, 'utf8') === now && existsSync(join(ROOT, '.output/server/index.mjs'))) return 0
  console.log('Building (about a minute; once, until the sources change) ...')
  const from = Date.now()
  const status = await runBeside('npx', ['nuxt', 'build', '--logLevel', 'silent'])
  if (status !== 0) return status
  writeFileSync(path, now)
  console.log(`Built in ${((Date.now() - from) / 1000).toFixed(0)} s.`)
  return 0
}
