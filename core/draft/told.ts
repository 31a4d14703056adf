import { inUnits, type Units } from '../measure/format'
import { times } from '../measure/length'
import type { Finding, Fix } from '../part/finding'
import type { PartResult } from '../part/part'
import type { Piece } from '../part/piece'
import { liesOver } from '../round/freeRuns'
import type { Drafted, DraftPart } from './part'

/*
 * A part's result as the bag tells it: in the maker's units, its fixes pointed at its place in the design.
 */

/** Where a part's spec is in the design. */
function pathOf(id: string, from: Drafted): readonly string[] {
  return from.in === 'wall' ? ['wall', id] : [from.in]
}

function pointed(fix: Fix, path: readonly string[], units: Units): Fix {
  return { label: inUnits(fix.label, units), changes: fix.changes.map(change => ({ ...change, path: [...path, ...change.path] })) }
}

/** Fixes of a part as edits of the design. */
export function fixesOf(part: Pick<DraftPart, 'id' | 'from'>, fixes: readonly Fix[], units: Units): Fix[] {
  return fixes.map(fix => pointed(fix, pathOf(part.id, part.from), units))
}

function findingIn(finding: Finding, id: string, from: Drafted, units: Units): Finding {
  const { fix, otherFixes, ...bare } = finding
  const own = { id, from }
  return {
    ...bare, part: id, what: inUnits(finding.what, units), ...(fix ? { fix: fixesOf(own, [fix], units)[0]! } : {}),
    ...(otherFixes ? { otherFixes: fixesOf(own, otherFixes, units) } : {}),
  }
}

function pieceIn(piece: Piece, units: Units): Piece {
  const told = (texts: readonly string[]) => texts.map(text => inUnits(text, units))
  return { ...piece, advice: told(piece.advice), finish: told(piece.finish), ...(piece.lead ? { lead: inUnits(piece.lead, units) } : {}) }
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
export function asPart(id: string, name: string, from: Drafted, below: number, result: PartResult, units: Units): DraftPart {
  return {
    ...result, ...lyingFlat(result), id, name, from, firstRound: below + 1, rising: result.rising ?? result.rounds.length,
    findings: result.findings.map(finding => findingIn(finding, id, from, units)),
    ...(result.notions ? { notions: result.notions.map(text => inUnits(text, units)) } : {}),
    advice: (result.advice ?? []).map(text => inUnits(text, units)), handles: result.handles ?? [], sidesMoved: result.sidesMoved ?? 0,
    pieces: (result.pieces ?? []).map(piece => pieceIn(piece, units)),
  }
}
