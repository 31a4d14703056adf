import type { BaseForm, BaseSpec } from './base'
import type { BaseStitch } from './circle'

/** What a new base keeps of the one before it. */
export interface Like {
  readonly stitch: BaseStitch
  readonly colour: string
  readonly lengthCm: number
  readonly widthCm: number
  readonly heightCm: number
}

function tenths(cm: number): number {
  return Math.min(150, Math.max(1, Math.round(cm * 10) / 10))
}

/** A base of another form, about as large as the one before, with what is usual for it. */
export function startBase(form: BaseForm, like: Like): BaseSpec {
  const { stitch, colour } = like
  const length = tenths(like.lengthCm)
  const width = tenths(like.widthCm > 0 ? like.widthCm : like.lengthCm / 3)
  const longer = width < 0.9 * length ? length : tenths(1.6 * length)
  const disc = { stitch, colour, increases: 'by-gauge', size: { want: { diameterCm: length } }, start: 'ring', placing: 'stacked', increaseAt: 'last' } as const
  switch (form) {
    case 'circle': return { form, ...disc }
    case 'double-disc': return { form, ...disc }
    case 'oval': return { form, stitch, colour, perEnd: 'by-gauge', size: { want: { lengthCm: longer, widthCm: width } }, start: 'chain', placing: 'stacked', increaseAt: 'last' }
    case 'boat': return { form, stitch, colour, perEnd: 3, size: { want: { flatWidthCm: longer } } }
    case 'rectangle': return { form, stitch, colour, size: { want: { lengthCm: longer, widthCm: width } }, rowEnds: 'by-gauge', corners: 'none' }
    case 'tube': return { form, stitch, colour, size: { want: { flatWidthCm: longer } } }
    case 'bought': return { form, stitch, colour, shape: 'oblong', holes: Math.max(12, Math.round((2 * longer + width) * 1.2)), perHole: 2, doubledHoles: 8, lengthCm: longer, widthCm: width }
    case 'folded': return { form, stitch, colour, repeat: 6, edgeStitches: 1, size: { want: { widthCm: longer, heightCm: Math.max(5, tenths(like.heightCm)) } } }
  }
}
