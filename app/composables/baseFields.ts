import type { BaseForm, BaseSpec } from '~~/core/base/base'
import * as bounds from '~~/core/design/bounds'
import { BASE_STITCHES } from '~~/core/base/circle'
import type { Terms } from '~~/core/stitch/dictionary'
import { stitchChoices } from './stitchChoices'

/** One thing that a base can be asked, and where the answer goes in its spec. */
export type Field = { readonly path: readonly string[], readonly label: string } & (
  | { readonly kind: 'length' | 'count', readonly bounds: bounds.Bounds }
  | { readonly kind: 'choice', readonly choices: readonly { readonly value: string, readonly name: string, readonly does?: string }[] }
)

/** The forms of base, in the order and the words they are offered. */
export const FORMS: readonly { readonly value: BaseForm, readonly name: string, readonly does: string }[] = [
  { value: 'circle', name: 'round', does: 'A disc, worked from its middle out.' },
  { value: 'oval', name: 'oval', does: 'A straight foundation with a half disc at each end: only the ends grow.' },
  { value: 'rectangle', name: 'rectangle', does: 'Rows to and fro, then one round about all four sides.' },
  { value: 'double-disc', name: 'double disc', does: 'Two discs joined by a round through both: a firm floor with a ridge that sits square.' },
  { value: 'boat', name: 'boat', does: 'No floor: one round about a chain, then straight up. It lies flat and folds along the chain.' },
  { value: 'tube', name: 'tube', does: 'No floor: a ring of chains worked up, and closed below when it is done.' },
  { value: 'folded', name: 'folded piece', does: 'A flat piece, folded in half and seamed at two sides.' },
  { value: 'bought', name: 'bought floor', does: 'A stiff floor with punched holes; the first round goes into the holes.' },
]

const length = (label: string, ...path: string[]): Field => ({ kind: 'length', label, path, bounds: bounds.DIAMETER_CM })
const count = (label: string, within: bounds.Bounds, ...path: string[]): Field => ({ kind: 'count', label, path, bounds: within })

const START: Field = {
  kind: 'choice', label: 'Start with', path: ['start'], choices: [
    { value: 'ring', name: 'adjustable ring', does: 'Closes to no hole at all; weave its end in well.' },
    { value: 'chain-ring', name: 'ring of chains', does: 'Quick and firm; leaves a small hole in the middle.' },
    { value: 'chain', name: 'one chain', does: 'The whole first round goes into one chain: nothing to pull closed.' },
  ],
}
const OVAL_START: Field = {
  kind: 'choice', label: 'Start with', path: ['start'], choices: [
    { value: 'chain', name: 'a chain', does: 'Worked along, around its end, and back along its underside.' },
    { value: 'foundation-sc', name: 'foundation {sc}', does: 'Chain and first row in one: even, and it does not draw in. Adds a row to the width.' },
  ],
}
const PLACING: Field = {
  kind: 'choice', label: 'Increases lie', path: ['placing'], choices: [
    { value: 'stacked', name: 'one above the other', does: 'Easy to keep count of; a round floor becomes a soft polygon.' },
    { value: 'staggered', name: 'staggered', does: 'Half a group apart every second round: the edge stays round.' },
  ],
}
const INCREASE_AT: Field = { kind: 'choice', label: 'In each group, the increase comes', path: ['increaseAt'], choices: [{ value: 'first', name: 'first' }, { value: 'last', name: 'last' }] }
const ROW_ENDS: Field = {
  kind: 'choice', label: 'Along the row ends', path: ['rowEnds'], choices: [
    { value: 'one-each', name: 'one in each row', does: 'Usual in {sc.name}, whose rows are about as tall as stitches are wide.' },
    { value: 'by-gauge', name: 'by gauge', does: 'As many as the sides are long in your gauge, spread evenly.' },
  ],
}
const CORNERS: Field = {
  kind: 'choice', label: 'At each corner', path: ['corners'], choices: [
    { value: 'none', name: 'none extra', does: 'The edge turns up at once, into box corners.' },
    { value: 'one-extra', name: 'one extra', does: 'The floor stays flat to its very edge.' },
  ],
}
const SHAPE: Field = { kind: 'choice', label: 'Its shape', path: ['shape'], choices: [{ value: 'oblong', name: 'oblong' }, { value: 'round', name: 'round' }] }

