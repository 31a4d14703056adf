import { spawnSync } from 'node:child_process'

/**
 * `npm run torture`: the stranger and the rules of wording on 2,000 random bags (or as many as are asked for), in all four manners; and
 * a thousand taps at the hook while the server is killed, the page reloaded and a second device without a network (needs a build).
 */
function torment(command, args, environment) {
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...environment } })
  return status ?? 1
}

const wording = torment('npx', ['vitest', 'run', 'tests/pattern', 'core/beats'], { TORTURE: process.argv[2] ?? '2000' })
process.exit(wording || torment('npx', ['playwright', 'test', 'tests/e2e/taps.spec.ts'], { TAPS: '1000' }))
