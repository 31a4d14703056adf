import type { BaseSpec } from '../../parts/base/base'
import type { BaseChoice } from '../../parts/base/baseChoice'
import type { WallPlan } from './plans'

export type Choice = BaseChoice & { readonly base: BaseSpec }

interface CostedPlan {
  readonly choice: Choice
  readonly plan: WallPlan
  readonly costCm: number
}

/** Alternatives that a maker would call the same: the same counts below, and as many rounds of adjusting. */
function likeness(choice: BaseChoice, plan: WallPlan): number {
  return choice.stitches * 16 + plan.adjusting.length
}

/** Keeps the cheapest of each likeness. */
export class Best {
  private readonly kept = new Map<number, CostedPlan>()

  offer(choice: Choice, plan: WallPlan): void {
    const key = likeness(choice, plan)
    const costCm = choice.errorCm + plan.costCm
    const held = this.kept.get(key)
    if (!held || costCm < held.costCm) this.kept.set(key, { choice, plan, costCm })
  }

  list(): CostedPlan[] {
    return [...this.kept.values()].sort((a, b) => a.costCm - b.costCm)
  }
}
