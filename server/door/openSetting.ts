import { database } from '../db/connection'
import { RecordsTrouble } from '../db/trouble'

/** Whether the maker opened the program to the home network; it stays so until closed, whenever it is started. */
export function isOpenToHouse(): boolean {
  try {
    return database().prepare('SELECT value FROM house WHERE key = \'open-to-house\'').pluck().get() === 'yes'
  }
  catch (error) {
    if (error instanceof RecordsTrouble) return false
    throw error
  }
}

/** Remembers whether it is open. */
export function rememberOpen(open: boolean): void {
  database().prepare('INSERT OR REPLACE INTO house (key, value) VALUES (\'open-to-house\', ?)').run(open ? 'yes' : 'no')
}
