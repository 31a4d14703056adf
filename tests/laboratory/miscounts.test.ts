import { describe, expect, it } from 'vitest'
import { draft } from '../../core/bag/draft/draft'
import { demoDesigns, randomDesigns } from '../pattern/spokenOf'
import { broken, carriedThrough, type Miscount, miscountsOf } from './miscounts'

const LONG_MS = 3_600_000

/** Bags that come out as planned, of a size that a test can afford; in the suite a few rounds of each, all of them if asked for. */
const everyNth = process.env.TORTURE ? 1 : 12
const bags = [
  ...demoDesigns(), ...randomDesigns(40).map((design, i) => ({ name: `random ${i}`, design })),
].filter(({ design }) => {
  const { sizes: { stitches }, findings } = draft(design)
  return stitches < 12_000 && !findings.some(({ weight }) => weight === 'stop')
})

interface Row { all: number, withWay: number }

/** The miscounts of each bag, and what every way on does to it. */
function inTheLaboratory(): { readonly table: ReadonlyMap<string, Row>, readonly wrong: readonly string[], readonly ways: number } {
  const table = new Map<string, Row>()
  const wrong: string[] = []
  let ways = 0
  const look = (name: string, miscount: Miscount) => {
    const row = table.get(miscount.kind) ?? { all: 0, withWay: 0 }
    table.set(miscount.kind, row)
    row.all++
    if (miscount.ways.some(({ counted }) => counted)) row.withWay++
    for (const way of miscount.ways) {
      const real = carriedThrough(miscount, way)
      if (!real) continue
      ways++
      for (const law of broken(miscount, way, real))
        wrong.push(`${law}: ${name}, ${miscount.kind}, round ${miscount.round}, by ${miscount.by}, ${way.way}`)
    }
  }
  for (const { name, design } of bags) for (const miscount of miscountsOf(design, everyNth)) look(name, miscount)
  return { table, wrong, ways }
}

describe('the laboratory of miscounts: every round, one and two too many and too few, and a lost repeat', () => {
  it('carries every way through to the last round, and keeps every law; 95 of 100 have another way than ripping back', () => {
    const { table, wrong, ways } = inTheLaboratory()
    if (process.env.TORTURE)
      for (const [kind, row] of [...table].sort()) console.log(`${kind.padEnd(20)} ${row.withWay} of ${row.all}`)
    expect(wrong.slice(0, 20)).toEqual([])
    expect(ways).toBeGreaterThan(500)
    const [all, withWay] = [...table.values()].reduce(([a, b], row) => [a + row.all, b + row.withWay], [0, 0])
    expect(withWay / all).toBeGreaterThanOrEqual(0.95)
  }, LONG_MS)
})
