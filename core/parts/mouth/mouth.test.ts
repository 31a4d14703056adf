import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyEyelets, SEED } from '../../../tests/arbitraries/designs'
import { gaugeOf } from '../../things/gauge/gauge'
import { divides } from '../part/asks'
import type { WallSetting } from '../part/part'
import { type Edge, foundation, placesOf } from '../../things/round/edge'
import { each } from '../../things/round/step'
import { work } from '../../things/round/workRound'
import { workWall, type WallSpec } from '../wall/wall'
import type { CordsSpec } from '../part/roles'
import { cordsYarn, drawstring, openingCord } from './cords'
import { drawnBy } from './drawn'
import { eyelets, eyeletsAsks, eyeletsGive, eyeletsOn } from './eyelets'
import type { EyeletsSpec } from './eyeletFields'
import { thread } from './threading'

const gauge = gaugeOf({
  hookMm: 3.5, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 }, dc: { stitches: 20, rounds: 10, overCm: 10 } },
})
const setting: WallSetting = {
  gauge, rounds: { style: 'joined', startingChainCounts: false }, index: 3, turns: 0, repeats: [], hook: { hookMm: 4, strands: 1 },
  accepts: () => true,
}
const casing: EyeletsSpec = { kind: 'eyelets', eyelets: 'boxes', between: 4, chains: 2, evenOut: false, colour: 'main' }
const cords: CordsSpec = { number: 2, kind: 'chain', size: { want: { tailCm: 10 } }, opening: false, colour: 'main' }

function plain(count: number): Edge {
  const result = work(
    { steps: [each('sc', count)], begin: { chains: 0, counts: false, turn: false }, join: 'slip', facing: 'right', colour: 'main' },
    foundation('stitch', count),
  )
  if (!result.ok) throw new Error(result.error.code)
  return result.worked.edge
}
const on = (count: number, over: Partial<EyeletsSpec> = {}) => eyelets.work({ ...casing, ...over }, plain(count), setting)
const wall = (specs: WallSpec[], count: number) => specs.reduce((edge, spec) => workWall(spec, edge, setting).edge, plain(count))

describe('eyelets (common practice, no source)', () => {
  it('48 stitches make 24 boxes, a stitch and a space each', () => {
    const { edge, casing: made } = on(48)
    expect([made!.eyelets, edge.count, placesOf(edge, 'space')]).toEqual([24, 48, 24])
  })

  it('36 stitches make 18 boxes', () => expect(on(36).casing!.eyelets).toBe(18))

  it('twelve groups of three have twelve gaps, and starts six apart', () => {
    const groups = wall([{ kind: 'groups', size: { pin: { rounds: 2 } }, colour: 'main' }], 48)
    const gaps = eyelets.work({ ...casing, eyelets: 'gaps' }, groups, setting)
    expect([groups.count, gaps.casing!.eyelets, gaps.rounds.length, gaps.findings.length]).toEqual([36, 12, 0, 0])
    const threading = thread(12, 2)
    expect(threading.ok && threading.cords.map(({ start }) => start)).toEqual([0, 6])
    expect(on(36, { eyelets: 'gaps' }).findings.map(({ code }) => code)).toEqual(['no-gaps'])
  })

  it('an odd number of boxes is refused, and can be evened out by skipping more, which shows', () => {
    const refused = on(50)
    expect(refused.findings[0]).toMatchObject({ code: 'does-not-divide', weight: 'stop' })
    expect(refused.findings[0]!.what).toContain('(25 eyelets); it could be worked on 48 or 52')
    expect(refused.findings[0]!.otherFixes![0]!.label).toContain('Skip a stitch more here and there')
    const evened = on(50, { evenOut: true })
    expect([evened.casing!.eyelets, evened.edge.count]).toEqual([24, 48])
    expect(evened.findings[0]).toMatchObject({ code: 'eyelets-uneven', weight: 'watch' })
    expect(evened.findings[0]!.what).toContain('2 eyelets skip a stitch more')
  })

  it('slits: 4 singles, a slit of 2 over 48 make eight', () => {
    expect(on(48, { eyelets: 'slits' }).casing!.eyelets).toBe(8)
    expect(on(48, { eyelets: 'slits' }).edge.count).toBe(40)
  })

  it('come out on what they ask, and give what they say; and always an even number (laws 1 and 5)', () => {
    fc.assert(
      fc.property(anyEyelets as unknown as fc.Arbitrary<EyeletsSpec>, fc.integer({ min: 8, max: 160 }), (spec, count) => {
        const { edge, findings, casing: made } = eyelets.work(spec, plain(count), setting)
        const stopped = findings.some(({ weight }) => weight === 'stop')
        expect(stopped).toBe(!divides(count, eyeletsAsks(spec)))
        expect(divides(count, eyeletsAsks(spec))).toBe(
          count % (spec.evenOut && spec.eyelets !== 'gaps' ? 1 : eyeletsAsks(spec).multiple) === 0 && eyeletsOn(spec, count) >= 4,
        )
        if (stopped) return
        expect(made!.eyelets % 2).toBe(0)
        expect(edge.count).toBe(eyeletsGive(spec, count))
      }),
      { ...SEED, numRuns: 300 },
    )
  })
})

