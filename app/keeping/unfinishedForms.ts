import { remember } from './remember'

/*
 * Unfinished forms: the browser keeps what is being entered, for a page may end without a word. One of each sort at a time.
 */

/** A document left half entered when the page ended: by its id if it is kept already, or a new one. */
interface UnsavedEntry<D> {
  readonly id: string | undefined
  readonly document: D
}

/** The document of a sort that is being entered. */
interface UnfinishedForm<D> {
  /** Keeps it as it is now. */
  readonly keep: (document: D, id?: string) => void
  readonly left: () => UnsavedEntry<D> | undefined
  /** It was kept, or is not wanted. */
  readonly end: () => void
}

/** Entering documents of a sort. */
export function unfinishedFormOf<D>(sort: 'swatch' | 'yarn' | 'order'): UnfinishedForm<D> {
  const key = `fair-hollow.entering.${sort}`
  return {
    keep(document, id) {
      remember(key, { id, document } satisfies UnsavedEntry<D>)
    },
    left() {
      try {
        const text = localStorage.getItem(key)
        return text === null ? undefined : (JSON.parse(text) as UnsavedEntry<D>)
      }
      catch {
        return undefined
      }
    },
    end() {
      try {
        localStorage.removeItem(key)
      }
      catch {
        // Nothing is kept there that could be in the way.
      }
    },
  }
}
