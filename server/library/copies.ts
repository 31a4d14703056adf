import { closeSync, copyFileSync, existsSync, fsyncSync, mkdirSync, openSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { DOCUMENT_TABLES, OURS } from '../db/documentTables'
import { troubleOf, troubleWith } from '../db/trouble'
import { isWhole } from '../db/integrity'
import { type Copy, letGo, type Reason, REASONS } from './retention'

/*
 * Copies of everything, kept beside the records: whole databases of their own, each looked over before it is called a copy.
 */

/** The folder of a database's copies. */
export function copiesFolder(path: string): string {
  return `${path}.copies`
}

const NAME = new RegExp(`^(\\d{4}-\\d{2}-\\d{2}T\\d{2}-\\d{2}-\\d{2}-\\d{3})\\.(${REASONS.join('|')})\\.sqlite$`)

function madeAt(stamp: string): string {
  const [day, time] = stamp.split('T') as [string, string]
  const [h, m, s, ms] = time.split('-')
  return `${day}T${h}:${m}:${s}.${ms}Z`
}

/** The copies that there are, the newest first. */
export function copiesOf(path: string): Copy[] {
  const folder = copiesFolder(path)
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name) => {
      const found = NAME.exec(name)
      return found ? [{ name, madeAt: madeAt(found[1]!), why: found[2] as Reason, bytes: statSync(join(folder, name)).size }] : []
    })
    .sort((a, b) => (a.name < b.name ? 1 : -1))
}

/** So much room, in bytes, the copies of a household may take: FAIR_HOLLOW_COPIES_MB, or two thousand megabytes. */
export function mostCopyBytes(): number {
  const told = Number(process.env.FAIR_HOLLOW_COPIES_MB)
  return (told > 0 ? told : 2_000) * 1e6
}

function stampOf(at: number): string {
  return new Date(at).toISOString().replace('Z', '').replace(/[:.]/g, '-')
}

/** A name that no copy has, and none that is being made. */
function fileFor(path: string, why: Reason, now: Date): string {
  mkdirSync(copiesFolder(path), { recursive: true })
  for (let at = now.getTime(); ; at++) {
    const file = join(copiesFolder(path), `${stampOf(at)}.${why}.sqlite`)
    if (!existsSync(file) && !existsSync(`${file}.part`)) return file
  }
}

/** Sees that a file, or the names in a folder, are on the disk before anything is built on it. */
function synced(file: string): void {
  const handle = openSync(file, 'r')
  try {
    fsyncSync(handle)
  }
  finally {
    closeSync(handle)
  }
}

/** Looks over a file that is to be a copy, or to become the records: whole, ours, and in one piece. */
export function checkCopy(file: string): void {
  let db: Database.Database | undefined
  try {
    db = new Database(file, { fileMustExist: true })
    db.pragma('journal_mode = DELETE')
    const tables = db.prepare('SELECT name FROM sqlite_master WHERE type = \'table\'').pluck().all()
    if (!OURS.every(name => tables.includes(name))) throw troubleWith('no-database', file)
    if (!isWhole(db)) throw troubleWith('corrupt', file)
  }
  catch (error) {
    throw troubleOf(error, file) ?? (error as Error)
  }
  finally {
    db?.close()
  }
}

/** Lets those copies go that are too many or take too much room. */
function thin(path: string, now: Date, inUse: readonly string[]): void {
  const gone = letGo(copiesOf(path), now, new Set(inUse), mostCopyBytes())
  for (const { name } of gone) rmSync(join(copiesFolder(path), name), { force: true })
}

/**
 * Copies everything, as it stands at one moment; others may write meanwhile over connections of their own.
 *
 * @param inUse names of copies that must not be let go for this one
 * @returns the copy's name
 */
export function copyAll(db: Database.Database, path: string, why: Reason, now: Date, inUse: readonly string[] = []): string {
  const file = fileFor(path, why, now)
  const part = `${file}.part`
  try {
    db.prepare('VACUUM INTO ?').run(part)
    checkCopy(part)
    synced(part)
    renameSync(part, file)
    synced(copiesFolder(path))
  }
  catch (error) {
    rmSync(part, { force: true })
    throw troubleOf(error, path) ?? (error as Error)
  }
  thin(path, now, [...inUse, basename(file)])
  return basename(file)
}

/** Takes a file from elsewhere in among the copies; gives its name there. */
export function addCopy(from: string, path: string, now: Date): string {
  const file = fileFor(path, 'asked', now)
  copyFileSync(from, `${file}.part`)
  checkCopy(`${file}.part`)
  renameSync(`${file}.part`, file)
  return basename(file)
}

/** Lays a copy ready beside the records, looked over and on the disk. */
export function staged(copy: string, path: string): string {
  const part = `${path}.part`
  try {
    copyFileSync(copy, part)
    checkCopy(part)
    synced(part)
  }
  catch (error) {
    rmSync(part, { force: true })
    throw troubleOf(error, path) ?? (error as Error)
  }
  return part
}

/** Puts what was laid ready in the place of the records, which nobody may have open; what was written ahead for the old ones goes. */
export function putInPlace(part: string, path: string): void {
  for (const left of ['-wal', '-shm']) rmSync(path + left, { force: true })
  renameSync(part, path)
  synced(dirname(path))
}

/** Removes what a program that was stopped left unfinished, of copies and of the records themselves; nobody else may be at it. */
export function clearUnfinished(path: string): void {
  const folder = copiesFolder(path)
  for (const tail of ['', '-journal', '-wal', '-shm']) rmSync(`${path}.part${tail}`, { force: true })
  if (!existsSync(folder)) return
  for (const name of readdirSync(folder))
    if (/\.part(-journal|-wal|-shm)?$/.test(name) || /\.sqlite-(journal|wal|shm)$/.test(name)) rmSync(join(folder, name), { force: true })
}

/** When anything was changed last. */
export function lastChange(db: Database.Database): string {
  return String(
    db.prepare(
      `SELECT max(at) FROM (${[...Object.values(DOCUMENT_TABLES), 'makes']
        .map(table => `SELECT max(max(updated_at), coalesce(max(removed_at), '')) AS at FROM ${table}`)
        .join(' UNION ALL ')})`,
    ).pluck().get() ?? '',
  )
}
