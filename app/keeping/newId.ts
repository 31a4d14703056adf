const LETTERS = 'abcdefghijkmnpqrstuvwxyz23456789'

/** A word by chance that nobody else has; works at an address without https too. */
export function randomWord(length: number): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(length)), byte => LETTERS[byte % LETTERS.length]).join('')
}

/** This opening of the page: what it writes is known by it and a running number. */
export const opening = randomWord(12)
let written = 0

/** The id of the next event written here: no other page, tab or device writes the same. */
export function nextEventId(): string {
  return `${opening}.${written++}`
}
