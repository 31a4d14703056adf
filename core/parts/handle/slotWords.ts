import type { Finding } from '../part/finding'
import type { WorkedRound } from '../../things/round/workedRound'
import type { Slots, SlotsSpec } from './slotSpec'

/** The placing, as makers say it: `8, slot 16, 16, slot 16, 8`. */
export function runsWords(before: readonly number[], places: number, count: number): string {
  const parts: string[] = []
  let done = 0
  for (const first of before) {
    parts.push(String(first - done), `slot ${places}`)
    done = first + places
  }
  return [...parts, String(count - done)].join(', ')
}

export function tallies(rounds: readonly WorkedRound[], count: number): Finding {
  return {
    code: 'rim-counts', weight: 'note',
    what: `The rim goes from ${count} stitches to ${rounds
      .slice(1)
      .map(({ edge }) => edge.count)
      .join(', then ')}.`,
  }
}

export function noteFor(i: number, spec: SlotsSpec, rounds: readonly WorkedRound[]): string | undefined {
  if (i === 0) return 'Work the chains loosely: they are the inside of the handle.'
  const drawn = rounds[i - 1]!.edge.count - rounds[i]!.edge.count
  if (i > 1 && drawn > 0) return `Corners: ${drawn} fewer.`
  if (i === 1 && spec.into === 'bumps') return 'The chains\' V\'s then lie along the lower edge of the handle, facing out.'
  return i === 1 && spec.into === 'chains' ? 'If the chains gap, work into their back bumps instead.' : undefined
}

export function chainWords({ chains, hangs, placing: { places } }: Slots, { number }: SlotsSpec): string {
  const told = number === 2 ? `chains of ${chains} over them` : `a chain of ${chains} over it`
  return (
    `${told[0]!.toUpperCase()}${told.slice(1)}: `
    + (hangs
      ? `${chains - places} more than are skipped, so ${number === 2 ? 'they hang as handles' : 'it hangs as a handle'}.`
      : `as many as are skipped, so ${number === 2 ? 'they are hand holes' : 'it is a hand hole'}.`)
  )
}

export function adviceFor({ placing: { places } }: Slots, along: number, before: readonly number[], count: number): string[] {
  return [
    `Flatten the bag and put markers where each slot begins and ends. From the start of the round: ${runsWords(before, places, count)}.`,
    ...(along > 0
      ? [`The old start lies in a slot, or at its very foot: go on to the side with ${along} {slst}, or fasten off and join there.`]
      : []),
  ]
}
