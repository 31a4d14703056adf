import { type FlatPiece, rowEndCm } from '../flat/flat'
import { intoRowEnd, rowEndWords, seamOf, TIGHT } from '../flat/seams'
import type { Setting } from '../part/part'
import { many, tape } from '../../things/stitch/translate'
import type { FoldedSpec } from './foldedFields'

/** Stitches of a seam in each of the first so many row ends; through an edging in its stitches, as many. */
function seamInto({ rows }: FlatPiece, count: number, setting: Setting): number[] {
  return rows.slice(0, count).map(row => intoRowEnd(rowEndCm(row, setting), setting.gauge))
}

/** How the flat piece becomes a bag, and where the first round goes. */
export function folding(spec: FoldedSpec, piece: FlatPiece, stitches: number, heightCm: number, setting: Setting): string {
  const { by } = seamOf(spec.seam)
  const { count } = piece.edge
  const up = (rows: number) => {
    const into = seamInto(piece, rows, setting)
    return spec.edged ? `one to each pair of ${many(into.reduce((sum, n) => sum + n, 0), 'st')} of the edging` : rowEndWords(into)
  }
  if (spec.fold === 'side') {
    return (
      'When the last row is done, and before the first round: fold the piece in half along its rows, right sides together. Up the open '
      + `side ${by} ${up(piece.rows.length)}; along the bottom ${by} one to each pair of ${many(stitches, 'ch', 'chs')} of the `
      + `first row. ${TIGHT} Turn it right side out. Join the yarn at the seam with the right side facing: the first round goes into the `
      + `${many(count, 'st')} of the last row${spec.edged ? ' and the ends of the edging' : ''}.`
    )
  }
  return (
    'When the last row is done, and before the first round: fold the piece in half across its rows, right sides together, and up both '
    + `sides ${by} ${up(Math.floor(piece.rows.length / 2))} a side, ${tape(heightCm)} each. ${TIGHT} Turn it right side out; the `
    + 'fold is the bottom. Join the yarn at a side seam with the right side facing: the first round goes into the '
    + `${many(count, 'st')} of the last row, then into the ${many(stitches, 'ch', 'chs')} of the underside of the first`
    + `${spec.edged ? ', and into the ends of the edging between them' : ''}.`
  )
}
