import { createHash, randomBytes, randomUUID } from 'node:crypto'
import type Database from 'better-sqlite3'

/** A phone or another machine that was let in. */
interface Device {
  readonly id: string
  readonly name: string
  readonly pairedAt: string
  readonly seenAt: string
}

/** The machines that were let in. What they show is never kept, only what it hashes to. */
export interface Devices {
  readonly list: () => Device[]
  /** Lets a machine in; the token is told this once. */
  readonly pair: (name: string, now: Date) => { readonly device: Device, readonly token: string }
  /** Whose token this is, if it was let in and used not too long ago; that it was seen is written down. */
  readonly knownBy: (token: string, now: Date) => Device | undefined
  readonly sendAway: (id: string) => boolean
}

/** A machine that was not seen for so many days has to be let in again. */
export const UNUSED_DAYS = 90
/** That a machine was seen is written down once in so many minutes, not with every request. */
const NOTED_MINUTES = 60

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')
const before = (now: Date, ms: number) => new Date(now.getTime() - ms).toISOString()

interface DeviceRow {
  id: string
  name: string
  paired_at: string
  seen_at: string
}

const device = ({ id, name, paired_at: pairedAt, seen_at: seenAt }: DeviceRow): Device => ({ id, name, pairedAt, seenAt })

/** The devices that a database knows. */
export function devicesIn(db: Database.Database): Devices {
  const columns = 'id, name, paired_at, seen_at'
  const list = db.prepare<[], DeviceRow>(`SELECT ${columns} FROM devices ORDER BY seen_at DESC`)
  const add = db.prepare<[string, string, string, string, string]>(
    'INSERT INTO devices (id, name, token_hash, paired_at, seen_at) VALUES (?, ?, ?, ?, ?)',
  )
  const find = db.prepare<[string], DeviceRow>(`SELECT ${columns} FROM devices WHERE token_hash = ?`)
  const seen = db.prepare<[string, string]>('UPDATE devices SET seen_at = ? WHERE id = ?')
  const remove = db.prepare<[string]>('DELETE FROM devices WHERE id = ?')
  return {
    list: () => list.all().map(device),
    pair: (name, now) => {
      const token = randomBytes(32).toString('base64url')
      const row: DeviceRow = { id: randomUUID(), name, paired_at: now.toISOString(), seen_at: now.toISOString() }
      add.run(row.id, row.name, hashOf(token), row.paired_at, row.seen_at)
      return { device: device(row), token }
    },
    knownBy: (token, now) => {
      const row = find.get(hashOf(token))
      // It stays on the list: by a clock that is set right again it may not be that long.
      if (!row || row.seen_at < before(now, UNUSED_DAYS * 86_400_000)) return undefined
      if (row.seen_at < before(now, NOTED_MINUTES * 60_000)) seen.run(now.toISOString(), row.id)
      return device(row)
    },
    sendAway: id => remove.run(id).changes === 1,
  }
}
