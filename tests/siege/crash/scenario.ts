import { writeSync } from 'node:fs'
import { records } from './steps'

/*
 * The program of the crash laboratory: it does one thing after the other to records of its own, and says what is done once it is done. It
 * is bundled, and ended at one of its calls to the disk.
 */

const [path] = process.argv.slice(2)
async function doAll(): Promise<void> {
  for await (const [i, state] of records(path!)) writeSync(1, `${JSON.stringify([i, state])}\n`)
}

void doAll()
