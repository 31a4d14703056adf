import { type Length, plus, times } from '../../things/measure/length'
import { type Asks, asksWords, divides } from '../part/asks'
import type { Finding } from '../part/finding'
import type { Setting } from '../part/part'
import type { Repeat } from '../../things/repeat/repeat'
import type { Edge } from '../../things/round/edge'
import { firstKind } from '../../things/round/firstKind'
import type { RowsBelow } from '../../things/round/style'
import type { WorkedRound } from '../../things/round/workedRound'
import { type FlatBand, flatKindOf } from './kinds'

/*
 * A flat piece: bands of rows, one upon the other (craft 5, flat and folded, panels).
 */

/** A flat piece as it is worked. */
export interface FlatPiece {
  readonly rows: readonly WorkedRound[]
  /** The edge that its last row left. */
  readonly edge: Edge
  readonly height: Length
  /** How wide its widest band lies. */
  readonly width: Length
  /** How much each row rises, in centimetres. */
  readonly rises: readonly number[]
  readonly findings: readonly Finding[]
}

/** How tall a piece is to be whatever its last band says, which goes on until then: in rows, or in centimetres. */
export type Until = { readonly rows: number } | { readonly heightCm: number }

/** The last band of a piece, so tall that the piece is as tall as it is to be; itself if there is no saying. */
function lastOf(band: FlatBand, until: Until | undefined, rows: number, tallCm: number): FlatBand {
  if (!until) return band
  if ('rows' in until) return { ...band, size: { pin: { rounds: Math.max(1, until.rows - rows) } } }
  return { ...band, size: { want: { heightCm: Math.max(0.2, until.heightCm - tallCm) } } }
}

/** Said of the bands in a pattern that nobody measured; of a gauge that nobody measured that is said of everything. */
function estimatedIn(bands: readonly FlatBand[], { gauge, repeats = [] }: Setting): Finding[] {
  const which = bands.flatMap((band, i) => flatKindOf(band).estimated?.(band, repeats) ? [i + 1] : [])
  if (which.length === 0 || gauge.sc.known === 'assumed') return []
  const [bandsWord, patterns] = which.length === 1 ? ['band', 'this pattern'] : ['bands', 'these patterns']
  const where = bands.length === 1 ? 'The piece' : `Of the piece ${bandsWord} ${which.join(', ')}`
  return [
    {
      code: 'texture-estimated', weight: 'note',
      what: `${where}: nobody measured ${patterns}. Sizes are told as the stitches would make them, and may be some 15 to 20 % off (a `
        + 'rule of thumb). A swatch makes them surer.',
    },
  ]
}

/**
 * Works bands to and fro, one upon the other; a band that cannot be worked ends it with a stop.
 *
 * @param until how tall the piece is to be: its last band goes on until then
 */
export function workFlat(bands: readonly FlatBand[], on: Edge, setting: Setting, rows: RowsBelow, until?: Until): FlatPiece {
  const worked: WorkedRound[] = []
  const rises: number[] = []
  const findings: Finding[] = estimatedIn(bands, setting)
  let height: Length = times(setting.gauge.sc.height, 0)
  let width: Length = times(setting.gauge.sc.width, 0)
  let edge = on
  for (const [i, given] of bands.entries()) {
    const band = i === bands.length - 1 ? lastOf(given, until, worked.length, height.cm) : given
    const below = rows.below + worked.length
    const result = flatKindOf(band).work(band, edge, { ...setting, index: setting.index + worked.length, rows: { ...rows, below } })
    const where = bands.length > 1 ? `Band ${i + 1} of the piece: ` : ''
    if (!result) {
      findings.push({ code: 'own-broken', weight: 'stop', what: `${where}its repeat cannot be worked to and fro as it is written.` })
      break
    }
    findings.push(...result.findings.map(finding => ({ code: finding.code, weight: finding.weight, what: `${where}${finding.what}` })))
    worked.push(...result.rounds)
    rises.push(...(result.rises ?? result.rounds.map(() => result.size.height.cm / result.rounds.length)))
    height = plus(height, result.size.height)
    if (result.size.circumference.cm > width.cm) width = result.size.circumference
    edge = result.edge
    if (result.findings.some(({ weight }) => weight === 'stop')) break
  }
  return { rows: worked, edge, height, width, rises, findings }
}

function leastCommon(a: number, b: number): number {
  let rest = a
  while (rest % b !== 0) rest += a
  return rest
}

/** Demand of a piece on its first row: every band by itself; where no count does for all of them, the two that disagree. */
export function asksOfBands(
  bands: readonly FlatBand[],
  repeats: readonly Repeat[],
): { readonly asks: Asks } | { readonly trouble: string } {
  let all: Asks = { multiple: 1, plus: 0, least: 2 }
  for (const [i, band] of bands.entries()) {
    const asks = flatKindOf(band).asks(band, repeats)
    if (!asks) return { trouble: `Band ${i + 1} of the piece is in a repeat that cannot be worked to and fro as it is written.` }
    const multiple = leastCommon(all.multiple, asks.multiple)
    const least = Math.max(all.least ?? all.multiple + all.plus, asks.multiple + asks.plus)
    const before = all
    const plus = Array.from({ length: multiple }, (_, at) => at).find(at =>
      (at - before.plus) % before.multiple === 0 && (at - asks.plus) % asks.multiple === 0)
    if (plus === undefined) {
      return {
        trouble: `Band ${i + 1} of the piece asks for ${asksWords(asks)}, and no count does for that and for the bands below it.`,
      }
    }
    all = { multiple, plus, least }
  }
  return { asks: all }
}

/** How much wider than its stitches a piece lies by the swatches of its bands: as its widest one. */
export function acrossShare(bands: readonly FlatBand[], setting: Pick<Setting, 'gauge' | 'repeats'>): number {
  return Math.max(...bands.map(band => flatKindOf(band).ownSize?.(band, setting)?.across?.cm ?? 1))
}

/** The count nearest to a wanted one that all bands of a piece take. */
export function countNear(wanted: number, asks: Asks): number {
  for (let off = 0; ; off++) {
    if (divides(wanted + off, asks)) return wanted + off
    if (wanted - off > 0 && divides(wanted - off, asks)) return wanted - off
  }
}

/** How tall the end of a row is, in centimetres: as tall as its first stitch. */
export function rowEndCm({ round: { steps } }: WorkedRound, { gauge }: Pick<Setting, 'gauge'>): number {
  return gauge[firstKind(steps) ?? 'sc'].height.cm
}
