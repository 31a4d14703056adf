import { spawnSync } from 'node:child_process'

/**
 * `npm run torture`: the stranger and the rules of wording on 2,000 random bags (or as many as are asked for), in all four manners; 50,000
 * documents of every kind in any order; every miscount of every round, and makers who slip; a program ended at 2,100 of its calls to the
 * disk, and the search for the worst legal document; and, which needs a build, 100,000 bad inputs, 500 kills amid saves, and a thousand
 * taps at the hook while the server is killed, the page reloaded and a second device without a network; forty browser tabs that crash amid
 * an edit. `npm run torture -- 2000 siege` begins at the siege.
 */
function torment(command, args, environment) {
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...environment } })
  return status ?? 1
}

const [bags = '2000', from = 'wording'] = process.argv.slice(2)
const TORMENTS = [
  ['wording', 'npx', ['vitest', 'run', 'tests/pattern', 'core/readers/beats'], { TORTURE: bags }],
  ['legal', 'npx', ['vitest', 'run', 'tests/legal'], { LEGAL: '50000' }],
  ['miscounts', 'npx', ['vitest', 'run', 'tests/laboratory', 'core/making/log/slips'], { TORTURE: bags }],
  ['crash', 'npx', ['vitest', 'run', 'tests/siege/crash'], { CRASHES: '700' }],
  ['worst', 'npx', ['vitest', 'run', 'tests/siege/worst'], { CLIMB: '600' }],
  ['siege', 'npx', ['playwright', 'test', 'tests/e2e/siege.spec.ts'], { BAD: '100000', KILLS: '500' }],
  ['taps', 'npx', ['playwright', 'test', 'tests/e2e/taps.spec.ts'], { TAPS: '1000' }],
  ['pages', 'npx', ['playwright', 'test', 'tests/e2e/desk.spec.ts'], { PAGE_CRASHES: '40' }],
]

const first = TORMENTS.findIndex(([name]) => name === from)
if (first < 0) {
  console.error(`There is no torment called ${from}; there are: ${TORMENTS.map(([name]) => name).join(', ')}.`)
  process.exit(2)
}
for (const [, command, args, environment] of TORMENTS.slice(first)) {
  const status = torment(command, args, environment)
  if (status !== 0) process.exit(status)
}
