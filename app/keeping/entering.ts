import type { SwatchDocument } from '~~/core/design/design'

const KEY = 'fair-hollow.entering'

/** Which swatch is being entered: a new one, or one that is kept, by its id. */
let entering: string | undefined

interface Entered {
  readonly id: string | undefined
  readonly document: SwatchDocument
}

/** Says which swatch is entered from here on. */
export function beginEntering(id: string | undefined): void {
  entering = id
}

/** Keeps what is being entered as it is now. */
export function keepEntering(document: SwatchDocument): void {
  try {
    localStorage.setItem(KEY, JSON.stringify({ id: entering, document } satisfies Entered))
  }
  catch {
    // A browser that keeps nothing: what is on the screen is all there is.
  }
}

/** What was being entered when the page ended. */
export function leftEntering(): Entered | undefined {
  try {
    const text = localStorage.getItem(KEY)
    return text === null ? undefined : (JSON.parse(text) as Entered)
  }
  catch {
    return undefined
  }
}

/** It was kept, or is not wanted. */
export function endEntering(): void {
  localStorage.removeItem(KEY)
}
