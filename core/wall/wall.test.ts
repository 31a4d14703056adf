import { describe, expect, it } from 'vitest'
import { gaugeOf } from '../gauge/gauge'
import { foundation } from '../round/edge'
import { LOOPS } from '../round/step'
import type { Setting } from '../part/part'
import { roundsForHeight, solid } from './solid'
import { turnUp } from './turnUp'

const gauge = gaugeOf({ hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 21, overCm: 10 } } })
const setting: Setting = { gauge, rounds: { style: 'turned', startingChainCounts: false }, index: 3, turns: 3 }
const edge = foundation('stitch', 78)

describe('a solid band', () => {
  it('finds the rounds for a height: by hand, 14 cm at 21 rounds in 10 cm are 29.4, so 29, 13.81 cm', () => {
    const band = solid({ band: 'solid', stitch: 'sc', size: { want: { heightCm: 14 } }, colour: 'main' }, edge, setting)
    expect(band.rounds).toHaveLength(29)
    expect(band.size.height.cm).toBeCloseTo(13.8095, 4)
    expect(band.size.height.plusMinusCm).toBeCloseTo(13.8095 * 0.5 / 21, 4)
    expect(band.edge.count).toBe(78)
    expect(roundsForHeight(0.01, 0.5)).toBe(1)
  })

  it('keeps a pinned number of rounds whatever the gauge', () => {
    expect(solid({ band: 'solid', stitch: 'dc', size: { pin: { rounds: 7 } }, colour: 'main' }, edge, setting).rounds).toHaveLength(7)
  })

  it('turns every round in turned work, so that sides alternate', () => {
    const band = solid({ band: 'solid', stitch: 'sc', size: { pin: { rounds: 4 } }, colour: 'main' }, edge, setting)
    expect(band.rounds.map(({ round }) => round.facing)).toEqual(['wrong', 'right', 'wrong', 'right'])
    expect(band.rounds.every(({ round }) => round.begin.turn)).toBe(true)
  })

  it('is stopped beyond reason', () => {
    const band = solid({ band: 'solid', stitch: 'sc', size: { pin: { rounds: 1000 } }, colour: 'main' }, foundation('stitch', 900), setting)
    expect(band.findings[0]).toMatchObject({ code: 'band-too-tall', weight: 'stop' })
    expect(band.edge.count).toBe(900)
  })
})

describe('the turn-up', () => {
  it('is one round in the back and third loops', () => {
    const { rounds, size } = turnUp('back-and-third-loop', 'sc', 'main', edge, setting)
    expect(rounds).toHaveLength(1)
    expect([...rounds[0]!.loops].every(loop => LOOPS[loop] === 'backAndThird')).toBe(true)
    expect(size.height).toEqual(gauge.sc.height)
  })

  it('is watched when it falls on a wrong-side round', () => {
    const codes = (turns: number) => turnUp('back-and-third-loop', 'sc', 'main', edge, { ...setting, turns }).findings.map(({ code }) => code)
    expect([codes(3), codes(4)]).toEqual([['turn-up-inside'], []])
  })

  it('is nothing at all when plain', () => {
    const { rounds, edge: same, size } = turnUp('plain', 'sc', 'main', edge, setting)
    expect(rounds).toHaveLength(0)
    expect(same).toBe(edge)
    expect(size.height.cm).toBe(0)
  })
})
