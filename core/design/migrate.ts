import { DESIGN_VERSION } from './design'

type Loose = Record<string, unknown>

/** What turns a document of version `n` into one of version `n + 1`, at index `n - 1`. */
const STEPS: readonly ((old: Loose) => Loose)[] = []

/** Whether a document comes from a later version of the program than this one. */
export function isFromTheFuture(document: Loose): boolean {
  return typeof document.version === 'number' && document.version > DESIGN_VERSION
}

/** A design document of any earlier version, brought up to this one; anything else comes back as it was. */
export function migrate(document: Loose): Loose {
  let current = document
  for (let version = Number(document.version); version >= 1 && version < DESIGN_VERSION; version++) {
    current = { ...STEPS[version - 1]!(current), version: version + 1 }
  }
  return current
}
