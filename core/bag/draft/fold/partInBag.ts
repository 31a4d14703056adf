import { times } from '../../../things/measure/length'
import type { Finding, Fix } from '../../../parts/part/finding'
import type { PartResult } from '../../../parts/part/part'
import { liesOver } from '../../../things/round/freeRuns'
import type { PartSource, DraftPart } from './draftPart'

/*
 * A part's result as one of the bag: its fixes pointed at its place in the design.
 */

function pointed(fix: Fix, path: readonly string[]): Fix {
  return { label: fix.label, changes: fix.changes.map(change => ({ ...change, path: [...path, ...change.path] })) }
}

/** Fixes of a part as edits of the design. */
export function rebaseFixes({ path }: PartSource, fixes: readonly Fix[]): Fix[] {
  return fixes.map(fix => pointed(fix, path))
}

function findingIn(finding: Finding, id: string, from: PartSource): Finding {
  const { fix, otherFixes, ...bare } = finding
  return {
    ...bare, part: id, ...(fix ? { fix: rebaseFixes(from, [fix])[0]! } : {}),
    ...(otherFixes ? { otherFixes: rebaseFixes(from, otherFixes) } : {}),
  }
}

/** Handles worked in the round are no part of the mouth: there the rim is as wide as what they bridge. */
function lyingFlat({ rounds, edge, size, arounds }: PartResult): Pick<PartResult, 'size' | 'arounds'> {
  const flat = rounds.length > 0 && edge.free ? liesOver(edge) / edge.count : 1
  if (flat === 1) return { size, ...(arounds ? { arounds } : {}) }
  return {
    size: { ...size, circumference: times(size.circumference, flat) },
    ...(arounds ? { arounds: arounds.map(cm => cm * flat) } : {}),
  }
}

/** A part worked, as one of the bag. */
export function asPart(id: string, name: string, from: PartSource, below: number, result: PartResult): DraftPart {
  return {
    ...result, ...lyingFlat(result), id, name, from, firstRound: below + 1, rising: result.rising ?? result.rounds.length,
    findings: result.findings.map(finding => findingIn(finding, id, from)),
    advice: result.advice ?? [], handles: result.handles ?? [], sidesMoved: result.sidesMoved ?? 0,
    pieces: result.pieces ?? [],
  }
}
