import { between, length, optional } from '../field/questions'
import type { PartSpec } from '../kind/kind'
import { tape } from '../../things/stitch/translate'
import type { PartResult, Setting } from '../part/part'
import type { Piece } from '../part/piece'
import type { Edge } from '../../things/round/edge'
import { fitted } from './onRim'
import { STRAP_STITCH } from './strapLength'
import { stripAlong } from './strip'
import { nothingWorked } from './unworked'

const ZIP_CM = between(3, 200)

const fields = {
  zipCm: optional(length('A zip you have, its length', ZIP_CM, {
    usually: between(8, 60), says: 'The length of a zip that the maker has; left out, one is told to buy.',
  })),
  facingCm: length('Width of a facing', between(0.5, 20), { begins: 3, usually: between(0.5, 6) }),
  stitch: STRAP_STITCH,
} as const

/** A zip on two strips that are sewn inside the rim (craft 10). */
type ZipSpec = PartSpec<'zip', typeof fields>

/** So much of a mouth may stay open beside a zip without anybody minding (from memory). */
const SHORT_CM = 2

/** How a zip that the maker has goes on facings so long. */
function fitting(zipCm: number, facingCm: number): string {
  const over = zipCm - facingCm
  if (over > 1) return `Your zip of ${tape(zipCm)} is ${tape(over)} longer: sew it over where it should end, cut it off beyond, and turn `
    + `the end in.`
  return over < -SHORT_CM
    ? `Your zip of ${tape(zipCm)} is ${tape(-over)} shorter: set it in the middle, and close the facings at its ends.`
    : `Your zip of ${tape(zipCm)} goes from end to end.`
}

function workZip(spec: ZipSpec, edge: Edge, setting: Setting): PartResult {
  const { width, height } = setting.gauge[spec.stitch]
  const halfCm = (setting.belowCm ?? edge.count * width.cm) / 2
  // The strips end short of the sides, where the zip turns down inside.
  const lengthCm = Math.max(3, halfCm - 2)
  const made = stripAlong(
    spec.stitch,
    Math.max(3, Math.round(lengthCm / width.cm)),
    Math.max(1, Math.round(spec.facingCm / height.cm)),
    false,
    spec.colour,
    setting.gauge,
  )
  const zipCm = spec.zipCm ?? Math.max(3, Math.round(made.lengthCm))
  const piece: Piece = {
    id: 'facing', name: 'Zip facings', times: 2, ...made, along: true, colour: spec.colour, seam: 'backStitch',
    advice: [
      spec.zipCm === undefined
        ? `Take a zip of about ${tape(zipCm)}, or a longer one cut off: closed ends that can be sewn over.`
        : fitting(zipCm, made.lengthCm),
    ],
    finish: [
      `Pin each facing along one side of the zip, its edge ${tape(0.5)} from the teeth, and sew it with small back stitches: by hand, `
      + 'there and back at both ends.',
      `Open the zip. Sew each facing inside the bag along its own face, ${tape(1)} below the rim, from ${tape(1)} off one side to `
      + `${tape(1)} off the other; tuck the ends of the zip down inside and catch them.`,
    ],
  }
  return nothingWorked(
    edge,
    setting,
    [
      {
        code: 'closure-place', weight: 'note',
        what: `Two facings of ${tape(made.lengthCm)} by ${tape(made.widthCm)}; the mouth is ${tape(halfCm)} across lying flat.`,
      },
      ...(made.lengthCm - zipCm > SHORT_CM
        ? [
            {
              code: 'zip-short', weight: 'watch' as const,
              what: `Your zip is ${tape(made.lengthCm - zipCm)} shorter than its facings: so much of the mouth stays open at its ends.`,
              fix: { label: `A zip of ${tape(Math.round(made.lengthCm))}`, changes: [{ path: ['zipCm'], value: undefined }] },
            },
          ]
        : []),
    ],
    {
      pieces: [piece], closure: { by: 'teeth' }, notions: [spec.zipCm === undefined
        ? `a zip of about ${tape(zipCm)}`
        : `your zip of `
          + `${tape(zipCm)}`, 'sewing thread'],
      advice: ['Mark both sides of the bag at the ' + 'rim: the ' + 'facings run ' + 'from side ' + 'to side.'],
    },
  )
}

/** The teeth of a zip along a little rim. */
const TEETH = Array.from({ length: 14 }, (_, i) => `M${-5.2 + i * 0.8} -7.5v1`).join('')

/** A zip (craft 10). */
export const zip = fitted({
  kind: 'zip', group: 'Closures', name: 'zip', does: 'Two facings for a zip, sewn inside the rim.', fields,
  begins: ({ stitch }) => ({ stitch }), place: workZip,
  sample: {
    signs: [
      { path: 'M-5.6 -7H5.6', thick: 0.5 },
      { path: TEETH, thick: 0.25 },
    ],
  },
})
