/** A round as far as yarn changes go: its yarn, and how much it rises. */
interface YarnRound {
  readonly colour: string
  readonly riseCm: number
}

/** A change of yarn: on the last pull-through of the round before. */
export interface YarnChange {
  /** Index of the first round in the new yarn. */
  readonly at: number
  readonly from: string
  readonly to: string
  /** Whether the old yarn is wanted again so soon that it is carried up inside; else it is cut. */
  readonly carried: boolean
  /** Whether the new yarn was carried up to here, and need not be joined. */
  readonly wasCarried: boolean
}

/** A resting yarn is carried up over as much as this, slack and caught every second round; over more it is cut (from memory). */
export const CARRY_CM = 4

/** Every change of yarn in a bag, and the ends that each yarn leaves to weave in. */
export interface YarnChanges {
  readonly changes: readonly YarnChange[]
  readonly ends: Readonly<Record<string, number>>
}

/**
 * Where yarns change, and whether what rests is carried or cut: each yarn has two ends, and two more for every cut after which it comes
 * again.
 */
export function yarnChanges(rounds: readonly YarnRound[]): YarnChanges {
  const changes: YarnChange[] = []
  const ends: Record<string, number> = {}
  const resting = new Map<string, { readonly carried: boolean }>()
  rounds.forEach(({ colour }, at) => {
    const before = rounds[at - 1]?.colour
    if (before === colour) return
    const wasCarried = resting.get(colour)?.carried ?? false
    if (!wasCarried) ends[colour] = (ends[colour] ?? 0) + 2
    if (before === undefined) return
    const carried = restsFor(rounds, before, at) <= CARRY_CM
    resting.set(before, { carried })
    changes.push({ at, from: before, to: colour, carried, wasCarried })
  })
  return { changes, ends }
}

/** How high the rounds rise until a yarn is wanted again; without end if it is not. */
function restsFor(rounds: readonly YarnRound[], colour: string, from: number): number {
  let cm = 0
  for (let i = from; i < rounds.length; i++) {
    if (rounds[i]!.colour === colour) return cm
    cm += rounds[i]!.riseCm
  }
  return Infinity
}
