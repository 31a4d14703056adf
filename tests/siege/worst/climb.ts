import fc from 'fast-check'
import type { Design } from '../../../core/design/design'
import { readDesign } from '../../../core/design/read'
import { draft } from '../../../core/draft/draft'
import { anyLegalDesign } from '../../arbitraries/legal'
import { Chance } from '../chance'

/*
 * The worst legal document: from foolish bags the search goes on with whatever part of another makes one cost more, and keeps the worst.
 * What it costs is told by the processor's time, which no busy machine makes longer.
 */

/** The processor's time of some work, in milliseconds: the less of two, since memory is collected when it is. */
export function costOf(work: () => unknown): number {
  const once = () => {
    const before = process.cpuUsage()
    work()
    const { user, system } = process.cpuUsage(before)
    return (user + system) / 1000
  }
  return Math.min(once(), once())
}

/** A bag that can be kept, and what drafting it costs. */
export interface Climbed {
  readonly design: Design
  readonly ms: number
}

function weighed(design: unknown): Climbed | undefined {
  const reading = readDesign(JSON.parse(JSON.stringify(design)))
  return reading.ok ? { design: reading.document, ms: costOf(() => draft(reading.document)) } : undefined
}

type Loose = Record<string, unknown> & { wall: unknown[] }

/** One bag with something of another: a field, or parts of its wall. */
function crossed(chance: Chance, a: Design, b: Design): unknown {
  const [own, other] = [structuredClone(a) as unknown as Loose, b as unknown as Loose]
  if (chance.share() < 0.5 && other.wall.length > 0) {
    const part = chance.of(other.wall)
    const times = chance.of([1, 2, 8, 40])
    own.wall = [...own.wall.slice(0, chance.below(own.wall.length + 1)), ...Array.from({ length: times }, () => part)].slice(0, 40)
      .map((one, i) => ({ ...one as object, id: `part-${i}` }))
    return own
  }
  const field = chance.of(Object.keys(other).filter(key => !['fairHollow', 'version', 'name'].includes(key)))
  return { ...own, [field]: other[field] }
}

/** Climbs for so many steps; the worst first. */
export function climb(seed: number, steps: number): Climbed[] {
  const chance = new Chance(seed)
  const samples = fc.sample(anyLegalDesign, { seed, numRuns: Math.max(30, Math.floor(steps / 3)) })
  let best = samples.slice(0, 12).flatMap(design => weighed(design) ?? [])
  for (let step = 0; step < steps; step++) {
    const from = chance.of(best).design
    const next = weighed(crossed(chance, from, chance.of(samples)))
    if (!next) continue
    best = [...best, next].sort((a, b) => b.ms - a.ms).slice(0, 8)
  }
  return best.sort((a, b) => b.ms - a.ms)
}
