import type { Design } from '../../bag/design/design'
import { withChanges } from '../../bag/design/edit'
import { type Draft, draft } from '../../bag/draft/draft'
import { isStopped } from '../../bag/draft/fold/draftPart'
import type { Change } from '../../parts/part/finding'
import { yarnNeeds } from '../../bag/yarn/yarn'
import type { Rate } from './yarnUse'
import { oddsThatItLasts, SURE_ENOUGH, type Wants, wants } from './enough'

/** An edit that saves yarn, and what the bag wants of it afterwards. */
export interface YarnFix {
  readonly label: string
  readonly changes: readonly Change[]
  readonly wants: Wants
  readonly odds: number
}

/** A yarn that runs short: of which bag, how much there is, and how it is eaten. */
export interface Short {
  readonly draft: Draft
  readonly yarn: string
  readonly haveGrams: number
  readonly eats: Rate
  /** Of a bag on the hook. */
  readonly inHand?: OnHook
}

/** Differences for a bag on the hook: what is worked stays, and only what is still to come wants yarn. */
interface OnHook {
  readonly redraft: (design: Design) => Draft
  /** Metres of the yarn still to come. */
  readonly metresToCome: (draft: Draft) => number
  /** Rounds of the bag that are done. */
  readonly done: number
  /** Whether a design can become the plan: what is worked reads the same in it. */
  readonly canBecome: (design: Design) => boolean
}

/** A bag after some changes, and what it wants of the yarn; nothing of one that stops. */
export function tried(
  { draft: before, yarn, haveGrams, eats, inHand }: Short, label: string, changes: readonly Change[],
): YarnFix | undefined {
  const design: Design = withChanges(before.design, changes)
  if (inHand && !inHand.canBecome(design)) return undefined
  const after = inHand ? inHand.redraft(design) : draft(design)
  if (after.parts.some(isStopped) && !before.parts.some(isStopped)) return undefined
  const metres = inHand ? inHand.metresToCome(after) : yarnNeeds(after).find(need => need.yarn.id === yarn)?.metres ?? 0
  const then = wants(metres, eats)
  return { label, changes, wants: then, odds: oddsThatItLasts(haveGrams, then) }
}

export const lasts = (fix: YarnFix | undefined) => fix !== undefined && fix.odds >= SURE_ENOUGH
