import { randomUUID } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import Database from 'better-sqlite3'
import { readDesign, readSwatch } from '../core/design/read'
import { readOrder } from '../core/plan/read'
import { readShelfYarn } from '../core/shelf/read'
import { shelf } from '../server/db/documents'
import { makesIn } from '../server/db/makes'
import { checkCopy, copiesFolder, copiesOf, copyAtOnce, putInPlace } from '../server/house/copies'
import { unpackHouse } from '../server/workshop/unpackHouse'
import { ended, recordsPath } from './records'

/*
 * `npm run restore -- FILE`: puts a copy in the place of the records, which are copied first; or brings in what is new of a zip of open
 * documents. Without a file it lists the copies there are. A program that runs meanwhile sees that the file is another, and opens that.
 */

const path = recordsPath()
const [given] = process.argv.slice(2)

function listed(): string {
  const copies = copiesOf(path)
  if (copies.length === 0) return `There are no copies in ${copiesFolder(path)}.`
  return ['Name one of these, or another file:', ...copies.map(({ name }) => `  npm run restore -- ${name}`)].join('\n')
}

function restored(file: string): void {
  checkCopy(file)
  if (existsSync(path)) {
    try {
      const db = new Database(path)
      process.stdout.write(`What there was is kept as ${join(copiesFolder(path), copyAtOnce(db, path, 'before-restore', new Date()))}\n`)
      db.close()
    }
    catch {
      process.stdout.write('What there was cannot be read, and is not copied.\n')
    }
  }
  putInPlace(file, path)
  process.stdout.write(`${path} is now ${file}\n`)
}

function broughtIn(file: string): void {
  const unpacked = unpackHouse(path, new Uint8Array(readFileSync(file)))
  if (!unpacked.ok) return ended(unpacked.why)
  const db = new Database(path, { fileMustExist: true })
  const [designs, swatches] = [shelf(db, 'designs', readDesign), shelf(db, 'swatches', readSwatch)]
  const [yarns, orders, makes] = [shelf(db, 'yarns', readShelfYarn), shelf(db, 'orders', readOrder), makesIn(db)]
  let [brought, there] = [0, 0]
  db.transaction(() => {
    for (const one of unpacked.files) {
      if (!one.sound) process.stderr.write(`${one.file}: ${one.why.join('; ')}\n`)
      else if (one.there) there++
      else {
        const { sort, document } = one.content
        if (sort === 'design') designs.add(document)
        else if (sort === 'swatch') swatches.add(document)
        else if (sort === 'yarn') yarns.add(document)
        else if (sort === 'order') orders.add(document)
        else makes.keep(randomUUID(), document.events)
        brought++
      }
    }
  })()
  db.close()
  process.stdout.write(`${brought} brought in; ${there} were here already.\n`)
}

if (given === undefined) ended(listed())
const file = existsSync(resolve(given)) ? resolve(given) : join(copiesFolder(path), given)
if (!existsSync(file)) ended(`${given} is not there.\n${listed()}`)
try {
  if (file.endsWith('.zip')) broughtIn(file)
  else restored(file)
}
catch (error) {
  ended(error)
}
