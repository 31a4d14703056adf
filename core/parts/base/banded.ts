import { times } from '../../things/measure/length'
import { motifLayOut, workMotif } from '../motif/motif'
import { motifField } from '../motif/kinds'
import type { Floor } from '../part/floor'
import { type PartResult, type Setting, stopped } from '../part/part'
import { FLOOR_LOOKS, foldedAtStart } from './circle'
import { form, type FormSpec } from './form'

const fields = {
  bands: motifField('Its rounds, from the ring outward',
    'The rounds of the floor, from its ring outward: of different stitches, or of loops.'),
} as const

/** A round floor of rounds of different stitches, one upon the other (craft 5, circle). */
type BandedSpec = FormSpec<'banded', typeof fields>

/** Works a round floor band by band: it is as wide as its rounds reach, and its edge is what they leave. */
function workBanded(spec: BandedSpec, setting: Setting): PartResult {
  const motif = workMotif(spec.bands, setting)
  const { rounds, edge, radiusCm, findings } = motif
  const { sc } = setting.gauge
  const across = { cm: 2 * radiusCm, plusMinusCm: (2 * radiusCm * sc.height.plusMinusCm) / sc.height.cm }
  const floor: Floor = { shape: 'disc', length: across, width: across }
  const size = { height: times(sc.height, 0), circumference: times(setting.gauge[spec.stitch].width, edge.count), floor }
  if (findings.some(({ weight }) => weight === 'stop')) return stopped(edge, size, ...findings)
  return {
    rounds, edge: foldedAtStart(edge), size, findings, start: { kind: 'ring', chains: 0 }, layOut: motifLayOut(motif),
    markers: rounds.map(() => [0]), looks: FLOOR_LOOKS,
  }
}

/** A round floor, band by band (craft 5). */
export const banded = form({
  form: 'banded', name: 'round, band by band', fields, work: workBanded,
  does: 'A round floor whose rounds are of different stitches: so many of the one, then so many of the other.',
  begins: ({ colour, stitch, lengthCm }) => ({
    bands: [
      { kind: 'disc', stitch, rounds: Math.max(1, Math.round(lengthCm / 3)), grows: 'by-gauge', colour },
      { kind: 'disc', stitch: stitch === 'dc' ? 'sc' : 'dc', rounds: 1, grows: 'by-gauge', colour },
    ],
  }),
  choices: (spec, setting) => [{ base: spec, stitches: workBanded(spec, setting).edge.count, off: [], errorCm: 0 }],
})
