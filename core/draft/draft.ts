import { workBase } from '../base/base'
import type { Design } from '../design/design'
import { contentsFindings } from './contentsFit'
import { type Gauge, gaugeOf } from '../gauge/gauge'
import type { Finding } from '../part/finding'
import type { LayOut } from '../part/layOut'
import type { PartResult, PartSize, Setting, Start } from '../part/part'
import type { Edge } from '../round/edge'
import type { Worked } from '../round/work'
import { workBand } from '../wall/band'
import { turnUp } from '../wall/turnUp'
import { bagFindings } from './bagFindings'
import { gaugeFindings } from './gaugeFindings'
import { draftGauge, type Redone, refinedFindings } from './refined'
import { type BagSizes, sizesOf } from './sizes'

/** A part of the bag as drafted. */
export interface DraftPart {
  /** `base`, `turnUp`, `wall.0`: also where its spec is in the design. */
  readonly id: string
  readonly name: string
  /** Number of its first round in the bag; the part has `rounds.length` of them, which may be none. */
  readonly firstRound: number
  readonly rounds: readonly Worked[]
  readonly edge: Edge
  readonly size: PartSize
  readonly findings: readonly Finding[]
  /** Of a base: where its stitches lie, seen from above. */
  /** How many of its rounds, the last ones, stand up and make its height. */
  readonly rising: number
  readonly layOut?: LayOut
  /** Stitches that carry a marker, a list a round. */
  readonly markers?: readonly (readonly number[])[]
  readonly advice: readonly string[]
}

/** A round with its number in the bag. */
export interface DraftRound {
  readonly number: number
  readonly part: string
  readonly worked: Worked
}

/** Everything that follows from a design: a pure function of it, never saved. */
export interface Draft {
  readonly design: Design
  readonly gauge: Gauge
  readonly start: Start
  readonly parts: readonly DraftPart[]
  readonly rounds: readonly DraftRound[]
  readonly sizes: BagSizes
  readonly findings: readonly Finding[]
}

/** A part waiting to be worked onto the edge below. */
interface Waiting {
  readonly id: string
  readonly name: string
  readonly path: readonly (string | number)[]
  readonly work: (edge: Edge, setting: Setting) => PartResult
}

function partsAbove(design: Design): Waiting[] {
  const first = design.wall[0]
  return [
    {
      id: 'turnUp', name: 'Turn-up', path: ['turnUp'],
      work: (edge, setting) => turnUp(design.turnUp, first?.stitch ?? design.base.stitch, first?.colour ?? design.base.colour, edge, setting),
    },
    ...design.wall.map((band, i): Waiting => ({
      id: `wall.${i}`, name: design.wall.length > 1 ? `Wall ${i + 1}` : 'Wall', path: ['wall', i],
      work: (edge, setting) => workBand(band, edge, setting),
    })),
  ]
}

/** A part's findings, with its name on them and their fixes pointed at the part's place in the design. */
function placed(findings: readonly Finding[], id: string, path: readonly (string | number)[]): Finding[] {
  return findings.map(finding => ({
    ...finding,
    part: id,
    ...(finding.fix ? { fix: { ...finding.fix, changes: finding.fix.changes.map(change => ({ ...change, path: [...path, ...change.path] })) } } : {}),
  }))
}

function asPart(id: string, name: string, path: readonly (string | number)[], below: number, result: PartResult): DraftPart {
  return {
    id, name, firstRound: below + 1, rounds: result.rounds, edge: result.edge, size: result.size,
    findings: placed(result.findings, id, path), rising: result.rising ?? result.rounds.length, layOut: result.layOut, markers: result.markers, advice: result.advice ?? [],
  }
}

function isStopped(part: DraftPart): boolean {
  return part.findings.some(finding => finding.weight === 'stop')
}

/** The next turned round shows the other side of the last one. */
function turnsAfter(parts: readonly DraftPart[]): number {
  const last = parts.flatMap(part => part.rounds).at(-1)
  if (!last) return 0
  return last.round.facing === 'right' ? 1 : 2
}

/** The parts from the floor up, each worked onto the edge that the one below left; a stop ends the bag there. */
function fold(design: Design, gauge: Gauge): { parts: DraftPart[], start: Start } {
  const setting = (index: number, turns: number): Setting => ({ gauge, rounds: design.rounds, index, turns })
  const base = workBase(design.base, setting(0, 0))
  const parts = [asPart('base', 'Base', ['base'], 0, base)]
  let below = base.rounds.length
  let edge = base.edge
  for (const waiting of partsAbove(design)) {
    if (isStopped(parts[parts.length - 1]!)) break
    const result = waiting.work(edge, setting(below, turnsAfter(parts)))
    parts.push(asPart(waiting.id, waiting.name, waiting.path, below, result))
    below += result.rounds.length
    edge = result.edge
  }
  return { parts, start: base.start ?? { kind: 'ring', chains: 0 } }
}

/** What the measured base changed above it, against a draft by the swatch alone. */
function redoneBy(design: Design, parts: readonly DraftPart[]): Redone[] {
  if (!design.measuredBase) return []
  const before = fold(design, gaugeOf(design.gauge)).parts
  return parts.slice(1).map((part, i) => ({ name: part.name, before: before[i + 1]?.rounds.length ?? 0, now: part.rounds.length }))
}

/** Drafts a bag: the fold over its parts (see docs: base, turn-up, wall, each leaves the edge that the next one takes). */
export function draft(design: Design): Draft {
  const gauge = draftGauge(design)
  const { parts, start } = fold(design, gauge)
  const sizes = sizesOf(parts)
  return {
    design,
    gauge,
    start,
    parts,
    rounds: parts.flatMap(part => part.rounds.map((worked, i) => ({ number: part.firstRound + i, part: part.id, worked }))),
    sizes,
    findings: [...parts.flatMap(part => part.findings), ...contentsFindings(design.contents, sizes), ...bagFindings(design, sizes), ...refinedFindings(design, gauge, redoneBy(design, parts)), ...gaugeFindings(design, gauge)],
  }
}
