import type { Design } from '../design/design'
import type { Gauge } from '../../things/gauge/gauge'
import { LEAST_ROUNDS, type YarnWish, metresWanted, partsOf, withRounds } from './yarnDemand'

/** Rounds that a line from the least of them is laid through: further apart than any pattern's rows repeat. */
const FURTHER_ROUNDS = 8

const MOST_ROUNDS = 600

/**
 * The most rounds of the part that takes what is left with which a bag still lasts; none if the least do not. Guessed by what a few rounds
 * want, then gone on from there a round at a time.
 */
export function roundsLeft(design: Design, gauge: Gauge, { yarn, metres, part }: YarnWish): number | undefined {
  const wants = (rounds: number) => metresWanted(partsOf({ ...design, wall: withRounds(design.wall, part, rounds) }, gauge), yarn)
  const least = wants(LEAST_ROUNDS)
  if (least > metres) return undefined
  const aRound = (wants(LEAST_ROUNDS + FURTHER_ROUNDS) - least) / FURTHER_ROUNDS
  if (aRound <= 0) return LEAST_ROUNDS
  let rounds = Math.min(MOST_ROUNDS, LEAST_ROUNDS + Math.floor((metres - least) / aRound))
  while (rounds > LEAST_ROUNDS && wants(rounds) > metres) rounds--
  while (rounds < MOST_ROUNDS && wants(rounds + 1) <= metres) rounds++
  return rounds
}
