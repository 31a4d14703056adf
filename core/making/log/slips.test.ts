import { describe, expect, it } from 'vitest'
import { Dice, someHands, swatchOf } from '../../../tests/simulated/maker'
import { SlippingMaker, type Slipping, type Told } from '../../../tests/simulated/slips'
import type { Design } from '../../bag/design/design'
import { stacked } from '../../bag/design/partIds'
import { newDesign } from '../../bag/design/starter'
import { bagFacts } from './facts'
import { skillFromBags } from './skillFromBags'

/*
 * Makers who slip and correct themselves (tests/simulated/slips.ts), each bag worked twice: told with slips, and told rightly at once.
 */

const MAKERS = Number(process.env.TORTURE ?? 0) > 0 ? 300 : 60

function plan(gauge: Design['gauge']): Design {
  return {
    ...newDesign('Slips'), gauge, rounds: { style: 'spiral', startingChainCounts: false }, turnUp: 'plain',
    base: { ...newDesign('Slips').base, increases: 6, size: { want: { diameterCm: 14 } } },
    wall: stacked([{ kind: 'solid', stitch: 'sc', size: { want: { heightCm: 14 } }, colour: 'main' }]),
  }
}

/** A bag of a maker drawn by lot: the same work every time, told as its slips want it. */
function bag(seed: number, slipping: Slipping): Told {
  const dice = new Dice(seed)
  const hands = someHands(dice)
  return new SlippingMaker(plan(swatchOf(hands, dice)), hands, new Dice(seed + 10_000), new Dice(seed + 20_000), slipping).make()
}

const all = (slipping: Slipping) => Array.from({ length: MAKERS }, (_, i) => bag(500 + i, slipping))
const sum = (told: readonly Told[], what: 'slips' | 'questioned' | 'left') => told.reduce((total, one) => total + one[what], 0)

describe('a maker who slips and sees it', () => {
  const rightly = all({ figures: 0, seen: 1 })
  const corrected = all({ figures: 0.5, seen: 1 })

  it('slips often, is questioned often, and lets none stand', () => {
    expect(sum(rightly, 'slips')).toBe(0)
    expect(sum(corrected, 'slips')).toBeGreaterThan(2 * MAKERS)
    expect(sum(corrected, 'questioned')).toBeGreaterThan(sum(corrected, 'slips') / 3)
    expect(sum(corrected, 'left')).toBe(0)
  })

  it('works the same bag in the end, and has taught the same', () => {
    corrected.forEach((told, i) => {
      const same = rightly[i]!
      expect(told.hand.draft.rounds.map(({ worked }) => worked.edge.count), `${i}`)
        .toEqual(same.hand.draft.rounds.map(({ worked }) => worked.edge.count))
      const [{ tension, sizes, off, changed, floor }, right] = [bagFacts(told.events)!, bagFacts(same.events)!]
      expect({ tension, sizes, off, floor }, `${i}`)
        .toEqual({ tension: right.tension, sizes: right.sizes, off: right.off, floor: right.floor })
      expect(changed.map(({ what }) => what), `${i}`).toEqual(right.changed.map(({ what }) => what))
      const { tension: taught, swatch } = skillFromBags([bagFacts(told.events)!])
      const taughtRightly = skillFromBags([bagFacts(same.events)!])
      expect({ taught, swatch }, `${i}`).toEqual({ taught: taughtRightly.tension, swatch: taughtRightly.swatch })
    })
  })
})

describe('a maker who slips now and then, and sees half of what nobody questions', () => {
  const told = all({ figures: 0.2, seen: 0.5 })

  it('gets a bag inside its range at the end nine times of ten', () => {
    const inside = told.flatMap(({ hand: { draft: { parts, sizes } }, acrossCm, wallCm, flatCm }) => {
      const said = [[sizes.floor.length, acrossCm], [parts.at(-1)!.size.height, wallCm], [sizes.flatWidth, flatCm]] as const
      return said.map(([{ cm, plusMinusCm }, real]) => Math.abs(real - cm) <= plusMinusCm)
    })
    expect(sum(told, 'left')).toBeGreaterThan(0)
    const share = inside.filter(Boolean).length / inside.length
    expect(share).toBeGreaterThanOrEqual(0.85)
    expect(share).toBeLessThanOrEqual(0.95)
  })
})