describe('threading', () => {
  it('goes through every eyelet once, in and out by turns, and ends outside beside where it began', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 60 }).map(half => 2 * half),
        fc.constantFrom<1 | 2>(1, 2),
        fc.integer({ min: 0, max: 119 }),
        (eyelets, number, at) => {
          const threading = thread(eyelets, number, 'alike', at % eyelets)
          if (!threading.ok) throw new Error(threading.why)
          expect(threading.cords).toHaveLength(number)
          for (const { start, passes, direction, under, over } of threading.cords) {
            expect(new Set(passes.map(({ eyelet }) => eyelet)).size).toBe(eyelets)
            expect(passes.every(({ goes }, i) => goes === (i % 2 === 0 ? 'in' : 'out'))).toBe(true)
            expect(passes[0]!.eyelet).toBe(start)
            // The last passage is out of the eyelet next to the start; over one more post it is back there, outside.
            expect(passes.at(-1)!.goes).toBe('out')
            expect((passes.at(-1)!.eyelet + direction + eyelets) % eyelets).toBe(start)
            expect([...under, ...over].sort((a, b) => a - b)).toEqual(Array.from({ length: eyelets }, (_, i) => i))
          }
        },
      ),
      SEED,
    )
  })

  it('lays the second over the posts that the first lies behind, in the other school', () => {
    fc.assert(fc.property(fc.integer({ min: 2, max: 60 }).map(half => 2 * half), (eyelets) => {
      const threading = thread(eyelets, 2, 'crossed')
      if (!threading.ok) throw new Error(threading.why)
      const [a, b] = threading.cords
      expect(new Set(a!.under)).toEqual(new Set(b!.over))
      expect(b!.passes.at(-1)!.goes).toBe('out')
    }), SEED)
  })

  it('lays two cords behind the same posts, their starts half the eyelets apart', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 60 }).map(half => 2 * half),
        (eyelets) => {
          const threading = thread(eyelets, 2)
          if (!threading.ok) throw new Error(threading.why)
          const [a, b] = threading.cords
          expect(Math.abs(a!.start - b!.start)).toBe(eyelets / 2)
          expect(new Set(a!.under)).toEqual(new Set(b!.under))
          // Opening cords go round posts that are under the others, a quarter of the way from each side as near as can be.
          for (const post of threading.quarters) expect(a!.under).toContain(post)
        },
      ),
      SEED,
    )
  })

  it('says why it cannot be done', () => {
    const why = (n: number) => {
      const threading = thread(n, 1)
      return threading.ok ? '' : threading.why
    }
    expect(why(19)).toContain('on the inside: it needs an even number')
    expect(why(2)).toContain('too few')
  })
})

describe('cords', () => {
  it('by hand: a mouth of 24 cm and ends of 10 are 44 cm, 1.8 mouths, and 100 chains of half a centimetre with 6 for knots', () => {
    const cord = drawstring(cords, 24, gauge)
    expect(cord).toMatchObject({ lengthCm: 44, tailCm: 10, chains: 100 })
    // craft 9: common cords are 1.6 to 2 mouths; craft 12: a chain eats three to four times its length.
    expect(cord.lengthCm / 24).toBeGreaterThan(1.6)
    expect(cord.lengthCm / 24).toBeLessThan(2)
    expect(cord.yarnCm / 50).toBeGreaterThanOrEqual(3)
    expect(cord.yarnCm / 50).toBeLessThanOrEqual(4)
  })

  it('has its ends told where its length is pinned', () =>
    expect(drawstring({ ...cords, size: { pin: { lengthCm: 50 } } }, 24, gauge).tailCm).toBe(13))

  it('takes yarn by its kind, twice for two, and none if bought', () => {
    const yarn = (over: Partial<CordsSpec>) => cordsYarn({ ...cords, ...over }, 24, gauge).reduce((sum, { cm }) => sum + cm, 0)
    expect(yarn({})).toBe(2 * yarn({ number: 1 }))
    expect(yarn({ kind: 'slip-stitched' })).toBeGreaterThan(yarn({}))
    expect(yarn({ kind: 'doubled' })).toBe(2 * yarn({}))
    expect(yarn({ kind: 'bought', opening: true })).toBe(0)
    expect(yarn({ opening: true })).toBeCloseTo(yarn({}) + 2 * openingCord(cords, gauge).yarnCm, 9)
  })
})

