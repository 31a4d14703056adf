import { tenths } from '../field/context'
import { seamOf } from '../flat/seams'
import { times } from '../../things/measure/length'
import { type Motif, motifLayOut, reachesOf, workMotif } from '../motif/motif'
import type { Finding } from '../part/finding'
import { noFloor } from '../part/floor'
import { type PartResult, type Setting, stopped } from '../part/part'
import type { Piece } from '../part/piece'
import type { Faces } from '../part/roles'
import { type Edge, foundation, foundationOf, PLACE_KINDS, type Run, withSides } from '../../things/round/edge'
import { changeEvenly } from '../../things/round/changes'
import { each } from '../../things/round/step'
import { inRow } from '../../things/round/style'
import { work } from '../../things/round/workRound'
import type { WorkedRound } from '../../things/round/workedRound'
import { many, tape } from '../../things/stitch/translate'
import { form, sizesLike } from './form'
import { MOUTH_CM, type MotifsSpec, fields } from './motifsFields'

/** So many places of an edge from the start of its round on, as runs of one kind. */
function placesFrom({ kinds, count: all }: Edge, places: number): Run[] {
  const runs: { kind: Run['kind'], count: number }[] = []
  for (let at = 0; at < Math.min(places, all); at++) {
    const kind = PLACE_KINDS[kinds[at]!]!
    const last = runs.at(-1)
    if (last?.kind === kind) last.count++
    else runs.push({ kind, count: 1 })
  }
  return runs
}

/** The mouth: what is left open, how far that goes along the edge, and how wide it is from end to end. */
interface Mouth {
  readonly places: number
  readonly arcCm: number
  readonly chordCm: number
  /** From the bottom to the mouth. */
  readonly tallCm: number
}

/** A mouth over a stretch of a circle: its chord, by half its angle. */
function mouthOf({ open }: MotifsSpec, { edge, radiusCm }: Motif): Mouth {
  const placeCm = (2 * Math.PI * radiusCm) / edge.count
  const asked = 'pin' in open ? open.pin.stitches : Math.round(open.want.mouthCm / placeCm)
  const places = Math.max(2, Math.min(edge.count - 2, asked))
  const half = (places * placeCm) / 2 / radiusCm
  return {
    places, arcCm: places * placeCm, chordCm: 2 * radiusCm * Math.sin(Math.min(half, Math.PI / 2)),
    tallCm: radiusCm * (1 + Math.cos(Math.min(half, Math.PI))),
  }
}

/** Rows over what is left open: the first as much shorter as the mouth is from end to end, as far as pairs can be drawn together. */
function straightRows({ straight, stitch, colour }: MotifsSpec, { edge }: Motif, mouth: Mouth, setting: Setting): WorkedRound[] {
  if (!straight) return []
  const rows: WorkedRound[] = []
  let on: Edge = foundationOf(placesFrom(edge, mouth.places), false)
  const wanted = Math.round(mouth.chordCm / setting.gauge[stitch].width.cm)
  const change = Math.max(-Math.floor(mouth.places / 2), Math.min(mouth.places, wanted - mouth.places))
  for (let i = 0; i < straight.rows; i++) {
    const steps = i === 0 ? changeEvenly(mouth.places, change, stitch) : [each(stitch, on.count)]
    const made = work(inRow(setting.rounds, { below: 0 }, i, stitch, colour, steps), on)
    if (!made.ok) throw new Error(`a mouth's row ${i + 1} does not come out: ${made.error.code}`)
    rows.push(made.worked)
    on = made.worked.edge
  }
  return rows
}

function joining(spec: MotifsSpec, { edge }: Motif, { places }: Mouth): string {
  return 'Lay the two motifs right sides together, the starts of their last rounds at one end of the mouth, and mark on each the '
    + `${many(places, 'place')} that stay open. About all the rest, ${seamOf(spec.seam).by} one for one, ${edge.count - places} in all, `
    + 'and fasten both ends of the seam well: the mouth pulls at them. Turn it right side out. What comes next goes around the '
    + 'mouth: over what the one motif left open, then over what the other did.'
}

/** The bag's outline as it lies: how far round each slice of it goes, from its bottom to its mouth. */
function slices(radiusCm: number, tallCm: number): Pick<Faces, 'rises'> & { readonly arounds: readonly number[] } {
  const number = 48
  const riseCm = tallCm / number
  const halfAt = (cm: number) => Math.sqrt(Math.max(0, radiusCm ** 2 - (cm - radiusCm) ** 2))
  const tops = [riseCm / 100, ...Array.from({ length: number }, (_, i) => (i + 1) * riseCm)]
  return { arounds: tops.map(cm => 4 * halfAt(cm)), rises: tops.map((cm, i) => cm - (tops[i - 1] ?? 0)) }
}

