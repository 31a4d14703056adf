import { changed } from '../../parts/field/changed'
import { formOf } from '../../parts/base/base'
import type { Design } from '../design/design'
import { withChanges } from '../design/edit'
import { baseSetting } from '../design/partContexts'
import { type Draft, draft } from '../draft/draft'
import type { DraftPart } from '../draft/fold/draftPart'
import { wallKindOf, wallPartOf } from '../draft/fold/draftPart'
import type { Way, WaysField } from '../../parts/field/field'
import { tape } from '../../things/stitch/translate'
import type { Change, Fix } from '../../parts/part/finding'
import { heightAsked } from '../../parts/wall/wall'

/*
 * A bag made as large as is asked in all: wide by its base, tall by the band that gives.
 */

/** How a bag's whole height is told: lying flat, with half its floor folded into it, or standing on it. */
export type TallAs = 'flat' | 'standing'

/** A bag as large as was asked, as near as whole rounds come; or why it cannot be. */
export type SizingResult
  = { readonly can: true, readonly fix: Fix, readonly cm: number } | { readonly can: false, readonly why: string }

export function tallCm({ sizes }: Draft, as: TallAs): number {
  return as === 'flat' ? sizes.flatHeight.cm : sizes.height.cm
}

/** A plain band of less than this share of the tallest is a rim, and stays one. */
const RIM_SHARE = 0.4

/** The band that gives: the tallest plain one, or, where that is just a rim, the tallest of any kind that is as tall as asked. */
export function giving(drafted: Draft): DraftPart | undefined {
  const sized = drafted.parts.filter((part) => {
    const spec = wallPartOf(part)
    return spec !== undefined && heightAsked(spec) !== undefined && spec.useUp === undefined
  })
  const tallest = (parts: readonly DraftPart[]) => parts.toSorted((a, b) => b.size.height.cm - a.size.height.cm)[0]
  const [plain, any] = [tallest(sized.filter(part => wallKindOf(part)?.plain)), tallest(sized)]
  return plain && plain.size.height.cm >= RIM_SHARE * any!.size.height.cm ? plain : any
}

function withHeight(design: Design, id: string, heightCm: number): Design {
  const size = { want: { heightCm } }
  return { ...design, wall: design.wall.map(part => (part.id === id ? changed(part, { size }) : part)) }
}

/** Often enough for what stands above to settle: an adjusting round comes and goes once. */
const TRIES = 4

/** The bag so tall in all: its tallest plain band gives, everything else stays as it is. */
export function asTall(design: Design, wantedCm: number, as: TallAs): SizingResult {
  const before = draft(design)
  const band = giving(before)
  if (!band) return { can: false, why: 'No band of this bag can be made taller or lower: add a plain one.' }
  const leastCm = band.size.height.cm / Math.max(1, band.rounds.length)
  const others = tallCm(before, as) - band.size.height.cm
  if (wantedCm - others < leastCm * 0.999) {
    const why = `With its other parts as they are this bag is at least ${tape(others + leastCm)} tall: lower one of those first.`
    return { can: false, why }
  }
  let heightCm = wantedCm - others
  let after = draft(withHeight(design, band.id, heightCm), { before })
  for (let i = 0; i < TRIES; i++) {
    const off = tallCm(after, as) - wantedCm
    if (Math.abs(off) <= leastCm / 2 + 1e-9) break
    heightCm = Math.max(leastCm, heightCm - off)
    after = draft(withHeight(design, band.id, heightCm), { before: after })
  }
  const rounded = Math.round(heightCm * 100) / 100
  return {
    can: true, cm: tallCm(after, as),
    fix: { label: 'Tall in all', changes: [{ path: ['wall', band.id, 'size'], value: { want: { heightCm: rounded } } }] },
  }
}

/** The way of deciding a base's size by the bag lying flat, if its form has one. */
function flatWay({ base }: Design): Way | undefined {
  const { size } = formOf(base).fields
  return size?.is === 'ways' ? (size as WaysField).ways.find(({ under, fields }) => under === 'want' && 'flatWidthCm' in fields) : undefined
}

/** Whether a bag's base can be sized by the bag lying flat. */
export function canBeWide(design: Design): boolean {
  return flatWay(design) !== undefined
}

/** The bag so wide lying flat: its base is decided by that, its other sizes stay as they are. */
export function asWide(design: Design, wantedCm: number): SizingResult {
  const way = flatWay(design)
  if (!way) return { can: false, why: 'A floor of this form is not sized by the bag lying flat: change the base itself.' }
  const before = draft(design)
  const kept = way.from(design.base, { part: before.parts[0]!, gauge: baseSetting(design, before.gauge).gauge }) as Record<string, number>
  const base = changed(design.base, { size: { want: { ...kept, flatWidthCm: wantedCm } } })
  const changes: Change[] = [{ path: ['base'], value: base }, { path: ['measuredBase'], value: undefined }]
  const after = draft(withChanges(design, changes), { before })
  return {
    can: true, cm: after.parts[0]!.size.circumference.cm / 2,
    fix: { label: 'Wide, lying flat', changes },
  }
}
