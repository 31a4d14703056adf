import { between, count, countOr, stitch, yarn } from '../field/questions'
import type { StitchSize } from '../../things/gauge/gauge'
import { type Setting, workUp } from '../part/part'
import type { Finding } from '../part/finding'
import { type Edge, PLACE_CODE, placesOf } from '../../things/round/edge'
import { changeEvenly, mostChange } from '../../things/round/changes'
import { each, inOne, skip, type Step } from '../../things/round/step'
import { inStyle } from '../../things/round/style'
import { inTurns } from '../../things/round/turns'
import type { MotifBand, MotifKind, Outward, Within } from './motifKind'

const fields = {
  stitch: stitch(['sc', 'hdc', 'dc']),
  rounds: count('Rounds', between(1, 60), { begins: 2, usually: between(1, 4) }),
  grows: countOr('by-gauge', 'It grows by', between(-200, 200), {
    usually: between(0, 12), orDoes: 'So many stitches that it lies flat, evenly spread; the same evens out what was worked before.',
    taught: [
      { value: 0, name: 'nothing', does: 'A stitch in each stitch and in each space.' },
      { value: 6, name: '6 a round' }, { value: 8, name: '8 a round' }, { value: 12, name: '12 a round' },
    ],
  }),
  colour: yarn(),
} as const

/** Plain rounds of a motif. */
interface Disc extends MotifBand {
  readonly stitch: 'sc' | 'hdc' | 'dc'
  readonly rounds: number
  readonly grows: number | 'by-gauge'
}

/** How far a round's changes lie on from those of the one within: a part of a gap that never comes back to itself (golden ratio). */
const TURN_ON = (3 - Math.sqrt(5)) / 2

/** Stitches of a round so far out that lie flat there. */
function flatAt(radiusCm: number, { width }: StitchSize): number {
  return Math.max(3, Math.round((2 * Math.PI * radiusCm) / width.cm))
}

/** How many stitches a round comes to: by gauge as many as lie flat, or so many more than the one within, as far as one round can go. */
function wantedOn(spec: Disc, edge: Edge, radiusCm: number, stitch: StitchSize): number {
  const inRing = placesOf(edge, 'ring') > 0
  if (inRing) return spec.grows === 'by-gauge' || spec.grows < 3 ? flatAt(radiusCm, stitch) : spec.grows
  const wanted = spec.grows === 'by-gauge' ? flatAt(radiusCm, stitch) : edge.count + spec.grows
  const change = wanted - edge.count
  const most = mostChange(edge.count, change)
  return Math.max(2, edge.count + Math.sign(change) * Math.min(Math.abs(change), most))
}

/** A stitch in every stitch, spaces passed. */
function pastSpaces(spec: Disc, { kinds }: Edge): Step[] {
  return inTurns(Array.from(kinds, kind => (kind === PLACE_CODE.space ? [skip(1)] : [each(spec.stitch, 1)])))
}

/** The steps of a round that is to come to so many stitches: all places worked and changed, or spaces passed where that comes nearer. */
function stepsOn(spec: Disc, on: Edge, wanted: number, turn: number): Step[] {
  const stitches = on.count - placesOf(on, 'space')
  const nearer = spec.grows === 'by-gauge' && stitches < on.count && Math.abs(stitches - wanted) < Math.abs(on.count - wanted)
  return nearer ? pastSpaces(spec, on) : changeEvenly(on.count, wanted - on.count, spec.stitch, { ahead: (0.5 + TURN_ON * turn) % 1 })
}

/** Beyond these a motif's edge is a ruffle, or draws it into a dish (craft 5; from memory). */
const RUFFLE = 1.3
const DISH = 0.85

function lies(edgeCm: number, radiusCm: number): Finding[] {
  const ratio = edgeCm / (2 * Math.PI * radiusCm)
  if (ratio > RUFFLE)
    return [{ code: 'motif-ruffles', weight: 'watch', what: `Its edge is ${Math.round(ratio * 100 - 100)} % longer than a flat one so far `
      + 'out would be: it ruffles. Let it grow by less, or by gauge.' }]
  if (ratio < DISH)
    return [{ code: 'motif-dishes', weight: 'watch', what: `Its edge is ${Math.round(100 - ratio * 100)} % shorter than a flat one so far `
      + 'out would be: it draws into a dish. Let it grow by more, or by gauge.' }]
  return []
}

/** Plain rounds, which grow as they go outward, or even out what is within (craft 5, circle). */
export const disc: MotifKind = {
  kind: 'disc', name: 'plain rounds', does: 'From the ring outward, growing so that they lie flat; or evening out a round of fans.', fields,
  work: (band: MotifBand, { edge, radiusCm }: Within, setting: Setting): Outward => {
    const spec = band as Disc
    const size = setting.gauge[spec.stitch]
    const rounds = { ...setting.rounds, style: 'joined' } as const
    const { rounds: worked, edge: top, stop } = workUp(edge, spec.rounds, setting, (i, on) => {
      const stitches = wantedOn(spec, on, radiusCm + (i + 1) * size.height.cm, size)
      const steps: Step[] = placesOf(on, 'ring') > 0
        ? [inOne(spec.stitch, stitches)]
        : stepsOn(spec, on, stitches, i)
      return inStyle({ turns: 0, rounds }, 0, spec.stitch, spec.colour, steps)
    })
    return {
      rounds: worked, rises: worked.map(() => size.height.cm),
      findings: stop ? [stop] : lies(top.count * size.width.cm, radiusCm + spec.rounds * size.height.cm),
    }
  },
}