/** A round of nothing: a slice of the outline has no stitches of its own. */
function nothingIn(colour: string): WorkedRound {
  const edge = foundation('stitch', 0)
  const none = new Uint8Array(0)
  return {
    round: { steps: [], begin: { chains: 0, counts: false, turn: false }, join: 'open', facing: 'right', colour }, on: edge, edge,
    stitches: none, loops: none, aims: none,
  }
}

const TOO_SMALL: Finding = {
  code: 'motif-too-small', weight: 'stop', what: 'This motif is too small to leave a mouth. Give it more rounds.',
}

function workMotifs(spec: MotifsSpec, setting: Setting): PartResult {
  const { gauge } = setting
  const motif = workMotif(spec.bands, setting)
  const { rounds, radiusCm } = motif
  const stop = motif.findings.find(({ weight }) => weight === 'stop')
  const width = { cm: 2 * radiusCm, plusMinusCm: (2 * radiusCm * gauge.sc.height.plusMinusCm) / gauge.sc.height.cm }
  const floor = noFloor(width)
  if (stop || motif.edge.count < 4) {
    const nothing = { height: times(width, 0), circumference: times(width, 2), floor }
    return stopped(foundation('ring', 1), nothing, ...motif.findings, ...(stop ? [] : [TOO_SMALL]))
  }
  const mouth = mouthOf(spec, motif)
  const rows = straightRows(spec, motif, mouth, setting)
  const rowsCm = rows.length * gauge[spec.stitch].height.cm
  const around: Run[] = rows.length > 0 ? [{ kind: 'stitch', count: rows.at(-1)!.edge.count }] : placesFrom(motif.edge, mouth.places)
  const each = around.reduce((sum, run) => sum + run.count, 0)
  const tallCm = mouth.tallCm + rowsCm
  const share = width.plusMinusCm / width.cm
  const { rises, arounds } = slices(radiusCm, tallCm)
  const acrossCm = rows.length > 0 ? mouth.chordCm : mouth.arcCm
  const layOut = motifLayOut(motif)
  const other: Piece = {
    id: 'other', name: 'The other motif', times: 1, start: { kind: 'ring', chains: 0 }, rows: rounds, along: false, free: true,
    colour: spec.colour, lengthCm: width.cm, widthCm: width.cm, layOut, advice: ['Work a second motif just like the first.'], finish: [],
  }
  const straight: Piece[] = rows.length === 0
    ? []
    : [{
        id: 'mouth', name: 'Mouth of each motif', times: 2, start: { kind: 'chain', chains: 0 }, rows, along: true, free: true,
        colour: spec.colour, lengthCm: mouth.chordCm, widthCm: rowsCm, advice: [], finish: [],
        lead: `When the motifs are done and before they are joined: right side facing, join the yarn where the last round starts, and `
          + `work to and fro over ${many(mouth.places, 'place')} of it.`,
      }]
  return {
    rounds, edge: withSides(foundationOf([...around, ...around]), [0, each]), findings: motif.findings,
    size: {
      height: { cm: tallCm, plusMinusCm: tallCm * share }, circumference: { cm: 2 * acrossCm, plusMinusCm: 2 * acrossCm * share },
      floor,
    },
    start: { kind: 'ring', chains: 0 }, layOut, rising: 0, markers: rounds.map(() => []), seam: seamOf(spec.seam).card,
    laid: { acrossCm: width.cm, ringsCm: reachesOf(motif) },
    faces: { rows: arounds.map(() => nothingIn(spec.colour)), rises, arounds, share: 0.5 },
    pieces: [other, ...straight], advice: [joining(spec, motif, mouth)],
    bagNotes: [`Two flat motifs, ${tape(width.cm)} across, joined about: it lies flat, and opens as wide as its mouth lets it.`],
  }
}

/** Two motifs (craft 5). */
export const motifs = form({
  form: 'motifs', name: 'two motifs', does: 'Two flat round pieces of net or fabric, laid together and joined about but for the mouth.',
  fields,
  begins: (like) => {
    const { longerCm } = sizesLike(like)
    return {
      open: { want: { mouthCm: tenths(longerCm * 0.9, MOUTH_CM) } },
      bands: [
        { kind: 'disc', stitch: 'dc', rounds: 2, grows: 'by-gauge', colour: like.colour },
        {
          kind: 'net', rounds: Math.max(2, Math.round((longerCm / 2 - 3) / 1.1)), chains: 5, skip: 1, longer: 0, more: 3,
          colour: like.colour,
        },
        { kind: 'fans', stitch: 'dc', stitches: 4, open: false, between: true, colour: like.colour },
        { kind: 'disc', stitch: 'sc', rounds: 1, grows: 'by-gauge', colour: like.colour },
      ],
    }
  },
  work: workMotifs,
  choices: (spec, setting) => [{ base: spec, stitches: workMotifs(spec, setting).edge.count, off: [], errorCm: 0 }],
})
