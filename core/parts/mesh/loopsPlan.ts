import type { Setting } from '../part/part'
import { hang, type LoopRow } from './hang'
import type { LoopsSpec } from './loopsSpec'

/** The least chains that hold a loop open. */
const FEWEST = 2

/** Chains of a loop so long that a square row of them goes so far round. */
function chainsAround(aroundCm: number, loops: number, chainCm: number): number {
  return Math.max(FEWEST, Math.round((Math.SQRT2 * aroundCm) / loops / chainCm))
}

/** The chains that loops grow to, and narrow to. */
export function chainEnds(spec: LoopsSpec, loops: number, chainCm: number): { readonly hold: number, readonly last?: number } {
  const hold = 'pin' in spec.hold ? spec.hold.pin.chains : chainsAround(2 * spec.hold.want.flatWidthCm, loops, chainCm)
  if (!spec.last) return { hold }
  return { hold, last: 'pin' in spec.last ? spec.last.pin.chains : chainsAround(spec.last.want.mouthCm, loops, chainCm) }
}

/** Chains of the loops round by round: growing by one, holding, narrowing by one. */
export function loopChains(
  spec: Pick<LoopsSpec, 'first'>,
  { hold, last = hold }: { readonly hold: number, readonly last?: number },
  rounds: number,
): number[] {
  return Array.from({ length: rounds }, (_, i) => Math.max(FEWEST, Math.min(spec.first + i, hold, last + (rounds - 1 - i))))
}

/** Chains round by round, and how the net then hangs. */
export interface Plan {
  readonly chains: readonly number[]
  readonly rows: readonly LoopRow[]
}

export function planFor(
  spec: LoopsSpec,
  rounds: number,
  loops: number,
  { gauge, inside }: Setting,
  belowCm: number,
  ends: { readonly hold: number, readonly last?: number },
): Plan {
  const chains = loopChains(spec, ends, rounds)
  const aboveCm = spec.finish ? loops * (spec.finish.inLoop + spec.finish.inStitch) * gauge.sc.width.cm : undefined
  return {
    chains,
    rows: hang(
      chains.map(n => n * gauge.ch.width.cm),
      loops,
      { belowCm, ...(aboveCm === undefined ? {} : { aboveCm }), ...(inside ? { inside } : {}) },
    ),
  }
}

const tallOf = ({ rows }: Plan) => rows.reduce((sum, { riseCm }) => sum + riseCm, 0)

/** The plan for a wanted height: the rounds whose rows, as they hang, come nearest to it. */
export function wantedPlan(spec: LoopsSpec, heightCm: number, planOf: (rounds: number) => Plan): Plan {
  let best = planOf(1)
  for (let rounds = 2; rounds <= 200; rounds++) {
    const next = planOf(rounds)
    if (Math.abs(tallOf(next) - heightCm) >= Math.abs(tallOf(best) - heightCm)) {
      // Narrowing rounds may rise less for a while; stop once the net is tall enough.
      if (tallOf(next) >= heightCm) break
      continue
    }
    best = next
  }
  return best
}