describe('a mouth drawn together', () => {
  const gathered = { mouthCm: 24, eyelets: 24, fabricCm: 0.3, cords: 2, cordCm: 0.4, lengthCm: 44 }

  it('by hand: 24 posts of 0.3 cm are 7.2 cm round, and leave a hole of 7.2/π - 0.3 - 1.6 = 0.39 cm', () => {
    const tight = drawnBy(gathered, 1)
    expect(tight.aroundCm).toBeCloseTo(7.2, 9)
    expect(tight.openingCm).toBeCloseTo(7.2 / Math.PI - 1.9, 9)
    expect(tight.tailCm).toBeCloseTo(18.4, 9)
  })

  it('goes evenly from open to tight, and lets out as much cord as it closes', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (a, b) => {
        const [one, other] = [drawnBy(gathered, Math.min(a, b)), drawnBy(gathered, Math.max(a, b))]
        expect(other.aroundCm).toBeLessThanOrEqual(one.aroundCm + 1e-9)
        expect(2 * (other.tailCm - one.tailCm)).toBeCloseTo(one.aroundCm - other.aroundCm, 9)
      }),
      SEED,
    )
  })
})

describe('edgings (common practice, no source)', () => {
  const ruffle: WallSpec = { kind: 'ruffle', stitch: 'sc', inEach: 3, every: 3, colour: 'main' }

  it('24 boxes with a ruffle of three each are 72, then 96: 1, 2, 1', () => {
    const { rounds, findings } = workWall(ruffle, on(48).edge, setting)
    expect(rounds.map(({ edge }) => edge.count)).toEqual([72, 96])
    expect(rounds[1]!.round.steps).toMatchObject([{ do: 'repeat', times: 24, steps: [{ times: 1 }, { do: 'group' }, { times: 1 }] }])
    expect(findings[0]!.what).toContain('2.00 times as long as what they stand on: it ruffles')
  })

  it('on plain stitches a ruffle takes every second one', () => expect(wall([ruffle], 48).count).toBe(96))

  it('shells over six leave five each, picots a point after every single, a rim as many as there were', () => {
    expect(wall([{ kind: 'shells', stitches: 4, colour: 'main' }], 48).count).toBe(40)
    expect(wall([{ kind: 'picots', chains: 3, between: 2, colour: 'main' }], 48).count).toBe(72)
    expect(wall([{ kind: 'rim', rim: 'slip', colour: 'main' }], 48).count).toBe(48)
    expect(wall([{ kind: 'rim', rim: 'reverse', colour: 'main' }], 48).count).toBe(48)
  })

  it('is refused where it does not divide', () => {
    expect(workWall({ kind: 'shells', stitches: 4, colour: 'main' }, plain(50), setting).findings[0]).toMatchObject({
      code: 'does-not-divide',
      weight: 'stop',
    })
  })
})

describe('cords as makers have them', () => {
  const gauge = gaugeOf({ hookMm: 4, strands: 1, measured: { sc: { stitches: 20, rounds: 20, overCm: 10 } } })
  const cords: CordsSpec = { number: 2, kind: 'chain', size: { pin: { chains: 100 } }, opening: true, openingColour: 'moss',
    colour: 'main' }

  it('pinned by their chains: 100 of half a centimetre are 50 cm, less 6 for the knots; the ends are what is left of 24 round', () => {
    const { chains, lengthCm, tailCm } = drawstring(cords, 24, gauge)
    expect(chains).toBe(100)
    expect(lengthCm).toBeCloseTo(44, 9)
    expect(tailCm).toBeCloseTo(10, 9)
    // The same cord by its length takes the same chains.
    expect(drawstring({ ...cords, size: { pin: { lengthCm: 44 } } }, 24, gauge).chains).toBe(100)
  })

  it('take their yarn each of its own colour: a chain eats three and a half times its length', () => {
    expect(cordsYarn(cords, 24, gauge)).toEqual([{ colour: 'main', cm: 2 * 50 * 3.5 }, { colour: 'moss', cm: 2 * 30 * 3.5 }])
    expect(cordsYarn({ ...cords, opening: false }, 24, gauge)).toHaveLength(1)
  })
})
