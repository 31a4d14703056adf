import type { ValuesOf } from '../../parts/field/spec'
import type { MakeEvent } from './event'
import { type MAKE_FIELDS, MAKE_VERSION } from './fields'

/** A make as an open document: everything that happened to a bag, with the designs inside. */
export type MakeDocument = ValuesOf<typeof MAKE_FIELDS>

/** A make as an open document. */
export function makeDocument(name: string, events: readonly MakeEvent[], photo?: string): MakeDocument {
  return { fairHollow: 'make', version: MAKE_VERSION, name, events, ...(photo ? { photo } : {}) }
}
