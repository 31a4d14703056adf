import { existsSync, readFileSync, renameSync } from 'node:fs'
import { join, resolve } from 'node:path'
import Database from 'better-sqlite3'
import { bringIn } from '../server/db/incoming'
import { checkCopy, copiesFolder, copiesOf, putInPlace, staged } from '../server/library/copies'
import { claim } from '../server/library/owner'
import { restored } from '../server/library/restore'
import { unpackParcel } from '../server/jobs/unpackParcel'
import { askOwner } from './askOwner'
import { ended, recordsPath } from './records'

/*
 * `npm run restore -- FILE`: puts a copy in the place of the records, which are copied first; or brings in what is new of a zip of open
 * documents. Without a file it lists the copies there are. A program that runs with the records is asked to do it.
 */

const path = recordsPath()
const [given] = process.argv.slice(2)

function listed(): string {
  const copies = copiesOf(path)
  if (copies.length === 0) return `There are no copies in ${copiesFolder(path)}.`
  return ['Name one of these, or another file:', ...copies.map(({ name }) => `  npm run restore -- ${name}`)].join('\n')
}

/** Whether there are records, and they are sound. */
function areSound(): boolean {
  try {
    checkCopy(path)
    return true
  }
  catch {
    return false
  }
}

/** Returns to a copy; of records that cannot be read no copy is made: they are kept beside. */
function returned(file: string): string {
  if (!existsSync(path) || areSound()) {
    const kept = existsSync(path) ? restored(path, file, new Date()) : undefined
    if (!kept) putInPlace(staged(file, path), path)
    return `${kept ? `What there was is kept as ${join(copiesFolder(path), kept)}\n` : ''}${path} is now ${file}`
  }
  const part = staged(file, path)
  const broken = `${path}.broken-${new Date().toISOString().replace(/[:.]/g, '-')}`
  for (const tail of ['-wal', '-shm', '']) if (existsSync(path + tail)) renameSync(path + tail, broken + tail)
  putInPlace(part, path)
  return `What there was cannot be read, and is kept as ${broken}\n${path} is now ${file}`
}

function broughtIn(file: string): string {
  const unpacked = unpackParcel(path, new Uint8Array(readFileSync(file)))
  if (!unpacked.ok) return ended(unpacked.why)
  const db = new Database(path, { fileMustExist: true })
  db.pragma('foreign_keys = ON')
  let there = 0
  const fresh = unpacked.files.flatMap((one) => {
    if (!one.sound) process.stderr.write(`${one.file}: ${one.why.join('; ')}\n`)
    else if (one.there) there++
    return one.sound && !one.there ? [one.content] : []
  })
  bringIn(db, fresh)
  db.close()
  return `${fresh.length} brought in; ${there} were here already.`
}

if (given === undefined) ended(listed())
const file = existsSync(resolve(given)) ? resolve(given) : join(copiesFolder(path), given)
if (!existsSync(file)) ended(`${given} is not there.\n${listed()}`)
try {
  const claimed = claim(path, { pid: process.pid, address: null })
  if (!claimed.granted) process.stdout.write(`${await askOwner(claimed.owner, path, file)}\n`)
  else process.stdout.write(`${file.endsWith('.zip') ? broughtIn(file) : returned(file)}\n`)
}
catch (error) {
  ended(error)
}
