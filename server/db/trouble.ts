/*
 * Trouble with the file that the records are kept in, in words for whoever keeps them: what happened, what is safe, what to do.
 */

/** Sorts of trouble with the records. */
type TroubleCode
  = 'read-only' | 'full' | 'locked' | 'corrupt' | 'no-database' | 'folder' | 'unreadable' | 'later' | 'io' | 'away' | 'held'

/** Trouble with the records: told to the maker, never as a stack of calls. */
export class RecordsTrouble extends Error {
  constructor(
    readonly code: TroubleCode,
    readonly words: string,
    options?: ErrorOptions,
  ) {
    super(words, options)
  }
}

const WORDS: Readonly<Record<TroubleCode, (path: string) => string>> = {
  'read-only': path => `The records in ${path} can be read but not written. Nothing that was saved is lost. Make the file and its folder `
    + 'writable, or name another file in FAIR_HOLLOW_DB, and start again.',
  'full': path => `The disk that holds ${path} is full. What was saved is safe; what you change is kept in the browser. Free some `
    + 'room: the page then saves by itself.',
  'locked': path => `Another program holds ${path}. What was saved is safe; what you change now is kept in the browser and saved once the `
    + 'other program lets go.',
  'corrupt': path => `The file ${path} is damaged. It is kept as it is, and nothing more is written to it. Start from the last good copy: `
    + 'what can still be read of the damaged file is brought over.',
  'no-database': path => `${path} is not a file of Fair Hollow's records. It was left as it is. Name the right file in FAIR_HOLLOW_DB, or `
    + 'take that one out of the way, and start again.',
  'folder': path => `The folder for ${path} cannot be made or written to. Nothing was changed. Make it writable, or name a file elsewhere `
    + 'in FAIR_HOLLOW_DB, and start again.',
  'unreadable': path => `${path} cannot be opened. Nothing was changed. See that it is a file and that you may read it, or name another in `
    + 'FAIR_HOLLOW_DB, and start again.',
  'later': path => `${path} was written by a later version of Fair Hollow. It was left as it is. Start that version, or name another file `
    + 'in FAIR_HOLLOW_DB.',
  'away': () => 'Everything is just being returned to an earlier copy. What you change now is kept in the browser and saved in a moment.',
  'held': path => `Another Fair Hollow is running with the records in ${path}. Nothing was started. Use that one, or end it first; or name `
    + 'another file in FAIR_HOLLOW_DB.',
  'io': path => `The disk failed while the records in ${path} were read or written. What was acknowledged before is on it if the disk is `
    + 'sound. See to the disk, and start again.',
}

/** The trouble of a sort with a file. */
export function troubleWith(code: TroubleCode, path: string, cause?: unknown): RecordsTrouble {
  return new RecordsTrouble(code, WORDS[code](path), { cause })
}

/** Codes of SQLite and the file system for these (SQLite's result codes, errno). */
const CODES: readonly (readonly [RegExp, TroubleCode])[] = [
  [/^SQLITE_(READONLY|PERM|AUTH)|^EROFS/, 'read-only'], [/^SQLITE_FULL|^ENOSPC|^EDQUOT/, 'full'],
  [/^SQLITE_(BUSY|LOCKED|PROTOCOL)/, 'locked'],
  [/^SQLITE_CORRUPT/, 'corrupt'], [/^SQLITE_NOTADB/, 'no-database'], [/^SQLITE_CANTOPEN|^EISDIR/, 'unreadable'],
  [/^(EACCES|EPERM|ENOTDIR|ENOENT|EEXIST)/, 'folder'], [/^SQLITE_IOERR|^EIO/, 'io'],
]

/** Meaning of an error of the records for the maker; nothing if it is none of theirs, but a mistake of ours. */
export function troubleOf(error: unknown, path: string): RecordsTrouble | undefined {
  if (error instanceof RecordsTrouble) return error
  const { code } = error as { code?: unknown }
  if (typeof code !== 'string') return undefined
  const found = CODES.find(([pattern]) => pattern.test(code))
  return found && troubleWith(found[1], path, error)
}
