import { close, existsSync, fdatasync, openSync } from 'node:fs'
import { promisify } from 'node:util'
import type Database from 'better-sqlite3'

const sync = promisify(fdatasync)

/*
 * When what was committed is on the disk. The server's one connection writes ahead and does not wait for the disk itself: nobody else
 * would be answered meanwhile. Whoever saved waits here, one sync at a time, each for all that was committed before it began.
 *
 * SQLite still syncs at what keeps the file whole: the file written ahead before it is brought into the records, the records after it, and
 * its head when it is begun anew (synchronous = NORMAL, "Write-Ahead Logging" and "PRAGMA synchronous" of SQLite's documentation).
 */

/** More pages than this the connection itself brings into the records; usually the worker pool was there before. */
const MOST_PAGES_AHEAD = 8_000

/** The file that a connection writes ahead, and what of it is on the disk. */
export class WriteAhead {
  private handle: number | undefined
  private going: Promise<void> | undefined
  private next: Promise<void> | undefined
  /** How a sync failed: what a later one says of the same bytes is worth nothing. */
  private doubt: unknown
  private isClosed = false
  private unsettled = 0

  constructor(private readonly db: Database.Database, private readonly path: string) {
    db.pragma('synchronous = NORMAL')
    db.pragma(`wal_autocheckpoint = ${MOST_PAGES_AHEAD}`)
  }

  /** Whether anything was saved since this was asked last, and is to be brought from the file written ahead into the records. */
  takeUnsettled(): boolean {
    const any = this.unsettled > 0
    this.unsettled = 0
    return any
  }

  /**
   * Resolves once all that was committed is on the disk.
   *
   * @throws what the disk said if it may not be
   */
  synced(): Promise<void> {
    this.unsettled++
    if (!this.going) return this.begin()
    // The one that is going on may have begun before the last commit.
    this.next ??= this.going.then(() => undefined, () => undefined).then(() => {
      this.next = undefined
      return this.begin()
    })
    return this.next
  }

  private begin(): Promise<void> {
    this.going = this.once().finally(() => {
      this.going = undefined
      if (this.isClosed) this.letGo()
    })
    return this.going
  }

  private async once(): Promise<void> {
    if (this.isClosed || !this.isOpen()) return
    try {
      if (this.doubt === undefined) return await sync(this.handle!)
    }
    catch (error) {
      this.doubt = error
    }
    // Brought into the records, all of it is written anew, and synced there.
    const [{ busy }] = this.db.pragma('wal_checkpoint(FULL)') as [{ busy: number }]
    if (busy !== 0) throw this.doubt
    this.doubt = undefined
  }

  /** Opens the file once there is one: there is none before the first commit. */
  private isOpen(): boolean {
    if (this.handle === undefined && existsSync(this.path)) this.handle = openSync(this.path, 'r')
    return this.handle !== undefined
  }

  private letGo(): void {
    if (this.handle !== undefined) close(this.handle, () => undefined)
    this.handle = undefined
  }

  /** Lets go of the file, its connection being closed: closing brings all of it into the records. */
  close(): void {
    this.isClosed = true
    if (!this.going) this.letGo()
  }
}

/** The file that a connection writes ahead; none where its file system knows of no such thing, and every commit is synced by itself. */
export function writeAheadOf(db: Database.Database, path: string): WriteAhead | undefined {
  return db.pragma('journal_mode', { simple: true }) === 'wal' ? new WriteAhead(db, `${path}-wal`) : undefined
}
