import fc from 'fast-check'
import type { Reading } from '../../../core/bag/design/read'
import { Chance } from '../seededDraws'

/*
 * The worst legal document: from foolish ones the search goes on with whatever field or part of a list of another makes one cost more, and
 * keeps the worst. What it costs is told by the processor's time, which no busy machine makes longer.
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

type Loose = Record<string, unknown>

/** A sort of document that is searched. */
export interface Sort<D> {
  readonly samples: fc.Arbitrary<Loose>
  readonly read: (input: unknown) => Reading<D>
  /** What the program does with one. */
  readonly work: (document: D) => unknown
  /** Its lists that grow, and to how much. */
  readonly grows: Readonly<Record<string, number>>
  /** Gives the parts of a list numbers of their own again. */
  readonly numbered: (part: object, i: number) => object
}

/** A document that can be kept, and what it costs. */
export interface Climbed<D> {
  readonly document: D
  readonly ms: number
}

function weighed<D>({ read, work }: Sort<D>, input: unknown): Climbed<D> | undefined {
  const reading = read(structuredClone(input))
  return reading.ok ? { document: reading.document, ms: costOf(() => work(reading.document)) } : undefined
}

const TIMES = [1, 2, 8, 40, 400, 4_000, 40_000]

/** One document with something of another: a field, or parts of a list, so many times. */
function crossed<D>({ grows, numbered }: Sort<D>, chance: Chance, a: Loose, b: Loose): unknown {
  const lists = Object.keys(grows).filter(name => Array.isArray(b[name]) && b[name].length > 0)
  if (lists.length > 0 && chance.share() < 0.5) {
    const name = chance.of(lists)
    const [own, others, times] = [(a[name] ?? []) as object[], b[name] as object[], chance.of(TIMES)]
    const most = grows[name]!
    const some = Array.from({ length: chance.below(3) + 1 }, () => chance.of(others))
    const more = Array.from({ length: Math.min(most, times * some.length) }, (_, i) => some[i % some.length]!)
    const at = chance.below(own.length + 1)
    return { ...a, [name]: [...own.slice(0, at), ...more, ...own.slice(at)].slice(0, most).map(numbered) }
  }
  const field = chance.of(Object.keys(b).filter(key => !['fairHollow', 'version', 'name', ...Object.keys(grows)].includes(key)))
  return { ...a, [field]: b[field] }
}

/** Climbs for so many steps; the worst first. */
export function climb<D>(sort: Sort<D>, seed: number, steps: number): Climbed<D>[] {
  const chance = new Chance(seed)
  const samples = fc.sample(sort.samples, { seed, numRuns: Math.max(30, Math.floor(steps / 3)) })
  let best = samples.slice(0, 12).flatMap(document => weighed(sort, document) ?? [])
  for (let step = 0; step < steps; step++) {
    const from = chance.of(best).document as Loose
    const next = weighed(sort, crossed(sort, chance, from, chance.of(samples)))
    if (!next) continue
    best = [...best, next].sort((a, b) => b.ms - a.ms).slice(0, 8)
  }
  return best.sort((a, b) => b.ms - a.ms)
}
