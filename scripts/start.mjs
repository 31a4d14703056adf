import { spawn } from 'node:child_process'
import { build, compileDatabase, install, putDatabaseIn, ROOT } from './ready.mjs'

/** `npm start`: installs, builds, and runs the program; each only as far as it is needed. */
install(false)
const failed = (await Promise.all([build(), compileDatabase()])).find(status => status !== 0)
if (failed !== undefined) process.exit(failed ?? 1)
putDatabaseIn()

const server = spawn(process.execPath, ['.output/server/index.mjs'], { cwd: ROOT, stdio: 'inherit', env: process.env })
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code, signal) => process.exit(signal ? 0 : code ?? 0))
