import { hasFloor } from '../../parts/part/floor'
import { changed } from '../../parts/field/changed'
import { type BaseSpec, formOf } from '../../parts/base/base'
import { type Contents, EASE_CM, propose, roomOf } from '../../parts/contents/contents'
import { applyFix } from '../design/edit'
import type { Design } from '../design/design'
import { contentsFindings } from '../draft/findings/contentsFit'
import { type Draft, draft } from '../draft/draft'
import { isStopped } from '../draft/fold/draftPart'
import type { WaysField } from '../../parts/field/field'
import { asTall } from '../fit/wholeSize'
import type { Fix } from '../../parts/part/finding'
import { dividing } from './wholeBags'

/*
 * A bag that holds what it must
 * =============================
 *
 * The bag there is, made as large as its contents ask: it stays the bag it was (its walls, mouth and handles), its base is sized, its
 * tallest band gives, and its counts are made to divide. Two bases are tried: the one it has, and the one that the contents stand on best.
 * The smaller of two bags that hold it is taken, its own form if that is not much larger. What does not hold yet is made larger step by
 * step.
 */

/** The result: an edit of the design, nothing to change, or why there is no such bag. */
export type Proposal
  = { readonly does: 'change', readonly fix: Fix } | { readonly does: 'nothing' } | { readonly does: 'not', readonly why: string }

/** Its own form may be so much larger than the best one. */
const RATHER_OWN = 1.6

/** So often a bag that does not hold yet is made larger, each time by this share. */
const STEPS = 8
const LARGER = 1.05

function holds({ design, parts, sizes, gauge }: Draft): boolean {
  return !parts.some(isStopped) && contentsFindings({ design, parts, sizes, gauge }).every(({ weight }) => weight === 'note')
}

/** How large a base of this form is asked to be, so that the contents stand on it, or lie in it. */
function sizesFor(contents: Contents, larger: number): Readonly<Record<string, number>> {
  const { round, lengthCm, widthCm } = roomOf(contents)
  const eased = (cm: number) => Math.round((cm + 2 * EASE_CM) * larger * 10) / 10
  return {
    lengthCm: eased(lengthCm), widthCm: eased(widthCm), diameterCm: eased(round ? lengthCm : Math.hypot(lengthCm, widthCm)),
    flatWidthCm: eased(round ? (Math.PI * lengthCm) / 2 : lengthCm + widthCm),
  }
}

/** A base of the form it has, sized for the contents; nothing of a form that is not sized so. */
function sizedBase(base: BaseSpec, contents: Contents, larger: number): BaseSpec | undefined {
  const { size } = formOf(base).fields
  const sizes = sizesFor(contents, larger)
  const fields = size?.is === 'ways'
    ? (size as WaysField).ways.flatMap(({ under, fields: asked }) => (under === 'want' && asked ? [Object.keys(asked)] : []))
    : []
  const wanted = fields.find(names => names.every(name => name in sizes))
  return wanted && changed(base, { size: { want: Object.fromEntries(wanted.map(name => [name, sizes[name]])) } })
}

/** The bag on a base, as tall as the contents ask, its counts made to divide. */
function bagOn(design: Design, base: BaseSpec, heightCm: number): Design {
  const { measuredBase: _, ...rest } = design
  const fitted = dividing({ ...rest, base }, design.gauge)
  // A net hangs as tall as it is pulled: what it holds is settled by its loops.
  if (draft(fitted).parts.some(({ net }) => net)) return fitted
  const tall = asTall(fitted, heightCm, hasFloor(draft(fitted).sizes.floor) ? 'standing' : 'flat')
  return tall.can ? dividing(applyFix(fitted, tall.fix).design, design.gauge) : fitted
}

/** The smallest bag with a base that holds, made larger step by step. */
function holdingOn(design: Design, contents: Contents, baseFor: (larger: number) => BaseSpec | undefined): Draft | undefined {
  const { heightCm } = propose(contents, design.base.stitch, design.base.colour)
  for (let larger = 1, i = 0; i < STEPS; i++, larger *= LARGER) {
    const base = baseFor(larger)
    const drafted = base && draft(bagOn(design, base, heightCm * (i < 2 ? 1 : larger)))
    if (drafted && holds(drafted)) return drafted
  }
  return undefined
}

/** A base that the contents stand on best, so much larger. */
function bestBase(contents: Contents, { base: { stitch, colour } }: Design, larger: number): BaseSpec {
  const { base } = propose(contents, stitch, colour)
  return sizedBase(base, contents, larger) ?? base
}

/** Proposes a bag for what a design must hold. */
export function proposal(design: Design): Proposal {
  const { contents } = design
  if (!contents) return { does: 'nothing' }
  const now = draft(design)
  const net = now.parts.some(part => part.net)
  if (net && holds(now)) return { does: 'nothing' }
  const own = holdingOn(design, contents, larger => sizedBase(design.base, contents, larger))
  const best = holdingOn(design, contents, larger => bestBase(contents, design, larger))
  const taken = own && (!best || own.sizes.litres <= RATHER_OWN * best.sizes.litres) ? own : best
  if (!taken) {
    return {
      does: 'not',
      why: 'No bag with these walls and handles holds it and comes out. Change a part that asks for a certain count, or its sizes by hand.',
    }
  }
  const { base, wall } = taken.from
  return {
    does: 'change',
    fix: {
      label: 'A bag for what it must hold',
      changes: [{ path: ['base'], value: base }, { path: ['measuredBase'], value: undefined }, { path: ['wall'], value: wall }],
    },
  }
}
