import { spawnSync } from 'node:child_process'

/** `npm run torture`: the stranger and the rules of wording on 2,000 random bags (or as many as are asked for), in all four manners. */
const { status } = spawnSync('npx', ['vitest', 'run', 'tests/pattern'], {
  stdio: 'inherit', env: { ...process.env, TORTURE: process.argv[2] ?? '2000' },
})
process.exit(status ?? 1)
