import { stacked } from '../../design/partIds'
import { describe, expect, it } from 'vitest'
import type { Design } from '../../design/design'
import { applyFix } from '../../design/edit'
import { newDesign } from '../../design/starter'
import { draft } from '../draft'
import { drift } from './drift'

const gauge = { hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } } as const
const tube = { form: 'tube', stitch: 'sc', size: { pin: { stitches: 116 } }, colour: 'main' } as const
const tote: Design = {
  ...newDesign('Tote'), gauge, base: tube, turnUp: 'plain',
  yarns: [
    { id: 'main', name: 'a', colour: '#ffffff' },
    { id: 'moss', name: 'b', colour: '#00ff00' },
  ],
  wall: stacked([
    {
      kind: 'solid', stitch: 'sc', size: { pin: { rounds: 20 } }, colour: 'main',
      stripes: [
        { colour: 'main', rounds: 3 },
        { colour: 'moss', rounds: 2 },
      ],
    },
  ]),
}
const planned = draft(tote)
/** Round 1 is the tube's own; round 11 is the wall's tenth. */
const told = drift(planned, 11, 118)!

describe('a count that came out otherwise', () => {
  it('118 instead of 116: by hand, two stitches of 0.5 cm are 0.5 cm at the flat mouth', () => {
    expect(told).toMatchObject({ planned: 116, counted: 118 })
    expect(told.mouth).toBe('Left as it is, the mouth comes out {0.5 cm} wider lying flat: the top flares.')
    expect(told.causes[0]).toContain('starting chain or the joining stitch')
    expect(told.ways.map(({ way }) => way)).toEqual(['next-round', 'live-with-it', 'rip-back'])
  })

  it('is put right in the next round, and all else stays', () => {
    const { design } = applyFix(tote, told.ways[0]!.fix!)
    const after = draft(design)
    expect(after.rounds.map(({ worked }) => worked.edge.count)).toEqual([...Array(10).fill(116), 118, ...Array(10).fill(116)])
    expect(after.rounds.map(({ worked }) => worked.round.colour)).toEqual(planned.rounds.map(({ worked }) => worked.round.colour))
    expect(told.ways[0]!.steps).toMatchObject([{ do: 'repeat', times: 2, steps: [{ times: 57 }, { do: 'together' }] }])
  })

  it('can be lived with, from there on', () => {
    const { design } = applyFix(tote, told.ways[1]!.fix!)
    const after = draft(design)
    expect(after.rounds.map(({ worked }) => worked.edge.count)).toEqual([...Array(10).fill(116), ...Array(11).fill(118)])
    expect(after.rounds.map(({ worked }) => worked.round.colour)).toEqual(planned.rounds.map(({ worked }) => worked.round.colour))
    expect(after.parts.find(({ name }) => name === 'As counted')!.advice[0]).toContain('118 stitches where 116 were planned')
  })

  it('says when something above no longer divides', () => {
    const over = draft({ ...tote, wall: stacked([...tote.wall, { kind: 'groups', size: { pin: { rounds: 2 } }, colour: 'main' }]) })
    expect(drift(over, 11, 118)!.mouth).toContain('something above no longer divides')
  })

  it('in a base or a texture is put right by hand', () => {
    const other = draft({ ...tote, wall: stacked([{ kind: 'groups', size: { pin: { rounds: 4 } }, colour: 'main' }]) })
    expect(drift(other, 3, 86)!.ways.map(({ way, fix }) => [way, Boolean(fix)])).toEqual([
      ['next-round', false],
      ['rip-back', false],
    ])
    const round = draft({ ...tote, base: { ...newDesign('x').base, increases: 6, size: { pin: { rounds: 8 } } } })
    expect(drift(round, 5, 31)!.ways[0]!.what).toContain('1 increase fewer')
    expect(drift(round, 5, 25)!.causes.join(' ')).toContain('One missed in each of the 5 rounds')
  })

  it('is nothing when the count is as planned, or the round is not there', () => {
    expect([drift(planned, 11, 116), drift(planned, 99, 3)]).toEqual([undefined, undefined])
  })
})
