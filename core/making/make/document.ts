import type { MakeEvent } from './event'

/** Version of the open make document that this program writes. */
export const MAKE_VERSION = 1

/** A make as an open document: everything that happened to a bag, with the design inside. */
export interface MakeDocument {
  readonly fairHollow: 'make'
  readonly version: typeof MAKE_VERSION
  readonly name: string
  readonly events: readonly MakeEvent[]
  /** A photo of the bag, small: `data:image/jpeg;base64,...`. */
  readonly photo?: string
}

/** A make as an open document. */
export function makeDocument(name: string, events: readonly MakeEvent[], photo?: string): MakeDocument {
  return { fairHollow: 'make', version: MAKE_VERSION, name, events, ...(photo ? { photo } : {}) }
}
