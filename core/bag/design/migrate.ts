import type { Design, SwatchDocument } from './design'
import { DESIGN_VERSION, SWATCH_VERSION } from './versions'

import { changed } from '../../parts/field/changed'

type Loose = Record<string, unknown>

/** Whether a document comes from a later version of the program than this one. */
export function isFromTheFuture(document: Loose): boolean {
  return typeof document.version === 'number' && document.version > DESIGN_VERSION
}

/** Values that version 1 meant by fields that it left out, where version 2 begins with something else. */
const MEANT_IN_1: Readonly<Record<string, Loose>> = {
  'rectangle': { rowEnds: 'one-each' }, 'folded': { repeat: 1, edgeStitches: 0 }, 'bought': { perHole: 1, doubledHoles: 0 },
  'slots': { rounds: 3 }, 'chain-straps': { rounds: 3, into: 'chains' }, 'under-strap': { wide: 6 }, 'adjust': { mirrored: false },
}

function isObject(value: unknown): value is Loose {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

/** An object with what it left out said as version 1 meant it. */
function said(part: unknown, by: string): unknown {
  return isObject(part) ? { ...MEANT_IN_1[String(part[by])], ...part } : part
}

/** From version 1 to 2: parts of the wall get ids of their own, and some fields begin otherwise. */
function withIds(old: Loose): Loose {
  const { wall, base } = old
  return {
    ...old, base: said(base, 'form'),
    ...(Array.isArray(wall)
      ? { wall: wall.map((part: unknown, i) => (isObject(part) ? { id: `part-${i + 1}`, ...(said(part, 'band') as Loose) } : part)) }
      : {}),
  }
}

/** From version 2 to 3: the start of a spiral leans as usual where nothing is said; until then it stood straight. */
function standingStraight(old: Loose): Loose {
  const { rounds } = old
  return isObject(rounds) && rounds.style === 'spiral' ? { ...old, rounds: { leanPerTen: 0, ...rounds } } : old
}

/** Parts of a bag said what they are in `band`, wherever they stand: in the wall, in floors, panels and straps, in textures. */
function withKind(old: unknown): unknown {
  if (Array.isArray(old)) return old.map(withKind)
  if (!isObject(old)) return old
  const isPart = typeof old.band === 'string' && !('kind' in old)
  return Object.fromEntries(Object.entries(old).map(([name, value]) => [isPart && name === 'band' ? 'kind' : name, withKind(value)]))
}

/** From version 3 to 4: parts say what they are in `kind`. */
function kindForBand(old: Loose): Loose {
  return withKind(old) as Loose
}

type Migration = (old: Loose) => Loose

/** Migrations: that at index `n - 1` turns a design of version `n` into one of version `n + 1`. */
const DESIGN_STEPS: readonly Migration[] = [withIds, standingStraight, kindForBand]
/** Likewise for swatches: version 2 says which texture it is of as designs do. */
const SWATCH_STEPS: readonly Migration[] = [kindForBand]

function upTo(newest: number, steps: readonly Migration[], document: Loose): Loose {
  let current = document
  for (let version = Number(document.version); version >= 1 && version < newest; version++) {
    current = { ...steps[version - 1]!(current), version: version + 1 }
  }
  return current
}

/** A design document of any earlier version, brought up to this one; anything else comes back as it was. */
export function migrate(document: Loose): Loose {
  return upTo(DESIGN_VERSION, DESIGN_STEPS, document)
}

/** A swatch document likewise. */
export function migrateSwatch(document: Loose): Loose {
  return upTo(SWATCH_VERSION, SWATCH_STEPS, document)
}

/** A design that was kept by an earlier version of the program and is known to be sound, as this version means it. */
export function upToDate(design: Design): Design {
  return design.version === DESIGN_VERSION ? design : changed(design, migrate({ ...design }))
}

/** A swatch likewise. */
export function swatchUpToDate(swatch: SwatchDocument): SwatchDocument {
  return swatch.version === SWATCH_VERSION ? swatch : changed(swatch, migrateSwatch({ ...swatch }))
}
