import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, join } from 'node:path'
import Database from 'better-sqlite3'
import { DOCUMENT_TABLES } from '../db/sorts'
import { troubleOf, troubleWith } from '../db/trouble'

/*
 * Copies of everything, kept beside the records: whole databases of their own, each looked over before it is called a copy.
 */

/** So many are kept, the newest. */
export const MOST_COPIES = 10

/** Why a copy was made. */
export const REASONS = ['daily', 'asked', 'before-update', 'before-restore'] as const
export type Reason = (typeof REASONS)[number]

/** A copy of everything. */
export interface Copy {
  /** Its file's name in the folder of copies. */
  readonly name: string
  readonly madeAt: string
  readonly why: Reason
  readonly bytes: number
}

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

function fileFor(path: string, why: Reason, now: Date): string {
  mkdirSync(copiesFolder(path), { recursive: true })
  return join(copiesFolder(path), `${now.toISOString().replace('Z', '').replace(/[:.]/g, '-')}.${why}.sqlite`)
}

/** Looks over a file that is to be a copy, or to become the records: whole, ours, and in one piece. */
export function checkCopy(file: string): void {
  let db: Database.Database | undefined
  try {
    db = new Database(file, { fileMustExist: true })
    db.pragma('journal_mode = DELETE')
    const tables = db.prepare('SELECT count(*) FROM sqlite_master WHERE name IN (\'designs\', \'swatches\', \'house\')').pluck().get()
    if (tables !== 3) throw troubleWith('no-database', file)
    if (db.pragma('quick_check(1)', { simple: true }) !== 'ok') throw troubleWith('corrupt', file)
  }
  catch (error) {
    throw troubleOf(error, file) ?? (error as Error)
  }
  finally {
    db?.close()
  }
}

/** Makes an unfinished copy one, if it is sound; lets the oldest go that are too many. */
function finished(part: string, path: string): string {
  checkCopy(part)
  const file = part.replace(/\.part$/, '')
  renameSync(part, file)
  for (const { name } of copiesOf(path).slice(MOST_COPIES)) rmSync(join(copiesFolder(path), name))
  return basename(file)
}

/** Pages copied before others are answered. */
const PAGES_A_STEP = 200

/** Copies everything while the program goes on. */
export async function copyNow(db: Database.Database, path: string, why: Reason, now: Date): Promise<string> {
  const part = `${fileFor(path, why, now)}.part`
  try {
    await db.backup(part, { progress: () => PAGES_A_STEP })
    return finished(part, path)
  }
  catch (error) {
    rmSync(part, { force: true })
    throw troubleOf(error, path) ?? (error as Error)
  }
}

/** Copies everything at once, before something is changed that cannot be changed back. */
export function copyAtOnce(db: Database.Database, path: string, why: Reason, now: Date): string {
  const part = `${fileFor(path, why, now)}.part`
  rmSync(part, { force: true })
  db.prepare('VACUUM INTO ?').run(part)
  return finished(part, path)
}

/** Puts a copy in the place of the records, which nobody may have open; what was written ahead for the old ones goes with them. */
export function putInPlace(copy: string, path: string): void {
  const part = `${path}.part`
  copyFileSync(copy, part)
  checkCopy(part)
  for (const left of ['-wal', '-shm']) rmSync(path + left, { force: true })
  renameSync(part, path)
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
