import { existsSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import Database from 'better-sqlite3'
import { copiesFolder, copyAll } from '../server/library/copies'
import { packParcel } from '../server/jobs/packParcel'
import { ended, recordsPath } from './records'

/*
 * `npm run backup`: a copy of everything beside the records, as the program makes one itself. `npm run backup -- FILE.zip`: everything as
 * open documents in one file, to carry elsewhere.
 */

const path = recordsPath()
const [to] = process.argv.slice(2)
if (to !== undefined && !to.endsWith('.zip')) ended(`${to}: name a file that ends in .zip, or none for a copy beside the records.`)
if (!existsSync(path)) ended(`${path} is not there: nothing to copy. FAIR_HOLLOW_DB names the records.`)

try {
  if (to === undefined) {
    const db = new Database(path, { readonly: true, fileMustExist: true })
    const name = copyAll(db, path, 'asked', new Date())
    db.close()
    process.stdout.write(`${join(copiesFolder(path), name)}\n`)
  }
  else {
    writeFileSync(resolve(to), packParcel(path))
    process.stdout.write(`${resolve(to)}\n`)
  }
}
catch (error) {
  ended(error)
}