const WANTS: Record<Exclude<BaseForm, 'bought'>, readonly Field[]> = {
  'circle': [length('Across the floor', 'size', 'want', 'diameterCm')],
  'double-disc': [length('Across the floor', 'size', 'want', 'diameterCm')],
  'oval': [length('Length of the floor', 'size', 'want', 'lengthCm'), length('Width of the floor', 'size', 'want', 'widthCm')],
  'rectangle': [length('Length of the floor', 'size', 'want', 'lengthCm'), length('Width of the floor', 'size', 'want', 'widthCm')],
  'boat': [length('Width lying flat', 'size', 'want', 'flatWidthCm')],
  'tube': [length('Width lying flat', 'size', 'want', 'flatWidthCm')],
  'folded': [length('Width of the bag', 'size', 'want', 'widthCm'), { ...length('Height of the bag', 'size', 'want', 'heightCm'), bounds: bounds.HEIGHT_CM } as Field],
}

const PINS: Record<Exclude<BaseForm, 'bought'>, readonly Field[]> = {
  'circle': [count('Rounds', bounds.PINNED_ROUNDS, 'size', 'pin', 'rounds')],
  'double-disc': [count('Rounds of each disc', bounds.PINNED_ROUNDS, 'size', 'pin', 'rounds')],
  'oval': [count('Side stitches', bounds.SIDE_STITCHES, 'size', 'pin', 'sideStitches'), count('Rounds', bounds.PINNED_ROUNDS, 'size', 'pin', 'rounds')],
  'rectangle': [count('Stitches a row', bounds.ROW_STITCHES, 'size', 'pin', 'stitches'), count('Rows', bounds.PINNED_ROUNDS, 'size', 'pin', 'rows')],
  'boat': [count('Side stitches', bounds.SIDE_STITCHES, 'size', 'pin', 'sideStitches')],
  'tube': [count('Stitches around', bounds.ROW_STITCHES, 'size', 'pin', 'stitches')],
  'folded': [count('Repeats', bounds.REPEATS, 'size', 'pin', 'repeats'), count('Rows', bounds.PINNED_ROUNDS, 'size', 'pin', 'rows')],
}

const FURTHER: Record<BaseForm, readonly Field[]> = {
  'circle': [START, PLACING, INCREASE_AT],
  'double-disc': [START, PLACING, INCREASE_AT],
  'oval': [OVAL_START, PLACING, INCREASE_AT],
  'rectangle': [ROW_ENDS, CORNERS],
  'boat': [count('Stitches in each end (1: none extra)', bounds.BOAT_PER_END, 'perEnd')],
  'tube': [],
  'folded': [count('Stitches of a repeat', bounds.REPEAT, 'repeat'), count('Edge stitches besides', bounds.EDGE_STITCHES, 'edgeStitches')],
  'bought': [
    SHAPE, { ...length('Its length', 'lengthCm') }, { ...length('Its width', 'widthCm') }, count('Holes', bounds.HOLES, 'holes'),
    count('Stitches in each hole', bounds.PER_HOLE, 'perHole'), count('Holes at the corners, doubled', bounds.DOUBLED_HOLES, 'doubledHoles'),
  ],
}

/** The stitches a base can be worked in, in the maker's vocabulary. */
export function stitchField(terms: Terms): Field {
  return {
    kind: 'choice', label: 'Stitch', path: ['stitch'],
    choices: stitchChoices(BASE_STITCHES, terms),
  }
}

/** What sizes a base: its wanted measures or its pinned counts. */
export function sizeFields(base: BaseSpec): readonly Field[] {
  if (base.form === 'bought') return []
  if ('pin' in base.size) return PINS[base.form]
  return 'flatWidthCm' in base.size.want ? [length('Width lying flat', 'size', 'want', 'flatWidthCm')] : WANTS[base.form]
}

/** What else a form asks. */
export function furtherFields(base: BaseSpec): readonly Field[] {
  return FURTHER[base.form]
}

/** The value at a path of a spec. */
export function valueAt(base: BaseSpec, path: readonly string[]): unknown {
  return path.reduce<unknown>((holder, key) => (holder as Record<string, unknown>)[key], base)
}
